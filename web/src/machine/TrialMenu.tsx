import { Button, Group, Menu, TextInput } from '@mantine/core'
import { notifications } from '@mantine/notifications'
import { useState } from 'react'
import { addTrial, ConflictError, changeSetup, fitSetup, type Machine, type Setup } from '../api/client'
import { issueFor, sentenceOf } from '../api/issues'
import { useChange } from '../api/queries'
import { ConflictDialog } from '../shell/ConflictDialog'
import { Dialog } from '../shell/Dialog'
import { storeChosen } from '../shell/storeChosen'
import { SetupWheels } from './SetupWheels'
import { useFitAgain } from './useFitAgain'
import type { Workbench } from './useWorkbench'

/** What can be done with the setup in view: fit, rename, copy, discard. */
export function TrialMenu({ bench, setup }: { bench: Workbench; setup: Setup }) {
  const [isRenaming, setRenaming] = useState(false)
  const change = useChange(changeSetup)
  const fit = useChange(() => fitSetup(setup.id, setup.version))
  const copy = useChange(() =>
    addTrial(setup.machineId, {
      name: `${setup.name} copy`,
      loops: setup.loops,
      roadWheels: setup.roadWheels,
      note: setup.note,
      kindsOf: setup.kinds ? setup.id : null,
    }),
  )
  const { fitAgain } = useFitAgain()
  const failed = (error: unknown) => notifications.show({ color: 'red', message: sentenceOf(error) })
  const onFit = () =>
    fit.mutate(undefined, {
      onSuccess: () => {
        bench.set({ setup: null, pick: null })
        notifications.show({
          message: `${setup.name} is as fitted now. What was on the machine is kept as former.`,
        })
      },
      onError: failed,
    })
  return (
    <>
      <Menu position="bottom-end">
        <Menu.Target>
          <Button size="compact-sm" variant="default">
            {setup.name} …
          </Button>
        </Menu.Target>
        <Menu.Dropdown>
          {setup.status === 'former' ? (
            <Menu.Item onClick={() => fitAgain(setup)}>Fit it again as it was</Menu.Item>
          ) : (
            <Menu.Item onClick={onFit}>Fit this one</Menu.Item>
          )}
          <Menu.Item onClick={() => setRenaming(true)}>Name, note, tyre</Menu.Item>
          <Menu.Item
            onClick={() =>
              copy.mutate(undefined, {
                onSuccess: (added) => bench.set({ setup: String(added.id), pick: null }),
                onError: failed,
              })
            }
          >
            Copy
          </Menu.Item>
          {(setup.status === 'trial' || setup.status === 'discarded') && (
            <Menu.Item
              onClick={() =>
                change.mutate(
                  { ...setup, status: setup.status === 'trial' ? 'discarded' : 'trial' },
                  { onSuccess: () => bench.set({ setup: null }), onError: failed },
                )
              }
            >
              {setup.status === 'trial' ? 'Discard' : 'Take up again'}
            </Menu.Item>
          )}
        </Menu.Dropdown>
      </Menu>
      {isRenaming && (
        <SetupDialog machine={bench.card.machine} setup={setup} onClose={() => setRenaming(false)} />
      )}
    </>
  )
}

function SetupDialog({ machine, setup, onClose }: { machine: Machine; setup: Setup; onClose: () => void }) {
  const [draft, setDraft] = useState(setup)
  // It may be read again meanwhile: this is what was begun from.
  const [base] = useState(setup)
  const change = useChange(changeSetup)
  const conflict = change.error instanceof ConflictError ? change.error : null
  const store = (value: Setup) => change.mutate(value, { onSuccess: onClose })
  return (
    <Dialog onClose={onClose} title={`Name, note and tyre of ${setup.name}`}>
      <form
        onSubmit={(event) => {
          event.preventDefault()
          store(draft)
        }}
      >
        <TextInput
          data-autofocus
          label="Name"
          value={draft.name}
          onChange={(event) => setDraft({ ...draft, name: event.currentTarget.value })}
          error={issueFor(change.error, 'name')}
        />
        <TextInput
          mt="sm"
          label="Note"
          value={draft.note ?? ''}
          onChange={(event) => setDraft({ ...draft, note: event.currentTarget.value || null })}
          error={issueFor(change.error, 'note')}
        />
        <SetupWheels
          machine={machine}
          setup={draft}
          error={change.error}
          onChange={(roadWheels) => setDraft({ ...draft, roadWheels })}
        />
        <Group justify="end" mt="md">
          <Button type="submit" loading={change.isPending}>
            Store
          </Button>
        </Group>
      </form>
      {conflict && (
        <ConflictDialog
          conflict={conflict}
          mine={draft}
          base={base}
          onChosen={(chosen) =>
            storeChosen(draft, chosen, (conflict.current as Setup).version, async (value, version) => {
              const stored = await change.mutateAsync({ ...value, version })
              return stored.version
            }).then(onClose, () => {})
          }
          onGone={onClose}
        />
      )}
    </Dialog>
  )
}
