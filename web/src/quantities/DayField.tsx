import { ActionIcon, type MantineSize, TextInput } from '@mantine/core'
import { useRef, useState } from 'react'
import { dayOf } from './days'

const ICON = {
  width: '1em',
  height: '1em',
  viewBox: '0 0 16 16',
  fill: 'none',
  stroke: 'currentColor',
} as const

/**
 * A day, typed as every page writes it, or picked from the calendar of the browser. What is no day is refused by name and not
 * kept.
 */
export function DayField({
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
  // As it is being typed; null where what is kept is shown.
  const [typed, setTyped] = useState<string | null>(null)
  const [refused, setRefused] = useState<string | null>(null)
  const calendar = useRef<HTMLInputElement>(null)
  const take = (day: string) => {
    setTyped(null)
    setRefused(null)
    onChange(day)
  }
  return (
    <TextInput
      label={label}
      size={size}
      required={isNeeded}
      placeholder="YYYY-MM-DD"
      value={typed ?? value}
      onChange={(event) => {
        const text = event.currentTarget.value
        const day = dayOf(text)
        setTyped(text)
        setRefused(null)
        if (day) onChange(day)
        else if (text.trim() === '' && !isNeeded) onChange('')
      }}
      onBlur={() => {
        const text = typed?.trim() ?? ''
        if (text === '' || dayOf(text)) setTyped(null)
        else setRefused(text)
      }}
      error={refused && `“${refused}” is no day: write it year first, as 2026-09-14.`}
      rightSectionWidth="2.5rem"
      rightSection={
        <>
          <ActionIcon
            variant="subtle"
            color="gray"
            aria-label="Calendar"
            onClick={() => calendar.current?.showPicker()}
          >
            <svg {...ICON} aria-hidden="true">
              <path d="M2.5 4h11v9.5h-11zM2.5 7h11M5.5 2v3M10.5 2v3" />
            </svg>
          </ActionIcon>
          <input
            ref={calendar}
            type="date"
            className="visually-hidden"
            tabIndex={-1}
            aria-hidden="true"
            value={value}
            onChange={(event) => (event.currentTarget.value || !isNeeded) && take(event.currentTarget.value)}
          />
        </>
      }
    />
  )
}
