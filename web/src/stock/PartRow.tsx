import { Checkbox, TextInput } from '@mantine/core'
import type { StockPart } from '../api/client'
import { issueFor } from '../api/issues'
import { changePart, removePart } from '../api/stock'
import { PART_WORDS } from '../machine/partWords'
import { QuantityField } from '../quantities/QuantityField'
import { ConflictDialog } from '../shell/ConflictDialog'
import { useStored } from '../shell/useStored'
import { CountStepper } from './CountStepper'
import classes from './StockView.module.css'
import { SupplyCell } from './SupplyCell'
import { obtainability } from './supply'
import { TakeOutButton } from './TakeOutButton'

/** One part; what is changed of it is stored as it is changed. */
export function PartRow({ stored }: { stored: StockPart }) {
  const { draft, setDraft, error, conflict, keepMine, takeTheirs } = useStored(stored, changePart)
  const change = (part: Partial<StockPart>) => setDraft({ ...draft, ...part })
  const name = `${PART_WORDS[stored.kind]} ${stored.name}`
  return (
    <tr>
      <th scope="row" className={classes.words}>
        {PART_WORDS[draft.kind]} {draft.name}
        {draft.note && <span className="cap"> {draft.note}</span>}
      </th>
      <td className={classes.words}>{draft.goesWith ?? 'any'}</td>
      <td>
        <CountStepper
          name={name}
          place="On the shelf"
          count={draft.count}
          onChange={(count) => change({ count })}
        />
        {issueFor(error, 'count') && <p className="cap">{issueFor(error, 'count')}</p>}
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
          value={draft.price ?? undefined}
          onChange={(price) => change({ price: price ?? null })}
          error={issueFor(error, 'price')}
        />
      </td>
      <td>
        <Checkbox
          display="inline-block"
          aria-label={`${name} can be ordered`}
          checked={draft.obtainable}
          onChange={(event) => change(obtainability(draft.supply, event.currentTarget.checked))}
        />
      </td>
      <td className={classes.words}>
        <SupplyCell name={name} supply={draft.supply} error={error} onChange={(supply) => change({ supply })}>
          <TextInput
            label="Which one"
            value={draft.name}
            onChange={(event) => change({ name: event.currentTarget.value })}
            error={issueFor(error, 'name')}
          />
          <TextInput
            mt="sm"
            label="Goes with"
            value={draft.goesWith ?? ''}
            onChange={(event) => change({ goesWith: event.currentTarget.value || null })}
            error={issueFor(error, 'goesWith')}
          />
          <TextInput
            mt="sm"
            label="Note"
            value={draft.note ?? ''}
            onChange={(event) => change({ note: event.currentTarget.value || null })}
            error={issueFor(error, 'note')}
          />
        </SupplyCell>
      </td>
      <td>
        <TakeOutButton name={name} remove={() => removePart(stored.id, stored.version)} />
      </td>
    </tr>
  )
}
