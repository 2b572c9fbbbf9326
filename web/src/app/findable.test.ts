import { expect, test } from 'vitest'
import type { FindIndex } from '../api/client'
import { findable, findBy } from './findable'

const INDEX: FindIndex = {
  machines: [
    { id: 7, name: 'Heron', isRetired: false, loops: [{ key: 'final', name: 'final drive' }] },
    { id: 8, name: 'Egret', isRetired: true, loops: [] },
  ],
  trials: [{ id: 31, machineId: 7, name: 'Long legs' }],
  aims: [{ id: 4, machineId: 7, name: 'Marsh road' }],
  jobs: [{ id: 12, machineId: 7, reason: 'visit', waitsFor: 'a chain' }],
}
const labels = (words: string, recent: string[] = []) =>
  findBy(words, findable(INDEX), recent, 50).map((f) => `${f.label}, ${f.hint}`)

test('all words must be in the name, in any order and any case', () => {
  expect(labels('SET heron')).toContain('Heron, Set')
  expect(labels('heron set')).toContain('Heron, Set')
  expect(labels('heron nowhere')).toEqual([])
})

test('every kind of thing is found, with the machine it is of', () => {
  expect(labels('long')).toEqual(['Long legs, trial of Heron'])
  expect(labels('marsh')).toEqual(['Marsh road, aim of Heron'])
  expect(labels('waits')).toEqual(['Heron, job: a visit, waits for a chain'])
  expect(labels('choice')).toEqual(['Heron, Choice: kinds of drive'])
  expect(labels('stock')[0]).toMatch(/^Stock/)
})

test('no job is begun at a machine that is out of use', () => {
  expect(labels('begin heron').length).toBeGreaterThan(2)
  expect(labels('begin egret')).toEqual([])
})

test('what was opened here last comes first, the rest in the order of the store', () => {
  const first = labels('egret')[0]
  expect(first).toBe('Egret, Aim')
  expect(labels('egret', ['/machines/8/check', '/machines/8/fit']).slice(0, 3)).toEqual([
    'Egret, Check',
    'Egret, Fit',
    'Egret, Aim',
  ])
})

test('before the names are known the places of the rail are found', () => {
  expect(findBy('practice', findable(undefined), [], 5).map((f) => f.to)).toEqual(['/practice'])
})
