import { Button, Group } from '@mantine/core'
import { useState } from 'react'
import { type LoopChoice, type Setup, setDelivered } from '../api/client'
import { issueFor, sentenceOf } from '../api/issues'
import { useChange } from '../api/queries'
import { QuantityField } from '../quantities/QuantityField'
import { Dialog } from '../shell/Dialog'
import { isToothed } from './driveElements'
import classes from './MachineEditor.module.css'
import { SetupWheels } from './SetupWheels'
import type { Workbench } from './useWorkbench'

/** The wheels a machine was delivered with, typed once: every speedometer error is told against them. */
export default function DeliveredDialog({
  bench,
  delivered,
  onClose,
}: {
  bench: Workbench
  delivered: Setup | undefined
  onClose: () => void
}) {
  const { machine, fitted, summary } = bench.card
  const [draft, setDraft] = useState<Setup>(delivered ?? fitted)
  const store = useChange(() =>
    setDelivered(machine.id, { loops: draft.loops, roadWheels: draft.roadWheels }),
  )
  const setLoop = (key: string, part: Partial<LoopChoice>) =>
    setDraft({ ...draft, loops: draft.loops.map((l) => (l.loopKey === key ? { ...l, ...part } : l)) })
  return (
    <Dialog
      onClose={onClose}
      title={`${machine.name} as delivered`}
      closeButtonProps={{ 'aria-label': 'Close without storing' }}
    >
      <form
        onSubmit={(event) => {
          event.preventDefault()
          store.mutate(undefined, { onSuccess: onClose })
        }}
      >
        <p className="cap">
          The wheels and the tyre it came with. The speedometer’s error is given against these, whatever is
          fitted since.
        </p>
        {draft.loops.map((l, i) => {
          const loop = summary.loops.find((s) => s.loopKey === l.loopKey)
          const toothed = loop !== undefined && isToothed(loop.driveElement)
          const wheel = (label: string, key: 'frontSize' | 'rearSize') => (
            <QuantityField
              label={label}
              quantity={toothed ? undefined : 'fine'}
              unit={toothed ? 'teeth' : undefined}
              isCount={toothed}
              required
              withAsterisk={false}
              value={l[key]}
              onChange={(v) => setLoop(l.loopKey, { [key]: v ?? Number.NaN })}
              error={issueFor(store.error, `loops[${i}].${key}`)}
            />
          )
          return (
            <fieldset key={l.loopKey} className={classes.part}>
              <legend>{loop?.name ?? l.loopKey}</legend>
              <div className={classes.row}>
                {wheel('Front', 'frontSize')}
                {wheel('Rear', 'rearSize')}
              </div>
            </fieldset>
          )
        })}
        <SetupWheels
          machine={machine}
          setup={draft}
          error={store.error}
          onChange={(roadWheels) => setDraft({ ...draft, roadWheels })}
        />
        {store.error ? (
          <p role="alert" className={classes.error}>
            {sentenceOf(store.error)}
          </p>
        ) : null}
        <Group justify="end" mt="md">
          <Button variant="default" onClick={onClose}>
            Not now
          </Button>
          <Button type="submit" loading={store.isPending}>
            Store
          </Button>
        </Group>
      </form>
    </Dialog>
  )
}
