import { Button, Group, SegmentedControl } from '@mantine/core'
import { lazy, useState } from 'react'
import type { LoopSetting, SetJob } from '../api/client'
import { sentenceOf } from '../api/issues'
import { LoopChoiceBar } from '../fit/LoopChoiceBar'
import { useFit } from '../fit/useFit'
import { reserveText } from '../fit/words'
import { useBench } from '../machine/useWorkbench'
import { useUnits } from '../quantities/units'
import { Figure } from '../shell/Figure'
import { Panel } from '../shell/Panel'
import { Sentence } from '../shell/Sentence'
import { useShortcuts } from '../shell/shortcuts'
import { WorkingDialog } from '../shell/WorkingDialog'
import { BayMode } from './BayMode'
import { Cautions } from './Cautions'
import { ClosingPanel } from './ClosingPanel'
import { Ends } from './Ends'
import { Instruments } from './Instruments'
import { NextCard } from './NextCard'
import { ReadingRing } from './ReadingRing'
import { RoundInHand } from './RoundInHand'
import { RoundsPanel } from './RoundsPanel'
import { RunningInPanel } from './RunningInPanel'
import { SetRecord } from './SetRecord'
import { SettingFields } from './SettingFields'
import classes from './SetView.module.css'
import { SprungArmPanel } from './SprungArmPanel'
import { StraightPanel } from './StraightPanel'
import { TrackingPicture } from './TrackingPicture'
import { useRound } from './useRound'
import { type Setting, useSetting } from './useSetting'
import { WarmPanel } from './WarmPanel'
import { readingEnds } from './words'

const RedoPanel = lazy(() => import('../machine/RedoPanel'))

const POSITIONS = [4, 6, 8]

/** Station 6: measure, turn, measure again until tight enough and straight. */
export default function SetView() {
  const bench = useBench()
  const [draft, setDraft] = useState<LoopSetting | null>(null)
  // What the round in hand begins with is the advice that stood before it was begun.
  const [before, setBefore] = useState<Setting | undefined>()
  const round = useRound(before?.advice.data, (before?.job?.rounds.length ?? 0) === 0)
  const setting = useSetting(bench, draft, round.round)
  if (setting && !round.round && (setting.advice.data !== before?.advice.data || setting.job !== before?.job))
    setBefore(setting)
  if (!setting)
    return (
      <Sentence title="This machine has no loop.">A direct drive has no chain or belt to be set.</Sentence>
    )
  return (
    <Visit
      key={`${setting.loop.loopKey} ${setting.job?.id}`}
      bench={bench}
      setting={setting}
      draft={draft}
      round={round}
      onDraft={setDraft}
    />
  )
}

