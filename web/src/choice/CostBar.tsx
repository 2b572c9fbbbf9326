import type { ChoiceColumn, ChoiceDesk } from '../api/choice'
import { money } from '../quantities/format'
import type { Units } from '../quantities/units'
import classes from './Choice.module.css'
import { SaidBySign } from './SaidBySign'
import { rangeText, runText } from './words'

const PARTS = ['parts', 'upkeep', 'fuel', 'failure'] as const

/** What 1 000 cost, as a range, and what of it each part is; drawn on one scale for all columns. */
export function CostBar({
  cost,
  desk,
  units,
}: {
  cost: NonNullable<ChoiceColumn['cost']>
  desk: ChoiceDesk
  units: Units
}) {
  const most = Math.max(...desk.columns.map((c) => c.cost?.high ?? 0))
  const told = PARTS.filter((part) => cost[part] > 0)
  return (
    <div>
      <b>{rangeText(cost.low, cost.high, money)}</b>{' '}
      <span className="cap">for {runText(desk.unit, 1000, units)}</span> <SaidBySign saidBy={cost.saidBy} />
      <span className={classes.cost} aria-hidden="true">
        {told.map((part) => (
          <span
            key={part}
            data-part={part}
            style={{ width: `${most > 0 ? (100 * cost[part]) / most : 0}%` }}
          />
        ))}
      </span>
      <span className="cap">{told.map((part) => `${part} ${money(cost[part])}`).join(' · ')}</span>
    </div>
  )
}
