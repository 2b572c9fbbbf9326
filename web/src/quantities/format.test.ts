import { describe, expect, it } from 'vitest'
import { figure, fixed, gearName, money, plain, rpm, signed } from './format'

describe('numbers as people read them', () => {
  it.each([
    [18420, 0, '18\u202f420'],
    [1234567.891, 2, '1\u202f234\u202f567.89'],
    [999, 0, '999'],
    [-4.44, 1, '\u22124.4'],
    [-0.04, 1, '0.0'],
    [0, 2, '0.00'],
  ])('%d with %d decimals is %s', (value, decimals, text) => expect(fixed(value, decimals)).toBe(text))

  it.each([
    [6.8894, 4, '6.889'],
    [0.52174, 4, '0.5217'],
    [19.923, 4, '19.92'],
    [12345, 4, '12\u202f345'],
    [0, 4, '0'],
    [-0.00123456, 3, '\u22120.00123'],
  ])('%d to %d figures is %s', (value, digits, text) => expect(figure(value, digits)).toBe(text))

  it('always gives a change its sign, and none to nothing', () => {
    expect(signed(4.4, 1)).toBe('+4.4')
    expect(signed(-4.4, 1)).toBe('\u22124.4')
    expect(signed(0.01, 1)).toBe('0.0')
    expect(signed(-0.01, 1)).toBe('0.0')
  })

  it('reads shaft speeds off a clock: to ten from a thousand on', () => {
    expect(rpm(5453.2)).toBe('5\u202f450')
    expect(rpm(442.3)).toBe('442')
    expect(rpm(64.63)).toBe('64.6')
    expect(rpm(3.456)).toBe('3.46')
  })

  it('shows a stored number without a tail of digits', () => {
    expect(plain(0.1 + 0.2)).toBe('0.3')
    expect(plain(2.642857)).toBe('2.642857')
    expect(plain(-15)).toBe('\u221215')
  })

  it.each([
    ['1', '1st'],
    ['2', '2nd'],
    ['3', '3rd'],
    ['4', '4th'],
    ['11', '11th'],
    ['12', '12th'],
    ['13', '13th'],
    ['21', '21st'],
    ['', 'direct'],
    ['2·5', '2·5'],
  ])('gear %s is called %s', (label, name) => expect(gearName(label)).toBe(name))

  it('writes money with two decimals and no currency', () => expect(money(1234.5)).toBe('1\u202f234.50'))
})
