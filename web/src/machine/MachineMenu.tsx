import { ActionIcon, Menu } from '@mantine/core'
import { notifications } from '@mantine/notifications'
import { lazy, Suspense, useState } from 'react'
import {
  changeMachine,
  copyMachine,
  type MachineCard,
  machineFileAddress,
  removeMachine,
} from '../api/client'
import { sentenceOf } from '../api/issues'
import { useChange } from '../api/queries'
import { today } from '../quantities/days'
import { MoreIcon } from '../shell/icons'
import { useUndoNotice } from '../shell/useUndoNotice'

const MachineEditor = lazy(() => import('./MachineEditor'))

/** What can be done with a whole machine. */
export function MachineMenu({ card }: { card: MachineCard }) {
  const { machine, fitted } = card
  const [isEditing, setEditing] = useState(false)
  const done = useUndoNotice()
  const copy = useChange(() => copyMachine(machine.id, `${machine.name} copy`))
  const remove = useChange(() => removeMachine(machine))
  const retire = useChange((retiredOn: string | null) =>
    changeMachine({
      machine: { ...machine, retiredOn },
      fitted: fitted.loops,
      fittedVersion: fitted.version,
    }),
  )
  const failed = (error: unknown) => notifications.show({ color: 'red', message: sentenceOf(error) })
  return (
    <>
      <Menu position="bottom-end">
        <Menu.Target>
          <ActionIcon variant="subtle" color="gray" aria-label={`More for ${machine.name}`}>
            <MoreIcon />
          </ActionIcon>
        </Menu.Target>
        <Menu.Dropdown>
          <Menu.Item onClick={() => setEditing(true)}>Edit machine and drive</Menu.Item>
          <Menu.Item
            onClick={() =>
              copy
                .mutateAsync(undefined)
                .then((added) => added && done(`${added.machine.name} stands in the yard`, added.machine.id))
                .catch(failed)
            }
          >
            Copy
          </Menu.Item>
          <Menu.Item component="a" href={machineFileAddress(machine.id)} download={`${machine.name}.json`}>
            Write to a file
          </Menu.Item>
          <Menu.Item
            onClick={() =>
              retire
                .mutateAsync(machine.retiredOn === null ? today() : null)
                .then(() =>
                  done(
                    `${machine.name} is ${machine.retiredOn === null ? 'retired' : 'back in use'}`,
                    machine.id,
                  ),
                )
                .catch(failed)
            }
          >
            {machine.retiredOn === null ? 'Retire' : 'Take back into use'}
          </Menu.Item>
          <Menu.Item
            onClick={() =>
              remove
                .mutateAsync(undefined)
                .then(() => done(`${machine.name} is removed with all that belongs to it`, machine.id))
                .catch(failed)
            }
          >
            Remove
          </Menu.Item>
        </Menu.Dropdown>
      </Menu>
      <Suspense>{isEditing && <MachineEditor card={card} onClose={() => setEditing(false)} />}</Suspense>
    </>
  )
}
