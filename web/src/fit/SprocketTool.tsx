import { useState } from 'react'
import { measureSprocket } from '../api/client'
import { issueFor } from '../api/issues'
import { useComputed } from '../api/queries'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import { LabelledValue } from '../shell/LabelledValue'
import { Outdated } from '../shell/Outdated'
import { Refused } from '../shell/Refused'
import { WhyButton } from '../shell/WhyButton'
import { WorkingDialog } from '../shell/WorkingDialog'
import type { Fit } from './useFit'

/** The diameters of a sprocket for this chain, to tell one in the hand. */
export function SprocketTool({ fit }: { fit: Fit }) {
  const units = useUnits()
  const [teeth, setTeeth] = useState<number | undefined>(fit.choice.frontSize)
  const [isWorking, setWorking] = useState(false)
  const { data, of, error, isStale } = useComputed(
    'sprocket',
    teeth === undefined ? undefined : { standard: fit.loop.standard, teeth },
    measureSprocket,
  )
  return (
    <>
      <QuantityField
        size="xs"
        w={130}
        mb="xs"
        label={`Teeth, for ${fit.loop.standard}`}
        isCount
        value={teeth}
        onChange={setTeeth}
        error={issueFor(error, 'teeth')}
      />
      <Refused error={error} fields={['teeth']} />
      {data && (
        <Outdated isStale={isStale} of={`${of?.teeth} teeth`}>
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
            A larger hub fouls the plates. <WhyButton onClick={() => setWorking(true)} />
          </p>
        </Outdated>
      )}
      {isWorking && data && (
        <WorkingDialog title="Working: sprocket" workings={data.workings} onClose={() => setWorking(false)} />
      )}
    </>
  )
}
