import { Button, FileButton, Group, NumberInput, SegmentedControl, Select } from '@mantine/core'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import { listen, type PluckHearing, pluckSound, readPractice, type SetReading } from '../api/client'
import { sentenceOf } from '../api/issues'
import { fixed } from '../quantities/format'
import { QuantityField } from '../quantities/QuantityField'
import fields from '../shell/fields.module.css'
import { Panel } from '../shell/Panel'
import table from '../shell/table.module.css'
import classes from './Instruments.module.css'
import { windowOf } from './ReadingRing'
import { TiePair } from './TiePair'
import { useMicrophone } from './useMicrophone'
import type { Setting } from './useSetting'
import { positionWord } from './words'

type Instrument = 'microphone' | 'file' | 'gauge' | 'push' | 'freePlay' | 'feel' | 'practice'

const WORDS: Record<Instrument, string> = {
  microphone: 'microphone',
  file: 'file',
  gauge: 'gauge',
  push: 'push & rule',
  freePlay: 'free play',
  feel: 'feel',
  practice: 'practice drive',
}

const HEARING_WORDS: Record<PluckHearing['hearing'], string> = {
  clear: 'clear pluck',
  notSure: 'not sure, pluck again',
  silence: 'nothing but silence',
  noPluck: 'no pluck in it: pluck once, then let it ring',
}

/** One switch between the ways to read tightness; each puts its reading at the position chosen on the ring. */
export function Instruments({
  setting,
  position,
  lock,
  turned,
  onRead,
  onPractice,
}: {
  setting: Setting
  position: number
  lock: 'loose' | 'nipped' | 'torqued'
  /** What was turned for the round in hand. */
  turned: { leftUnits: number; rightUnits: number }
  onRead: (reading: SetReading) => void
  onPractice: (readings: SetReading[], gapMm: number | null) => void
}) {
  const isChain = setting.loop.medium === 'chain'
  const kinds: Instrument[] = setting.isPractice
    ? ['practice']
    : isChain
      ? ['freePlay', 'gauge', 'feel']
      : ['microphone', 'file', 'push', 'gauge', 'feel']
  const [chosen, setChosen] = useState<Instrument>(kinds[0] ?? 'freePlay')
  const instrument = kinds.includes(chosen) ? chosen : (kinds[0] as Instrument)
  return (
    <Panel title="Reading" note={`at ${positionWord(position)}`}>
      {kinds.length > 1 && (
        <SegmentedControl
          size="xs"
          aria-label="Instrument"
          value={instrument}
          onChange={(value) => setChosen(value as Instrument)}
          data={kinds.map((value) => ({ value, label: WORDS[value] }))}
          data-no-print
        />
      )}
      {(instrument === 'microphone' || instrument === 'file') && (
        <Ear
          isLive={instrument === 'microphone'}
          range={windowOf(setting.advice.data)}
          position={position}
          onRead={onRead}
        />
      )}
      {instrument === 'practice' ? (
        <Practice setting={setting} lock={lock} turned={turned} onPractice={onPractice} />
      ) : (
        <Typed key={instrument} instrument={instrument} position={position} onRead={onRead} />
      )}
      {(instrument === 'gauge' || instrument === 'feel') && <TiePair own={instrument} setting={setting} />}
    </Panel>
  )
}

/** Hears plucks, live or from a file. */
function Ear({
  isLive,
  range,
  position,
  onRead,
}: {
  isLive: boolean
  range: [number, number] | null
  position: number
  onRead: (reading: SetReading) => void
}) {
  const hear = useMutation({
    mutationFn: (recording: Blob) => listen(recording, range ? expected(range) : undefined),
    onSuccess: (heard) =>
      heard.hz !== null && onRead({ method: 'pluck', value: heard.hz, position, forceN: null }),
  })
  const microphone = useMicrophone((recording) => hear.mutate(recording))
  const heard = hear.data
  return (
    <div className={classes.ear}>
      {isLive ? (
        <Group gap="sm">
          {microphone.state === 'on' ? (
            <Button size="compact-sm" variant="default" onClick={microphone.stop}>
              Stop listening
            </Button>
          ) : (
            <Button size="compact-sm" onClick={microphone.start} loading={microphone.state === 'asking'}>
              Listen
            </Button>
          )}
          <meter
            className={classes.level}
            aria-label="Level of the microphone"
            min={0}
            max={1}
            value={Math.min(1, Math.sqrt(microphone.level))}
          />
        </Group>
      ) : (
        <FileButton accept="audio/wav,.wav" onChange={(file) => file && hear.mutate(file)}>
          {(props) => (
            <Button size="compact-sm" loading={hear.isPending} {...props}>
              Open a recording
            </Button>
          )}
        </FileButton>
      )}
      {microphone.state === 'refused' && isLive && (
        <p role="alert">The microphone was refused. Allow it in the browser, or read by another method.</p>
      )}
      {microphone.state === 'absent' && isLive && (
        <p role="alert">There is no microphone here. Open a recording, or read by another method.</p>
      )}
      {hear.error ? (
        <p role="alert" style={{ color: 'var(--stop)' }}>
          {sentenceOf(hear.error)}
        </p>
      ) : null}
      {heard && <Heard heard={heard} />}
    </div>
  )
}

/** Well to either side of the window: what is found loose or tight is expected, too. */
const expected = ([low, high]: [number, number]) => ({ lowHz: low / 2, highHz: high * 2 })

