import type { InstrumentFinding } from '../api/client'
import { type Units, useUnits } from '../quantities/units'
import { LabelledValue } from '../shell/LabelledValue'
import table from '../shell/table.module.css'
import { readingNumber, readingText } from './readings'
import { METHOD_WORDS } from './words'

/** What each instrument of a visit told last: one that read outside stands open until what counts has read inside. */
export function FindingsList({ findings }: { findings: InstrumentFinding[] }) {
  const units = useUnits()
  if (findings.length < 2 && !findings.some((f) => f.isOpen)) return null
  return findings.map((f) => (
    <LabelledValue
      key={f.method}
      name={`${METHOD_WORDS[f.method ?? 'pluck']}, ${f.round === 0 ? 'as found' : `round ${f.round}`}`}
    >
      <span className={table.tag} data-tone={f.isOpen ? 'watch' : f.isInside ? 'ok' : undefined}>
        {f.isOpen ? 'outside, open' : f.isInside ? 'inside' : f.isSettled ? 'outside, settled' : 'no window'}
      </span>{' '}
      {findingText(f, units)}
    </LabelledValue>
  ))
}

/** “51.0 to 53.0 Hz, window 64.0 to 74.0 Hz”. */
export function findingText(f: InstrumentFinding, units: Units): string {
  const {
    loosestReading: loose,
    tightestReading: tight,
    windowLooseReading: low,
    windowTightReading: high,
  } = f
  const range = (a: number, b: number) =>
    a === b
      ? readingText(f.method, a, units)
      : `${readingNumber(f.method, Math.min(a, b), units)} to ${readingText(f.method, Math.max(a, b), units)}`
  return [
    range(loose, tight),
    low !== null && high !== null && f.method !== 'feel' && `window ${range(low, high)}`,
  ]
    .filter(Boolean)
    .join(', ')
}
