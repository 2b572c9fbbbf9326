import { Button, type ComboboxItem, type ComboboxItemGroup, type OptionsFilter, Select } from '@mantine/core'
import { useState } from 'react'
import type { StockPlace } from '../api/client'
import { issueFor } from '../api/issues'
import { useParts, useSpacers, useStock } from '../api/queries'
import { PART_WORDS } from '../machine/partWords'
import { plain } from '../quantities/format'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import { Refused } from '../shell/Refused'
import classes from './LineForm.module.css'
import { atEvent, useJobEvents } from './useJobEvents'

/** Takes pieces out of Stock: it says what they are and what they cost. */
export function PartFromStock({ jobId }: { jobId: number }) {
  const lines = useLines()
  const [chosen, setChosen] = useState<string | null>(null)
  const [count, setCount] = useState<number | undefined>(1)
  const record = useJobEvents(jobId)
  const from = lines.find((line) => line.value === chosen)?.from
  return (
    <form
      className={classes.form}
      onSubmit={(submitted) => {
        submitted.preventDefault()
        if (from && count !== undefined)
          record.happens({ kind: 'partUsed', what: '', count, unitPrice: null, from }, () => {
            setChosen(null)
            setCount(1)
          })
      }}
    >
      <Select
        size="sm"
        label="Part"
        placeholder="rivet 520"
        searchable
        filter={withEveryWord}
        nothingFoundMessage="Nothing of that is in Stock."
        data={LISTS.map(({ list, name }) => ({
          group: name,
          items: lines
            .filter((line) => line.from.list === list)
            .map(({ value, label, there }) => ({ value, label, disabled: there === 0 })),
        }))}
        value={chosen}
        onChange={setChosen}
        error={issueFor(record.error, atEvent('from.id'))}
      />
      <QuantityField
        label="Pieces"
        style={{ flex: '0 0 90px' }}
        isCount
        value={count}
        onChange={setCount}
        error={issueFor(record.error, atEvent('count'))}
      />
      <Button type="submit" size="sm" variant="default" loading={record.isPending}>
        Use it
      </Button>
      <Refused error={record.error} fields={['from.id', 'count'].map(atEvent)} />
    </form>
  )
}

/** “rivet 520” finds what has both, in whatever order. */
const withEveryWord: OptionsFilter = ({ options, search }) => {
  const words = search.toLowerCase().split(/\s+/)
  return (options as ComboboxItemGroup<ComboboxItem>[])
    .map((list) => ({
      ...list,
      items: list.items.filter(({ label }) => words.every((w) => label.toLowerCase().includes(w))),
    }))
    .filter((list) => list.items.length > 0)
}

const LISTS: { list: StockPlace['list']; name: string }[] = [
  { list: 'parts', name: 'parts' },
  { list: 'wheels', name: 'wheels' },
  { list: 'spacers', name: 'spacers' },
]

interface Line {
  value: string
  label: string
  from: StockPlace
  there: number
}

/** Everything that Stock keeps count of. */
function useLines(): Line[] {
  const units = useUnits()
  const wheels = useStock().data ?? []
  const parts = useParts().data ?? []
  const spacers = useSpacers().data ?? []
  const line = (list: StockPlace['list'], id: number, name: string, there: number): Line => ({
    value: `${list} ${id}`,
    label: `${name}: ${there === 0 ? 'none' : there} there`,
    from: { list, id },
    there,
  })
  return [
    ...parts.map((p) =>
      line(
        'parts',
        p.id,
        [`${PART_WORDS[p.kind]} ${p.name}`, p.goesWith && `for ${p.goesWith}`].filter(Boolean).join(' '),
        p.count,
      ),
    ),
    ...wheels.map(({ id, wheel }) =>
      line(
        'wheels',
        id,
        [`${wheel.standard} ${wheel.side} ${plain(wheel.size)}`, wheel.mounting].filter(Boolean).join(', '),
        wheel.count,
      ),
    ),
    ...spacers.map((s) =>
      line(
        'spacers',
        s.id,
        `spacer ${units.show('fine', s.thicknessMm)} for ${units.show('fine', s.boreMm)}`,
        s.count,
      ),
    ),
  ]
}
