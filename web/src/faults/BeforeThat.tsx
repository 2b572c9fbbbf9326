import { Link } from 'react-router'
import type { FaultDesk } from '../api/faults'
import { dayText } from '../quantities/days'
import { Panel } from '../shell/Panel'
import classes from './Faults.module.css'

/** What was found of this loop before. */
export function BeforeThat({ desk, machineId }: { desk: FaultDesk; machineId: number }) {
  if (desk.before.length === 0) return null
  return (
    <Panel title="Found before on this loop">
      {desk.before.map((found) => (
        <div key={`${found.jobId} ${found.what}`} className={classes.row}>
          <span>{found.what}</span>
          <b>{found.isGone === null ? '' : found.isGone ? 'gone then' : 'not gone'}</b>
          <span className="cap">
            <Link to={`/machines/${machineId}/jobs/${found.jobId}`}>{dayText(found.on)}</Link>
          </span>
        </div>
      ))}
    </Panel>
  )
}
