import { useState } from 'react'
import { measureCoil } from '../api/client'
import { useComputed } from '../api/queries'
import { plain } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { LabelledValue } from '../shell/LabelledValue'
import { type ToolField, ToolPanel } from '../shell/ToolPanel'

type CoilInput = Parameters<typeof measureCoil>[0]

const FIELDS: ToolField<keyof CoilInput>[] = [
  { key: 'outerDiameterMm', label: 'Outside ⌀', quantity: 'fine' },
  { key: 'innerDiameterMm', label: 'Inside ⌀', quantity: 'fine' },
  { key: 'turns', label: 'Turns' },
  { key: 'thicknessMm', label: 'Belting thick', quantity: 'fine' },
]

/** How much belting a coil on the shelf still holds. */
export function CoilPanel() {
  const units = useUnits()
  const [values, setValues] = useState<Partial<CoilInput>>({})
  const { outerDiameterMm, innerDiameterMm, turns = null, thicknessMm = null } = values
  const answer = useComputed(
    'coil',
    outerDiameterMm !== undefined && innerDiameterMm !== undefined && (turns ?? thicknessMm) !== null
      ? { outerDiameterMm, innerDiameterMm, turns, thicknessMm }
      : undefined,
    measureCoil,
  )
  return (
    <ToolPanel
      title="Belting on a coil"
      fields={FIELDS}
      values={values}
      onChange={setValues}
      answer={answer}
      working="coil"
      empty={
        <p className="cap">Two diameters and the turns, the thickness, or both: then one checks the other.</p>
      }
    >
      {(data) => (
        <>
          <LabelledValue name="on the coil">{units.show('length', data.lengthMm)}</LabelledValue>
          <LabelledValue name="turns">{plain(Number(data.turns.toFixed(1)))}</LabelledValue>
          {data.impliedThicknessMm !== null && (
            <LabelledValue name="thickness the turns ask for">
              {units.show('fine', data.impliedThicknessMm, 2)}
            </LabelledValue>
          )}
          {data.agree === false && (
            <p style={{ color: 'var(--watch)', marginTop: 6 }}>
              ▲ Turns and thickness differ by more than {plain(data.largestDisagreementPercent)} %: count
              again, or it is wound loosely.
            </p>
          )}
          {data.agree === true && (
            <p style={{ color: 'var(--ok)', marginTop: 6 }}>✓ Turns and thickness agree.</p>
          )}
        </>
      )}
    </ToolPanel>
  )
}
