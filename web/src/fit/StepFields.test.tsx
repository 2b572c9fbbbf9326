import { cleanup, fireEvent, screen } from '@testing-library/react'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { show } from '../testing'
import { StepFields } from './StepFields'
import { reserveText } from './words'

afterEach(cleanup)

describe('what the adjuster is set by', () => {
  it('is chosen, and its way is asked for by name', () => {
    const onChange = vi.fn()
    show(<StepFields step={{ kind: 'click', travelMm: 2.2 }} issue={() => undefined} onChange={onChange} />)
    fireEvent.change(screen.getByLabelText('Way of one click'), { target: { value: '2.5' } })
    expect(onChange).toHaveBeenLastCalledWith({ kind: 'click', travelMm: 2.5 })
    fireEvent.click(screen.getByRole('combobox', { name: 'Set by' }))
    fireEvent.click(screen.getByRole('option', { name: 'shims', hidden: true }))
    expect(onChange).toHaveBeenLastCalledWith({ kind: 'shim', travelMm: 2.2 })
    fireEvent.click(screen.getByRole('option', { name: 'sliding it freely', hidden: true }))
    expect(onChange).toHaveBeenLastCalledWith(null)
  })

  it('asks for no way where nothing is counted', () => {
    show(<StepFields step={null} issue={() => undefined} onChange={() => {}} />)
    expect(screen.queryByLabelText(/^Way of one/)).toBeNull()
  })
})

describe('adjustment left', () => {
  const units = { show: (_: string, mm: number) => `${mm} mm` } as Parameters<typeof reserveText>[1]
  const left = { leftMm: 20, leftPercent: 50, elongationPercent: 3, isNearlyUsedUp: false }
  it('is told in percent, way and the steps of the adjuster', () => {
    expect(reserveText({ ...left, steps: null, step: null }, units)).toBe('50 % · 20 mm')
    expect(reserveText({ ...left, steps: 16.04, step: { kind: 'turn', travelMm: 1.25 } }, units)).toMatch(
      /· 16\.0 turns$/,
    )
    expect(reserveText({ ...left, steps: 1, step: { kind: 'click', travelMm: 20 } }, units)).toMatch(
      /· 1 click$/,
    )
  })
})
