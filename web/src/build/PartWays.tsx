import type { HubAtStep, ProcedureFamily, ProcedureStep, RunAtStep, WayAtStep } from '../api/plan'
import type { Workbench } from '../machine/useWorkbench'
import { HubWays } from './HubWays'
import { MeasuredWays } from './MeasuredWays'
import { RunWays } from './RunWays'

/** What is known of both ways round, step by step. */
export interface DrawnWays {
  hubs: HubAtStep[]
  runs: RunAtStep[]
  ways: WayAtStep[]
}

/** Both ways round of the part of a step, by what is known best: its hub as measured at Fit, its standard, its measure. */
export function PartWays({
  bench,
  family,
  step,
  drawn,
}: {
  bench: Workbench
  family: ProcedureFamily
  step: ProcedureStep
  drawn: DrawnWays
}) {
  const of = <T extends { step: string }>(list: T[]) => list.find((l) => l.step === step.key)
  const hub = of(drawn.hubs)
  const run = of(drawn.runs)
  const at = of(drawn.ways)
  if (hub) return <HubWays hub={hub} step={step} />
  if (run) return <RunWays run={run} step={step} />
  return at ? (
    <MeasuredWays key={`${step.key} ${at.measuredMm}`} bench={bench} family={family} step={step} at={at} />
  ) : null
}
