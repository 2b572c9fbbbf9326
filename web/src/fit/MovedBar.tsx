import type { LoopLayout } from '../api/client'
import { DraftBar } from '../machine/DraftBar'
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
  const { machine } = bench.card
  const moved = movedPlace(stored, draft)
  if (!moved) return null
  const mm = (value: number) => units.show('fine', value, units.system === 'inch' ? 3 : 1)
  const layouts = machine.layouts?.map((l) => (l.loopKey === draft.loopKey ? draft : l)) ?? null
  return (
    <DraftBar card={bench.card} machine={{ ...machine, layouts }} isPossible={isPossible} onBack={onBack}>
      {moved.name} at{' '}
      <b className="num">
        {mm(moved.at.xMm)} · {mm(moved.at.yMm)}
      </b>
      , moved {mm(moved.byMm)}, not stored
    </DraftBar>
  )
}
