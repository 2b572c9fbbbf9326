import type { LoopFitResult, LoopLayout, WrappedWheel } from '../api/client'
import classes from './LoopParts.module.css'
import { toothPath, type View } from './view'

/** A wheel to scale. */
export function DrawnWheel({
  wheel,
  teeth,
  isChain,
  view,
}: {
  wheel: WrappedWheel
  teeth: number | null
  isChain: boolean
  view: View
}) {
  const { x, y } = view.toScreen(wheel.centre)
  const { outsideRadiusMm, runRadiusMm } = wheel.outline
  const tip = outsideRadiusMm * view.scale
  // Half a roller below the pitch circle; a drawing, not a tooth form.
  const root = (2 * runRadiusMm - outsideRadiusMm) * view.scale
  return (
    <g className={classes.wheel}>
      {isChain && teeth !== null ? (
        <path d={toothPath(x, y, teeth, root, tip)} />
      ) : (
        <circle
          cx={x}
          cy={y}
          r={tip}
          strokeDasharray={teeth === null ? undefined : `${(Math.PI * tip) / teeth}`}
        />
      )}
      <circle cx={x} cy={y} r={Math.max(3, tip * 0.42)} className={classes.hub} />
      <circle cx={x} cy={y} r={3.5} className={classes.shaft} />
    </g>
  )
}

/** Chain or belt: the run that pulls, the slack one, and where it lies on the wheels. */
export function Runs({ fit, layout, view }: { fit: LoopFitResult; layout: LoopLayout; view: View }) {
  const rear = fit.path.wheels.findIndex((w) => w.name === 'rear')
  const sag = fit.freePlay?.freePlayMm ?? 0
  const slackest = fit.freePlay?.runMm
  return (
    <g className={classes.runs}>
      {fit.path.wheels.map((w) => {
        const [from, to] = [view.toScreen(w.arcStart), view.toScreen(w.arcEnd)]
        const r = w.outline.runRadiusMm * view.scale
        const clockwise = (layout.turning === 'clockwise') === w.turnsWithLoop
        return (
          <path
            key={w.name}
            data-part="arc"
            d={`M${from.x} ${from.y}A${r} ${r} 0 ${w.wrapDeg > 180 ? 1 : 0} ${clockwise ? 1 : 0} ${to.x} ${to.y}`}
          />
        )
      })}
      {fit.path.spans.map((s, i) => {
        const [a, b] = [view.toScreen(s.start), view.toScreen(s.end)]
        const isTight = i >= rear
        const hangs = !isTight && s.lengthMm === slackest ? sag * view.scale : 0
        const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 + hangs }
        return (
          <path
            key={s.from}
            data-part={isTight ? 'tight' : 'slack'}
            d={`M${a.x} ${a.y}Q${middle.x} ${middle.y} ${b.x} ${b.y}`}
          />
        )
      })}
    </g>
  )
}
