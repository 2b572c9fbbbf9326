import { Button, Checkbox, Select, TextInput } from '@mantine/core'
import { useDebouncedValue } from '@mantine/hooks'
import { type Drive, readRoadWheel } from '../api/client'
import { issueFor } from '../api/issues'
import { useComputed } from '../api/queries'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import classes from './MachineEditor.module.css'

type Output = Drive['outputs'][number]
interface Props {
  output: Output
  shafts: string[]
  at: string
  error: unknown
  onChange: (output: Output) => void
  onRemove?: () => void
}

/** Where power leaves: the shaft, and the size of what rolls or winds there, read as it is typed. */
export function OutputForm({ output, shafts, at, error, onChange, onRemove }: Props) {
  const units = useUnits()
  const wheel = output.roadWheel ?? { size: null, rollOutMm: null }
  const setWheel = (part: Partial<typeof wheel>) => {
    const next = { ...wheel, ...part }
    onChange({ ...output, roadWheel: next.size === null && next.rollOutMm === null ? null : next })
  }
  const [typed] = useDebouncedValue(output.roadWheel, 250)
  const read = useComputed('road-wheel', typed ?? undefined, readRoadWheel)
  const issue = (field: string) => issueFor(error, `${at}.${field}`)
  return (
    <fieldset className={classes.part}>
      <legend>output</legend>
      <div className={classes.row}>
        <TextInput
          label="Name"
          value={output.name}
          onChange={(event) => onChange({ ...output, name: event.currentTarget.value })}
          error={issue('name')}
        />
        <Select
          label="On the shaft"
          data={[...new Set([...shafts, output.shaft])]}
          value={output.shaft}
          onChange={(shaft) => onChange({ ...output, shaft: shaft ?? output.shaft })}
          error={issue('shaft')}
        />
        <TextInput
          label="Size, as written on it"
          placeholder="130/80-17, 47-622, 100 mm"
          value={wheel.size ?? ''}
          onChange={(event) => setWheel({ size: event.currentTarget.value || null })}
          error={issue('roadWheel.size') ?? issueFor(read.error, 'size')}
        />
        <QuantityField
          label="Roll-out, measured"
          quantity="length"
          value={wheel.rollOutMm ?? undefined}
          onChange={(v) => setWheel({ rollOutMm: v ?? null })}
          error={issue('roadWheel.rollOutMm') ?? issueFor(read.error, 'rollOutMm')}
        />
      </div>
      {read.data && !read.isStale && output.roadWheel && (
        <p className={classes.read}>
          {read.data.reading?.explanation} {units.show('length', read.data.circumferenceMm)} per turn
          {read.data.isMeasured ? ', measured.' : ', from the size; a roll-out replaces it.'}
        </p>
      )}
      <div className={classes.bar}>
        <Checkbox
          label="Rolls on the same ground as the others"
          checked={output.onRoad}
          onChange={(event) => onChange({ ...output, onRoad: event.currentTarget.checked })}
        />
        {onRemove && (
          <Button size="compact-xs" variant="subtle" color="gray" onClick={onRemove}>
            Remove {output.name}
          </Button>
        )}
      </div>
    </fieldset>
  )
}
