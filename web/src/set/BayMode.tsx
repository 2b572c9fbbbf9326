import { SegmentedControl } from '@mantine/core'
import { type ReactNode, useState } from 'react'
import type { SetReading } from '../api/client'
import { sentenceOf } from '../api/issues'
import { readingText } from '../loop/readings'
import { useUnits } from '../quantities/units'
import { Bay } from '../shell/Bay'
import { BayBefore } from './BayBefore'
import { BayClose } from './BayClose'
import { BayLock } from './BayLock'
import classes from './BayMode.module.css'
import { BayRead } from './BayRead'
import { BayTurn } from './BayTurn'
import { type BayScreen, nextScreen } from './bayScreens'
import type { ClosingAsked } from './useClosing'
import type { RoundDraft } from './useRound'
import type { Setting } from './useSetting'
import { capital, firstText, nextText, positionWord, rollText, windowLine } from './words'

const CONFIRMED = { who: null, at: '' }

/** A whole visit with one hand, one thing a screen; the screen stays awake, and it speaks when wanted. */
export default function BayMode({
  setting,
  round,
  position,
  positions,
  isToKeep,
  choices,
  closing,
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
  /** What is asked before it goes on. */
  choices: ReactNode
  /** What the end of the visit asks; undefined until it can be told. */
  closing: ClosingAsked | undefined
  onRead: (reading: SetReading) => void
  onKeep: () => void
  onNext: () => void
  onLeave: () => void
}) {
  const units = useUnits()
  const { job } = setting
  const advice = setting.advice.data
  const kept = job?.rounds.length ?? 0
  const next = job && advice && nextScreen(job, advice.next, round.round)
  // What is said or stepped leaves the screen where it is; a round that was kept brings the next one.
  const [at, setAt] = useState({ screen: next, kept })
  const isPast = at.screen === undefined || (at.kept !== kept && round.round === null)
  if (next && isPast && !setting.advice.isStale) setAt({ screen: next, kept })
  if (!job || !advice) return null
  const { screen } = at
  const goTo = (screen: BayScreen) => setAt({ screen, kept })
  const { manual } = advice
  const reading = (round.round ?? job.rounds.at(-1))?.readings.find((r) => r.position === position)
  // What was kept is not what is read now.
  const isBefore = round.round === null && reading !== undefined
  const value = reading ? readingText(reading.method, reading.value, units) : null
  const isFirst = kept === 0
  const isReading = (round.round?.readings.length ?? 0) > 0
  const first = firstText(advice, round.round, positions, isFirst)
  const toRead =
    isReading && first
      ? first
      : isFirst
        ? nextText(advice)
        : (rollText(advice, positions) ?? 'Read it once more.')
  const toTurn = [!isReading && first, nextText(advice)].filter(Boolean).join(' ')
  const instruction = screen === 'read' ? toRead : screen === 'turn' ? toTurn : ''
  return (
    <Bay
      speech={[screen === 'read' && !isBefore && value, instruction].filter(Boolean).join('. ')}
      className={classes.bay}
      onLeave={onLeave}
    >
      <SegmentedControl
        fullWidth
        className={classes.screens}
        aria-label="Of this visit"
        value={screen}
        onChange={goTo}
        data={[
          { value: 'before', label: 'Before' },
          { value: 'turn', label: 'Turn' },
          { value: 'lock', label: capital(manual.lock) },
          { value: 'read', label: 'Read' },
          { value: 'close', label: 'Close' },
        ]}
      />
      {(screen === 'read' || screen === 'turn') && (
        <p className={classes.basis}>{windowLine(advice, units)}</p>
      )}
      {setting.advice.error ? (
        <p role="alert" style={{ color: 'var(--stop)' }}>
          {sentenceOf(setting.advice.error)}
        </p>
      ) : null}
      {screen === 'before' && (
        <BayBefore
          manual={manual}
          isConfirmed={job.cautions !== null}
          onConfirm={() => {
            setting.confirm()
            // At once, also while nothing answers: it is kept on the device then.
            goTo(nextScreen({ ...job, cautions: CONFIRMED }, advice.next, round.round))
          }}
          onRead={() => goTo('read')}
        />
      )}
      {screen === 'turn' && (
        <BayTurn
          setting={setting}
          round={round}
          instruction={toTurn}
          choices={choices}
          onTurned={() => goTo('lock')}
        />
      )}
      {screen === 'lock' && (
        <BayLock
          lock={manual.lock}
          locksAreMany={manual.locksAreMany}
          round={round}
          onSaid={() => goTo('read')}
        />
      )}
      {screen === 'read' && (
        <BayRead
          setting={setting}
          round={round}
          instruction={toRead}
          value={value}
          all={(round.round?.readings ?? []).map((r) => readingText(r.method, r.value, units))}
          isBefore={isBefore}
          place={positions > 1 ? positionWord(position, positions) : null}
          position={position}
          isToKeep={isToKeep}
          onRead={onRead}
          onKeep={onKeep}
          onNext={onNext}
        />
      )}
      {screen === 'close' && !closing && (
        <p className={classes.instruction}>
          {setting.isPractice ? 'A practised visit has nothing to sign: leave it, or read on.' : 'Opening …'}
        </p>
      )}
      {screen === 'close' && closing && (
        <BayClose
          {...closing}
          onReadTight={() => {
            round.say('lock', { lock: 'torqued' })
            goTo('read')
          }}
        />
      )}
    </Bay>
  )
}
