import { cleanup, fireEvent, screen } from '@testing-library/react'
import { afterEach, expect, it, vi } from 'vitest'
import * as api from '../api/client'
import { show } from '../testing'
import { cardOf, setupOf } from './bench.testing'
import { useMachineSave } from './useMachineSave'

vi.mock('../api/client', async (original) => ({ ...(await original<typeof api>()), changeMachine: vi.fn() }))
afterEach(cleanup)

const { machine, fitted } = cardOf()
const body = { machine, fitted: fitted.loops, fittedVersion: 1 }

function Saver() {
  const { store, dialog } = useMachineSave(() => {})
  return (
    <>
      <button type="button" onClick={() => store(body)}>
        Store
      </button>
      {dialog}
    </>
  )
}

it.each([
  ['machine', { ...machine, version: 4, name: 'theirs' }, { ...body, machine: { ...machine, version: 4 } }],
  ['setup', setupOf({ version: 7, loops: [] }), { ...body, fittedVersion: 7 }],
])('keeps mine over a changed %s, and nothing else of it', async (thing, current, expected) => {
  const change = vi.mocked(api.changeMachine).mockReset()
  change.mockRejectedValueOnce(new api.ConflictError('Changed meanwhile.', thing, current))
  change.mockResolvedValueOnce({} as never)
  show(<Saver />)
  fireEvent.click(screen.getByRole('button', { name: 'Store' }))
  fireEvent.click(await screen.findByRole('button', { name: 'Store mine over it' }))
  await vi.waitFor(() => expect(change).toHaveBeenCalledTimes(2))
  expect(change.mock.calls[1]?.[0]).toEqual(expected)
})
