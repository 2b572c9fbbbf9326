import {
  fitLoop,
  fitPairs,
  type LoopChoice,
  type LoopFitInput,
  type LoopFitResult,
  type LoopLayout,
  type LoopSummary,
  type PairFit,
  type RatioCandidate,
} from '../api/client'
import { type Computed, useComputed } from '../api/queries'
import type { Workbench } from '../machine/useWorkbench'

/** As many as the core takes at once. */
const MOST_PAIRS = 500

export interface Fit {
  loop: LoopSummary
  choice: LoopChoice
  /** Undefined until somebody has said where the wheels stand. */
  layout: LoopLayout | undefined
  input: LoopFitInput | undefined
  answer: Computed<LoopFitResult>
}

/**
 * The fit of the loop in view, with the mover where it is dragged or where the length closes.
 * @param moved The layout as it was dragged and not stored yet, in place of the stored one.
 */
export function useFit(
  bench: Workbench,
  travelMm: number | null = null,
  halfLinks = false,
  moved: LoopLayout | null = null,
): Fit | undefined {
  const loop = bench.loops.at(-1)
  const layout = loop && (moved ?? layoutOf(bench, loop))
  const input = loop && fitInput(bench, loop, layout, travelMm, halfLinks)
  const answer = useComputed('fit', input, fitLoop)
  const choice = bench.shown.loops.find((c) => c.loopKey === loop?.loopKey)
  if (!loop || !choice) return undefined
  return { loop, choice, layout, input, answer }
}

export const layoutOf = (bench: Workbench, loop: LoopSummary) =>
  bench.card.machine.layouts?.find((l) => l.loopKey === loop.loopKey)

export function fitInput(
  bench: Workbench,
  loop: LoopSummary,
  layout: LoopLayout | undefined,
  travelMm: number | null,
  halfLinks: boolean,
): LoopFitInput | undefined {
  const choice = bench.shown.loops.find((c) => c.loopKey === loop.loopKey)
  const fitted = bench.card.fitted.loops.find((c) => c.loopKey === loop.loopKey)
  if (!layout || !choice || !fitted) return undefined
  return {
    drive: bench.drive,
    choice,
    fitted,
    layout,
    travelMm,
    halfLinks,
    wearLimitPercent: loop.wearLimitPercent,
  }
}

/** For pairs of one loop: where the axle goes with the chain or belt that is on it. Empty until that is known. */
export function usePairFits(bench: Workbench, candidates: RatioCandidate[]): Map<string, PairFit> {
  const loop = bench.loops.length === 1 ? bench.loops[0] : undefined
  const layout = loop && layoutOf(bench, loop)
  const fitted = bench.card.fitted.loops.find((c) => c.loopKey === loop?.loopKey)
  const pairs = candidates.flatMap((c) => c.loops.map(({ frontSize, rearSize }) => ({ frontSize, rearSize })))
  const { data } = useComputed(
    'pairs',
    layout?.mover && fitted && pairs.length > 0
      ? { drive: bench.drive, fitted, layout, pairs: pairs.slice(0, MOST_PAIRS) }
      : undefined,
    fitPairs,
  )
  return new Map((data ?? []).map((f) => [pairKey(f), f]))
}

export const pairKey = (pair: { frontSize: number; rearSize: number }) => `${pair.frontSize}/${pair.rearSize}`
