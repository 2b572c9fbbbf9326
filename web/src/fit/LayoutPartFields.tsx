import { Button, Checkbox, TextInput } from '@mantine/core'
import type { ReactNode } from 'react'
import type { ClearanceLimit, Idler, StartingParts, SwingArm } from '../api/client'
import editor from '../machine/MachineEditor.module.css'
import { ChoiceField } from '../quantities/ChoiceField'
import { QuantityField } from '../quantities/QuantityField'
import { PlaceFields } from './PlaceFields'

/** An edge that nothing of the loop may touch. */
export function LimitFields({
  limit,
  issue,
  onChange,
  onRemove,
}: {
  limit: ClearanceLimit
  issue: (field: string) => ReactNode
  onChange: (limit: ClearanceLimit) => void
  onRemove: () => void
}) {
  return (
    <fieldset className={editor.part}>
      <legend>to clear: {limit.name}</legend>
      <div className={editor.row}>
        <TextInput
          label="Edge"
          value={limit.name}
          onChange={(event) => onChange({ ...limit, name: event.currentTarget.value })}
          error={issue('name')}
        />
        <PlaceFields
          label="Edge from"
          value={limit.from}
          issue={(axis) => issue(`from.${axis}`)}
          onChange={(from) => onChange({ ...limit, from })}
        />
        <PlaceFields
          label="Edge to"
          value={limit.to}
          issue={(axis) => issue(`to.${axis}`)}
          onChange={(to) => onChange({ ...limit, to })}
        />
        <QuantityField
          label="Gap wanted"
          quantity="fine"
          required
          withAsterisk={false}
          value={limit.leastMm}
          onChange={(v) => v !== undefined && onChange({ ...limit, leastMm: v })}
          error={issue('leastMm')}
        />
        <QuantityField
          label="Comes nearer by"
          quantity="fine"
          required
          withAsterisk={false}
          value={limit.movesMm}
          onChange={(v) => v !== undefined && onChange({ ...limit, movesMm: v })}
          error={issue('movesMm')}
        />
      </div>
      <div className={editor.bar}>
        <Button size="compact-xs" variant="subtle" color="gray" onClick={onRemove}>
          Remove {limit.name}
        </Button>
      </div>
    </fieldset>
  )
}

/** The arm that carries the driven axle, where there is one. */
export function ArmFields({
  arm,
  issue,
  onChange,
  start,
}: {
  arm: SwingArm | null
  issue: (field: string) => ReactNode
  onChange: (arm: SwingArm | null) => void
  /** Undefined until it is known. */
  start: SwingArm | undefined
}) {
  const travel = (key: 'droopMm' | 'bumpMm', label: string) =>
    arm && (
      <QuantityField
        label={label}
        quantity="fine"
        required
        withAsterisk={false}
        value={arm[key]}
        onChange={(v) => v !== undefined && onChange({ ...arm, [key]: v })}
        error={issue(key)}
      />
    )
  return (
    <>
      <Checkbox
        mt="sm"
        label="the rear axle swings on an arm"
        checked={arm !== null}
        disabled={!arm && !start}
        onChange={(event) => onChange(event.currentTarget.checked ? (start ?? null) : null)}
      />
      {arm && (
        <div className={editor.row}>
          <PlaceFields
            label="Arm pivot"
            value={arm.pivot}
            issue={(axis) => issue(`pivot.${axis}`)}
            onChange={(pivot) => onChange({ ...arm, pivot })}
          />
          {travel('droopMm', 'Hangs down by')}
          {travel('bumpMm', 'Comes up by')}
        </div>
      )}
    </>
  )
}

/** A wheel that guides or tensions. */
export function IdlerFields({
  idler,
  moves,
  toothed,
  parts,
  issue,
  onChange,
  onRemove,
}: {
  idler: Idler
  moves: boolean
  toothed: boolean
  /** What one with teeth or without begins with; undefined until it is known. */
  parts: StartingParts | undefined
  issue: (field: string) => ReactNode
  onChange: (idler: Idler) => void
  onRemove: () => void
}) {
  return (
    <fieldset className={editor.part}>
      <legend>{idler.name}</legend>
      <div className={editor.row}>
        <TextInput
          label="Name"
          value={idler.name}
          onChange={(event) => onChange({ ...idler, name: event.currentTarget.value })}
          error={issue('name')}
        />
        <QuantityField
          label={idler.isToothed ? 'Teeth' : 'Diameter'}
          unit={idler.isToothed ? '' : 'mm'}
          required
          withAsterisk={false}
          value={idler.size}
          onChange={(size) => size !== undefined && onChange({ ...idler, size })}
          error={issue('size')}
        />
        {!moves && (
          <PlaceFields
            label="Centre"
            value={idler.centre}
            issue={(axis) => issue(`centre.${axis}`)}
            onChange={(centre) => onChange({ ...idler, centre })}
          />
        )}
        <ChoiceField
          label="The loop runs"
          words={{ inside: 'with its inside on it', back: 'with its back on it' }}
          value={idler.side}
          onChange={(side) => onChange({ ...idler, side })}
          error={issue('side')}
        />
        <ChoiceField
          label="Sits on the"
          words={{ slack: 'slack run', tight: 'tight run' }}
          value={idler.run}
          onChange={(run) => onChange({ ...idler, run })}
        />
      </div>
      {toothed && (
        <Checkbox
          mt="xs"
          label="has teeth"
          checked={idler.isToothed}
          onChange={(event) =>
            onChange({
              ...idler,
              isToothed: event.currentTarget.checked,
              size: (event.currentTarget.checked ? parts?.idlerTeeth : parts?.idlerMm) ?? idler.size,
            })
          }
          error={issue('isToothed')}
        />
      )}
      <div className={editor.bar}>
        <Button size="compact-xs" variant="subtle" color="gray" onClick={onRemove}>
          Remove {idler.name}
        </Button>
      </div>
    </fieldset>
  )
}
