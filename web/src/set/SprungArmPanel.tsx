import { Button } from '@mantine/core'
import { useState } from 'react'
import { balanceArm, type LoopSetting, type SprungArmInput } from '../api/client'
import { useComputed } from '../api/queries'
import { useUnits } from '../quantities/units'
import { LabelledValue } from '../shell/LabelledValue'
import { type ToolField, ToolPanel } from '../shell/ToolPanel'

const NEEDED: ToolField<keyof SprungArmInput>[] = [
  { key: 'springForceN', label: 'Spring', quantity: 'force' },
  { key: 'springLeverMm', label: 'Its lever', quantity: 'fine' },
  { key: 'armMm', label: 'Arm to the idler', quantity: 'fine' },
  { key: 'wrapDeg', label: 'Wrap of the idler', unit: '°' },
  { key: 'angleDeg', label: 'Force to arm', unit: '°' },
]

/** Asked for as well when its screw is what is turned. */
const FIELDS: typeof NEEDED = [...NEEDED, { key: 'rateNPerMm', label: 'Spring gains', unit: 'N/mm' }]

const isWhole = (values: Partial<SprungArmInput>): values is SprungArmInput =>
  NEEDED.every(({ key }) => values[key] != null)

/** Tension that a sprung idler holds at rest, and the arm as what the loop is set by. */
export default function SprungArmPanel({
  setting,
  onSetting,
}: {
  setting: LoopSetting
  onSetting: (setting: LoopSetting) => void
}) {
  const units = useUnits()
  const [values, setValues] = useState<Partial<SprungArmInput>>(setting.arm ?? {})
  const arm = isWhole(values) ? values : undefined
  const answer = useComputed('sprung-arm', arm, balanceArm)
  return (
    <ToolPanel
      title="Sprung arm"
      fields={FIELDS}
      values={values}
      onChange={setValues}
      answer={{ ...answer, data: arm && answer.data }}
      working="sprung arm"
    >
      {(result) => (
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
              onSetting({ ...setting, adjuster: { ...setting.adjuster, kind: 'sprungArm' }, arm })
            }
            data-no-print
          >
            Set by this arm
          </Button>
        </>
      )}
    </ToolPanel>
  )
}
