import { useState } from 'react'
import type { SetAdvice, SetJob, SetRound } from '../api/client'

/** What whoever practises does next, of his own mind. */
export interface Decision {
  what: 'turn' | 'tighten' | 'right' | 'stop'
  leftUnits: number
  rightUnits: number
  /** What the advisor would have said then: shown once it is decided. */
  advised: SetAdvice
}

export interface PracticeDecision {
  /** False while the advisor tells what to do. */
  isMine: boolean
  setMine: (isMine: boolean) => void
  /** What was decided after the last kept round; null while nothing was. */
  decision: Decision | null
  /** It was called right, or given up. */
  isOver: boolean
  /** Whoever decides does so before it is read again. */
  isReadable: boolean
  decide: (decision: Decision) => void
}

/** A practised visit that is decided first and told afterwards; undefined of a real one. */
export function usePracticeDecision(
  job: SetJob | undefined,
  isPractice: boolean,
): PracticeDecision | undefined {
  const [isMine, setMine] = useState(true)
  const [last, setLast] = useState<{ at: string; decision: Decision } | null>(null)
  if (!isPractice || !job) return undefined
  const at = `${job.id} ${job.rounds.length}`
  const decision = last?.at === at ? last.decision : null
  const isOver = decision?.what === 'right' || decision?.what === 'stop'
  return {
    isMine,
    setMine,
    decision,
    isOver,
    isReadable: !isMine || job.rounds.length === 0 || (decision !== null && !isOver),
    decide: (decision) => setLast({ at, decision }),
  }
}

/** How the round after a decision begins. */
export const begun = (practice: PracticeDecision | undefined): Turned | undefined =>
  practice?.isMine && practice.decision
    ? {
        leftUnits: practice.decision.leftUnits,
        rightUnits: practice.decision.rightUnits,
        lock: practice.decision.what === 'tighten' ? 'torqued' : 'nipped',
        assumed: [],
      }
    : undefined

/** What was done before a round is read. */
export type Turned = Pick<SetRound, 'leftUnits' | 'rightUnits' | 'lock' | 'assumed'>
