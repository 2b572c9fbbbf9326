import { Button, FileButton, Group } from '@mantine/core'
import type { FrequencyReading, SetAdvice, SetReading } from '../api/client'
import { sentenceOf } from '../api/issues'
import { fixed } from '../quantities/format'
import table from '../shell/table.module.css'
import classes from './Instruments.module.css'
import { useFrequencyMeter } from './useFrequencyMeter'

export const QUALITY_WORDS: Record<FrequencyReading['quality'], string> = {
  clear: 'clear pluck',
  notSure: 'not sure, pluck again',
  silence: 'nothing but silence',
  noPluck: 'no pluck in it: pluck once, then let it ring',
}

/** Measures the frequency of a pluck, live or from a file. */
export default function FrequencyMeter({
  isLive,
  range,
  position,
  onRead,
}: {
  isLive: boolean
  /** Where the core expects it to sound. */
  range: SetAdvice['expected']
  position: number
  onRead: (reading: SetReading) => void
}) {
  const { measuring, microphone } = useFrequencyMeter(range, position, onRead)
  const result = measuring.data
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
        <FileButton accept="audio/wav,.wav" onChange={(file) => file && measuring.mutate(file)}>
          {(props) => (
            <Button size="compact-sm" loading={measuring.isPending} {...props}>
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
      {measuring.error ? (
        <p role="alert" style={{ color: 'var(--stop)' }}>
          {sentenceOf(measuring.error)}
        </p>
      ) : null}
      {result && <FrequencyResult result={result} />}
    </div>
  )
}

function FrequencyResult({ result }: { result: FrequencyReading }) {
  const wave = result.waveform
  const width = 300
  return (
    <div className={classes.result} aria-live="polite">
      <p>
        <span className={classes.hz}>{result.hz === null ? '–' : fixed(result.hz, 1)}</span> Hz{' '}
        <span className={table.tag} data-tone={result.quality === 'clear' ? 'ok' : 'watch'}>
          {QUALITY_WORDS[result.quality]}
        </span>
        {result.isAsExpected === false && result.hz !== null && (
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
      {result.spectrum.length > 1 && (
        <svg
          viewBox={`0 0 ${width} 44`}
          className={classes.wave}
          role="img"
          aria-label={`Its spectrum up to ${Math.round(result.spectrumStepHz * result.spectrum.length)} Hz`}
        >
          <path
            d={`M${result.spectrum.map((v, i) => `${(i / result.spectrum.length) * width} ${32 - 30 * v}`).join('L')}`}
          />
          <text x={0} y={43}>
            0
          </text>
          <text x={width} y={43} textAnchor="end">
            {Math.round(result.spectrumStepHz * result.spectrum.length)} Hz
          </text>
        </svg>
      )}
    </div>
  )
}
