import { Button } from '@mantine/core'
import { Link } from 'react-router'
import type { MachineCard } from '../api/client'
import { useJobs } from '../api/queries'
import { BeginJob } from './BeginJob'
import { jobPath, REASON_WORDS } from './words'

/** The job a machine is in for, at all its stations; else the way to begin one. */
export function JobLink({ card }: { card: MachineCard }) {
  const { machine } = card
  const jobs = useJobs(machine.id)
  const open = jobs.data?.filter((j) => j.state !== 'ended') ?? []
  const [job, ...others] = open
  if (jobs.isPending) return null
  return job ? (
    <Button size="compact-sm" variant="default" component={Link} to={jobPath(job)}>
      {job.state === 'waits' ? '◷ ' : '● '}
      {REASON_WORDS[job.reason]}
      {others.length > 0 && ` and ${others.length} more`}
    </Button>
  ) : (
    machine.retiredOn === null && (
      <BeginJob size="compact-sm" variant="default" cards={[card]} machineId={machine.id} />
    )
  )
}
