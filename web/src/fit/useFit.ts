import {
  fitLoop,
  type LoopChoice,
  type LoopFitInput,
  type LoopFitResult,
  type LoopLayout,
  type LoopSummary,
} from '../api/client'
import { type Computed, useComputed } from '../api/queries'
import type { Workbench } from '../machine/useWorkbench'

export interface Fit {
  loop: LoopSummary
  choice: LoopChoice
  /** Undefined until somebody has said where the wheels stand. */
  layout: LoopLayout | undefined
  input: LoopFitInput | undefined
  answer: Computed<LoopFitResult>
}

/** The fit of the loop in view, with the mover where it is dragged or where the length closes. */
export function useFit(bench: Workbench, travelMm: number | null = null, halfLinks = false): Fit | undefined {
  const loop = bench.loops.at(-1)
  const input = loop && fitInput(bench, loop, travelMm, halfLinks)
  const answer = useComputed('fit', input, fitLoop)
  const choice = bench.shown.loops.find((c) => c.loopKey === loop?.loopKey)
  if (!loop || !choice) return undefined
  return { loop, choice, layout: layoutOf(bench, loop), input, answer }
}

export const layoutOf = (bench: Workbench, loop: LoopSummary) =>
  bench.card.machine.layouts?.find((l) => l.loopKey === loop.loopKey)

export function fitInput(
  bench: Workbench,
  loop: LoopSummary,
  travelMm: number | null,
  halfLinks: boolean,
): LoopFitInput | undefined {
  const layout = layoutOf(bench, loop)
  const choice = bench.shown.loops.find((c) => c.loopKey === loop.loopKey)
  const fitted = bench.card.fitted.loops.find((c) => c.loopKey === loop.loopKey)
  const drive = bench.card.machine.drives.find((d) => d.key === loop.driveKey)
  if (!layout || !choice || !fitted || !drive) return undefined
  return { drive, choice, fitted, layout, travelMm, halfLinks, wearLimitPercent: loop.wearLimitPercent }
}
