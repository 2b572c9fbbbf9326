import { cleanup, screen } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import type { LoopFigures, LoopLoadsResult } from '../api/client'
import { show } from '../testing'
import { FrictionPanel } from './FrictionPanel'
import { FIGURES } from './figures'
import { LifePanel } from './LifePanel'
import { OilingPanel } from './OilingPanel'
import { RatingPanel } from './RatingPanel'

afterEach(cleanup)

const told = (name: RegExp) => screen.getByText(name).parentElement?.textContent?.replaceAll(/\s/g, ' ')

describe('life until the chain has grown', () => {
  it('is a range in km and hours, rounded to what is known of it', () => {
    show(
      <LifePanel life={{ limitPercent: 1, lowHours: 181, highHours: 678, lowKm: 16_290, highKm: 61_020 }} />,
    )
    expect(told(/^until/)).toBe('until 1.0 % elongation16 000 to 61 000 km')
    expect(told(/^hours/)).toBe('hours of cruising180 to 680 h')
  })

  it('tells no distance where nothing rolls', () => {
    show(
      <LifePanel life={{ limitPercent: 2, lowHours: 7500, highHours: 22_500, lowKm: null, highKm: null }} />,
    )
    expect(screen.queryByText(/^until/)).toBeNull()
  })
})

const friction: NonNullable<LoopLoadsResult['friction']> = {
  tightN: 500,
  runs: null,
  bestSpeedMS: null,
  greatestPowerKw: null,
  creepPercent: null,
  creepLowPercent: 1,
  creepHighPercent: 2,
  speedFromMS: 5,
  speedToMS: 25,
  speedSource: 'a textbook',
  distanceFromM: 0.3,
  distanceToM: 5,
  lengthFactor: null,
  rating: null,
  ropeSource: null,
}

describe('what friction can do', () => {
  it('tells the creep of this belt where its stretch is known, else the usual one', () => {
    show(<FrictionPanel friction={friction} />)
    expect(told(/^creeps/)).toBe('creeps, as usual1 to 2 %')
    cleanup()
    show(<FrictionPanel friction={{ ...friction, creepPercent: 0.4567 }} />)
    expect(told(/^creeps/)).toBe('creeps, by its stretch0.46 %')
  })
})

describe('the industrial rating', () => {
  const chart = {
    point: 'topSpeed' as const,
    powerKw: 24,
    rpm: 4355,
    applicationFactor: 1.7,
    toothFactor: 1.29,
    isoKw: 52.7,
    acaKw: 36,
  }

  it('says where its equations do not hold, and still what to look up', () => {
    show(<RatingPanel answer={{ tent: null } as LoopLoadsResult} chart={chart} />)
    expect(screen.getByText(/hold for chains of standard pitch/)).toBeTruthy()
    expect(told(/ISO 10823/)).toContain('52.7 kW')
    expect(screen.queryByRole('img')).toBeNull()
  })
})

describe('oiling', () => {
  it('tells the interval of the core', () => {
    show(
      <OilingPanel
        oiling={{
          class: 'oilStream',
          speedMS: 17,
          manualUpToMS: 1.27,
          bathUpToMS: 9.65,
          sealedUpToMS: 26,
          sealedFromKm: 300,
          sealedToKm: 700,
          school: 'industrial',
        }}
      />,
    )
    expect(document.body.textContent?.replaceAll(/\s/g, ' ')).toContain('every 300 km to 700 km')
    expect(screen.getByText(/Chosen here: oiled joints/)).toBeTruthy()
  })
})

describe('figures side by side', () => {
  it('names the check that the smallest margin belongs to', () => {
    const result = {
      isJudged: true,
      smallest: { kind: 'oddTeeth', margin: 0.5 },
    } as unknown as LoopFigures
    const tell = (name: string) => FIGURES.find(([n]) => n === name)?.[1](result, {} as never)
    expect(tell('smallest margin')).toBe('×0.500')
    expect(tell('that is')).toBe('Turns until a gap is used again')
  })
})
