import { Link } from 'react-router'
import type { MachineCard, SetJob } from '../api/client'
import { OutsideReadings } from '../loop/OutsideReadings'
import { METHOD_WORDS, readingEnds } from '../loop/readings'
import { dayText } from '../quantities/days'
import { useUnits } from '../quantities/units'
import { Panel } from '../shell/Panel'
import table from '../shell/table.module.css'
import { openOf } from './openReadings'
import classes from './SetView.module.css'
import { recordPath } from './words'

/** Every closed visit to a loop: how it was found and left, so that what it loses between them is seen. */
export default function TrendPanel({ jobs, card }: { jobs: SetJob[]; card: MachineCard }) {
  const units = useUnits()
  if (jobs.length === 0) return null
  const ends = (rounds: SetJob['rounds']) => readingEnds({ rounds }, units)
  return (
    <Panel title="Trend" note="as found against as left the time before">
      <div className={table.scroll}>
        <table className={`${table.table} ${classes.narrow}`}>
          <thead>
            <tr>
              <th scope="col">visit</th>
              <th scope="col">found</th>
              <th scope="col">left</th>
            </tr>
          </thead>
          <tbody>
            {jobs.map((job) => {
              const method = job.rounds.at(-1)?.readings[0]?.method
              return (
                <tr key={job.id}>
                  <th scope="row">
                    <Link to={recordPath(job)} className={classes.why}>
                      {dayText(job.openedOn)}
                    </Link>
                    {method && <div className="cap">{METHOD_WORDS[method]}</div>}
                    {(job.closing?.despite?.includes('outsideWindow') || openOf(card, job).length > 0) && (
                      <span className={table.tag} data-tone="watch">
                        left outside
                      </span>
                    )}
                    {job.closing?.outside && (
                      <ul className={classes.outside}>
                        <OutsideReadings readings={job.closing.outside} />
                      </ul>
                    )}
                  </th>
                  <td className="num">{ends(job.rounds.slice(0, 1))}</td>
                  <td className="num">{ends(job.rounds.slice(-1))}</td>
                </tr>
              )
            })}
          </tbody>
        </table>
      </div>
    </Panel>
  )
}
