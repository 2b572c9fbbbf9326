import { Button, TextInput } from '@mantine/core'
import { lazy, type ReactNode, Suspense, useState } from 'react'
import { Link } from 'react-router'
import type { LoopChoice, Machine } from '../api/client'
import { useEvaluation } from '../api/evaluation'
import type { MachineGuess } from '../api/guesses'
import { SUSPENSION_WORDS } from '../loop/suspension'
import { STATION_WORDS } from '../machine/followUpWords'
import { GUESS_WORDS, LIFTS_WORDS } from '../machine/guessWords'
import { useMachineSave } from '../machine/useMachineSave'
import type { Workbench } from '../machine/useWorkbench'
import { ChoiceField } from '../quantities/ChoiceField'
import { plain } from '../quantities/format'
import { QuantityField } from '../quantities/QuantityField'
import type { Quantity } from '../quantities/units'
import { useUnits } from '../quantities/units'
import { Guessed } from '../shell/Guessed'
import { Panel } from '../shell/Panel'
import { Refused } from '../shell/Refused'
import classes from './GuessPanel.module.css'

const MachineEditor = lazy(() => import('../machine/MachineEditor'))

/** What of this machine nobody measured or typed, what hangs on it, and a field to say it; what it changes most stands first. */
export function GuessPanel({ bench }: { bench: Workbench }) {
  const { data } = useEvaluation(bench.asFitted, 'guesses', {})
  const [isEditing, setEditing] = useState(false)
  if (!data || data.length === 0) return null
  return (
    <Panel title="Still to measure" note={`${data.length} of this machine`}>
      <ul className={classes.list}>
        {data.map((guess) => (
          <Row
            key={`${guess.kind} ${bench.card.machine.version}`}
            bench={bench}
            guess={guess}
            onEdit={() => setEditing(true)}
          />
        ))}
      </ul>
      {isEditing && (
        <Suspense>
          <MachineEditor card={bench.card} onClose={() => setEditing(false)} />
        </Suspense>
      )}
    </Panel>
  )
}

type Change = { machine?: Partial<Machine>; fitted?: LoopChoice[] }

function Row({ bench, guess, onEdit }: { bench: Workbench; guess: MachineGuess; onEdit: () => void }) {
  const units = useUnits()
  const { machine, fitted } = bench.card
  const save = useMachineSave(bench.card, () => {})
  const store = ({ machine: part, fitted: loops }: Change) =>
    save.store({
      machine: { ...machine, ...part },
      fitted: loops ?? fitted.loops,
      fittedVersion: fitted.version,
    })
  const said = { said: [...(machine.said ?? []).filter((k) => k !== null), guess.kind] }
  const name = GUESS_WORDS[guess.kind]
  return (
    <li className={classes.row}>
      <span>
        <b>{name}</b>{' '}
        {guess.state === 'assumed' ? (
          <Guessed>{standsIn(guess, units)}</Guessed>
        ) : (
          <Guessed word="not said" />
        )}
        <span className={classes.bears}>{bearsText(guess)}</span>
      </span>
      <span className={classes.field} data-no-print>
        <Field bench={bench} guess={guess} store={store} onEdit={onEdit} />
        {guess.state === 'assumed' && (
          <Button
            size="compact-sm"
            variant="default"
            aria-label={`${name}: it is so`}
            loading={save.isPending}
            onClick={() => store({ machine: said })}
          >
            It is so
          </Button>
        )}
      </span>
      <Refused error={save.error} />
      {save.dialog}
    </li>
  )
}

