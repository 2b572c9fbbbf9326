import { Select, TextInput } from '@mantine/core'
import { useState } from 'react'
import { issueFor } from '../api/issues'
import { useDesignations } from '../api/queries'
import { QuantityField } from '../quantities/QuantityField'
import type { FieldsProps } from './PairFields'
import { parseReductions } from './reductions'

const OWN = 'own figures'

/** A hub by its pattern, or by its own figures: wheel turns per sprocket turn. */
export function HubGearFields({ stage, at, error, onChange }: FieldsProps<'hubGear'>) {
  const patterns = useDesignations().data?.hubGears ?? []
  const [text, setText] = useState(stage.speedFactors.join('  '))
  const same = patterns.find((p) => p.speedFactors.join() === stage.speedFactors.join())
  const parsed = parseReductions(text)
  return (
    <>
      <Select
        label="Pattern"
        data={[...patterns.map((p) => p.name), OWN]}
        value={same?.name ?? OWN}
        onChange={(name) => {
          const pattern = patterns.find((p) => p.name === name)
          if (!pattern) return
          setText(pattern.speedFactors.join('  '))
          onChange({ ...stage, hubName: pattern.name, speedFactors: pattern.speedFactors })
        }}
      />
      <TextInput
        label="Turns out per turn in"
        value={text}
        onChange={(event) => {
          setText(event.currentTarget.value)
          const { reductions } = parseReductions(event.currentTarget.value)
          if (reductions) onChange({ ...stage, speedFactors: reductions })
        }}
        error={
          parsed.issue ?? issueFor(error, `${at}.speedFactors`) ?? issueFor(error, `${at}.speedFactors[0]`)
        }
      />
      <QuantityField
        label="Smallest front over rear"
        value={stage.smallestPrimaryRatio ?? undefined}
        onChange={(v) => onChange({ ...stage, smallestPrimaryRatio: v ?? null })}
        error={issueFor(error, `${at}.smallestPrimaryRatio`)}
      />
    </>
  )
}
