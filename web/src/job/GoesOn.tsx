import { Link } from 'react-router'
import type { JobReason, JobSheet, MachineCard } from '../api/client'
import { sentenceOf } from '../api/issues'
import { useOpenJobs } from '../api/queries'
import { choicesOf } from '../quantities/choices'
import { Panel } from '../shell/Panel'
import classes from './GoesOn.module.css'
import { jobPath, loopName, REASON_HINTS, REASON_WORDS, sinceText } from './words'

/** What is being worked on, and what waits for something. */
export function GoesOn({ cards }: { cards: MachineCard[] }) {
  const jobs = useOpenJobs()
  return (
    <Panel title="Goes on" isEmpty={jobs.data?.length === 0}>
      {jobs.error !== null && <p role="alert">{sentenceOf(jobs.error)}</p>}
      {jobs.data?.length === 0 && (
        <p className="cap">No machine is in work. Begin a job when one comes in.</p>
      )}
      <ul className={classes.list}>
        {jobs.data?.map((job) => (
          <JobItem key={job.id} job={job} card={cards.find((c) => c.machine.id === job.machineId)} />
        ))}
      </ul>
    </Panel>
  )
}

function JobItem({ job, card }: { job: JobSheet; card: MachineCard | undefined }) {
  return (
    <li className={classes.job} data-state={job.state}>
      <Link to={jobPath(job)}>
        <b>{card?.machine.name ?? 'A machine'}</b> · {REASON_WORDS[job.reason]}
      </Link>
      {job.about && <span>{job.about}</span>}
      {job.waitsFor && <span className={classes.waits}>◷ waits for {job.waitsFor}</span>}
      {job.findings
        .filter((f) => f.grade === 'stop' && f.curedAt === null)
        .map((f) => (
          <span key={f.entry} style={{ color: 'var(--stop)' }}>
            ■ stop: {f.what}
          </span>
        ))}
      {job.plan && (
        <span>
          Build, {job.plan.done} of {job.plan.of}
          {job.plan.next && `: ${job.plan.next}`}
        </span>
      )}
      <LoopsAtWork job={job} card={card} />
      <span className="cap">{sinceText(job)}</span>
    </li>
  )
}

function LoopsAtWork({ job, card }: { job: JobSheet; card: MachineCard | undefined }) {
  const open = job.loops.filter((l) => !l.isClosed)
  if (open.length === 0) return null
  const text = ({ loopKey, rounds }: JobSheet['loops'][number]) =>
    `${loopName(card?.summary.loops ?? [], loopKey)} ${rounds === 0 ? 'begun' : `round ${rounds}`}`
  return <span>Set, {open.map(text).join(', ')}</span>
}

/** The four doors, each with what follows. */
export function JobDoors({ onChoose }: { onChoose: (reason: JobReason) => void }) {
  return (
    <Panel title="Begin a job by" isEmpty>
      <ul className={classes.doors}>
        {choicesOf(REASON_WORDS).map(({ value, label }) => (
          <li key={value}>
            <button type="button" onClick={() => onChoose(value)}>
              <b>{label}</b>
              <span className="cap">{REASON_HINTS[value]}</span>
            </button>
          </li>
        ))}
      </ul>
    </Panel>
  )
}
