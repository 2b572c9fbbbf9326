import { describe, expect, it } from 'vitest'
import { typedNumber } from './typedNumber'
import { type Quantity, unitsOf } from './units'

const metric = unitsOf('metric', () => {})
const inch = unitsOf('inch', () => {})
const read = (text: string, quantity?: Quantity, units = metric) =>
  typedNumber(text, {
    quantity,
    unit: quantity ? units.unitOf(quantity) : 'teeth',
    toStored: (n) => (quantity ? units.toStored(quantity, n) : n),
  })
const numberOf = (...args: Parameters<typeof read>) => {
  const typed = read(...args)
  return typed.kind === 'number' ? typed.value : typed.kind
}

describe('a number as people write it', () => {
  it.each([
    ['12.5', 12.5],
    ['12,5', 12.5],
    ['.5', 0.5],
    ['-3', -3],
    ['−3', -3],
    ['1e3', 1000],
    ['1.2e-2', 0.012],
    ['3/4', 0.75],
    ['1 3/8', 1.375],
    ['1-3/8', 1.375],
    ['−1 1/2', -1.5],
    ['1 234', 1234],
    ['12\u2009345.5', 12345.5],
    ['2.', 2],
    ['15 teeth', 15],
  ])('%s is %d', (text, value) => expect(numberOf(text)).toBe(value))

  it.each([
    ['25 in', 'fine', 635],
    ['1 3/8"', 'fine', 34.925],
    ['2,5 cm', 'length', 25],
    ['60 mph', 'speed', 96.56064],
    ['10 kgf', 'force', 98.0665],
    ['1 hp', 'power', 0.745699871582],
    ['1 bar', 'pressure', 0.1],
  ] as [string, Quantity, number][])('%s as %s is %d, stored', (text, quantity, value) =>
    expect(numberOf(text, quantity)).toBe(value),
  )

  it('reads a unit the same in either system, and a number alone in the unit shown', () => {
    expect(numberOf('640 mm', 'fine', inch)).toBe(640)
    expect(numberOf('25', 'fine', inch)).toBe(635)
    expect(numberOf('3/4', 'fine', inch)).toBe(19.05)
  })

  it.each(['1 3/', '1 3', '2e', '2e-', '-', '3/'])('%s is the beginning of one', (text) =>
    expect(read(text).kind).toBe('unfinished'),
  )

  it.each(['12x', '1..2', '1.2.3', '3/0', '1a2b', '2,5,3', '1 3 5', 'NaN', 'Infinity', '1e999', '0x10'])(
    '%s is refused as it stands',
    (text) => {
      const typed = read(text)
      expect(typed.kind).toBe('refused')
      if (typed.kind === 'refused') expect(typed.message).toContain(`“${text}”`)
    },
  )

  it('refuses a unit that measures something else, and names those it knows', () => {
    const typed = read('25 in', 'speed')
    expect(typed.kind === 'refused' && typed.message).toMatch(/km\/h.*mph/)
  })
})
