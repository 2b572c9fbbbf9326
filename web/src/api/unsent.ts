import { useSyncExternalStore } from 'react'

/**
 * What was typed and is not stored yet, kept on this device until it is: a page that is closed meanwhile leaves it to the next
 * one. Only what counts once however often it is sent is kept, each under a name of its own, so that pages do not overwrite
 * each other.
 */
export interface Unsent {
  /** Its own: kept twice it is kept once. */
  key: string
  /** Of the page on which it was typed. */
  page: string
  path: string
  body: unknown
  who: string
  /** Data over which it was typed. */
  data: string
  /** Place in the order in which things were typed. */
  at: number
  /** Why it was refused when it was sent later; somebody is to see that. */
  refused?: string
}

const PREFIX = 'wendrak.unsent.'
const LIVING = 'wendrak.page.'
const CHANGED = 'wendrak-unsent'

/** Tells this page from others: of what it stored itself it hears nothing. */
export const pageId = crypto.randomUUID()

// Held while the page lives; browsers let go of it whatever ends the page.
void navigator.locks?.request(LIVING + pageId, () => new Promise(() => {}))

let last = 0
/** Later than all before, also within one millisecond. */
const nextPlace = () => {
  last = Math.max(last + 1, Date.now())
  return last
}

const tell = () => {
  known = undefined
  window.dispatchEvent(new Event(CHANGED))
}

export function keep(what: Omit<Unsent, 'page' | 'at'>) {
  const name = PREFIX + what.key
  if (localStorage.getItem(name) !== null) return
  try {
    localStorage.setItem(name, JSON.stringify({ ...what, page: pageId, at: nextPlace() }))
  } catch {
    // No room on the device: it is sent all the same, from this page.
  }
  tell()
}

export function letGo(key: string) {
  localStorage.removeItem(PREFIX + key)
  tell()
}

export function noteRefusal(unsent: Unsent, why: string) {
  localStorage.setItem(PREFIX + unsent.key, JSON.stringify({ ...unsent, refused: why }))
  tell()
}

/** Everything that is kept, as it was typed. */
export const allUnsent = (): Unsent[] =>
  Object.keys(localStorage)
    .filter((name) => name.startsWith(PREFIX))
    .map((name) => JSON.parse(localStorage.getItem(name) ?? 'null') as Unsent)
    .sort((a, b) => a.at - b.at)

/** Of pages that are closed, and not refused yet. */
export async function leftBehind(): Promise<Unsent[]> {
  const locks = await navigator.locks?.query()
  const living = new Set(locks?.held?.map((lock) => lock.name))
  return allUnsent().filter((u) => u.refused === undefined && !living.has(LIVING + u.page))
}

let known: Unsent[] | undefined
/** The same list while nothing changes. */
const snapshot = () => {
  known ??= allUnsent()
  return known
}

function subscribe(onChange: () => void) {
  window.addEventListener(CHANGED, onChange)
  window.addEventListener('storage', tell)
  return () => {
    window.removeEventListener(CHANGED, onChange)
    window.removeEventListener('storage', tell)
  }
}

/** What this device keeps. */
export const useUnsent = () => useSyncExternalStore(subscribe, snapshot)

/** How many entries of this page itself wait to be sent. */
export const useKeptHere = () => useUnsent().filter((u) => u.page === pageId).length
