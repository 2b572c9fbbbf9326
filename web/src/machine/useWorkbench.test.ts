import { describe, expect, it } from 'vitest'
import { benchOf, cardOf, driveOf, loopOf, setupOf } from './bench.testing'
import { comparisonInput, startingAim } from './useWorkbench'

const two = () => {
  const card = cardOf({}, [
    loopOf({ loopKey: 'first' }),
    loopOf({ loopsBefore: ['first'] }),
    loopOf({ loopKey: 'other', driveKey: 'right' }),
  ])
  card.fitted.loops = ['first', 'final', 'other'].map((loopKey) => ({
    loopKey,
    frontSize: 15,
    rearSize: 45,
    links: null,
  }))
  return card
}
const shownOf = (front: Record<string, number>) => ({
  name: 'B',
  loops: two().fitted.loops.map((l) => ({ ...l, frontSize: front[l.loopKey] ?? l.frontSize })),
  roadWheels: [],
  isFitted: false,
})
const input = (shown: Parameters<typeof comparisonInput>[4]) => {
  const card = two()
  return comparisonInput(card, [], driveOf(), card.summary.loops.slice(1, 2), shown, undefined)
}

describe('what is asked of a comparison', () => {
  it('names as fitted once, whatever is in view', () => {
    const fitted = { name: 'as fitted', loops: two().fitted.loops, roadWheels: [], isFitted: true }
    expect(input(fitted)).toMatchObject({ fitted: { name: 'as fitted' }, others: [], aim: null })
    expect(input([fitted, shownOf({ final: 14 })]).others.map((o) => o.name)).toEqual(['B'])
  })

  it('speaks of the loop being chosen, and of every other that differs', () => {
    expect(input(shownOf({ final: 14 })).loopKeys).toEqual(['final'])
    expect(input(shownOf({ first: 14 })).loopKeys).toEqual(['final', 'first'])
  })

  it('leaves loops of other drives out', () => {
    expect(input(shownOf({ other: 14 })).loopKeys).toEqual(['final'])
  })
})

it('an aim starts from the wheels that are fitted, not from those in view', () => {
  const trial = setupOf({ id: 2, loops: [{ loopKey: 'final', frontSize: 13, rearSize: 50, links: null }] })
  const bench = benchOf({
    shown: { name: 'B', loops: trial.loops, roadWheels: [], setup: trial, isFitted: false },
  })
  expect(startingAim(bench, 'topSpeed')).toMatchObject({ loops: bench.card.fitted.loops, kind: 'topSpeed' })
})
