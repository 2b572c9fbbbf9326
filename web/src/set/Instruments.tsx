import { SegmentedControl } from '@mantine/core'
import { lazy, Suspense, useState } from 'react'
import type { SetReading, SetRound } from '../api/client'
import { Panel } from '../shell/Panel'
import { TypedReading } from './TypedReading'
import type { Setting } from './useSetting'
import { positionWord } from './words'

const FrequencyMeter = lazy(() => import('./FrequencyMeter'))
const GaugeCalibration = lazy(() => import('./GaugeCalibration'))
const PracticeReading = lazy(() => import('./PracticeReading'))
const SlipTest = lazy(() => import('./SlipTest'))

export type Instrument =
  | 'microphone'
  | 'file'
  | 'gauge'
  | 'push'
  | 'freePlay'
  | 'feel'
  | 'beltHeight'
  | 'practice'

const WORDS: Record<Instrument, string> = {
  microphone: 'microphone',
  file: 'file',
  gauge: 'gauge',
  push: 'push & rule',
  freePlay: 'free play',
  feel: 'feel',
  beltHeight: 'height in the sheave',
  practice: 'practice',
}

/** One switch between the ways to read tightness; each puts its reading at the position chosen on the ring. */
export function Instruments({
  setting,
  position,
  positions,
  round,
  onRead,
  onReadings,
}: {
  setting: Setting
  position: number
  positions: number
  /** In hand, or as it would begin. */
  round: SetRound
  onRead: (reading: SetReading) => void
  onReadings: (readings: SetReading[], gapMm: number | null) => void
}) {
  const manual = setting.advice.data?.manual
  // A pluck is heard here, or was recorded.
  const hands = (manual?.readBy ?? []).flatMap((method): Instrument[] => {
    if (method === 'pluck') return ['microphone', 'file']
    return method ? [method] : []
  })
  // What a simulated drive says is never put into a real visit; in practice everything else can be tried beside it.
  const kinds: Instrument[] = setting.isPractice ? ['practice', ...hands] : hands
  const [chosen, setChosen] = useState<Instrument>()
  const instrument = chosen && kinds.includes(chosen) ? chosen : kinds[0]
  if (!manual || !instrument) return null
  return (
    <Panel title="Reading" note={positions > 1 ? `at ${positionWord(position, positions)}` : undefined}>
      {kinds.length > 1 && (
        <SegmentedControl
          size="xs"
          aria-label="Instrument"
          value={instrument}
          onChange={setChosen}
          data={kinds.map((value) => ({ value, label: WORDS[value] }))}
          data-no-print
        />
      )}
      <Suspense>
        {(instrument === 'microphone' || instrument === 'file') && (
          <FrequencyMeter
            isLive={instrument === 'microphone'}
            range={setting.advice.data?.expected ?? null}
            position={position}
            onRead={onRead}
          />
        )}
        {instrument === 'practice' ? (
          <PracticeReading
            setting={setting}
            round={round}
            position={position}
            onReadings={onReadings}
            onRead={onRead}
          />
        ) : (
          <TypedReading key={instrument} instrument={instrument} position={position} onRead={onRead} />
        )}
        {instrument === 'feel' && <SlipTest ways={manual.byHand} />}
        {(instrument === 'gauge' || instrument === 'feel') && (
          <GaugeCalibration own={instrument} manual={manual} setting={setting} />
        )}
      </Suspense>
    </Panel>
  )
}
