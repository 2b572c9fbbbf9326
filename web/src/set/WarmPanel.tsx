import { SegmentedControl } from '@mantine/core'
import { useState } from 'react'
import { type SetAdvice, type ThermalTensionInput, warm } from '../api/client'
import { issueFor } from '../api/issues'
import { useComputed } from '../api/queries'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import fields from '../shell/fields.module.css'
import { LabelledValue } from '../shell/LabelledValue'
import { Panel } from '../shell/Panel'
import { Refused } from '../shell/Refused'
import { WhyButton } from '../shell/WhyButton'
import { WorkingDialog } from '../shell/WorkingDialog'

/** What warmth does to a belt on fixed centres: a case grows, the belt hardly does. */
export function WarmPanel({ advice, centreMm }: { advice: SetAdvice; centreMm: number }) {
  const units = useUnits()
  const [made, setMade] = useState<ThermalTensionInput['case']>('aluminium')
  const [hotC, setHot] = useState<number | undefined>()
  const [coldC, setCold] = useState<number | undefined>()
  const [stiffN, setStiff] = useState<number | undefined>()
  const [isWorking, setWorking] = useState(false)
  const { span } = advice
  const stiffness = stiffN ?? span.axialStiffnessN
  const input: ThermalTensionInput | undefined =
    hotC === undefined || coldC === undefined || stiffness == null || span.loopLengthMm === null
      ? undefined
      : {
          case: made,
          centreMm,
          hotC,
          coldC,
          cosRun: span.cosRun,
          beltLengthMm: span.loopLengthMm,
          axialStiffnessN: stiffness,
        }
  const answer = useComputed('warmth', input, warm)
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
        onChange={(value) => setMade(value as ThermalTensionInput['case'])}
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
