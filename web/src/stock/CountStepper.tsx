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
  return (
    <span className={classes.count}>
      <button
        type="button"
        aria-label={`One fewer ${name}`}
        aria-disabled={count === 0}
        title={count === 0 ? 'There is none.' : undefined}
        onClick={() => count > 0 && onChange(count - 1)}
      >
        −
      </button>
      <output className="num" aria-label={`${place}: ${name}`}>
        {count}
      </output>
      <button type="button" aria-label={`One more ${name}`} onClick={() => onChange(count + 1)}>
        +
      </button>
    </span>
  )
}
