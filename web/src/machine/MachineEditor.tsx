import { Button, Group, Textarea, TextInput } from '@mantine/core'
import { useState } from 'react'
import type { LoopChoice, MachineCard, StartingLoop } from '../api/client'
import { issueFor, sentenceOf } from '../api/issues'
import { useDesignations } from '../api/queries'
import { ChoiceField } from '../quantities/ChoiceField'
import { QuantityField } from '../quantities/QuantityField'
import { Dialog } from '../shell/Dialog'
import { DriveForm } from './DriveForm'
import classes from './MachineEditor.module.css'
import { newDrive } from './newParts'
import { useMachineSave } from './useMachineSave'
import { WorkForm } from './WorkForm'
import { KIND_WORDS } from './words'

/** The machine and its drives: a tree of stages from the input to what is driven, with the wheels as fitted. */
export default function MachineEditor({ card, onClose }: { card: MachineCard; onClose: () => void }) {
  const [machine, setMachine] = useState(card.machine)
  const [fitted, setFitted] = useState<LoopChoice[]>(card.fitted.loops)
  const known = useDesignations().data
  const wheels = wheelsOf(machine.drives, fitted, known?.startingLoops ?? [])
  const { store, error, isPending, dialog } = useMachineSave(card, onClose)
  const body = {
    machine,
    fitted: wheels,
    fittedVersion: card.fitted.version,
  }
  const setDrive = (at: number, drive: MachineCard['machine']['drives'][number]) =>
    setMachine({ ...machine, drives: machine.drives.map((d, i) => (i === at ? drive : d)) })
  return (
    <Dialog
      onClose={onClose}
      title={`Edit ${card.machine.name}`}
      size={900}
      closeButtonProps={{ 'aria-label': 'Close without storing' }}
    >
      <form
        onSubmit={(event) => {
          event.preventDefault()
          store(body)
        }}
      >
        <div className={classes.row}>
          <TextInput
            data-autofocus
            label="Name"
            value={machine.name}
            onChange={(event) => setMachine({ ...machine, name: event.currentTarget.value })}
            error={issueFor(error, 'name')}
          />
          <ChoiceField
            label="Kind"
            words={KIND_WORDS}
            value={machine.kind}
            onChange={(kind) => setMachine({ ...machine, kind })}
          />
          <QuantityField
            label="Odometer"
            quantity="distance"
            value={machine.odometerKm ?? undefined}
            onChange={(km) => setMachine({ ...machine, odometerKm: km ?? null })}
            error={issueFor(error, 'odometerKm')}
          />
        </div>
        <Textarea
          mt="sm"
          label="Note"
          value={machine.note ?? ''}
          onChange={(event) => setMachine({ ...machine, note: event.currentTarget.value || null })}
          error={issueFor(error, 'note')}
        />
        {machine.drives.map((drive, i) => (
          <DriveForm
            // biome-ignore lint/suspicious/noArrayIndexKey: a drive is where it stands; its key is typed by hand
            key={i}
            drive={drive}
            others={machine.drives.filter((d) => d !== drive)}
            at={`drives[${i}]`}
            fitted={wheels}
            fittedAt={(key) => `loops[${wheels.findIndex((c) => c.loopKey === key)}]`}
            error={error}
            onChange={(next) => setDrive(i, next)}
            onFitted={(choice) => setFitted([...fitted.filter((c) => c.loopKey !== choice.loopKey), choice])}
            onRemove={
              machine.drives.length > 1
                ? () => setMachine({ ...machine, drives: machine.drives.filter((d) => d !== drive) })
                : undefined
            }
          />
        ))}
        <Button
          mt="sm"
          size="compact-sm"
          variant="default"
          disabled={!known}
          onClick={() =>
            known &&
            setMachine({
              ...machine,
              drives: [...machine.drives, newDrive(known.startingDrive, machine.drives)],
            })
          }
        >
          Add a drive
        </Button>
        <WorkForm work={machine.work} error={error} onChange={(work) => setMachine({ ...machine, work })} />
        {error && !dialog && (
          <p role="alert" className={classes.error}>
            {sentenceOf(error)}
          </p>
        )}
        <Group justify="end" mt="md">
          <Button variant="default" onClick={onClose}>
            Leave as it was
          </Button>
          <Button type="submit" loading={isPending}>
            Store
          </Button>
        </Group>
      </form>
      {dialog}
    </Dialog>
  )
}

/** Wheels for every loop there is now; those of removed loops fall away, a new loop begins with the core's. */
function wheelsOf(
  drives: MachineCard['machine']['drives'],
  fitted: LoopChoice[],
  starting: StartingLoop[],
): LoopChoice[] {
  return drives
    .flatMap((d) => d.stages)
    .filter((s) => s.kind === 'loop')
    .map(
      (s) =>
        fitted.find((c) => c.loopKey === s.key) ?? {
          loopKey: s.key,
          frontSize: starting.find((w) => w.driveElement === s.driveElement)?.frontSize ?? 0,
          rearSize: starting.find((w) => w.driveElement === s.driveElement)?.rearSize ?? 0,
          links: null,
        },
    )
}
