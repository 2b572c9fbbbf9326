import { Button, Group, TextInput } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import {
  addMachine,
  type Drive,
  type Loop,
  type LoopChoice,
  type MachineKind,
  startMachine,
} from '../api/client'
import { issueFor, sentenceOf } from '../api/issues'
import { useChange } from '../api/queries'
import { sizeUnit } from '../machine/driveElements'
import { DRIVE_ELEMENT_WORDS, KIND_WORDS } from '../machine/words'
import { ChoiceField } from '../quantities/ChoiceField'
import { QuantityField } from '../quantities/QuantityField'
import { Dialog } from '../shell/Dialog'

type Counted = 'frontSize' | 'rearSize' | 'links'

const SAID = { frontSize: 'front', rearSize: 'rear', links: 'length' } as const
const TYRE_FIELD = 'machine.drives[0].outputs[0].roadWheel.size'

const rollsOn = (drive: Drive, size: string): Drive => ({
  ...drive,
  outputs: drive.outputs.map((o, i) => (i === 0 ? { ...o, roadWheel: { size, rollOutMm: null } } : o)),
})

/** A new machine from its kind: a typical drive to begin with, corrected where this one differs. */
export default function AddMachineDialog({ onClose }: { onClose: () => void }) {
  const [kind, setKind] = useState<MachineKind>('motorcycle')
  const [name, setName] = useState('')
  const [km, setKm] = useState<number>()
  const [changed, setChanged] = useState<Partial<Record<Counted, number>>>({})
  const [tyre, setTyre] = useState('')
  const draft = useQuery({ queryKey: ['starting', kind], queryFn: () => startMachine(kind) }).data
  const navigate = useNavigate()
  const add = useChange(addMachine)
  const loop = draft?.machine.drives[0]?.stages.find((s): s is Loop => s.kind === 'loop')
  const choice: LoopChoice | undefined = draft?.fitted[0] && { ...draft.fitted[0], ...changed }

  const onAdd = () => {
    if (!draft || !choice) return
    // What is typed here is said, also where it is what a typical machine has.
    const said = [
      ...(Object.keys(SAID) as Counted[]).filter((key) => changed[key] !== undefined).map((key) => SAID[key]),
      ...(tyre.trim() ? (['tyre'] as const) : []),
    ]
    const machine = {
      ...draft.machine,
      name,
      odometerKm: km ?? null,
      drives: tyre.trim()
        ? draft.machine.drives.map((d, i) => (i === 0 ? rollsOn(d, tyre.trim()) : d))
        : draft.machine.drives,
      said: said.length > 0 ? said : null,
    }
    add.mutate(
      { machine, fitted: [choice, ...draft.fitted.slice(1)], fittedVersion: 0 },
      { onSuccess: (card) => navigate(`/machines/${card.machine.id}/aim`) },
    )
  }
  const output = draft?.machine.drives[0]?.outputs[0]
  const field = (key: Counted, label: string, unit: string) => (
    <QuantityField
      label={label}
      unit={unit}
      placeholder={draft?.fitted[0]?.[key] == null ? '' : `≈ ${draft.fitted[0][key]}`}
      value={changed[key]}
      onChange={(value) => setChanged({ ...changed, [key]: value })}
      error={issueFor(add.error, `fitted[0].${key}`)}
    />
  )
  return (
    <Dialog onClose={onClose} title="Add a machine">
      <form
        onSubmit={(event) => {
          event.preventDefault()
          onAdd()
        }}
      >
        <TextInput
          data-autofocus
          label="Name"
          value={name}
          onChange={(event) => setName(event.currentTarget.value)}
          error={issueFor(add.error, 'machine.name')}
        />
        <Group grow align="start" mt="sm">
          <ChoiceField
            label="Kind"
            words={KIND_WORDS}
            value={kind}
            onChange={(value) => {
              setKind(value)
              setChanged({})
              setTyre('')
            }}
          />
          <QuantityField
            label="Odometer"
            quantity="distance"
            value={km}
            onChange={setKm}
            error={issueFor(add.error, 'machine.odometerKm')}
          />
        </Group>
        {output?.roadWheel && (
          <TextInput
            mt="sm"
            label={output.onRoad ? 'Tyre' : 'Drum'}
            description={output.onRoad ? 'as it stands on its side' : 'its diameter'}
            placeholder={`≈ ${output.roadWheel.size ?? ''}`}
            value={tyre}
            onChange={(event) => setTyre(event.currentTarget.value)}
            error={issueFor(add.error, TYRE_FIELD)}
          />
        )}
        {loop && choice && (
          <>
            <Group grow align="start" mt="sm">
              {field('frontSize', 'Front', sizeUnit(loop.driveElement))}
              {field('rearSize', 'Rear', sizeUnit(loop.driveElement))}
              {choice.links !== null &&
                field(
                  'links',
                  loop.driveElement === 'chain' ? 'Chain' : 'Belt',
                  loop.driveElement === 'chain' ? 'links' : 'teeth',
                )}
            </Group>
            <p className="cap">
              What is left empty is assumed (≈): a typical {KIND_WORDS[kind]} with{' '}
              {DRIVE_ELEMENT_WORDS[loop.driveElement]} {loop.standard}. It stays marked until somebody
              measures it or says that it is so.
            </p>
          </>
        )}
        {add.error && !issueFor(add.error, 'machine.name') && !issueFor(add.error, TYRE_FIELD) && (
          <p role="alert" style={{ color: 'var(--stop)' }}>
            {sentenceOf(add.error)}
          </p>
        )}
        <Group justify="end" mt="md">
          <Button variant="default" onClick={onClose}>
            Not now
          </Button>
          <Button type="submit" loading={add.isPending}>
            Add
          </Button>
        </Group>
      </form>
    </Dialog>
  )
}
