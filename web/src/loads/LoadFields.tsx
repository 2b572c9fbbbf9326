import { Button, Checkbox, Group, SegmentedControl, Select } from '@mantine/core'
import type {
  AssumedLoads,
  Drive,
  LoadSource,
  LoopLoadsResult,
  LoopStrength,
  LoopSummary,
} from '../api/client'
import { issueFor, sentenceOf } from '../api/issues'
import { useMachineSave } from '../machine/useMachineSave'
import type { Workbench } from '../machine/useWorkbench'
import { plain } from '../quantities/format'
import { QuantityField } from '../quantities/QuantityField'
import { type Quantity, useUnits } from '../quantities/units'
import fields from '../shell/fields.module.css'
import { Panel } from '../shell/Panel'
import type { LoadParts } from './useLoads'

type Numbers<T> = { [K in keyof T]-?: T[K] extends number | null | undefined ? K : never }[keyof T]

/** Where the core tells what an empty field is counted as. */
const SOURCE_DEFAULTS: Partial<Record<Numbers<LoadSource>, keyof AssumedLoads>> = {
  peakTorqueRpm: 'peakTorqueRpm',
  riderMassKg: 'riderMassKg',
  massKg: 'massKg',
  friction: 'tyreFriction',
  cruiseKmh: 'cruiseKmh',
}
const STRENGTH_DEFAULTS: Partial<Record<Numbers<LoopStrength>, keyof AssumedLoads>> = {
  shockFactor: 'shockFactor',
  sagMm: 'sagMm',
  breakingLoadN: 'breakingLoadN',
  bearingAreaMm2: 'bearingAreaMm2',
  friction: 'beltFriction',
  grooveAngleDeg: 'grooveAngleDeg',
  installedTensionN: 'installedTensionN',
}

