import { cleanup, fireEvent, screen } from '@testing-library/react'
import { afterEach, expect, it, vi } from 'vitest'
import { show } from '../testing'
import { ReasonedButton } from './ReasonedButton'

afterEach(cleanup)

it('says why it can’t be pressed, and is not', () => {
  const [pressed, sent] = [vi.fn(), vi.fn((e) => e.preventDefault())]
  show(
    <form onSubmit={sent}>
      <ReasonedButton why="Nothing is read yet." type="submit" onClick={pressed}>
        Keep
      </ReasonedButton>
    </form>,
  )
  const button = screen.getByRole('button', { name: 'Keep' })
  fireEvent.click(button)
  expect(pressed).not.toHaveBeenCalled()
  expect(sent).not.toHaveBeenCalled()
  expect(button.getAttribute('aria-disabled')).toBe('true')
  expect(button.getAttribute('aria-description')).toBe('Nothing is read yet.')
})

it('is a button like any other where nothing stands in the way', () => {
  const pressed = vi.fn()
  show(
    <ReasonedButton why={null} onClick={pressed}>
      Keep
    </ReasonedButton>,
  )
  fireEvent.click(screen.getByRole('button', { name: 'Keep' }))
  expect(pressed).toHaveBeenCalledOnce()
})
