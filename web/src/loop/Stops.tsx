import { Link } from 'react-router'
import type { MachineCard } from '../api/client'
import classes from './Stops.module.css'

/** What was seen on a machine and is not mended: it stands wherever the machine does, until a job has cured it. */
export function Stops({ card }: { card: MachineCard }) {
  const { machine, summary } = card
  if (summary.stops.length === 0) return null
  return (
    <div className={classes.stops} role="note" aria-label="It does not go out">
      {summary.stops.map((stop) => (
        <p key={stop.entry}>
          <b>■ It does not go out:</b> {[stop.what, stop.words].filter(Boolean).join(', ')}.{' '}
          <Link to={`/machines/${machine.id}/jobs/${stop.jobId}`}>to its job</Link>
        </p>
      ))}
    </div>
  )
}
