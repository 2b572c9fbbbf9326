import { Button } from '@mantine/core'
import { useState } from 'react'
import { balanceArm, type LoopSetting, type SprungArmInput } from '../api/client'
import { issueFor } from '../api/issues'
import { useComputed } from '../api/queries'
import { QuantityField } from '../quantities/QuantityField'
import { type Quantity, useUnits } from '../quantities/units'
import fields from '../shell/fields.module.css'
import { LabelledValue } from '../shell/LabelledValue'
import { Panel } from '../shell/Panel'
import { Refused } from '../shell/Refused'
import { WhyButton } from '../shell/WhyButton'
import { WorkingDialog } from '../shell/WorkingDialog'

const NEEDED: [key: keyof SprungArmInput, label: string, quantity?: Quantity, unit?: string][] = [
  ['springForceN', 'Spring', 'force'],
  ['springLeverMm', 'Its lever', 'fine'],
  ['armMm', 'Arm to the idler', 'fine'],
  ['wrapDeg', 'Wrap of the idler', undefined, '°'],
  ['angleDeg', 'Force to arm', undefined, '°'],
]

/** Asked for as well when its screw is what is turned. */
const FIELDS: typeof NEEDED = [...NEEDED, ['rateNPerMm', 'Spring gains', undefined, 'N/mm']]

/** Tension that a sprung idler holds at rest, and the arm as what the loop is set by. */
export function SprungArmPanel({
  setting,
  onSetting,
}: {
  setting: LoopSetting
  onSetting: (setting: LoopSetting) => void
}) {
  const units = useUnits()
  const [values, setValues] = useState<Partial<SprungArmInput>>(setting.arm ?? {})
  const [isWorking, setWorking] = useState(false)
  const isWhole = NEEDED.every(([key]) => values[key] != null)
  const answer = useComputed('sprung-arm', isWhole ? (values as SprungArmInput) : undefined, balanceArm)
  const result = isWhole ? answer.data : undefined
  return (
    <Panel
      title="Sprung arm"
      isStale={answer.isStale}
      isEmpty={!result}
      aside={result && <WhyButton onClick={() => setWorking(true)} />}
    >
      <div className={fields.fields}>
        {FIELDS.map(([key, label, quantity, unit]) => (
          <QuantityField
            key={key}
            size="xs"
            label={label}
            quantity={quantity}
            unit={unit}
            value={values[key] ?? undefined}
            onChange={(value) => setValues({ ...values, [key]: value })}
            error={issueFor(answer.error, key)}
          />
        ))}
      </div>
      <Refused error={answer.error} />
      {result && (
        <>
          <LabelledValue name="tension it holds">{units.show('force', result.tensionN)}</LabelledValue>
          <LabelledValue name="on the idler">{units.show('force', result.idlerForceN)}</LabelledValue>
          {result.nPerMm !== null && (
            <LabelledValue name="a mm of its screw adds">{units.show('force', result.nPerMm)}</LabelledValue>
          )}
          <Button
            size="compact-sm"
            variant="default"
            mt={6}
            onClick={() =>
              onSetting({
                ...setting,
                adjuster: { ...setting.adjuster, kind: 'sprungArm' },
                arm: values as SprungArmInput,
              })
            }
            data-no-print
          >
            Set by this arm
          </Button>
        </>
      )}
      {isWorking && result && (
        <WorkingDialog
          title="Working: sprung arm"
          workings={result.workings}
          onClose={() => setWorking(false)}
        />
      )}
    </Panel>
  )
}
