import { SegmentedControl } from '@mantine/core'
import { lazy, Suspense, useState } from 'react'
import type { LoopSetting, SetAdvice, SetJob } from '../api/client'
import { sentenceOf } from '../api/issues'
import { RoundPhotos } from '../job/RoundPhotos'
import { reserveText } from '../loop/fitWords'
import { LoopChoiceBar } from '../loop/LoopChoiceBar'
import { readingEnds } from '../loop/readings'
import { useFit } from '../loop/useFit'
import { PartWorking } from '../machine/PartWorking'
import { useBench } from '../machine/useWorkbench'
import { type Units, useUnits } from '../quantities/units'
import { EmptyState } from '../shell/EmptyState'
import { LabelledValue } from '../shell/LabelledValue'
import { Panel } from '../shell/Panel'
import { useShortcuts } from '../shell/shortcuts'
import { Term } from '../shell/Term'
import { CautionsFirst } from './CautionsFirst'
import { Instruments } from './Instruments'
import { NextCard } from './NextCard'
import { NextChoices } from './NextChoices'
import { ReadingRing } from './ReadingRing'
import { RoundInHand } from './RoundInHand'
import { RoundSummary } from './RoundSummary'
import { RoundsPanel } from './RoundsPanel'
import { SetRecord } from './SetRecord'
import classes from './SetView.module.css'
import { SideColumn } from './SideColumn'
import { SideMatchFigure } from './SideMatchFigure'
import { ToReach } from './ToReach'
import type { TypedClosing } from './useClosing'
import { usePlace } from './usePlace'
import { begun, type PracticeDecision, usePracticeDecision } from './usePracticeDecision'
import { useRound } from './useRound'
import { type Setting, useSetting } from './useSetting'
import { useVisit } from './useVisit'
import { VisitBar } from './VisitBar'
import { isToKeep, readOnText } from './words'

const BeforeVisit = lazy(() => import('./BeforeVisit'))
const BayMode = lazy(() => import('./BayMode'))
const ClosingPanel = lazy(() => import('./ClosingPanel'))
const Practised = lazy(() => import('./Practised'))
const TrendPanel = lazy(() => import('./TrendPanel'))

type Closing = Parameters<Setting['close']>[0]

/** While nothing can be counted. */
const NO_ANSWER_PLACES = [4]

/** Station 6: measure, turn, measure again until tight enough and straight. */
export default function SetView() {
  const bench = useBench()
  const [draft, setDraft] = useState<LoopSetting | null>(null)
  const visit = useVisit(bench)
  // What the round in hand begins with is the advice that stood before it was begun.
  const [before, setBefore] = useState<SetAdvice | undefined>()
  const practice = usePracticeDecision(visit?.job, visit?.isPractice === true)
  const round = useRound(visit, before, begun(practice))
  const setting = useSetting(bench, visit, draft, round.round)
  if (setting && !round.round && setting.advice.data !== before) setBefore(setting.advice.data)
  if (!setting)
    return (
      <EmptyState title="This machine has no loop.">
        A direct drive has no chain or belt to be set.
      </EmptyState>
    )
  if (!setting.isKnown)
    return setting.trouble ? (
      <EmptyState title="The visits can’t be read.">{sentenceOf(setting.trouble)}</EmptyState>
    ) : (
      <EmptyState title="Opening the visits …" />
    )
  return (
    <Visit
      key={`${setting.loop.loopKey} ${setting.job?.id}`}
      bench={bench}
      setting={setting}
      draft={draft}
      round={round}
      practice={practice}
      onDraft={setDraft}
    />
  )
}

