/** What differs between two states of a thing, as “path: before → after”, for a person to read. */

const MOST_SHOWN = 12
const IGNORED = new Set(['id', 'version'])

export interface Difference {
  path: string
  before: string
  after: string
  /** Where it stands: names of properties and places in lists. */
  keys: (string | number)[]
}

const words = (path: string) => path.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase()

const shown = (value: unknown): string =>
  value === undefined || value === null ? 'none' : typeof value === 'object' ? 'set' : String(value)

/** @param most So many are told, not more. */
export function differences(before: unknown, after: unknown, most = MOST_SHOWN): Difference[] {
  const found: Difference[] = []
  const walk = (a: unknown, b: unknown, path: string, keys: (string | number)[]) => {
    if (found.length >= most || JSON.stringify(a) === JSON.stringify(b)) return
    if (isRecord(a) && isRecord(b)) {
      for (const key of new Set([...Object.keys(a), ...Object.keys(b)]))
        if (!IGNORED.has(key))
          walk(a[key], b[key], path ? `${path} › ${nameOf(key, a[key])}` : key, [...keys, key])
    } else if (Array.isArray(a) && Array.isArray(b) && a.length === b.length) {
      for (const [i, item] of a.entries())
        walk(item, b[i], `${path} ${nameOf(String(i + 1), item)}`, [...keys, i])
    } else found.push({ path: words(path), before: shown(a), after: shown(b), keys })
  }
  walk(before, after, '', [])
  return found
}

/** What stands at some place of a thing; undefined where there is no such place. */
export const valueAt = (thing: unknown, keys: Difference['keys']): unknown =>
  keys.reduce<unknown>(
    (at, key) =>
      typeof at === 'object' && at !== null ? (at as Record<string | number, unknown>)[key] : undefined,
    thing,
  )

/** One thing with some places of another one. */
export function withValues<T>(thing: T, other: unknown, places: Difference['keys'][]): T {
  const copy = structuredClone(thing)
  for (const keys of places) {
    const last = keys.at(-1)
    const at = valueAt(copy, keys.slice(0, -1))
    if (last !== undefined && typeof at === 'object' && at !== null)
      (at as Record<string | number, unknown>)[last] = structuredClone(valueAt(other, keys))
  }
  return copy
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** A list entry is called by its own name where it has one. */
const nameOf = (fallback: string, item: unknown): string => {
  if (!isRecord(item)) return fallback
  const name = item.name ?? item.loopKey ?? item.outputName
  return typeof name === 'string' ? name : fallback
}
