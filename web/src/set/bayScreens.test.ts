import { expect, test } from 'vitest'
import type { SetRound } from '../api/client'
import { nextScreen } from './bayScreens'

const round = (part: Partial<SetRound> = {}) =>
  ({ readings: [], gapMm: null, assumed: [], ...part }) as unknown as SetRound
const reading = { method: 'freePlay', value: 55, position: 0, forceN: null } as const
const cautions = { who: null, at: '2026-12-02T08:00:00Z' }
const kept = [round({ readings: [reading] })]

test.each([
  ['hands come first', { cautions: null, rounds: [] }, 'readAsFound', null, 'before'],
  [
    'what is being read is read on, confirmed or not',
    { cautions: null, rounds: [] },
    'turn',
    round({ readings: [reading] }),
    'read',
  ],
  ['a gap alone is a reading', { cautions, rounds: kept }, 'turn', round({ gapMm: 1 }), 'read'],
  ['it is read as found before it is turned', { cautions, rounds: [] }, 'readAsFound', null, 'read'],
  ['then turned', { cautions, rounds: kept }, 'turn', null, 'turn'],
  [
    'what was turned is said',
    { cautions, rounds: kept },
    'turn',
    round({ assumed: ['turned', 'lock'] }),
    'turn',
  ],
  ['then how the nut stands', { cautions, rounds: kept }, 'turn', round({ assumed: ['lock'] }), 'lock'],
  ['then it is read', { cautions, rounds: kept }, 'turn', round(), 'read'],
  ['where it should be it is closed', { cautions, rounds: kept }, 'tightenAndRead', null, 'close'],
  ['and signed', { cautions, rounds: kept }, 'done', null, 'close'],
  ['what stops it is told where it is turned', { cautions, rounds: kept }, 'looseOrBent', null, 'turn'],
] as const)('%s', (_, job, next, inHand, screen) => {
  expect(nextScreen(job as never, next, inHand)).toBe(screen)
})
