import type { PhotoShows, SetAdvice } from '../api/client'
import { useEvaluation } from '../api/evaluation'
import type { Workbench } from '../machine/useWorkbench'
import { type Units, useUnits } from '../quantities/units'
import classes from './PhotoDialog.module.css'

/** What it should look like, drawn to scale from this machine; where the machine does not tell it, that is said. */
export function RightPicture({
  bench,
  shows,
  loopKey,
}: {
  bench: Workbench
  shows: PhotoShows
  loopKey: string | null
}) {
  const units = useUnits()
  const { asFitted } = bench
  const key = loopKey ?? bench.loops.at(-1)?.loopKey
  const subject = { ...asFitted, scope: { ...asFitted.scope, loopKeys: key ? [key] : [] } }
  const advice = useEvaluation(
    subject,
    'set',
    key ? { visit: null, practised: null, round: null, setting: null } : undefined,
  )
  if (!advice.data) return null
  const drawn = drawingOf(shows, advice.data, units)
  if (typeof drawn === 'string')
    return <p className={`cap ${classes.whole}`}>No right one beside it: {drawn}</p>
  return (
    <figure>
      {drawn.picture}
      <figcaption>
        <b>The right one, to scale</b> · {drawn.words}
      </figcaption>
    </figure>
  )
}

interface Drawn {
  picture: React.ReactNode
  words: string
}

const drawingOf = (shows: PhotoShows, advice: SetAdvice, units: Units): Drawn | string => {
  const span = advice.span.spanMm
  const [loose, tight] = [advice.windowLooseReading, advice.windowTightReading]
  const { gapLowMm: low, gapHighMm: high } = advice.setting
  if (shows === 'gap')
    return low === null || high === null || low === undefined || high === undefined
      ? 'no gap is read on this loop.'
      : {
          picture: <Gap low={low} high={high} />,
          words: `gap ${units.show('fine', low)} to ${units.show('fine', high)}`,
        }
  if (span === null) return 'nothing tells how long this run is. Lay the wheels out at Fit, or say it at Set.'
  if (shows === 'span')
    return { picture: <Run span={span} />, words: `free run ${units.show('length', span)}` }
  if (loose === null || tight === null || advice.windowMethod !== 'freePlay')
    return 'the window of this drive is not told as free play.'
  return {
    picture: <Run span={span} give={{ least: Math.min(loose, tight), most: Math.max(loose, tight) }} />,
    words: `gives ${units.show('fine', Math.min(loose, tight))} to ${units.show('fine', Math.max(loose, tight))} in all, on ${units.show('length', span)}`,
  }
}

/** A run from wheel to wheel, and between which limits its middle may be moved, up and down together. */
function Run({ span, give }: { span: number; give?: { least: number; most: number } }) {
  const wheel = span / 6
  const high = Math.max(wheel, give?.most ?? 0)
  const line = span / 220
  const bow = (off: number) => `M0 0Q${span / 2} ${2 * off} ${span} 0`
  return (
    <svg
      className={classes.right}
      viewBox={`${-wheel} ${-high} ${span + 2 * wheel} ${high + wheel * 1.4}`}
      role="img"
      aria-label="The run, to scale"
    >
      <circle cx={0} cy={wheel * 0.8} r={wheel * 0.8} strokeWidth={line} />
      <circle cx={span} cy={wheel * 0.8} r={wheel * 0.8} strokeWidth={line} />
      {give && (
        <>
          <path data-band d={`${bow(-give.most / 2)}Q${span / 2} ${give.most} 0 0`} strokeWidth={line / 2} />
          <path d={bow(-give.least / 2)} strokeWidth={line / 2} strokeDasharray={`${line * 3} ${line * 2}`} />
          <path d={bow(give.least / 2)} strokeWidth={line / 2} strokeDasharray={`${line * 3} ${line * 2}`} />
        </>
      )}
      <path d={`M0 0H${span}`} strokeWidth={line} />
    </svg>
  )
}

/** Belt and flange as seen along the shaft, with the least and the most that may lie between. */
function Gap({ low, high }: { low: number; high: number }) {
  const side = Math.max(high * 3, low * 4)
  return (
    <svg
      className={classes.right}
      viewBox={`0 0 ${side * 2} ${side}`}
      role="img"
      aria-label="Belt and flange, to scale"
    >
      <path d={`M${side} 0V${side}`} strokeWidth={side / 40} />
      <rect
        data-band
        x={side + low}
        y={side / 4}
        width={high - low}
        height={side / 2}
        strokeWidth={side / 150}
      />
      <path
        d={`M${side + high} ${side / 4}H${side * 2}M${side + high} ${(side * 3) / 4}H${side * 2}`}
        strokeWidth={side / 60}
      />
    </svg>
  )
}
