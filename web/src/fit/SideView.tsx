import { useElementSize } from '@mantine/hooks'
import { useRef, useState } from 'react'
import type { LoopFitResult, LoopLayout, WrappedWheel } from '../api/client'
import { type Camera, FITTED, NARROW, toothPath, type View, viewOf } from '../loop/view'
import { fixed, plain } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { placesOf } from './layoutPlaces'
import { PlaceHandle } from './PlaceHandle'
import classes from './SideView.module.css'
import { Arm, CentreDimension, Limits, Way } from './SideViewGround'
import { TravelHandle } from './TravelHandle'

interface Props {
  fit: LoopFitResult
  layout: LoopLayout
  /** Teeth or diameter of a wheel, as a person says it. */
  sizeText: (wheel: string) => string
  teethOf: (wheel: string) => number | null
  isChain: boolean
  onTravel: (travelMm: number | null) => void
  /** Something else was dragged elsewhere; null puts it back. */
  onPlace: (layout: LoopLayout | null) => void
}

const HEIGHT = 330
const NARROW_HEIGHT = 250

/** The loop to scale. What moves is dragged along its way, idlers and pivots freely; arrow keys move by a tenth of a millimetre. */
export function SideView({ fit, layout, sizeText, teethOf, isChain, onTravel, onPlace }: Props) {
  const { ref, width } = useElementSize()
  const units = useUnits()
  const [camera, setCamera] = useState<Camera>(FITTED)
  const isNarrow = width > 0 && width < NARROW
  const height = isNarrow ? NARROW_HEIGHT : HEIGHT
  const fitted = viewOf(fit.path, layout.moving?.track ?? null, width || 720, height, camera)
  // While something is dragged the picture holds still: it would run away from under the finger.
  const [held, setHeld] = useState<View | null>(null)
  const view = held ?? fitted
  const moving = fit.path.wheels.find((w) => w.name === layout.moving?.wheel)
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
        {layout.moving && <Way layout={layout} view={view} />}
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
      {moving && layout.moving && (
        <TravelHandle fit={fit} layout={layout} wheel={moving} view={view} onTravel={onTravel} />
      )}
      {placesOf(layout).map((place) => (
        <PlaceHandle
          key={place.name}
          place={place}
          view={view}
          onHold={(isHeld) => setHeld(isHeld ? fitted : null)}
          onMove={onPlace}
        />
      ))}
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
