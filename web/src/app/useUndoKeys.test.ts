import { beforeEach, describe, expect, it } from 'vitest'
import { type Change, setWho } from '../api/client'
import { mine, toDoAgain } from './useUndoKeys'

const change = (id: number, part: Partial<Change> = {}): Change => ({
  id,
  madeAt: '2026-12-01T10:00:00Z',
  who: 'Ann',
  what: `change ${id}`,
  machineId: 1,
  undoes: null,
  undoneBy: null,
  things: [],
  ...part,
})
const toUndo = (changes: Change[]) => mine(changes).find((c) => !c.isUndoing)?.change.id
const again = (changes: Change[]) => toDoAgain(mine(changes))?.id

describe('what Ctrl+Z and Ctrl+Y take', () => {
  beforeEach(() => setWho('Ann'))

  it('is the newest that this person did and that stands', () => {
    expect(toUndo([change(3, { who: 'Ben' }), change(2), change(1)])).toBe(2)
    expect(toUndo([change(3, { who: 'Ben' })])).toBeUndefined()
  })

  it('goes back one after the other, and forward again in that order', () => {
    const one = change(1, { undoneBy: 4 })
    const two = change(2, { undoneBy: 3 })
    const undone = [change(4, { undoes: 1 }), change(3, { undoes: 2 }), two, one]
    expect(toUndo(undone)).toBeUndefined()
    expect(again(undone)).toBe(4)
    const first = [
      change(5, { undoes: 4 }),
      change(4, { undoes: 1, undoneBy: 5 }),
      change(3, { undoes: 2 }),
      two,
      one,
    ]
    expect(again(first)).toBe(3)
    // What was done again can be undone again.
    expect(toUndo(first)).toBe(5)
  })

  it('does nothing again once something else was done', () => {
    expect(again([change(3), change(2, { undoes: 1 }), change(1, { undoneBy: 2 })])).toBeUndefined()
  })

  it('knows who nobody named as the workshop', () => {
    setWho('')
    expect(toUndo([change(1, { who: 'workshop' })])).toBe(1)
  })
})
