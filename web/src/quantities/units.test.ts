import { describe, expect, it } from 'vitest'
import { type Quantity, unitsOf } from './units'

const metric = unitsOf('metric', () => {})
const inch = unitsOf('inch', () => {})

describe('units', () => {
  // Exact by definition: international yard and pound, 1959.
  it.each<[Quantity, number, number]>([
    ['speed', 1.609344, 1],
    ['length', 25.4, 1],
    ['longLength', 0.9144, 1],
    ['distance', 160.9344, 100],
  ])('%s: %d stored is %d shown in inch units', (quantity, stored, shown) => {
    expect(inch.toShown(quantity, stored)).toBeCloseTo(shown, 6)
    expect(metric.toShown(quantity, stored)).toBe(stored)
  })

  it.each<Quantity>(['speed', 'length', 'longLength', 'distance'])(
    'a %s typed in inch units comes back as typed',
    (quantity) => {
      for (const typed of [1, 45, 55.5, 90, 1234])
        expect(inch.toShown(quantity, inch.toStored(quantity, typed))).toBe(typed)
    },
  )

  it('always shows the unit', () => {
    expect(metric.show('speed', 90, 0)).toBe('90\u00a0km/h')
    expect(inch.show('speed', 90, 0)).toBe('56\u00a0mph')
    expect(metric.show('length', 1895)).toBe('1\u202f895\u00a0mm')
    expect(inch.show('length', 1895)).toBe('74.61\u00a0in')
    expect(metric.show('speed', 3.6)).toBe('3.60\u00a0km/h')
  })
})
