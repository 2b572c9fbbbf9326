import { Button } from '@mantine/core'
import type { SetReading } from '../api/client'
import { sentenceOf } from '../api/issues'
import { useUnits } from '../quantities/units'
import classes from './BayMode.module.css'
import { QUALITY_WORDS } from './FrequencyMeter'
import { PracticeReading } from './PracticeReading'
import { useFrequencyMeter } from './useFrequencyMeter'
import type { RoundDraft } from './useRound'
import type { Setting } from './useSetting'

/** What one press of a stepper is, in the unit that is shown. */
const PLAY_STEP = { metric: 1, inch: 0.05 }

/** Reads with one hand: a chain by a stepper, a belt by listening, a simulated drive all round. */
export function BayReading({
  setting,
  round,
  position,
  reading,
  onRead,
}: {
  setting: Setting
  round: RoundDraft
  position: number
  /** At this place, so far. */
  reading: SetReading | undefined
  onRead: (reading: SetReading) => void
}) {
  if (setting.isPractice)
    return (
      <PracticeReading
        setting={setting}
        round={round.now}
        position={position}
        onReadings={(readings, gapMm) => round.change({ readings, gapMm })}
        onRead={onRead}
      />
    )
  return setting.loop.driveElement === 'chain' ? (
    <PlayStepper
      setting={setting}
      reading={reading}
      onStep={(value) => round.read({ method: 'freePlay', value, position, forceN: null })}
    />
  ) : (
    <Listening setting={setting} position={position} onRead={onRead} />
  )
}

function PlayStepper({
  setting,
  reading,
  onStep,
}: {
  setting: Setting
  reading: SetReading | undefined
  onStep: (playMm: number) => void
}) {
  const units = useUnits()
  const advice = setting.advice.data
  const step = units.toStored('fine', PLAY_STEP[units.system])
  const from =
    reading?.method === 'freePlay'
      ? reading.value
      : (advice?.rounds.at(-1)?.loosestReading ?? advice?.windowLooseReading ?? 0)
  const to = (steps: number) => onStep(Math.max(0, Math.round(from / step + steps) * step))
  return (
    <div className={classes.pair}>
      <Button
        size="xl"
        className={classes.big}
        variant="default"
        onClick={() => to(-1)}
        aria-label="Less play"
      >
        −
      </Button>
      <Button
        size="xl"
        className={classes.big}
        variant="default"
        onClick={() => to(1)}
        aria-label="More play"
      >
        +
      </Button>
    </div>
  )
}

function Listening({
  setting,
  position,
  onRead,
}: {
  setting: Setting
  position: number
  onRead: (reading: SetReading) => void
}) {
  const { measuring, microphone } = useFrequencyMeter(setting.advice.data?.expected ?? null, position, onRead)
  const isOn = microphone.state === 'on'
  return (
    <div className={classes.listening}>
      <Button
        size="xl"
        className={classes.big}
        variant={isOn ? 'default' : 'filled'}
        fullWidth
        loading={microphone.state === 'asking'}
        onClick={isOn ? microphone.stop : microphone.start}
      >
        {isOn ? 'Stop listening' : 'Listen'}
      </Button>
      <p aria-live="polite">
        {measuring.data && QUALITY_WORDS[measuring.data.quality]}
        {measuring.error ? sentenceOf(measuring.error) : null}
        {microphone.state === 'refused' && 'The microphone was refused: leave bay mode and read another way.'}
        {microphone.state === 'absent' && 'There is no microphone here: leave bay mode and read another way.'}
      </p>
    </div>
  )
}
