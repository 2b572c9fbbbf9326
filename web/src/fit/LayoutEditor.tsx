import { Button, Group, Select } from '@mantine/core'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import { type Adjuster, type LoopLayout, startParts } from '../api/client'
import { askFor } from '../api/evaluation'
import { issueFor, sentenceOf } from '../api/issues'
import { useComputed } from '../api/queries'
import type { Fit } from '../loop/useFit'
import { ADJUSTER_WORDS } from '../machine/adjusters'
import { isToothed } from '../machine/driveElements'
import editor from '../machine/MachineEditor.module.css'
import { freshName } from '../machine/newParts'
import { useMachineSave } from '../machine/useMachineSave'
import type { Workbench } from '../machine/useWorkbench'
import { ChoiceField } from '../quantities/ChoiceField'
import { QuantityField } from '../quantities/QuantityField'
import { Dialog } from '../shell/Dialog'
import { ArmFields, IdlerFields, LimitFields } from './LayoutPartFields'
import { PlaceFields, TrackFields } from './PlaceFields'

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
  const [adjuster, setAdjuster] = useState(fit.loop.setting.adjuster)
  const { machine, fitted } = bench.card
  // One that nobody has said anything of goes on being as usual.
  const setting =
    adjuster === fit.loop.setting.adjuster && draft.moving === layout.moving
      ? undefined
      : { ...fit.loop.setting, adjuster }
  const others = (machine.settings ?? []).filter((s) => s.loopKey !== layout.loopKey)
  const index = (machine.layouts ?? []).findIndex((l) => l.loopKey === layout.loopKey)
  const { store, error, isPending, dialog } = useMachineSave(bench.card, onClose)
  const at = `layouts[${index}]`
  const issue = (field: string) => issueFor(error, `${at}.${field}`)
  const ofAdjuster = (field: string) => issueFor(error, `settings[${others.length}].adjuster.${field}`)
  const moves = draft.moving?.wheel
  // Where a way begins and which way it tightens is the core's to say.
  const start = useMutation({
    mutationFn: ({ kind, wheel = null }: { kind: Adjuster['kind']; wheel?: string | null }) =>
      askFor(bench.subject, 'startingAdjuster', { kind, now: adjuster, layout: draft, wheel }),
    onSuccess: (other) => {
      setAdjuster(other.adjuster)
      setDraft((now) => ({ ...now, moving: other.moving }))
    },
  })
  const { driveElement } = fit.loop
  const parts = useComputed(
    'starting-parts',
    { driveElement, front: draft.front, rear: draft.rear },
    startParts,
  ).data
  return (
    <Dialog
      onClose={onClose}
      title={`Where things stand on ${fit.loop.name}`}
      size={760}
      closeButtonProps={{ 'aria-label': 'Close without storing' }}
    >
      <form
        onSubmit={(event) => {
          event.preventDefault()
          store({
            machine: {
              ...machine,
              layouts: machine.layouts?.map((l, i) => (i === index ? draft : l)) ?? null,
              settings: setting ? [...others, setting] : (machine.settings ?? null),
            },
            fitted: fitted.loops,
            fittedVersion: fitted.version,
          })
        }}
      >
        <p className="cap">
          Seen from one side: x to the right, y up. Most people put the front wheel at 0 · 0.
        </p>
        <div className={editor.row}>
          <ChoiceField
            label="Going forward it runs"
            words={{ clockwise: 'clockwise', counterclockwise: 'counterclockwise' }}
            value={draft.turning}
            onChange={(turning) => setDraft({ ...draft, turning })}
          />
          <ChoiceField
            label="Tensioned by"
            words={ADJUSTER_WORDS}
            value={adjuster.kind}
            onChange={(kind) => start.mutate({ kind })}
            error={start.error ? sentenceOf(start.error) : ofAdjuster('kind')}
          />
          {draft.moving && (
            <Select
              label="Wheel that moves"
              data={['front', 'rear', ...draft.idlers.map((i) => i.name)]}
              allowDeselect={false}
              value={draft.moving.wheel}
              onChange={(wheel) => wheel && start.mutate({ kind: adjuster.kind, wheel })}
              error={issue('moving.wheel')}
            />
          )}
          {adjuster.isCounted && (
            <QuantityField
              label={adjuster.turns ? 'Thread pitch' : 'One moves it by'}
              quantity="fine"
              value={adjuster.mmPerUnit ?? undefined}
              onChange={(value) => setAdjuster({ ...adjuster, mmPerUnit: value ?? null })}
              error={ofAdjuster('mmPerUnit')}
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
        {draft.moving && (
          <TrackFields
            track={draft.moving.track}
            issue={(field) => issue(`moving.track.${field}`)}
            onChange={(track) => draft.moving && setDraft({ ...draft, moving: { ...draft.moving, track } })}
          />
        )}
        {draft.idlers.map((idler, i) => (
          <IdlerFields
            // biome-ignore lint/suspicious/noArrayIndexKey: idlers are in running order; their names are typed by hand
            key={i}
            idler={idler}
            moves={moves === idler.name}
            toothed={isToothed(fit.loop.driveElement)}
            parts={parts}
            issue={(field) => issue(`idlers[${i}].${field}`)}
            onChange={(next) =>
              setDraft({
                ...draft,
                idlers: draft.idlers.map((o, k) => (k === i ? next : o)),
                moving:
                  draft.moving && moves === idler.name ? { ...draft.moving, wheel: next.name } : draft.moving,
              })
            }
            onRemove={() => {
              setDraft({ ...draft, idlers: draft.idlers.filter((_, k) => k !== i) })
              if (moves === idler.name) start.mutate({ kind: 'fixedCentres' })
            }}
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
          start={parts?.arm}
        />
        <Group mt="sm">
          <Button
            size="compact-sm"
            variant="default"
            disabled={!parts}
            onClick={() => parts && setDraft({ ...draft, idlers: withFresh(draft.idlers, parts.idler) })}
          >
            Add an idler or a tensioner
          </Button>
          <Button
            size="compact-sm"
            variant="default"
            disabled={!parts}
            onClick={() => parts && setDraft({ ...draft, limits: withFresh(draft.limits ?? [], parts.edge) })}
          >
            Add an edge to clear
          </Button>
        </Group>
        {error && !dialog && (
          <p role="alert" style={{ color: 'var(--stop)', marginTop: 8 }}>
            {sentenceOf(error)}
          </p>
        )}
        <Group justify="end" mt="md">
          <Button variant="default" onClick={onClose}>
            Not now
          </Button>
          <Button type="submit" loading={isPending}>
            Store
          </Button>
        </Group>
      </form>
      {dialog}
    </Dialog>
  )
}

/** One more, by a name that none of them has. */
const withFresh = <T extends { name: string }>(all: T[], part: T): T[] => [
  ...all,
  {
    ...part,
    name: freshName(
      all.map((p) => p.name),
      part.name,
    ),
  },
]
