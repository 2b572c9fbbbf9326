import { Button, Checkbox, Group } from '@mantine/core'
import { useState } from 'react'
import type { ShaftWidths, SprocketOnShaft } from '../api/client'
import { issueFor, sentenceOf } from '../api/issues'
import editor from '../machine/MachineEditor.module.css'
import { useMachineSave } from '../machine/useMachineSave'
import type { Workbench } from '../machine/useWorkbench'
import { QuantityField } from '../quantities/QuantityField'
import { Dialog } from '../shell/Dialog'
import { ReasonedButton } from '../shell/ReasonedButton'

type Draft<T> = { [K in keyof T]: T[K] | undefined }
type SprocketDraft = Draft<SprocketOnShaft>
type ShaftDraft = Omit<Draft<ShaftWidths>, 'sprockets'> & { sprockets: SprocketDraft[] }

/** Entry of the widths along one shaft. */
export default function ShaftEditor({
  bench,
  shaft,
  onClose,
}: {
  bench: Workbench
  shaft: string
  onClose: () => void
}) {
  const { machine, fitted } = bench.card
  const { drive } = bench
  const all = machine.shafts ?? []
  const at = all.findIndex((s) => s.driveKey === drive.key && s.shaft === shaft)
  const index = at < 0 ? all.length : at
  const [draft, setDraft] = useState<ShaftDraft>(() => all[at] ?? blank(bench, shaft))
  const { store, error, isPending, dialog } = useMachineSave(bench.card, onClose)
  const issue = (field: string) => issueFor(error, `shafts[${index}].${field}`)
  const nameOf = (key: string | undefined) => drive.stages.find((s) => s.key === key)?.name ?? key
  const whole = isWhole(draft) ? draft : undefined
  const save = (shafts: ShaftWidths[]) =>
    store({ machine: { ...machine, shafts }, fitted: fitted.loops, fittedVersion: fitted.version })
  const field = (label: string, key: 'lengthMm' | 'diameterMm' | 'leftMm') => (
    <QuantityField
      label={label}
      quantity="fine"
      required
      withAsterisk={false}
      value={draft[key]}
      onChange={(v) => setDraft({ ...draft, [key]: v })}
      error={issue(key)}
    />
  )
  return (
    <Dialog
      onClose={onClose}
      title={`Widths along the ${shaft}`}
      size={720}
      closeButtonProps={{ 'aria-label': 'Close without storing' }}
    >
      <form
        onSubmit={(event) => {
          event.preventDefault()
          if (whole) save(at < 0 ? [...all, whole] : all.map((s, i) => (i === at ? whole : s)))
        }}
      >
        <p className="cap" style={{ marginBottom: 10 }}>
          Measured from the left shoulder, seen with the machine facing away from you.
        </p>
        <div className={editor.row}>
          {field('Usable length', 'lengthMm')}
          {field('Diameter', 'diameterMm')}
          {field('Left shoulder across the machine', 'leftMm')}
        </div>
        {draft.sprockets.map((sprocket, i) => {
          const set = (part: Partial<SprocketDraft>) =>
            setDraft({
              ...draft,
              sprockets: draft.sprockets.map((s, k) => (k === i ? { ...s, ...part } : s)),
            })
          const part = (label: string, key: 'hubWidthMm' | 'planeMm' | 'lineMm') => (
            <QuantityField
              label={label}
              quantity="fine"
              required
              withAsterisk={false}
              value={sprocket[key]}
              onChange={(v) => set({ [key]: v })}
              error={issue(`sprockets[${i}].${key}`)}
            />
          )
          return (
            <fieldset key={`${sprocket.loopKey} ${sprocket.side}`} className={editor.part}>
              <legend>
                {sprocket.side} wheel of {nameOf(sprocket.loopKey)}
              </legend>
              <div className={editor.row}>
                {part('Hub width', 'hubWidthMm')}
                {part('Left face to teeth or groove', 'planeMm')}
                {part('Its row, from the shoulder', 'lineMm')}
              </div>
              <Group justify="space-between" mt={6}>
                <Checkbox
                  size="xs"
                  label="may be put on the other way round"
                  checked={sprocket.canBeTurned ?? false}
                  onChange={(e) => set({ canBeTurned: e.currentTarget.checked })}
                />
                {draft.sprockets.length > 1 && (
                  <Group gap={4}>
                    {i > 0 && (
                      <Button
                        size="compact-xs"
                        variant="subtle"
                        color="gray"
                        onClick={() => setDraft({ ...draft, sprockets: swapped(draft.sprockets, i) })}
                      >
                        Further left
                      </Button>
                    )}
                    <Button
                      size="compact-xs"
                      variant="subtle"
                      color="gray"
                      onClick={() =>
                        setDraft({ ...draft, sprockets: draft.sprockets.filter((_, k) => k !== i) })
                      }
                    >
                      Leave out
                    </Button>
                  </Group>
                )}
              </Group>
              {(issue(`sprockets[${i}].loopKey`) || issue(`sprockets[${i}].side`)) && (
                <p role="alert" style={{ color: 'var(--stop)' }}>
                  {issue(`sprockets[${i}].loopKey`) ?? issue(`sprockets[${i}].side`)}
                </p>
              )}
            </fieldset>
          )
        })}
        {blank(bench, shaft)
          .sprockets.filter((w) => !draft.sprockets.some((s) => s.loopKey === w.loopKey && s.side === w.side))
          .map((wheel) => (
            <Button
              key={`${wheel.loopKey} ${wheel.side}`}
              mt="sm"
              size="compact-sm"
              variant="default"
              onClick={() => setDraft({ ...draft, sprockets: [...draft.sprockets, wheel] })}
            >
              Add the {wheel.side} wheel of {nameOf(wheel.loopKey)}
            </Button>
          ))}
        {error && !dialog && (
          <p role="alert" style={{ color: 'var(--stop)', marginTop: 8 }}>
            {sentenceOf(error)}
          </p>
        )}
        <Group justify="space-between" mt="md">
          {at >= 0 ? (
            <Button variant="subtle" color="gray" onClick={() => save(all.filter((_, i) => i !== at))}>
              Forget these widths
            </Button>
          ) : (
            <span />
          )}
          <Group>
            <Button variant="default" onClick={onClose}>
              Not now
            </Button>
            <ReasonedButton
              type="submit"
              loading={isPending}
              why={whole ? null : 'Fill in every width first.'}
            >
              Store
            </ReasonedButton>
          </Group>
        </Group>
      </form>
      {dialog}
    </Dialog>
  )
}

