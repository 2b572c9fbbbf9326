import { cleanup, screen } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import type { PointLoads } from '../api/client'
import { show } from '../testing'
import { niceTop, PullChart } from './PullChart'

afterEach(cleanup)

const loads = {
  point: {
    kind: 'hardestPull',
    gearLabel: '1',
    torqueNm: 50,
    rpm: 900,
    roadSpeedKmh: 12,
    origin: 'input',
    powerKw: 5,
  },
  tightN: 1000,
  slackN: 100,
  curve: [
    { part: 'front', atMm: [0, 100], tensionN: [1000, 100] },
    { part: 'slack', atMm: [100, 600], tensionN: [100, 100] },
    { part: 'rear', atMm: [600, 900], tensionN: [100, 1000] },
    { part: 'tight', atMm: [900, 1400], tensionN: [1000, 1000] },
  ],
} as unknown as PointLoads

describe('the pull round the loop', () => {
  it('has a table behind it, part by part', () => {
    show(<PullChart loads={loads} limitN={null} />)
    const rows = screen.getAllByRole('row').map((r) => r.textContent?.replaceAll(/\s/g, ' '))
    expect(rows).toEqual([
      'front1 000 N100 N',
      'slack run100 N100 N',
      'rear100 N1 000 N',
      'tight run1 000 N1 000 N',
    ])
  })

  it('shows where the margin is used up only where that is in the picture', () => {
    const { unmount } = show(<PullChart loads={loads} limitN={1800} />)
    expect(screen.getByText(/margin is used up/)).toBeTruthy()
    unmount()
    show(<PullChart loads={loads} limitN={9000} />)
    expect(screen.queryByText(/margin is used up/)).toBeNull()
  })

  it('has round figures of the unit that is shown on its axis', () => {
    const figures = () =>
      [...document.querySelectorAll('svg g text[text-anchor="end"]')].map((t) =>
        t.textContent?.replaceAll(/\s/g, ' '),
      )
    const { unmount } = show(<PullChart loads={loads} limitN={null} />)
    expect(figures()).toEqual(['0', '250', '500', '750', '1 000'])
    unmount()
    localStorage.setItem('wendrak.units', 'inch')
    show(<PullChart loads={loads} limitN={null} />) // 1000 N are 225 lbf
    localStorage.removeItem('wendrak.units')
    expect(figures()).toEqual(['0', '100', '200', '300', '400'])
  })

  it.each([
    [0, 1],
    [1, 1],
    [5131, 6000],
    [1773, 2000],
    [83, 100],
  ])('has %s under a round top of %s', (value, top) => expect(niceTop(value)).toBe(top))
})
