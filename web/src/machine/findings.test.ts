import { describe, expect, it } from 'vitest'
import { findingText } from './findings'

describe('what does not go together', () => {
  it('names wheels that would turn against each other, and the gear', () =>
    expect(
      findingText({
        kind: 'opposingWheels',
        things: ['front', 'rear'],
        gearLabel: '2',
        differencePercent: null,
      }),
    ).toBe('front and rear would turn against each other in 2nd.'))

  it('says how much a wheel scrubs', () =>
    expect(
      findingText({
        kind: 'scrubbingWheels',
        things: ['middle', 'front'],
        gearLabel: '',
        differencePercent: -10.53,
      }),
    ).toBe('front wants \u221210.5 % of the speed of middle: one of them scrubs.'))

  it('names a side that does not match', () =>
    expect(
      findingText({
        kind: 'mirrorMismatch',
        things: ['Left', 'Right'],
        gearLabel: null,
        differencePercent: 2.5,
      }),
    ).toBe('Right does not match Left (+2.50 %).'))
})
