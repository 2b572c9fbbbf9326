import type { KeyboardEvent, MouseEvent } from 'react'
import classes from './TurnDial.module.css'

const SIZE = 72
const MIDDLE = SIZE / 2
const FACE = 30
const HOURS = 12

/**
 * A clock's face with how far an adjuster was turned. It is the control as well: a press sets the hand there by the shorter way
 * round, arrow keys go by steps. More than half a turn is typed beside it.
 */
export function TurnDial({
  units,
  step,
  clockwiseTightens,
  name,
  text,
  onTurn,
}: {
  /** Turns; positive tightens. */
  units: number
  /** What a hand can make at least, turns. */
  step: number
  clockwiseTightens: boolean
  name: string
  /** What was turned, in words. */
  text: string
  onTurn: (units: number) => void
}) {
  const isClockwise = clockwiseTightens === units > 0
  const part = Math.abs(units) % 1
  const angle = 2 * Math.PI * part * (isClockwise ? 1 : -1)
  const end = { x: MIDDLE + FACE * Math.sin(angle), y: MIDDLE - FACE * Math.cos(angle) }
  const swept = `M${MIDDLE} ${MIDDLE}V${MIDDLE - FACE}A${FACE} ${FACE} 0 ${part > 0.5 ? 1 : 0} ${isClockwise ? 1 : 0} ${end.x} ${end.y}Z`
  const inSteps = (turns: number) => onTurn(Math.round(turns / step) * step || 0)
  const press = (event: MouseEvent<HTMLElement>) => {
    const box = event.currentTarget.getBoundingClientRect()
    const x = event.clientX - box.left - box.width / 2
    const y = event.clientY - box.top - box.height / 2
    const clockwise = Math.atan2(x, -y) / (2 * Math.PI) // −½ to ½: the shorter way round
    inSteps(clockwiseTightens ? clockwise : -clockwise)
  }
  const key = (event: KeyboardEvent) => {
    const way = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[event.key]
    if (way === undefined) return
    event.preventDefault()
    inSteps(units + way * step)
  }
  return (
    <span
      className={classes.dial}
      role="slider"
      tabIndex={0}
      aria-label={`${name} on a clock’s face`}
      aria-valuenow={units}
      aria-valuetext={text}
      onClick={press}
      onKeyDown={key}
    >
      <svg viewBox={`0 0 ${SIZE} ${SIZE}`} aria-hidden="true">
        <circle cx={MIDDLE} cy={MIDDLE} r={FACE} data-part="face" />
        {part > 0 && <path d={swept} data-part="swept" />}
        {Array.from({ length: HOURS }, (_, i) => {
          const at = (2 * Math.PI * i) / HOURS
          const inner = i % 3 === 0 ? FACE - 7 : FACE - 4
          return (
            <path
              // biome-ignore lint/suspicious/noArrayIndexKey: an hour is its number
              key={i}
              d={`M${MIDDLE + inner * Math.sin(at)} ${MIDDLE - inner * Math.cos(at)}L${MIDDLE + FACE * Math.sin(at)} ${MIDDLE - FACE * Math.cos(at)}`}
              data-part="hour"
            />
          )
        })}
        <path d={`M${MIDDLE} ${MIDDLE}L${end.x} ${end.y}`} data-part="hand" />
      </svg>
    </span>
  )
}
