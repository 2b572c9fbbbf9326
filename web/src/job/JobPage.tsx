import { Link, useParams } from 'react-router'
import type { JobSheet } from '../api/client'
import { sentenceOf } from '../api/issues'
import { useJobs } from '../api/queries'
import { useBench, type Workbench } from '../machine/useWorkbench'
import { EmptyState } from '../shell/EmptyState'
import { ClosingList } from './ClosingList'
import { FaultsPanel } from './FaultsPanel'
import { FindingsPanel } from './FindingsPanel'
import { FittedPanel } from './FittedPanel'
import { HeadPanel } from './HeadPanel'
import { DeviationsPanel, NotesPanel, ProvisionalPanel } from './JobLists'
import classes from './JobPage.module.css'
import { PartsPanel } from './PartsPanel'
import { PhotosPanel } from './PhotosPanel'
import { PlanPanel } from './PlanPanel'
import { SignPanel } from './SignPanel'
import { WaitPanel } from './WaitPanel'

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
  // Where only setting was begun and all of it is closed there is nothing left to sign.
  const isOpen = job.state !== 'ended'
  return (
    <div className={classes.job}>
      <div className={classes.column}>
        <HeadPanel bench={bench} job={job} />
        <FaultsPanel bench={bench} job={job} isOpen={isOpen} />
        <PlanPanel job={job} />
        {(isOpen || job.findings.length > 0) && (
          <FindingsPanel bench={bench} job={job} jobs={jobs} isOpen={isOpen} />
        )}
        {(isOpen || job.photos.length > 0) && (
          <PhotosPanel bench={bench} job={job} jobs={jobs} isOpen={isOpen} />
        )}
        {job.fitted.length > 0 && <FittedPanel bench={bench} job={job} />}
        {(isOpen || job.parts.length > 0) && <PartsPanel job={job} isOpen={isOpen} />}
        <NotesPanel job={job} isOpen={isOpen} />
        {(isOpen || job.provisional.length > 0) && <ProvisionalPanel job={job} isOpen={isOpen} />}
        {(isOpen || job.deviations.length > 0) && <DeviationsPanel job={job} isOpen={isOpen} />}
      </div>
      <div className={classes.side}>
        {isOpen && <WaitPanel job={job} />}
        {(isOpen || job.loops.length > 0) && <ClosingList job={job} loops={bench.card.summary.loops} />}
        {(isOpen || job.signature) && <SignPanel job={job} loops={bench.card.summary.loops} />}
      </div>
    </div>
  )
}
