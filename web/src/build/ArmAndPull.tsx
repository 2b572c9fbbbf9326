import { Button, SegmentedControl } from '@mantine/core'
import { useState } from 'react'
import { estimateTorque, type TorqueEstimateInput } from '../api/plan'
import { useComputed } from '../api/queries'
import { choicesOf } from '../quantities/choices'
import { useUnits } from '../quantities/units'
import { LabelledValue } from '../shell/LabelledValue'
import { type ToolField, ToolPanel } from '../shell/ToolPanel'

const FIELDS: ToolField<'armMm' | 'pullN'>[] = [
  { key: 'armMm', label: 'Arm, nut to pull', quantity: 'fine' },
  { key: 'pullN', label: 'Pull', quantity: 'force' },
]
const TOLD = { scale: 'by a scale', hand: 'by hand' } as const

/** What an arm and a pull come to, where no wrench tells it. */
export function ArmAndPull({ onTake }: { onTake: (torqueNm: number) => void }) {
  const units = useUnits()
  const [values, setValues] = useState<{ armMm?: number | null; pullN?: number | null }>({})
  const [told, setTold] = useState<TorqueEstimateInput['told']>('hand')
  const { armMm, pullN } = values
  const input = armMm != null && pullN != null ? { armMm, pullN, told } : undefined
  const answer = useComputed('torque-estimate', input, estimateTorque)
  return (
    <ToolPanel
      fields={FIELDS}
      values={values}
      onChange={setValues}
      answer={{ ...answer, data: input && answer.data }}
      working="torque by arm and pull"
      above={
        <SegmentedControl
          size="xs"
          aria-label="Pull told"
          value={told}
          onChange={(value) => setTold(value as typeof told)}
          data={choicesOf(TOLD)}
        />
      }
    >
      {({ torqueNm, lowNm, highNm }, why) => (
        <>
          <LabelledValue name="estimate, no torque reading">
            {units.show('torque', lowNm)} to {units.show('torque', highNm)} {why}
          </LabelledValue>
          <Button size="compact-sm" variant="default" mt={6} onClick={() => onTake(torqueNm)}>
            Write {units.show('torque', torqueNm)} down as estimated
          </Button>
        </>
      )}
    </ToolPanel>
  )
}
