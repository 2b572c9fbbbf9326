import { Select } from '@mantine/core'
import { useState } from 'react'
import { type KnownChainInput, type LoopLoadsResult, loadKnownChain } from '../api/client'
import { issueFor } from '../api/issues'
import { useComputed, useDesignations } from '../api/queries'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import fields from '../shell/fields.module.css'
import { Refused } from '../shell/Refused'
import table from '../shell/table.module.css'

/** A chain that is known to last by the figures people remember of it, beside this one. */
export function KnownChainFields({ standard, answer }: { standard: string; answer: LoopLoadsResult }) {
  const units = useUnits()
  const chains = useDesignations().data?.chains ?? []
  const [known, setKnown] = useState<Partial<KnownChainInput>>({ standard })
  const isWhole = known.teeth !== undefined && known.rpm !== undefined && known.powerKw !== undefined
  const computed = useComputed(
    'known-chain',
    isWhole ? (known as KnownChainInput) : undefined,
    loadKnownChain,
  )
  const theirs = isWhole ? computed.data : undefined
  const field = (label: string, key: 'teeth' | 'rpm' | 'powerKw', unit?: string) => (
    <QuantityField
      size="xs"
      label={label}
      unit={unit}
      quantity={key === 'powerKw' ? 'power' : undefined}
      value={known[key]}
      onChange={(value) => setKnown({ ...known, [key]: value })}
      error={issueFor(computed.error, key)}
    />
  )
  const hardest = answer.points[0]
  const pins = answer.checks.find((c) => c.kind === 'pinPressure')?.value
  const force = (value: number | undefined) => (value === undefined ? '–' : units.show('force', value, 0))
  const pressure = (value: number | null | undefined) => (value == null ? '–' : units.show('pressure', value))
  return (
    <>
      <div className={fields.fields} style={{ marginTop: 6 }} data-no-print>
        <Select
          size="xs"
          label="Its chain"
          data={chains}
          searchable
          value={known.standard ?? null}
          onChange={(value) => setKnown({ ...known, standard: value ?? standard })}
        />
        {field('Front teeth', 'teeth', '')}
        {field('Shaft speed', 'rpm', 'rpm')}
        {field('Power it carries', 'powerKw')}
      </div>
      <Refused error={computed.error} />
      {theirs && (
        <table className={table.table}>
          <thead>
            <tr>
              <th scope="col">
                <span className="visually-hidden">figure</span>
              </th>
              <th scope="col">this, hardest pull</th>
              <th scope="col">known</th>
            </tr>
          </thead>
          <tbody>
            <tr>
              <th scope="row">chain speed</th>
              <td className="num">{hardest ? units.show('loopSpeed', hardest.speedMS) : '–'}</td>
              <td className="num">{units.show('loopSpeed', theirs.speedMS)}</td>
            </tr>
            <tr>
              <th scope="row">pull</th>
              <td className="num">{force(hardest?.pullN)}</td>
              <td className="num">{force(theirs.pullN)}</td>
            </tr>
            <tr>
              <th scope="row">on the first tooth</th>
              <td className="num">{force(hardest?.teeth?.firstToothN)}</td>
              <td className="num">{force(theirs.firstToothN)}</td>
            </tr>
            <tr>
              <th scope="row">pressure in the pins (here cruising)</th>
              <td className="num">{pressure(pins)}</td>
              <td className="num">{pressure(theirs.pinPressureMpa)}</td>
            </tr>
          </tbody>
        </table>
      )}
    </>
  )
}
