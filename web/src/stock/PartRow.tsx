import { TextInput } from '@mantine/core'
import type { StockPart } from '../api/client'
import { issueFor } from '../api/issues'
import { changePart, removePart } from '../api/stock'
import { PART_WORDS } from '../machine/partWords'
import { useStored } from '../shell/useStored'
import { StockCells } from './StockCells'
import classes from './StockView.module.css'

/** One part; what is changed of it is stored as it is changed. */
export function PartRow({ stored }: { stored: StockPart }) {
  const line = useStored(stored, changePart)
  const { draft, setDraft, error } = line
  const change = (part: Partial<StockPart>) => setDraft({ ...draft, ...part })
  return (
    <tr>
      <th scope="row" className={classes.words}>
        {PART_WORDS[draft.kind]} {draft.name}
        {draft.note && <span className="cap"> {draft.note}</span>}
      </th>
      <td className={classes.words}>{draft.goesWith ?? 'any'}</td>
      <StockCells
        name={`${PART_WORDS[stored.kind]} ${stored.name}`}
        held={draft}
        line={line}
        onChange={change}
        remove={() => removePart(stored.id, stored.version)}
      >
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
      </StockCells>
    </tr>
  )
}
