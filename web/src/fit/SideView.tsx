import { useElementSize } from '@mantine/hooks'
import { useRef, useState } from 'react'
import type { LoopFitResult, LoopLayout, WrappedWheel } from '../api/client'
import { fixed, plain } from '../quantities/format'
import { useUnits } from '../quantities/units'
import classes from './SideView.module.css'
import { type Camera, FITTED, NARROW, nearestTravel, toothPath, trackEnds, type View, viewOf } from './view'

interface Props {
  fit: LoopFitResult
  layout: LoopLayout
  /** Teeth or diameter of a wheel, as a person says it. */
  sizeText: (wheel: string) => string
  teethOf: (wheel: string) => number | null
  isChain: boolean
  onTravel: (travelMm: number | null) => void
}

const HEIGHT = 330
const NARROW_HEIGHT = 250
const STEP_MM = 0.1

/** The loop to scale. What moves is dragged along its way; arrow keys move it by a tenth of a millimetre. */
export function SideView({ fit, layout, sizeText, teethOf, isChain, onTravel }: Props) {
  const { ref, width } = useElementSize()
  const units = useUnits()
  const [camera, setCamera] = useState<Camera>(FITTED)
  const isNarrow = width > 0 && width < NARROW
  const height = isNarrow ? NARROW_HEIGHT : HEIGHT
  const view = viewOf(fit, layout, width || 720, height, camera)
  const moving = fit.path.wheels.find((w) => w.name === layout.mover?.wheel)
  const zoom = (factor: number) =>
    setCamera((c) => ({ zoom: c.zoom * factor, dx: c.dx * factor, dy: c.dy * factor }))
  const pan = useDrag((dx, dy, from: Camera) => setCamera({ ...from, dx: from.dx + dx, dy: from.dy + dy }))
  return (
    <div className={classes.frame} ref={ref}>
      <svg
        width={width || 720}
        height={height}
        role="img"
        aria-label={`Side view: centre distance ${units.show('fine', fit.centreMm)}, loop of ${fixed(fit.exactLength, 2)}`}
        className={classes.drawing}
        {...pan(camera)}
      >
        <Limits layout={layout} view={view} />
        <Arm layout={layout} fit={fit} view={view} />
        {layout.mover && <Way layout={layout} view={view} />}
        {fit.path.wheels.map((w) => (
          <Wheel key={w.name} wheel={w} teeth={teethOf(w.name)} isChain={isChain} view={view} />
        ))}
        <Runs fit={fit} layout={layout} view={view} />
        {fit.path.wheels.map((w) => (
          <WheelText
            key={w.name}
            wheel={w}
            fit={fit}
            text={sizeText(w.name)}
            view={view}
            isShort={isNarrow}
          />
        ))}
        <CentreDimension fit={fit} view={view} />
      </svg>
      {moving && layout.mover && (
        <Handle fit={fit} layout={layout} wheel={moving} view={view} onTravel={onTravel} />
      )}
      <div className={classes.zoom} data-no-print>
        <button type="button" onClick={() => zoom(1.4)} aria-label="Zoom in">
          +
        </button>
        <button type="button" onClick={() => zoom(1 / 1.4)} aria-label="Zoom out">
          −
        </button>
        <button type="button" onClick={() => setCamera(FITTED)}>
          fit
        </button>
      </div>
    </div>
  )
}

