import { Link } from 'react-router'
import type { PartSeen } from '../api/check'
import { dueText, dueWhen, gradeText, partsText } from '../job/lookWords'
import { jobPath } from '../job/words'
import { GRADE_COLOURS, VERDICT_WORDS } from '../loop/findingWords'
import type { Workbench } from '../machine/useWorkbench'
import { useUnits } from '../quantities/units'
import { LabelledValue } from '../shell/LabelledValue'
import { Panel } from '../shell/Panel'
import classes from './PartCard.module.css'
import type { Look } from './useLook'

const TONES = {
  stop: GRADE_COLOURS.stop,
  watch: GRADE_COLOURS.watch,
  fine: GRADE_COLOURS.fine,
  notLooked: undefined,
  notJudged: undefined,
}

/** What it comes to: what stands, what is left to look at, and what comes next. */
export function VerdictPanel({ bench, look }: { bench: Workbench; look: Look }) {
  const units = useUnits()
  const { answer, job, left, due } = look
  if (!answer.data) return null
  const { verdict } = answer.data
  const standing = standingOf(look)
  const next = due.data?.items.find((i) => i.kind !== 'stop' && i.kind !== 'watch')
  return (
    <Panel title="What it says" isStale={answer.isStale}>
      <p className={classes.big} style={{ color: TONES[verdict] }}>
        {VERDICT_WORDS[verdict]}
      </p>
      {standing.map((seen) => (
        <LabelledValue key={`${seen.entry} ${seen.part}`} name={seen.what ?? ''}>
          <span style={{ color: GRADE_COLOURS[seen.grade] }}>{gradeText(seen, units)}</span>
        </LabelledValue>
      ))}
      {job && left.length > 0 && (
        <LabelledValue name="not looked at by this job">
          {left.length === look.parts.length ? 'all of it' : partsText(left.map((p) => p.part))}
        </LabelledValue>
      )}
      {next && (
        <LabelledValue name={dueText(next, bench.card.summary.loops)}>{dueWhen(next, units)}</LabelledValue>
      )}
      {job && (
        <p className="cap" style={{ marginTop: 8 }} data-no-print>
          The machine goes out with the signature: <Link to={jobPath(job)}>to the job</Link>.
        </p>
      )}
    </Panel>
  )
}

/** What the core counts as standing on this loop: it lists it as due. */
function standingOf(look: Look): PartSeen[] {
  const keys = new Set(
    (look.due.data?.items ?? []).filter((i) => i.kind === 'stop' || i.kind === 'watch').map((i) => i.key),
  )
  return [...look.parts.flatMap((p) => p.seen), ...(look.answer.data?.others ?? [])].filter((s) =>
    keys.has(`finding/${s.entry}`),
  )
}
