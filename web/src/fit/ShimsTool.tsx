import { SegmentedControl } from '@mantine/core'
import { useState } from 'react'
import { findShims, type SheaveShimsInput, type ShimSense } from '../api/client'
import { useComputed } from '../api/queries'
import type { Fit } from '../loop/useFit'
import type { Workbench } from '../machine/useWorkbench'
import { figure, plain } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { LabelledValue } from '../shell/LabelledValue'
import { type ToolField, ToolPanel } from '../shell/ToolPanel'

type Measured = Partial<Omit<SheaveShimsInput, 'sense' | 'isDriver'>>

const FIELDS: ToolField<keyof Measured>[] = [
  { key: 'sheaveAngleDeg', label: 'Angle between its faces', unit: '°' },
  { key: 'shimMm', label: 'A shim thick', quantity: 'fine' },
  { key: 'standsMm', label: 'Belt above the rim', quantity: 'fine' },
  { key: 'wantedMm', label: 'Wanted above it', quantity: 'fine' },
  { key: 'shimsIn', label: 'Shims at each bolt', isCount: true },
  { key: 'spare', label: 'Spare for each bolt', isCount: true },
  { key: 'radiusMm', label: 'Belt runs at a radius of', quantity: 'fine' },
  { key: 'centreMm', label: 'Between the shafts', quantity: 'fine' },
  { key: 'lengthMm', label: 'Belt long, where it bends', quantity: 'fine' },
]

/** Shims of a sheave that opens and closes, where its belt creeps at idle or bogs. */
export function ShimsTool({ bench, fit }: { bench: Workbench; fit: Fit }) {
  const units = useUnits()
  // What was said once of this machine is not asked again.
  const said = bench.card.machine.settings?.find((s) => s.loopKey === fit.loop.loopKey)?.shims
  const [values, setValues] = useState<Measured>(() => ({
    wantedMm: 0,
    ...(said?.sheaveAngleDeg != null && { sheaveAngleDeg: said.sheaveAngleDeg }),
    ...(said?.shimMm != null && { shimMm: said.shimMm }),
  }))
  const [sense, setSense] = useState<NonNullable<ShimSense> | 'unknown'>(said?.sense ?? 'unknown')
  const [isDriver, setDriver] = useState(false)
  const { sheaveAngleDeg, shimMm, standsMm, wantedMm, shimsIn, spare } = values
  const answer = useComputed(
    'sheave-shims',
    sense !== 'unknown' &&
      sheaveAngleDeg !== undefined &&
      shimMm !== undefined &&
      standsMm !== undefined &&
      wantedMm !== undefined &&
      shimsIn !== undefined &&
      spare !== undefined
      ? {
          sheaveAngleDeg,
          shimMm,
          sense,
          standsMm,
          wantedMm,
          shimsIn,
          spare,
          radiusMm: values.radiusMm ?? null,
          centreMm: values.centreMm ?? null,
          lengthMm: values.lengthMm ?? null,
          isDriver,
        }
      : undefined,
    findShims,
  )
  return (
    <ToolPanel
      above={
        <>
          <p className="cap">
            First: is it the right belt, by its number, its width and its angle? Another one can’t be shimmed
            right.
          </p>
          <SegmentedControl
            size="xs"
            mt={6}
            orientation="vertical"
            aria-label="Where its shims lie"
            value={sense}
            onChange={(value) => setSense(value as typeof sense)}
            data={[
              { value: 'unknown', label: 'where do its shims lie?' },
              { value: 'underOpeningBolts', label: 'under bolts that push it open: one out opens it' },
              { value: 'betweenHalves', label: 'between its halves: one in opens it' },
            ]}
          />
          <SegmentedControl
            size="xs"
            mt={6}
            display="flex"
            aria-label="Which sheave it is"
            value={isDriver ? 'driver' : 'driven'}
            onChange={(value) => setDriver(value === 'driver')}
            data={[
              { value: 'driven', label: 'the driven sheave' },
              { value: 'driver', label: 'the driving one' },
            ]}
          />
        </>
      }
      fields={FIELDS}
      values={values}
      onChange={setValues}
      answer={answer}
      of={`a belt ${units.show('fine', answer.of?.standsMm ?? 0)} above its rim`}
      working="shims"
      empty={
        <p className="cap">
          Motor off. Height of the belt above the rim, what a shim is thick, how many are in. Radius, shafts
          and length tell the ratio, too; they may be left out.
        </p>
      }
    >
      {(data, why) => (
        <>
          <p style={{ marginBottom: 6 }}>
            <b>
              {data.out > 0 && `Take ${plain(data.out)} out at every bolt.`}
              {data.in > 0 && `Put ${plain(data.in)} in at every bolt.`}
              {data.out === 0 &&
                data.in === 0 &&
                data.missing === 0 &&
                'It is as near as shims can bring it.'}
            </b>{' '}
            {why}
          </p>
          <LabelledValue name="one shim moves the belt by">
            {units.show('fine', data.perShimMm, 2)}
          </LabelledValue>
          <LabelledValue name="belt above the rim then">{units.show('fine', data.thenMm)}</LabelledValue>
          <LabelledValue name="shims at each bolt then">{plain(data.left)}</LabelledValue>
          {data.ratioNow !== null && data.ratioThen !== null && (
            <LabelledValue name="ratio at that radius">
              {figure(data.ratioNow)} → {figure(data.ratioThen)}
            </LabelledValue>
          )}
          {data.missing > 0 && (
            <p style={{ color: 'var(--watch)', marginTop: 6 }}>
              ▲ {plain(data.missing)} more at every bolt would be wanted and are not there: another belt, or
              parts.
            </p>
          )}
          <p className="cap">The same count at every bolt, or its halves stand askew.</p>
        </>
      )}
    </ToolPanel>
  )
}
