import {
  adviseSetting,
  type LoopSetting,
  type LoopSummary,
  type SetAdvice,
  type SetInput,
  type SetJob,
  type SetRound,
} from '../api/client'
import { type Computed, useComputed } from '../api/queries'
import type { Workbench } from '../machine/useWorkbench'
import type { Visit } from './useVisit'

/** A visit with what it should be told next. */
export interface Setting extends Visit {
  input: SetInput
  advice: Computed<SetAdvice>
}

/**
 * @param draft How it is set, as it is being typed.
 * @param round What was read so far and is not kept yet.
 */
export function useSetting(
  bench: Workbench,
  visit: Visit | undefined,
  draft: LoopSetting | null,
  round: SetRound | null,
): Setting | undefined {
  const kept = visit?.job?.rounds ?? []
  const input = visit && setInput(bench, visit.loop, draft, round ? [...kept, round] : kept, visit.job)
  const advice = useComputed('set-advice', input, adviseSetting)
  return visit && input && { ...visit, input, advice }
}

export function setInput(
  { card, drive }: Pick<Workbench, 'card' | 'drive'>,
  loop: Pick<LoopSummary, 'loopKey'>,
  draft: LoopSetting | null,
  rounds: SetRound[],
  job: Pick<SetJob, 'goal' | 'gauge'> | undefined,
): SetInput {
  const { machine, fitted, summary } = card
  // Of a loop that is not there any more only its key is known; the core then says so.
  const setting =
    summary.loops.find((l) => l.loopKey === loop.loopKey)?.setting ??
    ({ loopKey: loop.loopKey } as LoopSetting)
  return {
    drive,
    kind: machine.kind,
    loops: fitted.loops.filter((c) => drive.stages.some((s) => s.key === c.loopKey)),
    roadWheels: fitted.roadWheels,
    layout: machine.layouts?.find((l) => l.loopKey === loop.loopKey) ?? null,
    source: machine.loads?.sources.find((s) => s.driveKey === drive.key) ?? null,
    strength: machine.loads?.strengths.find((s) => s.loopKey === loop.loopKey) ?? null,
    setting: draft ?? setting,
    rounds,
    goal: job?.goal ?? 'both',
    gauge: job?.gauge ?? null,
  }
}
