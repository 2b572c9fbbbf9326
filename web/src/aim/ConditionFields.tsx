import { Group, TextInput } from '@mantine/core'
import type { Conditions } from '../api/client'

const FIELDS: [keyof Conditions, string][] = [
  ['surface', 'Surface'],
  ['weather', 'Weather'],
  ['load', 'Load'],
]

/** What it was or will be like, in the person's own words. */
export function ConditionFields({
  conditions,
  onChange,
}: {
  conditions: Conditions
  onChange: (conditions: Conditions) => void
}) {
  return (
    <Group grow gap="sm">
      {FIELDS.map(([key, label]) => (
        <TextInput
          key={key}
          label={label}
          maxLength={80}
          value={conditions[key] ?? ''}
          onChange={(event) => onChange({ ...conditions, [key]: event.currentTarget.value || null })}
        />
      ))}
    </Group>
  )
}
