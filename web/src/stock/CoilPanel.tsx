import { useState } from 'react'
import { measureCoil } from '../api/client'
import { issueFor } from '../api/issues'
import { useComputed } from '../api/queries'
import { Figure } from '../fit/Figure'
import fields from '../fit/fields.module.css'
import { Refused } from '../fit/Refused'
import { plain } from '../quantities/format'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import { Panel } from '../shell/Panel'

const FIELDS = ['outerDiameterMm', 'innerDiameterMm', 'turns', 'thicknessMm']

/** How much belting a coil on the shelf still holds. */
export function CoilPanel() {
  const units = useUnits()
  const [outer, setOuter] = useState<number>()
  const [inner, setInner] = useState<number>()
  const [turns, setTurns] = useState<number>()
  const [thickness, setThickness] = useState<number>()
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
    <Panel title="Belting on a coil" isStale={isStale}>
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
          <Figure name="on the coil">{units.show('length', data.lengthMm)}</Figure>
          <Figure name="turns">{plain(Number(data.turns.toFixed(1)))}</Figure>
          {data.impliedThicknessMm !== null && (
            <Figure name="thickness the turns ask for">
              {units.show('fine', data.impliedThicknessMm, 2)}
            </Figure>
          )}
          {data.agree === false && (
            <p style={{ color: 'var(--watch)', marginTop: 6 }}>
              ▲ Turns and thickness differ by more than 20 %: count again, or it is wound loosely.
            </p>
          )}
          {data.agree === true && (
            <p style={{ color: 'var(--ok)', marginTop: 6 }}>✓ Turns and thickness agree.</p>
          )}
          <p className="cap">L = π · n · (Do + Di)/2. Geometry; Machinery’s Handbook.</p>
        </>
      )}
    </Panel>
  )
}
