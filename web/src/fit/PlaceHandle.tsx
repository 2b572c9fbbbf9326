import { useRef } from 'react'
import type { LoopLayout, Point } from '../api/client'
import type { View } from '../loop/view'
import { useUnits } from '../quantities/units'
import type { LayoutPlace } from './layoutPlaces'
import classes from './SideView.module.css'

/** With the shift key: ten steps at once. */
const MANY = 10

/** A point that is dragged freely, or stepped with the arrow keys: with Shift by a whole millimetre. */
export function PlaceHandle({
  place,
  view,
  onHold,
  onMove,
}: {
  place: LayoutPlace
  view: View
  /** Dragging begins or ends: the picture must hold still meanwhile. */
  onHold: (isHeld: boolean) => void
  /** Null puts everything back. */
  onMove: (layout: LoopLayout | null) => void
}) {
  const units = useUnits()
  const frame = useRef<HTMLButtonElement>(null)
  const grabbed = useRef<{ x: number; y: number }>(undefined)
  const { x, y } = view.toScreen(place.at)
  const move = (at: Point, rounded: (mm: number) => number) =>
    onMove(place.with({ xMm: rounded(at.xMm), yMm: rounded(at.yMm) }))
  const pointed = (event: React.PointerEvent) => {
    const box = frame.current?.parentElement?.getBoundingClientRect()
    if (!box || !grabbed.current) return
    move(
      view.toWorld(event.clientX - box.left - grabbed.current.x, event.clientY - box.top - grabbed.current.y),
      toTenth,
    )
  }
  const release = () => {
    grabbed.current = undefined
    onHold(false)
  }
  return (
    <button
      ref={frame}
      type="button"
      aria-label={`Place of ${place.name}: ${units.show('fine', place.at.xMm)} · ${units.show('fine', place.at.yMm)}, arrow keys move it`}
      className={classes.place}
      style={{ left: x, top: y }}
      onPointerDown={(event) => {
        const box = event.currentTarget.parentElement?.getBoundingClientRect()
        if (!box) return
        grabbed.current = { x: event.clientX - box.left - x, y: event.clientY - box.top - y }
        event.currentTarget.setPointerCapture(event.pointerId)
        onHold(true)
      }}
      onPointerMove={pointed}
      onPointerUp={release}
      onPointerCancel={release}
      onKeyDown={(event) => {
        const step = units.keyStepMm * (event.shiftKey ? MANY : 1)
        const by = {
          ArrowLeft: [-step, 0],
          ArrowRight: [step, 0],
          ArrowDown: [0, -step],
          ArrowUp: [0, step],
        }[event.key]
        if (by) move({ xMm: place.at.xMm + (by[0] ?? 0), yMm: place.at.yMm + (by[1] ?? 0) }, toMicron)
        else if (event.key === 'Escape') onMove(null)
        else return
        event.preventDefault()
      }}
    />
  )
}

/** A hand drags no finer than that. */
const toTenth = (mm: number) => Number(mm.toFixed(1))
const toMicron = (mm: number) => Number(mm.toFixed(3))
