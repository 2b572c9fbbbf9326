import { cleanup, fireEvent, screen } from '@testing-library/react'
import { afterEach, expect, it, vi } from 'vitest'
import { show } from '../testing'
import DayInput from './DayInput'

afterEach(cleanup)

const typed = (text: string) => {
  const onChange = vi.fn()
  show(<DayInput label="Look again on" value="" onChange={onChange} />)
  const field = screen.getByLabelText('Look again on')
  fireEvent.change(field, { target: { value: text } })
  fireEvent.blur(field)
  return onChange
}

it('takes a day written year first', () => {
  expect(typed('2028-02-29')).toHaveBeenLastCalledWith('2028-02-29')
})

it.each(['29.02.2028', '02/03/2028', '2027-02-29', '2028-13-01', 'tomorrow'])(
  'refuses %s by name',
  (text) => {
    expect(typed(text)).not.toHaveBeenCalled()
    expect(screen.getByText(`“${text}” is no day: write it year first, as 2026-09-14.`)).toBeTruthy()
  },
)
