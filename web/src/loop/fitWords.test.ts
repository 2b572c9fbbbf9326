import { describe, expect, it } from 'vitest'
import { reserveText } from './fitWords'

describe('adjustment left', () => {
  const units = { show: (_: string, mm: number) => `${mm} mm` } as Parameters<typeof reserveText>[1]
  const left = { leftMm: 20, leftPercent: 50, elongationPercent: 3, isNearlyUsedUp: false }
  it('is told in percent, way and the steps of the adjuster', () => {
    expect(reserveText({ ...left, steps: null, step: null }, units)).toBe('50 % · 20 mm')
    expect(reserveText({ ...left, steps: 16.04, step: { kind: 'turn', travelMm: 1.25 } }, units)).toMatch(
      /· 16\.0 turns$/,
    )
    expect(reserveText({ ...left, steps: 1, step: { kind: 'click', travelMm: 20 } }, units)).toMatch(
      /· 1 click$/,
    )
  })
})
