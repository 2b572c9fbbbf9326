import { Button, Group, SegmentedControl, Select, TextInput } from '@mantine/core'
import { useState } from 'react'
import type { Aim, AimOutcome, Conditions } from '../api/client'
import { isToothed } from '../machine/driveElements'
import type { Workbench } from '../machine/useWorkbench'
import { pairText } from '../machine/words'
import { DayField } from '../quantities/DayField'
import { dayText, today } from '../quantities/days'
import { Panel } from '../shell/Panel'
import { ConditionFields } from './ConditionFields'
import { Score } from './NearestAims'
import classes from './Outcomes.module.css'

interface Props {
  bench: Workbench
  aim: Aim
  onChange: (outcomes: AimOutcome[]) => void
}

/** Which setups were tried against the aim, under which conditions, and how it went. */
export function Outcomes({ bench, aim, onChange }: Props) {
  const [isAdding, setAdding] = useState(false)
  const newestFirst = [...aim.outcomes].sort((a, b) => b.on.localeCompare(a.on))
  return (
    <Panel
      title="Tried against this aim"
      aside={
        <Button size="compact-sm" variant="default" onClick={() => setAdding(!isAdding)} data-no-print>
          {isAdding ? 'Not now' : 'Note a try'}
        </Button>
      }
    >
      {isAdding && (
        <OutcomeForm
          bench={bench}
          start={aim.conditions}
          onAdd={(outcome) => {
            onChange([...aim.outcomes, outcome])
            setAdding(false)
          }}
        />
      )}
      {newestFirst.map((outcome) => (
        <OutcomeLine
          key={outcome.on + outcome.setupId + outcome.score + outcome.note}
          bench={bench}
          outcome={outcome}
          onRemove={() => onChange(aim.outcomes.filter((o) => o !== outcome))}
        />
      ))}
      {aim.outcomes.length === 0 && !isAdding && (
        <p className="cap">Nothing yet. After a ride, note which setup it was and how it went.</p>
      )}
    </Panel>
  )
}

function OutcomeLine({
  bench,
  outcome,
  onRemove,
}: {
  bench: Workbench
  outcome: AimOutcome
  onRemove: () => void
}) {
  const loop = bench.loops.at(-1)
  const wheels = outcome.loops.find((l) => l.loopKey === loop?.loopKey)
  const { surface, weather, load } = outcome.conditions
  return (
    <div className={classes.outcome}>
      <p className={classes.line}>
        <span>
          <b>{outcome.setupName}</b>{' '}
          {loop && wheels && (
            <span className="num">
              {pairText(wheels.frontSize, wheels.rearSize, isToothed(loop.driveElement))}
            </span>
          )}
        </span>
        <Score score={outcome.score} />
      </p>
      <p className={classes.line}>
        <span className="cap">
          {[dayText(outcome.on), surface, weather, load].filter(Boolean).join(' · ')}
          {outcome.note && <> · “{outcome.note}”</>}
        </span>
        <button
          type="button"
          className={classes.remove}
          onClick={onRemove}
          aria-label={`Remove the try of ${outcome.on} with ${outcome.setupName}`}
          data-no-print
        >
          ×
        </button>
      </p>
    </div>
  )
}

function OutcomeForm({
  bench,
  start,
  onAdd,
}: {
  bench: Workbench
  start: Conditions
  onAdd: (o: AimOutcome) => void
}) {
  const [setupId, setSetupId] = useState(String((bench.shown.setup ?? bench.card.fitted).id))
  const [on, setOn] = useState(() => today())
  const [conditions, setConditions] = useState(start)
  const [score, setScore] = useState('3')
  const [note, setNote] = useState('')
  const setup = bench.setups.find((s) => String(s.id) === setupId) ?? bench.card.fitted
  return (
    <form
      className={classes.form}
      onSubmit={(event) => {
        event.preventDefault()
        onAdd({
          on,
          setupId: setup.id,
          setupName: setup.name,
          loops: setup.loops,
          conditions,
          score: Number(score),
          note: note || null,
        })
      }}
    >
      <Group grow gap="sm">
        <Select
          label="Setup"
          data={bench.setups.map((s) => ({ value: String(s.id), label: s.name }))}
          value={setupId}
          onChange={(value) => value && setSetupId(value)}
        />
        <DayField label="Day" isNeeded value={on} onChange={setOn} />
      </Group>
      <ConditionFields conditions={conditions} onChange={setConditions} />
      <div className={classes.line}>
        <span id="score-label">How it went, 5 is just right</span>
        <SegmentedControl
          size="xs"
          aria-labelledby="score-label"
          value={score}
          onChange={setScore}
          data={['1', '2', '3', '4', '5']}
        />
      </div>
      <TextInput
        label="Note"
        maxLength={200}
        value={note}
        onChange={(event) => setNote(event.currentTarget.value)}
      />
      <Group justify="end" mt="sm">
        <Button size="compact-md" type="submit">
          Keep
        </Button>
      </Group>
    </form>
  )
}
