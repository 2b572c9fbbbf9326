import { cleanup, fireEvent, screen, within } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import * as api from '../api/client'
import { show } from '../testing'
import HistoryDrawer from './HistoryDrawer'

vi.mock('../api/client', async (original) => ({
  ...(await original<typeof api>()),
  listChanges: vi.fn(),
  undoChange: vi.fn(),
}))
afterEach(cleanup)

const changeOf = (id: number, what: string, part: Partial<api.Change> = {}): api.Change => ({
  id,
  madeAt: '2026-11-20T10:00:00Z',
  who: 'Mira',
  what,
  machineId: 7,
  undoes: null,
  undoneBy: null,
  things: [],
  ...part,
})
const thing = (before: unknown, after: unknown, name = 'gearbox_set'): api.Change['things'][number] => ({
  thing: name,
  thingId: 1,
  before: before === null ? null : JSON.stringify(before),
  after: after === null ? null : JSON.stringify(after),
})

beforeEach(() => {
  vi.mocked(api.undoChange)
    .mockReset()
    .mockResolvedValue({} as never)
  vi.mocked(api.listChanges)
    .mockReset()
    .mockResolvedValue([
      changeOf(3, 'Price changed', { things: [thing({ price: 47, version: 1 }, { price: 52, version: 2 })] }),
      changeOf(2, 'Set removed', { things: [thing({ name: 'five' }, null)] }),
      changeOf(1, 'Set added', { things: [thing(null, { name: 'five' })], undoneBy: 2 }),
    ])
})

describe('the history', () => {
  it('tells who did what, and what was before and after', async () => {
    show(<HistoryDrawer machineId={7} title="History" onClose={() => {}} />)
    const [price, removed, added] = await screen
      .findAllByRole('listitem')
      .then(() =>
        ['Price changed', 'Set removed', 'Set added'].map(
          (w) => screen.getByText(w).closest('li')?.textContent,
        ),
      )
    expect(price).toContain('Mira')
    expect(price).toContain('gearbox set · price: 47 → 52')
    expect(removed).toContain('gearbox set “five” removed')
    expect(added).toContain('gearbox set “five” added')
    expect(api.listChanges).toHaveBeenCalledWith(7, undefined)
  })

  it('goes on with older ones a page at a time', async () => {
    const page = (first: number, count: number) =>
      Array.from({ length: count }, (_, i) => changeOf(first - i, `Change ${first - i}`))
    vi.mocked(api.listChanges).mockImplementation(async (_, before) =>
      before === undefined ? page(60, 50) : page(before - 1, 10),
    )
    show(<HistoryDrawer machineId={7} title="History" onClose={() => {}} />)
    fireEvent.click(await screen.findByRole('button', { name: 'Show older ones' }))
    expect(await screen.findByText('Change 1')).toBeTruthy()
    expect(screen.getAllByRole('listitem').filter((li) => li.textContent?.startsWith('Change'))).toHaveLength(
      60,
    )
    expect(screen.queryByRole('button', { name: 'Show older ones' })).toBeNull()
  })

  it('undoes one change, and offers none for what is undone', async () => {
    show(<HistoryDrawer machineId={7} title="History" onClose={() => {}} />)
    fireEvent.click(await screen.findByRole('button', { name: 'Undo Price changed' }))
    await vi.waitFor(() => expect(vi.mocked(api.undoChange).mock.calls[0]?.[0]).toBe(3))
    const undone = screen.getByText('Set added').closest('li') as HTMLElement
    expect(within(undone).queryByRole('button')).toBeNull()
    expect(within(undone).getByText('undone')).toBeTruthy()
  })

  it('says that nothing was changed, and that it could not be read', async () => {
    vi.mocked(api.listChanges).mockResolvedValue([])
    show(<HistoryDrawer title="History" onClose={() => {}} />)
    expect(await screen.findByText('Nothing was changed yet.')).toBeTruthy()
    cleanup()
    vi.mocked(api.listChanges).mockRejectedValue(new Error('The program answered with error 500.'))
    show(<HistoryDrawer title="History" onClose={() => {}} />)
    expect(await screen.findByText(/error 500/)).toBeTruthy()
  })
})
