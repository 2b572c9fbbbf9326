import { lazy, Suspense } from 'react'
import type { LoopSetting } from '../api/client'
import type { Fit } from '../loop/useFit'
import type { Workbench } from '../machine/useWorkbench'
import { Panel } from '../shell/Panel'
import { Cautions } from './Cautions'
import { RunningInPanel } from './RunningInPanel'
import { SettingFields } from './SettingFields'
import classes from './SetView.module.css'
import { StraightPanel } from './StraightPanel'
import { TrackingPicture } from './TrackingPicture'
import type { Setting } from './useSetting'
import { WarmPanel } from './WarmPanel'

const SprungArmPanel = lazy(() => import('./SprungArmPanel'))

const FollowUpPanel = lazy(() => import('../machine/FollowUpPanel'))

/** What stands beside the rounds: how straight, cautions, how it is set, and what else bears on it. */
export function SideColumn({
  bench,
  setting,
  fit,
  draft,
  isTold,
  gapMm,
  onDraft,
  onConfirm,
  onLookAgain,
}: {
  bench: Workbench
  setting: Setting
  fit: Fit | undefined
  draft: LoopSetting | null
  /** Whether the page tells what to turn. */
  isTold: boolean
  /** Of the round in view. */
  gapMm: number | null
  onDraft: (draft: LoopSetting | null) => void
  onConfirm: () => void
  onLookAgain: (day: string) => void
}) {
  const { job, advice } = setting
  const answer = advice.data
  const isChain = setting.loop.driveElement === 'chain'
  // A height in a sheave relaxes by no curve and moves by no warmth that is counted here.
  const hasTension = !isChain && answer?.unit !== 'aboveRimMm'
  return (
    <div className={classes.column}>
      {answer?.setting.adjuster.hasTwoEnds && (
        <Panel title="Tracking">
          <TrackingPicture advice={isTold ? answer : { ...answer, moves: [] }} gapMm={gapMm} />
        </Panel>
      )}
      {answer && (
        <StraightPanel
          bench={bench}
          driveElement={setting.loop.driveElement}
          isLaidOut={fit?.layout !== undefined}
          setting={setting.question.setting ?? null}
          advice={answer}
        />
      )}
      {answer && (
        <Cautions
          manual={answer.manual}
          confirmed={job?.cautions ?? null}
          onConfirm={job ? onConfirm : undefined}
        />
      )}
      {/* Refused or not: where a figure of it is wrong it is mended here. */}
      <SettingFields
        bench={bench}
        counted={answer?.setting ?? setting.loop.setting}
        span={answer?.span}
        eccentricByFitMm={answer?.eccentricByFitMm ?? null}
        lock={answer?.manual.lock ?? 'nut or clamp'}
        hasSuspension={answer?.manual.hasSuspension ?? false}
        windowBy={(answer?.manual.windowBy ?? []).filter((m) => m !== null)}
        isChain={isChain}
        draft={draft}
        refusal={advice.error}
        onDraft={onDraft}
      />
      {hasTension && answer && (
        <RunningInPanel
          bench={bench}
          question={setting.question}
          fittedOn={bench.card.fitted.fittedOn ?? null}
          onLookAgain={job && !setting.isPractice ? onLookAgain : undefined}
        />
      )}
      {hasTension && answer && fit?.layout && (
        <WarmPanel bench={bench} question={setting.question} advice={answer} />
      )}
      <Suspense>
        {answer?.isByIdler && <SprungArmPanel setting={draft ?? answer.setting} onSetting={onDraft} />}
      </Suspense>
      {bench.card.machine.id !== 0 && <FollowUpPanel bench={bench} />}
    </div>
  )
}
