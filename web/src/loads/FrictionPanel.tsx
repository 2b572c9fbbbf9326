import type { LoopLoadsResult } from '../api/client'
import { figure, fixed, plain } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { Figure } from '../shell/Figure'
import { Panel } from '../shell/Panel'

/** What a belt or rope by friction could do at best, and what it is used for. */
export function FrictionPanel({ friction }: { friction: NonNullable<LoopLoadsResult['friction']> }) {
  const units = useUnits()
  return (
    <Panel title="By friction" note="at the tension of its hardest pull">
      {friction.runs && (
        <Figure name="T1/T2 there">
          {friction.runs.ratio === null
            ? 'nothing left in the slack run: it slips'
            : `${fixed(friction.runs.ratio, 2)}, slips at ${fixed(friction.runs.ratioAtSlip, 2)}`}
        </Figure>
      )}
      {friction.bestSpeedMS !== null && (
        <Figure name="carries most at">{units.show('loopSpeed', friction.bestSpeedMS)}</Figure>
      )}
      {friction.greatestPowerKw !== null && (
        <Figure name="and then">{units.show('power', friction.greatestPowerKw)}</Figure>
      )}
      {friction.creepPercent !== null ? (
        <Figure name="creeps, by its stretch">{figure(friction.creepPercent, 2)} %</Figure>
      ) : (
        <Figure name="creeps, as usual">
          {fixed(friction.creepLowPercent, 0)} to {fixed(friction.creepHighPercent, 0)} %
        </Figure>
      )}
      {friction.lengthFactor !== null && (
        <Figure name="length factor K2">{fixed(friction.lengthFactor, 2)}</Figure>
      )}
      <Figure name="runs well from">
        {units.show('loopSpeed', friction.speedFromMS)} to {units.show('loopSpeed', friction.speedToMS)}
      </Figure>
      <Figure name="used over">
        {plain(friction.distanceFromM)} to {plain(friction.distanceToM)} m
      </Figure>
      <p className="cap" style={{ marginTop: 6 }}>
        Speeds: {friction.speedSource}. {friction.ropeSource && `Ropes: ${friction.ropeSource}.`} Some teach
        that V-belts do not slip: they creep, and slip when overloaded. Distances and creep: common practice.
        Never oil or dressing on a belt unless its maker says so.
      </p>
    </Panel>
  )
}
