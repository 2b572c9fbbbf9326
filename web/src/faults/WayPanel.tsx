import { Link } from 'react-router'
import type { FaultDesk } from '../api/faults'
import { dayText, minutesText } from '../quantities/days'
import { useUnits } from '../quantities/units'
import { Panel } from '../shell/Panel'
import classes from './Faults.module.css'
import { type Fault, whyNotNow } from './useFault'
import { measuredText } from './words'

/** The way so far: what was answered, by whom or by the record; each can be taken back. */
export function WayPanel({ fault, desk }: { fault: Fault; desk: FaultDesk }) {
  const units = useUnits()
  return (
    <Panel title="The way so far" isEmpty={desk.way.length === 0}>
      {desk.way.length === 0 && <p className="cap">Nothing is tried yet.</p>}
      {desk.way.map((step) => (
        <div key={step.test} className={classes.row} data-tone={step.isStop ? 'stop' : undefined}>
          <span>{step.ask}</span>
          <b>
            {step.answer}
            {step.measured && !step.record && ` · ${measuredText(step.measured, units)}`}
          </b>
          {step.record && (
            <span className="cap">
              from its record: {step.record.why} {step.measured && measuredText(step.measured, units)},{' '}
              {dayText(step.record.on)}{' '}
            </span>
          )}
          <span className="cap" data-no-print>
            {step.entry !== null ? (
              <TakeBack fault={fault} entry={step.entry} what={step.ask} isFound={desk.found !== null} />
            ) : (
              desk.found === null &&
              (step.isStop || whyNotNow(desk) === null) && (
                <button
                  type="button"
                  className={classes.link}
                  aria-label={`Do it all the same: ${step.ask}`}
                  onClick={() => fault.want(step.test)}
                >
                  do it all the same
                </button>
              )
            )}
          </span>
        </div>
      ))}
      {desk.jobId !== null && (
        <p data-no-print>
          <Link to={`/machines/${fault.at.machineId}/jobs/${desk.jobId}`}>to its job</Link>
        </p>
      )}
      {desk.wayMinutes > 0 && <p className="cap">{minutesText(desk.wayMinutes)} of tests so far.</p>}
    </Panel>
  )
}

function TakeBack({
  fault,
  entry,
  what,
  isFound,
}: {
  fault: Fault
  entry: number
  what: string
  isFound: boolean
}) {
  // What was found rests on it.
  if (isFound) return null
  return (
    <button
      type="button"
      className={classes.link}
      aria-label={`Take back: ${what}`}
      onClick={() => fault.takeBack(entry)}
    >
      take back
    </button>
  )
}
