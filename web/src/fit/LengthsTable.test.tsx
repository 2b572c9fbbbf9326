import { cleanup, fireEvent, screen } from '@testing-library/react'
import { afterEach, describe, expect, it, vi } from 'vitest'
import type { FittingLength, LoopFitResult } from '../api/client'
import { show } from '../testing'
import { LengthsTable } from './LengthsTable'

afterEach(cleanup)

const length = (links: number, part: Partial<FittingLength> = {}): FittingLength => ({
  length: links,
  travelMm: 11,
  travelUsedPercent: 27.5,
  centreMm: 639,
  fits: true,
  reservePercent: 3.3,
  reachesWearLimit: true,
  wheelbaseChangeMm: -7.4,
  isHalfLink: false,
  isStandard: null,
  movedMm: -7.5,
  movedSteps: -6,
  ...part,
})
const fitOf = (lengths: FittingLength[], part: Partial<LoopFitResult> = {}) =>
  ({
    lengths,
    lengthUnit: 'links',
    trackMm: 40,
    exactLength: 110.4,
    chosenLength: 112,
    recommendedLength: 110,
    reason: 'frontThird',
    reserve: { step: { kind: 'turn', travelMm: 1.25 } },
    ...part,
  }) as LoopFitResult
const row = (links: number) => screen.getByRole('button', { name: String(links) }).closest('tr')?.textContent

describe('the lengths that reach', () => {
  it('marks the lengths of the standard, where a table tells', () => {
    const lengths = [
      length(130, { isStandard: true }),
      length(140, { isStandard: true }),
      length(133, { isStandard: false }),
    ]
    const part = { recommendedLength: 130, reason: 'standardLength' } as const
    show(<LengthsTable fit={fitOf(lengths, part)} onPick={() => {}} />)
    expect(row(130)).toMatch(/^130 standard, best/)
    expect(row(140)).toMatch(/^140 standard6/)
    expect(row(133)).not.toContain('standard')
    expect(screen.getByText(/130\sl?\w*: a standard length/)).toBeTruthy()
  })

  it('tells place, way, turns, elongation and wheelbase of each, and why one is the best', () => {
    show(<LengthsTable fit={fitOf([length(110), length(112)])} onPick={() => {}} />)
    expect(row(110)).toMatch(/best.*639\.0.*−7\.5.*−6\.0.*28 % used.*3\.3 %.*−7\.4/)
    expect(row(112)).not.toContain('best')
    expect(screen.getByText(/well forward in its travel/)).toBeTruthy()
  })

  it('says what does not fit, what does not last, and what needs a half link', () => {
    const lengths = [
      length(108, { fits: false }),
      length(111, { isHalfLink: true }),
      length(114, { reachesWearLimit: false, reservePercent: 0.6 }),
    ]
    show(<LengthsTable fit={fitOf(lengths)} onPick={() => {}} />)
    expect(row(108)).toContain('off the slot')
    expect(row(111)).toContain('half link')
    expect(row(114)).toContain('0.6 %, not enough')
  })

  it('picks a length and marks the one in view', () => {
    const onPick = vi.fn()
    show(<LengthsTable fit={fitOf([length(110), length(112)])} onPick={onPick} />)
    expect(screen.getByRole('button', { name: '112' }).getAttribute('aria-pressed')).toBe('true')
    fireEvent.click(screen.getByRole('button', { name: '110' }))
    expect(onPick).toHaveBeenCalledWith(110)
  })

  it('leaves the wheelbase out where no road wheel moves', () => {
    const lengths = [length(110, { wheelbaseChangeMm: null })]
    show(<LengthsTable fit={fitOf(lengths)} onPick={() => {}} />)
    expect(screen.queryByRole('columnheader', { name: 'wheelbase' })).toBeNull()
  })

  it('says what the path asks for where nothing moves, or nothing is made to a length', () => {
    show(<LengthsTable fit={fitOf([], { trackMm: 0 })} onPick={() => {}} />)
    expect(screen.getByText(/the path asks for 110\.4.links/)).toBeTruthy()
    cleanup()
    show(<LengthsTable fit={fitOf([])} onPick={() => {}} />)
    expect(screen.getByText(/It is cut to length/)).toBeTruthy()
  })
})
