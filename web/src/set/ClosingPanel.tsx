import { Checkbox, Textarea, TextInput } from '@mantine/core'
import { useState } from 'react'
import { type SetAdvice, type SetJob, whoAmI } from '../api/client'
import { useDebouncedDraft, useEvaluation } from '../api/evaluation'
import { OutsideReadings } from '../loop/OutsideReadings'
import type { Workbench } from '../machine/useWorkbench'
import { DayField } from '../quantities/DayField'
import { today } from '../quantities/days'
import { QuantityField } from '../quantities/QuantityField'
import fields from '../shell/fields.module.css'
import { Panel } from '../shell/Panel'
import { ReasonedButton } from '../shell/ReasonedButton'
import { MissingTool } from './MissingTool'
import { visitKey } from './visitSteps'
import { capital, DESPITE_WORDS } from './words'

type ClosingStep = NonNullable<SetJob['closing']>['done'][number]

/** The end of a visit: everything tight in its order, then the last reading, taken so. */
export default function ClosingPanel({
  bench,
  job,
  manual,
  done: stored,
  lastReading,
  torqueNm,
  nextCheckOn,
  isReading,
  isPending,
  onDone,
  onNextCheck,
  onClose,
}: {
  bench: Workbench
  job: SetJob
  /** Of this adjuster: its closing list is in the order of the hands, and the core refuses another one. */
  manual: SetAdvice['manual']
  /** Steps done so far, on whatever device. */
  done: ClosingStep[]
  /** The last one that was kept, where it was taken with the nut at its torque. */
  lastReading: string | null
  torqueNm: number | null | undefined
  nextCheckOn: string
  /** A round is begun and not kept: it must not be lost by closing. */
  isReading: boolean
  isPending: boolean
  onDone: (done: ClosingStep[]) => void
  onNextCheck: (day: string) => void
  onClose: (closing: NonNullable<SetJob['closing']>) => void
}) {
  // A tick stands at once; the store follows.
  const [ticked, setTicked] = useState<ClosingStep[] | null>(null)
  const done = ticked ?? stored
  const [torque, setTorque] = useState<number | undefined>(torqueNm ?? undefined)
  const [note, setNote] = useState('')
  const [reason, setReason] = useState('')
  const { closing, lock } = manual
  const steps = closing.map(({ step }) => step)
  const isRead = lastReading !== null && !isReading
  const torqueTyped = useDebouncedDraft(torque)
  const open = useEvaluation(
    bench.asFitted,
    'closing',
    isRead ? { visit: visitKey(job), torqueNm: torqueTyped ?? null } : undefined,
  )
  const despite = (isRead && open.data?.despite) || []
  const outside = (isRead && open.data?.outside) || []
  const missing = isReading
    ? 'A round is in hand: keep it or read it anew before closing.'
    : lastReading === null
      ? 'The last reading, with everything tight, is still to be taken.'
      : done.length < steps.length
        ? 'Steps of the list are still to be done.'
        : despite.length > 0 && !reason.trim()
          ? 'It asks a reason.'
          : null
  return (
    <Panel title="Closing list" note="in this order">
      {closing.map(({ step, sentence, tools }, i) => (
        <div key={step}>
          <Checkbox
            size="sm"
            my={4}
            label={sentence}
            checked={i < done.length}
            disabled={i > done.length || i < done.length - 1}
            onChange={(event) => {
              const next = steps.slice(0, event.currentTarget.checked ? i + 1 : i)
              setTicked(next)
              onDone(next)
            }}
          />
          {i >= done.length && <MissingTool manual={manual} tools={tools} />}
        </div>
      ))}
      <Checkbox
        size="sm"
        my={4}
        label={
          lastReading === null
            ? 'Last reading, with everything tight: still to be taken'
            : `Last reading, with everything tight: ${lastReading}`
        }
        checked={lastReading !== null}
        readOnly
        disabled
      />
      <div className={fields.fields} style={{ marginTop: 8 }}>
        <QuantityField
          size="xs"
          label={`${capital(lock)}, torque used`}
          quantity="torque"
          value={torque}
          onChange={setTorque}
        />
        <DayField size="xs" label="Look again on" value={nextCheckOn} onChange={onNextCheck} />
      </div>
      <Textarea
        size="xs"
        label="Note"
        value={note}
        onChange={(event) => setNote(event.currentTarget.value)}
      />
      {despite.length > 0 && (
        <div role="alert">
          <p style={{ color: 'var(--watch)' }}>▲ It would be closed over:</p>
          <ul>
            {despite.map((d) => (
              <li key={d}>{DESPITE_WORDS[d]}</li>
            ))}
            <OutsideReadings readings={outside} />
          </ul>
          <TextInput
            size="xs"
            label="Why it is closed all the same"
            value={reason}
            onChange={(event) => setReason(event.currentTarget.value)}
          />
        </div>
      )}
      {missing && <p className="cap">{missing}</p>}
      <ReasonedButton
        mt={8}
        size="sm"
        loading={isPending}
        why={missing}
        onClick={() =>
          onClose({
            closedOn: today(),
            who: whoAmI() || null,
            torqueNm: torque ?? null,
            done: steps,
            nextCheckOn: nextCheckOn || null,
            note: note.trim() || null,
            reason: reason.trim() || null,
          })
        }
        data-no-print
      >
        Close the visit
      </ReasonedButton>
    </Panel>
  )
}
