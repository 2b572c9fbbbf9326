import { cleanup, fireEvent, screen } from '@testing-library/react'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { show } from '../testing'
import { TurnDial } from './TurnDial'

afterEach(cleanup)

const dial = (part: Partial<Parameters<typeof TurnDial>[0]>) => {
  const onTurn = vi.fn()
  show(
    <TurnDial units={0} step={1 / 16} clockwiseTightens name="left" text="hold" onTurn={onTurn} {...part} />,
  )
  const face = screen.getByRole('slider', { name: 'left on a clock’s face' })
  face.getBoundingClientRect = () => ({ left: 0, top: 0, width: 72, height: 72 }) as DOMRect
  return { face, onTurn }
}

describe('the clock face of an adjuster', () => {
  it('is set by a press, by the shorter way round and in steps of the hand', () => {
    const { face, onTurn } = dial({})
    fireEvent.click(face, { clientX: 72, clientY: 36 }) // three o'clock
    expect(onTurn).toHaveBeenLastCalledWith(0.25)
    fireEvent.click(face, { clientX: 0, clientY: 36 }) // nine o'clock
    expect(onTurn).toHaveBeenLastCalledWith(-0.25)
    fireEvent.click(face, { clientX: 38, clientY: 0 }) // a little past twelve: less than half a step
    expect(onTurn).toHaveBeenLastCalledWith(0)
  })

  it('tightens anticlockwise where that was asked', () => {
    const { face, onTurn } = dial({ clockwiseTightens: false })
    fireEvent.click(face, { clientX: 72, clientY: 36 })
    expect(onTurn).toHaveBeenLastCalledWith(-0.25)
  })

  it('goes by steps with the arrow keys', () => {
    const { face, onTurn } = dial({ units: 0.125 })
    fireEvent.keyDown(face, { key: 'ArrowUp' })
    expect(onTurn).toHaveBeenLastCalledWith(0.1875)
    fireEvent.keyDown(face, { key: 'ArrowLeft' })
    expect(onTurn).toHaveBeenLastCalledWith(0.0625)
    fireEvent.keyDown(face, { key: 'a' })
    expect(onTurn).toHaveBeenCalledTimes(2)
  })
})
