import { SegmentedControl } from '@mantine/core'
import type { Wishes } from '../api/client'
import classes from './WishFields.module.css'

const WISHES: [keyof Wishes, string][] = [
  ['littleUpkeep', 'little upkeep'],
  ['quiet', 'quiet'],
  ['range', 'range'],
  ['carryingLoads', 'carrying loads'],
  ['response', 'response'],
  ['lowCost', 'low cost'],
]

export function WishFields({ wishes, onChange }: { wishes: Wishes; onChange: (wishes: Wishes) => void }) {
  return (
    <div className={classes.wishes}>
      {WISHES.map(([key, label]) => (
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
