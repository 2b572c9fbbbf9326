import type { LoopLoadsResult } from '../api/client'
import { figure, fixed, plain } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { LabelledValue } from '../shell/LabelledValue'
import { Panel } from '../shell/Panel'

/** What a belt or rope by friction could do at best, and what it is used for. */
export function FrictionPanel({ friction }: { friction: NonNullable<LoopLoadsResult['friction']> }) {
  const units = useUnits()
  return (
    <Panel title="By friction" note="at the tension of its hardest pull">
      {friction.runs && (
        <LabelledValue name="T1/T2 there">
          {friction.runs.ratio === null
            ? 'nothing left in the slack run: it slips'
            : `${fixed(friction.runs.ratio, 2)}, slips at ${fixed(friction.runs.ratioAtSlip, 2)}`}
        </LabelledValue>
      )}
      {friction.bestSpeedMS !== null && (
        <LabelledValue name="carries most at">{units.show('loopSpeed', friction.bestSpeedMS)}</LabelledValue>
      )}
      {friction.greatestPowerKw !== null && (
        <LabelledValue name="and then">{units.show('power', friction.greatestPowerKw)}</LabelledValue>
      )}
      {friction.creepPercent !== null ? (
        <LabelledValue name="creeps, by its stretch">{figure(friction.creepPercent, 2)} %</LabelledValue>
      ) : (
        <LabelledValue name="creeps, as usual">
          {fixed(friction.creepLowPercent, 0)} to {fixed(friction.creepHighPercent, 0)} %
        </LabelledValue>
      )}
      {friction.lengthFactor !== null && (
        <LabelledValue name="length factor K2">{fixed(friction.lengthFactor, 2)}</LabelledValue>
      )}
      {friction.rating && (
        <>
          <LabelledValue name="wrap factor K1">{fixed(friction.rating.wrapFactor, 2)}</LabelledValue>
          <LabelledValue name="one belt passes on here">
            {units.show('power', friction.rating.perBeltKw)}
          </LabelledValue>
          <LabelledValue name="design power">
            {units.show('power', friction.rating.designPowerKw)}
          </LabelledValue>
        </>
      )}
      <LabelledValue name="runs well from">
        {units.show('loopSpeed', friction.speedFromMS)} to {units.show('loopSpeed', friction.speedToMS)}
      </LabelledValue>
      <LabelledValue name="used over">
        {plain(friction.distanceFromM)} to {plain(friction.distanceToM)} m
      </LabelledValue>
      <p className="cap" style={{ marginTop: 6 }}>
        Speeds: {friction.speedSource}. {friction.ropeSource && `Ropes: ${friction.ropeSource}.`} Some teach
        that V-belts do not slip: they creep, and slip when overloaded. Distances and creep: common practice.
        Never oil or dressing on a belt unless its maker says so.
      </p>
    </Panel>
  )
}
