import { useState } from 'react'
import { type GrooveResult, matchGroove } from '../api/client'
import { useComputed } from '../api/queries'
import type { Fit } from '../loop/useFit'
import { plain } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { LabelledValue } from '../shell/LabelledValue'
import { type ToolField, ToolPanel } from '../shell/ToolPanel'

const VERDICTS: Record<GrooveResult['verdict'], { text: string; tone: string }> = {
  seated: { text: '✓ Sits on its flanks, about flush.', tone: 'ok' },
  bottoms: { text: '■ Lies on the bottom: the flanks don’t grip, it slips and glazes.', tone: 'stop' },
  standsProud: {
    text: '▲ Stands proud: too wide for this groove, only part of its flanks carries.',
    tone: 'watch',
  },
  sitsDeep: { text: '▲ Sits deep: too narrow for this groove, or belt and groove are worn.', tone: 'watch' },
}

type Measured = Partial<Omit<Parameters<typeof matchGroove>[0], 'section'>>

const FIELDS: ToolField<keyof Measured>[] = [
  { key: 'datumDiameterMm', label: 'Datum ⌀ of the pulley', quantity: 'fine' },
  { key: 'topWidthMm', label: 'Groove wide at the rim', quantity: 'fine' },
  { key: 'depthMm', label: 'Groove deep', quantity: 'fine' },
  { key: 'angleDeg', label: 'Angle of the flanks', unit: '°', placeholder: 'standard' },
  { key: 'hollowMm', label: 'Hollow of a flank', quantity: 'fine' },
]

/** Whether the loop's section and a measured groove belong together. */
export function GrooveTool({ fit }: { fit: Fit }) {
  const units = useUnits()
  const [values, setValues] = useState<Measured>({ datumDiameterMm: fit.choice.frontSize })
  const { datumDiameterMm, topWidthMm, depthMm, angleDeg = null, hollowMm = null } = values
  const answer = useComputed(
    'groove',
    datumDiameterMm !== undefined && topWidthMm !== undefined && depthMm !== undefined
      ? { section: fit.loop.standard, datumDiameterMm, topWidthMm, depthMm, angleDeg, hollowMm }
      : undefined,
    matchGroove,
  )
  const standardDeg = answer.data?.standardAngleDeg
  return (
    <ToolPanel
      fields={FIELDS.map((f) =>
        f.key === 'angleDeg' && standardDeg !== undefined ? { ...f, placeholder: plain(standardDeg) } : f,
      )}
      values={values}
      onChange={setValues}
      answer={answer}
      of={`a groove ${units.show('fine', answer.of?.topWidthMm ?? 0)} wide`}
      working="groove"
      empty={<p className="cap">Measure the groove of a pulley: width at the rim and depth.</p>}
    >
      {(data, why) => (
        <>
          <p style={{ color: `var(--${VERDICTS[data.verdict].tone})`, marginBottom: 6 }}>
            {VERDICTS[data.verdict].text} {why}
          </p>
          <LabelledValue name="top of the belt above the rim">
            {units.show('fine', data.aboveRimMm)}
          </LabelledValue>
          <LabelledValue name="gap under it">{units.show('fine', data.bottomGapMm)}</LabelledValue>
          {data.angleFits === false && (
            <p style={{ color: 'var(--watch)', marginTop: 6 }}>
              ▲ A pulley of this size should have {plain(data.standardAngleDeg)}°.
            </p>
          )}
          {data.isWorn && (
            <p style={{ color: 'var(--stop)', marginTop: 6 }}>
              ■ Hollow beyond {units.show('fine', data.wornFromMm)}: replace the pulley.
            </p>
          )}
        </>
      )}
    </ToolPanel>
  )
}
