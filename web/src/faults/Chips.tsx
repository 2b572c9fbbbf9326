import classes from './Faults.module.css'

interface Chip {
  key: string
  what: string
  isOn: boolean
  /** Beside the words: where it comes from. */
  hint?: string
}

/** Short words to be pressed: what is so, is filled. */
export function Chips({
  label,
  chips,
  why,
  onToggle,
}: {
  label: string
  chips: Chip[]
  /** Why they can’t be pressed; null where they can. */
  why: string | null
  onToggle: (key: string) => void
}) {
  return (
    <fieldset className={classes.chips} aria-label={label} style={{ border: 0, margin: 0, padding: 0 }}>
      {chips.map((chip) => (
        <button
          key={chip.key}
          type="button"
          aria-pressed={chip.isOn}
          aria-disabled={why !== null}
          title={why ?? chip.hint}
          onClick={() => why === null && onToggle(chip.key)}
        >
          {chip.what}
        </button>
      ))}
    </fieldset>
  )
}
