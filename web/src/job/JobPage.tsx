import { Button, Group } from '@mantine/core'
import { notifications } from '@mantine/notifications'
import { Link, useNavigate, useParams } from 'react-router'
import { type JobSheet, listChanges, removeJob, undoChange } from '../api/client'
import { sentenceOf } from '../api/issues'
import { useChange, useJobs } from '../api/queries'
import { STATION_WORDS } from '../machine/followUpWords'
import { useBench, type Workbench } from '../machine/useWorkbench'
import { dayText, momentText } from '../quantities/days'
import { plain } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { EmptyState } from '../shell/EmptyState'
import { LabelledValue } from '../shell/LabelledValue'
import { Panel } from '../shell/Panel'
import table from '../shell/table.module.css'
import { UndoNotice } from '../shell/UndoNotice'
import classes from './JobPage.module.css'
import { LineForm } from './LineForm'
import { SignPanel } from './SignPanel'
import { TimeForm } from './TimeForm'
import { useJobEvents } from './useJobEvents'
import { Worker } from './Worker'
import { minutesText, REASON_WORDS, STATE_WORDS, sinceText } from './words'

/** One job, from arrival to signature: what was done, what it waits for, what is in the way of its end. */
export default function JobPage() {
  const bench = useBench()
  const { jobId } = useParams()
  const jobs = useJobs(bench.card.machine.id)
  const job = jobs.data?.find((j) => j.id === Number(jobId))
  if (jobs.error && !jobs.data)
    return <EmptyState title="The jobs can’t be read.">{sentenceOf(jobs.error)}</EmptyState>
  if (!jobs.data) return <EmptyState title="Opening the job …" />
  if (!job)
    return (
      <EmptyState title="There is no such job.">
        It was removed, or belongs to another machine. <Link to="../jobs">All jobs of this machine</Link>
      </EmptyState>
    )
  return <OpenJob key={job.id} bench={bench} job={job} jobs={jobs.data} />
}

function OpenJob({ bench, job, jobs }: { bench: Workbench; job: JobSheet; jobs: JobSheet[] }) {
  const isOpen = job.signature === null
  return (
    <div className={classes.job}>
      <div className={classes.column}>
        <HeadPanel bench={bench} job={job} jobs={jobs} />
        <NotesPanel job={job} isOpen={isOpen} />
        {(isOpen || job.provisional.length > 0) && <ProvisionalPanel job={job} isOpen={isOpen} />}
        {(isOpen || job.deviations.length > 0) && <DeviationsPanel job={job} isOpen={isOpen} />}
      </div>
      <div className={classes.side}>
        {isOpen && <WaitPanel job={job} />}
        <SignPanel job={job} loops={bench.card.summary.loops} />
      </div>
    </div>
  )
}

function HeadPanel({ bench, job, jobs }: { bench: Workbench; job: JobSheet; jobs: JobSheet[] }) {
  const units = useUnits()
  const navigate = useNavigate()
  const remove = useChange(removeJob)
  const undo = useChange(undoChange)
  const failed = (error: unknown) => notifications.show({ color: 'red', message: sentenceOf(error) })
  const onRemove = async () => {
    try {
      await remove.mutateAsync(job)
    } catch (error) {
      return failed(error)
    }
    navigate(`/machines/${job.machineId}/jobs`)
    const [last] = await listChanges(job.machineId)
    notifications.show({
      message: (
        <UndoNotice
          text="The job is removed with all that happened at it"
          onUndo={() => last && undo.mutate(last.id, { onError: failed })}
        />
      ),
    })
  }
  return (
    <Panel
      title={`${bench.card.machine.name}: ${REASON_WORDS[job.reason]}`}
      note={sinceText(job)}
      aside={
        <span className={table.tag} data-tone={job.state === 'waits' ? 'watch' : 'ok'}>
          {STATE_WORDS[job.state]}
        </span>
      }
    >
      {job.about && <p className={classes.about}>{job.about}</p>}
      <LabelledValue name="came in">{dayText(job.openedOn)}</LabelledValue>
      {job.odometerKm !== null && (
        <LabelledValue name="odometer then">{units.show('distance', job.odometerKm)}</LabelledValue>
      )}
      {job.hours !== null && <LabelledValue name="hours run then">{plain(job.hours)} h</LabelledValue>}
      {job.people.length > 0 && (
        <LabelledValue name="worked on it">
          {job.people.map((p) => (p.minutes > 0 ? `${p.name} ${minutesText(p.minutes)}` : p.name)).join(', ')}
        </LabelledValue>
      )}
      {job.minutes > 0 && <LabelledValue name="working time">{minutesText(job.minutes)}</LabelledValue>}
      <Work bench={bench} job={job} />
      <Group gap="xs" mt="sm" data-no-print align="end">
        {job.signature === null && <Worker jobs={jobs} />}
        <Button size="compact-sm" variant="default" onClick={() => window.print()}>
          Print it
        </Button>
        <Button size="compact-sm" variant="default" component={Link} to="../jobs">
          All jobs of this machine
        </Button>
        <Button size="compact-sm" variant="subtle" color="gray" loading={remove.isPending} onClick={onRemove}>
          Remove
        </Button>
      </Group>
    </Panel>
  )
}

