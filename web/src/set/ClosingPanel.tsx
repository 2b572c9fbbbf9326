import { Button, Checkbox, Textarea, TextInput } from '@mantine/core'
import { useState } from 'react'
import { type SetJob, whoAmI } from '../api/client'
import { today } from '../machine/today'
import { QuantityField } from '../quantities/QuantityField'
import fields from '../shell/fields.module.css'
import { Panel } from '../shell/Panel'

export type ClosingStep = NonNullable<SetJob['closing']>['done'][number]

/** In the order of the hands; the core refuses another one. */
export const CLOSING_STEPS: [ClosingStep, string][] = [
  ['finalTorque', 'Axle nut at its torque'],
  ['adjusterLocks', 'Adjusters and their lock nuts fast'],
  ['pinsAndCaps', 'Pins, caps and screws in'],
  ['guards', 'Guards back on'],
  ['turnsFreely', 'Wheel turned by hand: free, nothing rubs, the brake works'],
]

/** The end of a visit: everything tight in its order, then the last reading, taken so. */
export function ClosingPanel({
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
  const steps = CLOSING_STEPS.map(([step]) => step)
  return (
    <Panel title="Closing list" note="in this order">
      {CLOSING_STEPS.map(([step, label], i) => (
        <Checkbox
          key={step}
          size="sm"
          my={4}
          label={label}
          checked={i < done.length}
          disabled={i > done.length || i < done.length - 1}
          onChange={(event) => {
            const next = steps.slice(0, event.currentTarget.checked ? i + 1 : i)
            setTicked(next)
            onDone(next)
          }}
        />
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
        <QuantityField size="xs" label="Torque used" quantity="torque" value={torque} onChange={setTorque} />
        <TextInput
          size="xs"
          type="date"
          label="Look again on"
          value={nextCheckOn}
          onChange={(event) => onNextCheck(event.currentTarget.value)}
        />
      </div>
      <Textarea
        size="xs"
        label="Note"
        autosize
        value={note}
        onChange={(event) => setNote(event.currentTarget.value)}
      />
      {isReading && <p className="cap">A round is in hand: keep it or read it anew before closing.</p>}
      <Button
        mt={8}
        size="sm"
        loading={isPending}
        disabled={isReading || lastReading === null || done.length < steps.length}
        onClick={() =>
          onClose({
            closedOn: today(),
            who: whoAmI() || null,
            torqueNm: torque ?? null,
            done: steps,
            nextCheckOn: nextCheckOn || null,
            note: note.trim() || null,
          })
        }
        data-no-print
      >
        Close the visit
      </Button>
    </Panel>
  )
}
