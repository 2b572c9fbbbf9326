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

  it('refuses what is no number, keeps the text and the last good value', async () => {
    show(<Bench start={7} />)
    await userEvent.clear(field())
    await userEvent.type(field(), '1a2b')
    expect((field() as HTMLInputElement).value).toBe('1a2b')
    expect(stored()).toBe('1')
    expect(screen.getByText(/“1a2b” is no number/)).toBeTruthy()
    expect((field() as HTMLInputElement).validity.valid).toBe(false)
  })

  it('reads fractions and mixed numbers and lets them stand', async () => {
    show(<Bench quantity="fine" />)
    await userEvent.type(field(), '1 3/8')
    expect(stored()).toBe('1.375')
    await userEvent.tab()
    expect((field() as HTMLInputElement).value).toBe('1 3/8')
  })

  it('converts a unit that is written behind the number', async () => {
    show(<Bench quantity="fine" />)
    await userEvent.type(field(), '25 in')
    expect(stored()).toBe('635')
    await userEvent.tab()
    expect((field() as HTMLInputElement).value).toBe('635')
  })

  it('says of a beginning that it is one once the field is left', async () => {
    show(<Bench start={2} />)
    await userEvent.clear(field())
    await userEvent.type(field(), '3/')
    expect(screen.queryByText(/beginning/)).toBeNull()
    await userEvent.tab()
    expect(screen.getByText(/“3\/” is the beginning of a number/)).toBeTruthy()
    expect((field() as HTMLInputElement).value).toBe('3/')
  })

  it('drops no digit, whatever the system', async () => {
    localStorage.setItem('wendrak.units', 'inch')
    show(<Bench quantity="fine" />)
    await userEvent.type(field(), '1.2345678')
    await userEvent.tab()
    expect((field() as HTMLInputElement).value).toBe('1.2345678')
    await userEvent.clear(field())
    await userEvent.type(field(), '1,5')
    expect(stored()).toBe('38.1')
  })

  it('ties the refusal to the field', async () => {
    show(<Bench start={0} />)
    expect(field().getAttribute('aria-invalid')).toBe('true')
    expect(screen.getByText('Give more than 0.')).toBeTruthy()
  })
})
