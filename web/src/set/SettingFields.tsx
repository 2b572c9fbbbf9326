import { Select } from '@mantine/core'
import { useMutation } from '@tanstack/react-query'
import type { Adjuster, LoopSetting, SetAdvice } from '../api/client'
import { askFor } from '../api/evaluation'
import { issueFor } from '../api/issues'
import type { ReadingMethod } from '../loop/readings'
import { METHOD_WORDS } from '../loop/readings'
import { SUSPENSION_WORDS } from '../loop/suspension'
import { ADJUSTER_WORDS } from '../machine/adjusters'
import { DraftBar } from '../machine/DraftBar'
import type { Workbench } from '../machine/useWorkbench'
import { ChoiceField } from '../quantities/ChoiceField'
import { figure } from '../quantities/format'
import { QuantityField } from '../quantities/QuantityField'
import { type Quantity, useUnits } from '../quantities/units'
import fields from '../shell/fields.module.css'
import { Panel } from '../shell/Panel'
import { capital, DEGREES_IN_A_TURN, SEEN_WORDS, SHIM_SENSE_WORDS } from './words'

type Numbers<T> = { [K in keyof T]-?: T[K] extends number | null | undefined ? K : never }[keyof T]

/** What is asked once of how this loop is set. */
export function SettingFields({
  bench,
  counted,
  span,
  eccentricByFitMm,
  lock,
  hasSuspension,
  windowBy,
  isChain,
  draft,
  refusal,
  onDraft,
}: {
  bench: Workbench
  /** As it was counted with last. */
  counted: LoopSetting
  /** Undefined while nothing can be counted. */
  span: SetAdvice['span'] | undefined
  eccentricByFitMm: number | null
  /** What holds it: “axle nut”. */
  lock: string
  /** Whether it matters here how the driven axle is carried. */
  hasSuspension: boolean
  /** What its maker’s window can be told in. */
  windowBy: readonly ReadingMethod[]
  isChain: boolean
  draft: LoopSetting | null
  refusal: unknown
  onDraft: (setting: LoopSetting | null) => void
}) {
  const units = useUnits()
  const { machine } = bench.card
  const setting = draft ?? counted
  const { adjuster } = setting
  const set = (part: Partial<LoopSetting>) => onDraft({ ...setting, ...part })
  const setAdjuster = (part: Partial<Adjuster>) => set({ adjuster: { ...adjuster, ...part } })
  // What of it still holds for another kind is the core's to say.
  const change = useMutation({
    mutationFn: (kind: Adjuster['kind']) =>
      askFor(bench.subject, 'startingAdjuster', { kind, now: adjuster, layout: null, wheel: null }),
    // What belongs to the one alone goes with it: shims to a sheave, a window to what reads it.
    onSuccess: ({ adjuster: other }) =>
      set({
        adjuster: other,
        shims: other.isOfSheave ? setting.shims : null,
        ...(other.isOfSheave === adjuster.isOfSheave
          ? {}
          : { makerMethod: null, makerLow: null, makerHigh: null, makerForceN: null, gapSide: null }),
      }),
  })
  const number = (
    label: string,
    at: string,
    value: number | null | undefined,
    onChange: (value: number | null) => void,
    quantity?: Quantity,
    unit?: string,
    placeholder?: number,
  ) => (
    <QuantityField
      size="xs"
      label={label}
      quantity={quantity}
      unit={unit}
      placeholder={
        placeholder === undefined
          ? ''
          : figure(quantity ? units.toShown(quantity, placeholder) : placeholder, 3)
      }
      value={value ?? undefined}
      onChange={(typed) => onChange(typed ?? null)}
      error={issueFor(refusal, `setting.${at}`)}
    />
  )
  const field = (
    label: string,
    key: Numbers<LoopSetting>,
    quantity?: Quantity,
    unit?: string,
    placeholder?: number,
  ) => number(label, key, setting[key], (value) => set({ [key]: value }), quantity, unit, placeholder)
  const ofAdjuster = (
    label: string,
    key: Numbers<Adjuster>,
    quantity?: Quantity,
    unit?: string,
    placeholder?: number,
  ) =>
    number(
      label,
      `adjuster.${key}`,
      adjuster[key],
      (value) => setAdjuster({ [key]: value }),
      quantity,
      unit,
      placeholder,
    )
  const { turns, isEccentric, hasTwoEnds } = adjuster
  const stepFactor = isEccentric ? DEGREES_IN_A_TURN : 1
  const sense = (label: string, key: 'leftClockwiseTightens' | 'rightClockwiseTightens') => (
    <Select
      size="xs"
      label={label}
      data={[
        { value: 'yes', label: 'tightens' },
        { value: 'no', label: 'loosens' },
      ]}
      allowDeselect={false}
      value={adjuster[key] ? 'yes' : 'no'}
      onChange={(value) => setAdjuster({ [key]: value === 'yes' })}
    />
  )
  const { isOfSheave } = adjuster
  const { shims } = setting
  const setShims = (part: Partial<NonNullable<LoopSetting['shims']>>) =>
    set({ shims: { ...shims, ...part } as LoopSetting['shims'] })
  const ofShims = (
    label: string,
    key: 'shimMm' | 'sheaveAngleDeg' | 'owned' | 'bolts',
    quantity?: Quantity,
    unit?: string,
  ) => number(label, `shims.${key}`, shims?.[key], (value) => setShims({ [key]: value }), quantity, unit)
  return (
    <Panel title="How it is set" note="asked once; grey: as usual">
      <div className={fields.fields}>
        <ChoiceField
          size="xs"
          label="Set by"
          words={ADJUSTER_WORDS}
          value={adjuster.kind}
          onChange={change.mutate}
          error={issueFor(refusal, 'setting.adjuster.kind')}
        />
        {adjuster.isCounted &&
          ofAdjuster(
            turns ? 'Thread pitch' : 'One moves it by',
            'mmPerUnit',
            'fine',
            undefined,
            counted.adjuster.travelMm,
          )}
        {isOfSheave && (
          <>
            {ofShims('Thickness of a shim', 'shimMm', 'fine')}
            {ofShims('Angle of the sheave', 'sheaveAngleDeg', undefined, '°')}
            <ChoiceField
              size="xs"
              label="Shims lie"
              style={{ gridColumn: '1 / -1' }}
              words={SHIM_SENSE_WORDS}
              none="not said"
              value={shims?.sense}
              onChange={(sense) => setShims({ sense })}
            />
            {ofShims('Bolts with shims', 'bolts')}
            {ofShims('Shims there are for each', 'owned')}
          </>
        )}
        {isEccentric &&
          eccentricByFitMm === null &&
          ofAdjuster(
            'Axle off its middle',
            'eccentricMm',
            'fine',
            undefined,
            counted.adjuster.eccentricOffset,
          )}
        {isEccentric &&
          ofAdjuster(
            'From its loosest, as found',
            'eccentricDeg',
            undefined,
            '°',
            counted.adjuster.eccentricStart,
          )}
        {(adjuster.isCounted || isEccentric) && (
          <QuantityField
            size="xs"
            label="Smallest step"
            unit={isEccentric ? '°' : turns ? 'turn' : ''}
            placeholder={figure(adjuster.step * stepFactor, 3)}
            value={adjuster.smallestStep == null ? undefined : adjuster.smallestStep * stepFactor}
            onChange={(value) =>
              setAdjuster({ smallestStep: value === undefined ? null : value / stepFactor })
            }
            error={issueFor(refusal, 'setting.adjuster.smallestStep')}
          />
        )}
        {turns && sense(hasTwoEnds ? 'Left, clockwise' : 'Clockwise', 'leftClockwiseTightens')}
        {turns && hasTwoEnds && sense('Right, clockwise', 'rightClockwiseTightens')}
        {turns && (
          <ChoiceField
            size="xs"
            label="Clockwise is seen"
            words={SEEN_WORDS}
            none="from the wrench"
            value={adjuster.seenFrom}
            onChange={(seenFrom) => setAdjuster({ seenFrom })}
          />
        )}
        {hasTwoEnds && (
          <ChoiceField
            size="xs"
            label={isChain ? 'Chain runs on the' : 'Belt runs on the'}
            words={{ left: 'left', right: 'right' }}
            none="not said"
            value={setting.beltSide}
            onChange={(beltSide) => set({ beltSide })}
          />
        )}
        {hasSuspension && (
          <ChoiceField
            size="xs"
            label="Driven axle is carried"
            words={SUSPENSION_WORDS}
            none="not said"
            value={setting.suspension}
            onChange={(suspension) => set({ suspension })}
          />
        )}
        {hasTwoEnds && setting.gapSide && (
          <ChoiceField
            size="xs"
            label="For tracking is turned"
            words={{ left: 'the left end', right: 'the right end' }}
            none="not said"
            value={setting.trackingEnd}
            onChange={(trackingEnd) => set({ trackingEnd })}
          />
        )}
        {hasTwoEnds && !isChain && (
          <ChoiceField
            size="xs"
            label="Gap is read at its"
            words={{ left: 'left edge', right: 'right edge' }}
            none="not read"
            value={setting.gapSide}
            onChange={(gapSide) => set({ gapSide })}
          />
        )}
        {setting.gapSide && field('Least gap', 'gapLowMm', 'fine', undefined, counted.gapLow)}
        {setting.gapSide && field('Greatest gap', 'gapHighMm', 'fine', undefined, counted.gapHigh)}
        <Select
          size="xs"
          label="Maker’s window"
          data={[
            { value: '', label: 'none known' },
            ...windowBy.map((value) => ({ value, label: METHOD_WORDS[value] })),
          ]}
          allowDeselect={false}
          value={setting.makerMethod ?? ''}
          onChange={(value) =>
            set(
              value
                ? { makerMethod: value }
                : { makerMethod: null, makerLow: null, makerHigh: null, makerForceN: null },
            )
          }
          error={issueFor(refusal, 'setting.makerMethod')}
        />
        {setting.makerMethod &&
          field('from', 'makerLow', isLength(setting) ? 'fine' : undefined, unitOf(setting))}
        {setting.makerMethod &&
          field('to', 'makerHigh', isLength(setting) ? 'fine' : undefined, unitOf(setting))}
        {setting.makerMethod === 'push' && field('pushed with', 'makerForceN', 'force')}
        {!isOfSheave && field('Free span', 'spanMm', 'fine', undefined, span?.spanMm ?? undefined)}
        {!isChain &&
          !isOfSheave &&
          field('Mass of a metre', 'massKgPerM', undefined, 'kg/m', span?.massKgPerM ?? undefined)}
        {!isChain && !isOfSheave && field('Shaft may carry', 'mostShaftLoadN', 'force')}
        {field(`${capital(lock)}, torque`, 'finalTorqueNm', 'torque')}
      </div>
      {turns && (
        <p className="cap">
          {hasTwoEnds && 'Left and right in the direction of travel. '}
          {setting.gapSide && 'The gap is between the belt’s edge and the flange or rim beside it. '}
          {isEccentric && 'Its loosest place is 0°, its tightest 180°. '}
          {eccentricByFitMm !== null &&
            `By Fit the axle is ${units.show('fine', eccentricByFitMm)} off its middle.`}
        </p>
      )}
      <p className="cap" id="bias">
        as loose as holds (range, noise, bearings, {isChain ? 'chain' : 'belt'} life) … as tight as allowed
        (response)
      </p>
      <input
        type="range"
        min={0}
        max={1}
        step={0.1}
        aria-labelledby="bias"
        value={setting.bias}
        onChange={(event) => set({ bias: event.currentTarget.valueAsNumber })}
        className={fields.range}
        data-no-print
      />
      {draft && bench.card.machine.id !== 0 && (
        <DraftBar
          card={bench.card}
          machine={{
            ...machine,
            settings: [...(machine.settings ?? []).filter((s) => s.loopKey !== setting.loopKey), setting],
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

const isLength = ({ makerMethod }: LoopSetting) =>
  makerMethod === 'freePlay' || makerMethod === 'push' || makerMethod === 'beltHeight'
const unitOf = ({ makerMethod }: LoopSetting) => (makerMethod === 'pluck' ? 'Hz' : '')
