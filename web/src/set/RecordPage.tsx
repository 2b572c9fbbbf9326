import { Button } from '@mantine/core'
import { Link, useParams } from 'react-router'
import { useSetJobs } from '../api/queries'
import { useBench } from '../machine/useWorkbench'
import { EmptyState } from '../shell/EmptyState'
import { SetRecordSheet } from './SetRecordSheet'

/** The record that a visit leaves behind, on a page of its own, to be printed. */
export default function RecordPage() {
  const bench = useBench()
  const { jobId, loopKey } = useParams()
  const jobs = useSetJobs(bench.card.machine.id)
  const job = jobs.data?.find(
    (j) => j.id === Number(jobId) && (loopKey === undefined || j.loopKey === loopKey),
  )
  if (!jobs.data) return <EmptyState title="Opening the record …" />
  if (!job)
    return (
      <EmptyState title="There is no such record.">
        It was removed, or belongs to another machine.{' '}
        <Button size="compact-sm" variant="default" component={Link} to="../set">
          Back to Set
        </Button>
      </EmptyState>
    )
  return <SetRecordSheet bench={bench} job={job} />
}
