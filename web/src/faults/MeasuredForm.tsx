import { Button, Group } from '@mantine/core'
import { useState } from 'react'
import type { FaultMeasure } from '../api/faults'
import { issueFor } from '../api/issues'
import { plain } from '../quantities/format'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import fields from '../shell/fields.module.css'
import { ReasonedButton } from '../shell/ReasonedButton'
import classes from './Faults.module.css'
import type { Fault } from './useFault'

/** A test that is answered by what was measured: the core draws the lines, from this machine's own. */
export function MeasuredForm({
  fault,
  measure,
  onInWords,
}: {
  fault: Fault
  measure: FaultMeasure
  onInWords: () => void
}) {
  const units = useUnits()
  const [values, setValues] = useState<(number | undefined)[]>(() =>
    Array.from({ length: measure.count }, () => undefined),
  )
  const whole = values.every((v) => v !== undefined)
  const shown = (v: number) =>
    measure.unit === 'mm' ? units.show('fine', v) : `${plain(Number(v.toFixed(1)))} ${measure.unit}`.trim()
  const lines = [
    measure.low !== null && `at least ${shown(measure.low)}`,
    measure.high !== null && `at most ${shown(measure.high)}`,
  ].filter(Boolean)
  return (
    <form
      style={{ marginTop: 10 }}
      onSubmit={(event) => {
        event.preventDefault()
        const given = values.filter((v) => v !== undefined)
        // Which answer that is, is the core's to say.
        if (given.length === values.length) fault.answer(measure.test, '', given)
      }}
    >
      <div className={fields.fields}>
        {values.map((value, i) => (
          <QuantityField
            // biome-ignore lint/suspicious/noArrayIndexKey: a place round the wheel has no other name
            key={i}
            label={measure.count === 1 ? measure.what : `${measure.what}, ${i + 1}`}
            {...(measure.unit === 'mm' ? { quantity: 'fine' as const } : { unit: measure.unit })}
            value={value}
            onChange={(v) => setValues(values.map((old, at) => (at === i ? v : old)))}
            error={issueFor(fault.error, `event.values[${i}]`)}
          />
        ))}
      </div>
      <p className="cap">
        {lines.join(', ')}: {measure.source}
      </p>
      <Group className={classes.answers} data-no-print>
        <ReasonedButton
          type="submit"
          why={whole ? null : 'Give every value, or answer it in words.'}
          loading={fault.isSending}
        >
          That is what it measures
        </ReasonedButton>
        <Button variant="default" onClick={onInWords}>
          Answer in words
        </Button>
      </Group>
    </form>
  )
}
