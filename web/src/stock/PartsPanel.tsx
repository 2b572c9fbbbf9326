import { Select, TextInput } from '@mantine/core'
import { useState } from 'react'
import { sentenceOf } from '../api/issues'
import { useParts } from '../api/queries'
import { PART_WORDS } from '../machine/partWords'
import { choicesOf } from '../quantities/choices'
import { EmptyState } from '../shell/EmptyState'
import { Panel } from '../shell/Panel'
import table from '../shell/table.module.css'
import { PartRow } from './PartRow'
import classes from './StockView.module.css'

const ALL = 'all'

/** Chains, belts, links, pins, seals and whatever else a drive is made of. */
export function PartsPanel() {
  const parts = useParts()
  const [kind, setKind] = useState<string>(ALL)
  const [words, setWords] = useState('')
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean)
  const shown = parts.data?.filter((part) => {
    const text = `${PART_WORDS[part.kind]} ${part.name} ${part.goesWith ?? ''}`.toLowerCase()
    return (kind === ALL || part.kind === kind) && wanted.every((w) => text.includes(w))
  })
  return (
    <Panel
      title="Parts"
      aside={
        <div className={classes.filters} data-no-print>
          <Select
            size="xs"
            w={130}
            aria-label="Kind of part"
            data={[{ value: ALL, label: 'all kinds' }, ...choicesOf(PART_WORDS)]}
            value={kind}
            onChange={(value) => setKind(value ?? ALL)}
          />
          <TextInput
            size="xs"
            aria-label="Only parts with these words"
            placeholder="e.g. rivet 520"
            value={words}
            onChange={(event) => setWords(event.currentTarget.value)}
          />
        </div>
      }
    >
      {parts.isPending && <EmptyState title="Reading the shelf …" />}
      {parts.error !== null && (
        <EmptyState title="The shelf can’t be read.">{sentenceOf(parts.error)}</EmptyState>
      )}
      {shown?.length === 0 && (
        <EmptyState title="No part is listed here.">
          Add what lies on the shelf; a job then takes it from here, with its price.
        </EmptyState>
      )}
      {shown && shown.length > 0 && (
        <div className={table.scroll}>
          <table className={table.table}>
            <thead>
              <tr>
                <th scope="col">part</th>
                <th scope="col" className={classes.words}>
                  goes with
                </th>
                <th scope="col">on the shelf</th>
                <th scope="col">price</th>
                <th scope="col">obtainable</th>
                <th scope="col" className={classes.words}>
                  got from
                </th>
                <th scope="col">
                  <span className="visually-hidden">remove</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {shown.map((part) => (
                <PartRow key={part.id} stored={part} />
              ))}
            </tbody>
          </table>
        </div>
      )}
    </Panel>
  )
}
