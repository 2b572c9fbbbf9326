import { Button, Group, Switch } from '@mantine/core'
import { useEffect, useRef, useState } from 'react'
import { Link } from 'react-router'
import type { JobSheet, ToolStandIn } from '../api/client'
import type { PlanStep, PlanToWork } from '../api/plan'
import { useJobs } from '../api/queries'
import { PhotoList } from '../job/PhotoList'
import { STATE_MARKS } from '../job/planWords'
import { TakePhotos } from '../job/TakePhotos'
import { useJobEvents } from '../job/useJobEvents'
import { TOOL_WORDS } from '../machine/partWords'
import type { Workbench } from '../machine/useWorkbench'
import { minutesText, momentText } from '../quantities/days'
import { plain } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { LabelledValue } from '../shell/LabelledValue'
import { Refused } from '../shell/Refused'
import { useSpeech } from '../shell/useSpeech'
import classes from './BuildView.module.css'
import { type DrawnWays, PartWays } from './PartWays'
import { StepActions } from './StepActions'
import { StepFields } from './StepFields'
import { useStep } from './useStep'
import { BY_WORDS, CONDITION_WORDS, quantityOf, toolsText } from './words'

/** One step: what to do, why now, the trap, what it asks, and the presses that end it. */
export function StepCard({
  bench,
  job,
  plan,
  at,
  number,
  missing,
  drawn,
  onChoose,
  onBay,
}: {
  bench: Workbench
  job: JobSheet
  plan: PlanToWork['plan']
  at: PlanStep
  number: number
  missing: ToolStandIn[]
  drawn: DrawnWays
  onChoose: (key: string) => void
  onBay: () => void
}) {
  const [speaks, setSpeaks] = useState(false)
  const card = useRef<HTMLElement>(null)
  useEffect(() => {
    // One chosen far down the list is brought into view.
    if (card.current && card.current.getBoundingClientRect().top < 0) card.current.scrollIntoView()
  }, [])
  const inHand = useStep(job.id, at)
  const { step } = at
  useSpeech(speaks, [step.do, step.why, step.trap, step.caution].filter(Boolean).join(' '))
  const lacking = missing.filter((m) => step.tools.some((t) => t.kind === m.tool))
  const isOpen = at.state === 'open' && job.state !== 'ended'
  return (
    <section ref={card} className={classes.card} aria-label="Step in hand" data-state={at.state}>
      <header>
        <span className="cap">
          Step {number} of {plan.steps.length} · {minutesText(step.minutes)} · {toolsText(step)}
          {step.hands > 1 && <b className={classes.hands}> · two pairs of hands</b>}
        </span>
        <Group gap="xs" data-no-print>
          <Switch
            size="xs"
            label="read aloud"
            checked={speaks}
            onChange={(event) => setSpeaks(event.currentTarget.checked)}
          />
          <Button size="compact-xs" variant="default" onClick={onBay}>
            Bay mode
          </Button>
        </Group>
      </header>
      <p className={classes.big} aria-live="polite">
        {step.do}
      </p>
      <p>
        <b>Why now.</b> {step.why}{' '}
        {step.trap && (
          <>
            <b className={classes.trap}>Trap.</b> {step.trap}
          </>
        )}
      </p>
      {step.caution && (
        <p className={classes.caution}>
          <b>▲</b> {step.caution}
        </p>
      )}
      {lacking.map((m) => (
        <p key={m.tool} className="cap" style={{ color: 'var(--watch)' }}>
          ▲ No {TOOL_WORDS[m.tool]} on hand. In its place: {m.standIn} {m.risk}
        </p>
      ))}
      {[...at.inTheWay, ...at.warnings].map((words) => (
        <p key={words} className={classes.inTheWay}>
          ▲ {words}
        </p>
      ))}
      {at.because.length > 0 && <p className="cap">Why here: {at.because.join(' ')}</p>}
      {isOpen && step.isAtSet && <AtSet plan={plan} />}
      {isOpen && !step.isAtSet && (
        <>
          <PartWays bench={bench} family={plan.family} step={step} drawn={drawn} />
          <StepFields inHand={inHand} />
          <StepActions inHand={inHand} plan={plan} missing={missing} onChoose={onChoose} />
          <DoNext job={job} plan={plan} at={at} />
        </>
      )}
      {at.state !== 'open' && <Told at={at} />}
      {at.state !== 'open' && job.state !== 'ended' && !step.isAtSet && (
        <Again job={job} at={at} inHand={inHand} />
      )}
      <StepPhotos bench={bench} job={job} at={at} isOpen={job.state !== 'ended'} />
    </section>
  )
}

