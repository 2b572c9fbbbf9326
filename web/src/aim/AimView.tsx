import { Button, Group } from '@mantine/core'
import { notifications } from '@mantine/notifications'
import { type Aim, addAim } from '../api/client'
import { askFor } from '../api/evaluation'
import { sentenceOf } from '../api/issues'
import { useChange } from '../api/queries'
import { useBench, type Workbench } from '../machine/useWorkbench'
import work from '../machine/work.module.css'
import { ReadSharedButton } from '../sharing/ReadSharedButton'
import { EmptyState } from '../shell/EmptyState'
import { Panel } from '../shell/Panel'
import { AimDetails } from './AimDetails'
import { AimList } from './AimList'
import { BetterPanel } from './BetterPanel'
import { DrivePanel } from './DrivePanel'
import { GuessPanel } from './GuessPanel'

/** Station 1: what the gearing must achieve, what it is worth, and what was tried. */
export default function AimView() {
  const bench = useBench()
  const add = useChange(async () => addAim(await newAim(bench)))
  const onAdd = () =>
    add.mutate(undefined, {
      onSuccess: (aim) => bench.set({ aim: String(aim.id), band: null }),
      onError: (error) => notifications.show({ color: 'red', message: sentenceOf(error) }),
    })
  const list = (
    <Panel
      title="Aims"
      note="a route, a venue, a load"
      aside={
        <Group gap="xs">
          <ReadSharedButton
            name="aims of a venue"
            kind="aims"
            into={{ machineId: bench.card.machine.id, driveKey: bench.drive.key }}
            gears={bench.gears}
          />
          <Button size="compact-sm" variant="default" onClick={onAdd} loading={add.isPending} data-no-print>
            New aim
          </Button>
        </Group>
      }
    >
      <AimList bench={bench} />
      {bench.aims.length === 0 && (
        <EmptyState title="No aim is kept for this machine.">
          Make one to see which wheels reach it; a reading or a trial needs none.
        </EmptyState>
      )}
    </Panel>
  )
  if (!bench.aim)
    return (
      <div className={work.work}>
        <div className={work.column}>
          {bench.aims.length === 0 && <BetterPanel bench={bench} />}
          {list}
          <DrivePanel bench={bench} />
        </div>
        <div className={work.column}>
          <GuessPanel bench={bench} />
        </div>
      </div>
    )
  // Until the new one stands here, nothing is typed into the one before it.
  return (
    <div inert={add.isPending} style={{ display: 'contents' }}>
      <AimDetails key={bench.aim.id} bench={bench} stored={bench.aim} list={list} />
    </div>
  )
}

/** Begins around what is fitted, so that it is met until the person says otherwise. */
const newAim = async (bench: Workbench): Promise<Aim> => ({
  id: 0,
  version: 0,
  machineId: bench.card.machine.id,
  name: `Aim ${bench.aims.length + 1}`,
  driveKey: bench.drive.key,
  target: await askFor(bench.asFitted, 'startingAim', { kind: 'finalRatio' }),
  conditions: { surface: null, weather: null, load: null },
  wishes: { littleUpkeep: 0, quiet: 0, range: 0, carryingLoads: 0, response: 0, lowCost: 0 },
  note: null,
  outcomes: [],
  venue: null,
})
