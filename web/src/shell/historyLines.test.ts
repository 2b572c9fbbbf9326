import { describe, expect, it } from 'vitest'
import type { Change } from '../api/client'
import { historyLines } from './historyLines'

const entry = (id: number, round: Change['round'], machineId = 7): Change => ({
  id,
  madeAt: '2026-12-01T10:00:00Z',
  who: 'Mira',
  what: `entry ${id}`,
  machineId,
  undoes: null,
  undoneBy: null,
  things: [],
  round,
})
const told = (...changes: Change[]) =>
  historyLines(changes).map((l) => [l.change.id, l.readings.map((r) => r.id)])

describe('the lines of the history', () => {
  it('tell a round in one, with its readings beneath', () => {
    expect(
      told(
        entry(6, 'end'),
        entry(5, 'reading'),
        entry(4, 'reading'),
        entry(3, 'end'),
        entry(2, 'reading'),
        entry(1, null),
      ),
    ).toEqual([
      [6, [5, 4]],
      [3, [2]],
      [1, []],
    ])
  })

  it('put what is being read beneath the newest of it', () => {
    expect(told(entry(3, 'reading'), entry(2, 'reading'), entry(1, null))).toEqual([
      [3, [2]],
      [1, []],
    ])
  })

  it('mix no machines, and leave alone what is no round', () => {
    expect(told(entry(3, 'end'), entry(2, 'reading', 8), entry(1, null))).toEqual([
      [3, []],
      [2, []],
      [1, []],
    ])
  })
})
