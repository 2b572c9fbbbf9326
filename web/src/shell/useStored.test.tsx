import { act, cleanup, screen } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { ConflictError, InvalidInputError } from '../api/client'
import { show } from '../testing'
import { useStored } from './useStored'

interface Thing {
  id: number
  version: number
  name: string
}
const thing: Thing = { id: 1, version: 1, name: 'before' }

beforeEach(() => vi.useFakeTimers())
afterEach(() => {
  cleanup()
  vi.useRealTimers()
})

/** A thing with a button that types and shows what the hook knows. */
function Bench({
  stored,
  save,
  typed,
}: {
  stored: Thing
  save: (t: Thing) => Promise<Thing>
  typed: string
}) {
  const { draft, setDraft, error, isDirty, conflicting } = useStored(stored, save)
  return (
    <>
      <output>{draft.name}</output>
      <p>
        {isDirty ? 'waiting' : 'stored'} {error ? 'refused' : ''} {conflicting ? 'conflict' : ''}
      </p>
      <button type="button" onClick={() => setDraft({ ...draft, name: typed })}>
        type
      </button>
      <button type="button" onClick={() => setDraft({ ...draft, name: `${draft.name} more` })}>
        more
      </button>
      <button type="button" onClick={() => conflicting?.onChosen(draft)}>
        mine
      </button>
      <button type="button" onClick={() => conflicting?.onChosen(conflicting.conflict.current as Thing)}>
        theirs
      </button>
    </>
  )
}
const press = async (name: string) => {
  await act(async () => screen.getByRole('button', { name }).click())
}
const pause = async (ms: number) => {
  await act(async () => vi.advanceTimersByTimeAsync(ms))
}
const shown = () => screen.getByRole('status').textContent

describe('a stored thing being edited', () => {
  it('stores what is typed while an answer is on its way upon that answer', async () => {
    const answers: (() => void)[] = []
    const save = vi.fn(
      (t: Thing) =>
        new Promise<Thing>((answered) => {
          answers.push(() => answered({ ...t, version: t.version + 1 }))
        }),
    )
    show(<Bench stored={thing} save={save} typed="first" />)
    await press('type')
    await pause(600)
    await press('more')
    await pause(2000) // longer than the pause in typing: the first answer is still awaited
    expect(save.mock.calls.map(([t]) => t)).toEqual([{ id: 1, version: 1, name: 'first' }])
    await act(async () => answers[0]?.())
    await pause(600)
    expect(save.mock.calls.slice(1).map(([t]) => t)).toEqual([{ id: 1, version: 2, name: 'first more' }])
    await act(async () => answers[1]?.())
    await pause(2000)
    expect(save).toHaveBeenCalledTimes(2)
    expect(screen.getByText(/^stored/)).toBeTruthy()
  })

  it('is stored after a pause in typing, once, with the version it was read at', async () => {
    const save = vi.fn(async (t: Thing) => ({ ...t, version: t.version + 1 }))
    show(<Bench stored={thing} save={save} typed="after" />)
    await press('type')
    await pause(300)
    expect(save).not.toHaveBeenCalled()
    await pause(400)
    expect(save.mock.calls.map(([t]) => t)).toEqual([{ id: 1, version: 1, name: 'after' }])
    await pause(2000)
    expect(save).toHaveBeenCalledTimes(1)
    expect(screen.getByText(/^stored/)).toBeTruthy()
  })

  it('keeps what was typed when it is refused, and does not ask again by itself', async () => {
    const save = vi.fn(async () => {
      throw new InvalidInputError([{ field: 'name', code: 'missing', message: 'Give a name.', limit: null }])
    })
    show(<Bench stored={thing} save={save} typed="" />)
    await press('type')
    await pause(5000)
    expect(save).toHaveBeenCalledTimes(1)
    expect(shown()).toBe('')
    expect(screen.getByText(/waiting refused/)).toBeTruthy()
  })

  it('is stored at once when the page is left in the middle of the pause', async () => {
    const save = vi.fn(async (t: Thing) => t)
    const { unmount } = show(<Bench stored={thing} save={save} typed="after" />)
    await press('type')
    unmount()
    await pause(0)
    expect(save).toHaveBeenCalledTimes(1)
  })

  it('holds a change from another window up to choose', async () => {
    const theirs = { id: 1, version: 7, name: 'theirs' }
    const save = vi
      .fn<(t: Thing) => Promise<Thing>>()
      .mockRejectedValueOnce(new ConflictError('changed', 'thing', theirs))
      .mockImplementation(async (t) => ({ ...t, version: t.version + 1 }))
    show(<Bench stored={thing} save={save} typed="mine" />)
    await press('type')
    await pause(600)
    expect(screen.getByText(/conflict/)).toBeTruthy()
    expect(shown()).toBe('mine')
    await press('mine')
    await pause(600)
    expect(save.mock.lastCall?.[0]).toEqual({ id: 1, version: 7, name: 'mine' })
  })

  it('shows theirs when that is chosen, and mine is in the history before it', async () => {
    const theirs = { id: 1, version: 7, name: 'theirs' }
    const save = vi
      .fn<(t: Thing) => Promise<Thing>>()
      .mockRejectedValueOnce(new ConflictError('changed', 'thing', theirs))
      .mockImplementation(async (t) => ({ ...t, version: t.version + 1 }))
    show(<Bench stored={thing} save={save} typed="mine" />)
    await press('type')
    await pause(600)
    await press('theirs')
    await pause(2000)
    expect(shown()).toBe('theirs')
    expect(save.mock.calls.slice(1).map(([t]) => t)).toEqual([
      { id: 1, version: 7, name: 'mine' },
      { id: 1, version: 8, name: 'theirs' },
    ])
  })

  it('left undecided, theirs stands and mine is in the history', async () => {
    const theirs = { id: 1, version: 7, name: 'theirs' }
    const save = vi
      .fn<(t: Thing) => Promise<Thing>>()
      .mockRejectedValueOnce(new ConflictError('changed', 'thing', theirs))
      .mockImplementation(async (t) => ({ ...t, version: t.version + 1 }))
    const { unmount } = show(<Bench stored={thing} save={save} typed="mine" />)
    await press('type')
    await pause(600)
    unmount()
    await pause(600)
    expect(save.mock.calls.slice(1).map(([t]) => t.name)).toEqual(['mine', 'theirs'])
  })
})
