import { useState } from 'react'
import { measureSprocket } from '../api/client'
import { useComputed } from '../api/queries'
import type { Fit } from '../loop/useFit'
import { useUnits } from '../quantities/units'
import { LabelledValue } from '../shell/LabelledValue'
import { ToolPanel } from '../shell/ToolPanel'

/** The diameters of a sprocket for this chain, to tell one in the hand. */
export function SprocketTool({ fit }: { fit: Fit }) {
  const units = useUnits()
  const [values, setValues] = useState<{ teeth?: number | null }>({ teeth: fit.choice.frontSize })
  const { teeth } = values
  const answer = useComputed(
    'sprocket',
    teeth == null ? undefined : { standard: fit.loop.standard, teeth },
    measureSprocket,
  )
  return (
    <ToolPanel
      fields={[{ key: 'teeth', label: `Teeth, for ${fit.loop.standard}`, isCount: true }]}
      values={values}
      onChange={setValues}
      answer={answer}
      of={`${answer.of?.teeth} teeth`}
      working="sprocket"
    >
      {(data, why) => (
        <>
          <LabelledValue name="over the bottoms, by caliper">
            {units.show('fine', data.caliperMm, 2)}
          </LabelledValue>
          <LabelledValue name="pitch circle">{units.show('fine', data.pitchDiameterMm, 2)}</LabelledValue>
          <LabelledValue name="outside, about">{units.show('fine', data.outsideMm)}</LabelledValue>
          <LabelledValue name="tips, smallest to largest">
            {units.show('fine', data.tipSmallestMm)} – {units.show('fine', data.tipLargestMm)}
          </LabelledValue>
          <LabelledValue name="root circle">{units.show('fine', data.rootMm, 2)}</LabelledValue>
          <LabelledValue name="largest hub">{units.show('fine', data.largestHubMm)}</LabelledValue>
          <p className="cap" style={{ marginTop: 6 }}>
            A larger hub fouls the plates. {why}
          </p>
        </>
      )}
    </ToolPanel>
  )
}
