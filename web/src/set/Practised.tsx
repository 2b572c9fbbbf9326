import type { ReactNode } from 'react'
import type { LoopSetting, SetRound } from '../api/client'
import type { Workbench } from '../machine/useWorkbench'
import { DecideCard } from './DecideCard'
import { PracticeBar } from './PracticeBar'
import PracticeResult from './PracticeResult'
import type { PracticeDecision } from './usePracticeDecision'
import type { Setting } from './useSetting'

/** A practised visit: who says what comes next and, for whoever decides, the decision and what it was in the end. */
export default function Practised({
  bench,
  setting,
  practice,
  draft,
  positions,
  inHand,
  cautions,
  onLeave,
}: {
  bench: Workbench
  setting: Setting
  practice: PracticeDecision
  /** How it is set, as it is being typed. */
  draft: LoopSetting | null
  positions: number
  inHand: SetRound | null
  /** What must be confirmed first; null once it was. */
  cautions: ReactNode
  onLeave: () => void
}) {
  const { job, advice } = setting
  const { isMine, decision, isOver } = practice
  return (
    <>
      <PracticeBar practice={practice} isPracticeOnly={bench.card.machine.id === 0} onLeave={onLeave} />
      {isMine &&
        job &&
        advice.data &&
        (isOver && decision ? (
          <PracticeResult
            bench={bench}
            job={job}
            setting={draft}
            advice={advice.data}
            decision={decision}
            onAnother={onLeave}
          />
        ) : (
          <DecideCard
            advice={advice.data}
            round={job.rounds.length}
            positions={positions}
            inHand={inHand}
            decision={decision}
            cautions={cautions}
            onDecide={practice.decide}
          />
        ))}
    </>
  )
}
