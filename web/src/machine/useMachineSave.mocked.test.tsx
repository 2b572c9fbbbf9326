import { cleanup, fireEvent, screen } from '@testing-library/react'
import { afterEach, expect, it, vi } from 'vitest'
import * as api from '../api/client'
import { show } from '../testing'
import { cardOf, setupOf } from './bench.testing'
import { useMachineSave } from './useMachineSave'

vi.mock('../api/client', async (original) => ({
  ...(await original<typeof api>()),
  changeMachine: vi.fn(),
  followUpsAfterChange: vi.fn(),
}))
afterEach(cleanup)

const { machine, fitted } = cardOf()
const body = { machine: { ...machine, name: 'mine' }, fitted: fitted.loops, fittedVersion: 1 }

function Saver({ hasHistory = true }: { hasHistory?: boolean }) {
  const card = cardOf()
  const { store, error, dialog } = useMachineSave(
    { ...card, summary: { ...card.summary, hasHistory } },
    () => {},
  )
  return (
    <>
      <button type="button" onClick={() => store(body)}>
        Store
      </button>
      {error?.message}
      {dialog}
    </>
  )
}

it.each([
  [
    'machine',
    { ...machine, version: 4, name: 'theirs' },
    { ...body, machine: { ...body.machine, version: 4 }, change: 'otherParts' },
  ],
  ['setup', setupOf({ version: 7, loops: [] }), { ...body, fittedVersion: 7, change: 'otherParts' }],
])('keeps mine over a changed %s, and nothing else of it', async (thing, current, expected) => {
  const change = vi.mocked(api.changeMachine).mockReset()
  vi.mocked(api.followUpsAfterChange).mockResolvedValue([])
  change.mockRejectedValueOnce(new api.ConflictError('Changed meanwhile.', thing, current))
  change.mockResolvedValueOnce(cardOf())
  show(<Saver />)
  fireEvent.click(screen.getByRole('button', { name: 'Store' }))
  fireEvent.click(await screen.findByRole('button', { name: 'Store it so' }))
  await vi.waitFor(() => expect(change).toHaveBeenCalledTimes(2))
  expect(change.mock.calls[1]?.[0]).toEqual(expected)
})

const item = { task: 'slot', station: 'fit', driveKey: 'drive', loopKey: 'final', because: ['rearWheel'] }

it.each([
  ['It only corrects what was typed', 'correction'],
  ['It is another one now', 'otherParts'],
])('asks what a change is before it stores it: %s', async (answer, change) => {
  const stored = vi.mocked(api.changeMachine).mockReset()
  stored.mockResolvedValue({} as never)
  vi.mocked(api.followUpsAfterChange).mockResolvedValue([item] as never)
  show(<Saver />)
  fireEvent.click(screen.getByRole('button', { name: 'Store' }))
  expect(await screen.findByText('other rear wheel')).toBeTruthy()
  expect(stored).not.toHaveBeenCalled()
  fireEvent.click(screen.getByRole('button', { name: answer }))
  await vi.waitFor(() => expect(stored).toHaveBeenCalledWith({ ...body, change }, expect.anything()))
})

it('names what is refused before it asks anything', async () => {
  const stored = vi.mocked(api.changeMachine).mockReset()
  const refusal = new api.InvalidInputError([
    { field: 'machine.name', code: 'missing', message: 'Give it a name.', limit: null },
  ])
  vi.mocked(api.followUpsAfterChange).mockRejectedValueOnce(refusal)
  show(<Saver />)
  fireEvent.click(screen.getByRole('button', { name: 'Store' }))
  expect(await screen.findByText('Give it a name.')).toBeTruthy()
  expect(screen.queryByRole('dialog')).toBeNull()
  expect(stored).not.toHaveBeenCalled()
})

it('asks nothing of a machine that was never worked on', async () => {
  const stored = vi.mocked(api.changeMachine).mockReset()
  stored.mockResolvedValue({} as never)
  show(<Saver hasHistory={false} />)
  fireEvent.click(screen.getByRole('button', { name: 'Store' }))
  await vi.waitFor(() => expect(stored.mock.calls[0]?.[0]).toEqual({ ...body, change: 'correction' }))
})
