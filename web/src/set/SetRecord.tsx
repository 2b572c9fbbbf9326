import { Link } from 'react-router'
import type { MachineCard, SetJob } from '../api/client'
import { findingText, METHOD_WORDS, outsideText, readingEnds } from '../loop/readings'
import { dayText } from '../quantities/days'
import { useUnits } from '../quantities/units'
import { LabelledValue } from '../shell/LabelledValue'
import { Panel } from '../shell/Panel'
import { openOf } from './openReadings'
import classes from './SetView.module.css'
import { recordPath } from './words'

/** What a closed visit leaves behind: as found, as left, and when to look again. */
export function SetRecord({ job, card }: { job: SetJob; card: MachineCard }) {
  const units = useUnits()
  const found = job.rounds[0]
  const left = job.rounds.at(-1)
  const ends = (round: SetJob['rounds'][number] | undefined) =>
    readingEnds({ rounds: round ? [round] : [] }, units)
  const method = left?.readings[0]?.method
  const { closing } = job
  return (
    <Panel
      title={`Set on ${dayText(job.openedOn)}`}
      note={method && METHOD_WORDS[method]}
      aside={
        <Link to={recordPath(job)} className={classes.why} data-no-print>
          record
        </Link>
      }
    >
      <LabelledValue name="as found">{ends(found)}</LabelledValue>
      <LabelledValue name="as left">{ends(left)}</LabelledValue>
      {left?.gapMm != null && <LabelledValue name="gap left">{units.show('fine', left.gapMm)}</LabelledValue>}
      <LabelledValue name="rounds">{Math.max(0, job.rounds.length - 1)}</LabelledValue>
      {left?.temperatureC != null && <LabelledValue name="temperature">{left.temperatureC} °C</LabelledValue>}
      {closing?.torqueNm != null && (
        <LabelledValue name="final torque">{units.show('torque', closing.torqueNm)}</LabelledValue>
      )}
      {(closing?.who || job.who) && <LabelledValue name="by">{closing?.who || job.who}</LabelledValue>}
      {closing?.nextCheckOn && (
        <LabelledValue name="look again on">{dayText(closing.nextCheckOn)}</LabelledValue>
      )}
      {closing?.reason && <p className="cap">Closed all the same: {closing.reason}</p>}
      {openOf(card, job).map((open) => (
        <p role="alert" key={open.finding.method} style={{ color: 'var(--watch)' }}>
          ▲ Left outside, {METHOD_WORDS[open.finding.method ?? 'pluck']}: {findingText(open.finding, units)}
        </p>
      ))}
      {/* An instrument may be settled since; the gap of a visit stands as it was left. */}
      {closing?.outside
        ?.filter((o) => o.method === null)
        .map((gap) => (
          <p role="alert" key="gap" style={{ color: 'var(--watch)' }}>
            ▲ Left outside, {outsideText(gap, units)}
          </p>
        ))}
      {closing?.note && <p className="cap">{closing.note}</p>}
    </Panel>
  )
}
