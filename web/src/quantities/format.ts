/** Numbers as people read them: a narrow space that never breaks for thousands, true minus sign, three or four significant figures. */

const NARROW_SPACE = '\u202f'
const MINUS = '\u2212'

function grouped(text: string): string {
  const [whole = '', part] = text.split('.')
  const thousands = whole.replace(/\B(?=(\d{3})+(?!\d))/g, NARROW_SPACE)
  return part === undefined ? thousands : `${thousands}.${part}`
}

/** A number with a fixed count of decimals. */
export function fixed(value: number, decimals: number): string {
  const text = grouped(Math.abs(value).toFixed(decimals))
  const isZero = Number(value.toFixed(decimals)) === 0
  return value < 0 && !isZero ? MINUS + text : text
}

/** A number with so many significant figures, without an exponent. */
export function figure(value: number, significant = 4): string {
  if (value === 0) return '0'
  const magnitude = Math.floor(Math.log10(Math.abs(value)))
  return fixed(value, Math.max(0, significant - 1 - magnitude))
}

/** A change, always with its sign. */
export function signed(value: number, decimals: number): string {
  const text = fixed(value, decimals)
  const isZero = Number(value.toFixed(decimals)) === 0
  return value > 0 && !isZero ? `+${text}` : text
}

/** “1 entry”, “3 entries”. */
export const counted = (count: number, one: string, many: string) =>
  `${plain(count)} ${count === 1 ? one : many}`

/** A number as it was stored or typed, without a tail of digits. */
export const plain = (value: number): string =>
  grouped(String(Number(value.toPrecision(7)))).replace('-', MINUS)

/** Shaft speeds are read off a clock: to ten from a thousand on. */
export const rpm = (value: number): string =>
  value >= 1000 ? fixed(Math.round(value / 10) * 10, 0) : value >= 100 ? fixed(value, 0) : figure(value, 3)

/** “1st”, “2nd”; labels of several gear stages and of none stay as they are. */
export function gearName(label: string): string {
  const n = Number(label)
  if (label === '' || !Number.isInteger(n)) return label === '' ? 'direct' : label
  const ending = n % 100 > 10 && n % 100 < 14 ? 'th' : ({ 1: 'st', 2: 'nd', 3: 'rd' }[n % 10] ?? 'th')
  return `${n}${ending}`
}

const MONEY = new Intl.NumberFormat('en', { minimumFractionDigits: 2, maximumFractionDigits: 2 })
/** Money of the workshop, whatever it is called: no currency is assumed. */
export const money = (value: number): string => MONEY.format(value).replaceAll(',', NARROW_SPACE)
