import { Group, Select } from '@mantine/core'
import { useMutation } from '@tanstack/react-query'
import type { AimTarget } from '../api/client'
import { askFor, type Question } from '../api/evaluation'
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
  gainRatio: [
    { key: 'low', label: 'Shortest', unit: '' },
    { key: 'high', label: 'Tallest', unit: '' },
  ],
  matchSetup: [TOLERANCE],
}
const ANY_GEAR = 'any'

/** The target in the person's own terms; each kind asks only for what it needs. */
export function TargetForm({ bench, target, onChange, error }: Props) {
  const drive = bench.card.summary.drives.find((d) => d.driveKey === bench.drive.key)
  const kinds = [...(drive?.aimKinds ?? []), 'matchSetup' as const].map((value) => ({
    value,
    label: TARGET_WORDS[value],
  }))
  const values = target as unknown as Record<string, number | null> // fields differ by kind; FIELDS names them
  const issue = (key: string) => issueFor(error, `target.${key}`)
  const named = FIELDS[target.kind].some((f) => issue(f.key)) || issue('gearIndex')
  const start = useMutation({
    mutationFn: (kind: Question<'startingAim'>['kind']) => askFor(bench.asFitted, 'startingAim', { kind }),
  })
  const begin = (kind: TargetKind) =>
    kind !== 'matchSetup'
      ? start.mutate(kind, { onSuccess: onChange })
      : drive && onChange(matching(bench, bench.card.fitted.id, drive.matchTolerancePercent))
  return (
    <>
      <Group align="start" mt="sm" gap="sm">
        <Select
          label="Aim at"
          w={210}
          data={kinds}
          value={target.kind}
          disabled={start.isPending}
          onChange={(kind) => kind && begin(kind)}
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
        {'gearIndex' in target && bench.gears.length > 1 && (
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
      {start.error && (
        <p role="alert" style={{ color: 'var(--stop)' }}>
          {sentenceOf(start.error)}
        </p>
      )}
      {Boolean(error) && !named && (
        <p role="alert" style={{ color: 'var(--stop)' }}>
          {sentenceOf(error)}
        </p>
      )}
    </>
  )
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
