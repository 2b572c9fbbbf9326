import { SegmentedControl } from '@mantine/core'
import type { Workbench } from '../machine/useWorkbench'

/** Which of the machine's loops is in view. */
export function LoopChoiceBar({ bench }: { bench: Workbench }) {
  const { loops } = bench.card.summary
  if (loops.length < 2) return null
  return (
    <SegmentedControl
      size="xs"
      mb="xs"
      aria-label="Loop in view"
      value={bench.loops.at(-1)?.loopKey}
      onChange={(key) => bench.set({ loops: key })}
      data={loops.map((l) => ({
        value: l.loopKey,
        label: l.name === l.loopKey ? l.name : `${l.name} (${l.loopKey})`,
      }))}
      data-no-print
    />
  )
}
