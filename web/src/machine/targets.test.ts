import { describe, expect, it } from 'vitest'
import type { AimTarget } from '../api/client'
import { unitsOf } from '../quantities/units'
import { rangeText, targetText } from './targets'

const metric = unitsOf('metric', () => {})
const inch = unitsOf('inch', () => {})
const SIX = ['1', '2', '3', '4', '5', '6']

describe('an aim in a few words', () => {
  it.each<[AimTarget, string, string]>([
    [
      { kind: 'cruiseSpeed', speedKmh: 90, gearIndex: 5, shaftSpeedLowRpm: 5020, shaftSpeedHighRpm: 5330 },
      '90\u00a0km/h in 6th',
      '5\u202f020–5\u202f330 rpm',
    ],
    [
      { kind: 'topSpeed', speedKmh: 160, gearIndex: 4, tolerancePercent: 4 },
      '160\u00a0km/h at the limit in 5th',
      '± 4 %',
    ],
    [
      { kind: 'speedAtCadence', speedKmh: 16, gearIndex: 2, cadenceLowRpm: 78, cadenceHighRpm: 92 },
      '16\u00a0km/h in 3rd',
      '78–92 turns a minute',
    ],
    [{ kind: 'finalRatio', low: 2.76, high: 2.93 }, 'ratio 2.76 to 2.93', ''],
    [{ kind: 'gainRatio', low: 5.2, high: 5.6, gearIndex: 1 }, 'gain ratio 5.20 to 5.60 in 2nd', ''],
    [{ kind: 'overallRatio', low: 6, high: 7, gearIndex: null }, 'overall 6 to 7', ''],
    [
      {
        kind: 'matchSetup',
        setupId: 1,
        setupName: 'Hill week',
        loops: [],
        roadWheels: [],
        tolerancePercent: 2,
      },
      'like Hill week',
      '± 2 %',
    ],
  ])('%o', (target, text, range) => {
    expect(targetText(target, metric, SIX)).toBe(text)
    expect(rangeText(target)).toBe(range)
  })

  it('leaves the gear out where there is only one', () => {
    const target: AimTarget = { kind: 'topSpeed', speedKmh: 45, gearIndex: 0, tolerancePercent: 6 }
    expect(targetText(target, metric, [''])).toBe('45\u00a0km/h at the limit')
  })

  it('speaks the units of the person', () => {
    const target: AimTarget = { kind: 'topSpeed', speedKmh: 160.9344, gearIndex: 0, tolerancePercent: 6 }
    expect(targetText(target, inch, [''])).toBe('100\u00a0mph at the limit')
  })
})
