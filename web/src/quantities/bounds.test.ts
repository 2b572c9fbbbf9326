import { expect, it } from 'vitest'
import { boundsText } from './bounds'
import { unitsOf } from './units'

const inch = unitsOf('inch', () => {})

it('words a bound in the unit that is shown, rounded so that it is accepted', () => {
  expect(boundsText({ low: 0, high: 1000, unit: 'mm' }, inch)).toBe('Give 0 to 39.37 in.')
  expect(boundsText({ low: 1, high: null, unit: 'mm' }, inch)).toBe('Give 0.03938 in or more.')
  expect(boundsText({ low: null, high: 100, unit: 'kg' }, inch)).toBe('Give 220.4 lb or less.')
  expect(boundsText({ low: 0, unit: 'N', isLowOpen: true }, inch)).toBe('Give more than 0 lbf.')
  expect(boundsText({ low: 25.4, high: 254, unit: 'mm' }, inch)).toBe('Give 1 to 10 in.')
  expect(boundsText({ low: -300, high: 300, unit: 'mm' }, inch)).toBe('Give −11.81 to 11.81 in.')
})

it('leaves to the core what is the same in both systems, and everything in millimetres', () => {
  expect(boundsText({ low: 5, high: 500, unit: 'teeth' }, inch)).toBeUndefined()
  expect(
    boundsText(
      { low: 0, high: 1000, unit: 'mm' },
      unitsOf('metric', () => {}),
    ),
  ).toBeUndefined()
})
