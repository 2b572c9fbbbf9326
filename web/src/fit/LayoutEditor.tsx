import { Button, Checkbox, Group, Modal, Select, TextInput } from '@mantine/core'
import { useState } from 'react'
import {
  type ClearanceLimit,
  ConflictError,
  changeMachine,
  type Idler,
  type LoopLayout,
  type Machine,
  type Mover,
  type Point,
  type SwingArm,
  type Track,
} from '../api/client'
import { issueFor, sentenceOf } from '../api/issues'
import { useChange } from '../api/queries'
import editor from '../machine/MachineEditor.module.css'
import type { Workbench } from '../machine/useWorkbench'
import { isToothed } from '../machine/words'
import { QuantityField } from '../quantities/QuantityField'
import { ConflictDialog } from '../shell/ConflictDialog'
import type { Fit } from './useFit'
import { MOVER_WORDS } from './words'

const FIXED = 'fixed'
const MOVERS = [
  ...Object.entries(MOVER_WORDS).map(([value, label]) => ({ value, label })),
  { value: FIXED, label: 'nothing: fixed centres' },
]

/** Exact entry of where the wheels stand; the picture follows when it is stored. */
export default function LayoutEditor({
  bench,
  fit,
  layout,
  onClose,
}: {
  bench: Workbench
  fit: Fit
  layout: LoopLayout
  onClose: () => void
}) {
  const [draft, setDraft] = useState(layout)
  const { machine, fitted } = bench.card
  const index = (machine.layouts ?? []).findIndex((l) => l.loopKey === layout.loopKey)
  const save = useChange((base: Machine) =>
    changeMachine({
      machine: { ...base, layouts: (machine.layouts ?? []).map((l, i) => (i === index ? draft : l)) },
      fitted: fitted.loops,
      fittedVersion: fitted.version,
    }),
  )
  const { error } = save
  const conflict = error instanceof ConflictError ? error : null
  const at = `layouts[${index}]`
  const issue = (field: string) => issueFor(error, `${at}.${field}`)
  const moves = draft.mover?.wheel
  return (
    <Modal
      opened
      onClose={onClose}
      title={`Where things stand on ${fit.loop.name}`}
      size={760}
      closeOnClickOutside={false}
      closeButtonProps={{ 'aria-label': 'Close without storing' }}
    >
      <form
        onSubmit={(event) => {
          event.preventDefault()
          save.mutate(machine, { onSuccess: onClose })
        }}
      >
        <p className="cap">
          Seen from one side: x to the right, y up. Most people put the front wheel at 0 · 0.
        </p>
        <div className={editor.row}>
          <Select
            label="Going forward it runs"
            data={[
              { value: 'clockwise', label: 'clockwise' },
              { value: 'counterclockwise', label: 'counterclockwise' },
            ]}
            value={draft.turning}
            onChange={(v) => setDraft({ ...draft, turning: v === 'clockwise' ? v : 'counterclockwise' })}
          />
          <Select
            label="What is moved to tension it"
            data={MOVERS}
            value={draft.mover?.kind ?? FIXED}
            onChange={(kind) => setDraft({ ...draft, mover: moverOf(kind, draft) })}
          />
          {draft.mover && (
            <Select
              label="Wheel that moves"
              data={['front', 'rear', ...draft.idlers.map((i) => i.name)]}
              value={draft.mover.wheel}
              onChange={(wheel) =>
                draft.mover && wheel && setDraft({ ...draft, mover: { ...draft.mover, wheel } })
              }
              error={issue('mover.wheel')}
            />
          )}
        </div>
        <div className={editor.row}>
          {moves !== 'front' && (
            <PlaceFields
              label="Front"
              value={draft.front}
              issue={(axis) => issue(`front.${axis}`)}
              onChange={(front) => setDraft({ ...draft, front })}
            />
          )}
          {moves !== 'rear' && (
            <PlaceFields
              label="Rear"
              value={draft.rear}
              issue={(axis) => issue(`rear.${axis}`)}
              onChange={(rear) => setDraft({ ...draft, rear })}
            />
          )}
        </div>
        {draft.mover && (
          <TrackFields
            track={draft.mover.track}
            issue={(field) => issue(`mover.track.${field}`)}
            onChange={(track) => draft.mover && setDraft({ ...draft, mover: { ...draft.mover, track } })}
          />
        )}
        {draft.idlers.map((idler, i) => (
          <IdlerFields
            // biome-ignore lint/suspicious/noArrayIndexKey: idlers are in running order; their names are typed by hand
            key={i}
            idler={idler}
            moves={moves === idler.name}
            toothed={isToothed(fit.loop.medium)}
            issue={(field) => issue(`idlers[${i}].${field}`)}
            onChange={(next) =>
              setDraft({
                ...draft,
                idlers: draft.idlers.map((o, k) => (k === i ? next : o)),
                mover:
                  draft.mover && moves === idler.name ? { ...draft.mover, wheel: next.name } : draft.mover,
              })
            }
            onRemove={() =>
              setDraft({
                ...draft,
                idlers: draft.idlers.filter((_, k) => k !== i),
                mover: moves === idler.name ? null : draft.mover,
              })
            }
          />
        ))}
        {(draft.limits ?? []).map((limit, i) => (
          <LimitFields
            // biome-ignore lint/suspicious/noArrayIndexKey: limits have no key but their typed name
            key={i}
            limit={limit}
            issue={(field) => issue(`limits[${i}].${field}`)}
            onChange={(next) =>
              setDraft({ ...draft, limits: draft.limits?.map((o, k) => (k === i ? next : o)) ?? [] })
            }
            onRemove={() => setDraft({ ...draft, limits: draft.limits?.filter((_, k) => k !== i) ?? [] })}
          />
        ))}
        <ArmFields
          arm={draft.swingArm ?? null}
          issue={(field) => issue(`swingArm.${field}`)}
          onChange={(swingArm) => setDraft({ ...draft, swingArm })}
          start={() => ({
            pivot: { xMm: Math.round(draft.front.xMm * 0.88 + draft.rear.xMm * 0.12), yMm: draft.front.yMm },
            droopMm: 30,
            bumpMm: 100,
          })}
        />
        <Group mt="sm">
          <Button
            size="compact-sm"
            variant="default"
            onClick={() => setDraft({ ...draft, idlers: [...draft.idlers, newIdler(draft, fit)] })}
          >
            Add an idler or a tensioner
          </Button>
          <Button
            size="compact-sm"
            variant="default"
            onClick={() => setDraft({ ...draft, limits: [...(draft.limits ?? []), newLimit(draft)] })}
          >
            Add an edge to clear
          </Button>
        </Group>
        {error && !conflict && (
          <p role="alert" style={{ color: 'var(--stop)', marginTop: 8 }}>
            {sentenceOf(error)}
          </p>
        )}
        <Group justify="end" mt="md">
          <Button variant="default" onClick={onClose}>
            Not now
          </Button>
          <Button type="submit" loading={save.isPending}>
            Store
          </Button>
        </Group>
      </form>
      {conflict && (
        <ConflictDialog
          conflict={conflict}
          mine={{ ...machine, layouts: (machine.layouts ?? []).map((l, i) => (i === index ? draft : l)) }}
          onKeepMine={() => save.mutate(conflict.current as Machine, { onSuccess: onClose })}
          onTakeTheirs={onClose}
        />
      )}
    </Modal>
  )
}

