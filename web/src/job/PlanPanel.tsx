import { Link } from 'react-router'
import type { JobSheet } from '../api/client'
import { usePlan } from '../api/queries'
import { minutesText, momentText } from '../quantities/days'
import { Panel } from '../shell/Panel'
import classes from './JobPage.module.css'
import { changeText, planTitle, STATE_MARKS } from './planWords'

/** The order of the work at a job, each step with how it was done and by whom. */
export function PlanPanel({ job }: { job: JobSheet }) {
  const plan = usePlan(job.plan ? job.id : undefined).data?.plan
  if (!job.plan) return null
  const { done, of, minutesLeft, next } = job.plan
  const isOpen = job.state !== 'ended'
  return (
    <Panel
      title={planTitle(job.plan.change)}
      note={`${done} of ${of} steps${next ? ` · ${minutesText(minutesLeft)} left` : ''}`}
    >
      {plan && (
        <p className="cap">{[changeText(plan.was, plan.wanted), plan.title].filter(Boolean).join(' · ')}</p>
      )}
      {next && isOpen && (
        <p>
          Next: <Link to="../build">{next}</Link>
        </p>
      )}
      <ol className={classes.list}>
        {plan?.steps
          .filter((s) => s.state !== 'open' || !isOpen)
          .map((s) => (
            <li key={s.step.key}>
              {STATE_MARKS[s.state].mark || '○'} {s.step.do}
              <span className="cap">
                {' '}
                {[
                  s.state === 'done' ? null : STATE_MARKS[s.state].word,
                  s.why,
                  s.way,
                  s.fastening && `${s.fastening.count} of ${s.fastening.of} tight`,
                  s.who,
                  s.at && momentText(s.at),
                ]
                  .filter(Boolean)
                  .join(', ')}
              </span>
            </li>
          ))}
      </ol>
    </Panel>
  )
}
