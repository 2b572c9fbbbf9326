import { cleanup, screen } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import type { ClearanceFigure, LoopFitResult } from '../api/client'
import { show } from '../testing'
import { ClearancePanel } from './ClearancePanel'

afterEach(cleanup)

const gap = (name: string, part: Partial<ClearanceFigure> = {}): ClearanceFigure => ({
  name,
  part: 'tips of front',
  gapMm: 7,
  worstGapMm: 5.5,
  leastMm: 3,
  state: 'clear',
  chainJamClearance: { wheel: 'front', roomMm: 20, neededMm: 12.6, isOpen: true },
  ...part,
})
const panel = (...clearances: ClearanceFigure[]) =>
  show(<ClearancePanel answer={{ clearances } as LoopFitResult} isStale={false} />)
const row = (name: RegExp) => screen.getByRole('row', { name }).textContent

describe('what the loop must clear', () => {
  it('tells the gap as it stands and at its worst', () => {
    panel(gap('case'), gap('guard', { worstGapMm: -1, state: 'rubsWhenMoved' }))
    expect(row(/^case/)).toMatch(/tips of front.*7\.0\smm.*5\.5\smm.*clear/)
    expect(row(/^guard/)).toMatch(/7\.0\smm.*−1\.0\smm.*rubs when it moves/)
    expect(screen.getByText(/can clear itself everywhere/)).toBeTruthy()
  })

  it('says where a chain that comes off would jam', () => {
    panel(gap('case', { chainJamClearance: { wheel: 'front', roomMm: 7, neededMm: 12.6, isOpen: false } }))
    expect(screen.getByText(/jams between front and case: 7\.0\smm of room, 12\.6\smm/)).toBeTruthy()
    expect(screen.queryByText(/can clear itself/)).toBeNull()
  })

  it('speaks of no way out where there is no chain, and is not there without edges', () => {
    const { unmount } = panel(gap('case', { chainJamClearance: null }))
    expect(screen.queryByText(/way out/)).toBeNull()
    unmount()
    panel()
    expect(screen.queryByRole('region')).toBeNull()
  })
})
