import type { LoopChoice, LoopFitResult, LoopLayout, LoopSummary } from '../api/client'
import { type Question, useEvaluation } from '../api/evaluation'
import type { Computed } from '../api/queries'
import type { Workbench } from '../machine/useWorkbench'

export interface Fit {
  loop: LoopSummary
  choice: LoopChoice
  /** Undefined until somebody has said where the wheels stand. */
  layout: LoopLayout | undefined
  question: Question<'fit'> | undefined
  answer: Computed<LoopFitResult, Question<'fit'>>
}

/**
 * The fit of the loop in view, with the adjuster where it is dragged or where the length closes.
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
  const question = layout && { travelMm, halfLinks, layout: moved }
  const answer = useEvaluation(bench.subject, 'fit', question)
  const choice = bench.shown.loops.find((c) => c.loopKey === loop?.loopKey)
  if (!loop || !choice) return undefined
  return { loop, choice, layout, question, answer }
}

export const layoutOf = (bench: Workbench, loop: LoopSummary) =>
  bench.card.machine.layouts?.find((l) => l.loopKey === loop.loopKey)
