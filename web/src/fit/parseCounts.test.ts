import { expect, it } from 'vitest'
import { parseCounts } from './parseCounts'

it('reads counts and ranges of counts', () => {
  expect(parseCounts('22 24, 26–28')).toEqual([22, 24, 26, 27, 28])
  expect(parseCounts('118;120')).toEqual([118, 120])
  expect(parseCounts('  ')).toEqual([])
})

it('says of what it cannot read that it cannot', () => {
  for (const text of ['22 x', '28-22', '1.5', '-3', '1-99999']) expect(parseCounts(text)).toBeUndefined()
})
