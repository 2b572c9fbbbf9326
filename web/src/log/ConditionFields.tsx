import { Checkbox, TextInput } from '@mantine/core'
import { type ReactNode, useState } from 'react'
import type { RunConditions } from '../api/log'
import due from '../job/due.module.css'
import { ChoiceField } from '../quantities/ChoiceField'
import { QuantityField } from '../quantities/QuantityField'
import fieldRows from '../shell/fields.module.css'

/** Under what it was run. Whatever of it differs between two setups is in their difference, too. */
export function ConditionFields({
  isRun,
  under,
  onChange,
  errorOf,
  setups,
  setupId,
  onSetup,
}: {
  /** Of a run or a reading: wind, slope, surface and stand as well. */
  isRun: boolean
  under: RunConditions
  onChange: (under: RunConditions) => void
  errorOf: (field: string) => ReactNode
  setups: Record<string, string>
  setupId: number | null
  onSetup: (setupId: number | null) => void
}) {
  const [isOpen, setOpen] = useState(Object.values(under).some((v) => v !== null))
  const set = (change: Partial<RunConditions>) => onChange({ ...under, ...change })
  if (!isOpen)
    return (
      <p style={{ margin: '10px 0 6px', minHeight: 24 }}>
        <button type="button" className={due.link} onClick={() => setOpen(true)}>
          Who, load, route, weather …
        </button>
      </p>
    )
  const words = (field: 'who' | 'route' | 'weather' | 'surface', label: string) => (
    <TextInput
      size="sm"
      label={label}
      value={under[field] ?? ''}
      onChange={(e) => set({ [field]: e.currentTarget.value || null })}
      error={errorOf(field)}
    />
  )
  return (
    <>
      <div className={fieldRows.fields} style={{ marginTop: 8 }}>
        {words('who', 'Who rode')}
        <QuantityField
          size="sm"
          label="Rider and load"
          quantity="mass"
          value={under.loadKg ?? undefined}
          onChange={(loadKg) => set({ loadKg: loadKg ?? null })}
          error={errorOf('loadKg')}
        />
        {words('route', 'Route')}
        {words('weather', 'Weather')}
        {isRun && words('surface', 'Surface')}
        {isRun && (
          <QuantityField
            size="sm"
            label="Wind against"
            quantity="speed"
            value={under.windKmh ?? undefined}
            onChange={(windKmh) => set({ windKmh: windKmh ?? null })}
            error={errorOf('windKmh')}
          />
        )}
        {isRun && (
          <QuantityField
            size="sm"
            label="Slope, up"
            unit="%"
            value={under.slopePercent ?? undefined}
            onChange={(slopePercent) => set({ slopePercent: slopePercent ?? null })}
            error={errorOf('slopePercent')}
          />
        )}
        {Object.keys(setups).length > 1 && (
          <ChoiceField
            size="sm"
            label="With which setup"
            words={setups}
            none="the one on that day"
            value={setupId === null ? null : String(setupId)}
            onChange={(id) => onSetup(id === null ? null : Number(id))}
          />
        )}
      </div>
      {isRun && (
        <Checkbox
          size="sm"
          label="on a stand, the wheel free"
          checked={under.isOnStand === true}
          onChange={(e) => set({ isOnStand: e.currentTarget.checked || null })}
        />
      )}
    </>
  )
}
