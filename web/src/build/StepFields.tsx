import { Radio } from '@mantine/core'
import type { ReactNode } from 'react'
import { issueFor } from '../api/issues'
import { atEvent } from '../job/useJobEvents'
import { choicesOf } from '../quantities/choices'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import { ArmAndPull } from './ArmAndPull'
import classes from './BuildView.module.css'
import type { StepInHand } from './useStep'
import { BY_WORDS, CONDITION_WORDS, LOCK_WORDS, quantityOf } from './words'

/** What a step asks: which way round, how tight, what was found. */
export function StepFields({ inHand, size = 'sm' }: { inHand: StepInHand; size?: 'sm' | 'lg' }) {
  return (
    <>
      <WayChoice inHand={inHand} size={size} />
      <FasteningFields inHand={inHand} size={size} />
      <ValueFields inHand={inHand} size={size} />
    </>
  )
}

/** Asked before the part goes on; which is right the core says. */
function WayChoice({ inHand, size }: { inHand: StepInHand; size: 'sm' | 'lg' }) {
  const { way } = inHand.at.step
  if (!way) return null
  // Neither stands first for being right.
  const ways = [way.right, ...way.wrong.map((w) => w.way)].sort((a, b) => a.localeCompare(b))
  return (
    <Radio.Group
      label={way.question}
      description="Look, then say how it lies, before it goes on."
      value={inHand.way ?? ''}
      onChange={inHand.setWay}
      error={issueFor(inHand.record.error, atEvent('way'))}
      className={classes.way}
    >
      {ways.map((w) => (
        <Radio key={w} value={w} label={w} size={size} />
      ))}
    </Radio.Group>
  )
}

function FasteningFields({ inHand, size }: { inHand: StepInHand; size: 'sm' | 'lg' }) {
  const units = useUnits()
  const { fastener } = inHand.at.step
  if (!fastener) return null
  const { fastening, setFastening, record } = inHand
  const issue = (field: string) => issueFor(record.error, atEvent(`fastening.${field}`))
  return (
    <fieldset className={classes.fastening}>
      <legend>
        {fastener.what}, kept by {LOCK_WORDS[fastener.lock]}
      </legend>
      {issueFor(record.error, atEvent('fastening')) && (
        <p role="alert" style={{ color: 'var(--stop)' }}>
          {issueFor(record.error, atEvent('fastening'))}
        </p>
      )}
      <div className={classes.fields}>
        <QuantityField
          size={size}
          label="In and tight"
          isCount
          value={fastening.count}
          onChange={(count) => setFastening({ ...fastening, count })}
          error={issue('count')}
        />
        <QuantityField
          size={size}
          label="Of"
          isCount
          value={fastening.of}
          onChange={(of) => setFastening({ ...fastening, of })}
          error={issue('of')}
        />
        <QuantityField
          size={size}
          label="Torque"
          quantity="torque"
          value={fastening.torqueNm ?? undefined}
          onChange={(torqueNm) => setFastening({ ...fastening, torqueNm: torqueNm ?? null })}
          description={
            fastener.torqueNm == null
              ? 'the maker’s is not typed for this machine'
              : `the maker’s: ${units.show('torque', fastener.torqueNm)}`
          }
          error={issue('torqueNm')}
        />
      </div>
      <OneOf
        label="How its torque is told"
        words={BY_WORDS}
        value={fastening.by}
        onChange={(by) => setFastening({ ...fastening, by })}
        error={issue('by')}
        size={size}
      />
      {fastening.by === 'armAndPull' && (
        <ArmAndPull onTake={(torqueNm) => setFastening({ ...fastening, torqueNm })} />
      )}
      <OneOf
        label="Its lock"
        words={CONDITION_WORDS}
        value={fastening.lock}
        onChange={(lock) => setFastening({ ...fastening, lock })}
        error={issue('lock')}
        size={size}
      />
    </fieldset>
  )
}

/** One of a few words, with one press each; nothing is chosen until somebody says it. */
function OneOf<V extends string>({
  label,
  words,
  value,
  onChange,
  error,
  size,
}: {
  label: string
  words: Record<V, string>
  value: V | undefined
  onChange: (value: V) => void
  error: ReactNode
  size: 'sm' | 'lg'
}) {
  return (
    <Radio.Group
      label={label}
      value={value ?? ''}
      onChange={(chosen) => onChange(chosen as V)}
      error={error}
      className={classes.oneOf}
    >
      {choicesOf(words).map((choice) => (
        <Radio key={choice.value} value={choice.value} label={choice.label} size={size} />
      ))}
    </Radio.Group>
  )
}

function ValueFields({ inHand, size }: { inHand: StepInHand; size: 'sm' | 'lg' }) {
  const { records } = inHand.at.step
  if (records.length === 0) return null
  const sent = records.filter((r) => inHand.values[r.key] !== undefined)
  return (
    <div className={classes.fields}>
      {records.map((r) => (
        <QuantityField
          key={r.key}
          size={size}
          label={r.label}
          quantity={quantityOf(r.unit)}
          unit={r.unit || undefined}
          value={inHand.values[r.key]}
          onChange={(value) => inHand.setValues({ ...inHand.values, [r.key]: value })}
          error={issueFor(inHand.record.error, atEvent(`values[${sent.indexOf(r)}].value`))}
        />
      ))}
    </div>
  )
}

/** Fields at which a refusal of a step can stand. */
export const stepFields = (inHand: StepInHand) =>
  [
    'why',
    'way',
    'fastening',
    ...['count', 'of', 'torqueNm', 'by', 'lock'].map((f) => `fastening.${f}`),
    ...inHand.at.step.records.map((_, i) => `values[${i}].value`),
  ].map(atEvent)
