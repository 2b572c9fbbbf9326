import { beforeEach, describe, expect, it } from 'vitest'
import { allUnsent, keep, leftBehind, letGo, noteRefusal, pageId } from './unsent'

const said = (key: string) => ({ key, path: '/api/jobs/1/events', body: { key }, who: 'Mira', data: 'd' })

beforeEach(() => localStorage.clear())

describe('what is not sent yet', () => {
  it('is kept once, in the order in which it was typed, until it is let go', () => {
    keep(said('b'))
    keep(said('a'))
    keep(said('b'))
    expect(allUnsent().map((u) => [u.key, u.page])).toEqual([
      ['b', pageId],
      ['a', pageId],
    ])
    letGo('b')
    expect(allUnsent().map((u) => u.key)).toEqual(['a'])
  })

  it('is not sent again once it was refused', async () => {
    keep(said('a'))
    keep(said('b'))
    const [first] = allUnsent()
    if (first) noteRefusal(first, 'The job is gone.')
    // Without locks no page is known to live: all of it is left behind.
    expect((await leftBehind()).map((u) => u.key)).toEqual(['b'])
    expect(allUnsent().find((u) => u.refused)?.refused).toBe('The job is gone.')
  })
})
