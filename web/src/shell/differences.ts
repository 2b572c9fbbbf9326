/** What differs between two states of a thing, as “path: before → after”, for a person to read. */

const MOST_SHOWN = 12
const IGNORED = new Set(['id', 'version'])

export interface Difference {
  path: string
  before: string
  after: string
}

const words = (path: string) => path.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase()

const shown = (value: unknown): string =>
  value === undefined || value === null ? 'none' : typeof value === 'object' ? 'set' : String(value)

export function differences(before: unknown, after: unknown): Difference[] {
  const found: Difference[] = []
  const walk = (a: unknown, b: unknown, path: string) => {
    if (found.length >= MOST_SHOWN || JSON.stringify(a) === JSON.stringify(b)) return
    if (isRecord(a) && isRecord(b)) {
      for (const key of new Set([...Object.keys(a), ...Object.keys(b)]))
        if (!IGNORED.has(key)) walk(a[key], b[key], path ? `${path} › ${nameOf(key, a[key])}` : key)
    } else if (Array.isArray(a) && Array.isArray(b) && a.length === b.length) {
      for (const [i, item] of a.entries()) walk(item, b[i], `${path} ${nameOf(String(i + 1), item)}`)
    } else found.push({ path: words(path), before: shown(a), after: shown(b) })
  }
  walk(before, after, '')
  return found
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** A list entry is called by its own name where it has one. */
const nameOf = (fallback: string, item: unknown): string => {
  if (!isRecord(item)) return fallback
  const name = item.name ?? item.loopKey ?? item.outputName
  return typeof name === 'string' ? name : fallback
}
