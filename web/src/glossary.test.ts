import { readdirSync, readFileSync } from 'node:fs'
import { expect, test } from 'vitest'

/** Words that a page explains are those of the core's table, each of them somewhere. */
test('every word of the glossary stands on a page, and no page asks for one that is not there', () => {
  const table = readFileSync('../src/Wendrak.Core/Tables/glossary.csv', 'utf8')
  const known = table
    .trim()
    .split('\n')
    .slice(1)
    .map((line) => line.split(',')[0] ?? '')
  const pages = readdirSync('src', { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.tsx'))
    .map((file) => readFileSync(`src/${file}`, 'utf8'))
  const asked = pages.flatMap((text) => [...text.matchAll(/<Term word="([^"]+)"/g)].map((m) => m[1] ?? ''))
  const listed = pages.flatMap((text) =>
    [...text.matchAll(/EXPLAINED = \[([^\]]+)\]/g)].flatMap((m) =>
      [...(m[1] ?? '').matchAll(/'([^']+)'/g)].map((w) => w[1] ?? ''),
    ),
  )
  expect([...new Set([...asked, ...listed])].sort()).toEqual(known.sort())
})