/** Where it is typed: a field of its own, or the page on which it is told. */
function Field({
  bench,
  guess: { kind },
  store,
  onEdit,
}: {
  bench: Workbench
  guess: MachineGuess
  store: (change: Change) => void
  onEdit: () => void
}): ReactNode {
  const { machine, fitted, summary } = bench.card
  const loop = bench.loops.at(-1)
  const name = GUESS_WORDS[kind]
  const said = { said: [...(machine.said ?? []).filter((k) => k !== null), kind] }
  const strengths = machine.loads?.strengths ?? []
  const sources = machine.loads?.sources ?? []
  const source = (part: object) =>
    store({
      machine: {
        loads: {
          ...(machine.loads ?? { alternatives: null, joints: null }),
          strengths,
          sources: [
            ...sources.filter((s) => s?.driveKey !== bench.drive.key),
            {
              ...sources.find((s) => s?.driveKey === bench.drive.key),
              driveKey: bench.drive.key,
              ...part,
            },
          ],
        } as Machine['loads'],
      },
    })
  const wheels = (part: Partial<LoopChoice>) =>
    store({
      machine: said,
      fitted: fitted.loops.map((c) => (c.loopKey === loop?.loopKey ? { ...c, ...part } : c)),
    })
  switch (kind) {
    case 'tyre':
      return <TyreField bench={bench} store={store} said={said} />
    case 'mass':
      return <NumberField name={name} quantity="mass" onSay={(massKg) => source({ massKg })} />
    case 'pull':
      return <NumberField name={name} quantity="torque" onSay={(peakTorqueNm) => source({ peakTorqueNm })} />
    case 'front':
      return (
        <NumberField name={name} unit={loop && sizeOf(loop)} onSay={(frontSize) => wheels({ frontSize })} />
      )
    case 'rear':
      return (
        <NumberField name={name} unit={loop && sizeOf(loop)} onSay={(rearSize) => wheels({ rearSize })} />
      )
    case 'length':
      return loop?.links === null ? (
        <NumberField name={name} quantity="fine" onSay={(lengthMm) => wheels({ lengthMm })} />
      ) : (
        <NumberField
          name={name}
          unit={loop?.driveElement === 'chain' ? 'links' : 'teeth'}
          onSay={(links) => wheels({ links })}
        />
      )
    case 'beltWidth':
      return (
        <NumberField
          name={name}
          quantity="fine"
          onSay={(widthMm) =>
            loop &&
            store({
              machine: {
                loads: {
                  ...(machine.loads ?? { alternatives: null, joints: null }),
                  sources,
                  strengths: [
                    ...strengths.filter((s) => s?.loopKey !== loop.loopKey),
                    {
                      strands: 1,
                      extraHalfTurns: 0,
                      ...strengths.find((s) => s?.loopKey === loop.loopKey),
                      loopKey: loop.loopKey,
                      widthMm,
                    },
                  ],
                } as Machine['loads'],
              },
            })
          }
        />
      )
    case 'suspension': {
      const setting = summary.loops.find((l) => l.loopKey === loop?.loopKey)?.setting
      return (
        setting && (
          <ChoiceField
            size="xs"
            aria-label={name}
            none="not said"
            words={SUSPENSION_WORDS}
            value={setting.suspension}
            onChange={(suspension) =>
              store({
                machine: {
                  settings: [
                    ...(machine.settings ?? []).filter((s) => s?.loopKey !== setting.loopKey),
                    { ...setting, suspension },
                  ],
                },
              })
            }
          />
        )
      )
    }
    case 'lifts':
      return (
        <ChoiceField
          size="xs"
          aria-label={name}
          none="not said"
          words={LIFTS_WORDS}
          value={null}
          onChange={(lifts) => lifts && source({ liftsOrFlies: lifts === 'yes' })}
        />
      )
    case 'centre':
      return (
        <Button
          component={Link}
          size="compact-sm"
          variant="default"
          to={{ pathname: `/machines/${machine.id}/fit`, search: loop ? `?loops=${loop.loopKey}` : '' }}
        >
          Measure it at Fit
        </Button>
      )
    default:
      return (
        <Button size="compact-sm" variant="default" aria-label={`${name}: say them`} onClick={onEdit}>
          Say them
        </Button>
      )
  }
}

/** A number that is stored with its own press: half of one is none. */
function NumberField({
  name,
  onSay,
  ...shown
}: {
  name: string
  onSay: (value: number) => void
  quantity?: Quantity
  unit?: string
}) {
  const [value, setValue] = useState<number>()
  return (
    <form
      className={classes.field}
      onSubmit={(event) => {
        event.preventDefault()
        if (value !== undefined) onSay(value)
      }}
    >
      <QuantityField size="xs" w={104} aria-label={name} {...shown} value={value} onChange={setValue} />
      <Button
        type="submit"
        size="compact-sm"
        variant="default"
        aria-label={`${name}: put it in`}
        disabled={value === undefined}
      >
        Put it in
      </Button>
    </form>
  )
}

/** What stands on its side, or how far it rolls in one turn. */
function TyreField({
  bench,
  store,
  said,
}: {
  bench: Workbench
  store: (change: Change) => void
  said: Partial<Machine>
}) {
  const [size, setSize] = useState('')
  const { machine } = bench.card
  return (
    <form
      className={classes.field}
      onSubmit={(event) => {
        event.preventDefault()
        if (size.trim() === '') return
        store({
          machine: {
            ...said,
            drives: machine.drives.map((d) =>
              d.key === bench.drive.key
                ? {
                    ...d,
                    outputs: d.outputs.map((o, i) =>
                      i === 0 ? { ...o, roadWheel: { size: size.trim(), rollOutMm: null } } : o,
                    ),
                  }
                : d,
            ),
          },
        })
      }}
    >
      <TextInput
        size="xs"
        w={104}
        aria-label={GUESS_WORDS.tyre}
        placeholder="on its side"
        value={size}
        onChange={(event) => setSize(event.currentTarget.value)}
      />
      <Button
        type="submit"
        size="compact-sm"
        variant="default"
        aria-label="tyre: put it in"
        disabled={size.trim() === ''}
      >
        Put it in
      </Button>
    </form>
  )
}

const sizeOf = (loop: Workbench['loops'][number]) => (loop.links === null ? 'mm' : 'teeth')

const standsIn = (guess: MachineGuess, units: ReturnType<typeof useUnits>): string =>
  guess.text ??
  (guess.value === null
    ? ''
    : guess.unit === 'kg'
      ? units.show('mass', guess.value)
      : guess.unit === 'mm'
        ? units.show('fine', guess.value)
        : `${plain(guess.value)}\u00a0${guess.unit}`)

/** “Ratio by up to 3 %”, “no figure at Fit without it”. */
function bearsText({ bears }: MachineGuess): string {
  const words = (which: typeof bears) => which.map((b) => STATION_WORDS[b.station]).join(' and ')
  const without = bears.filter((b) => b.percent === null && !b.isOfVerdict)
  const unsure = bears.filter((b) => b.isOfVerdict)
  const moved = bears.filter((b) => b.percent !== null)
  return [
    without.length > 0 && `nothing at ${words(without)} without it`,
    unsure.length > 0 && `no verdict at ${words(unsure)} to rely on without it`,
    moved.length > 0 &&
      `moves ${moved.map((b) => `${STATION_WORDS[b.station]} by up to ${plain(Number((b.percent ?? 0).toPrecision(2)))} %`).join(', ')}`,
  ]
    .filter(Boolean)
    .join('; ')
}
