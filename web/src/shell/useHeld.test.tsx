import { cleanup, fireEvent, screen } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { show } from '../testing'
import { useHeld } from './useHeld'

afterEach(() => {
  cleanup()
  vi.useRealTimers()
})
beforeEach(() => vi.useFakeTimers())

function Stepper({ onStep }: { onStep: (steps: number) => void }) {
  return (
    <button type="button" {...useHeld(onStep)}>
      more
    </button>
  )
}

function begin() {
  const steps: number[] = []
  show(<Stepper onStep={(n) => steps.push(n)} />)
  return { steps, button: screen.getByRole('button') }
}

describe('a button that is held', () => {
  it('steps once at a press, by finger or key', () => {
    const { steps, button } = begin()
    fireEvent.pointerDown(button)
    fireEvent.pointerUp(button)
    fireEvent.click(button)
    expect(steps).toEqual([1])
    fireEvent.click(button) // as a key does
    expect(steps).toEqual([1, 1])
  })

  it('goes on by one, then by five, until it is let go, and its click is none', () => {
    const { steps, button } = begin()
    fireEvent.pointerDown(button)
    vi.advanceTimersByTime(2000)
    fireEvent.pointerUp(button)
    fireEvent.click(button)
    const held = [...steps]
    expect(held.slice(0, 9)).toEqual([1, 1, 1, 1, 1, 1, 1, 1, 5])
    vi.advanceTimersByTime(2000)
    expect(steps).toEqual(held)
    fireEvent.pointerDown(button)
    fireEvent.pointerUp(button)
    fireEvent.click(button)
    expect(steps.at(-1)).toBe(1)
  })

  it('stops where the finger slips off', () => {
    const { steps, button } = begin()
    fireEvent.pointerDown(button)
    fireEvent.pointerLeave(button)
    vi.advanceTimersByTime(2000)
    expect(steps).toEqual([])
  })
})
