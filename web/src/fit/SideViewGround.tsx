import type { LoopFitResult, LoopLayout } from '../api/client'
import { trackEnds, type View } from '../loop/view'
import { useUnits } from '../quantities/units'
import classes from './SideView.module.css'

/** What stands around the loop in the side view: edges, arm, the adjuster’s travel, the dimension. */

/** Edges that the loop must clear. */
export function Limits({ layout, view }: { layout: LoopLayout; view: View }) {
  return (
    <g className={classes.limits}>
      {(layout.limits ?? []).map((l) => {
        const [a, b] = [view.toScreen(l.from), view.toScreen(l.to)]
        return (
          <g key={l.name}>
            <path d={`M${a.x} ${a.y}L${b.x} ${b.y}`}>
              <title>{l.name}</title>
            </path>
          </g>
        )
      })}
    </g>
  )
}

/** The arm that carries the axle, from its pivot. */
export function Arm({ layout, fit, view }: { layout: LoopLayout; fit: LoopFitResult; view: View }) {
  const rear = fit.path.wheels.find((w) => w.name === 'rear')
  if (!layout.swingArm || !rear) return null
  const [pivot, axle] = [view.toScreen(layout.swingArm.pivot), view.toScreen(rear.centre)]
  return (
    <g className={classes.arm}>
      <path d={`M${pivot.x} ${pivot.y}L${axle.x} ${axle.y}`} />
      <circle cx={pivot.x} cy={pivot.y} r={4} />
    </g>
  )
}

export function Way({ layout, view }: { layout: LoopLayout; view: View }) {
  if (!layout.moving) return null
  const { track } = layout.moving
  const [from, to] = trackEnds(track).map(view.toScreen) as [
    { x: number; y: number },
    { x: number; y: number },
  ]
  const r = track.kind === 'arc' ? track.radiusMm * view.scale : 0
  const d =
    track.kind === 'line'
      ? `M${from.x} ${from.y}L${to.x} ${to.y}`
      : `M${from.x} ${from.y}A${r} ${r} 0 ${Math.abs(track.swingDeg) > 180 ? 1 : 0} ${track.swingDeg > 0 ? 0 : 1} ${to.x} ${to.y}`
  return <path d={d} className={classes.way} />
}

/** Front to rear, beside the loop, as a drawing gives it. */
export function CentreDimension({ fit, view }: { fit: LoopFitResult; view: View }) {
  const units = useUnits()
  const front = fit.path.wheels[0]
  const rear = fit.path.wheels.find((w) => w.name === 'rear')
  if (!front || !rear) return null
  const [a, b] = [view.toScreen(front.centre), view.toScreen(rear.centre)]
  // Along the line of centres, on the side that lies lower on the screen, beyond everything on the loop.
  const length = Math.hypot(b.x - a.x, b.y - a.y) || 1
  const along = { x: (b.x - a.x) / length, y: (b.y - a.y) / length }
  const down = along.x < 0 ? { x: along.y, y: -along.x } : { x: -along.y, y: along.x }
  const out = (p: { x: number; y: number }) => (p.x - a.x) * down.x + (p.y - a.y) * down.y
  const off =
    26 +
    Math.max(
      ...fit.path.wheels.map((w) => out(view.toScreen(w.centre)) + w.outline.outsideRadiusMm * view.scale),
    )
  const at = (p: { x: number; y: number }, by: number) => `${p.x + down.x * by} ${p.y + down.y * by}`
  const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }
  const tilt = (Math.atan2(down.x, down.y) * -180) / Math.PI
  return (
    <g className={classes.dimension}>
      <path d={`M${at(a, 8)}L${at(a, off + 6)}M${at(b, 8)}L${at(b, off + 6)}M${at(a, off)}L${at(b, off)}`} />
      <text transform={`translate(${at(middle, off - 7)}) rotate(${tilt})`} textAnchor="middle">
        centre {units.show('fine', fit.centreMm)}
      </text>
    </g>
  )
}