function Heard({ heard }: { heard: PluckHearing }) {
  const wave = heard.waveform
  const width = 300
  return (
    <div className={classes.heard} aria-live="polite">
      <p>
        <span className={classes.hz}>{heard.hz === null ? '–' : fixed(heard.hz, 1)}</span> Hz{' '}
        <span className={table.tag} data-tone={heard.hearing === 'clear' ? 'ok' : 'watch'}>
          {HEARING_WORDS[heard.hearing]}
        </span>
        {heard.isAsExpected === false && heard.hz !== null && (
          <span className="cap"> far from what is expected</span>
        )}
      </p>
      {wave.length > 1 && (
        <svg
          viewBox={`0 0 ${width} 60`}
          className={classes.wave}
          role="img"
          aria-label="The pluck as it rings"
        >
          <path d={`M${wave.map((v, i) => `${(i / (wave.length - 1)) * width} ${30 - 28 * v}`).join('L')}`} />
        </svg>
      )}
      {heard.spectrum.length > 1 && (
        <svg
          viewBox={`0 0 ${width} 44`}
          className={classes.wave}
          role="img"
          aria-label={`Its spectrum up to ${Math.round(heard.spectrumStepHz * heard.spectrum.length)} Hz`}
        >
          <path
            d={`M${heard.spectrum.map((v, i) => `${(i / heard.spectrum.length) * width} ${32 - 30 * v}`).join('L')}`}
          />
          <text x={0} y={43}>
            0
          </text>
          <text x={width} y={43} textAnchor="end">
            {Math.round(heard.spectrumStepHz * heard.spectrum.length)} Hz
          </text>
        </svg>
      )}
    </div>
  )
}

const FEEL_GRADES = [
  { value: '1', label: 'loose' },
  { value: '2', label: 'about right' },
  { value: '3', label: 'tight' },
]

/** A reading put in by hand. */
function Typed({
  instrument,
  position,
  onRead,
}: {
  instrument: Exclude<Instrument, 'practice'>
  position: number
  onRead: (reading: SetReading) => void
}) {
  const [value, setValue] = useState<number | undefined>()
  const [forceN, setForceN] = useState<number | undefined>()
  const method: SetReading['method'] =
    instrument === 'microphone' || instrument === 'file'
      ? 'pluck'
      : instrument === 'push'
        ? 'push'
        : instrument
  const label = {
    pluck: 'Frequency',
    push: 'Deflection',
    gauge: 'Gauge',
    freePlay: 'Free play in all',
    feel: '',
  }[method]
  const isReady = value !== undefined && (method !== 'push' || forceN !== undefined)
  const put = () => {
    if (!isReady || value === undefined) return
    onRead({ method, value, position, forceN: method === 'push' ? (forceN ?? null) : null })
    setValue(undefined)
  }
  return (
    <form
      className={fields.fields}
      style={{ marginTop: 8 }}
      onSubmit={(event) => {
        event.preventDefault()
        put()
      }}
      data-no-print
    >
      {method === 'push' && (
        <QuantityField size="xs" label="Pushed with" quantity="force" value={forceN} onChange={setForceN} />
      )}
      {method === 'feel' ? (
        <Select
          size="xs"
          label="Slip test, both ways"
          data={FEEL_GRADES}
          value={value === undefined ? null : String(value)}
          onChange={(v) => setValue(v === null ? undefined : Number(v))}
        />
      ) : method === 'gauge' ? (
        <NumberInput
          size="xs"
          label={label}
          hideControls
          value={value ?? ''}
          onChange={(v) => setValue(typeof v === 'number' ? v : undefined)}
        />
      ) : (
        <QuantityField
          size="xs"
          label={label}
          quantity={method === 'pluck' ? undefined : 'fine'}
          unit="Hz"
          value={value}
          onChange={setValue}
        />
      )}
      <Button size="xs" variant="default" type="submit" disabled={!isReady}>
        Put it there
      </Button>
    </form>
  )
}

/** Reads the simulated drive all round, and lets it be heard. */
function Practice({
  setting,
  lock,
  turned,
  onPractice,
}: {
  setting: Setting
  lock: 'loose' | 'nipped' | 'torqued'
  turned: { leftUnits: number; rightUnits: number }
  onPractice: (readings: SetReading[], gapMm: number | null) => void
}) {
  const read = useMutation({
    mutationFn: async () => {
      const { job, input } = setting
      const made = (job?.rounds ?? []).map((r) => ({ ...r, readings: [] }))
      const now = { ...turned, lock, readings: [], onStand: true }
      return readPractice({
        seed: Math.abs(job?.id ?? 1),
        loop: { ...input, rounds: [...made, now] },
        lock,
      })
    },
    onSuccess: (answer) => {
      onPractice(answer.readings, answer.gapMm)
      const first = answer.readings[0]
      if (first?.method === 'pluck') void sound(first.value)
    },
  })
  return (
    <div style={{ marginTop: 6 }} data-no-print>
      <p className="cap">
        A simulated drive with its own hidden stiffness, run-out, skew and nut. Turn what is told, then read
        it.
      </p>
      <Button size="sm" mt={6} loading={read.isPending} onClick={() => read.mutate()}>
        Roll it and read all round
      </Button>
      {read.error ? (
        <p role="alert" style={{ color: 'var(--stop)' }}>
          {sentenceOf(read.error)}
        </p>
      ) : null}
    </div>
  )
}

async function sound(hz: number) {
  try {
    const context = new AudioContext()
    const source = context.createBufferSource()
    source.buffer = await context.decodeAudioData(await pluckSound(hz))
    source.connect(context.destination)
    source.onended = () => void context.close()
    source.start()
  } catch {
    // Without a loudspeaker the practice drive is read all the same.
  }
}
