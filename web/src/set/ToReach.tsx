import { useJobs } from '../api/queries'
import { reachText } from '../loop/readings'
import { dayText } from '../quantities/days'
import { useUnits } from '../quantities/units'

/** Where the visit puts back what worked before: how the loop was left then. */
export function ToReach({
  machineId,
  jobId,
  loopKey,
}: {
  machineId: number
  jobId: number
  loopKey: string
}) {
  const units = useUnits()
  const job = useJobs(machineId).data?.find((j) => j.id === jobId)
  const again = job?.fitted.at(-1)
  const reach = again?.again?.toReach.find((r) => r.loopKey === loopKey)
  if (!again || !reach) return null
  return (
    <p>
      To reach: <b className="num">{reachText(reach, units)}</b>{' '}
      <span className="cap">
        as {again.name} was left on {dayText(reach.on)}
      </span>
    </p>
  )
}
