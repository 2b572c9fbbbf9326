import { Button, Group, TextInput } from '@mantine/core'
import { useState } from 'react'
import type { ToolStandIn } from '../api/client'
import { issueFor } from '../api/issues'
import type { PlanToWork, StepOutcome } from '../api/plan'
import { atEvent } from '../job/useJobEvents'
import { ReasonedButton } from '../shell/ReasonedButton'
import { Refused } from '../shell/Refused'
import classes from './BuildView.module.css'
import { stepFields } from './StepFields'
import type { StepInHand } from './useStep'

type Asked = Exclude<StepOutcome, 'done'>

const WHY_LABELS: Record<Asked, string> = {
  differently: 'What was done instead, and why',
  forNow: 'What is there for now, and why',
  leftOut: 'Why it can’t be done',
}

/** Done · done differently · for now only · can’t: each one press, the last three ask why. */
export function StepActions({
  inHand,
  plan,
  missing,
  onChoose,
}: {
  inHand: StepInHand
  plan: PlanToWork['plan']
  missing: ToolStandIn[]
  onChoose: (key: string) => void
}) {
  const [asked, setAsked] = useState<Asked>()
  const [why, setWhy] = useState('')
  const { at, record, write } = inHand
  const { step } = at
  const inTheWay = at.inTheWay[0] ?? null
  return (
    <div data-no-print>
      <Group gap={6} mt="sm">
        <ReasonedButton
          size="sm"
          px={13}
          why={inTheWay}
          loading={record.isPending}
          onClick={() => write('done', null)}
        >
          Done
        </ReasonedButton>
        <ReasonedButton
          size="sm"
          px={13}
          variant="default"
          why={inTheWay}
          onClick={() => setAsked('differently')}
        >
          Done differently …
        </ReasonedButton>
        <ReasonedButton size="sm" px={13} variant="default" why={inTheWay} onClick={() => setAsked('forNow')}>
          For now only …
        </ReasonedButton>
        <Button size="sm" px={13} variant="default" onClick={() => setAsked('leftOut')}>
          Can’t …
        </Button>
      </Group>
      {asked && (
        <form
          className={classes.ask}
          onSubmit={(event) => {
            event.preventDefault()
            write(asked, why.trim() || null)
          }}
        >
          {asked === 'leftOut' && (
            <WaysOut
              inHand={inHand}
              plan={plan}
              missing={missing}
              onChoose={onChoose}
              onInstead={(text) => {
                setAsked('differently')
                setWhy(text)
              }}
            />
          )}
          {(asked !== 'leftOut' || !step.isMust) && (
            <>
              <TextInput
                label={WHY_LABELS[asked]}
                value={why}
                onChange={(event) => setWhy(event.currentTarget.value)}
                error={issueFor(record.error, atEvent('why'))}
                data-autofocus
              />
              <Group gap="xs">
                <Button type="submit" variant="default" loading={record.isPending}>
                  {asked === 'leftOut'
                    ? 'Leave it out'
                    : asked === 'forNow'
                      ? 'It is so for now'
                      : 'It is done so'}
                </Button>
                <Button variant="subtle" color="gray" onClick={() => setAsked(undefined)}>
                  Never mind
                </Button>
              </Group>
            </>
          )}
        </form>
      )}
      <Refused error={record.error} fields={stepFields(inHand)} />
    </div>
  )
}

/** What else there is where a step can’t be done: another tool, another way, another order, waiting. */
function WaysOut({
  inHand,
  plan,
  missing,
  onChoose,
  onInstead,
}: {
  inHand: StepInHand
  plan: PlanToWork['plan']
  missing: ToolStandIn[]
  onChoose: (key: string) => void
  onInstead: (why: string) => void
}) {
  const { step } = inHand.at
  const standIns = missing.filter((m) => step.tools.some((t) => t.kind === m.tool))
  const other = plan.steps.find(
    (s) => s.state === 'open' && s.inTheWay.length === 0 && s.step.key !== step.key && !s.step.isAtSet,
  )
  return (
    <ul className={classes.ways}>
      {step.wayOut && (
        <li>
          Another way: {step.wayOut}{' '}
          <button type="button" className={classes.link} onClick={() => onInstead(step.wayOut ?? '')}>
            do that
          </button>
        </li>
      )}
      {standIns.map((m) => (
        <li key={m.tool}>
          In place of the tool: {m.standIn} ▲ {m.risk}{' '}
          <button type="button" className={classes.link} onClick={() => onInstead(m.standIn)}>
            do that
          </button>
        </li>
      ))}
      {other && (
        <li>
          Another order: “{other.step.do}” can be done first.{' '}
          <button type="button" className={classes.link} onClick={() => onChoose(other.step.key)}>
            look at it
          </button>
        </li>
      )}
      <li>Or the job waits for what is missing: say so at the job, and the plan keeps its place.</li>
      {step.isMust && <li>The machine does not go out without this step, so it can’t be left out.</li>}
    </ul>
  )
}
