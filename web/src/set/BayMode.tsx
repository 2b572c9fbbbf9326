import { Button } from '@mantine/core'
import type { SetReading } from '../api/client'
import { sentenceOf } from '../api/issues'
import { readingText } from '../loop/readings'
import { useUnits } from '../quantities/units'
import { Bay } from '../shell/Bay'
import { ReasonedButton } from '../shell/ReasonedButton'
import classes from './BayMode.module.css'
import { BayReading } from './BayReading'
import { BayTurns } from './BayTurns'
import type { RoundDraft } from './useRound'
import type { Setting } from './useSetting'
import { firstText, nextText, positionWord, rollText, windowLine } from './words'

/** One instruction, one big reading, one big button; the screen stays awake, and it speaks when wanted. */
export default function BayMode({
  setting,
  round,
  position,
  positions,
  isToKeep,
  onRead,
  onKeep,
  onNext,
  onLeave,
}: {
  setting: Setting
  round: RoundDraft
  position: number
  positions: number
  /** Read all round: kept before anything else is read over it. */
  isToKeep: boolean
  onRead: (reading: SetReading) => void
  onKeep: () => void
  onNext: () => void
  onLeave: () => void
}) {
  const units = useUnits()
  const advice = setting.advice.data
  const kept = setting.job?.rounds.at(-1)
  const reading = (round.round ?? kept)?.readings.find((r) => r.position === position)
  // What was kept is not what is read now.
  const isBefore = round.round === null && reading !== undefined
  const isFirst = (setting.job?.rounds.length ?? 0) === 0
  const isReading = (round.round?.readings.length ?? 0) > 0
  const first = advice && firstText(advice, round.round, positions, isFirst)
  const instruction = !advice
    ? ''
    : isReading && first
      ? first
      : [first, nextText(advice), rollText(advice, positions)].filter(Boolean).join(' ')
  const value = reading ? readingText(reading.method, reading.value, units) : null
  return (
    <Bay
      speech={[!isBefore && value, instruction].filter(Boolean).join('. ')}
      className={classes.bay}
      onLeave={onLeave}
    >
      <p className={classes.instruction} aria-live="polite">
        {instruction}
      </p>
      {advice && <p className={classes.basis}>{windowLine(advice, units)}</p>}
      {setting.advice.error ? (
        <p role="alert" style={{ color: 'var(--stop)' }}>
          {sentenceOf(setting.advice.error)}
        </p>
      ) : null}
      {!isFirst && <BayTurns setting={setting} round={round} />}
      <p className={classes.reading} data-before={isBefore || undefined}>
        {value ?? '–'}
        <small>
          {[positions > 1 && positionWord(position, positions), isBefore && 'kept, the round before']
            .filter(Boolean)
            .join(' · ')}
        </small>
      </p>
      {!isToKeep && (
        <BayReading setting={setting} round={round} position={position} reading={reading} onRead={onRead} />
      )}
      <footer>
        {/* Always there: what stands below the finger must not move while it steps. */}
        <ReasonedButton
          size="xl"
          className={classes.big}
          variant="default"
          why={round.round?.readings.some((r) => r.position === position) ? null : 'Nothing is read here.'}
          onClick={() => round.discard(position)}
        >
          Discard it
        </ReasonedButton>
        {isToKeep || setting.advice.error ? (
          <Button size="xl" className={classes.big} variant="default" onClick={round.clear}>
            Read it anew
          </Button>
        ) : (
          positions > 1 && (
            <Button size="xl" className={classes.big} variant="default" onClick={onNext}>
              Next place
            </Button>
          )
        )}
        <ReasonedButton
          size="xl"
          className={`${classes.big} ${classes.keep}`}
          why={
            !isReading
              ? 'Nothing is read yet.'
              : setting.advice.error
                ? 'It was refused: read it anew.'
                : null
          }
          loading={setting.isPending}
          onClick={onKeep}
        >
          {isFirst ? 'Keep as found' : 'Keep'}
        </ReasonedButton>
      </footer>
    </Bay>
  )
}
