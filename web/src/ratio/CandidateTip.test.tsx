import { cleanup, screen } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import { benchOf } from '../machine/bench.testing'
import { show } from '../testing'
import { CandidateTip } from './CandidateTip'
import { candidateOf } from './candidates.testing'

afterEach(cleanup)

const tipOf = (...candidate: Parameters<typeof candidateOf>) =>
  show(<CandidateTip candidate={candidateOf(...candidate)} bench={benchOf()} x={300} y={50} width={900} />)
    .container.textContent

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
      '5\u2009210 rpm',
      '5th, 6th',
      '2.2 %',
      'even · 15',
    ])
      expect(text).toContain(part)
  })

  it('leaves out what a pair does not have', () => {
    const text = tipOf(100, 250, { moves: 'nothing' }, { ripplePercent: null })
    expect(text).toContain('as fitted')
    for (const part of ['at the aim', 'meets the aim', 'speed ripple', 'tooth meets link'])
      expect(text).not.toContain(part)
  })

  it('says which limit of the machine a pair breaks, and what few teeth mean', () => {
    tipOf(9, 52, {}, { breaks: ['rearTooLarge', 'hubPrimaryTooLow'], smallWheel: 'slowOnly' })
    expect(screen.getAllByText(/^▲/)).toHaveLength(3)
  })

  it('stays inside the scale at either end', () => {
    const leftAt = (x: number) => {
      const { container } = show(
        <CandidateTip candidate={candidateOf(15, 45)} bench={benchOf()} x={x} y={50} width={900} />,
      )
      return (container.querySelector('[aria-hidden]') as HTMLElement).style.left
    }
    expect([leftAt(5), leftAt(450), leftAt(895)]).toEqual(['0px', '325px', '650px'])
  })
})