function Visit({
  bench,
  setting,
  draft,
  round,
  practice,
  onDraft,
}: {
  bench: ReturnType<typeof useBench>
  setting: Setting
  draft: LoopSetting | null
  round: ReturnType<typeof useRound>
  practice: PracticeDecision | undefined
  onDraft: (draft: LoopSetting | null) => void
}) {
  const [isBay, setBay] = useState(false)
  const places = setting.advice.data?.manual.places ?? NO_ANSWER_PLACES
  const [place, setPosition] = usePlace(round.round, isBay, places[0] ?? 1)
  const [chosenPlaces, setPositions] = useState<number>()
  const [nextCheckOn, setNextCheckOn] = useState('')
  const [typed, setTyped] = useState<TypedClosing>({ note: '', reason: '' })
  const [isWorking, setWorking] = useState(false)
  const isMine = practice?.isMine === true
  useShortcuts({ b: () => setBay((was) => !was && !isMine) })
  const units = useUnits()
  const fit = useFit(bench)
  const { job, advice } = setting
  const answer = advice.data
  const isChain = setting.loop.driveElement === 'chain'
  const isOfSheave = (answer?.setting ?? setting.loop.setting).adjuster.isOfSheave
  const positions = places.find((n) => n === chosenPlaces) ?? places[0] ?? 1
  const position = places.length > 1 ? place : 0
  const isPracticeOnly = bench.card.machine.id === 0
  const confirm = setting.confirm
  const inHand = round.round
  const rounds = job?.rounds ?? []
  const readOn = readOnText(inHand, positions)
  const shown = inHand ?? rounds.at(-1)
  const result = answer?.rounds.at(-1)
  const keepRound = () => {
    if (!inHand) return
    round.settle()
    setting.keepRound(inHand, () => {
      round.clear()
      setPosition(0)
    })
  }
  const read = (reading: Parameters<typeof round.read>[0]) => {
    round.read(reading)
    setPosition((at) => (at + 1) % positions)
  }
  const choices = answer && (
    <NextChoices
      bench={bench}
      advice={answer}
      onDraft={onDraft}
      onMended={() => round.change({ learnAnew: true, leftUnits: 0, rightUnits: 0, assumed: ['lock'] })}
    />
  )
  const cautions = answer && job && !job.cautions && (
    <CautionsFirst first={answer.manual.cautions[0] ?? ''} onConfirm={confirm} />
  )
  // A practised visit is signed by nobody.
  const closing = answer &&
    job &&
    !setting.isPractice && {
      bench,
      job,
      manual: answer.manual,
      isReading: inHand !== null,
      lastReading: rounds.at(-1)?.lock === 'torqued' ? leftText(job, units) : null,
      torqueNm: answer.setting.finalTorqueNm,
      nextCheckOn,
      typed,
      onTyped: setTyped,
      isPending: setting.isPending,
      onDone: setting.tick,
      onNextCheck: setNextCheckOn,
      onClose: (end: Closing) => setting.close(end, round.clear),
    }
  const records = (
    <>
      {setting.closed[0] && <SetRecord job={setting.closed[0]} card={bench.card} />}
      <Suspense>
        {setting.closed.length > 1 && <TrendPanel jobs={setting.closed} card={bench.card} />}
      </Suspense>
    </>
  )
  return (
    <div className={classes.set}>
      <div className={classes.column}>
        <Panel
          title={isOfSheave ? 'In the sheave' : 'Round the wheel'}
          note={
            job ? (
              isOfSheave ? (
                'belt above the rim of its sheave'
              ) : isChain ? (
                <>
                  <Term word="free play" /> at mid-run, round the wheel
                </>
              ) : (
                <>
                  mid-
                  <Term word="span" />, round the wheel
                </>
              )
            ) : undefined
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
          {job && !setting.isPractice && places.length > 1 && (
            <SegmentedControl
              size="xs"
              aria-label="Positions of the wheel"
              value={String(positions)}
              onChange={(value) => {
                setPositions(Number(value))
                setPosition(0)
              }}
              data={places.map((n) => ({ value: String(n), label: `${n} places` }))}
              data-no-print
            />
          )}
          {answer && (
            <RoundSummary advice={answer} positions={positions} onWorking={() => setWorking(true)} />
          )}
          {fit?.answer.data?.reserve && !answer?.setting.adjuster.isEccentric && (
            <LabelledValue name="left on the adjuster, by Fit">
              {reserveText(fit.answer.data.reserve, units)}
            </LabelledValue>
          )}
          {!setting.isPractice && <SideMatchFigure bench={bench} setting={setting} />}
        </Panel>
        {job && records}
      </div>
      <div className={classes.column}>
        <Suspense>{!job && <BeforeVisit setting={setting} isPracticeOnly={isPracticeOnly} />}</Suspense>
        {!job && records}
        <Suspense>
          {practice && (
            <Practised
              bench={bench}
              setting={setting}
              practice={practice}
              draft={draft}
              positions={positions}
              inHand={inHand}
              cautions={cautions}
              onLeave={() => {
                round.clear()
                setting.leavePractice()
              }}
            />
          )}
        </Suspense>
        {answer && job && !isMine && (
          <NextCard
            advice={answer}
            round={rounds.length + (inHand && !readOn ? 1 : 0)}
            positions={positions}
            inHand={inHand}
            isStale={advice.isStale}
            cautions={answer.next === 'turn' && cautions}
            choices={choices}
            onWorking={() => setWorking(true)}
          />
        )}
        {job && (
          <VisitBar
            machineId={bench.card.machine.id}
            setting={setting}
            job={job}
            noBay={isMine ? 'Bay mode tells what to do: choose “tell me” first.' : null}
            onBay={() => setBay(true)}
          />
        )}
        {job && !setting.isPractice && (
          <ToReach machineId={job.machineId} jobId={job.id} loopKey={job.loopKey} />
        )}
        {advice.error ? (
          <p role="alert" style={{ color: 'var(--stop)' }}>
            {sentenceOf(advice.error)}
          </p>
        ) : null}
        {job && (
          <>
            {!isBay && (practice?.isReadable ?? true) && (
              <Instruments
                setting={setting}
                position={position}
                positions={positions}
                round={round.now}
                onRead={read}
                onReadings={(readings, gapMm) => round.change({ readings, gapMm })}
              />
            )}
            {(practice?.isReadable ?? true) && (
              <RoundInHand
                setting={setting}
                round={round}
                isFirst={rounds.length === 0}
                isDecided={isMine}
                position={position}
                isPending={setting.isPending}
                refusal={advice.error}
                onKeep={keepRound}
              />
            )}
            {answer && (
              <RoundsPanel
                rounds={rounds}
                results={answer.rounds}
                adjuster={answer.setting.adjuster}
                lock={answer.manual.lock}
              />
            )}
            {!setting.isPractice && (
              <RoundPhotos bench={bench} jobId={job.id} loopKey={job.loopKey} round={rounds.length} />
            )}
            <Suspense>{closing && rounds.length > 0 && <ClosingPanel {...closing} />}</Suspense>
          </>
        )}
      </div>
      <SideColumn
        bench={bench}
        setting={setting}
        fit={fit}
        draft={draft}
        isTold={!isMine}
        gapMm={shown?.gapMm ?? null}
        onDraft={onDraft}
        onConfirm={confirm}
        onLookAgain={setNextCheckOn}
      />
      {isWorking && advice.of && (
        <PartWorking
          title="Working: set"
          bench={bench}
          part="set"
          question={advice.of}
          of={(answer) => answer.workings}
          onClose={() => setWorking(false)}
        />
      )}
      <Suspense>
        {isBay && (
          <BayMode
            setting={setting}
            round={round}
            position={position}
            positions={positions}
            onRead={read}
            onKeep={keepRound}
            isToKeep={isToKeep(inHand, positions)}
            choices={choices}
            closing={closing || undefined}
            onNext={() => setPosition((position + 1) % positions)}
            onLeave={() => setBay(false)}
          />
        )}
      </Suspense>
    </div>
  )
}

/** What the last reading was: of tracking alone its gap. */
const leftText = (job: SetJob, units: Units) => {
  const gap = job.rounds.at(-1)?.gapMm
  return job.rounds.at(-1)?.readings.length === 0 && gap != null
    ? `gap ${units.show('fine', gap)}`
    : readingEnds(job, units)
}
