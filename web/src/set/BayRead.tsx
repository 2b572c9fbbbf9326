import { Button } from '@mantine/core'
import { useState } from 'react'
import type { SetReading } from '../api/client'
import { ReasonedButton } from '../shell/ReasonedButton'
import classes from './BayMode.module.css'
import { BayReading } from './BayReading'
import type { RoundDraft } from './useRound'
import type { Setting } from './useSetting'

/** One reading, big, by whatever instrument; kept when it was read all round. */
export function BayRead({
  setting,
  round,
  instruction,
  value,
  all,
  isBefore,
  place,
  position,
  isToKeep,
  onRead,
  onKeep,
  onNext,
}: {
  setting: Setting
  round: RoundDraft
  instruction: string
  /** What is read at this place; null for nothing. */
  value: string | null
  /** What is read at all places of this round, in their order. */
  all: string[]
  /** It is of the round before, and kept. */
  isBefore: boolean
  /** The place in words; null where there is one only. */
  place: string | null
  position: number
  /** Read all round: kept before anything else is read over it. */
  isToKeep: boolean
  onRead: (reading: SetReading) => void
  onKeep: () => void
  onNext: () => void
}) {
  // Where a reading is being stepped it is stepped on, also when it is the last one of the round.
  const [stepped, setStepped] = useState<number>()
  const isFirst = (setting.job?.rounds.length ?? 0) === 0
  const here = round.round?.readings.find((r) => r.position === position)
  const kept = setting.job?.rounds.at(-1)?.readings.find((r) => r.position === position)
  const isReading = (round.round?.readings.length ?? 0) > 0 || round.round?.gapMm != null
  return (
    <>
      <p className={classes.instruction} aria-live="polite">
        {instruction}
      </p>
      <output className={classes.reading} data-before={isBefore || undefined}>
        {value ?? '–'}
        <small>{[place, isBefore && 'kept, the round before'].filter(Boolean).join(' · ')}</small>
      </output>
      {isToKeep && <p className={classes.said}>{all.join(' · ')}</p>}
      {(!isToKeep || stepped === position) && (
        <BayReading
          setting={setting}
          round={{
            ...round,
            read: (reading) => {
              setStepped(reading.position)
              round.read(reading)
            },
          }}
          position={position}
          reading={here ?? (round.round === null ? kept : undefined)}
          onRead={onRead}
        />
      )}
      <footer>
        {/* Always there: what stands below the finger must not move while it steps. */}
        <ReasonedButton
          size="xl"
          className={classes.big}
          variant="default"
          why={here ? null : 'Nothing is read here.'}
          onClick={() => round.discard(position)}
        >
          Discard it
        </ReasonedButton>
        {isToKeep || setting.advice.error ? (
          <Button size="xl" className={classes.big} variant="default" onClick={round.clear}>
            Read it anew
          </Button>
        ) : (
          place !== null && (
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
    </>
  )
}
