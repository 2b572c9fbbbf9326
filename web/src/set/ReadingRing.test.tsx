import { cleanup, fireEvent, screen } from '@testing-library/react'
import { afterEach, describe, expect, it, vi } from 'vitest'
import type { SetAdvice, SetReading } from '../api/client'
import { show } from '../testing'
import { ReadingRing, windowOf } from './ReadingRing'

afterEach(cleanup)

const reading = (position: number, value: number): SetReading => ({
  method: 'pluck',
  value,
  position,
  forceN: null,
})
const advice = { windowMethod: 'pluck', windowLooseReading: 64, windowTightReading: 74 } as SetAdvice

describe('the ring of readings', () => {
  const ring = (onChoose = vi.fn()) => {
    show(
      <ReadingRing
        readings={[reading(0, 58), reading(2, 66)]}
        insides={[false, true]}
        positions={4}
        chosen={1}
        advice={advice}
        last={undefined}
        onChoose={onChoose}
      />,
    )
    return onChoose
  }

  it('tells each position, and whether the core counts it inside', () => {
    ring()
    const names = screen
      .getAllByRole('button')
      .map((b) => b.getAttribute('aria-label')?.replaceAll(/\s/g, ' '))
    expect(names).toEqual([
      'valve up: 58.0 Hz, outside',
      'a quarter on: not read',
      'half-way: 66.0 Hz, inside',
      'three quarters on: not read',
    ])
    expect(screen.getByText('58.0')).toBeTruthy()
    expect(screen.getByRole('button', { pressed: true }).getAttribute('aria-label')).toMatch(/^a quarter on/)
  })

  it('is chosen by click and by key', () => {
    const onChoose = ring()
    fireEvent.click(screen.getByRole('button', { name: /^half-way/ }))
    fireEvent.keyDown(screen.getByRole('button', { name: /^three/ }), { key: 'Enter' })
    expect(onChoose.mock.calls).toEqual([[2], [3]])
  })

  it('has its window in order, whichever end is the tight one', () => {
    expect(windowOf({ windowLooseReading: 35, windowTightReading: 25 } as SetAdvice)).toEqual([25, 35])
    expect(windowOf(undefined)).toBeNull()
  })
})