/** The plan stands still here until Set closes its part of it. */
const AtSet = ({ plan }: { plan: PlanToWork['plan'] }) => (
  <Group mt="sm" gap="sm" data-no-print>
    <Button
      component={Link}
      to={{ pathname: '../set', search: `?loops=${encodeURIComponent(plan.loopKey)}` }}
    >
      Go to Set
    </Button>
    <span className="cap">The plan keeps its place, and goes on by itself when Set is closed.</span>
  </Group>
)

/** Moves a step in front of the one that is next. */
function DoNext({ job, plan, at }: { job: JobSheet; plan: PlanToWork['plan']; at: PlanStep }) {
  const record = useJobEvents(job.id)
  if (at.step.key === plan.next) return null
  return (
    <div data-no-print>
      <Button
        mt="xs"
        size="compact-sm"
        variant="subtle"
        color="gray"
        loading={record.isPending}
        onClick={() => record.happens({ kind: 'stepMoved', step: at.step.key, before: plan.next })}
      >
        Do this one next
      </Button>
      <Refused error={record.error} />
    </div>
  )
}

/** How it was done, by whom and when. */
function Told({ at }: { at: PlanStep }) {
  const units = useUnits()
  const { fastening } = at
  return (
    <div className={classes.told}>
      <LabelledValue name={STATE_MARKS[at.state].word}>
        {[at.who, at.at && momentText(at.at)].filter(Boolean).join(', ')}
      </LabelledValue>
      {at.why && <LabelledValue name="why">{at.why}</LabelledValue>}
      {at.way && <LabelledValue name="which way round">{at.way}</LabelledValue>}
      {fastening && (
        <LabelledValue name={at.step.fastener?.what ?? 'tightened'}>
          {fastening.count} of {fastening.of},{' '}
          {fastening.torqueNm !== null && `${units.show('torque', fastening.torqueNm)} `}
          {at.step.fastener?.takesTorque && `${BY_WORDS[fastening.by]}; `}lock{' '}
          {CONDITION_WORDS[fastening.lock]}
        </LabelledValue>
      )}
      {at.holdsFrom && <LabelledValue name="its lock holds from">{momentText(at.holdsFrom)}</LabelledValue>}
      {at.values.map((value) => {
        const field = at.step.records.find((r) => r.key === value.key)
        const quantity = quantityOf(field?.unit ?? '')
        return (
          <LabelledValue key={value.key} name={field?.label ?? value.key}>
            {quantity ? units.show(quantity, value.value) : `${plain(value.value)} ${field?.unit ?? ''}`}
          </LabelledValue>
        )
      })}
    </div>
  )
}

/** What was done for now is done for good; anything else is opened again first. */
function Again({ job, at, inHand }: { job: JobSheet; at: PlanStep; inHand: ReturnType<typeof useStep> }) {
  const record = useJobEvents(job.id)
  return (
    <div data-no-print>
      {at.state === 'forNow' && (
        <>
          <StepFields inHand={inHand} />
          <Button
            mt="sm"
            mr="xs"
            loading={inHand.record.isPending}
            onClick={() => inHand.write('done', null)}
          >
            Now it is done for good
          </Button>
          <Refused error={inHand.record.error} />
        </>
      )}
      <Button
        mt="sm"
        size="compact-sm"
        variant="default"
        loading={record.isPending}
        onClick={() => record.happens({ kind: 'stepReopened', step: at.step.key })}
      >
        To be done again
      </Button>
      <Refused error={record.error} />
    </div>
  )
}

/** What was photographed at a step. */
function StepPhotos({
  bench,
  job,
  at,
  isOpen,
}: {
  bench: Workbench
  job: JobSheet
  at: PlanStep
  isOpen: boolean
}) {
  const jobs = useJobs(bench.card.machine.id).data ?? []
  const photos = job.photos.filter((p) => p.step === at.step.key)
  if (photos.length === 0 && !isOpen) return null
  return (
    <div className={classes.photos}>
      <PhotoList bench={bench} job={job} jobs={jobs} photos={photos} />
      {isOpen && <TakePhotos jobId={job.id} said={{ shows: 'anything', about: null, step: at.step.key }} />}
    </div>
  )
}
