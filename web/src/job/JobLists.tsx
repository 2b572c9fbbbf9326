import { Button } from '@mantine/core'
import type { JobSheet } from '../api/client'
import { sentenceOf } from '../api/issues'
import { momentText } from '../quantities/days'
import { Panel } from '../shell/Panel'
import classes from './JobPage.module.css'
import { LineForm } from './LineForm'
import { TimeForm } from './TimeForm'
import { useJobEvents } from './useJobEvents'

export function NotesPanel({ job, isOpen }: { job: JobSheet; isOpen: boolean }) {
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

export function ProvisionalPanel({ job, isOpen }: { job: JobSheet; isOpen: boolean }) {
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

export function DeviationsPanel({ job, isOpen }: { job: JobSheet; isOpen: boolean }) {
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