/** A new kind of mover starts with the way the old one had, on the wheel that kind usually moves. */
function moverOf(kind: string | null, draft: LoopLayout): Mover | null {
  if (kind === null || kind === FIXED) return null
  const chosen = kind as Mover['kind']
  const wheel =
    chosen === 'motor' ? 'front' : chosen === 'tensioner' ? (draft.idlers[0]?.name ?? 'rear') : 'rear'
  const rest = wheel === 'front' ? draft.front : wheel === 'rear' ? draft.rear : draft.idlers[0]?.centre
  const { xMm, yMm } = rest ?? draft.rear
  const track: Track =
    chosen === 'eccentric'
      ? { kind: 'arc', pivot: { xMm, yMm }, radiusMm: 8, startDeg: 90, swingDeg: 180 }
      : draft.mover?.wheel === wheel && draft.mover.track.kind === 'line'
        ? draft.mover.track
        : { kind: 'line', from: { xMm: xMm + 20, yMm }, to: { xMm: xMm - 20, yMm } }
  return { kind: chosen, wheel, track }
}

function newIdler(draft: LoopLayout, fit: Fit): Idler {
  const taken = draft.idlers.map((i) => i.name)
  let name = 'idler'
  for (let i = 2; taken.includes(name); i++) name = `idler ${i}`
  const chain = fit.loop.medium === 'chain'
  return {
    name,
    centre: {
      xMm: Math.round((draft.front.xMm + draft.rear.xMm) / 2),
      yMm: Math.round((draft.front.yMm + draft.rear.yMm) / 2),
    },
    size: chain ? 11 : 40,
    isToothed: chain,
    side: 'back',
    run: 'slack',
  }
}

