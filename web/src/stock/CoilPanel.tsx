import { useState } from 'react'
import { measureCoil } from '../api/client'
import { issueFor } from '../api/issues'
import { useComputed } from '../api/queries'
import { plain } from '../quantities/format'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import fields from '../shell/fields.module.css'
import { LabelledValue } from '../shell/LabelledValue'
import { Panel } from '../shell/Panel'
import { Refused } from '../shell/Refused'
import { WhyButton } from '../shell/WhyButton'
import { WorkingDialog } from '../shell/WorkingDialog'

const FIELDS = ['outerDiameterMm', 'innerDiameterMm', 'turns', 'thicknessMm']

/** How much belting a coil on the shelf still holds. */
export function CoilPanel() {
  const units = useUnits()
  const [outer, setOuter] = useState<number>()
  const [inner, setInner] = useState<number>()
  const [turns, setTurns] = useState<number>()
  const [thickness, setThickness] = useState<number>()
  const [isWorking, setWorking] = useState(false)
  const { data, error, isStale } = useComputed(
    'coil',
    outer !== undefined && inner !== undefined && (turns !== undefined || thickness !== undefined)
      ? {
          outerDiameterMm: outer,
          innerDiameterMm: inner,
          turns: turns ?? null,
          thicknessMm: thickness ?? null,
        }
      : undefined,
    measureCoil,
  )
  const issue = (name: string) => issueFor(error, name)
  const common = { size: 'xs', quantity: 'fine' } as const
  return (
    <Panel
      title="Belting on a coil"
      isStale={isStale}
      aside={data && <WhyButton onClick={() => setWorking(true)} />}
    >
      <div className={fields.fields}>
        <QuantityField
          {...common}
          label="Outside ⌀"
          value={outer}
          onChange={setOuter}
          error={issue('outerDiameterMm')}
        />
        <QuantityField
          {...common}
          label="Inside ⌀"
          value={inner}
          onChange={setInner}
          error={issue('innerDiameterMm')}
        />
        <QuantityField size="xs" label="Turns" value={turns} onChange={setTurns} error={issue('turns')} />
        <QuantityField
          {...common}
          label="Belting thick"
          value={thickness}
          onChange={setThickness}
          error={issue('thicknessMm')}
        />
      </div>
      <Refused error={error} fields={FIELDS} />
      {!data && (
        <p className="cap">Two diameters and the turns, the thickness, or both: then one checks the other.</p>
      )}
      {data && (
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
      {isWorking && data && (
        <WorkingDialog title="Working: coil" workings={data.workings} onClose={() => setWorking(false)} />
      )}
    </Panel>
  )
}
