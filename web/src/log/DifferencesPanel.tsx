import type { FairComparison, OtherCondition } from '../api/log'
import { fixed } from '../quantities/format'
import { type Units, useUnits } from '../quantities/units'
import { LabelledValue } from '../shell/LabelledValue'
import { Panel } from '../shell/Panel'
import { CONDITION_WORDS, differenceText } from './logWords'

/** What else differed between the two, and what may have unseen. */
export function DifferencesPanel({ comparison, isStale }: { comparison: FairComparison; isStale: boolean }) {
  const units = useUnits()
  const { first, second, changes, others, unsaid, separating, notCounted, setups } = comparison
  if (!first || !second) return null
  const nameOf = (id: number) => setups.find((s) => s.id === id)?.name
  const effects = changes.filter((c) => c.part !== 'length')
  const left = [
    notCounted.missing > 0 && `${notCounted.missing} with a fill that is missing`,
    notCounted.backwards > 0 && `${notCounted.backwards} over which the odometer went back`,
    notCounted.ofNoSetup > 0 && `${notCounted.ofNoSetup} of no setup, or across a change`,
    notCounted.struck > 0 && `${notCounted.struck} lines struck out`,
  ].filter(Boolean)
  return (
    <Panel title="What else differed" isStale={isStale}>
      {changes.map((c) => (
        <p key={`${c.loopKey} ${c.part}`} style={{ margin: '0 0 2px' }}>
          {differenceText(c)}
        </p>
      ))}
      {effects.length > 1 && (
        <p className="cap">
          More than one thing was changed at once: this comparison can’t tell which of them it was.
        </p>
      )}
      {changes.length === 0 && <p className="cap">Nothing of the setups themselves.</p>}
      {others.map((o) => (
        <LabelledValue key={o.condition} name={CONDITION_WORDS[o.condition]}>
          {o.firstMean != null && o.secondMean != null
            ? `${meanText(o.condition, o.firstMean, units)} → ${meanText(o.condition, o.secondMean, units)}`
            : `${o.first} → ${o.second}`}
        </LabelledValue>
      ))}
      {others.length > 0 && <p className="cap">All of that is in the difference, too.</p>}
      {unsaid.length > 0 && (
        <p className="cap">
          Not said each time, so it may differ unseen: {unsaid.map((c) => CONDITION_WORDS[c]).join(', ')}.
        </p>
      )}
      {separating.map((s) => (
        <p className="cap" key={`${s.firstId} ${s.secondId}`}>
          {nameOf(s.firstId)} against {nameOf(s.secondId)} tells one effect alone:{' '}
          {differenceText(s.difference)}.
        </p>
      ))}
      {left.length > 0 && <p className="cap">Not counted: {left.join('; ')}.</p>}
    </Panel>
  )
}

function meanText(condition: OtherCondition, mean: number, units: Units) {
  switch (condition) {
    case 'load':
      return units.show('mass', mean)
    case 'wind':
      return units.show('speed', mean)
    case 'partsAge':
      return units.show('distance', mean)
    default:
      return `${fixed(mean, 1)} %`
  }
}
