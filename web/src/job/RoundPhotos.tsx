import { useJobs } from '../api/queries'
import type { Workbench } from '../machine/useWorkbench'
import { Panel } from '../shell/Panel'
import { PhotoList } from './PhotoList'
import { TakePhotos } from './TakePhotos'

/** Photos of a loop that is being set, and the place to take one of the round in hand. */
export function RoundPhotos({
  bench,
  jobId,
  loopKey,
  round,
}: {
  bench: Workbench
  jobId: number
  loopKey: string
  /** What is taken now goes with it; undefined where nothing is taken any more. */
  round?: number
}) {
  const jobs = useJobs(bench.card.machine.id).data
  const job = jobs?.find((j) => j.id === jobId)
  const photos = job?.photos.filter((p) => p.loopKey === loopKey) ?? []
  if (!job || !jobs || (photos.length === 0 && round === undefined)) return null
  return (
    <Panel title="Photos" isEmpty={photos.length === 0}>
      <PhotoList bench={bench} job={job} jobs={jobs} photos={photos} />
      {round !== undefined && job.state !== 'ended' && (
        <TakePhotos
          jobId={jobId}
          said={{ shows: 'freePlay', loopKey, round, about: round === 0 ? 'as found' : `round ${round}` }}
        />
      )}
    </Panel>
  )
}
