import { Checkbox, TextInput } from '@mantine/core'
import type { StockItem } from '../api/client'
import { issueFor } from '../api/issues'
import { changeStock, removeStock } from '../api/stock'
import { plain } from '../quantities/format'
import { QuantityField } from '../quantities/QuantityField'
import { ConflictDialog } from '../shell/ConflictDialog'
import { useStored } from '../shell/useStored'
import { CountStepper } from './CountStepper'
import classes from './StockView.module.css'
import { SupplyCell } from './SupplyCell'
import { obtainability } from './supply'
import { TakeOutButton } from './TakeOutButton'

/** One wheel; count, price and whether it can be had are stored as they are changed. */
export function StockRow({ stored }: { stored: StockItem }) {
  const { draft, setDraft, error, conflict, keepMine, takeTheirs } = useStored(stored, changeStock)
  const { wheel } = draft
  const change = (part: Partial<StockItem['wheel']>) => setDraft({ ...draft, wheel: { ...wheel, ...part } })
  const name = `${wheel.side} ${wheel.size} for ${wheel.standard}`
  return (
    <tr>
      <th scope="row">{wheel.standard}</th>
      <td>{wheel.side}</td>
      <td className="num">{plain(wheel.size)}</td>
      <td>{wheel.mounting ?? 'any'}</td>
      <td>
        <CountStepper
          name={name}
          place="On the shelf"
          count={wheel.count}
          onChange={(count) => change({ count })}
        />
        {issueFor(error, 'wheel.count') && <p className="cap">{issueFor(error, 'wheel.count')}</p>}
        {conflict && (
          <ConflictDialog conflict={conflict} mine={draft} onKeepMine={keepMine} onTakeTheirs={takeTheirs} />
        )}
      </td>
      <td>
        <QuantityField
          size="xs"
          w={84}
          ml="auto"
          aria-label={`Price of ${name}`}
          value={wheel.price ?? undefined}
          onChange={(price) => change({ price: price ?? null })}
          error={issueFor(error, 'wheel.price')}
        />
      </td>
      <td>
        <Checkbox
          display="inline-block"
          aria-label={`${name} can be ordered`}
          checked={wheel.obtainable}
          onChange={(event) => {
            const { obtainable, supply } = obtainability(draft.supply, event.currentTarget.checked)
            setDraft({ ...draft, wheel: { ...wheel, obtainable }, supply })
          }}
        />
      </td>
      <td className={classes.words}>
        <SupplyCell
          name={name}
          supply={draft.supply}
          error={error}
          onChange={(supply) => setDraft({ ...draft, supply })}
        >
          <TextInput
            label="Note"
            value={draft.note ?? ''}
            onChange={(event) => setDraft({ ...draft, note: event.currentTarget.value || null })}
            error={issueFor(error, 'note')}
          />
        </SupplyCell>
      </td>
      <td>
        <TakeOutButton name={name} remove={() => removeStock(stored.id, stored.version)} />
      </td>
    </tr>
  )
}
