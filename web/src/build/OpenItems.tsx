import { Link } from 'react-router'
import type { JobSheet, LoopSummary } from '../api/client'
import type { PlanToWork } from '../api/plan'
import { STATE_MARKS } from '../job/planWords'
import { BLOCK_WORDS, jobPath, loopName } from '../job/words'
import { dayText, momentText } from '../quantities/days'
import { Panel } from '../shell/Panel'
import classes from './BuildView.module.css'

/** What is told or blocks at the signature, before the last step is there. */
export function OpenItems({
  job,
  plan,
  loops,
  onChoose,
}: {
  job: JobSheet
  plan: PlanToWork['plan']
  loops: LoopSummary[]
  onChoose: (key: string) => void
}) {
  const otherwise = plan.steps.filter((s) => s.why !== null)
  const curing = plan.steps.filter((s) => s.holdsFrom !== null && new Date(s.holdsFrom) > new Date())
  // Steps stand in the list of the plan already; here is what was not done as it has it.
  const blocks = job.blockedBy.filter((b) => b.kind !== 'stepOpen' && b.kind !== 'stepForNow')
  const open = plan.steps.filter((s) => s.state === 'open' && s.step.isMust).length
  const standIns = plan.tray.filter((l) => l.state === 'standIn')
  return (
    <Panel title="What this job has open">
      <ul className={classes.open}>
        {otherwise.map((s) => (
          <li key={s.step.key}>
            <button type="button" className={classes.link} onClick={() => onChoose(s.step.key)}>
              {s.step.do}
            </button>
            <span>
              {STATE_MARKS[s.state].word}: {s.why}
              {s.who && <span className="cap"> {s.who}</span>}
            </span>
            <b data-tone={s.state === 'forNow' ? 'stop' : 'watch'}>
              {s.state === 'forNow' ? '■ blocks' : '▲ told'}
            </b>
          </li>
        ))}
        {standIns.map((l) => (
          <li key={l.part.key}>
            <span>{l.part.what}</span>
            <span>in its place: {l.standIn}</span>
            <b data-tone="watch">▲ told</b>
          </li>
        ))}
        {curing.map((s) => (
          <li key={s.step.key}>
            <span>{s.step.fastener?.what}</span>
            <span>cures until {momentText(s.holdsFrom ?? '')}</span>
            <b data-tone="watch">◷ cures</b>
          </li>
        ))}
        {blocks.map((b) => (
          <li key={b.kind + b.what}>
            <span>
              {BLOCK_WORDS[b.kind]}{' '}
              {b.kind === 'loopNotClosed' || b.kind === 'noLastReading' ? loopName(loops, b.what) : b.what}
            </span>
            <span />
            <b data-tone="stop">■ blocks</b>
          </li>
        ))}
        {open > 0 && (
          <li>
            <span>{open === 1 ? 'one step' : `${open} steps`} without which it does not go out</span>
            <span>not done yet</span>
            <b data-tone="stop">■ blocks</b>
          </li>
        )}
      </ul>
      <p className="cap" data-no-print>
        Job of {dayText(job.openedOn)}: <Link to={jobPath(job)}>all that belongs to it</Link>
      </p>
    </Panel>
  )
}
