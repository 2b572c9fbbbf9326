import { Select } from '@mantine/core'
import { useState } from 'react'
import { type CarriedTorqueInput, carryTorque } from '../api/client'
import { issueFor } from '../api/issues'
import { useComputed } from '../api/queries'
import { fixed, plain } from '../quantities/format'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import { Figure } from '../shell/Figure'
import fields from '../shell/fields.module.css'
import { Panel } from '../shell/Panel'
import { Refused } from '../shell/Refused'
import table from '../shell/table.module.css'
import { WhyButton } from '../shell/WhyButton'
import { WorkingDialog } from '../shell/WorkingDialog'
import { VERDICT_WORDS } from './words'

type Carrier = CarriedTorqueInput['carrier']
type Kind = Carrier['kind']

const KIND_WORDS: Record<Kind, string> = {
  key: 'key',
  spline: 'spline',
  boltCircle: 'bolt circle',
  shaft: 'shaft, twisted',
}

/** Sizes of each kind, with what they are called and measured in. */
const SIZES: Record<Kind, [field: string, label: string, isCount?: boolean][]> = {
  key: [
    ['shaftMm', 'Shaft'],
    ['widthMm', 'Key width'],
    ['heightMm', 'Key height'],
    ['lengthMm', 'Bears over'],
  ],
  spline: [
    ['splines', 'Splines', true],
    ['outerMm', 'Over the splines'],
    ['innerMm', 'At their feet'],
    ['lengthMm', 'Bears over'],
  ],
  boltCircle: [
    ['bolts', 'Bolts', true],
    ['circleMm', 'Bolt circle'],
    ['boltMm', 'Bolt in the joint'],
  ],
  shaft: [
    ['diameterMm', 'Thinnest diameter'],
    ['boreMm', 'Bore'],
  ],
}

const STRESS_WORDS = { shear: 'shear', bearing: 'pressure', torsion: 'twist' }
const TONES = { fine: 'ok', watch: 'watch', stop: 'stop', notApplicable: undefined } as const

/** Whether key, spline, bolts or shaft hold what the loop asks of them, measured with the part in hand. */
export function CarrierPanel({ torqueNm }: { torqueNm: number }) {
  const units = useUnits()
  const [kind, setKind] = useState<Kind>('key')
  const [sizes, setSizes] = useState<Record<string, number | undefined>>({})
  const [typed, setTyped] = useState<{ torqueNm?: number; yieldMpa?: number; proofTorqueNm?: number }>({})
  const [isWorking, setWorking] = useState(false)
  const known = SIZES[kind].every(([field]) => sizes[field] !== undefined)
  const answer = useComputed(
    'carried-torque',
    known
      ? {
          carrier: {
            kind,
            ...Object.fromEntries(SIZES[kind].map(([field]) => [field, sizes[field]])),
          } as Carrier,
          torqueNm: typed.torqueNm ?? torqueNm,
          yieldMpa: typed.yieldMpa ?? null,
          proofTorqueNm: typed.proofTorqueNm ?? null,
        }
      : undefined,
    carryTorque,
  )
  const result = known ? answer.data : undefined
  const own = (
    label: string,
    key: keyof typeof typed,
    quantity?: 'torque' | 'pressure',
    placeholder = '',
  ) => (
    <QuantityField
      size="xs"
      label={label}
      quantity={quantity}
      placeholder={placeholder}
      value={typed[key]}
      onChange={(value) => setTyped({ ...typed, [key]: value })}
      error={issueFor(answer.error, key)}
    />
  )
  return (
    <Panel
      title="What carries the torque"
      isStale={answer.isStale}
      aside={result && <WhyButton onClick={() => setWorking(true)} />}
      isEmpty={!known}
    >
      <div className={fields.fields} data-no-print>
        <Select
          size="xs"
          label="Joint"
          data={Object.entries(KIND_WORDS).map(([value, label]) => ({ value, label }))}
          value={kind}
          onChange={(value) => setKind((value as Kind | null) ?? 'key')}
        />
        {SIZES[kind].map(([field, label, isCount]) => (
          <QuantityField
            key={kind + field}
            size="xs"
            label={label}
            quantity={isCount ? undefined : 'fine'}
            value={sizes[field]}
            onChange={(value) => setSizes({ ...sizes, [field]: value })}
            error={issueFor(answer.error, `carrier.${field}`)}
          />
        ))}
        {own('Torque', 'torqueNm', 'torque', plain(Number(units.toShown('torque', torqueNm).toPrecision(4))))}
        {own(
          'Yield strength',
          'yieldMpa',
          'pressure',
          result ? plain(Number(units.toShown('pressure', result.yieldMpa).toPrecision(4))) : '',
        )}
        {own('Held in a test', 'proofTorqueNm', 'torque')}
      </div>
      <Refused error={answer.error} />
      {!known && (
        <p className="cap">Measure the joint: the sum follows. A torque that it held in a test says more.</p>
      )}
      {result && (
        <>
          {result.stresses.map((s) => (
            <Figure key={s.kind} name={STRESS_WORDS[s.kind]}>
              {units.show('pressure', s.stressMpa)} of {units.show('pressure', s.yieldMpa)}
            </Figure>
          ))}
          <p style={{ marginTop: 6 }}>
            <span className={table.tag} data-tone={TONES[result.verdict]}>
              {VERDICT_WORDS[result.verdict]}
            </span>{' '}
            ×{fixed(result.margin, 2)}
            {result.isProven ? ' by the test that was written down' : ' against yield'}; ×
            {fixed(result.wantedMargin, 2)} or more is wanted.
          </p>
        </>
      )}
      {isWorking && result && (
        <WorkingDialog
          title="Working: what carries the torque"
          workings={result.workings}
          onClose={() => setWorking(false)}
        />
      )}
    </Panel>
  )
}
