import { Button } from '@mantine/core'
import type { JobSheet } from '../api/client'
import { sentenceOf } from '../api/issues'
import { Panel } from '../shell/Panel'
import { LineForm } from './LineForm'
import { useJobEvents } from './useJobEvents'

/** What keeps it from going on. */
export function WaitPanel({ job }: { job: JobSheet }) {
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
