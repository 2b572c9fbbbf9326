import { describe, expect, it } from 'vitest'
import type { LoopPath, Track } from '../api/client'
import { FITTED, nearestTravel, toothPath, trackEnds, viewOf } from './view'

const line: Track = { kind: 'line', from: { xMm: -628, yMm: 0 }, to: { xMm: -668, yMm: 0 } }
const arc: Track = { kind: 'arc', pivot: { xMm: 100, yMm: 50 }, radiusMm: 10, startDeg: 90, swingDeg: -90 }

describe('where a finger points on a way', () => {
  it.each([
    [-640, 0, 12],
    [-640, 99, 12], // beside it: the nearest place on it
    [-500, 0, 0],
    [-900, 0, 40],
  ])('%s, %s is %s mm along a slot', (xMm, yMm, travel) =>
    expect(nearestTravel(line, { xMm, yMm }, 40)).toBeCloseTo(travel, 9),
  )

  it('is measured along an arc, and stays on it', () => {
    const quarter = (10 * Math.PI) / 2
    expect(nearestTravel(arc, { xMm: 100, yMm: 80 }, quarter)).toBeCloseTo(0, 9)
    expect(nearestTravel(arc, { xMm: 130, yMm: 80 }, quarter)).toBeCloseTo(quarter / 2, 9)
    expect(nearestTravel(arc, { xMm: 130, yMm: 50 }, quarter)).toBeCloseTo(quarter, 9)
    expect(nearestTravel(arc, { xMm: 130, yMm: 20 }, quarter)).toBeCloseTo(quarter, 9)
    expect(nearestTravel(arc, { xMm: 70, yMm: 80 }, quarter)).toBe(0)
  })

  it('ends where the way ends', () => {
    expect(trackEnds(line)).toEqual([line.from, line.to])
    const [start, end] = trackEnds(arc)
    expect([start.xMm, start.yMm]).toEqual([expect.closeTo(100, 9), expect.closeTo(60, 9)])
    expect([end.xMm, end.yMm]).toEqual([expect.closeTo(110, 9), expect.closeTo(50, 9)])
  })
})

const wheel = (name: string, xMm: number, r: number) => ({
  name,
  centre: { xMm, yMm: 0 },
  outline: { runRadiusMm: r, arcRadiusMm: r, outsideRadiusMm: r },
})
const path = { wheels: [wheel('front', 0, 40), wheel('rear', -640, 110)] } as unknown as LoopPath

describe('the view', () => {
  it('holds the whole loop and its slot, to one scale, y up', () => {
    const view = viewOf(path, line, 800, 320, FITTED)
    const left = view.toScreen({ xMm: -750, yMm: 0 })
    const right = view.toScreen({ xMm: 40, yMm: 0 })
    expect(left.x).toBeGreaterThanOrEqual(0)
    expect(right.x).toBeLessThanOrEqual(800)
    expect(right.x - left.x).toBeCloseTo(790 * view.scale, 6)
    expect(view.toScreen({ xMm: 0, yMm: 10 }).y).toBeLessThan(view.toScreen({ xMm: 0, yMm: 0 }).y)
  })

  it('comes back to the place it was asked for, also zoomed and moved', () => {
    const view = viewOf(path, line, 800, 320, { zoom: 2.5, dx: 40, dy: -70 })
    const { x, y } = view.toScreen({ xMm: -123, yMm: 45 })
    const back = view.toWorld(x, y)
    expect([back.xMm, back.yMm]).toEqual([expect.closeTo(-123, 9), expect.closeTo(45, 9)])
    expect(view.scale).toBeCloseTo(2.5 * viewOf(path, line, 800, 320, FITTED).scale, 9)
  })
})

it('a sprocket is drawn with as many tips as it has teeth, between root and tip', () => {
  const path = toothPath(0, 0, 17, 30, 36)
  const radii = [...path.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]) =>
    Math.hypot(Number(x), Number(y)),
  )
  expect(radii.filter((r) => r > 35.9)).toHaveLength(2 * 17)
  expect(Math.min(...radii)).toBeCloseTo(30, 1)
})
