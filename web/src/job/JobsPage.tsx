import { Link, useSearchParams } from 'react-router'
import { sentenceOf } from '../api/issues'
import { useJobs } from '../api/queries'
import { useBench } from '../machine/useWorkbench'
import { choicesOf } from '../quantities/choices'
import { dayText, minutesText } from '../quantities/days'
import { useUnits } from '../quantities/units'
import { EmptyState } from '../shell/EmptyState'
import { Panel } from '../shell/Panel'
import table from '../shell/table.module.css'
import { BeginJob, JobDialog } from './BeginJob'
import { jobPath, REASON_WORDS, STATE_WORDS } from './words'

/** Every time the machine came in; each opens as it was. */
export default function JobsPage() {
  const { card } = useBench()
  const units = useUnits()
  const jobs = useJobs(card.machine.id)
  const [address, setAddress] = useSearchParams()
  const begin = choicesOf(REASON_WORDS).find(({ value }) => value === address.get('begin'))?.value
  // Find leads here, with why the machine came in.
  const dialog = (
    <JobDialog
      isOpen={begin !== undefined}
      cards={[card]}
      machineId={card.machine.id}
      reason={begin}
      onClose={() => setAddress({}, { replace: true })}
    />
  )
  if (jobs.error && !jobs.data)
    return <EmptyState title="The jobs can’t be read.">{sentenceOf(jobs.error)}</EmptyState>
  if (!jobs.data) return <EmptyState title="Opening the jobs …" />
  if (jobs.data.length === 0)
    return (
      <>
        <EmptyState title="This machine never came in.">
          Begin a job when it does: it gathers what is read, set, noted and spent, until it is signed.
        </EmptyState>
        {dialog}
      </>
    )
  return (
    <div style={{ padding: '14px 20px' }}>
      {dialog}
      <Panel
        title={`Jobs of ${card.machine.name}`}
        note="the newest first"
        aside={
          // Else the bar above has it.
          jobs.data.some((j) => j.state !== 'ended') &&
          card.machine.retiredOn === null && (
            <BeginJob size="compact-sm" variant="default" cards={[card]} machineId={card.machine.id} />
          )
        }
      >
        <div className={table.scroll}>
          <table className={table.table}>
            <thead>
              <tr>
                <th scope="col">came in</th>
                <th scope="col" className={table.words}>
                  by
                </th>
                <th scope="col" className={table.words}>
                  state
                </th>
                <th scope="col">odometer</th>
                <th scope="col">set</th>
                <th scope="col">time</th>
                <th scope="col">rider or owner</th>
              </tr>
            </thead>
            <tbody>
              {jobs.data.map((job) => (
                <tr key={job.id}>
                  <th scope="row">
                    <Link to={jobPath(job)}>{dayText(job.openedOn)}</Link>
                  </th>
                  <td className={table.words}>
                    {REASON_WORDS[job.reason]}
                    {job.about && <span className="cap"> {job.about}</span>}
                  </td>
                  <td className={table.words}>
                    {job.waitsFor ? `waits for ${job.waitsFor}` : STATE_WORDS[job.state]}
                  </td>
                  <td className="num">
                    {job.odometerKm === null ? '–' : units.show('distance', job.odometerKm)}
                  </td>
                  <td className="num">{job.loops.length || '–'}</td>
                  <td className="num">{job.minutes > 0 ? minutesText(job.minutes) : '–'}</td>
                  <td>{job.signature?.score == null ? '–' : `${job.signature.score} of 5`}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </Panel>
    </div>
  )
}
