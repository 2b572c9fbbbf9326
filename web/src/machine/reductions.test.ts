import { describe, expect, it } from 'vitest'
import { parseReductions, reductionsText } from './reductions'

describe('ratios as manuals print them', () => {
  it.each([
    ['2.643 1.857 0.846', [2.643, 1.857, 0.846]],
    ['2,643  1,857', [2.643, 1.857]],
    ['37/14 26/14', [2.642857, 1.857143]],
    ['  1 ', [1]],
    ['3; 2; 1', [3, 2, 1]],
  ])('“%s” is read', (text, expected) => expect(parseReductions(text).reductions).toEqual(expected))

  it('reads a dash as a gear nobody knows, where a set may have one, and writes it so', () => {
    expect(parseReductions('2.643 – 1.409', true).reductions).toEqual([2.643, 0, 1.409])
    expect(parseReductions('2.643 - 1.409').issue).toContain('“-”')
    expect(reductionsText([2.643, 0, 1.409])).toBe('2.643  –  1.409')
  })

  it.each([
    ['', 'at least one'],
    ['abc', '“abc”'],
    ['2.5 x', '“x”'],
    ['3/0', '“3/0”'],
    ['1/2/3', '“1/2/3”'],
    ['1e999', '“1e999”'],
  ])('“%s” is refused with what is wrong', (text, part) => {
    expect(parseReductions(text).reductions).toBeUndefined()
    expect(parseReductions(text).issue).toContain(part)
  })
})
