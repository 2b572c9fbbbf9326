import { Button, Group, SegmentedControl, Select } from '@mantine/core'
import { lazy, useState } from 'react'
import type { LoopSetting, SetJob } from '../api/client'
import { issueFor, sentenceOf } from '../api/issues'
import { LoopChoiceBar } from '../fit/LoopChoiceBar'
import { useFit } from '../fit/useFit'
import { reserveText } from '../fit/words'
import { useBench } from '../machine/useWorkbench'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import { Figure } from '../shell/Figure'
import fields from '../shell/fields.module.css'
import { Panel } from '../shell/Panel'
import { Sentence } from '../shell/Sentence'
import { useShortcuts } from '../shell/shortcuts'
import { WorkingDialog } from '../shell/WorkingDialog'
import { BayMode } from './BayMode'
import { Cautions } from './Cautions'
import { ClosingPanel } from './ClosingPanel'
import { Instruments } from './Instruments'
import { NextCard } from './NextCard'
import { ReadingRing, windowOf } from './ReadingRing'
import { RoundsPanel } from './RoundsPanel'
import { RunningInPanel } from './RunningInPanel'
import { SetRecord } from './SetRecord'
import { SettingFields } from './SettingFields'
import classes from './SetView.module.css'
import { StraightPanel } from './StraightPanel'
import { TrackingPicture } from './TrackingPicture'
import { useRound } from './useRound'
import { type Setting, useSetting } from './useSetting'
import { LOCK_WORDS, METHOD_WORDS, positionWord, readingEnds, readingText } from './words'

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
                ? 'free play at mid-run, four places'
                : 'mid-span, four places of the wheel'
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
          {answer && <Ends setting={setting} onWorking={() => setWorking(true)} />}
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
          <Panel title="A visit">
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
              lock={inHand?.lock ?? (answer.next === 'tightenAndRead' ? 'torqued' : 'nipped')}
              turned={turnedFor(inHand, answer, rounds.length === 0)}
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

const turnedFor = (
  inHand: SetJob['rounds'][number] | null,
  advice: NonNullable<Setting['advice']['data']>,
  isFirst: boolean,
) => {
  if (inHand) return { leftUnits: inHand.leftUnits, rightUnits: inHand.rightUnits }
  const on = (side: 'left' | 'right') => {
    const move = advice.moves.find((m) => m.side === side || (m.side === null && side === 'left'))
    return !move || isFirst ? 0 : move.tightens ? move.units : -move.units
  }
  return { leftUnits: on('left'), rightUnits: on('right') }
}

/** The ends of the round in view, the window, and what a spread means. */
function Ends({ setting, onWorking }: { setting: Setting; onWorking: () => void }) {
  const units = useUnits()
  const answer = setting.advice.data
  if (!answer) return null
  const last = answer.rounds.at(-1)
  const method = last?.method ?? (setting.loop.medium === 'chain' ? 'freePlay' : 'pluck')
  const text = (value: number | null | undefined) => (value == null ? '–' : readingText(method, value, units))
  return (
    <>
      {last?.method && (
        <>
          <Figure name={`loosest · tightest, ${METHOD_WORDS[method]}`}>
            {text(last.loosestReading)} · {text(last.tightestReading)}
          </Figure>
          {answer.unit === 'newton' && last.loosest !== null && (
            <Figure name="tension at the loosest">{units.show('force', last.loosest)}</Figure>
          )}
          {answer.unit === 'loopMm' && last.tightest !== null && (
            <Figure name="chain to spare at the tightest">{units.show('fine', -last.tightest)}</Figure>
          )}
          {last.tightestAt !== null && <Figure name="tight place">{positionWord(last.tightestAt)}</Figure>}
          {last.runOutMm !== null && (
            <Figure name="as if a wheel ran out by">{units.show('fine', last.runOutMm)}</Figure>
          )}
        </>
      )}
      <Figure name="window for this drive">
        {answer.windowLooseReading === null ? 'not known' : windowOf(answer)?.map(text).join(' to ')}
      </Figure>
      {answer.window && (
        <p className="cap">
          {answer.window.reason}.{' '}
          <button type="button" className={classes.why} onClick={onWorking} data-no-print>
            why
          </button>
        </p>
      )}
    </>
  )
}

