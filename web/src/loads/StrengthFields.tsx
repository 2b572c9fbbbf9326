import { SegmentedControl } from '@mantine/core'
import type { AssumedLoads, LoopStrength, LoopSummary } from '../api/client'
import { issueFor } from '../api/issues'
import { hasStrengthField } from '../machine/driveElements'
import { ChoiceField } from '../quantities/ChoiceField'
import { plain } from '../quantities/format'
import { QuantityField } from '../quantities/QuantityField'
import { type Quantity, useUnits } from '../quantities/units'
import fields from '../shell/fields.module.css'
import { ROPE_WORDS } from './words'

export type Numbers<T> = { [K in keyof T]-?: T[K] extends number | null | undefined ? K : never }[keyof T]

/** Where the core tells what an empty field is counted as. */
const DEFAULTS: Partial<Record<Numbers<LoopStrength>, Numbers<AssumedLoads>>> = {
  shockFactor: 'shockFactor',
  sagMm: 'sagMm',
  breakingLoadN: 'breakingLoadN',
  bearingAreaMm2: 'bearingAreaMm2',
  friction: 'beltFriction',
  grooveAngleDeg: 'grooveAngleDeg',
  installedTensionN: 'installedTensionN',
  lengthFactor: 'lengthFactor',
  torqueShare: 'torqueShare',
}

/** What an empty field is counted as, in the unit shown. */
export function usePlaceholder() {
  const units = useUnits()
  return (value: number | null | undefined, quantity?: Quantity) =>
    value == null ? '' : plain(Number((quantity ? units.toShown(quantity, value) : value).toPrecision(4)))
}

/** What a chain or belt of one kind can take. */
export function StrengthFields({
  driveElement,
  strength,
  assumed,
  refusal,
  at,
  onChange,
}: {
  driveElement: LoopSummary['driveElement']
  strength: LoopStrength
  assumed: AssumedLoads | undefined
  refusal: unknown
  /** Where it stands in the question, for its refusals. */
  at: string
  onChange: (part: Partial<LoopStrength>) => void
}) {
  const placeholder = usePlaceholder()
  const part = (label: string, key: Numbers<LoopStrength>, quantity?: Quantity, unit?: string) => (
    <QuantityField
      size="xs"
      label={label}
      quantity={quantity}
      unit={unit}
      placeholder={placeholder(DEFAULTS[key] && assumed?.[DEFAULTS[key]], quantity)}
      value={strength[key] ?? undefined}
      onChange={(value) => onChange({ [key]: value ?? null })}
      error={issueFor(refusal, `${at}.${key}`)}
    />
  )
  const counted = (label: string, key: 'strands' | 'extraHalfTurns', none: number) => (
    <QuantityField
      size="xs"
      label={label}
      unit=""
      isCount
      value={strength[key] ?? none}
      onChange={(value) => value !== undefined && onChange({ [key]: value })}
      error={issueFor(refusal, `${at}.${key}`)}
    />
  )
  const has = (key: keyof LoopStrength) => hasStrengthField(driveElement, key)
  return (
    <>
      <div className={fields.fields}>
        {has('rope') && (
          <ChoiceField
            size="xs"
            label="What it is"
            words={ROPE_WORDS}
            value={strength.rope ?? 'cord'}
            onChange={(rope) => onChange({ rope })}
          />
        )}
        {counted(driveElement === 'chain' ? 'Strands' : 'Belts side by side', 'strands', 1)}
        {has('breakingLoadN') && part('Breaking load', 'breakingLoadN', 'force')}
        {has('elongationLimitPercent') &&
          part('Maker’s limit of elongation', 'elongationLimitPercent', undefined, '%')}
        {has('bearingAreaMm2') && part('Pin times bush', 'bearingAreaMm2', undefined, 'mm²')}
        {has('sagMm') && part('Sag of the slack run', 'sagMm', 'fine')}
        {has('widthMm') && part('Belt width', 'widthMm', 'fine')}
        {has('allowedPullN') && part('Maker’s working pull', 'allowedPullN', 'force')}
        {has('installedTensionN') && part('Set tension, one run', 'installedTensionN', 'force')}
        {has('friction') && part('Friction', 'friction', undefined, '')}
        {has('grooveAngleDeg') && part('Groove, included angle', 'grooveAngleDeg', undefined, '°')}
        {has('extraHalfTurns') && counted('Half turns more', 'extraHalfTurns', 0)}
        {has('ratingPerBeltKw') && part('Rating of one belt', 'ratingPerBeltKw', 'power')}
        {has('lengthFactor') && part('Length factor K2', 'lengthFactor', undefined, '')}
        {has('forceAt1PercentN') && part('Force for 1 % longer', 'forceAt1PercentN', 'force')}
        {part('Mass of a metre', 'massKgPerM', undefined, 'kg/m')}
        {part('Shock factor', 'shockFactor', undefined, '')}
        {assumed?.torqueShare != null && part('Share of the torque', 'torqueShare', undefined, '')}
      </div>
      {has('school') && (
        <SegmentedControl
          size="xs"
          aria-label="Lubrication practice"
          value={strength.school ?? assumed?.school ?? 'industrial'}
          onChange={(school) => onChange({ school })}
          data={[
            { value: 'sealedRing', label: 'sealed rings' },
            { value: 'industrial', label: 'oiled joints' },
          ]}
          data-no-print
        />
      )}
    </>
  )
}
