import { cleanup, fireEvent, screen } from '@testing-library/react'
import { afterEach, expect, it, vi } from 'vitest'
import type * as api from '../api/client'
import * as stock from '../api/stock'
import { show } from '../testing'
import { WorkForm } from './WorkForm'

vi.mock('../api/stock', async (original) => ({
  ...(await original<typeof stock>()),
  listDesignations: vi.fn(),
}))
afterEach(cleanup)

const work = { frontMinutes: 1, frontMoney: 2, rearMinutes: 3, rearMoney: 4, bothMinutes: 5, bothMoney: 6 }

it('starts own figures from the core’s, and goes back to none', async () => {
  vi.mocked(stock.listDesignations).mockResolvedValue({ defaultWork: work } as api.Designations)
  const onChange = vi.fn()
  show(<WorkForm work={null} error={null} onChange={onChange} />)
  const own = screen.getByRole('switch') as HTMLInputElement
  expect(own.disabled).toBe(true) // until the defaults are there
  await vi.waitFor(() => expect(own.disabled).toBe(false))
  fireEvent.click(own)
  expect(onChange).toHaveBeenCalledWith(work)
})

it('changes one figure and leaves the others', () => {
  vi.mocked(stock.listDesignations).mockResolvedValue({ defaultWork: work } as api.Designations)
  const onChange = vi.fn()
  show(<WorkForm work={work} error={null} onChange={onChange} />)
  fireEvent.change(screen.getByLabelText('Rear only'), { target: { value: '40' } })
  expect(onChange).toHaveBeenLastCalledWith({ ...work, rearMinutes: 40 })
})
