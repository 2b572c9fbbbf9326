import { useRef } from 'react'
import type { LoopFitResult, LoopLayout, WrappedWheel } from '../api/client'
import { nearestTravel, trackEnds, type View } from '../loop/view'
import { useUnits } from '../quantities/units'
import classes from './SideView.module.css'

/** The wheel that moves: dragged along its way, or stepped with the arrow keys. */
export function TravelHandle({
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
    if (!box || !layout.moving) return
    const p = view.toWorld(event.clientX - box.left, event.clientY - box.top)
    move(nearestTravel(layout.moving.track, p, fit.trackMm))
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
        const ends = layout.moving ? trackEnds(layout.moving.track) : undefined
        const towards = ends && ends[1].xMm < ends[0].xMm ? -1 : 1
        const steps = {
          ArrowLeft: -towards,
          ArrowRight: towards,
          ArrowDown: -1,
          ArrowUp: 1,
          PageDown: -10,
          PageUp: 10,
        }[event.key]
        if (steps) move(fit.travelMm + steps * units.keyStepMm)
        else if (event.key === 'Home') move(0)
        else if (event.key === 'End') move(fit.trackMm)
        else if (event.key === 'Escape') onTravel(null)
        else return
        event.preventDefault()
      }}
    />
  )
}
