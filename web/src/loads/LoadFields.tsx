import { Select } from '@mantine/core'
import type {
  AssumedLoads,
  Drive,
  LoadSource,
  LoopLoadsResult,
  LoopStrength,
  LoopSummary,
} from '../api/client'
import { issueFor } from '../api/issues'
import { DraftBar } from '../machine/DraftBar'
import { LIFTS_WORDS } from '../machine/guessWords'
import type { Workbench } from '../machine/useWorkbench'
import { ChoiceField } from '../quantities/ChoiceField'
import { QuantityField } from '../quantities/QuantityField'
import type { Quantity } from '../quantities/units'
import fields from '../shell/fields.module.css'
import { Panel } from '../shell/Panel'
import { type Numbers, StrengthFields, usePlaceholder } from './StrengthFields'
import { type LoadParts, loadsWith } from './useLoads'
import { CHARACTER_WORDS, uncountedText } from './words'

/** Where the core tells what an empty field is counted as. */
const DEFAULTS: Partial<Record<Numbers<LoadSource>, Numbers<AssumedLoads>>> = {
  peakTorqueRpm: 'peakTorqueRpm',
  riderMassKg: 'riderMassKg',
  massKg: 'massKg',
  friction: 'tyreFriction',
  cruiseKmh: 'cruiseKmh',
  drivenMassKg: 'drivenMassKg',
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
  const { machine } = bench.card
  const { source, strength } = parts
  const sizes = answer?.sizes ?? []
  const assumed = answer?.assumed
  const placeholder = usePlaceholder()
  const setSource = (part: Partial<LoadSource>) => onDraft({ ...parts, source: { ...source, ...part } })
  const setStrength = (part: Partial<LoopStrength>) =>
    onDraft({ ...parts, strength: { ...strength, ...part } })
  const field = (label: string, key: Numbers<LoadSource>, quantity?: Quantity, unit?: string) => (
    <QuantityField
      size="xs"
      label={label}
      quantity={quantity}
      unit={unit}
      placeholder={placeholder(DEFAULTS[key] && assumed?.[DEFAULTS[key]], quantity)}
      value={source[key] ?? undefined}
      onChange={(value) => setSource({ [key]: value ?? null })}
      error={issueFor(refusal, `source.${key}`)}
    />
  )
  return (
    <Panel title="What pulls, and what it must hold" note="grey: counted with where nobody said more">
      <div className={fields.fields}>
        {sourceFields(bench.drive, field)}
        <ChoiceField
          size="xs"
          label="What it drives"
          words={CHARACTER_WORDS}
          none="as usual for its kind"
          value={source.character}
          onChange={(character) => setSource({ character })}
        />
        <ChoiceField
          size="xs"
          label="Does it lift, carry persons up or fly?"
          words={LIFTS_WORDS}
          none="not said"
          value={source.liftsOrFlies == null ? null : source.liftsOrFlies ? 'yes' : 'no'}
          onChange={(lifts) => setSource({ liftsOrFlies: lifts && lifts === 'yes' })}
        />
        {sizes.length > 1 && (
          <Select
            size="xs"
            label={loop.driveElement === 'chain' ? 'Chain size' : 'Section'}
            data={sizes}
            value={strength.standard ?? loop.standard}
            onChange={(value) =>
              // What was typed of the first size holds for another one no more.
              setStrength({
                standard: value === loop.standard ? null : value,
                breakingLoadN: null,
                massKgPerM: null,
                bearingAreaMm2: null,
                elongationLimitPercent: null,
                ratingPerBeltKw: null,
                lengthFactor: null,
              })
            }
            error={issueFor(refusal, 'strength.standard')}
          />
        )}
      </div>
      <StrengthFields
        driveElement={loop.driveElement}
        strength={strength}
        assumed={assumed}
        refusal={refusal}
        at="strength"
        onChange={setStrength}
      />
      {assumed?.torqueShare != null && (strength.torqueShare ?? null) === null && (
        <p className="cap" style={{ marginTop: 6 }}>
          The drive forks: this branch is taken to carry all of it until its share is told.
        </p>
      )}
      {strength.shockFactor == null && assumed && (
        <p className="cap" style={{ marginTop: 6 }}>
          Shock factor by the table: {assumed.shockSource}.
        </p>
      )}
      {answer && answer.uncounted.length > 0 && (
        <p className="cap" style={{ marginTop: 6 }}>
          Given and not counted here: {answer.uncounted.map(uncountedText).join(', ')}.
        </p>
      )}
      {isDraft && (
        <DraftBar
          card={bench.card}
          machine={{
            ...machine,
            loads: loadsWith(machine.loads, {
              sources: [
                ...(machine.loads?.sources ?? []).filter((s) => s.driveKey !== source.driveKey),
                source,
              ],
              strengths: [
                ...(machine.loads?.strengths ?? []).filter((s) => s.loopKey !== strength.loopKey),
                strength,
              ],
            }),
          }}
          isPossible={!refusal}
          onBack={() => onDraft(null)}
        >
          tried, not stored
        </DraftBar>
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
      {rolls && field('on driven wheels', 'drivenMassKg', 'mass')}
      {rolls && field('Cruises at', 'cruiseKmh', 'speed')}
      {rolls && field('Grip of the tyre', 'friction', undefined, '')}
      {field('Brakes with', 'brakingTorqueNm', 'torque')}
      {field('Measured pull', 'pullN', 'force')}
    </>
  )
}