/** Every wheel that the drive has on this shaft, with nothing measured yet. */
function blank(bench: Workbench, shaft: string): ShaftDraft {
  const sprockets: SprocketDraft[] = []
  for (const stage of bench.drive.stages) {
    if (stage.kind !== 'loop') continue
    const unmeasured = { hubWidthMm: undefined, planeMm: undefined, lineMm: undefined, canBeTurned: false }
    if (stage.drivingShaft === shaft) sprockets.push({ loopKey: stage.key, side: 'front', ...unmeasured })
    if (stage.drivenShaft === shaft) sprockets.push({ loopKey: stage.key, side: 'rear', ...unmeasured })
  }
  return {
    driveKey: bench.drive.key,
    shaft,
    leftMm: undefined,
    lengthMm: undefined,
    diameterMm: undefined,
    sprockets,
  }
}

const isWhole = (draft: ShaftDraft): draft is ShaftWidths =>
  [draft, ...draft.sprockets].every((part) => Object.values(part).every((value) => value !== undefined))

function swapped(sprockets: SprocketDraft[], i: number): SprocketDraft[] {
  const next = [...sprockets]
  const [a, b] = [next[i - 1], next[i]]
  if (a && b) {
    next[i - 1] = b
    next[i] = a
  }
  return next
}
