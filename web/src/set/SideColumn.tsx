import { lazy } from 'react'
import type { LoopSetting } from '../api/client'
import type { Fit } from '../fit/useFit'
import type { Workbench } from '../machine/useWorkbench'
import { Panel } from '../shell/Panel'
import { Cautions } from './Cautions'
import { RunningInPanel } from './RunningInPanel'
import { SettingFields } from './SettingFields'
import classes from './SetView.module.css'
import { SprungArmPanel } from './SprungArmPanel'
import { StraightPanel } from './StraightPanel'
import { TrackingPicture } from './TrackingPicture'
import type { Setting } from './useSetting'
import { WarmPanel } from './WarmPanel'

const RedoPanel = lazy(() => import('../machine/RedoPanel'))

/** What stands beside the rounds: how straight, cautions, how it is set, and what else bears on it. */
export function SideColumn({
  bench,
  setting,
  fit,
  draft,
  cautions,
  gapMm,
  onDraft,
  onConfirm,
  onLookAgain,
}: {
  bench: Workbench
  setting: Setting
  fit: Fit | undefined
  draft: LoopSetting | null
  cautions: string[]
  /** Of the round in view. */
  gapMm: number | null
  onDraft: (draft: LoopSetting | null) => void
  onConfirm: () => void
  onLookAgain: (day: string) => void
}) {
  const { job, advice } = setting
  const answer = advice.data
  const isChain = setting.loop.medium === 'chain'
  return (
    <div className={classes.column}>
      {answer?.setting.hasTwoEnds && (
        <Panel title="Tracking">
          <TrackingPicture advice={answer} gapMm={gapMm} />
        </Panel>
      )}
      {answer && (
        <StraightPanel
          kind={bench.card.machine.kind}
          medium={setting.loop.medium}
          centreMm={fit?.answer.data?.centreMm ?? null}
          advice={answer}
        />
      )}
      <Cautions
        cautions={cautions}
        confirmed={job?.cautions ?? null}
        onConfirm={job ? onConfirm : undefined}
      />
      {answer && (
        <SettingFields
          bench={bench}
          advice={answer}
          isChain={isChain}
          draft={draft}
          refusal={advice.error}
          onDraft={onDraft}
        />
      )}
      {!isChain && answer?.unit === 'newton' && answer.window && (
        <RunningInPanel
          advice={answer}
          fittedOn={bench.card.fitted.fittedOn ?? null}
          onLookAgain={job && !setting.isPractice ? onLookAgain : undefined}
        />
      )}
      {!isChain && answer && fit?.answer.data && (
        <WarmPanel advice={answer} centreMm={fit.answer.data.centreMm} />
      )}
      {answer && (answer.setting.kind === 'sprungArm' || fit?.layout?.mover?.kind === 'tensioner') && (
        <SprungArmPanel setting={draft ?? answer.setting} onSetting={onDraft} />
      )}
      {bench.card.machine.id !== 0 && <RedoPanel bench={bench} />}
    </div>
  )
}
