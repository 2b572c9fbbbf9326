import { describe, expect, it } from 'vitest'
import { nextName } from '../machine/useKeepTrial'
import { candidateOf } from './candidates.testing'
import { neighbour, type Point } from './RatioScale'
import { stepped } from './stepped'

const FRONTS = [14, 15, 16]
const REARS = [42, 43, 44, 45]
const all = FRONTS.flatMap((f) =>
  REARS.map((r) => candidateOf(f, r, { changedSprockets: f === 15 && r === 45 ? 'nothing' : 'both' })),
)
const points: Point[] = all.map((candidate) => ({
  candidate,
  ratio: candidate.finalRatio,
  row: FRONTS.indexOf(candidate.loops[0]?.frontSize ?? 0),
  label: '',
}))
const at = (front: number, rear: number) =>
  points.find((p) => p.candidate.loops[0]?.frontSize === front && p.candidate.loops[0]?.rearSize === rear)
const nameOf = (p: Point | undefined) =>
  p && `${p.candidate.loops[0]?.frontSize}/${p.candidate.loops[0]?.rearSize}`
const go = (from: Point | undefined, key: string) => nameOf(neighbour(points, FRONTS.length, from, key))

describe('arrow keys on the scale', () => {
  it('go along the row to the next taller or shorter pair', () => {
    expect(go(at(15, 44), 'ArrowLeft')).toBe('15/43')
    expect(go(at(15, 44), 'ArrowRight')).toBe('15/45')
    expect(go(at(15, 45), 'ArrowRight')).toBeUndefined()
  })

  it('go to the nearest ratio in the next row', () => {
    expect(go(at(15, 42), 'ArrowDown')).toBe('16/45')
    expect(go(at(15, 45), 'ArrowUp')).toBe('14/42')
    expect(go(at(14, 42), 'ArrowUp')).toBeUndefined()
  })

  it('reach the ends of a row', () => {
    expect(go(at(15, 44), 'Home')).toBe('15/42')
    expect(go(at(15, 44), 'End')).toBe('15/45')
  })

  it('start from what is fitted, and leave other keys alone', () => {
    expect(go(undefined, 'ArrowLeft')).toBe('15/44')
    expect(go(at(15, 44), 'a')).toBeUndefined()
  })
})

describe('one tooth up or down', () => {
  const shown = [{ loopKey: 'final', frontSize: 15, rearSize: 43, links: 112 }]
  it.each([
    ['frontSize', -1, '14/43'],
    ['frontSize', 1, '16/43'],
    ['rearSize', 1, '15/44'],
    ['rearSize', -1, '15/42'],
  ] as const)('%s by %d leads to %s', (side, by, expected) => {
    const next = stepped(all, shown, side, by)
    expect(`${next?.loops[0]?.frontSize}/${next?.loops[0]?.rearSize}`).toBe(expected)
  })

  it('stops at the end of the range', () => {
    expect(
      stepped(all, [{ loopKey: 'final', frontSize: 16, rearSize: 43, links: null }], 'frontSize', 1),
    ).toBeUndefined()
  })
})

describe('names of trials', () => {
  it('take the first letter not in use', () => {
    expect(nextName([])).toBe('Trial A')
    expect(nextName(['Trial A', 'Trial C', 'Long legs'])).toBe('Trial B')
  })
})
