import { useState } from 'react'
import { Link } from 'react-router'
import type { JobSheet } from '../api/client'
import type { PlanStep, PlanToWork } from '../api/plan'
import { changeText, planTitle } from '../job/planWords'
import { Worker } from '../job/Worker'
import { jobPath, loopName } from '../job/words'
import type { Workbench } from '../machine/useWorkbench'
import { minutesText } from '../quantities/days'
import { LabelledValue } from '../shell/LabelledValue'
import { Panel } from '../shell/Panel'
import { useShortcuts } from '../shell/shortcuts'
import { BayStep } from './BayStep'
import classes from './BuildView.module.css'
import { MissingTools } from './MissingTools'
import { OpenItems } from './OpenItems'
import { PutOn } from './PutOn'
import { StepCard } from './StepCard'
import { StepList } from './StepList'
import { Taken } from './Taken'
import { TrayPanel } from './TrayPanel'

/** A plan that is worked on: what is done, the step in hand, what the job has open, the tray. */
export function PlanAtWork({ bench, job, work }: { bench: Workbench; job: JobSheet; work: PlanToWork }) {
  const { plan } = work
  const [chosen, setChosen] = useState<(Pick<PlanStep, 'state'> & { key: string }) | null>(null)
  const [isBay, setBay] = useState(false)
  useShortcuts({ b: () => setBay((was) => !was) })
  const choose = (key: string | null) => {
    const step = plan.steps.find((s) => s.step.key === key)
    setChosen(step ? { key: step.step.key, state: step.state } : null)
  }
  const at =
    // One that was chosen stays in view until something was done about it, here or on another page.
    plan.steps.find((s) => s.step.key === chosen?.key && s.state === chosen.state) ??
    plan.steps.find((s) => s.step.key === plan.next) ??
    plan.steps.at(-1)
  if (!at) return null
  const number = plan.steps.indexOf(at) + 1
  const text = changeText(plan.was, plan.wanted)
  const untold = job.state !== 'ended' && work.toFit ? { card: bench.card, toFit: work.toFit } : null
  if (isBay)
    return (
      <BayStep
        job={job}
        plan={plan}
        at={at}
        untold={untold}
        onChoose={choose}
        onLeave={() => setBay(false)}
      />
    )
  return (
    <div className={classes.build}>
      <div className={classes.column}>
        <Panel
          title={text ? `${planTitle(plan.change)}: ${text}` : planTitle(plan.change)}
          note={`${loopName(bench.card.summary.loops, plan.loopKey)} · ${plan.steps.length} steps`}
        >
          <LabelledValue name="done, in usual minutes">{minutesText(plan.minutesDone)}</LabelledValue>
          <LabelledValue name="left">{minutesText(plan.minutesLeft)}</LabelledValue>
          <StepList phases={work.phases} steps={plan.steps} at={at.step.key} onChoose={choose} isBegun />
          <p className="cap" style={{ marginTop: 8 }}>
            {plan.title}, version {plan.procedureVersion}
          </p>
        </Panel>
      </div>
      <div className={classes.column}>
        {plan.next === null && (
          <Panel title="All steps are told">
            <p>
              The machine goes out with the signature: <Link to={jobPath(job)}>to the job</Link>.
            </p>
            {work.taken && <Taken bench={bench} taken={work.taken} />}
          </Panel>
        )}
        {untold && (
          <Panel title="On the machine" note="Set judges by what is on it">
            <PutOn jobId={job.id} untold={untold} />
          </Panel>
        )}
        <StepCard
          key={`${at.step.key} ${at.state}`}
          bench={bench}
          job={job}
          plan={plan}
          at={at}
          number={number}
          missing={work.missingTools}
          drawn={work}
          onChoose={choose}
          onBay={() => setBay(true)}
        />
        <OpenItems job={job} plan={plan} loops={bench.card.summary.loops} onChoose={choose} />
      </div>
      <div className={classes.column}>
        {job.state !== 'ended' && (
          <Panel title="Who works here" isEmpty>
            <Worker jobId={job.id} />
          </Panel>
        )}
        {plan.tray.length > 0 && <TrayPanel job={job} work={work} />}
        <MissingTools tools={work.missingTools} />
        <Cautions plan={plan} defers={work.defers} />
      </div>
    </div>
  )
}

/** Where the hand goes in, of everything that is still open. */
function Cautions({ plan, defers }: { plan: PlanToWork['plan']; defers: string }) {
  const cautions = plan.steps.filter((s) => s.state === 'open').flatMap((s) => s.step.caution ?? [])
  return (
    <section className={classes.cautions} aria-label="Where the hand goes in">
      <h2>Where the hand goes in</h2>
      <ul>
        {[...new Set(cautions)].map((c) => (
          <li key={c}>{c}</li>
        ))}
      </ul>
      <p className="cap">Torque by the vehicle’s maker. {defers}</p>
    </section>
  )
}
