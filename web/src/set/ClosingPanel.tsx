import { Checkbox, Textarea } from '@mantine/core'
import { DayField } from '../quantities/DayField'
import { QuantityField } from '../quantities/QuantityField'
import fields from '../shell/fields.module.css'
import { Panel } from '../shell/Panel'
import { ReasonedButton } from '../shell/ReasonedButton'
import { ClosedOver } from './ClosedOver'
import { MissingTool } from './MissingTool'
import { type ClosingAsked, useClosing } from './useClosing'
import { capital } from './words'

/** The end of a visit: everything tight in its order, then the last reading, taken so. */
export default function ClosingPanel(asked: ClosingAsked) {
  const { manual, lastReading, nextCheckOn, isPending, onNextCheck } = asked
  const closing = useClosing(asked)
  return (
    <Panel title="Closing list" note="in this order">
      {manual.closing.map(({ step, sentence, tools }, i) => (
        <div key={step}>
          <Checkbox
            size="sm"
            my={4}
            label={sentence}
            checked={i < closing.done}
            disabled={i > closing.done || i < closing.done - 1}
            onChange={(event) => closing.tick(event.currentTarget.checked ? i + 1 : i)}
          />
          {i >= closing.done && <MissingTool manual={manual} tools={tools} />}
        </div>
      ))}
      <Checkbox
        size="sm"
        my={4}
        label={
          lastReading === null
            ? 'Last reading, with everything tight: still to be taken'
            : `Last reading, with everything tight: ${lastReading}`
        }
        checked={lastReading !== null}
        readOnly
        disabled
      />
      <div className={fields.fields} style={{ marginTop: 8 }}>
        <QuantityField
          size="xs"
          label={`${capital(manual.lock)}, torque used`}
          quantity="torque"
          value={closing.torque}
          onChange={closing.setTorque}
        />
        <DayField size="xs" label="Look again on" value={nextCheckOn} onChange={onNextCheck} />
      </div>
      <Textarea
        size="xs"
        label="Note"
        value={closing.note}
        onChange={(event) => closing.setNote(event.currentTarget.value)}
      />
      <ClosedOver size="xs" closing={closing} />
      {closing.missing && <p className="cap">{closing.missing}</p>}
      <ReasonedButton
        mt={8}
        size="sm"
        loading={isPending}
        why={closing.missing}
        onClick={closing.close}
        data-no-print
      >
        Close the visit
      </ReasonedButton>
    </Panel>
  )
}
