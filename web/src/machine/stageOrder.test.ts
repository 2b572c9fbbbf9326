import { describe, expect, it } from 'vitest'
import type { Drive } from '../api/client'
import { driveOf, PAIR } from './bench.testing'
import { newStage } from './newParts'
import { insertedBefore, swapped, whyNotSwapped, without } from './stageOrder'

/** in –a→ one –b→ two –c→ out, with a wheel on the last shaft. */
const stage = (key: string, from: string, to: string) => ({
  ...newStage(PAIR, driveOf(), []),
  key,
  name: key,
  drivingShaft: from,
  drivenShaft: to,
})
const drive = {
  ...driveOf(),
  stages: [stage('a', 'in', 'one'), stage('b', 'one', 'two'), stage('c', 'two', 'out')],
  outputs: [{ name: 'wheel', shaft: 'out', onRoad: true, roadWheel: null }],
} as Drive
const run = (d: Drive) => d.stages.map((s) => `${s.drivingShaft}-${s.key}-${s.drivenShaft}`).join(' ')

describe('the order of stages', () => {
  it('takes a stage in between, and what followed is driven by it', () => {
    const added = insertedBefore(drive, 1, stage('x', 'out', 'new'))
    expect(run(added)).toBe('in-a-one one-x-new new-b-two two-c-out')
    expect(run(insertedBefore(drive, 3, stage('x', 'out', 'new')))).toBe(
      'in-a-one one-b-two two-c-out out-x-new',
    )
  })

  it('lets two in a row change places with the shafts left where they are', () => {
    const once = swapped(drive, 0)
    expect(run(once)).toBe('in-b-one one-a-two two-c-out')
    expect(run(swapped(once, 0))).toBe(run(drive))
  })

  it('says why two can’t change places', () => {
    expect(whyNotSwapped(drive, 0)).toBeNull()
    expect(whyNotSwapped(drive, 2)).toBe('There is no stage after it.')
    const forked = {
      ...drive,
      outputs: [...drive.outputs, { ...drive.outputs[0], name: 'pump', shaft: 'one' }],
    } as Drive
    expect(whyNotSwapped(forked, 0)).toBe('pump hangs on “one” between them.')
    expect(swapped(forked, 0)).toBe(forked)
    const beside = { ...drive, stages: [stage('a', 'in', 'one'), stage('b', 'in', 'two')] } as Drive
    expect(whyNotSwapped(beside, 0)).toBe('b is not driven by a.')
  })

  it('closes the gap where one is taken out', () => {
    expect(run(without(drive, 1))).toBe('in-a-one one-c-out')
    expect(without(drive, 2).outputs[0]?.shaft).toBe('two')
  })
})
