import { TextInput } from '@mantine/core'
import { useState } from 'react'
import { type BeltCodeReading, readBeltCode } from '../api/client'
import { issueFor } from '../api/issues'
import { useComputed } from '../api/queries'
import type { Fit } from '../loop/useFit'
import type { Workbench } from '../machine/useWorkbench'
import { plain } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { LabelledValue } from '../shell/LabelledValue'
import { Outdated } from '../shell/Outdated'
import { Refused } from '../shell/Refused'
import table from '../shell/table.module.css'

const LENGTH_NAMES: Record<BeltCodeReading['lengthKind'], string> = {
  pitch: 'pitch length',
  datum: 'datum length',
  inside: 'datum length from the inside one',
  effective: 'effective outside length',
}

/** Reads what stands on a belt, and puts that belt on. */
export function BeltCodeTool({ bench, fit }: { bench: Workbench; fit: Fit }) {
  const [code, setCode] = useState('')
  const { data, of, error, isStale } = useComputed(
    'belt-code',
    code.trim() ? { code, standard: fit.loop.standard } : undefined,
    readBeltCode,
  )
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
      {data && (
        <Outdated isStale={isStale} of={`“${of?.code}”`}>
          {data.reading && <Reading read={data.reading} bench={bench} fit={fit} />}
          {data.couldBe.length > 0 && (
            <>
              <p>It names no profile or section. It could be:</p>
              <ul>
                {data.couldBe.map((read) => (
                  <li key={read.code}>
                    <button type="button" className={table.pick} onClick={() => setCode(read.code)}>
                      {read.code}
                    </button>{' '}
                    <Length read={read} />
                  </li>
                ))}
              </ul>
            </>
          )}
        </Outdated>
      )}
    </>
  )
}

function Length({ read }: { read: BeltCodeReading }) {
  const units = useUnits()
  return (
    <span className="cap">
      {read.teeth !== null && `${plain(read.teeth)} teeth, `}
      {LENGTH_NAMES[read.lengthKind]} {units.show('fine', read.lengthMm)}
    </span>
  )
}

function Reading({ read, bench, fit }: { read: BeltCodeReading; bench: Workbench; fit: Fit }) {
  const units = useUnits()
  const isSame = read.standard === fit.loop.standard
  const length = read.teeth ?? read.lengthMm
  return (
    <>
      <LabelledValue name="profile or section">
        {read.standard}
        {read.isNotched !== null && `, ${read.isNotched ? 'notched inside' : 'plain'}`}
      </LabelledValue>
      {read.teeth !== null && <LabelledValue name="teeth">{plain(read.teeth)}</LabelledValue>}
      <LabelledValue name={LENGTH_NAMES[read.lengthKind]}>{units.show('fine', read.lengthMm)}</LabelledValue>
      {read.insideLengthMm !== null && (
        <LabelledValue name="inside length">{units.show('fine', read.insideLengthMm)}</LabelledValue>
      )}
      {read.widthMm !== null && (
        <LabelledValue name="width">{units.show('fine', read.widthMm)}</LabelledValue>
      )}
      <LabelledValue name="written">{read.code}</LabelledValue>
      {!isSame && (
        <p style={{ color: 'var(--watch)', marginTop: 6 }}>
          ▲ This loop is entered as {fit.loop.standard}, the belt says {read.standard}.
        </p>
      )}
      {read.lengthKind === 'effective' && (
        <p style={{ color: 'var(--watch)', marginTop: 6 }}>
          ▲ An effective length must not be mixed with datum diameters.
        </p>
      )}
      {isSame && read.lengthKind !== 'effective' && (
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
    </>
  )
}