/** Everything the loads are computed from; the margins move while it is typed, and it is stored when wanted. */
export function LoadFields({
  bench,
  loop,
  parts,
  answer,
  isDraft,
  refusal,
  onDraft,
}: {
  bench: Workbench
  loop: LoopSummary
  parts: LoadParts
  /** Tells what is counted with where a field is empty, and the sizes that can be tried. */
  answer: LoopLoadsResult | undefined
  isDraft: boolean
  refusal: unknown
  onDraft: (parts: LoadParts | null) => void
}) {
  const { machine, fitted } = bench.card
  const { store, error, isPending, dialog } = useMachineSave(() => onDraft(null))
  const { source, strength } = parts
  const sizes = answer?.sizes ?? []
  const assumed = answer?.assumed
  const units = useUnits()
  const placeholder = (value: number | null | undefined, quantity?: Quantity) =>
    value == null ? '' : plain(Number((quantity ? units.toShown(quantity, value) : value).toPrecision(4)))
  const setSource = (part: Partial<LoadSource>) => onDraft({ ...parts, source: { ...source, ...part } })
  const setStrength = (part: Partial<LoopStrength>) =>
    onDraft({ ...parts, strength: { ...strength, ...part } })
  const field = (label: string, key: Numbers<LoadSource>, quantity?: Quantity, unit?: string) => (
    <QuantityField
      size="xs"
      label={label}
      quantity={quantity}
      unit={unit}
      placeholder={placeholder(SOURCE_DEFAULTS[key] && assumed?.[SOURCE_DEFAULTS[key]], quantity)}
      value={source[key] ?? undefined}
      onChange={(value) => setSource({ [key]: value ?? null })}
      error={issueFor(refusal, `source.${key}`)}
    />
  )
  const part = (label: string, key: Numbers<LoopStrength>, quantity?: Quantity, unit?: string) => (
    <QuantityField
      size="xs"
      label={label}
      quantity={quantity}
      unit={unit}
      placeholder={placeholder(STRENGTH_DEFAULTS[key] && assumed?.[STRENGTH_DEFAULTS[key]], quantity)}
      value={strength[key] ?? undefined}
      onChange={(value) => setStrength({ [key]: value ?? null })}
      error={issueFor(refusal, `strength.${key}`)}
    />
  )
  const isChain = loop.medium === 'chain'
  return (
    <Panel title="What pulls, and what it must hold" note="grey: counted with where nobody said more">
      <div className={fields.fields} data-no-print>
        {sourceFields(bench.drive, field)}
      </div>
      <div className={fields.fields} data-no-print>
        {sizes.length > 1 && (
          <Select
            size="xs"
            label={isChain ? 'Chain size' : 'Section'}
            data={sizes}
            value={strength.standard ?? loop.standard}
            onChange={(value) =>
              // What was typed of the first size holds for another one no more.
              setStrength({
                standard: value === loop.standard ? null : value,
                breakingLoadN: null,
                massKgPerM: null,
                bearingAreaMm2: null,
                ratingPerBeltKw: null,
              })
            }
            error={issueFor(refusal, 'strength.standard')}
          />
        )}
        {loop.medium !== 'flatBelt' && loop.medium !== 'toothedBelt' && (
          <QuantityField
            size="xs"
            label={isChain ? 'Strands' : 'Belts side by side'}
            unit=""
            value={strength.strands ?? 1}
            onChange={(strands) => strands !== undefined && setStrength({ strands })}
            error={issueFor(refusal, 'strength.strands')}
          />
        )}
        {isChain && part('Breaking load', 'breakingLoadN', 'force')}
        {isChain && part('Pin times bush', 'bearingAreaMm2', undefined, 'mm²')}
        {isChain && part('Sag of the slack run', 'sagMm', 'fine')}
        {loop.medium === 'toothedBelt' && part('Belt width', 'widthMm', 'fine')}
        {loop.medium === 'toothedBelt' && part('Maker’s working pull', 'allowedPullN', 'force')}
        {!isChain && part('Set tension, one run', 'installedTensionN', 'force')}
        {!isChain && loop.medium !== 'toothedBelt' && part('Friction', 'friction', undefined, '')}
        {loop.medium === 'vBelt' && part('Rating of one belt', 'ratingPerBeltKw', 'power')}
        {loop.medium === 'vBelt' && part('Groove, included angle', 'grooveAngleDeg', undefined, '°')}
        {loop.medium !== 'toothedBelt' && part('Mass of a metre', 'massKgPerM', undefined, 'kg/m')}
        {part('Shock factor', 'shockFactor', undefined, '')}
      </div>
      {isChain && (
        <SegmentedControl
          size="xs"
          aria-label="Lubrication practice"
          value={strength.school}
          onChange={(value) => setStrength({ school: value === 'industrial' ? value : 'sealedRing' })}
          data={[
            { value: 'sealedRing', label: 'sealed rings' },
            { value: 'industrial', label: 'oiled joints' },
          ]}
          data-no-print
        />
      )}
      <Checkbox
        size="xs"
        mt="xs"
        label="it hoists, lifts people or flies"
        checked={source.liftsOrFlies ?? false}
        onChange={(event) => setSource({ liftsOrFlies: event.currentTarget.checked })}
        data-no-print
      />
      {isDraft && (
        <Group gap="xs" mt="xs" data-no-print>
          <span role="status">tried, not stored</span>
          <Button
            size="compact-sm"
            loading={isPending}
            disabled={Boolean(refusal)}
            onClick={() =>
              store({
                machine: {
                  ...machine,
                  loads: {
                    sources: [
                      ...(machine.loads?.sources ?? []).filter((s) => s.driveKey !== source.driveKey),
                      source,
                    ],
                    strengths: [
                      ...(machine.loads?.strengths ?? []).filter((s) => s.loopKey !== strength.loopKey),
                      strength,
                    ],
                  },
                },
                fitted: fitted.loops,
                fittedVersion: fitted.version,
              })
            }
          >
            Store
          </Button>
          <Button size="compact-sm" variant="default" onClick={() => onDraft(null)}>
            Put back
          </Button>
          {error && !dialog ? (
            <span role="alert" style={{ color: 'var(--stop)' }}>
              {sentenceOf(error)}
            </span>
          ) : null}
          {dialog}
        </Group>
      )}
    </Panel>
  )
}

function sourceFields(
  drive: Drive,
  field: (label: string, key: Numbers<LoadSource>, quantity?: Quantity, unit?: string) => React.ReactNode,
) {
  const isPedalled = drive.input.kind === 'rider'
  const rolls = drive.outputs.some((o) => o.onRoad)
  return (
    <>
      {isPedalled
        ? field('Rider', 'riderMassKg', 'mass')
        : field('Greatest torque', 'peakTorqueNm', 'torque')}
      {!isPedalled && field('at', 'peakTorqueRpm', undefined, 'rpm')}
      {!isPedalled && field('Greatest power', 'peakPowerKw', 'power')}
      {!rolls && field('Continuous torque', 'continuousTorqueNm', 'torque')}
      {rolls && field('Mass, all in', 'massKg', 'mass')}
      {rolls && field('Cruises at', 'cruiseKmh', 'speed')}
      {rolls && field('Grip of the tyre', 'friction', undefined, '')}
      {field('Brakes with', 'brakingTorqueNm', 'torque')}
      {field('Measured pull', 'pullN', 'force')}
    </>
  )
}
