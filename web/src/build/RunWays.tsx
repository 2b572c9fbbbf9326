import type { ProcedureStep, RunAtStep } from '../api/plan'
import { useUnits } from '../quantities/units'
import classes from './BuildView.module.css'

const WIDTH = 150
const HEIGHT = 64
const MIDDLE = 38
const PITCHES = 3.5

/** Both ways round of a clip, or of a belt with an arrow, on the run as its standard measures it. */
export function RunWays({ run, step }: { run: RunAtStep; step: ProcedureStep }) {
  const units = useUnits()
  const { way } = step
  if (!way) return null
  return (
    <div>
      <p className="cap">
        {run.standard} to scale, pitch {units.show('fine', run.pitchMm, PITCH_DECIMALS)}; it runs to the left.
      </p>
      <div className={classes.hubs}>
        <Run run={run} isRight label={way.right} />
        <Run run={run} isRight={false} label={way.wrong[0]?.way ?? 'turned round'} />
      </div>
    </div>
  )
}

const PITCH_DECIMALS = 3

function Run({ run, isRight, label }: { run: RunAtStep; isRight: boolean; label: string }) {
  const scale = WIDTH / (PITCHES * run.pitchMm)
  return (
    <figure className={classes.hub}>
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={label}>
        <path className={classes.runs} d={`M ${WIDTH / 2 + 18} 8 h -36 m 6 -4 l -6 4 l 6 4`} />
        {run.mark === 'clip' ? (
          <ClippedChain run={run} scale={scale} isRight={isRight} />
        ) : (
          <MarkedBelt run={run} scale={scale} isRight={isRight} />
        )}
      </svg>
      <figcaption>{label}</figcaption>
    </figure>
  )
}

interface Drawn {
  run: RunAtStep
  scale: number
  isRight: boolean
}

/** Three links, the middle one closed by its clip: round where it is closed, two prongs where it is open. */
function ClippedChain({ run, scale, isRight }: Drawn) {
  const pitch = run.pitchMm * scale
  const plate = run.heightMm * scale
  const roller = (run.roundMm * scale) / 2
  const first = WIDTH / 2 - pitch * 1.5
  const [closed, open] = isRight ? [first + pitch, first + 2 * pitch] : [first + 2 * pitch, first + pitch]
  const ahead = isRight ? -1 : 1
  const half = plate / 3
  return (
    <>
      {[0, 1, 2].map((link) => (
        <rect
          key={link}
          className={classes.hubBody}
          x={first + link * pitch - plate / 2}
          y={MIDDLE - plate / 2}
          width={pitch + plate}
          height={plate}
          rx={plate / 2}
        />
      ))}
      {[0, 1, 2, 3].map((pin) => (
        <circle key={pin} className={classes.shaft} cx={first + pin * pitch} cy={MIDDLE} r={roller / 2} />
      ))}
      <path
        className={classes.clip}
        d={`M ${open - ahead * half} ${MIDDLE - half} H ${closed} A ${half} ${half} 0 0 ${isRight ? 0 : 1} ${closed} ${MIDDLE + half} H ${open - ahead * half}`}
      />
    </>
  )
}

/** A strip with its teeth inside, and the arrow on its back. */
function MarkedBelt({ run, scale, isRight }: Drawn) {
  const pitch = run.pitchMm * scale
  const tooth = run.roundMm * scale
  const back = run.heightMm * scale - tooth
  const arrow = isRight ? -1 : 1
  return (
    <>
      <rect className={classes.hubBody} x={0} y={MIDDLE - back} width={WIDTH} height={back} />
      {[0, 1, 2, 3].map((at) => (
        <rect
          key={at}
          className={classes.hubBody}
          x={at * pitch}
          y={MIDDLE}
          width={pitch / 2}
          height={tooth}
          rx={tooth / 3}
        />
      ))}
      <path
        className={classes.clip}
        d={`M ${WIDTH / 2 - arrow * pitch} ${MIDDLE - back - 5} h ${arrow * 2 * pitch} m ${-arrow * 7} -4 l ${arrow * 7} 4 l ${-arrow * 7} 4`}
      />
    </>
  )
}
