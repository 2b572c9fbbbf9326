import { Select, Slider } from '@mantine/core'
import type { LoopSetting, SetAdvice } from '../api/client'
import { issueFor } from '../api/issues'
import { DraftBar } from '../machine/DraftBar'
import type { Workbench } from '../machine/useWorkbench'
import { figure } from '../quantities/format'
import { QuantityField } from '../quantities/QuantityField'
import { type Quantity, useUnits } from '../quantities/units'
import fields from '../shell/fields.module.css'
import { Panel } from '../shell/Panel'
import type { ReadingMethod } from './readings'
import { capital, DEGREES_IN_A_TURN, KIND_WORDS, METHOD_WORDS, SEEN_WORDS, SUSPENSION_WORDS } from './words'

type Numbers = {
  [K in keyof LoopSetting]-?: LoopSetting[K] extends number | null | undefined ? K : never
}[keyof LoopSetting]

/** What is asked once of how this loop is set. */
export function SettingFields({
  bench,
  asked,
  span,
  lock,
  hasSuspension,
  isChain,
  draft,
  refusal,
  onDraft,
}: {
  bench: Workbench
  /** As it was counted with last. */
  asked: LoopSetting
  /** Undefined while nothing can be counted. */
  span: SetAdvice['span'] | undefined
  /** What holds it: “axle nut”. */
  lock: string
  /** Whether it matters here how the driven axle is carried. */
  hasSuspension: boolean
  isChain: boolean
  draft: LoopSetting | null
  refusal: unknown
  onDraft: (setting: LoopSetting | null) => void
}) {
  const units = useUnits()
  const { machine } = bench.card
  const setting = draft ?? asked
  const set = (part: Partial<LoopSetting>) => onDraft({ ...setting, ...part })
  const field = (label: string, key: Numbers, quantity?: Quantity, unit?: string, placeholder?: number) => (
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
      value={setting[key] ?? undefined}
      onChange={(value) => set({ [key]: value ?? null })}
      error={issueFor(refusal, `setting.${key}`)}
    />
  )
  const { turns } = asked
  const isEccentric = setting.kind === 'eccentric'
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
      value={setting[key] ? 'yes' : 'no'}
      onChange={(value) => set({ [key]: value === 'yes' })}
    />
  )
  const methods: ReadingMethod[] = isChain ? ['freePlay', 'gauge'] : ['pluck', 'push', 'gauge']
  return (
    <Panel title="How it is set" note="asked once; grey: as usual">
      <div className={fields.fields}>
        <Select
          size="xs"
          label="Set by"
          data={Object.entries(KIND_WORDS).map(([value, label]) => ({ value, label }))}
          allowDeselect={false}
          value={setting.kind}
          // What a hand can make there is another amount with every kind.
          onChange={(value) => set({ kind: value as LoopSetting['kind'], smallestStep: null })}
          error={issueFor(refusal, 'setting.kind')}
        />
        {!isEccentric && !asked.setsItself && (
          <QuantityField
            size="xs"
            label={turns ? 'Thread pitch' : 'One moves it by'}
            quantity="fine"
            value={setting.mmPerUnit}
            onChange={(value) => value !== undefined && set({ mmPerUnit: value })}
            error={issueFor(refusal, 'setting.mmPerUnit')}
          />
        )}
        {isEccentric && field('Axle off its middle', 'eccentricMm', 'fine', undefined, asked.eccentricOffset)}
        {isEccentric &&
          field('From its loosest, as found', 'eccentricDeg', undefined, '°', asked.eccentricStart)}
        {!asked.setsItself && (
          <QuantityField
            size="xs"
            label="Smallest step"
            unit={isEccentric ? '°' : turns ? 'turn' : ''}
            placeholder={figure(asked.step * stepFactor, 3)}
            value={setting.smallestStep == null ? undefined : setting.smallestStep * stepFactor}
            onChange={(value) => set({ smallestStep: value === undefined ? null : value / stepFactor })}
            error={issueFor(refusal, 'setting.smallestStep')}
          />
        )}
        {turns && sense(setting.hasTwoEnds ? 'Left, clockwise' : 'Clockwise', 'leftClockwiseTightens')}
        {turns && setting.hasTwoEnds && sense('Right, clockwise', 'rightClockwiseTightens')}
        {turns && (
          <Select
            size="xs"
            label="Clockwise is seen"
            data={[
              { value: '', label: 'from the wrench' },
              ...Object.entries(SEEN_WORDS).map(([value, label]) => ({ value, label })),
            ]}
            allowDeselect={false}
            value={setting.seenFrom ?? ''}
            onChange={(value) => set({ seenFrom: (value || null) as LoopSetting['seenFrom'] })}
          />
        )}
        {setting.hasTwoEnds && (
          <Select
            size="xs"
            label={isChain ? 'Chain runs on the' : 'Belt runs on the'}
            data={[
              { value: '', label: 'not said' },
              { value: 'left', label: 'left' },
              { value: 'right', label: 'right' },
            ]}
            allowDeselect={false}
            value={setting.beltSide ?? ''}
            onChange={(value) => set({ beltSide: (value || null) as LoopSetting['beltSide'] })}
          />
        )}
        {hasSuspension && (
          <Select
            size="xs"
            label="Driven axle is carried"
            data={[
              { value: '', label: 'not said' },
              ...Object.entries(SUSPENSION_WORDS).map(([value, label]) => ({ value, label })),
            ]}
            allowDeselect={false}
            value={setting.suspension ?? ''}
            onChange={(value) => set({ suspension: (value || null) as LoopSetting['suspension'] })}
          />
        )}
        {setting.hasTwoEnds && setting.gapSide && (
          <Select
            size="xs"
            label="For tracking is turned"
            data={[
              { value: '', label: 'not said' },
              { value: 'left', label: 'the left end' },
              { value: 'right', label: 'the right end' },
            ]}
            allowDeselect={false}
            value={setting.trackingEnd ?? ''}
            onChange={(value) => set({ trackingEnd: (value || null) as LoopSetting['trackingEnd'] })}
          />
        )}
        {setting.hasTwoEnds && !isChain && (
          <Select
            size="xs"
            label="Gap is read at its"
            data={[
              { value: '', label: 'not read' },
              { value: 'left', label: 'left edge' },
              { value: 'right', label: 'right edge' },
            ]}
            allowDeselect={false}
            value={setting.gapSide ?? ''}
            onChange={(value) => set({ gapSide: (value || null) as LoopSetting['gapSide'] })}
          />
        )}
        {setting.gapSide && field('Least gap', 'gapLowMm', 'fine', undefined, asked.gapLow)}
        {setting.gapSide && field('Greatest gap', 'gapHighMm', 'fine', undefined, asked.gapHigh)}
        <Select
          size="xs"
          label="Maker’s window"
          data={[
            { value: '', label: 'none known' },
            ...methods.map((value) => ({ value, label: METHOD_WORDS[value] })),
          ]}
          allowDeselect={false}
          value={setting.makerMethod ?? ''}
          onChange={(value) =>
            set(
              value
                ? { makerMethod: value as ReadingMethod }
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
        {field('Free span', 'spanMm', 'fine', undefined, span?.spanMm ?? undefined)}
        {!isChain && field('Mass of a metre', 'massKgPerM', undefined, 'kg/m', span?.massKgPerM ?? undefined)}
        {!isChain && field('Shaft may carry', 'mostShaftLoadN', 'force')}
        {field(`${capital(lock)}, torque`, 'finalTorqueNm', 'torque')}
      </div>
      {turns && (
        <p className="cap">
          {setting.hasTwoEnds && 'Left and right in the direction of travel. '}
          {setting.gapSide && 'The gap is between the belt’s edge and the flange or rim beside it. '}
          {isEccentric && 'Its loosest place is 0°, its tightest 180°.'}
        </p>
      )}
      <p className="cap" id="bias">
        as loose as holds (range, noise, bearings, {isChain ? 'chain' : 'belt'} life) … as tight as allowed
        (response)
      </p>
      <Slider
        size="sm"
        min={0}
        max={1}
        step={0.1}
        aria-labelledby="bias"
        thumbLabel="From as loose as holds to as tight as allowed"
        label={null}
        value={setting.bias}
        onChange={(bias) => set({ bias })}
        my={6}
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

const isLength = ({ makerMethod }: LoopSetting) => makerMethod === 'freePlay' || makerMethod === 'push'
const unitOf = ({ makerMethod }: LoopSetting) => (makerMethod === 'pluck' ? 'Hz' : '')
