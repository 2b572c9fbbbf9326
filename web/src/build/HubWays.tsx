import type { HubAtStep, ProcedureStep } from '../api/plan'
import { useUnits } from '../quantities/units'
import classes from './BuildView.module.css'

const WIDTH = 150
const HEIGHT = 92
const MIDDLE = 40
const TEETH = 30

/** Both ways round of a wheel on its shaft, to scale along the shaft: its row of teeth, its hub, its bore. */
export function HubWays({ hub, step }: { hub: HubAtStep; step: ProcedureStep }) {
  const units = useUnits()
  const { way } = step
  if (!way) return null
  if (hub.movesMm === 0)
    return (
      <p className="cap">Its row stands in the middle of its hub: either way it stands in the same plane.</p>
    )
  return (
    <div>
      <p className="cap">
        To scale along the shaft. Turned round its row moves by {units.show('fine', hub.movesMm)}.
      </p>
      <div className={classes.hubs}>
        <Hub hub={hub} planeMm={hub.planeMm} label={way.right} />
        <Hub hub={hub} planeMm={hub.turnedPlaneMm} label={way.wrong[0]?.way ?? 'turned round'} />
      </div>
    </div>
  )
}

function Hub({ hub, planeMm, label }: { hub: HubAtStep; planeMm: number; label: string }) {
  const scale = WIDTH / 2 / hub.hubWidthMm
  const left = WIDTH / 4
  const bore = (hub.boreMm * scale) / 2
  const row = left + planeMm * scale
  const belongs = left + hub.planeMm * scale
  return (
    <figure className={classes.hub}>
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={label}>
        <rect className={classes.shaft} x={0} y={MIDDLE - bore} width={WIDTH} height={2 * bore} />
        <rect
          className={classes.hubBody}
          x={left}
          y={MIDDLE - bore - 7}
          width={hub.hubWidthMm * scale}
          height={2 * bore + 14}
        />
        <line className={classes.plane} x1={belongs} x2={belongs} y1={0} y2={HEIGHT} />
        <rect
          className={classes.row}
          x={row - 3}
          y={MIDDLE - bore - TEETH / 2}
          width={6}
          height={2 * bore + TEETH}
        />
      </svg>
      <figcaption>{label}</figcaption>
    </figure>
  )
}
