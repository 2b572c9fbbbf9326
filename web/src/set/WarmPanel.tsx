import { SegmentedControl } from '@mantine/core'
import { useState } from 'react'
import type { SetAdvice, SetQuestion, ThermalTensionInput } from '../api/client'
import { useDebouncedDraft, useEvaluation } from '../api/evaluation'
import type { Workbench } from '../machine/useWorkbench'
import { useUnits } from '../quantities/units'
import { LabelledValue } from '../shell/LabelledValue'
import { ToolPanel } from '../shell/ToolPanel'

/** What warmth does to a belt on fixed centres: a case grows, the belt hardly does. */
export function WarmPanel({
  bench,
  question,
  advice,
}: {
  bench: Workbench
  question: SetQuestion
  advice: SetAdvice
}) {
  const units = useUnits()
  const [made, setMade] = useState<ThermalTensionInput['case']>('aluminium')
  const [values, setValues] = useState<{ [key in 'hotC' | 'coldC' | 'axialStiffnessN']?: number }>({})
  const { hotC, coldC, axialStiffnessN = null } = values
  const { span } = advice
  const isKnown = (axialStiffnessN ?? span.axialStiffnessN) !== null && span.loopLengthMm !== null
  const input = useDebouncedDraft(
    hotC === undefined || coldC === undefined || !isKnown
      ? undefined
      : { case: made, hotC, coldC, set: question, axialStiffnessN },
  )
  const answer = useEvaluation(bench.asFitted, 'warmth', input)
  const placeholder =
    span.axialStiffnessN === null ? '' : String(Math.round(units.toShown('force', span.axialStiffnessN)))
  return (
    <ToolPanel
      title="Warm or cold"
      note="shafts in one case"
      above={
        <SegmentedControl
          size="xs"
          aria-label="The case is of"
          value={made}
          onChange={setMade}
          data={['aluminium', 'steel']}
          data-no-print
        />
      }
      fields={[
        { key: 'coldC', label: 'Set at', unit: '°C' },
        { key: 'hotC', label: 'Runs at', unit: '°C' },
        { key: 'axialStiffnessN', label: 'Stiffness E·A', quantity: 'force', placeholder },
      ]}
      values={values}
      onChange={setValues}
      answer={{ ...answer, data: input && answer.data }}
      working="warm or cold"
    >
      {(result) => (
        <>
          <LabelledValue name="the case grows by">{units.show('fine', result.centreGrowthMm)}</LabelledValue>
          <LabelledValue name="each run is pulled more by">
            {units.show('force', result.tensionRiseN)}
          </LabelledValue>
          <p className="cap">Set cold by so much less, and verify warm: it must never become tight there.</p>
        </>
      )}
    </ToolPanel>
  )
}
