import type { LoopLoadsResult } from '../api/client'
import { figure, plain } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { LabelledValue } from '../shell/LabelledValue'
import { Panel } from '../shell/Panel'

const rough = (value: number) => plain(Number(value.toPrecision(2)))

/** How long until the chain has grown to its limit: from dirt and neglect to care. */
export function LifePanel({ life }: { life: NonNullable<LoopLoadsResult['life']> }) {
  const units = useUnits()
  return (
    <Panel title="Will it last" note="a wide guess, and meant so">
      {life.lowKm !== null && life.highKm !== null && (
        <LabelledValue name={`until ${figure(life.limitPercent, 2)} % elongation`}>
          {rough(units.toShown('distance', life.lowKm))} to {rough(units.toShown('distance', life.highKm))}{' '}
          {units.unitOf('distance')}
        </LabelledValue>
      )}
      <LabelledValue name="hours of cruising">
        {rough(life.lowHours)} to {rough(life.highHours)} h
      </LabelledValue>
      <p className="cap" style={{ marginTop: 6 }}>
        From dirt and neglect to care. Estimated from the pressure in the pins; elongation that is measured
        says more.
      </p>
    </Panel>
  )
}
