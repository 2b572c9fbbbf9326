import { TextInput } from '@mantine/core'
import { useState } from 'react'
import { type BeltCodeReading, readBeltCode } from '../api/client'
import { issueFor } from '../api/issues'
import { useComputed } from '../api/queries'
import type { Workbench } from '../machine/useWorkbench'
import { plain } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { Figure } from '../shell/Figure'
import { Refused } from '../shell/Refused'
import table from '../shell/table.module.css'
import type { Fit } from './useFit'

const TOLD: Record<BeltCodeReading['told'], string> = {
  pitch: 'pitch length',
  datum: 'datum length',
  inside: 'datum length from the inside one',
  effective: 'effective outside length',
}

/** Reads what stands on a belt, and puts that belt on. */
export function BeltCodeTool({ bench, fit }: { bench: Workbench; fit: Fit }) {
  const units = useUnits()
  const [code, setCode] = useState('')
  const { data, error, isStale } = useComputed('belt-code', code.trim() ? { code } : undefined, readBeltCode)
  const isSame = data?.standard === fit.loop.standard
  const length = data?.teeth ?? data?.lengthMm
  return (
    <>
      <TextInput
        size="xs"
        mb="xs"
        label="As it stands on the belt"
        placeholder="1240-8M-30, 300L075, A52 …"
        value={code}
        onChange={(event) => setCode(event.currentTarget.value)}
        error={issueFor(error, 'code')}
      />
      <Refused error={error} fields={['code']} />
      {data && code.trim() && (
        <div style={{ opacity: isStale ? 0.6 : 1 }}>
          <Figure name="profile or section">{data.standard}</Figure>
          {data.teeth !== null && <Figure name="teeth">{plain(data.teeth)}</Figure>}
          <Figure name={TOLD[data.told]}>{units.show('fine', data.lengthMm)}</Figure>
          {data.insideLengthMm !== null && (
            <Figure name="inside length">{units.show('fine', data.insideLengthMm)}</Figure>
          )}
          {data.widthMm !== null && <Figure name="width">{units.show('fine', data.widthMm)}</Figure>}
          <Figure name="written">{data.code}</Figure>
          {!isSame && (
            <p style={{ color: 'var(--watch)', marginTop: 6 }}>
              ▲ This loop is entered as {fit.loop.standard}, the belt says {data.standard}.
            </p>
          )}
          {data.told === 'effective' && (
            <p style={{ color: 'var(--watch)', marginTop: 6 }}>
              ▲ An effective length must not be mixed with datum diameters.
            </p>
          )}
          {isSame && data.told !== 'effective' && length !== undefined && (
            <button
              type="button"
              className={table.pick}
              onClick={() =>
                bench.pick([
                  {
                    loopKey: fit.loop.loopKey,
                    frontSize: fit.choice.frontSize,
                    rearSize: fit.choice.rearSize,
                    length,
                  },
                ])
              }
            >
              See it on these wheels
            </button>
          )}
        </div>
      )}
    </>
  )
}
