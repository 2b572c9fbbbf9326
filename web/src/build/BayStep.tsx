import { Button } from '@mantine/core'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import type { JobSheet } from '../api/client'
import type { PlanStep, PlanToWork } from '../api/plan'
import { STATE_MARKS } from '../job/planWords'
import { Bay } from '../shell/Bay'
import classes from '../shell/bay.module.css'
import { ReasonedButton } from '../shell/ReasonedButton'
import { Refused } from '../shell/Refused'
import { PutOn, type Untold } from './PutOn'
import { StepActions } from './StepActions'
import { StepFields, stepFields } from './StepFields'
import { useStep } from './useStep'
import { toolsText } from './words'

/** One step, big, for a thumb; the screen stays awake, and it speaks when wanted. */
export function BayStep({
  job,
  plan,
  at,
  untold,
  onChoose,
  onLeave,
}: {
  job: JobSheet
  plan: PlanToWork['plan']
  at: PlanStep
  untold: Untold | null
  onChoose: (key: string | null) => void
  onLeave: () => void
}) {
  const navigate = useNavigate()
  const number = plan.steps.indexOf(at)
  const before = plan.steps[number - 1]
  return (
    <Bay speech={[at.step.do, at.step.trap, at.step.caution].filter(Boolean).join(' ')} onLeave={onLeave}>
      <p className={classes.count}>
        Step {number + 1} of {plan.steps.length} · {toolsText(at.step)}
        {at.step.hands > 1 && ' · two pairs of hands'}
      </p>
      <p className={classes.instruction} aria-live="polite">
        {at.step.do}
      </p>
      {at.step.trap && (
        <p className={classes.trap}>
          <b>Trap.</b> {at.step.trap}
        </p>
      )}
      {at.step.caution && <p className={classes.trap}>▲ {at.step.caution}</p>}
      {untold && (
        <div className={classes.fields}>
          <PutOn jobId={job.id} untold={untold} size="xl" className={classes.big} fullWidth />
        </div>
      )}
      {at.state === 'open' ? (
        <Open
          key={at.step.key}
          job={job}
          plan={plan}
          at={at}
          onChoose={onChoose}
          onSet={() => navigate({ pathname: '../set', search: `?loops=${encodeURIComponent(plan.loopKey)}` })}
        />
      ) : (
        <p className={classes.count}>
          {STATE_MARKS[at.state].mark} {STATE_MARKS[at.state].word}
        </p>
      )}
      <footer>
        <ReasonedButton
          size="xl"
          className={classes.big}
          variant="default"
          why={before ? null : 'This is the first step.'}
          onClick={() => before && onChoose(before.step.key)}
        >
          Back
        </ReasonedButton>
        <ReasonedButton
          size="xl"
          className={classes.big}
          variant="default"
          why={plan.next === null ? 'All steps are told.' : null}
          onClick={() => onChoose(null)}
        >
          What is next
        </ReasonedButton>
      </footer>
    </Bay>
  )
}

function Open({
  job,
  plan,
  at,
  onChoose,
  onSet,
}: {
  job: JobSheet
  plan: PlanToWork['plan']
  at: PlanStep
  onChoose: (key: string) => void
  onSet: () => void
}) {
  const inHand = useStep(job.id, at)
  const [isOther, setOther] = useState(false)
  if (at.step.isAtSet)
    return (
      <Button size="xl" className={classes.big} onClick={onSet}>
        Go to Set
      </Button>
    )
  return (
    <div className={classes.fields}>
      {at.inTheWay.map((words) => (
        <p key={words} className={classes.trap}>
          ▲ {words}
        </p>
      ))}
      <StepFields inHand={inHand} size="lg" />
      {isOther ? (
        <StepActions inHand={inHand} plan={plan} missing={[]} onChoose={onChoose} />
      ) : (
        <>
          <ReasonedButton
            size="xl"
            className={classes.big}
            why={at.inTheWay[0] ?? null}
            loading={inHand.record.isPending}
            onClick={() => inHand.write('done', null)}
          >
            Done
          </ReasonedButton>
          <Button size="xl" className={classes.big} variant="default" onClick={() => setOther(true)}>
            Differently, for now, can’t …
          </Button>
          <Refused error={inHand.record.error} fields={stepFields(inHand)} />
        </>
      )}
    </div>
  )
}
