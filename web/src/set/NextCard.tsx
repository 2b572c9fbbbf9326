import type { ReactNode } from 'react'
import type { SetAdvice, SetRound } from '../api/client'
import { METHOD_WORDS, readingText } from '../loop/readings'
import { figure } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { LabelledValue } from '../shell/LabelledValue'
import { WhyButton } from '../shell/WhyButton'
import classes from './NextCard.module.css'
import {
  CONDITION_WORDS,
  firstText,
  isToKeep,
  MOVED_WORDS,
  nextText,
  positionWord,
  reserveWords,
  rollText,
  SEEN_WORDS,
  stepText,
  windowLine,
} from './words'

/** What to do next, in large type, and what to expect of it. */
export function NextCard({
  advice,
  round,
  positions,
  inHand,
  isStale,
  cautions,
  choices,
  onWorking,
}: {
  advice: SetAdvice
  /** Number of the round that comes; 0 is as found. */
  round: number
  /** Places of the wheel that are read. */
  positions: number
  /** What is being read; null where nothing is. */
  inHand: SetRound | null
  isStale: boolean
  /** What must be confirmed first; null once it was. */
  cautions: ReactNode
  /** What is asked or done here, beside the sentence. */
  choices: ReactNode
  onWorking: () => void
}) {
  const units = useUnits()
  const last = advice.rounds.at(-1)
  const method = last?.method
  const text = (value: number | null | undefined) =>
    value == null || !method ? null : readingText(method, value, units)
  const turns = advice.next === 'turn'
  const roll = rollText(advice, positions)
  const first = firstText(advice, inHand, positions, round === 0)
  const isReading = inHand !== null && inHand.readings.length > 0
  const { seenFrom } = advice.setting.adjuster
  const setAt = last?.setAt
  const [reserveName, reserve] = advice.reserve
    ? reserveWords(advice.reserve, advice.setting.adjuster.kind, units)
    : []
  return (
    <section
      className={classes.next}
      aria-label="Do this next"
      aria-live="polite"
      data-stale={isStale || undefined}
      data-state={advice.next}
    >
      <header>
        <span className="cap">Do this next{round > 0 ? ` · round ${round}` : ' · as found'}</span>
        <WhyButton onClick={onWorking} />
      </header>
      {cautions}
      {isReading && first ? (
        <>
          <p className={classes.big}>{first}</p>
          <p>
            {isToKeep(inHand, positions) ? 'Then: ' : 'By what was read so far: '}
            {nextText(advice)}
          </p>
        </>
      ) : (
        <>
          {first && <p className={classes.big}>{first}</p>}
          <p className={classes.big}>{nextText(advice)}</p>
          {roll && <p className={classes.big}>{roll}</p>}
          {choices}
        </>
      )}
      <p className="cap">{windowLine(advice, units)}</p>
      {advice.overReading !== null && method && (
        <LabelledValue name="past the window by">
          {readingText(method, advice.overReading, units)}
        </LabelledValue>
      )}
      {advice.stifferBy !== null && (
        <LabelledValue name="stiffer than supposed">
          {figure(advice.stifferBy, 2)} times; learned
        </LabelledValue>
      )}
      {turns && text(advice.expectedLoosestReading) && (
        <LabelledValue name={positions > 1 ? 'expect at the loosest position' : 'expect'}>
          {text(last?.loosestReading)} → {text(advice.expectedLoosestReading)}
        </LabelledValue>
      )}
      {turns && advice.expectedGapMm !== null && last?.gapMm != null && (
        <LabelledValue name="expect of the gap">
          {units.show('fine', last.gapMm)} → {units.show('fine', advice.expectedGapMm)}
        </LabelledValue>
      )}
      {turns && setAt != null && positions > 1 && (
        <LabelledValue name="the place that counts">{positionWord(setAt, positions)}</LabelledValue>
      )}
      {turns && advice.reserve && (
        <LabelledValue name={reserveName ?? ''}>
          {advice.reserve.isNearlyUsedUp && '▲ nearly used up: '}
          {reserve}
        </LabelledValue>
      )}
      {advice.shims && (
        <LabelledValue name="a shim at every bolt moves it by">
          {units.show('fine', advice.shims.risesMm)}
        </LabelledValue>
      )}
      {advice.shims && advice.shims.inAfter !== null && (
        <LabelledValue name={turns ? 'shims in at each bolt then' : 'shims in at each bolt'}>
          {advice.shims.inAfter}
        </LabelledValue>
      )}
      {advice.shims && advice.shims.spareAfter !== null && (
        <LabelledValue name={turns ? 'could still go in then' : 'could still go in'}>
          {advice.shims.spareAfter}
        </LabelledValue>
      )}
      {advice.learnedRounds > 0 && advice.perStepReading !== null && method && (
        <LabelledValue
          name={`learned from ${advice.learnedRounds} ${advice.learnedRounds === 1 ? 'round' : 'rounds'}`}
        >
          {readingText(method, Math.abs(advice.perStepReading), units)}
          {advice.perStepGapMm !== null && ` and ${units.show('fine', Math.abs(advice.perStepGapMm))} of gap`}{' '}
          for {stepText(advice.setting.adjuster)}
        </LabelledValue>
      )}
      {advice.nutShiftReading !== null && method && advice.next !== 'done' && (
        <LabelledValue name={`tightening the ${advice.manual.lock} moves it by, as learned`}>
          {advice.nutShiftReading > 0 ? '+' : '−'}
          {readingText(method, Math.abs(advice.nutShiftReading), units)}
        </LabelledValue>
      )}
      {turns &&
        advice.moves.map((move) => (
          <p className="cap" key={String(move.side)}>
            {move.side ?? 'adjuster'}: {units.show('fine', Math.abs(move.mm))} of{' '}
            {MOVED_WORDS[advice.setting.adjuster.kind]}
            {move.flats !== null && `, ${figure(move.flats, 2)} flats of a nut`}
            {move.clockHours !== null && `, ${figure(move.clockHours, 2)} hours of a clock`}
            {move.clockwise !== null && seenFrom && `, seen ${SEEN_WORDS[seenFrom]}`}
          </p>
        ))}
      {advice.isOffStand && (
        <p role="alert" className={classes.doubt}>
          ▲ Read on its wheels: the window is for the stand, where the suspension hangs.
        </p>
      )}
      {advice.isPartial && <p className="cap">Read at few places: its tight place may be elsewhere.</p>}
      {advice.conditions.map((condition) => (
        <p role="alert" className={classes.doubt} key={condition}>
          ▲ {CONDITION_WORDS[condition](advice.turnsToRoll)}
        </p>
      ))}
      {advice.doubts.map((d) => (
        <p role="alert" className={classes.doubt} key={d.position}>
          ▲ {readingText(d.method, d.value, units)} {d.method && METHOD_WORDS[d.method]}{' '}
          {d.wouldBe === null
            ? `can’t be: this run gives ${units.show('fine', d.mostMm ?? 0)} at most.`
            : `would be ${advice.unit === 'newton' ? units.show('force', d.wouldBe) : figure(d.wouldBe, 3)} here.`}
          {d.meant && ` Did you mean ${readingText(d.meant, d.value, units)}?`}
        </p>
      ))}
      {advice.suspects.length > 0 && (
        <ul className={classes.suspects}>
          {advice.suspects.map((s) => (
            <li key={s}>{s}</li>
          ))}
        </ul>
      )}
    </section>
  )
}
