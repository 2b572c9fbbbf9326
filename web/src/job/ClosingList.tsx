import type { JobSheet, LoopSummary } from '../api/client'
import { Panel } from '../shell/Panel'
import classes from './JobPage.module.css'
import { loopName, STEP_WORDS } from './words'

/** What is done before the machine goes out, loop by loop; it is ticked at Set. */
export function ClosingList({ job, loops }: { job: JobSheet; loops: LoopSummary[] }) {
  const standing = job.provisional.filter((p) => p.clearedAt === null)
  return (
    <Panel title="Closing list">
      <ul className={classes.list}>
        {job.loops.map((loop) => (
          <li key={loop.loopKey}>
            <p className="cap">{loopName(loops, loop.loopKey)}</p>
            <ul className={classes.list}>
              {Object.entries(STEP_WORDS).map(([step, words]) => (
                <Item key={step} isDone={loop.done.some((d) => d === step)} text={words} />
              ))}
              <Item isDone={loop.isReadTight} text="last reading, with everything tight" />
            </ul>
          </li>
        ))}
        <Item isDone={standing.length === 0} text="nothing provisional left" />
        {job.deviations.length > 0 && (
          <Item isDone text={`every deviation told: ${job.deviations.map((d) => d.what).join(', ')}`} />
        )}
      </ul>
    </Panel>
  )
}

const Item = ({ isDone, text }: { isDone: boolean; text: string }) => (
  <li data-open={!isDone || undefined}>
    {isDone ? '✓' : '○'} {text}
    <span className="visually-hidden">{isDone ? ', done' : ', open'}</span>
  </li>
)
