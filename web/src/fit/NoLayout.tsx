import { Button } from '@mantine/core'
import { changeMachine } from '../api/client'
import { askFor } from '../api/evaluation'
import { sentenceOf } from '../api/issues'
import { useChange } from '../api/queries'
import type { Fit } from '../loop/useFit'
import type { Workbench } from '../machine/useWorkbench'
import { EmptyState } from '../shell/EmptyState'

/** Nobody has said where the wheels stand: begin from what is fitted. */
export function NoLayout({ bench, fit }: { bench: Workbench; fit: Fit }) {
  const { machine, fitted } = bench.card
  const start = useChange(async () => {
    const { layout, setting } = await askFor(bench.subject, 'startingLayout', {})
    const others = (machine.settings ?? []).filter((s) => s.loopKey !== layout.loopKey)
    return changeMachine({
      machine: {
        ...machine,
        layouts: [...(machine.layouts ?? []), layout],
        settings: setting ? [...others, setting] : machine.settings,
      },
      fitted: fitted.loops,
      fittedVersion: fitted.version,
      kindsOf: bench.card.kindsOf ?? null,
    })
  })
  return (
    <EmptyState title={`Where the wheels of “${fit.loop.name}” stand is not known yet.`}>
      Begin with the centre distance that the fitted length asks for, then correct it to what you measure.
      <br />
      <Button mt="sm" onClick={() => start.mutate(undefined)} loading={start.isPending}>
        Lay it out
      </Button>
      {start.error && (
        <span role="alert" style={{ color: 'var(--stop)', display: 'block', marginTop: 8 }}>
          {sentenceOf(start.error)}
        </span>
      )}
    </EmptyState>
  )
}
