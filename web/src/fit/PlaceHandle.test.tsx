import { cleanup, fireEvent, screen } from '@testing-library/react'
import { afterEach, describe, expect, it, vi } from 'vitest'
import type { LoopLayout, Point } from '../api/client'
import type { View } from '../loop/view'
import { show } from '../testing'
import { PlaceHandle } from './PlaceHandle'

afterEach(cleanup)

// Two pixels to a millimetre, y up.
const view: View = {
  scale: 2,
  toScreen: (p) => ({ x: 2 * p.xMm, y: 100 - 2 * p.yMm }),
  toWorld: (x, y) => ({ xMm: x / 2, yMm: (100 - y) / 2 }),
}

function handle() {
  const moves: Point[] = []
  const onMove = vi.fn()
  const onHold = vi.fn()
  const place = {
    name: 'guide',
    at: { xMm: 10, yMm: 20 },
    with: (at: Point) => {
      moves.push(at)
      return {} as LoopLayout
    },
  }
  Element.prototype.setPointerCapture = () => {}
  show(<PlaceHandle place={place} view={view} onHold={onHold} onMove={onMove} />)
  return {
    button: screen.getByRole('button', { name: /^Place of guide: 10\.0\smm · 20\.0\smm/ }),
    moves,
    onMove,
    onHold,
  }
}

describe('a place in the picture', () => {
  it.each([
    ['ArrowLeft', false, { xMm: 9.9, yMm: 20 }],
    ['ArrowRight', false, { xMm: 10.1, yMm: 20 }],
    ['ArrowUp', false, { xMm: 10, yMm: 20.1 }],
    ['ArrowDown', true, { xMm: 10, yMm: 19 }],
  ])('is stepped with %s', (key, shiftKey, at) => {
    const { button, moves } = handle()
    fireEvent.keyDown(button, { key, shiftKey })
    expect(moves).toEqual([at])
  })

  it('follows the pointer from where it was grabbed, to a tenth of a millimetre', () => {
    const { button, moves, onHold } = handle()
    fireEvent.pointerMove(button, { clientX: 500, clientY: 500 })
    expect(moves).toEqual([]) // nobody holds it
    // Grabbed a little beside its middle at 20 · 60 px: it does not jump under the pointer.
    fireEvent.pointerDown(button, { clientX: 23, clientY: 58 })
    fireEvent.pointerMove(button, { clientX: 23 + 10.1, clientY: 58 - 4 })
    expect(moves).toEqual([{ xMm: 15.1, yMm: 22 }])
    fireEvent.pointerUp(button)
    fireEvent.pointerMove(button, { clientX: 0, clientY: 0 })
    expect(moves).toHaveLength(1)
    expect(onHold.mock.calls).toEqual([[true], [false]])
  })

  it('is put back with Escape', () => {
    const { button, onMove } = handle()
    fireEvent.keyDown(button, { key: 'Escape' })
    expect(onMove).toHaveBeenCalledWith(null)
    fireEvent.keyDown(button, { key: 'a' })
    expect(onMove).toHaveBeenCalledTimes(1)
  })
})
