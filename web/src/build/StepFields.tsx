import { Button, Radio } from '@mantine/core'
import type { ReactNode } from 'react'
import { issueFor } from '../api/issues'
import { atEvent } from '../job/useJobEvents'
import { choicesOf } from '../quantities/choices'
import { QuantityField } from '../quantities/QuantityField'
import { type Quantity, useUnits } from '../quantities/units'
import { BaySteps } from '../shell/BaySteps'
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
  const tell = (told: Partial<typeof fastening>) => setFastening({ ...fastening, ...told })
  const makersNm = fastener.torqueNm ?? null
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
        <Stepped
          size={size}
          isFew
          of="in and tight"
          value={fastening.count}
          onStep={(count) => tell({ count })}
        >
          <QuantityField
            size={size}
            label="In and tight"
            isCount
            value={fastening.count}
            onChange={(count) => tell({ count })}
            error={issue('count')}
          />
        </Stepped>
        <Stepped size={size} isFew of="there are" value={fastening.of} onStep={(of) => tell({ of })}>
          <QuantityField
            size={size}
            label="Of"
            isCount
            value={fastening.of}
            onChange={(of) => tell({ of })}
            error={issue('of')}
          />
        </Stepped>
        {fastener.takesTorque && (
          <Stepped
            size={size}
            of="torque"
            quantity="torque"
            value={fastening.torqueNm ?? fastener.torqueNm ?? undefined}
            onStep={(torqueNm) => tell({ torqueNm })}
          >
            <QuantityField
              size={size}
              label="Torque"
              quantity="torque"
              value={fastening.torqueNm ?? undefined}
              onChange={(torqueNm) => tell({ torqueNm: torqueNm ?? null })}
              description={
                makersNm === null
                  ? 'the maker’s is not typed for this machine'
                  : `the maker’s: ${units.show('torque', makersNm)}`
              }
              error={issue('torqueNm')}
            />
            {size === 'lg' && makersNm !== null && (
              <Button size="xl" variant="default" onClick={() => tell({ torqueNm: makersNm, by: 'maker' })}>
                {units.show('torque', makersNm)}, the maker’s
              </Button>
            )}
          </Stepped>
        )}
      </div>
      {fastener.takesTorque && (
        <OneOf
          label="How its torque is told"
          words={BY_WORDS}
          value={fastening.by}
          onChange={(by) => tell({ by })}
          error={issue('by')}
          size={size}
        />
      )}
      {fastening.by === 'armAndPull' && <ArmAndPull onTake={(torqueNm) => tell({ torqueNm })} />}
      <OneOf
        label="Its lock"
        words={CONDITION_WORDS}
        value={fastening.lock}
        onChange={(lock) => tell({ lock })}
        error={issue('lock')}
        size={size}
      />
    </fieldset>
  )
}

/** A field, and under it in the bay what makes its number without the keyboard. */
function Stepped({
  size,
  isFew,
  of,
  quantity,
  value,
  onStep,
  children,
}: {
  size: 'sm' | 'lg'
  isFew?: boolean
  /** What there is more or less of, as a word. */
  of: string
  quantity?: Quantity | undefined
  value: number | undefined
  onStep: (stored: number) => void
  children: ReactNode
}) {
  if (size === 'sm') return children
  return (
    <div className={classes.stepped}>
      {children}
      <BaySteps of={of} isFew={isFew ?? false} quantity={quantity} from={value ?? 0} onStep={onStep} />
    </div>
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
      {records.map((r) => {
        const tell = (value: number | undefined) => inHand.setValues({ ...inHand.values, [r.key]: value })
        return (
          <Stepped
            key={r.key}
            size={size}
            of={r.label}
            quantity={quantityOf(r.unit)}
            value={inHand.values[r.key] ?? r.low}
            onStep={tell}
          >
            <QuantityField
              size={size}
              label={r.label}
              quantity={quantityOf(r.unit)}
              unit={r.unit || undefined}
              value={inHand.values[r.key]}
              onChange={tell}
              error={issueFor(inHand.record.error, atEvent(`values[${sent.indexOf(r)}].value`))}
            />
          </Stepped>
        )
      })}
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
