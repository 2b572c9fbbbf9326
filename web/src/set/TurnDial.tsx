import classes from './TurnDial.module.css'

const SIZE = 72
const MIDDLE = SIZE / 2
const FACE = 30
const HOURS = 12

/** A clock's face with how far an adjuster was turned, as a hand going round; what is more than a turn is told in words. */
export function TurnDial({ turns, clockwise, label }: { turns: number; clockwise: boolean; label: string }) {
  const part = Math.abs(turns) % 1
  const angle = 2 * Math.PI * part * (clockwise ? 1 : -1)
  const end = { x: MIDDLE + FACE * Math.sin(angle), y: MIDDLE - FACE * Math.cos(angle) }
  const swept = `M${MIDDLE} ${MIDDLE}V${MIDDLE - FACE}A${FACE} ${FACE} 0 ${part > 0.5 ? 1 : 0} ${clockwise ? 1 : 0} ${end.x} ${end.y}Z`
  return (
    <svg viewBox={`0 0 ${SIZE} ${SIZE}`} className={classes.dial} role="img" aria-label={label}>
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
  )
}
