import { ActionIcon, Checkbox } from '@mantine/core'
import { notifications } from '@mantine/notifications'
import { changeStock, removeStock, type StockItem } from '../api/client'
import { issueFor, sentenceOf } from '../api/issues'
import { useChange } from '../api/queries'
import { plain } from '../quantities/format'
import { QuantityField } from '../quantities/QuantityField'
import { ConflictDialog } from '../shell/ConflictDialog'
import { useStored } from '../shell/useStored'
import { CountStepper } from './CountStepper'

/** One wheel; count, price and whether it can be had are stored as they are changed. */
export function StockRow({ stored }: { stored: StockItem }) {
  const { draft, setDraft, error, conflict, keepMine, takeTheirs } = useStored(stored, changeStock)
  const remove = useChange(() => removeStock(stored.id, stored.version))
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
          onChange={(event) => change({ obtainable: event.currentTarget.checked })}
        />
      </td>
      <td>
        <ActionIcon
          variant="subtle"
          color="gray"
          aria-label={`Take ${name} out of the list`}
          onClick={() =>
            remove.mutate(undefined, {
              onSuccess: () =>
                notifications.show({ message: `${name} is out of the list; the history can bring it back.` }),
              onError: (e) => notifications.show({ color: 'red', message: sentenceOf(e) }),
            })
          }
        >
          ×
        </ActionIcon>
      </td>
    </tr>
  )
}
