import { readdirSync, readFileSync } from 'node:fs'
import { dirname, join, normalize, relative } from 'node:path'
import { describe, expect, it } from 'vitest'

/** Each folder uses only those before it. */
const ORDER = [
  'quantities',
  'api',
  'shell',
  'machine',
  'sharing',
  'loop',
  'job',
  'log',
  'aim',
  'fit',
  'ratio',
  'loads',
  'build',
  'set',
  'check',
  'choice',
  'faults',
  'stock',
  'yard',
  'app',
]
const ROOT = 'src'
const files = readdirSync(ROOT, { recursive: true, encoding: 'utf8' }).filter((f) => /\.tsx?$/.test(f))

const uses = files.flatMap((file) =>
  [...readFileSync(join(ROOT, file), 'utf8').matchAll(/(?:from|import)\s*\(?\s*'(\.[^']*)'/g)].map(
    ([, to]) => ({
      file,
      from: dirname(file),
      to: dirname(relative(ROOT, normalize(join(ROOT, dirname(file), to ?? '')))),
    }),
  ),
)

describe('the folders of the page', () => {
  it('use only those before them', () => {
    expect(uses.length).toBeGreaterThan(500)
    const upwards = uses.filter(
      ({ from, to }) => from !== to && ORDER.includes(from) && ORDER.indexOf(to) > ORDER.indexOf(from),
    )
    expect(upwards.map(({ file, to }) => `${file} uses ${to}`)).toEqual([])
  })

  it('of stations and places share nothing sideways: what two of them need lies below', () => {
    const beside = ['aim', 'fit', 'ratio', 'loads', 'set', 'check', 'faults', 'stock', 'yard']
    const sideways = uses.filter(
      ({ from, to }) => from !== to && beside.includes(from) && beside.includes(to),
    )
    expect(sideways.map(({ file, to }) => `${file} uses ${to}`)).toEqual([])
  })

  it('stand in the order', () => {
    expect([...new Set(files.map(dirname))].filter((f) => f !== '.').sort()).toEqual([...ORDER].sort())
  })
})