function Wheel({
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

function Runs({ fit, layout, view }: { fit: LoopFitResult; layout: LoopLayout; view: View }) {
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

function WheelText({
  wheel,
  fit,
  text,
  view,
  isShort,
}: {
  wheel: WrappedWheel
  fit: LoopFitResult
  text: string
  view: View
  /** Room for the name only. */
  isShort: boolean
}) {
  const units = useUnits()
  const { x, y } = view.toScreen(wheel.centre)
  const r = wheel.outline.outsideRadiusMm * view.scale
  const details = isShort
    ? []
    : [`⌀\u00a0${units.show('fine', 2 * wheel.outline.runRadiusMm)}`, `wrap ${fixed(wheel.wrapDeg, 0)}°`]
  const middle = fit.path.wheels.reduce((sum, w) => sum + w.centre.xMm, 0) / fit.path.wheels.length
  const isRoomy = r > 74
  const side = wheel.centre.xMm >= middle ? 1 : -1
  // Above the shaft: the line of the dimension leaves it downwards.
  const at = isRoomy
    ? { x, y: y - 42 - (r - 74) * 0.2 }
    : isShort
      ? { x, y: y - r - 6 }
      : { x: x + side * (r + 8), y: y - 8 }
  const anchor = isRoomy || isShort ? 'middle' : side > 0 ? 'start' : 'end'
  return (
    <g className={classes.text} textAnchor={anchor}>
      <text x={at.x} y={at.y} className={classes.size}>
        {text}
      </text>
      {details.map((line, i) => (
        <text key={line} x={at.x} y={at.y + 14 + 13 * i}>
          {line}
        </text>
      ))}
    </g>
  )
}

/** Edges that the loop must clear. */
function Limits({ layout, view }: { layout: LoopLayout; view: View }) {
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
function Arm({ layout, fit, view }: { layout: LoopLayout; fit: LoopFitResult; view: View }) {
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

function Way({ layout, view }: { layout: LoopLayout; view: View }) {
  if (!layout.mover) return null
  const { track } = layout.mover
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
function CentreDimension({ fit, view }: { fit: LoopFitResult; view: View }) {
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

function Handle({
  fit,
  layout,
  wheel,
  view,
  onTravel,
}: {
  fit: LoopFitResult
  layout: LoopLayout
  wheel: WrappedWheel
  view: View
  onTravel: (travelMm: number | null) => void
}) {
  const units = useUnits()
  const frame = useRef<HTMLDivElement>(null)
  const isDown = useRef(false)
  const { x, y } = view.toScreen(wheel.centre)
  const move = (travel: number) => onTravel(Math.min(fit.trackMm, Math.max(0, Number(travel.toFixed(3)))))
  const pointed = (event: React.PointerEvent) => {
    const box = frame.current?.parentElement?.getBoundingClientRect()
    if (!box || !layout.mover) return
    const p = view.toWorld(event.clientX - box.left, event.clientY - box.top)
    move(nearestTravel(layout.mover.track, p, fit.trackMm))
  }
  return (
    <div
      ref={frame}
      role="slider"
      tabIndex={0}
      aria-label={`Travel of ${wheel.name}`}
      aria-valuemin={0}
      aria-valuemax={Number(fit.trackMm.toFixed(1))}
      aria-valuenow={Number(fit.travelMm.toFixed(1))}
      aria-valuetext={`${units.show('fine', fit.travelMm)} of ${units.show('fine', fit.trackMm)}`}
      className={classes.handle}
      style={{ left: x, top: y }}
      onPointerDown={(event) => {
        isDown.current = true
        event.currentTarget.setPointerCapture(event.pointerId)
      }}
      onPointerMove={(event) => isDown.current && pointed(event)}
      onPointerUp={() => {
        isDown.current = false
      }}
      onKeyDown={(event) => {
        // Left on the screen is towards the end of the way that lies left.
        const ends = layout.mover ? trackEnds(layout.mover.track) : undefined
        const towards = ends && ends[1].xMm < ends[0].xMm ? -1 : 1
        const steps = {
          ArrowLeft: -towards,
          ArrowRight: towards,
          ArrowDown: -1,
          ArrowUp: 1,
          PageDown: -10,
          PageUp: 10,
        }[event.key]
        if (steps) move(fit.travelMm + steps * STEP_MM)
        else if (event.key === 'Home') move(0)
        else if (event.key === 'End') move(fit.trackMm)
        else if (event.key === 'Escape') onTravel(null)
        else return
        event.preventDefault()
      }}
    />
  )
}

/** Drags the ground of a drawing. */
function useDrag<T>(onMove: (dx: number, dy: number, from: T) => void) {
  const start = useRef<{ x: number; y: number; from: T }>(undefined)
  return (from: T) => ({
    onPointerDown: (event: React.PointerEvent<SVGSVGElement>) => {
      event.currentTarget.setPointerCapture(event.pointerId)
      start.current = { x: event.clientX, y: event.clientY, from }
    },
    onPointerMove: (event: React.PointerEvent) => {
      const s = start.current
      if (s) onMove(event.clientX - s.x, event.clientY - s.y, s.from)
    },
    onPointerUp: () => {
      start.current = undefined
    },
  })
}

/** “15”, or “⌀ 90” for a wheel without teeth. */
export const wheelSizeText = (size: number, isToothed: boolean) =>
  isToothed ? plain(size) : `⌀\u00a0${plain(size)}`
