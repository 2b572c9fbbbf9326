import { UNIT_FACTORS } from './typedUnits'
import type { Quantity } from './units'

/** What a person typed into a number field. */
export type TypedNumber =
  /** Nothing there. */
  | { kind: 'empty' }
  /** A number in the stored unit. */
  | { kind: 'number'; value: number; hasUnit: boolean }
  /** The beginning of one: “1 3/”, “2e”, “−”. */
  | { kind: 'unfinished' }
  /** Something that is no number, with what would be one. */
  | { kind: 'refused'; message: string }

interface Field {
  /** What it measures; without it only the field's own unit may stand behind the number. */
  quantity: Quantity | undefined
  /** Unit that a number alone is in. */
  unit: string | undefined
  toStored: (shown: number) => number
}

const SIGN = /^[-−–+]?/u.source.slice(1)
const PLAIN = /(?:\d{1,3}(?:[\u0020\u00a0\u2009\u202f]\d{3})+|\d+)(?:[.,]\d*)?|[.,]\d+/u.source
const NUMBER = new RegExp(`^(${SIGN})(${PLAIN})(?:[eE]([-−+]?\\d+))?(?![\\d.,])\\s*(\\D.*)?$`, 'u')
const FRACTION = new RegExp(`^(${SIGN})(?:(\\d+)[\\s-])?\\s*(\\d+)\\s*[/⁄]\\s*(\\d+)\\s*(\\D.*)?$`, 'u')
const UNFINISHED = new RegExp(`^${SIGN}(?:${PLAIN})?(?:[eE][-−+]?|\\s+\\d*\\s*[/⁄]?\\s*|\\s*[/⁄]\\s*)?$`, 'u')

/**
 * Reads a number as people write it: decimal point or comma, fractions and mixed numbers (3/4, 1 3/8), an exponent, and a unit
 * behind it, which converts. Anything else is refused as it stands: no character is ever left out.
 */
export function typedNumber(text: string, field: Field): TypedNumber {
  const typed = text.trim()
  if (typed === '') return { kind: 'empty' }
  const fraction = FRACTION.exec(typed)
  if (fraction) {
    const [, sign, whole, upper, lower, unit] = fraction
    if (Number(lower) === 0) return refused(typed, field)
    return inUnit(signOf(sign) * (Number(whole ?? 0) + Number(upper) / Number(lower)), unit, typed, field)
  }
  const number = NUMBER.exec(typed)
  // “2e” and “3/” are the beginning of a number, not one with a unit behind it.
  if (!number || (number[4] && UNFINISHED.test(typed)))
    return UNFINISHED.test(typed) ? { kind: 'unfinished' } : refused(typed, field)
  const [, sign, digits = '', exponent, unit] = number
  const plain = digits.replace(/[\s\u00a0\u2009\u202f]/gu, '').replace(',', '.')
  const value = Number(`${plain}e${exponent?.replace('−', '-') ?? '0'}`)
  return Number.isFinite(value) ? inUnit(signOf(sign) * value, unit, typed, field) : refused(typed, field)
}

const signOf = (sign: string | undefined) => (sign === '-' || sign === '−' || sign === '–' ? -1 : 1)

function inUnit(shown: number, unit: string | undefined, typed: string, field: Field): TypedNumber {
  const word = unit?.trim()
  if (!word) return { kind: 'number', value: field.toStored(shown), hasUnit: false }
  if (sameUnit(word, field.unit)) return { kind: 'number', value: field.toStored(shown), hasUnit: true }
  const factor = field.quantity && UNIT_FACTORS[field.quantity][wordOf(word)]
  if (factor !== undefined)
    return { kind: 'number', value: Number((shown * factor).toPrecision(12)), hasUnit: true }
  return refused(typed, field)
}

const wordOf = (unit: string) => unit.toLowerCase().replace(/[\s.·*]/gu, '')
const sameUnit = (word: string, unit: string | undefined) =>
  unit !== undefined && wordOf(word) === wordOf(unit)

function refused(typed: string, { quantity, unit }: Field): TypedNumber {
  const units = quantity ? Object.keys(UNIT_FACTORS[quantity]) : unit ? [unit] : []
  const known = units.length > 0 ? ` Units it knows: ${units.join(', ')}.` : ''
  return {
    kind: 'refused',
    message: `“${typed}” is no number${unit ? ` of ${unit}` : ''}. Give one like 12.5, 12,5, 3/4, 1 3/8 or 1.2e3.${known}`,
  }
}
