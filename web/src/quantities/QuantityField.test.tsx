import { cleanup, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import { afterEach, describe, expect, it } from 'vitest'
import { show } from '../testing'
import { QuantityField } from './QuantityField'
import { type Quantity, useUnits } from './units'

afterEach(() => {
  cleanup()
  localStorage.clear()
})

function Bench({ start, quantity }: { start?: number; quantity?: Quantity }) {
  const [value, setValue] = useState(start)
  const units = useUnits()
  return (
    <>
      <QuantityField
        label="Speed"
        quantity={quantity}
        value={value}
        onChange={setValue}
        error={value === 0 ? 'Give more than 0.' : undefined}
      />
      <output>{value === undefined ? 'unknown' : String(value)}</output>
      <button type="button" onClick={() => units.setSystem('inch')}>
        inch
      </button>
    </>
  )
}
const field = () => screen.getByRole('textbox', { name: 'Speed' })
const stored = () => screen.getByRole('status').textContent

describe('a field for a number with its unit', () => {
  it('hands on what is typed, in the stored unit', async () => {
    show(<Bench quantity="speed" />)
    await userEvent.type(field(), '90')
    expect(stored()).toBe('90')
  })

  it('takes an emptied field as unknown, never as 0', async () => {
    show(<Bench start={90} quantity="speed" />)
    await userEvent.clear(field())
    expect(stored()).toBe('unknown')
    expect((field() as HTMLInputElement).value).toBe('')
  })

  it('shows the same speed in the other unit when the units change', async () => {
    show(<Bench start={160.9344} quantity="speed" />)
    expect((field() as HTMLInputElement).value).toBe('160.9344')
    await userEvent.click(screen.getByRole('button', { name: 'inch' }))
    expect((field() as HTMLInputElement).value).toBe('100')
    expect(stored()).toBe('160.9344')
  })

  it('converts what is typed in inch units', async () => {
    localStorage.setItem('wendrak.units', 'inch')
    show(<Bench quantity="length" />)
    await userEvent.type(field(), '10')
    expect(stored()).toBe('254')
  })

  it('keeps an unfinished decimal while it is typed', async () => {
    show(<Bench />)
    await userEvent.type(field(), '2.')
    expect((field() as HTMLInputElement).value).toBe('2.')
    await userEvent.type(field(), '5')
    expect(stored()).toBe('2.5')
  })

  it('takes no letters', async () => {
    show(<Bench />)
    await userEvent.type(field(), '1a2b')
    expect(stored()).toBe('12')
  })

  it('ties the refusal to the field', async () => {
    show(<Bench start={0} />)
    expect(field().getAttribute('aria-invalid')).toBe('true')
    expect(screen.getByText('Give more than 0.')).toBeTruthy()
  })
})
