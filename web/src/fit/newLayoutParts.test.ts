import { expect, it } from 'vitest'
import type { LoopLayout } from '../api/client'
import { FIXED, moverOf, wayOf } from './newLayoutParts'

const draft: LoopLayout = {
  loopKey: 'final',
  turning: 'clockwise',
  front: { xMm: 0, yMm: 0 },
  rear: { xMm: -646, yMm: 10 },
  idlers: [
    {
      name: 'roller',
      centre: { xMm: -300, yMm: -70 },
      size: 40,
      isToothed: false,
      side: 'back',
      run: 'slack',
    },
  ],
  mover: {
    kind: 'axle',
    wheel: 'rear',
    track: { kind: 'line', from: { xMm: -628, yMm: 0 }, to: { xMm: -668, yMm: 0 } },
  },
}

it('keeps the way of a wheel that goes on moving, and begins a new one around another', () => {
  expect(wayOf('bothArms', 'rear', draft)).toBe(draft.mover?.track)
  expect(wayOf('motor', 'front', draft)).toMatchObject({
    from: { xMm: 20, yMm: 0 },
    to: { xMm: -20, yMm: 0 },
  })
  expect(wayOf('tensioner', 'roller', draft)).toMatchObject({ from: { xMm: -280, yMm: -70 } })
  expect(wayOf('eccentric', 'rear', draft)).toMatchObject({ kind: 'arc', pivot: { xMm: -646, yMm: 10 } })
})

it('moves the wheel that this kind of adjuster usually moves', () => {
  expect(moverOf('motor', draft)?.wheel).toBe('front')
  expect(moverOf('tensioner', draft)?.wheel).toBe('roller')
  expect(moverOf(FIXED, draft)).toBeNull()
})
