import { cleanup, fireEvent, screen, within } from '@testing-library/react'
import { afterEach, describe, expect, it, vi } from 'vitest'
import type { RatioCandidate, RatioSearchResult } from '../api/client'
import { benchOf, driveOf } from '../machine/bench.testing'
import type { Workbench } from '../machine/useWorkbench'
import { show } from '../testing'
import { candidateOf } from './candidates.testing'
import type { SearchState } from './useRatioSearch'
import { WaysTable } from './WaysTable'

afterEach(cleanup)

const band = {
  gearIndex: 5,
  gearLabel: '6',
  overallLow: 6,
  overallHigh: 7,
  finalLow: 2.7,
  finalHigh: 3.1,
  finalGeometricMiddle: 2.9,
}

function searchOf(hits: RatioCandidate[], part: Partial<RatioSearchResult> = {}): SearchState {
  const data: RatioSearchResult = {
    bands: [band],
    hits,
    hitCount: hits.length,
    others: [],
    nearest: [],
    fittedRatio: 3,
    gears: [],
    aimGearLabel: '6',
    usesDefaultWork: false,
    workings: [],
    ...part,
  }
  return {
    answer: { data, error: null, isStale: false },
    all: hits,
    fits: new Map(),
    isAll: false,
    setAll: () => {},
  } as unknown as SearchState
}
const showWays = (search: SearchState, bench: Partial<Workbench> = {}, isOverall = false) =>
  show(<WaysTable bench={benchOf(bench)} search={search} isOverall={isOverall} />)
const columns = () => screen.getAllByRole('columnheader').map((c) => c.textContent)

describe('the ways into the band', () => {
  it('tells the overall ratio where the scale does, and why a pair is refused', () => {
    const hit = candidateOf(15, 52, { overallRatio: 7.969 }, { breaks: ['rearTooLarge'] })
    showWays(searchOf([hit]), {}, true)
    expect(columns()[2]).toMatch(/^overall in/)
    expect(screen.getByText('7.969')).toBeTruthy()
    expect(screen.getByText(/larger than clears here/)).toBeTruthy()
  })

  it('tells ratio, change, work, cost, stock and why a way stands where it does', () => {
    const hit = candidateOf(
      15,
      43,
      {
        changePercent: -4.444,
        direction: 'taller',
        changedSprockets: 'rearOnly',
        workMinutes: 60,
        money: 47,
        rank: 2,
        decidedBy: 'minutes',
      },
      { rear: { availability: 'toBuy', price: 47 }, changedSprockets: 'rearOnly' },
    )
    showWays(searchOf([hit]))
    const row = screen.getByRole('row', { name: /15 \/ 43/ }).textContent
    for (const part of ['2.867', '−4.4 %', '60 min', '47.00', 'order', 'minutes']) expect(row).toContain(part)
  })

  it('picks a way by its button and marks the one in view', () => {
    const pick = vi.fn()
    const hits = [candidateOf(15, 45, { changedSprockets: 'nothing' }), candidateOf(16, 45)]
    showWays(searchOf(hits), { pick })
    expect(screen.getByRole('button', { name: '15 / 45' }).getAttribute('aria-pressed')).toBe('true')
    const other = screen.getByRole('button', { name: '16 / 45' })
    expect(other.getAttribute('aria-pressed')).toBe('false')
    fireEvent.click(other)
    expect(pick).toHaveBeenCalledWith(hits[1]?.loops)
  })

  it('shows the first dozen, and all of them when asked', () => {
    const setAll = vi.fn()
    const search = { ...searchOf(Array.from({ length: 20 }, (_, i) => candidateOf(15, 40 + i))), setAll }
    showWays(search)
    expect(screen.getAllByRole('row')).toHaveLength(1 + 12)
    fireEvent.click(screen.getByRole('button', { name: 'Show all 20' }))
    expect(setAll).toHaveBeenCalledWith(true)
    cleanup()
    showWays({ ...search, isAll: true })
    expect(screen.getAllByRole('row')).toHaveLength(1 + 20)
    expect(screen.queryByRole('button', { name: /Show all/ })).toBeNull()
  })

  it('says how many more there are than a search lists', () => {
    showWays(searchOf([candidateOf(15, 44)], { hitCount: 1234 }))
    expect(screen.getByText(/The best 1 of 1 234/)).toBeTruthy()
  })

  it('names the nearest when nothing meets the aim', () => {
    showWays(searchOf([], { nearest: [candidateOf(15, 48)] }))
    expect(screen.getByText('No pair in the range meets the aim.')).toBeTruthy()
    expect(screen.getByRole('button', { name: '15 / 48' })).toBeTruthy()
  })

  it('asks for an aim when there is none', () => {
    showWays(searchOf([], { bands: [] }))
    expect(screen.getByText(/Without an aim/)).toBeTruthy()
    expect(screen.queryByRole('table')).toBeNull()
  })

  it('has the columns that this drive and this aim have, and no others', () => {
    showWays(searchOf([candidateOf(15, 44, {}, { ripplePercent: null })]))
    expect(columns()).not.toContain('ripple')
    expect(columns()).not.toContain('gears')
    cleanup()
    const bicycle = { turnsOutPerTurnIn: 2.2, developmentM: 4.7, gearInches: 59, gainRatio: null }
    const hit = candidateOf(44, 20, { bicycle, aimShaftSpeedRpm: 80, bandGears: ['3'] })
    showWays(searchOf([hit], { bands: [band, band] }), {
      drive: driveOf({
        input: { shaft: 'crank', kind: 'rider', lowSpeedRpm: 60, limitSpeedRpm: 100, crankLengthMm: 170 },
      }),
      target: { kind: 'speedAtCadence', speedKmh: 22, gearIndex: 2, cadenceLowRpm: 75, cadenceHighRpm: 85 },
    })
    expect(columns().join(' ')).toMatch(/turns\/min at 22.km\/h gears .* gear inches .* ripple/)
    const row = screen.getByRole('row', { name: /44 \/ 20/ })
    for (const text of [/^4.70.m$/, '59.0', '80.0']) expect(within(row).getByText(text)).toBeTruthy()
  })

  it('tells a robot the speed of its output', () => {
    const motor = driveOf({
      input: { shaft: 'motor', kind: 'motor', lowSpeedRpm: 300, limitSpeedRpm: 3000, crankLengthMm: null },
    })
    showWays(searchOf([candidateOf(15, 30, { outputAtLimitRpm: 1500 })]), { drive: motor })
    expect(columns()).toContain('output rpm at limit')
    expect(screen.getByText('1 500')).toBeTruthy()
  })
})