function NotesPanel({ job, isOpen }: { job: JobSheet; isOpen: boolean }) {
  return (
    <Panel title="Notes and time" isEmpty={job.notes.length === 0}>
      {job.notes.length === 0 && !isOpen && <p className="cap">Nothing was noted.</p>}
      <ul className={classes.notes}>
        {job.notes.map((note) => (
          <li key={note.at + note.text}>
            {note.text}
            <span className="cap">{[note.who, momentText(note.at)].filter(Boolean).join(' · ')}</span>
          </li>
        ))}
      </ul>
      {isOpen && (
        <>
          <LineForm
            jobId={job.id}
            labels={{ text: 'Note' }}
            action="Write it down"
            event={({ text }) => ({ kind: 'noteWritten', text })}
          />
          <TimeForm jobId={job.id} />
        </>
      )}
    </Panel>
  )
}

function ProvisionalPanel({ job, isOpen }: { job: JobSheet; isOpen: boolean }) {
  const record = useJobEvents(job.id)
  return (
    <Panel title="Provisional" note="to be undone before it is signed" isEmpty={job.provisional.length === 0}>
      <ul className={classes.notes}>
        {job.provisional.map((part) => (
          <li key={part.at + part.what} data-cleared={part.clearedAt !== null || undefined}>
            <span>
              {part.clearedAt === null ? '◇ ' : '✓ '}
              {part.what}
            </span>
            <span className="cap">
              {[
                part.who,
                part.clearedAt === null ? momentText(part.at) : `cleared ${momentText(part.clearedAt)}`,
              ]
                .filter(Boolean)
                .join(' · ')}
            </span>
            {isOpen && part.clearedAt === null && (
              <Button
                size="compact-sm"
                variant="default"
                data-no-print
                aria-label={`Cleared: ${part.what}`}
                loading={record.isPending}
                onClick={() => record.happens({ kind: 'provisionalCleared', what: part.what })}
              >
                Cleared
              </Button>
            )}
          </li>
        ))}
      </ul>
      {record.error && <p role="alert">{sentenceOf(record.error)}</p>}
      {isOpen && (
        <LineForm
          jobId={job.id}
          labels={{ what: 'What stands there for now' }}
          action="Note it"
          event={({ what }) => ({ kind: 'provisionalFitted', what })}
        />
      )}
    </Panel>
  )
}

function DeviationsPanel({ job, isOpen }: { job: JobSheet; isOpen: boolean }) {
  return (
    <Panel title="Deviations" note="done otherwise than it should be" isEmpty={job.deviations.length === 0}>
      <ul className={classes.notes}>
        {job.deviations.map((d) => (
          <li key={d.at + d.what}>
            <span>
              ▲ {d.what}: {d.why}
            </span>
            <span className="cap">{[d.who, momentText(d.at)].filter(Boolean).join(' · ')}</span>
          </li>
        ))}
      </ul>
      {isOpen && (
        <LineForm
          jobId={job.id}
          labels={{ what: 'What was done otherwise', why: 'Why' }}
          action="Note it"
          event={({ what, why }) => ({ kind: 'deviationNoted', what, why })}
        />
      )}
    </Panel>
  )
}

/** What was set at it, and where it goes on. */
function Work({ bench, job }: { bench: Workbench; job: JobSheet }) {
  const nameOf = (key: string) => bench.card.summary.loops.find((l) => l.loopKey === key)?.name ?? key
  return (
    <>
      {job.loops.map((loop) => (
        <LabelledValue key={loop.loopKey} name={`Set, ${nameOf(loop.loopKey)}`}>
          <Link to={`../set/${job.id}/${encodeURIComponent(loop.loopKey)}`}>
            {loop.isClosed ? 'closed' : 'goes on'}, {loop.rounds === 1 ? '1 round' : `${loop.rounds} rounds`}
          </Link>
        </LabelledValue>
      ))}
      {job.state !== 'ended' && (
        <Group gap="xs" mt="sm" data-no-print>
          <span className="cap">goes on at</span>
          {job.stations.map((station) => (
            <Button key={station} size="compact-sm" variant="default" component={Link} to={`../${station}`}>
              {STATION_WORDS[station]}
            </Button>
          ))}
          {job.reason === 'partNotToBeHad' && (
            <Button size="compact-sm" variant="default" component={Link} to="/stock">
              Stock
            </Button>
          )}
        </Group>
      )}
    </>
  )
}

function WaitPanel({ job }: { job: JobSheet }) {
  const record = useJobEvents(job.id)
  return (
    <Panel title="Waiting" isEmpty={job.waitsFor === null}>
      {job.waitsFor === null ? (
        <LineForm
          jobId={job.id}
          labels={{ for: 'What it waits for' }}
          action="It waits"
          event={(words) => ({ kind: 'waitBegun', for: words.for })}
        />
      ) : (
        <>
          <p>◷ {job.waitsFor}</p>
          <Button
            mt="xs"
            size="sm"
            variant="default"
            data-no-print
            loading={record.isPending}
            onClick={() => record.happens({ kind: 'waitEnded' })}
          >
            It has come
          </Button>
          {record.error && <p role="alert">{sentenceOf(record.error)}</p>}
        </>
      )}
    </Panel>
  )
}
