import { describe, expect, it } from 'vitest'
import { differences, withValues } from './differences'

describe('what differs between two states', () => {
  it('is told by path, before and after, and not for ids and versions', () =>
    expect(
      differences({ id: 1, version: 3, name: 'a', note: null }, { id: 1, version: 4, name: 'b', note: null }),
    ).toEqual([{ path: 'name', before: 'a', after: 'b', keys: ['name'] }]))

  it('calls an entry of a list by its own name', () =>
    expect(
      differences(
        { loops: [{ loopKey: 'final', rearSize: 45 }] },
        { loops: [{ loopKey: 'final', rearSize: 43 }] },
      ),
    ).toEqual([
      { path: 'loops final › rear size', before: '45', after: '43', keys: ['loops', 0, 'rearSize'] },
    ]))

  it('says when something was not there', () =>
    expect(differences({ retiredOn: null }, { retiredOn: '2026-11-24' })).toEqual([
      { path: 'retired on', before: 'none', after: '2026-11-24', keys: ['retiredOn'] },
    ]))

  it('is nothing for the same state', () =>
    expect(differences({ a: [1, { b: 2 }] }, { a: [1, { b: 2 }] })).toEqual([]))

  it('stops before it fills the screen', () => {
    const many = Object.fromEntries(Array.from({ length: 50 }, (_, i) => [`k${i}`, i]))
    expect(differences({}, many).length).toBeLessThanOrEqual(12)
  })

  it('is put into another state place by place', () => {
    const [theirs, mine] = [
      { a: 1, loops: [{ rear: 45, front: 15 }] },
      { a: 2, loops: [{ rear: 43, front: 16 }] },
    ]
    expect(withValues(theirs, mine, [['loops', 0, 'rear']])).toEqual({
      a: 1,
      loops: [{ rear: 43, front: 15 }],
    })
    expect(theirs.loops[0]?.rear).toBe(45)
  })
})