/** Circumstances of the round in hand, and keeping it. */
function RoundInHand({
  setting,
  round,
  isFirst,
  isPending,
  refusal,
  onKeep,
}: {
  setting: Setting
  round: ReturnType<typeof useRound>
  isFirst: boolean
  isPending: boolean
  refusal: unknown
  onKeep: () => void
}) {
  const inHand = round.round
  const answer = setting.advice.data
  const at = `rounds[${setting.job?.rounds.length ?? 0}]`
  const hasTwoEnds = answer?.setting.hasTwoEnds ?? true
  const unit =
    answer?.setting.kind === 'cam' ? 'clicks' : answer?.setting.kind === 'shims' ? 'shims' : 'turns'
  return (
    <Panel
      title={isFirst ? 'As found' : `Round ${setting.job?.rounds.length}`}
      note={inHand ? 'being read' : 'not read yet'}
    >
      <SegmentedControl
        size="xs"
        aria-label="Nut"
        value={inHand?.lock ?? (answer?.next === 'tightenAndRead' ? 'torqued' : 'nipped')}
        onChange={(lock) => round.change({ lock: lock as 'loose' | 'nipped' | 'torqued' })}
        data={Object.entries(LOCK_WORDS).map(([value, label]) => ({ value, label }))}
        data-no-print
      />
      <div className={fields.fields} style={{ marginTop: 8 }}>
        {!isFirst && inHand && (
          <>
            <QuantityField
              size="xs"
              label={hasTwoEnds ? 'Left, turned' : 'Turned'}
              unit={unit}
              value={inHand.leftUnits}
              onChange={(value) => round.change({ leftUnits: value ?? 0 })}
              error={issueFor(refusal, `${at}.leftUnits`)}
            />
            {hasTwoEnds && (
              <QuantityField
                size="xs"
                label="Right, turned"
                unit={unit}
                value={inHand.rightUnits}
                onChange={(value) => round.change({ rightUnits: value ?? 0 })}
                error={issueFor(refusal, `${at}.rightUnits`)}
              />
            )}
          </>
        )}
        {answer?.setting.gapSide && (
          <QuantityField
            size="xs"
            label={`Gap, ${answer.setting.gapSide}`}
            quantity="fine"
            value={inHand?.gapMm ?? undefined}
            onChange={(value) => round.change({ gapMm: value ?? null })}
            error={issueFor(refusal, `${at}.gapMm`)}
          />
        )}
        <QuantityField
          size="xs"
          label="Temperature"
          unit="°C"
          value={inHand?.temperatureC ?? undefined}
          onChange={(value) => round.change({ temperatureC: value ?? null })}
          error={issueFor(refusal, `${at}.temperatureC`)}
        />
        <QuantityField
          size="xs"
          label="Rolled before"
          unit="turns"
          value={inHand?.turnsRolled ?? undefined}
          onChange={(value) => round.change({ turnsRolled: value ?? null })}
          error={issueFor(refusal, `${at}.turnsRolled`)}
        />
        <Select
          size="xs"
          label="It stands"
          data={[
            { value: 'stand', label: 'on its stand' },
            { value: 'wheels', label: 'on its wheels' },
          ]}
          allowDeselect={false}
          value={inHand?.onStand === false ? 'wheels' : 'stand'}
          onChange={(value) => round.change({ onStand: value === 'stand' })}
        />
      </div>
      <Group gap="xs" data-no-print>
        <Button size="sm" disabled={!inHand || Boolean(refusal)} loading={isPending} onClick={onKeep}>
          {isFirst ? 'Keep as found' : 'Keep this round'}
        </Button>
        {inHand && (
          <Button size="sm" variant="default" onClick={round.clear}>
            Read it anew
          </Button>
        )}
      </Group>
      {isFirst && <p className="cap">As found is never edited once it is kept.</p>}
    </Panel>
  )
}
