import { useHeld } from '../shell/useHeld'
import classes from './StockView.module.css'

/** How many there are, one up or down at a press. */
export function CountStepper({
  name,
  place,
  count,
  onChange,
}: {
  name: string
  place: string
  count: number
  onChange: (count: number) => void
}) {
  const by = (steps: number) => {
    const next = Math.max(0, count + steps)
    if (next !== count) onChange(next)
  }
  const fewer = useHeld((steps) => by(-steps))
  const more = useHeld(by)
  return (
    <span className={classes.count}>
      <button
        type="button"
        aria-label={`One fewer ${name}`}
        aria-disabled={count === 0}
        title={count === 0 ? 'There is none.' : undefined}
        {...fewer}
      >
        −
      </button>
      <output className="num" aria-label={`${place}: ${name}`}>
        {count}
      </output>
      <button type="button" aria-label={`One more ${name}`} {...more}>
        +
      </button>
    </span>
  )
}