function Visit({
  bench,
  setting,
  draft,
  round,
  onDraft,
}: {
  bench: ReturnType<typeof useBench>
  setting: Setting
  draft: LoopSetting | null
  round: ReturnType<typeof useRound>
  onDraft: (draft: LoopSetting | null) => void
}) {
  const [position, setPosition] = useState(0)
  const [positions, setPositions] = useState(4)
  const [isWorking, setWorking] = useState(false)
  const [isBay, setBay] = useState(false)
  useShortcuts({ b: () => setBay((was) => !was) })
  const units = useUnits()
  const fit = useFit(bench)
  const { job, advice } = setting
  const answer = advice.data
  const isChain = setting.loop.medium === 'chain'
  const inHand = round.round
  const rounds = job?.rounds ?? []
  const shown = inHand ?? rounds.at(-1)
  const result = answer?.rounds.at(-1)
  const keepRound = () => {
    if (!inHand) return
    setting.keep({ rounds: [...rounds, { ...inHand, at: new Date().toISOString() }] }, () => {
      round.clear()
      setPosition(0)
    })
  }
  const read = (reading: Parameters<typeof round.read>[0]) => {
    round.read(reading)
    setPosition((at) => (at + 1) % positions)
  }
  const records = setting.closed.slice(0, 2).map((closed) => <SetRecord key={closed.id} job={closed} />)
  return (
    <div className={classes.set}>
      <div className={classes.column}>
        <Panel
          title="Round the wheel"
          note={
            job
              ? isChain
                ? 'free play at mid-run, round the wheel'
                : 'mid-span, round the wheel'
              : undefined
          }
          isStale={advice.isStale}
        >
          <LoopChoiceBar bench={bench} />
          <ReadingRing
            readings={shown?.readings ?? []}
            insides={result?.inside ?? []}
            positions={Math.max(positions, (shown?.readings.at(-1)?.position ?? 0) + 1)}
            chosen={position}
            advice={answer}
            last={result}
            onChoose={setPosition}
          />
          {job && !setting.isPractice && (
            <SegmentedControl
              size="xs"
              aria-label="Positions of the wheel"
              value={String(positions)}
              onChange={(value) => {
                setPositions(Number(value))
                setPosition(0)
              }}
              data={POSITIONS.map((n) => ({ value: String(n), label: `${n} places` }))}
              data-no-print
            />
          )}
          {answer && <Ends setting={setting} positions={positions} onWorking={() => setWorking(true)} />}
          {fit?.answer.data?.reserve && (
            <Figure name="left on the adjuster, by Fit">{reserveText(fit.answer.data.reserve, units)}</Figure>
          )}
          {setting.otherSide && (
            <Figure name="the other side, last">{readingEnds(setting.otherSide, units)}</Figure>
          )}
        </Panel>
        {job && records}
      </div>
      <div className={classes.column}>
        {!job && (
          <Panel title="A visit" isEmpty>
            <p>
              It begins as found: a reading before anything is touched. Nothing else is asked first, and it
              can be broken off and gone on with later.
            </p>
            <Group mt="sm" gap="xs" data-no-print>
              <Button size="sm" onClick={setting.begin} loading={setting.isPending}>
                Begin as found
              </Button>
              <Button size="sm" variant="default" onClick={setting.practise}>
                Practise on a simulated drive
              </Button>
            </Group>
          </Panel>
        )}
        {!job && records}
        {setting.isPractice && (
          <p role="note" className={classes.practice}>
            Practice: a simulated drive, nothing is stored.{' '}
            <Button
              size="compact-xs"
              variant="default"
              onClick={() => {
                round.clear()
                setting.leavePractice()
              }}
            >
              Leave it
            </Button>
          </p>
        )}
        {answer && job && (
          <NextCard
            advice={answer}
            round={rounds.length + (inHand ? 1 : 0)}
            isStale={advice.isStale}
            onWorking={() => setWorking(true)}
          />
        )}
        {advice.error ? (
          <p role="alert" style={{ color: 'var(--stop)' }}>
            {sentenceOf(advice.error)}
          </p>
        ) : null}
        {job && answer && (
          <>
            <Instruments
              setting={setting}
              position={position}
              positions={positions}
              round={round.now}
              onRead={read}
              onPractice={(readings, gapMm) => round.change({ readings, gapMm })}
            />
            <RoundInHand
              setting={setting}
              round={round}
              isFirst={rounds.length === 0}
              isPending={setting.isPending}
              refusal={advice.error}
              onKeep={keepRound}
            />
            <RoundsPanel rounds={rounds} results={answer.rounds} hasTwoEnds={answer.setting.hasTwoEnds} />
            {!setting.isPractice && rounds.length > 0 && (
              <ClosingPanel
                isTorqued={rounds.at(-1)?.lock === 'torqued'}
                torqueNm={answer.setting.finalTorqueNm}
                isPending={setting.isPending}
                onClose={(closing) => setting.keep({ closing }, round.clear)}
              />
            )}
          </>
        )}
      </div>
      <div className={classes.column}>
        {answer?.setting.hasTwoEnds && (
          <Panel title="Tracking">
            <TrackingPicture advice={answer} gapMm={shown?.gapMm ?? null} />
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
        <Cautions medium={setting.loop.medium} isMotor={bench.drive.input.kind === 'motor'} />
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
        {answer?.unit === 'newton' && answer.window && <RunningInPanel advice={answer} />}
        {!isChain && answer && fit?.answer.data && (
          <WarmPanel advice={answer} centreMm={fit.answer.data.centreMm} />
        )}
        {fit?.layout?.mover?.kind === 'tensioner' && <SprungArmPanel />}
        <RedoPanel bench={bench} />
        {job && (
          <Group gap="xs" data-no-print>
            <SegmentedControl
              size="xs"
              aria-label="What the rounds are for"
              value={job.goal}
              onChange={(goal) => setting.keep({ goal: goal as SetJob['goal'] })}
              data={[
                { value: 'both', label: 'both' },
                { value: 'tensionOnly', label: 'tension only' },
                { value: 'trackingOnly', label: 'tracking only' },
              ]}
            />
            <Button size="compact-sm" variant="default" onClick={() => setBay(true)}>
              Bay mode
            </Button>
          </Group>
        )}
      </div>
      {isWorking && answer && (
        <WorkingDialog title="Working: set" workings={answer.workings} onClose={() => setWorking(false)} />
      )}
      {isBay && answer && (
        <BayMode
          advice={answer}
          position={position}
          positions={positions}
          reading={shown?.readings.find((r) => r.position === position)}
          units={units}
          isKeepable={inHand !== null}
          onKeep={keepRound}
          onNext={() => setPosition((position + 1) % positions)}
          onLeave={() => setBay(false)}
        />
      )}
    </div>
  )
}
