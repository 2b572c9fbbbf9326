import { Group, Select, TextInput } from '@mantine/core'
import { useState } from 'react'
import type { StockPart } from '../api/client'
import { issueFor } from '../api/issues'
import { useChange } from '../api/queries'
import { addPart } from '../api/stock'
import { PART_WORDS } from '../machine/partWords'
import { choicesOf } from '../quantities/choices'
import { QuantityField } from '../quantities/QuantityField'
import { Dialog } from '../shell/Dialog'
import { ReasonedButton } from '../shell/ReasonedButton'
import { Refused } from '../shell/Refused'

const EMPTY: StockPart = {
  id: 0,
  version: 0,
  kind: 'chain',
  name: '',
  goesWith: null,
  count: 1,
  price: null,
  obtainable: true,
  note: null,
}

export function AddPartDialog({ onClose }: { onClose: () => void }) {
  const [part, setPart] = useState(EMPTY)
  const [count, setCount] = useState<number | undefined>(EMPTY.count)
  const add = useChange(addPart)
  return (
    <Dialog onClose={onClose} title="Add a part">
      <form
        onSubmit={(event) => {
          event.preventDefault()
          if (count !== undefined) add.mutate({ ...part, count }, { onSuccess: onClose })
        }}
      >
        <Select
          label="Kind"
          data={choicesOf(PART_WORDS)}
          allowDeselect={false}
          value={part.kind}
          onChange={(kind) => kind && setPart({ ...part, kind })}
          error={issueFor(add.error, 'kind')}
        />
        <TextInput
          mt="sm"
          label="Which one"
          description="As people ask for it: “112 links, sealed”."
          value={part.name}
          onChange={(event) => setPart({ ...part, name: event.currentTarget.value })}
          error={issueFor(add.error, 'name')}
        />
        <TextInput
          mt="sm"
          label="Goes with"
          description="Chain, belt, shaft or machine; empty for any."
          value={part.goesWith ?? ''}
          onChange={(event) => setPart({ ...part, goesWith: event.currentTarget.value || null })}
          error={issueFor(add.error, 'goesWith')}
        />
        <Group grow align="start" mt="sm">
          <QuantityField
            label="On the shelf"
            required
            isCount
            value={count}
            onChange={setCount}
            error={issueFor(add.error, 'count')}
          />
          <QuantityField
            label="Price"
            value={part.price ?? undefined}
            onChange={(price) => setPart({ ...part, price: price ?? null })}
            error={issueFor(add.error, 'price')}
          />
        </Group>
        <Refused error={add.error} fields={['kind', 'name', 'goesWith', 'count', 'price']} />
        <Group justify="end" mt="md">
          <ReasonedButton
            type="submit"
            why={count === undefined ? 'Give how many there are.' : null}
            loading={add.isPending}
          >
            Add
          </ReasonedButton>
        </Group>
      </form>
    </Dialog>
  )
}
