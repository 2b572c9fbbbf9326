import { Button, Checkbox, Chip, Group, Popover, Switch } from '@mantine/core'
import { type ReactNode, useState } from 'react'
import type { LoopSearch } from '../api/client'
import { issueFor, sentenceOf } from '../api/issues'
import { sizeUnit } from '../machine/driveElements'
import type { Workbench } from '../machine/useWorkbench'
import { gearName, plain } from '../quantities/format'
import { QuantityField } from '../quantities/QuantityField'
import classes from './SearchControls.module.css'
import type { SearchState } from './useRatioSearch'

/** Which wheels are tried: ranges, the shelf only, pairs typed by hand, gears that count. */
export function SearchControls({ bench, search }: { bench: Workbench; search: SearchState }) {
  const { error } = search.answer
  return (
    <div className={classes.controls} data-no-print>
      {bench.loops.map((loop, i) => {
        const s = search.searches[i]
        if (!s) return null
        const unit = sizeUnit(loop.driveElement) === 'mm' ? 'mm' : ''
        const field = (key: 'frontMin' | 'frontMax' | 'rearMin' | 'rearMax', label: string) => (
          <QuantityField
            size="xs"
            w={unit ? 74 : 52}
            aria-label={label}
            unit={unit}
            placeholder={plain(search.begun[i]?.[key] ?? 0)}
            value={search.changes[i]?.[key] === null ? undefined : s[key]}
            onChange={(value) => search.setSearch(i, { [key]: value ?? null })}
            error={issueFor(error, `changes[${i}].${key}`) !== undefined}
          />
        )
        return (
          <fieldset key={loop.loopKey} className={classes.loop}>
            <legend className={bench.loops.length > 1 ? 'cap' : 'visually-hidden'}>{loop.name}</legend>
            <span>front</span>
            {field('frontMin', 'Smallest front wheel tried')}
            <span>to</span>
            {field('frontMax', 'Largest front wheel tried')}
            <span>rear</span>
            {field('rearMin', 'Smallest rear wheel tried')}
            <span>to</span>
            {field('rearMax', 'Largest rear wheel tried')}
            {bench.loops.length > 1 && (
              <QuantityField
                size="xs"
                w={104}
                aria-label={`Largest ratio of ${loop.name}`}
                placeholder="largest ratio"
                value={s.largestRatio ?? undefined}
                onChange={(value) => search.setSearch(i, { largestRatio: value ?? null })}
                error={issueFor(error, `changes[${i}].largestRatio`)}
              />
            )}
            <TypedPair
              error={issueFor(error, `changes[${i}].typed`, true)}
              onAdd={(pair) => {
                search.setSearch(i, { typed: [...s.typed, pair] })
                // It is what somebody wants to see: taken into view, and compared with what is fitted.
                bench.pick(
                  bench.loops.map((other) => {
                    const now = bench.shown.loops.find((c) => c.loopKey === other.loopKey)
                    return {
                      loopKey: other.loopKey,
                      frontSize: now?.frontSize ?? other.frontSize,
                      rearSize: now?.rearSize ?? other.rearSize,
                      ...(other === loop ? pair : {}),
                    }
                  }),
                )
              }}
            />
            <Checkbox
              size="xs"
              label="shelf only"
              checked={s.onShelfOnly}
              onChange={(event) => search.setSearch(i, { onShelfOnly: event.currentTarget.checked })}
            />
            {sizeUnit(loop.driveElement) === 'mm' && (
              <Switch
                size="xs"
                label="standard diameters only"
                checked={s.standardSizesOnly}
                onChange={(event) => search.setSearch(i, { standardSizesOnly: event.currentTarget.checked })}
              />
            )}
          </fieldset>
        )
      })}
      {bench.gears.length > 1 && <GearChoice bench={bench} search={search} />}
      <Button size="compact-xs" variant="subtle" color="gray" onClick={search.resetSearch}>
        Reset
      </Button>
      {Boolean(error) && (
        <p role="alert" className={classes.error}>
          {sentenceOf(error)}
        </p>
      )}
    </div>
  )
}

/** A pair that is not in the range joins by hand. */
function TypedPair({
  onAdd,
  error,
}: {
  onAdd: (pair: LoopSearch['typed'][number]) => void
  error?: ReactNode
}) {
  const [front, setFront] = useState<number>()
  const [rear, setRear] = useState<number>()
  const [isOpen, setOpen] = useState(false)
  return (
    <Popover opened={isOpen} onChange={setOpen} trapFocus>
      <Popover.Target>
        <Button size="compact-xs" variant="default" onClick={() => setOpen(!isOpen)}>
          Type a pair
        </Button>
      </Popover.Target>
      <Popover.Dropdown>
        <form
          onSubmit={(event) => {
            event.preventDefault()
            if (front === undefined || rear === undefined) return
            onAdd({ frontSize: front, rearSize: rear })
            setOpen(false)
          }}
        >
          <Group align="end" gap="xs">
            <QuantityField size="xs" w={70} label="Front" value={front} onChange={setFront} required />
            <QuantityField size="xs" w={70} label="Rear" value={rear} onChange={setRear} required />
            <Button size="xs" type="submit">
              Try it
            </Button>
          </Group>
          {error && <p className={classes.error}>{error}</p>}
        </form>
      </Popover.Dropdown>
    </Popover>
  )
}

function GearChoice({ bench, search }: { bench: Workbench; search: SearchState }) {
  const fixedGear = bench.target && 'gearIndex' in bench.target && bench.target.gearIndex !== null
  if (bench.isDragged || bench.target?.kind === 'finalRatio' || bench.target?.kind === 'matchSetup')
    return null
  if (!bench.drive.gearsInterchangeable && fixedGear)
    return (
      <span className="cap">gears of this machine are not interchangeable: the aim's gear counts alone</span>
    )
  const shown =
    search.gears.length > 0 ? search.gears : (search.answer.data?.bands.map((b) => b.gearIndex) ?? [])
  return (
    <Chip.Group
      multiple
      value={shown.map(String)}
      onChange={(values) => search.setGears(values.map(Number).sort((a, b) => a - b))}
    >
      <Group gap={4} role="group" aria-label="Gears that count">
        {bench.gears.map((label, i) => (
          <Chip key={label} size="xs" value={String(i)}>
            {gearName(label)}
          </Chip>
        ))}
      </Group>
    </Chip.Group>
  )
}
