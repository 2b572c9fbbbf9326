import { cleanup, fireEvent, screen } from '@testing-library/react'
import { afterEach, expect, it, vi } from 'vitest'
import { show } from '../testing'
import { DayField } from './DayField'

afterEach(cleanup)

const typed = (text: string) => {
  const onChange = vi.fn()
  show(<DayField label="Look again on" value="" onChange={onChange} />)
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

it('takes what is picked from the calendar, and can be emptied', () => {
  const onChange = vi.fn()
  const { container } = show(<DayField label="Look again on" value="2027-01-15" onChange={onChange} />)
  const calendar = container.querySelector<HTMLInputElement>('input[type=date]')
  if (calendar) calendar.showPicker = vi.fn()
  fireEvent.click(screen.getByRole('button', { name: 'Calendar' }))
  expect(calendar?.showPicker).toHaveBeenCalledOnce()
  if (calendar) fireEvent.change(calendar, { target: { value: '2027-02-01' } })
  expect(onChange).toHaveBeenLastCalledWith('2027-02-01')
  fireEvent.change(screen.getByLabelText('Look again on'), { target: { value: '' } })
  expect(onChange).toHaveBeenLastCalledWith('')
})

it('what is needed can’t be emptied', () => {
  const onChange = vi.fn()
  show(<DayField label="Day" isNeeded value="2027-01-15" onChange={onChange} />)
  fireEvent.change(screen.getByLabelText(/^Day/), { target: { value: '' } })
  expect(onChange).not.toHaveBeenCalled()
})
