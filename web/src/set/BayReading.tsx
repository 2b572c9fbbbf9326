import { Button, SegmentedControl } from '@mantine/core'
import { useState } from 'react'
import type { SetReading } from '../api/client'
import { sentenceOf } from '../api/issues'
import { useUnits } from '../quantities/units'
import { BaySteps } from '../shell/BaySteps'
import classes from './BayMode.module.css'
import { BayPush } from './BayPush'
import { QUALITY_WORDS } from './FrequencyMeter'
import PracticeReading from './PracticeReading'
import { FEEL_GRADES } from './TypedReading'
import { useFrequencyMeter } from './useFrequencyMeter'
import type { RoundDraft } from './useRound'
import type { Setting } from './useSetting'

type Method = NonNullable<SetReading['method']>
type BayInstrument = Method | 'gap'

const WORDS: Record<BayInstrument, string> = {
  pluck: 'listen',
  push: 'push & rule',
  gauge: 'gauge',
  freePlay: 'free play',
  feel: 'feel',
  beltHeight: 'height in the sheave',
  gap: 'gap',
}

/** Reads with one hand, by whatever instrument: by steps, by listening, by a word; a simulated drive all round. */
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
  const units = useUnits()
  const [chosen, setChosen] = useState<BayInstrument>()
  const [force, setForce] = useState<number>()
  const kept = setting.job?.rounds.flatMap((r) => r.readings) ?? []
  const before = [...kept, ...round.now.readings]
  const readBy = setting.advice.data?.manual.readBy ?? []
  const gapSide = (setting.advice.data?.setting ?? setting.loop.setting).gapSide
  const kinds: BayInstrument[] = [...readBy.filter((m) => m !== null), ...(gapSide ? (['gap'] as const) : [])]
  const instrument = chosen ?? before.at(-1)?.method ?? kinds[0]
  // What the reading at this place was, or the last one of its kind: a step away from what is read now.
  const last = (method: Method) =>
    reading?.method === method ? reading : before.findLast((r) => r.method === method)
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
  if (!instrument) return null
  const put = (method: Method, value: number, forceN: number | null = null) =>
    round.read({ method, value, position, forceN })
  const advice = setting.advice.data
  return (
    <div className={classes.by}>
      {kinds.length > 1 && (
        <SegmentedControl
          size="md"
          fullWidth
          aria-label="Instrument"
          value={instrument}
          onChange={setChosen}
          data={kinds.map((value) => ({ value, label: WORDS[value] }))}
        />
      )}
      {instrument === 'pluck' && <Listening setting={setting} position={position} onRead={onRead} />}
      {instrument === 'feel' && (
        <div className={classes.grades}>
          {FEEL_GRADES.map(({ value, label }) => (
            <Button
              key={value}
              size="lg"
              className={classes.big}
              variant={reading?.method === 'feel' && reading.value === Number(value) ? 'filled' : 'default'}
              aria-pressed={reading?.method === 'feel' && reading.value === Number(value)}
              onClick={() => put('feel', Number(value))}
            >
              {label}
            </Button>
          ))}
        </div>
      )}
      {instrument === 'freePlay' && (
        <BaySteps
          of="play"
          quantity="fine"
          from={
            last('freePlay')?.value ??
            advice?.rounds.at(-1)?.loosestReading ??
            advice?.windowLooseReading ??
            0
          }
          onStep={(value) => put('freePlay', value)}
        />
      )}
      {instrument === 'beltHeight' && (
        <BaySteps
          of="above the rim"
          quantity="fine"
          isFine
          isSigned
          from={last('beltHeight')?.value ?? advice?.windowLooseReading ?? 0}
          onStep={(value) => put('beltHeight', value)}
        />
      )}
      {instrument === 'gauge' && (
        <BaySteps
          of="on the gauge"
          from={last('gauge')?.value ?? 0}
          onStep={(value) => put('gauge', value)}
        />
      )}
      {instrument === 'push' && (
        <BayPush
          said={force}
          onSay={setForce}
          here={reading?.method === 'push' ? reading : undefined}
          last={last('push')}
          onRead={(value, force) => put('push', value, force)}
        />
      )}
      {instrument === 'gap' && (
        <>
          <p className={classes.said}>
            gap, {gapSide}: {round.now.gapMm == null ? '–' : units.show('fine', round.now.gapMm)}
          </p>
          <BaySteps
            of="gap"
            quantity="fine"
            isFine
            from={round.now.gapMm ?? setting.job?.rounds.at(-1)?.gapMm ?? 0}
            onStep={(gapMm) => round.change({ gapMm })}
          />
        </>
      )}
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
