import type { InstrumentFinding, OutsideReading, ReadingToReach, SetJob, SetReading } from '../api/client'
import { figure, fixed } from '../quantities/format'
import type { Units } from '../quantities/units'

// How readings are written: at Set, in the strip of stations and in the yard.

export type ReadingMethod = NonNullable<SetReading['method']>

/** A reading in the unit of its method. */
export function readingText(method: ReadingMethod | null, value: number, units: Units): string {
  const unit = method === 'pluck' ? 'Hz' : isLength(method) ? units.unitOf('fine') : ''
  return [readingNumber(method, value, units), unit].filter(Boolean).join('\u00a0')
}

/** The same without its unit. */
export function readingNumber(method: ReadingMethod | null, value: number, units: Units): string {
  if (method === 'pluck') return fixed(value, 1)
  if (method === 'feel') return ['loose', 'about right', 'tight'][Math.round(value) - 1] ?? figure(value, 2)
  if (isLength(method))
    return fixed(units.toShown('fine', value), units.system === 'inch' ? 2 : Math.abs(value) < 10 ? 1 : 0)
  return figure(value, 3)
}

const isLength = (method: ReadingMethod | null) =>
  method === 'push' || method === 'freePlay' || method === 'beltHeight'

/** “58.0 to 66.0 Hz”: lowest and highest of the last round that was read. */
export function readingEnds(job: Pick<SetJob, 'rounds'>, units: Units): string {
  const round = job.rounds.findLast((r) => r.readings.length > 0)
  const method = round?.readings[0]?.method ?? null
  const values = (round?.readings ?? []).filter((r) => r.method === method).map((r) => r.value)
  if (values.length === 0) return 'not read yet'
  return endsText(method, Math.min(...values), Math.max(...values), units)
}

export const endsText = (method: ReadingMethod | null, low: number, high: number, units: Units): string =>
  low === high
    ? readingText(method, low, units)
    : `${readingNumber(method, low, units)} to ${readingText(method, high, units)}`

export const METHOD_WORDS: Record<ReadingMethod, string> = {
  pluck: 'plucked',
  push: 'pushed',
  gauge: 'gauge',
  freePlay: 'free play',
  feel: 'by feel',
  beltHeight: 'above the rim',
}

/** “51.0 to 53.0 Hz, window 64.0 to 74.0 Hz”. */
export function findingText(f: InstrumentFinding, units: Units): string {
  const {
    loosestReading: loose,
    tightestReading: tight,
    windowLooseReading: low,
    windowTightReading: high,
  } = f
  const range = (a: number, b: number) => endsText(f.method, Math.min(a, b), Math.max(a, b), units)
  return [
    range(loose, tight),
    low !== null && high !== null && f.method !== 'feel' && `window ${range(low, high)}`,
  ]
    .filter(Boolean)
    .join(', ')
}

/** “35 to 38 mm, free play, gap 1.2 mm”. */
export const reachText = ({ method, low, high, gapMm }: ReadingToReach, units: Units): string =>
  [
    method &&
      low !== null &&
      high !== null &&
      `${endsText(method, low, high, units)}, ${METHOD_WORDS[method]}`,
    gapMm !== null && `gap ${units.show('fine', gapMm)}`,
  ]
    .filter(Boolean)
    .join(', ')

/** “plucked 51.0 to 53.0 Hz, window 64.0 to 74.0 Hz”: it stands so on the record and in the trend. */
export function outsideText({ method, ...at }: OutsideReading, units: Units): string {
  const range = (a: number, b: number) =>
    method
      ? endsText(method, Math.min(a, b), Math.max(a, b), units)
      : a === b
        ? units.show('fine', a)
        : `${units.show('fine', Math.min(a, b))} to ${units.show('fine', Math.max(a, b))}`
  return [
    `${method ? METHOD_WORDS[method] : 'gap'} ${range(at.loosest, at.tightest)}`,
    at.windowLoose !== null &&
      at.windowTight !== null &&
      method !== 'feel' &&
      `window ${range(at.windowLoose, at.windowTight)}`,
  ]
    .filter(Boolean)
    .join(', ')
}
