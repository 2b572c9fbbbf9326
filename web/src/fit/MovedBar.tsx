import { Button, Group } from '@mantine/core'
import type { LoopLayout } from '../api/client'
import { sentenceOf } from '../api/issues'
import { useMachineSave } from '../machine/useMachineSave'
import type { Workbench } from '../machine/useWorkbench'
import { useUnits } from '../quantities/units'
import { movedPlace } from './layoutPlaces'

/** Something was dragged elsewhere and is not stored yet. */
export function MovedBar({
  bench,
  stored,
  draft,
  isPossible,
  onBack,
}: {
  bench: Workbench
  stored: LoopLayout
  draft: LoopLayout
  /** Whether the loop can be laid there. */
  isPossible: boolean
  onBack: () => void
}) {
  const units = useUnits()
  const { machine, fitted } = bench.card
  const { store, error, isPending, dialog } = useMachineSave(onBack)
  const moved = movedPlace(stored, draft)
  if (!moved) return null
  const mm = (value: number) => units.show('fine', value, units.system === 'inch' ? 3 : 1)
  return (
    <Group gap="xs" my={6} data-no-print>
      <span role="status">
        {moved.name} at{' '}
        <b className="num">
          {mm(moved.at.xMm)} · {mm(moved.at.yMm)}
        </b>
        , moved {mm(moved.byMm)}, not stored
      </span>
      <Button
        size="compact-sm"
        loading={isPending}
        disabled={!isPossible}
        onClick={() =>
          store({
            machine: {
              ...machine,
              layouts: machine.layouts?.map((l) => (l.loopKey === draft.loopKey ? draft : l)) ?? null,
            },
            fitted: fitted.loops,
            fittedVersion: fitted.version,
          })
        }
      >
        Store
      </Button>
      <Button size="compact-sm" variant="default" onClick={onBack}>
        Put back
      </Button>
      {error && !dialog ? (
        <span role="alert" style={{ color: 'var(--stop)' }}>
          {sentenceOf(error)}
        </span>
      ) : null}
      {dialog}
    </Group>
  )
}
