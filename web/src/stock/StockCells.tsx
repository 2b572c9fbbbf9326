import { Checkbox } from '@mantine/core'
import type { ReactNode } from 'react'
import type { SupplyNote } from '../api/client'
import { issueFor } from '../api/issues'
import { QuantityField } from '../quantities/QuantityField'
import { ConflictDialog } from '../shell/ConflictDialog'
import type { useStored } from '../shell/useStored'
import { CountStepper } from './CountStepper'
import classes from './StockView.module.css'
import { SupplyCell } from './SupplyCell'
import { obtainability } from './supply'
import { TakeOutButton } from './TakeOutButton'

interface Held {
  count: number
  price: number | null
  obtainable: boolean
  supply?: SupplyNote | null
}

/** What stands in every line of wheels and parts: how many there are, what one costs, and how it is got. */
export function StockCells({
  name,
  held,
  at = '',
  line,
  children,
  onChange,
  remove,
}: {
  name: string
  held: Held
  /** Where count and price stand in what is stored. */
  at?: string
  line: Pick<ReturnType<typeof useStored<{ id: number; version: number }>>, 'error' | 'conflicting'>
  /** What else can be changed beside how it is got. */
  children: ReactNode
  onChange: (part: Partial<Held>) => void
  remove: () => Promise<unknown>
}) {
  const { error, conflicting } = line
  const countIssue = issueFor(error, `${at}count`)
  return (
    <>
      <td>
        <CountStepper
          name={name}
          place="On the shelf"
          count={held.count}
          onChange={(count) => onChange({ count })}
        />
        {countIssue && <p className="cap">{countIssue}</p>}
        {conflicting && <ConflictDialog {...conflicting} />}
      </td>
      <td>
        <QuantityField
          size="xs"
          w={84}
          ml="auto"
          aria-label={`Price of ${name}`}
          value={held.price ?? undefined}
          onChange={(price) => onChange({ price: price ?? null })}
          error={issueFor(error, `${at}price`)}
        />
      </td>
      <td>
        <Checkbox
          display="inline-block"
          aria-label={`${name} can be ordered`}
          checked={held.obtainable}
          onChange={(event) => onChange(obtainability(held.supply, event.currentTarget.checked))}
        />
      </td>
      <td className={classes.words}>
        <SupplyCell
          name={name}
          supply={held.supply}
          error={error}
          onChange={(supply) => onChange({ supply })}
        >
          {children}
        </SupplyCell>
      </td>
      <td>
        <TakeOutButton name={name} remove={remove} />
      </td>
    </>
  )
}
