import { TextInput } from '@mantine/core'
import type { Machine, RoadWheelChoice, Setup } from '../api/client'
import { issueFor } from '../api/issues'
import { QuantityField } from '../quantities/QuantityField'
import classes from './MachineEditor.module.css'

interface Props {
  machine: Machine
  setup: Setup
  error: unknown
  onChange: (roadWheels: RoadWheelChoice[]) => void
}

/** Another tyre or wheel that a setup puts on: empty keeps the machine's own. */
export function SetupWheels({ machine, setup, error, onChange }: Props) {
  const outputs = machine.drives.flatMap((d) => d.outputs).filter((o) => o.roadWheel !== null)
  return outputs.map((output) => {
    const at = setup.roadWheels.findIndex((w) => w.outputName === output.name)
    const wheel = setup.roadWheels[at]?.roadWheel ?? { size: null, rollOutMm: null }
    const set = (part: Partial<typeof wheel>) => {
      const next = { ...wheel, ...part }
      const others = setup.roadWheels.filter((w) => w.outputName !== output.name)
      const keep = next.size !== null || next.rollOutMm !== null
      onChange(keep ? [...others, { outputName: output.name, roadWheel: next }] : others)
    }
    // A changed wheel moves to the end of the list: that is where its refusal points.
    const path = `roadWheels[${at}].roadWheel`
    return (
      <div key={output.name} className={classes.row}>
        <TextInput
          mt="sm"
          label={`Other size of ${output.name}`}
          placeholder={output.roadWheel?.size ?? ''}
          value={wheel.size ?? ''}
          onChange={(event) => set({ size: event.currentTarget.value || null })}
          error={issueFor(error, `${path}.size`)}
        />
        <QuantityField
          mt="sm"
          label="Its roll-out, measured"
          quantity="length"
          value={wheel.rollOutMm ?? undefined}
          onChange={(mm) => set({ rollOutMm: mm ?? null })}
          error={issueFor(error, `${path}.rollOutMm`)}
        />
      </div>
    )
  })
}
