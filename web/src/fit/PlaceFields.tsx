import type { ReactNode } from 'react'
import type { Point, Track } from '../api/client'
import editor from '../machine/MachineEditor.module.css'
import { QuantityField } from '../quantities/QuantityField'

/** A place in the side view. */
export function PlaceFields({
  label,
  value,
  issue,
  onChange,
}: {
  label: string
  value: Point
  issue: (axis: 'xMm' | 'yMm') => ReactNode
  onChange: (value: Point) => void
}) {
  return (
    <>
      {(['xMm', 'yMm'] as const).map((axis) => (
        <QuantityField
          key={axis}
          label={`${label}, ${axis[0]}`}
          quantity="fine"
          required
          withAsterisk={false}
          value={value[axis]}
          onChange={(v) => v !== undefined && onChange({ ...value, [axis]: v })}
          error={issue(axis)}
        />
      ))}
    </>
  )
}

/** The travel of what moves: a slot, or a swing about a pivot. */
export function TrackFields({
  track,
  issue,
  onChange,
}: {
  track: Track
  issue: (field: string) => ReactNode
  onChange: (track: Track) => void
}) {
  if (track.kind === 'line')
    return (
      <div className={editor.row}>
        <PlaceFields
          label="Travel from"
          value={track.from}
          issue={(axis) => issue(`from.${axis}`)}
          onChange={(from) => onChange({ ...track, from })}
        />
        <PlaceFields
          label="Travel to"
          value={track.to}
          issue={(axis) => issue(`to.${axis}`) ?? (axis === 'xMm' ? issue('to') : undefined)}
          onChange={(to) => onChange({ ...track, to })}
        />
      </div>
    )
  const angle = (key: 'startDeg' | 'swingDeg', label: string) => (
    <QuantityField
      label={label}
      unit="°"
      required
      withAsterisk={false}
      value={track[key]}
      onChange={(v) => v !== undefined && onChange({ ...track, [key]: v })}
      error={issue(key)}
    />
  )
  return (
    <div className={editor.row}>
      <PlaceFields
        label="Pivot"
        value={track.pivot}
        issue={(axis) => issue(`pivot.${axis}`)}
        onChange={(pivot) => onChange({ ...track, pivot })}
      />
      <QuantityField
        label="Arm"
        quantity="fine"
        required
        withAsterisk={false}
        value={track.radiusMm}
        onChange={(v) => v !== undefined && onChange({ ...track, radiusMm: v })}
        error={issue('radiusMm')}
      />
      {angle('startDeg', 'Starts at')}
      {angle('swingDeg', 'Swings by')}
    </div>
  )
}
