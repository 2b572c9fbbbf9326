import { cleanup, screen } from '@testing-library/react'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { benchOf } from '../machine/bench.testing'
import { show } from '../testing'
import { CandidateTip } from './CandidateTip'
import { candidateOf } from './candidates.testing'

afterEach(cleanup)

/** A mark of 24 × 28 px somewhere on the screen, which is 1024 × 768 here. */
const markAt = (x: number, y: number) => new DOMRect(x, y, 24, 28)
const tip = () => document.querySelector('[aria-hidden]') as HTMLElement
const tipOf = (...candidate: Parameters<typeof candidateOf>) => {
  show(<CandidateTip candidate={candidateOf(...candidate)} bench={benchOf()} mark={markAt(300, 50)} />)
  return tip().textContent
}

describe('the tip of a mark', () => {
  it('tells all that is known of a hit', () => {
    const hunting = {
      frontLoopTurns: 15,
      rearLoopTurns: 43,
      allLoopTurns: 645,
      linksMetByFrontTooth: 112,
      linksMetByRearTooth: 112,
      frontHunts: true,
      rearHunts: true,
    }
    const text = tipOf(
      15,
      43,
      { aimShaftSpeedRpm: 5210.6, bandGears: ['5', '6'], changePercent: -4.444, direction: 'taller' },
      { hunting, ripplePercent: 2.2 },
    )
    for (const part of [
      '15 / 43',
      '2.867',
      '−4.4 % taller',
      '5\u202f210 rpm',
      '5th, 6th',
      '2.2 %',
      'even · 15',
    ])
      expect(text).toContain(part)
  })

  it('leaves out what a pair does not have', () => {
    const text = tipOf(100, 250, { changedSprockets: 'nothing' }, { ripplePercent: null })
    expect(text).toContain('as fitted')
    for (const part of ['at the aim', 'meets the aim', 'speed ripple', 'tooth meets link'])
      expect(text).not.toContain(part)
  })

  it('says which limit of the machine a pair breaks, and what few teeth mean', () => {
    tipOf(9, 52, {}, { breaks: ['rearTooLarge', 'hubPrimaryTooLow'], smallWheel: 'slowOnly' })
    expect(screen.getAllByText(/^▲/)).toHaveLength(3)
  })

  it('stays on the screen at either side, and stands above a mark of the last row', () => {
    vi.spyOn(HTMLElement.prototype, 'offsetHeight', 'get').mockReturnValue(200)
    const placedAt = (x: number, y: number) => {
      show(<CandidateTip candidate={candidateOf(15, 45)} bench={benchOf()} mark={markAt(x, y)} />)
      const { left, top } = tip().style
      cleanup()
      return [left, top]
    }
    expect(placedAt(5, 100)).toEqual(['6px', '134px'])
    expect(placedAt(500, 100)).toEqual(['387px', '134px'])
    expect(placedAt(1000, 100)).toEqual(['768px', '134px'])
    expect(placedAt(500, 700)).toEqual(['387px', '494px'])
  })
})
