import { SegmentedControl } from '@mantine/core'
import type { Wishes } from '../api/client'
import { WISH_WORDS } from '../machine/words'
import { choicesOf } from '../quantities/choices'
import classes from './WishFields.module.css'

export function WishFields({ wishes, onChange }: { wishes: Wishes; onChange: (wishes: Wishes) => void }) {
  return (
    <div className={classes.wishes}>
      {choicesOf(WISH_WORDS).map(({ value: key, label }) => (
        <div key={key} className={classes.wish}>
          <span id={`wish-${key}`}>{label}</span>
          <SegmentedControl
            size="xs"
            aria-labelledby={`wish-${key}`}
            value={String(wishes[key])}
            onChange={(value) => onChange({ ...wishes, [key]: Number(value) })}
            data={['0', '1', '2', '3']}
          />
        </div>
      ))}
    </div>
  )
}
