import { useSyncExternalStore } from 'react'

const SEEN_AT = 'X-Wendrak-Seen'

let seenAt: string | null = null
const waiters = new Set<() => void>()

/** What an answer says of when it was seen: one of the program itself says nothing. */
export function noteSeen(headers: Headers) {
  const at = headers.get(SEEN_AT)
  if (at === seenAt || (at !== null && seenAt !== null)) return
  seenAt = at
  for (const tell of waiters) tell()
}

/** When what is in view was seen, where the program does not answer and this device shows what it kept; null else. */
export const useSeenAt = () =>
  useSyncExternalStore(
    (tell) => {
      waiters.add(tell)
      return () => void waiters.delete(tell)
    },
    () => seenAt,
  )

/** Has this device keep what is seen, from the first page on. */
export function keepLastSeen() {
  if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return
  // After the page stands: nobody waits for it.
  window.addEventListener('load', async () => {
    const isFirst = navigator.serviceWorker.controller === null
    try {
      await navigator.serviceWorker.register('/last-seen.js')
      const { active } = await navigator.serviceWorker.ready
      if (isFirst) active?.postMessage(performance.getEntriesByType('resource').map((read) => read.name))
    } catch {
      // A browser that lets nothing be kept shows nothing without the program.
    }
  })
}
