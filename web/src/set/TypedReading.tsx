import { Select } from '@mantine/core'
import { useState } from 'react'
import type { SetReading } from '../api/client'
import { QuantityField } from '../quantities/QuantityField'
import fields from '../shell/fields.module.css'
import { ReasonedButton } from '../shell/ReasonedButton'
import type { Instrument } from './Instruments'

export const FEEL_GRADES = [
  { value: '1', label: 'loose' },
  { value: '2', label: 'about right' },
  { value: '3', label: 'tight' },
]

/** A reading put in by hand. */
export function TypedReading({
  instrument,
  position,
  onRead,
}: {
  instrument: Exclude<Instrument, 'practice'>
  position: number
  onRead: (reading: SetReading) => void
}) {
  const [value, setValue] = useState<number | undefined>()
  const [forceN, setForceN] = useState<number | undefined>()
  const method: SetReading['method'] =
    instrument === 'microphone' || instrument === 'file'
      ? 'pluck'
      : instrument === 'push'
        ? 'push'
        : instrument
  const label = {
    pluck: 'Frequency',
    push: 'Deflection',
    gauge: 'Gauge',
    freePlay: 'Free play in all',
    feel: '',
    beltHeight: 'Above the rim, − below it',
  }[method]
  const isReady = value !== undefined && (method !== 'push' || forceN !== undefined)
  const put = () => {
    if (!isReady || value === undefined) return
    onRead({ method, value, position, forceN: method === 'push' ? (forceN ?? null) : null })
    setValue(undefined)
  }
  return (
    <form
      className={fields.fields}
      style={{ marginTop: 8 }}
      onSubmit={(event) => {
        event.preventDefault()
        put()
      }}
      data-no-print
    >
      {method === 'push' && (
        <QuantityField size="xs" label="Pushed with" quantity="force" value={forceN} onChange={setForceN} />
      )}
      {method === 'feel' ? (
        <Select
          size="xs"
          label="By hand it is"
          data={FEEL_GRADES}
          value={value === undefined ? null : String(value)}
          onChange={(v) => setValue(v === null ? undefined : Number(v))}
        />
      ) : method === 'gauge' ? (
        <QuantityField size="xs" label={label} value={value} onChange={setValue} />
      ) : (
        <QuantityField
          size="xs"
          label={label}
          quantity={method === 'pluck' ? undefined : 'fine'}
          unit="Hz"
          value={value}
          onChange={setValue}
        />
      )}
      <ReasonedButton
        size="xs"
        variant="default"
        type="submit"
        why={
          isReady
            ? null
            : value === undefined
              ? 'Give the reading first.'
              : 'Give the force it was pushed with.'
        }
      >
        Put it there
      </ReasonedButton>
    </form>
  )
}