function PlaceFields({
  label,
  value,
  issue,
  onChange,
}: {
  label: string
  value: Point
  issue: (axis: 'xMm' | 'yMm') => string | undefined
  onChange: (value: Point) => void
}) {
  return (
    <>
      {(['xMm', 'yMm'] as const).map((axis) => (
        <QuantityField
          key={axis}
          label={`${label}, ${axis[0]}`}
          quantity="fine"
          value={value[axis]}
          onChange={(v) => v !== undefined && onChange({ ...value, [axis]: v })}
          error={issue(axis)}
        />
      ))}
    </>
  )
}

function TrackFields({
  track,
  issue,
  onChange,
}: {
  track: Track
  issue: (field: string) => string | undefined
  onChange: (track: Track) => void
}) {
  if (track.kind === 'line')
    return (
      <div className={editor.row}>
        <PlaceFields
          label="Way from"
          value={track.from}
          issue={(axis) => issue(`from.${axis}`)}
          onChange={(from) => onChange({ ...track, from })}
        />
        <PlaceFields
          label="Way to"
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
        value={track.radiusMm}
        onChange={(v) => v !== undefined && onChange({ ...track, radiusMm: v })}
        error={issue('radiusMm')}
      />
      {angle('startDeg', 'Starts at')}
      {angle('swingDeg', 'Swings by')}
    </div>
  )
}

function newLimit(draft: LoopLayout): ClearanceLimit {
  const taken = (draft.limits ?? []).map((l) => l.name)
  let name = 'edge'
  for (let i = 2; taken.includes(name); i++) name = `edge ${i}`
  const xMm = Math.round(draft.front.xMm + 60)
  return {
    name,
    from: { xMm, yMm: draft.front.yMm - 20 },
    to: { xMm, yMm: draft.front.yMm + 20 },
    leastMm: 3,
  }
}

function LimitFields({
  limit,
  issue,
  onChange,
  onRemove,
}: {
  limit: ClearanceLimit
  issue: (field: string) => string | undefined
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
          value={limit.leastMm}
          onChange={(v) => v !== undefined && onChange({ ...limit, leastMm: v })}
          error={issue('leastMm')}
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

function ArmFields({
  arm,
  issue,
  onChange,
  start,
}: {
  arm: SwingArm | null
  issue: (field: string) => string | undefined
  onChange: (arm: SwingArm | null) => void
  start: () => SwingArm
}) {
  const travel = (key: 'droopMm' | 'bumpMm', label: string) =>
    arm && (
      <QuantityField
        label={label}
        quantity="fine"
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
        onChange={(event) => onChange(event.currentTarget.checked ? start() : null)}
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

function IdlerFields({
  idler,
  moves,
  toothed,
  issue,
  onChange,
  onRemove,
}: {
  idler: Idler
  moves: boolean
  toothed: boolean
  issue: (field: string) => string | undefined
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
        <Select
          label="The loop runs"
          data={[
            { value: 'inside', label: 'with its inside on it' },
            { value: 'back', label: 'with its back on it' },
          ]}
          value={idler.side}
          onChange={(side) => onChange({ ...idler, side: side === 'inside' ? side : 'back' })}
          error={issue('side')}
        />
        <Select
          label="Sits on the"
          data={[
            { value: 'slack', label: 'slack run' },
            { value: 'tight', label: 'tight run' },
          ]}
          value={idler.run}
          onChange={(run) => onChange({ ...idler, run: run === 'tight' ? run : 'slack' })}
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
              size: event.currentTarget.checked ? 11 : 40,
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
