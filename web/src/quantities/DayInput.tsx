import type { MantineSize } from '@mantine/core'
import { DateInput } from '@mantine/dates'
import { useState } from 'react'
import '@mantine/dates/styles.css'
import { dayOf } from './days'

/** A day, typed or picked, as every page writes it. What is no day is refused by name and not kept. */
export default function DayInput({
  label,
  value,
  size,
  isNeeded = false,
  onChange,
}: {
  label: string
  /** ISO 8601; empty where none is given. */
  value: string
  size?: MantineSize
  /** It can’t be left empty. */
  isNeeded?: boolean
  onChange: (day: string) => void
}) {
  const [refused, setRefused] = useState<string | null>(null)
  return (
    <DateInput
      label={label}
      size={size}
      required={isNeeded}
      clearable={!isNeeded}
      clearButtonProps={{ 'aria-label': `Empty “${label}”` }}
      valueFormat="YYYY-MM-DD"
      weekendDays={[]}
      placeholder="YYYY-MM-DD"
      dateParser={dayOf}
      value={value || null}
      onChange={(day) => {
        setRefused(null)
        onChange(day ?? '')
      }}
      onBlur={(event) => {
        const text = event.currentTarget.value.trim()
        setRefused(text === '' || dayOf(text) ? null : text)
      }}
      error={refused && `“${refused}” is no day: write it year first, as 2026-09-14.`}
    />
  )
}
