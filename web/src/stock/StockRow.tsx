import { TextInput } from '@mantine/core'
import type { StockItem } from '../api/client'
import { issueFor } from '../api/issues'
import { changeStock, removeStock } from '../api/stock'
import { plain } from '../quantities/format'
import { useStored } from '../shell/useStored'
import { StockCells } from './StockCells'

/** One wheel; count, price and how it is got are stored as they are changed. */
export function StockRow({ stored }: { stored: StockItem }) {
  const line = useStored(stored, changeStock)
  const { draft, setDraft, error } = line
  const { wheel, supply } = draft
  return (
    <tr>
      <th scope="row">{wheel.standard}</th>
      <td>{wheel.side}</td>
      <td className="num">{plain(wheel.size)}</td>
      <td>{wheel.mounting ?? 'any'}</td>
      <StockCells
        name={`${wheel.side} ${wheel.size} for ${wheel.standard}`}
        held={{ ...wheel, supply }}
        at="wheel."
        line={line}
        onChange={({ supply: known = supply, ...part }) =>
          setDraft({ ...draft, wheel: { ...wheel, ...part }, supply: known })
        }
        remove={() => removeStock(stored.id, stored.version)}
      >
        <TextInput
          label="Note"
          value={draft.note ?? ''}
          onChange={(event) => setDraft({ ...draft, note: event.currentTarget.value || null })}
          error={issueFor(error, 'note')}
        />
      </StockCells>
    </tr>
  )
}
