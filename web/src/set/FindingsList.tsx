import type { InstrumentFinding } from '../api/client'
import { findingText, METHOD_WORDS } from '../loop/readings'
import { useUnits } from '../quantities/units'
import { LabelledValue } from '../shell/LabelledValue'
import table from '../shell/table.module.css'

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
