import type { SetJob, SetReading } from '../api/client'
import { figure, fixed } from '../quantities/format'
import type { Units } from '../quantities/units'

// How readings are written; apart from the other words of Set, since the run of every station shows them.

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
    return fixed(units.toShown('fine', value), units.system === 'inch' ? 2 : value < 10 ? 1 : 0)
  return figure(value, 3)
}

const isLength = (method: ReadingMethod | null) => method === 'push' || method === 'freePlay'

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
