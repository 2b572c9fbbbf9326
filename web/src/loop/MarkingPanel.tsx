import { SegmentedControl, Select, TextInput } from '@mantine/core'
import { useState } from 'react'
import { issueFor } from '../api/issues'
import {
  findMeasured,
  type MarkedThing,
  type MarkingFound,
  type MarkingInYard,
  type MeasuredMarking,
  readMarking,
} from '../api/markings'
import { type Computed, useComputed } from '../api/queries'
import { choicesOf } from '../quantities/choices'
import { plain } from '../quantities/format'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import fields from '../shell/fields.module.css'
import { LabelledValue } from '../shell/LabelledValue'
import { Outdated } from '../shell/Outdated'
import { Panel } from '../shell/Panel'
import { Refused } from '../shell/Refused'

const ON_WORDS: Record<MarkedThing, string> = {
  chain: 'a chain',
  belt: 'a belt',
  wheel: 'a sprocket or pulley',
  tyre: 'a tyre',
}
const ANY = 'any'

/** What a marking is, what else it could be, and what it goes with in this yard; without one, by measure. */
export function MarkingPanel() {
  const [way, setWay] = useState('read')
  return (
    <Panel title="What is that?" isEmpty>
      <SegmentedControl
        size="xs"
        mb="xs"
        display="flex"
        aria-label="By what it is told"
        value={way}
        onChange={setWay}
        data={[
          { value: 'read', label: 'by its marking' },
          { value: 'measured', label: 'by measure' },
        ]}
      />
      {way === 'read' ? <ByMarking /> : <ByMeasure />}
    </Panel>
  )
}

function ByMarking() {
  const [text, setText] = useState('')
  const [on, setOn] = useState<MarkedThing | null>(null)
  const answer = useComputed('marking', text.trim() ? { text, on } : undefined, readMarking)
  return (
    <>
      <TextInput
        size="sm"
        label="As it is stamped or moulded"
        placeholder="428H x 132, 08B-2, 1240-8M-30, 15T …"
        value={text}
        onChange={(event) => setText(event.currentTarget.value)}
        error={issueFor(answer.error, 'text')}
      />
      <Select
        size="sm"
        mt={6}
        label="It stands on"
        allowDeselect={false}
        value={on ?? ANY}
        onChange={(value) => setOn(value === ANY ? null : (value as MarkedThing))}
        data={[{ value: ANY, label: 'I don’t know' }, ...choicesOf(ON_WORDS)]}
      />
      <Refused error={answer.error} fields={['text']} />
      <Told answer={answer} of={`“${answer.of?.text ?? ''}”`} />
    </>
  )
}

function ByMeasure() {
  const [on, setOn] = useState<'chain' | 'belt'>('chain')
  const [overTenMm, setOver] = useState<number>()
  const [innerWidthMm, setWidth] = useState<number>()
  const [rollerMm, setRoller] = useState<number>()
  const [form, setForm] = useState<NonNullable<MeasuredMarking['form']> | 'unknown'>('unknown')
  const isChain = on === 'chain'
  const answer = useComputed(
    'measured-marking',
    overTenMm === undefined
      ? undefined
      : {
          on,
          overTenMm,
          innerWidthMm: isChain ? (innerWidthMm ?? null) : null,
          rollerMm: isChain ? (rollerMm ?? null) : null,
          form: isChain || form === 'unknown' ? null : form,
        },
    findMeasured,
  )
  const error = (field: string) => issueFor(answer.error, field)
  return (
    <>
      <SegmentedControl
        size="xs"
        mb="xs"
        display="flex"
        aria-label="What was measured"
        value={on}
        onChange={(value) => setOn(value as 'chain' | 'belt')}
        data={[
          { value: 'chain', label: 'a chain' },
          { value: 'belt', label: 'a toothed belt' },
        ]}
      />
      <div className={fields.fields}>
        <QuantityField
          label="Over ten pitches"
          quantity="fine"
          value={overTenMm}
          onChange={setOver}
          error={error('overTenMm')}
        />
        {isChain && (
          <>
            <QuantityField
              label="Between inner plates"
              quantity="fine"
              value={innerWidthMm}
              onChange={setWidth}
              error={error('innerWidthMm')}
            />
            <QuantityField
              label="Over a roller"
              quantity="fine"
              value={rollerMm}
              onChange={setRoller}
              error={error('rollerMm')}
            />
          </>
        )}
      </div>
      {!isChain && (
        <SegmentedControl
          size="xs"
          mt={6}
          aria-label="Form of its teeth"
          value={form}
          onChange={(value) => setForm(value as typeof form)}
          data={[
            { value: 'unknown', label: 'can’t tell' },
            { value: 'trapezoid', label: 'straight flanks' },
            { value: 'round', label: 'round' },
          ]}
        />
      )}
      <Refused error={answer.error} fields={['overTenMm', 'innerWidthMm', 'rollerMm']} />
      <Told answer={answer} of="that" />
    </>
  )
}

function Told({ answer, of }: { answer: Computed<MarkingFound>; of: string }) {
  const { data, isStale } = answer
  if (!data) return null
  const { found, couldBe } = data
  return (
    <Outdated isStale={isStale} of={of}>
      {found && <One read={found} />}
      {!found && couldBe.length === 0 && <p>Nothing of the tables is near that.</p>}
      {couldBe.length > 0 && (
        <>
          <p className="cap" style={{ marginTop: 8 }}>
            {found ? 'It could also be:' : 'It could be:'}
          </p>
          {couldBe.map((other) => (
            <details key={`${other.reading.thing} ${other.reading.written}`}>
              <summary>
                <b>{other.reading.written}</b> <span className="cap">{other.reading.what}</span>
              </summary>
              <One read={other} />
            </details>
          ))}
        </>
      )}
    </Outdated>
  )
}

function One({ read: { reading, onMachines, onShelf } }: { read: MarkingInYard }) {
  const units = useUnits()
  return (
    <>
      <LabelledValue name={reading.what}>{reading.written}</LabelledValue>
      {reading.figures.map((f) => (
        <LabelledValue key={f.what} name={f.what}>
          {f.unit === 'mm'
            ? units.show('fine', f.value, 2)
            : `${plain(Number(f.value.toFixed(2)))} ${f.unit}`.trim()}
        </LabelledValue>
      ))}
      {reading.note && <p style={{ color: 'var(--watch)' }}>▲ {reading.note}</p>}
      <LabelledValue name="goes on">
        {onMachines.length === 0 ? 'nothing in this yard' : onMachines.map((m) => m.what).join(', ')}
      </LabelledValue>
      {onShelf.length > 0 && (
        <p style={{ marginTop: 6 }}>
          On the shelf: {onShelf.map((s) => (s.count === 1 ? s.what : `${s.what} × ${s.count}`)).join(', ')}
        </p>
      )}
      <p className="cap">{reading.source}</p>
    </>
  )
}
