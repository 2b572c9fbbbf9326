import { Select } from '@mantine/core'
import type { Stage } from '../api/client'
import { issueFor } from '../api/issues'
import { QuantityField } from '../quantities/QuantityField'

type Of<K extends Stage['kind']> = Extract<Stage, { kind: K }>
export interface FieldsProps<K extends Stage['kind']> {
  stage: Of<K>
  at: string
  error: unknown
  onChange: (stage: Of<K>) => void
}

const MESHINGS: { value: Of<'fixedPair'>['meshing']; label: string }[] = [
  { value: 'externalGears', label: 'gears, turns round' },
  { value: 'internalGears', label: 'gear in a ring' },
  { value: 'chain', label: 'chain' },
  { value: 'toothedBelt', label: 'toothed belt' },
]

/** Teeth are whole and never unknown once stored; an emptied field is sent as 0 and refused by name. */
const teeth = (value: number | undefined) => value ?? 0

export function PairFields({ stage, at, error, onChange }: FieldsProps<'fixedPair'>) {
  return (
    <>
      <QuantityField
        label="Driving teeth"
        isCount
        value={stage.driverTeeth}
        onChange={(v) => onChange({ ...stage, driverTeeth: teeth(v) })}
        error={issueFor(error, `${at}.driverTeeth`)}
      />
      <QuantityField
        label="Driven teeth"
        isCount
        value={stage.drivenTeeth}
        onChange={(v) => onChange({ ...stage, drivenTeeth: teeth(v) })}
        error={issueFor(error, `${at}.drivenTeeth`)}
      />
      <Select
        label="Made as"
        data={MESHINGS}
        value={stage.meshing}
        onChange={(meshing) => meshing && onChange({ ...stage, meshing })}
      />
    </>
  )
}

const MEMBERS: Of<'planetary'>['held'][] = ['sun', 'ring', 'carrier']

export function PlanetaryFields({ stage, at, error, onChange }: FieldsProps<'planetary'>) {
  return (
    <>
      <QuantityField
        label="Sun teeth"
        isCount
        value={stage.sunTeeth}
        onChange={(v) => onChange({ ...stage, sunTeeth: teeth(v) })}
        error={issueFor(error, `${at}.sunTeeth`)}
      />
      <QuantityField
        label="Ring teeth"
        isCount
        value={stage.ringTeeth}
        onChange={(v) => onChange({ ...stage, ringTeeth: teeth(v) })}
        error={issueFor(error, `${at}.ringTeeth`)}
      />
      <Select
        label="Held"
        data={MEMBERS}
        value={stage.held}
        onChange={(held) => held && onChange({ ...stage, held })}
      />
      <Select
        label="Driven member"
        data={MEMBERS}
        value={stage.input}
        onChange={(input) => input && onChange({ ...stage, input })}
        error={issueFor(error, `${at}.input`)}
      />
    </>
  )
}
