import { SegmentedControl, TextInput } from '@mantine/core'
import { useState } from 'react'
import type { ChoiceDesk, LoopWeighing, OptionFigures } from '../api/choice'
import { issueFor } from '../api/issues'
import { ChoiceField } from '../quantities/ChoiceField'
import { DayField } from '../quantities/DayField'
import { today } from '../quantities/days'
import { QuantityField } from '../quantities/QuantityField'
import fields from '../shell/fields.module.css'
import { Panel } from '../shell/Panel'
import { Refused } from '../shell/Refused'
import type { Weighing } from './useWeighing'
import { HAD_WORDS, SAID_WORDS } from './words'

type Numbers = (typeof OF_OPTION)[number]

/** What somebody knows of one of them: prices, how long it lasts, upkeep, failures, noise, mass, whether it can be had. */
export function FiguresPanel({
  weighing,
  desk,
  now,
}: {
  weighing: Weighing
  desk: ChoiceDesk
  now: LoopWeighing
}) {
  const keys = desk.columns.map((c) => c.key)
  const [chosen, setChosen] = useState(keys[0] ?? '')
  const option = keys.includes(chosen) ? chosen : (keys[0] ?? '')
  const figures = now.figures.find((f) => f.option === option)
  const place = now.figures.findIndex((f) => f.option === option)
  const { error } = weighing.answer
  const at = (field: string) => issueFor(error, `weighing.figures[${place}].${field}`)
  const isKm = desk.unit === 'km'
  const set = (part: Partial<OptionFigures>) => weighing.changeFigures(option, part)
  const run = isKm ? ({ quantity: 'distance' } as const) : { unit: 'h' }
  const counted = isKm ? 'km' : 'h'
  const number = (
    label: string,
    key: Numbers,
    shown: { quantity?: 'distance' | 'mass'; unit?: string } = {},
  ) => (
    <QuantityField
      key={`${option} ${key}`}
      size="xs"
      label={label}
      {...shown}
      value={figures?.[key] ?? undefined}
      onChange={(value) => set({ [key]: value ?? null })}
      error={at(key)}
    />
  )
  return (
    <Panel title="What is known of each" isEmpty={now.figures.length === 0}>
      <div className={fields.fields} data-no-print>
        <QuantityField
          size="xs"
          label="An hour of work is worth"
          unit="/h"
          value={now.ratePerHour ?? undefined}
          onChange={(value) => weighing.change(() => ({ ratePerHour: value ?? null }))}
          error={issueFor(error, 'weighing.ratePerHour')}
        />
        <QuantityField
          size="xs"
          label="A litre or kWh costs"
          value={now.fuelPrice ?? undefined}
          onChange={(value) => weighing.change(() => ({ fuelPrice: value ?? null }))}
          error={issueFor(error, 'weighing.fuelPrice')}
        />
        <TextInput
          size="xs"
          label="Noise was read"
          placeholder="at 1 m, 40 km/h"
          value={now.levelHow ?? ''}
          onChange={(event) => {
            const levelHow = event.currentTarget.value || null
            weighing.change(() => ({ levelHow }))
          }}
          error={
            issueFor(error, 'weighing.levelHow') ??
            (now.levelHow === null && now.figures.some((f) => f.levelDb != null)
              ? 'Say at which distance and how: else levels are not compared.'
              : undefined)
          }
        />
      </div>
      <SegmentedControl
        size="xs"
        aria-label="Of which"
        value={option}
        onChange={setChosen}
        data={desk.columns.map((c) => ({ value: c.key, label: c.name }))}
        data-no-print
        style={{ flexWrap: 'wrap', height: 'auto' }}
      />
      <div className={fields.fields} data-no-print style={{ marginTop: 8 }}>
        {number('Parts cost', 'price')}
        {number('Fitting them', 'fitMinutes', { unit: 'min' })}
        {number('They last at least', 'lifeLow', run)}
        {number('At most', 'lifeHigh', run)}
        <ChoiceField
          key={`${option} lifeBy`}
          size="xs"
          label="Who says how long"
          none="nobody in particular"
          words={SAID_WORDS}
          value={figures?.lifeBy}
          onChange={(lifeBy) => set({ lifeBy })}
        />
        {number('Upkeep each time', 'upkeepMinutes', { unit: 'min' })}
        {number('Looked after every', 'upkeepEvery', run)}
        <ChoiceField
          key={`${option} upkeepBy`}
          size="xs"
          label="Who says how often"
          none="measured here"
          words={SAID_WORDS}
          value={figures?.upkeepBy}
          onChange={(upkeepBy) => set({ upkeepBy })}
        />
        {number('Oil each time', 'oilCost')}
        {number('Oiled every', 'oilEvery', run)}
        {number('Litres or kWh', 'fuelPer100', { unit: `/100 ${counted}` })}
        {number('Failures expected', 'failures', { unit: `/10 000 ${counted}` })}
        {number('One failure costs', 'failureCost')}
        {number('Spent once to have it', 'conversion')}
        {number('Noise level', 'levelDb', { unit: 'dB' })}
        {number('Weighed with its wheels', 'massKg', { quantity: 'mass' })}
        <ChoiceField
          key={`${option} toBeHad`}
          size="xs"
          label="To be had"
          none="not asked"
          words={HAD_WORDS}
          value={figures?.toBeHad}
          onChange={(toBeHad) => set({ toBeHad, askedOn: toBeHad ? (figures?.askedOn ?? today()) : null })}
        />
        {figures?.toBeHad && (
          <DayField
            key={`${option} askedOn`}
            size="xs"
            label="Asked on"
            isNeeded
            value={figures.askedOn ?? ''}
            onChange={(day) => set({ askedOn: day || today() })}
          />
        )}
      </div>
      <Refused error={error} fields={fieldsOf(now)} />
      <p className="cap">
        Sprockets usually go with the chain, pulleys with every second belt: put them into the price. What is
        left empty counts nothing, and one without a price or a life has no cost.
      </p>
    </Panel>
  )
}

const OF_OPTION = [
  'price',
  'fitMinutes',
  'lifeLow',
  'lifeHigh',
  'oilCost',
  'oilEvery',
  'upkeepMinutes',
  'upkeepEvery',
  'fuelPer100',
  'failures',
  'failureCost',
  'conversion',
  'levelDb',
  'massKg',
] as const

/** Fields that say themselves what is wrong with them. */
const fieldsOf = (now: LoopWeighing) => [
  'weighing.ratePerHour',
  'weighing.fuelPrice',
  'weighing.levelHow',
  ...now.figures.flatMap((_, i) => OF_OPTION.map((field) => `weighing.figures[${i}].${field}`)),
]
