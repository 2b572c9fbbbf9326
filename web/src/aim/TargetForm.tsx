import { Group, Select } from '@mantine/core'
import type { AimTarget, SetupFigures } from '../api/client'
import { issueFor, sentenceOf } from '../api/issues'
import { TARGET_WORDS, type TargetKind } from '../machine/targets'
import type { Workbench } from '../machine/useWorkbench'
import { gearName } from '../quantities/format'
import { QuantityField } from '../quantities/QuantityField'
import type { Quantity } from '../quantities/units'

interface Props {
  bench: Workbench
  target: AimTarget
  onChange: (target: AimTarget) => void
  error: unknown
}

interface Field {
  key: string
  label: string
  quantity?: Quantity
  unit?: string
}

const SPEED: Field = { key: 'speedKmh', label: 'Speed', quantity: 'speed' }
const TOLERANCE: Field = { key: 'tolerancePercent', label: 'Give or take', unit: '%' }
const RPM_RANGE: Field[] = [
  { key: 'shaftSpeedLowRpm', label: 'From', unit: 'rpm' },
  { key: 'shaftSpeedHighRpm', label: 'To', unit: 'rpm' },
]
const RATIO_RANGE: Field[] = [
  { key: 'low', label: 'Tallest', unit: '' },
  { key: 'high', label: 'Shortest', unit: '' },
]
const FIELDS: Record<TargetKind, Field[]> = {
  cruiseSpeed: [SPEED, ...RPM_RANGE],
  topSpeed: [SPEED, TOLERANCE],
  speedAtCadence: [
    SPEED,
    { key: 'cadenceLowRpm', label: 'From', unit: 'turns/min' },
    { key: 'cadenceHighRpm', label: 'To', unit: 'turns/min' },
  ],
  outputSpeed: [{ key: 'outputSpeedRpm', label: 'Output', unit: 'rpm' }, ...RPM_RANGE],
  overallRatio: RATIO_RANGE,
  finalRatio: RATIO_RANGE,
  matchSetup: [TOLERANCE],
}
const HAS_GEAR = new Set<TargetKind>([
  'cruiseSpeed',
  'topSpeed',
  'speedAtCadence',
  'outputSpeed',
  'overallRatio',
])
const ANY_GEAR = 'any'

/** The target in the person's own terms; each kind asks only for what it needs. */
export function TargetForm({ bench, target, onChange, error }: Props) {
  const kinds = kindsFor(bench).map((value) => ({ value, label: TARGET_WORDS[value] }))
  const values = target as unknown as Record<string, number | null> // fields differ by kind; FIELDS names them
  const issue = (key: string) => issueFor(error, `target.${key}`) ?? issueFor(error, `aim.${key}`)
  const named = FIELDS[target.kind].some((f) => issue(f.key)) || issue('gearIndex')
  return (
    <>
      <Group align="start" mt="sm" gap="sm">
        <Select
          label="Aim at"
          w={210}
          data={kinds}
          value={target.kind}
          onChange={(kind) => onChange(startOf(kind as TargetKind, bench))}
        />
        {target.kind === 'matchSetup' && (
          <Select
            label="Setup"
            w={180}
            data={bench.setups.map((s) => ({ value: String(s.id), label: s.name }))}
            value={String(target.setupId)}
            onChange={(id) => onChange(matching(bench, Number(id), target.tolerancePercent))}
          />
        )}
        {FIELDS[target.kind].map((field) => (
          <QuantityField
            key={target.kind + field.key}
            label={field.label}
            w={122}
            quantity={field.quantity}
            unit={field.unit}
            value={values[field.key] ?? undefined}
            // An emptied field is asked with NaN's JSON form, null: the core names it. Until then nothing is stored.
            onChange={(value) => onChange({ ...target, [field.key]: value ?? null } as AimTarget)}
            error={issue(field.key) ?? (values[field.key] === null ? 'Give a number.' : undefined)}
          />
        ))}
        {HAS_GEAR.has(target.kind) && bench.gears.length > 1 && (
          <Select
            label="Gear"
            w={92}
            data={[
              ...(target.kind === 'overallRatio' ? [{ value: ANY_GEAR, label: 'any' }] : []),
              ...bench.gears.map((label, i) => ({ value: String(i), label: gearName(label) })),
            ]}
            value={values.gearIndex === null ? ANY_GEAR : String(values.gearIndex)}
            onChange={(index) =>
              onChange({ ...target, gearIndex: index === ANY_GEAR ? null : Number(index) } as AimTarget)
            }
            error={issue('gearIndex')}
          />
        )}
      </Group>
      {Boolean(error) && !named && (
        <p role="alert" style={{ color: 'var(--stop)' }}>
          {sentenceOf(error)}
        </p>
      )}
    </>
  )
}

function kindsFor(bench: Workbench): TargetKind[] {
  const pedalled = bench.drive.input.kind === 'rider'
  return [
    ...(pedalled ? (['speedAtCadence'] as const) : (['cruiseSpeed', 'topSpeed'] as const)),
    'outputSpeed',
    'overallRatio',
    'finalRatio',
    'matchSetup',
  ]
}

function matching(bench: Workbench, setupId: number, tolerancePercent: number): AimTarget {
  const setup = bench.setups.find((s) => s.id === setupId) ?? bench.card.fitted
  return {
    kind: 'matchSetup',
    setupId: setup.id,
    setupName: setup.name,
    loops: setup.loops,
    roadWheels: setup.roadWheels,
    tolerancePercent,
  }
}

/** Starts from what the fitted wheels do in the last gear, so that the first band shown is near the truth. */
function startOf(kind: TargetKind, bench: Workbench): AimTarget {
  const figures: SetupFigures | undefined = bench.comparison.data?.setups[0]
  const top = figures?.gears.at(-1)
  const gearIndex = bench.gears.length - 1
  const round = (value: number) => Number(value.toPrecision(2))
  const three = (value: number) => Number(value.toPrecision(3))
  const { lowSpeedRpm, limitSpeedRpm } = bench.drive.input
  const middle = (lowSpeedRpm + limitSpeedRpm) / 2
  const speedKmh = round(((top?.speedLowKmh ?? 10) + (top?.speedHighKmh ?? 30)) / 2)
  const range = { low: round(middle * 0.95), high: round(middle * 1.05) }
  switch (kind) {
    case 'cruiseSpeed':
      return { kind, speedKmh, gearIndex, shaftSpeedLowRpm: range.low, shaftSpeedHighRpm: range.high }
    case 'topSpeed':
      return { kind, speedKmh: round(top?.speedHighKmh ?? 30), gearIndex, tolerancePercent: 4 }
    case 'speedAtCadence':
      return { kind, speedKmh, gearIndex, cadenceLowRpm: range.low, cadenceHighRpm: range.high }
    case 'outputSpeed':
      return {
        kind,
        outputSpeedRpm: round(((top?.outputLowRpm ?? 50) + (top?.outputHighRpm ?? 50)) / 2),
        gearIndex,
        shaftSpeedLowRpm: range.low,
        shaftSpeedHighRpm: range.high,
      }
    case 'overallRatio':
      return {
        kind,
        low: three((top?.overallRatio ?? 5) * 0.97),
        high: three((top?.overallRatio ?? 5) * 1.03),
        gearIndex,
      }
    case 'finalRatio':
      return {
        kind,
        low: three((figures?.finalRatio ?? 3) * 0.97),
        high: three((figures?.finalRatio ?? 3) * 1.03),
      }
    case 'matchSetup':
      return matching(bench, bench.card.fitted.id, 2)
  }
}
