import { SegmentedControl } from '@mantine/core'
import { useState } from 'react'
import type { SetAdvice, SetQuestion, ThermalTensionInput } from '../api/client'
import { useDebouncedDraft, useEvaluation } from '../api/evaluation'
import { issueFor } from '../api/issues'
import type { Workbench } from '../machine/useWorkbench'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import fields from '../shell/fields.module.css'
import { LabelledValue } from '../shell/LabelledValue'
import { Panel } from '../shell/Panel'
import { Refused } from '../shell/Refused'
import { WhyButton } from '../shell/WhyButton'
import { WorkingDialog } from '../shell/WorkingDialog'

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
  const [hotC, setHot] = useState<number | undefined>()
  const [coldC, setCold] = useState<number | undefined>()
  const [stiffN, setStiff] = useState<number | undefined>()
  const [isWorking, setWorking] = useState(false)
  const { span } = advice
  const stiffness = stiffN ?? span.axialStiffnessN
  const isKnown = stiffness != null && span.loopLengthMm !== null
  const input = useDebouncedDraft(
    hotC === undefined || coldC === undefined || !isKnown
      ? undefined
      : { case: made, hotC, coldC, set: question, axialStiffnessN: stiffN ?? null },
  )
  const answer = useEvaluation(bench.asFitted, 'warmth', input)
  const result = input && answer.data
  return (
    <Panel
      title="Warm or cold"
      note="shafts in one case"
      isStale={answer.isStale}
      isEmpty={!result}
      aside={result && <WhyButton onClick={() => setWorking(true)} />}
    >
      <SegmentedControl
        size="xs"
        aria-label="The case is of"
        value={made}
        onChange={setMade}
        data={['aluminium', 'steel']}
        data-no-print
      />
      <div className={fields.fields} style={{ marginTop: 8 }}>
        <QuantityField
          size="xs"
          label="Set at"
          unit="°C"
          value={coldC}
          onChange={setCold}
          error={issueFor(answer.error, 'coldC')}
        />
        <QuantityField
          size="xs"
          label="Runs at"
          unit="°C"
          value={hotC}
          onChange={setHot}
          error={issueFor(answer.error, 'hotC')}
        />
        <QuantityField
          size="xs"
          label="Stiffness E·A"
          quantity="force"
          placeholder={
            span.axialStiffnessN === null
              ? ''
              : String(Math.round(units.toShown('force', span.axialStiffnessN)))
          }
          value={stiffN}
          onChange={setStiff}
          error={issueFor(answer.error, 'axialStiffnessN')}
        />
      </div>
      <Refused error={answer.error} />
      {result && (
        <>
          <LabelledValue name="the case grows by">{units.show('fine', result.centreGrowthMm)}</LabelledValue>
          <LabelledValue name="each run is pulled more by">
            {units.show('force', result.tensionRiseN)}
          </LabelledValue>
          <p className="cap">Set cold by so much less, and verify warm: it must never become tight there.</p>
        </>
      )}
      {isWorking && result && (
        <WorkingDialog
          title="Working: warm or cold"
          workings={result.workings}
          onClose={() => setWorking(false)}
        />
      )}
    </Panel>
  )
}
