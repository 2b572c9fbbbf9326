import { Button, Checkbox, Textarea, TextInput } from '@mantine/core'
import { useState } from 'react'
import { type SetJob, whoAmI } from '../api/client'
import { QuantityField } from '../quantities/QuantityField'
import fields from '../shell/fields.module.css'
import { Panel } from '../shell/Panel'

type Step = NonNullable<SetJob['closing']>['done'][number]

/** In the order of the hands; the core refuses another one. */
const STEPS: [Step, string][] = [
  ['finalTorque', 'Axle nut at its torque'],
  ['adjusterLocks', 'Adjusters and their lock nuts fast'],
  ['pinsAndCaps', 'Pins, caps and screws in'],
  ['guards', 'Guards back on'],
  ['turnsFreely', 'Wheel turned by hand: free, nothing rubs, the brake works'],
]

/** The end of a visit: everything tight, and the last reading taken so. */
export function ClosingPanel({
  isTorqued,
  torqueNm,
  isPending,
  onClose,
}: {
  /** Whether the last reading was taken with the nut at its torque. */
  isTorqued: boolean
  torqueNm: number | null | undefined
  isPending: boolean
  onClose: (closing: NonNullable<SetJob['closing']>) => void
}) {
  const [done, setDone] = useState(0)
  const [torque, setTorque] = useState<number | undefined>(torqueNm ?? undefined)
  const [next, setNext] = useState('')
  const [note, setNote] = useState('')
  return (
    <Panel
      title="Closing list"
      note={isTorqued ? 'in this order' : 'after a reading with the nut at its torque'}
    >
      {STEPS.map(([step, label], i) => (
        <Checkbox
          key={step}
          size="sm"
          my={4}
          label={label}
          checked={i < done}
          disabled={!isTorqued || i > done || i < done - 1}
          onChange={(event) => setDone(event.currentTarget.checked ? i + 1 : i)}
        />
      ))}
      <div className={fields.fields} style={{ marginTop: 8 }}>
        <QuantityField size="xs" label="Torque used" quantity="torque" value={torque} onChange={setTorque} />
        <TextInput
          size="xs"
          type="date"
          label="Look again on"
          value={next}
          onChange={(event) => setNext(event.currentTarget.value)}
        />
      </div>
      <Textarea
        size="xs"
        label="Note"
        autosize
        value={note}
        onChange={(event) => setNote(event.currentTarget.value)}
      />
      <Button
        mt={8}
        size="sm"
        loading={isPending}
        disabled={!isTorqued || done < STEPS.length}
        onClick={() =>
          onClose({
            closedOn: new Date().toLocaleDateString('sv-SE'),
            who: whoAmI() || null,
            torqueNm: torque ?? null,
            done: STEPS.map(([step]) => step),
            nextCheckOn: next || null,
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
