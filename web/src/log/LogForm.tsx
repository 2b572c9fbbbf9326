import { Button, Checkbox, TextInput } from '@mantine/core'
import { useState } from 'react'
import { issueFor } from '../api/issues'
import { addToLog, type LogKind } from '../api/log'
import { useChange } from '../api/queries'
import { ChoiceField } from '../quantities/ChoiceField'
import { DayField } from '../quantities/DayField'
import { today } from '../quantities/days'
import { QuantityField } from '../quantities/QuantityField'
import fieldRows from '../shell/fields.module.css'
import { Panel } from '../shell/Panel'
import { Refused } from '../shell/Refused'
import { ConditionFields } from './ConditionFields'
import { type Draft, FIELDS, lineOf, NEW } from './logDraft'
import { KIND_WORDS, START_WORDS, TOLD_WORDS } from './logWords'

/** One line for the log: what it is, when, and what it says. */
export function LogForm({
  machineId,
  setups,
  kinds,
}: {
  machineId: number
  /** That were on the machine, by number. */
  setups: Record<string, string>
  /** That are offered, the usual one first. */
  kinds: LogKind[]
}) {
  const [kind, setKind] = useState<LogKind>(kinds[0] ?? 'odometerRead')
  const [draft, setDraft] = useState<Draft>({ ...NEW, on: today() })
  const add = useChange(addToLog)
  const set = (change: Partial<Draft>) => setDraft({ ...draft, ...change })
  const errorOf = (field: string) => issueFor(add.error, `lines[0].${field}`)
  const has = (field: keyof Draft) => FIELDS[kind].includes(field)
  return (
    <Panel title="Write it down" note="what was filled, paid, timed, heard" isEmpty>
      <form
        data-no-print
        onSubmit={(event) => {
          event.preventDefault()
          add.mutate(
            { machineId, lines: [lineOf(kind, draft)] },
            // Who, load, route and the like stay for the next one.
            { onSuccess: () => setDraft({ ...NEW, on: draft.on, under: draft.under }) },
          )
        }}
      >
        <div className={fieldRows.fields}>
          <ChoiceField
            size="sm"
            label="What"
            words={Object.fromEntries(kinds.map((k) => [k, KIND_WORDS[k]]))}
            value={kind}
            onChange={(chosen) => setKind(chosen as LogKind)}
          />
          <DayField size="sm" label="Day" isNeeded value={draft.on} onChange={(on) => set({ on })} />
          <QuantityField
            size="sm"
            label="Odometer"
            quantity="distance"
            value={draft.odometerKm}
            onChange={(odometerKm) => set({ odometerKm })}
            error={errorOf('odometerKm')}
          />
        </div>
        <div className={fieldRows.fields}>
          {has('litres') && (
            <QuantityField
              size="sm"
              label="Filled in"
              unit="L"
              value={draft.litres}
              onChange={(litres) => set({ litres })}
              error={errorOf('litres')}
            />
          )}
          {has('energyWh') && (
            <QuantityField
              size="sm"
              label="Out of the plug"
              unit="Wh"
              value={draft.energyWh}
              onChange={(energyWh) => set({ energyWh })}
              error={errorOf('energyWh')}
            />
          )}
          {has('db') && (
            <>
              <QuantityField
                size="sm"
                label="Level"
                unit="dB"
                value={draft.db}
                onChange={(db) => set({ db })}
                error={errorOf('db')}
              />
              <QuantityField
                size="sm"
                label="At a distance of"
                unit="m"
                value={draft.distanceM}
                onChange={(distanceM) => set({ distanceM })}
                error={errorOf('distanceM')}
              />
              <TextInput
                size="sm"
                label="Read how"
                placeholder="the same words each time"
                value={draft.method}
                onChange={(e) => set({ method: e.currentTarget.value })}
                error={errorOf('method')}
              />
            </>
          )}
          {has('seconds') && (
            <>
              <QuantityField
                size="sm"
                label="Time"
                unit="s"
                value={draft.seconds}
                onChange={(seconds) => set({ seconds })}
                error={errorOf('seconds')}
              />
              <QuantityField
                size="sm"
                label="From"
                quantity="speed"
                value={draft.fromKmh}
                onChange={(fromKmh) => set({ fromKmh })}
                error={errorOf('fromKmh')}
              />
              <QuantityField
                size="sm"
                label="To"
                quantity="speed"
                value={draft.toKmh}
                onChange={(toKmh) => set({ toKmh })}
                error={errorOf('toKmh')}
              />
              <QuantityField
                size="sm"
                label="In gear"
                isCount
                value={draft.gear}
                onChange={(gear) => set({ gear })}
                error={errorOf('gear')}
              />
              <ChoiceField
                size="sm"
                label="Begun"
                words={START_WORDS}
                value={draft.start}
                onChange={(start) => set({ start })}
                error={errorOf('start')}
              />
            </>
          )}
          {has('what') && (
            <TextInput
              size="sm"
              label="What was it"
              value={draft.what}
              onChange={(e) => set({ what: e.currentTarget.value })}
              error={errorOf('what')}
            />
          )}
          {has('minutes') && (
            <QuantityField
              size="sm"
              label="Working time"
              unit="min"
              value={draft.minutes}
              onChange={(minutes) => set({ minutes })}
              error={errorOf('minutes')}
            />
          )}
          {has('cost') && (
            <QuantityField
              size="sm"
              label="Paid"
              value={draft.cost}
              onChange={(cost) => set({ cost })}
              error={errorOf('cost')}
            />
          )}
          {has('expectedKm') && (
            <QuantityField
              size="sm"
              label="Expected to last"
              quantity="distance"
              value={draft.expectedKm}
              onChange={(expectedKm) => set({ expectedKm })}
              error={errorOf('expectedKm')}
            />
          )}
          {has('score') && (
            <QuantityField
              size="sm"
              label="Of 5"
              isCount
              value={draft.score}
              onChange={(score) => set({ score })}
              error={errorOf('score')}
            />
          )}
          {has('value') && (
            <>
              <QuantityField
                size="sm"
                label="Told"
                value={draft.value}
                onChange={(value) => set({ value })}
                error={errorOf('value')}
              />
              <ChoiceField
                size="sm"
                label="In"
                words={TOLD_WORDS}
                value={draft.of}
                onChange={(of) => set({ of })}
                error={errorOf('of')}
              />
              <TextInput
                size="sm"
                label="Who told it"
                value={draft.whose}
                onChange={(e) => set({ whose: e.currentTarget.value })}
                error={errorOf('whose')}
              />
            </>
          )}
        </div>
        {has('isFull') && (
          <>
            <Checkbox
              size="sm"
              label={kind === 'charged' ? 'until the charger ended: full' : 'full, as always'}
              checked={draft.isFull}
              onChange={(e) => set({ isFull: e.currentTarget.checked })}
            />
            <Checkbox
              size="sm"
              mt={4}
              label="one before it was not written down"
              checked={draft.isOneMissing}
              onChange={(e) => set({ isOneMissing: e.currentTarget.checked })}
            />
          </>
        )}
        <ConditionFields
          isRun={kind === 'runTimed' || kind === 'noiseRead'}
          under={draft.under}
          onChange={(under) => set({ under })}
          errorOf={(field) => errorOf(`under.${field}`)}
          setups={setups}
          setupId={draft.setupId}
          onSetup={(setupId) => set({ setupId })}
        />
        <TextInput
          size="sm"
          mt="xs"
          label="In words"
          value={draft.words}
          onChange={(e) => set({ words: e.currentTarget.value })}
          error={errorOf('words')}
        />
        <Button type="submit" mt="sm" loading={add.isPending} disabled={draft.on === ''}>
          Write it down
        </Button>
        <Refused error={add.error} fields={SHOWN.map((f) => `lines[0].${f}`)} />
      </form>
    </Panel>
  )
}

const SHOWN = [
  'odometerKm',
  'words',
  'litres',
  'energyWh',
  'db',
  'distanceM',
  'method',
  'seconds',
  'fromKmh',
  'toKmh',
  'gear',
  'start',
  'what',
  'minutes',
  'cost',
  'expectedKm',
  'score',
  'value',
  'of',
  'whose',
  ...['who', 'loadKg', 'route', 'weather', 'windKmh', 'slopePercent', 'surface'].map((f) => `under.${f}`),
]
