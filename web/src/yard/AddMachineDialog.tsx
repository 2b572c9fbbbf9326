import { Button, Group, Modal, TextInput } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { addMachine, type Loop, type LoopChoice, type MachineKind, startMachine } from '../api/client'
import { issueFor, sentenceOf } from '../api/issues'
import { useChange } from '../api/queries'
import { sizeUnit } from '../machine/driveElements'
import { DRIVE_ELEMENT_WORDS, KIND_WORDS } from '../machine/words'
import { ChoiceField } from '../quantities/ChoiceField'
import { QuantityField } from '../quantities/QuantityField'

/** A new machine from its kind: a typical drive to begin with, corrected where this one differs. */
export default function AddMachineDialog({ onClose }: { onClose: () => void }) {
  const [kind, setKind] = useState<MachineKind>('motorcycle')
  const [name, setName] = useState('')
  const [km, setKm] = useState<number>()
  const [changed, setChanged] = useState<Partial<Record<'frontSize' | 'rearSize' | 'links', number>>>({})
  const draft = useQuery({ queryKey: ['starting', kind], queryFn: () => startMachine(kind) }).data
  const navigate = useNavigate()
  const add = useChange(addMachine)
  const loop = draft?.machine.drives[0]?.stages.find((s): s is Loop => s.kind === 'loop')
  const choice: LoopChoice | undefined = draft?.fitted[0] && { ...draft.fitted[0], ...changed }

  const onAdd = () => {
    if (!draft || !choice) return
    const machine = { ...draft.machine, name, odometerKm: km ?? null }
    add.mutate(
      { machine, fitted: [choice, ...draft.fitted.slice(1)], fittedVersion: 0 },
      { onSuccess: (card) => navigate(`/machines/${card.machine.id}/aim`) },
    )
  }
  const field = (key: 'frontSize' | 'rearSize' | 'links', label: string, unit: string) => (
    <QuantityField
      label={label}
      unit={unit}
      value={choice?.[key] ?? undefined}
      onChange={(value) => setChanged({ ...changed, [key]: value })}
      error={issueFor(add.error, `fitted[0].${key}`)}
    />
  )
  return (
    <Modal opened onClose={onClose} title="Add a machine" closeButtonProps={{ 'aria-label': 'Close' }}>
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
              Begins as a typical {KIND_WORDS[kind]} with {DRIVE_ELEMENT_WORDS[loop.driveElement]}{' '}
              {loop.standard}; gears, tyre and everything else are corrected under “Edit machine and drive”.
            </p>
          </>
        )}
        {add.error && !issueFor(add.error, 'machine.name') && (
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
    </Modal>
  )
}
