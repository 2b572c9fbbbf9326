import { Button, Pagination, Select, TextInput } from '@mantine/core'
import type { MachineKind } from '../api/client'
import { KIND_WORDS } from '../machine/words'
import { ORDER_WORDS, STATE_WORDS, type useYardList } from './useYardList'
import classes from './YardTools.module.css'

const choices = (words: Record<string, string>) =>
  Object.entries(words).map(([value, label]) => ({ value, label }))

/** Which of the machines are looked at, and in which order. */
export function YardTools({
  list,
  kinds,
  onOdometers,
}: {
  list: ReturnType<typeof useYardList>
  kinds: MachineKind[]
  /** Opens the odometers of those in view. */
  onOdometers: () => void
}) {
  return (
    <search className={classes.tools} data-no-print>
      <TextInput
        size="sm"
        type="search"
        aria-label="Search the yard"
        placeholder="name, kind, chain or belt"
        value={list.q}
        onChange={(event) => list.change({ q: event.currentTarget.value })}
        className={classes.search}
      />
      <Select
        size="sm"
        aria-label="Kind"
        placeholder="every kind"
        clearable
        value={list.kind}
        onChange={(kind) => list.change({ kind })}
        data={kinds.map((kind) => ({ value: kind, label: KIND_WORDS[kind] }))}
      />
      <Select
        size="sm"
        aria-label="What of it"
        placeholder="whatever is due"
        clearable
        value={list.state}
        onChange={(state) => list.change({ state })}
        data={choices(STATE_WORDS)}
      />
      <Select
        size="sm"
        aria-label="Order"
        allowDeselect={false}
        value={list.order}
        onChange={(order) => list.change({ order })}
        data={choices(ORDER_WORDS)}
      />
      <output className="cap">
        {list.found.length} {list.found.length === 1 ? 'machine' : 'machines'}
      </output>
      {list.shown.some((c) => c.machine.odometerKm !== null) && (
        <Button size="compact-sm" variant="default" onClick={onOdometers}>
          Odometer round
        </Button>
      )}
      {list.pages > 1 && (
        <Pagination
          size="sm"
          total={list.pages}
          value={list.page}
          onChange={(page) => list.change({ page: String(page) })}
          getItemProps={(page) => ({ 'aria-label': `Page ${page}` })}
          getControlProps={(control) => ({ 'aria-label': `${control} page` })}
        />
      )}
    </search>
  )
}
