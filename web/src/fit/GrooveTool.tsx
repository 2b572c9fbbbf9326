import { useState } from 'react'
import { type GrooveResult, matchGroove } from '../api/client'
import { issueFor } from '../api/issues'
import { useComputed } from '../api/queries'
import { plain } from '../quantities/format'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import classes from '../shell/fields.module.css'
import { LabelledValue } from '../shell/LabelledValue'
import { Outdated } from '../shell/Outdated'
import { Refused } from '../shell/Refused'
import { WhyButton } from '../shell/WhyButton'
import { WorkingDialog } from '../shell/WorkingDialog'
import type { Fit } from './useFit'

const VERDICTS: Record<GrooveResult['verdict'], { text: string; tone: string }> = {
  seated: { text: '✓ Sits on its flanks, about flush.', tone: 'ok' },
  bottoms: { text: '■ Lies on the bottom: the flanks don’t grip, it slips and glazes.', tone: 'stop' },
  standsProud: {
    text: '▲ Stands proud: too wide for this groove, only part of its flanks carries.',
    tone: 'watch',
  },
  sitsDeep: { text: '▲ Sits deep: too narrow for this groove, or belt and groove are worn.', tone: 'watch' },
}

const FIELDS = ['datumDiameterMm', 'topWidthMm', 'depthMm', 'angleDeg', 'hollowMm']

/** Whether the loop's section and a measured groove belong together. */
export function GrooveTool({ fit }: { fit: Fit }) {
  const units = useUnits()
  const [datum, setDatum] = useState<number | undefined>(fit.choice.frontSize)
  const [top, setTop] = useState<number>()
  const [depth, setDepth] = useState<number>()
  const [angle, setAngle] = useState<number>()
  const [hollow, setHollow] = useState<number>()
  const [isWorking, setWorking] = useState(false)
  const { data, of, error, isStale } = useComputed(
    'groove',
    datum !== undefined && top !== undefined && depth !== undefined
      ? {
          section: fit.loop.standard,
          datumDiameterMm: datum,
          topWidthMm: top,
          depthMm: depth,
          angleDeg: angle ?? null,
          hollowMm: hollow ?? null,
        }
      : undefined,
    matchGroove,
  )
  const field = (
    label: string,
    name: string,
    value: number | undefined,
    set: (v: number | undefined) => void,
  ) => (
    <QuantityField
      size="xs"
      label={label}
      quantity="fine"
      value={value}
      onChange={set}
      error={issueFor(error, name)}
    />
  )
  return (
    <>
      <div className={classes.fields}>
        {field('Datum ⌀ of the pulley', 'datumDiameterMm', datum, setDatum)}
        {field('Groove wide at the rim', 'topWidthMm', top, setTop)}
        {field('Groove deep', 'depthMm', depth, setDepth)}
        <QuantityField
          size="xs"
          label="Angle of the flanks"
          unit="°"
          placeholder={data ? plain(data.standardAngleDeg) : 'standard'}
          value={angle}
          onChange={setAngle}
          error={issueFor(error, 'angleDeg')}
        />
        {field('Hollow of a flank', 'hollowMm', hollow, setHollow)}
      </div>
      <Refused error={error} fields={FIELDS} />
      {!data && <p className="cap">Measure the groove of a pulley: width at the rim and depth.</p>}
      {data && (
        <Outdated isStale={isStale} of={`a groove ${units.show('fine', of?.topWidthMm ?? 0)} wide`}>
          <p style={{ color: `var(--${VERDICTS[data.verdict].tone})`, marginBottom: 6 }}>
            {VERDICTS[data.verdict].text} <WhyButton onClick={() => setWorking(true)} />
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
        </Outdated>
      )}
      {isWorking && data && (
        <WorkingDialog title="Working: groove" workings={data.workings} onClose={() => setWorking(false)} />
      )}
    </>
  )
}
