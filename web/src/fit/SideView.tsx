import { useElementSize } from '@mantine/hooks'
import { useRef, useState } from 'react'
import type { LoopFitResult, LoopLayout, WrappedWheel } from '../api/client'
import { DrawnWheel, Runs } from '../loop/LoopParts'
import { type Camera, FITTED, NARROW, type View, viewOf } from '../loop/view'
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
          <DrawnWheel key={w.name} wheel={w} teeth={teethOf(w.name)} isChain={isChain} view={view} />
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
