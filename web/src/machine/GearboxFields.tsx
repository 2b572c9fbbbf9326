import { Select, TextInput } from '@mantine/core'
import { useState } from 'react'
import { issueFor } from '../api/issues'
import { useGearboxSets } from '../api/queries'
import classes from './MachineEditor.module.css'
import type { FieldsProps } from './PairFields'
import { parseReductions, reductionsText } from './reductions'

const OWN = 'own'

/** A shared set, or ratios typed here that become one. */
export function GearboxFields({ stage, at, error, onChange }: FieldsProps<'gearbox'>) {
  const sets = useGearboxSets().data ?? []
  const { set } = stage
  const [text, setText] = useState(reductionsText(set.reductions))
  const parsed = parseReductions(text, true)
  return (
    <>
      <Select
        label="Gearbox set"
        data={[
          ...sets.map((s) => ({ value: String(s.id), label: s.name })),
          { value: OWN, label: 'a new set …' },
        ]}
        value={set.id === 0 ? OWN : String(set.id)}
        onChange={(id) => {
          const shared = sets.find((s) => String(s.id) === id)
          onChange({ ...stage, set: shared ?? { ...set, id: 0, version: 0, name: `${set.name} changed` } })
        }}
        error={issueFor(error, `${at}.set.name`)}
      />
      {set.id === 0 ? (
        <>
          <TextInput
            label="Name of the set"
            value={set.name}
            onChange={(event) => onChange({ ...stage, set: { ...set, name: event.currentTarget.value } })}
            error={issueFor(error, `${at}.set.name`)}
          />
          <TextInput
            label="Ratios, first gear first"
            value={text}
            onChange={(event) => {
              setText(event.currentTarget.value)
              const { reductions } = parseReductions(event.currentTarget.value, true)
              if (reductions) onChange({ ...stage, set: { ...set, reductions } })
            }}
            error={parsed.issue ?? issueFor(error, `${at}.set.reductions`)}
          />
        </>
      ) : (
        <p className={classes.read}>
          {reductionsText(set.reductions)}
          <br />
          Shared: edited under Stock.
        </p>
      )}
    </>
  )
}
