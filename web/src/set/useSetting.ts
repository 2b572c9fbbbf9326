import type { LoopSetting, SetAdvice, SetQuestion, SetRound } from '../api/client'
import { type Question, useDebouncedDraft, useEvaluation } from '../api/evaluation'
import { type Computed, useStorageTrouble } from '../api/queries'
import type { Workbench } from '../machine/useWorkbench'
import type { Visit } from './useVisit'
import { roundInHand, visitKey } from './visitSteps'

/** A visit with what it should be told next. */
export interface Setting extends Visit {
  question: SetQuestion
  advice: Computed<SetAdvice, Question<'set'>>
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
  const isFull = useStorageTrouble() !== undefined
  const setting = useDebouncedDraft(draft)
  const question: SetQuestion = {
    ...(visit?.isPractice && visit.job
      ? { practised: { goal: visit.job.goal, rounds: visit.job.rounds, gauge: visit.job.gauge }, round }
      : {
          visit: visit?.job ? visitKey(visit.job) : null,
          round: visit && isOnlyHere(visit, round, isFull) ? round : null,
        }),
    setting,
    isKeptOnly: false,
    workings: false,
  }
  const advice = useEvaluation(bench.asFitted, 'set', visit?.isKnown ? question : undefined)
  return visit && { ...visit, question, advice }
}

/** What is in hand is stored as it is read, and the advice comes along with that; only what can't be stored is sent as it is. */
const isOnlyHere = ({ job, isUnstored }: Visit, round: SetRound | null, isFull: boolean) =>
  job !== undefined && round !== null && (isFull || isUnstored) && roundInHand(round).events(job).length > 0
