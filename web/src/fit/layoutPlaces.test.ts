import { describe, expect, it } from 'vitest'
import type { Idler, LoopLayout } from '../api/client'
import { movedPlace, placesOf } from './layoutPlaces'

const idler = (name: string): Idler => ({
  name,
  centre: { xMm: -200, yMm: 40 },
  size: 11,
  isToothed: true,
  side: 'back',
  run: 'slack',
})
const layout: LoopLayout = {
  loopKey: 'final',
  turning: 'clockwise',
  front: { xMm: 0, yMm: 0 },
  rear: { xMm: -600, yMm: 0 },
  idlers: [idler('guide'), idler('tensioner')],
  moving: {
    wheel: 'tensioner',
    track: { kind: 'arc', pivot: { xMm: -250, yMm: 0 }, radiusMm: 60, startDeg: 40, swingDeg: 30 },
  },
  swingArm: { pivot: { xMm: -50, yMm: 0 }, droopMm: 30, bumpMm: 90 },
}
const names = (l: LoopLayout) => placesOf(l).map((p) => p.name)
const at = { xMm: -1, yMm: 2.5 }

describe('what can be dragged freely', () => {
  it('leaves the wheel of the adjuster on its way', () => {
    expect(names(layout)).toEqual(['guide', 'arm pivot', 'adjuster pivot'])
  })

  it('is both axles where nothing moves', () => {
    expect(names({ ...layout, moving: null, swingArm: null })).toEqual([
      'guide',
      'tensioner',
      'front',
      'rear',
    ])
  })

  it.each(['guide', 'arm pivot', 'adjuster pivot'])('moves %s and nothing else', (name) => {
    const moved = placesOf(layout)
      .find((p) => p.name === name)
      ?.with(at)
    expect(moved && placesOf(moved).find((p) => p.name === name)?.at).toEqual(at)
    const others = (l: LoopLayout | undefined) => l && placesOf(l).filter((p) => p.name !== name)
    expect(others(moved)?.map((p) => p.at)).toEqual(others(layout)?.map((p) => p.at))
    expect(moved && movedPlace(layout, moved)?.name).toBe(name)
  })

  it.each(['front', 'rear'] as const)('moves the %s axle of fixed centres', (name) => {
    const fixed = { ...layout, moving: null }
    expect(
      placesOf(fixed)
        .find((p) => p.name === name)
        ?.with(at)[name],
    ).toEqual(at)
  })

  it('tells how far something was moved, and nothing when it was not', () => {
    const moved = placesOf(layout)[0]?.with({ xMm: -203, yMm: 44 })
    expect(moved && movedPlace(layout, moved)?.byMm).toBe(5)
    expect(movedPlace(layout, layout)).toBeUndefined()
  })
})
