import type { QueryClient } from '@tanstack/react-query'
import { firstCommits } from './client'
import { readAgain } from './queries'
import { pageId } from './unsent'

/**
 * Reads again what is shown as soon as another page has stored something. Only a page in view listens: a browser has few lines
 * to a server, and one that comes to the front is read again anyway.
 */
export function followOtherPages(cache: QueryClient) {
  const again = oneAtATime(() => readAgain(cache, (kind) => kind !== 'computed'))
  let stream: EventSource | undefined
  let hasBegun = false
  const listen = () => {
    stream ??= new EventSource(`/api/changes/stream?page=${pageId}`)
    stream.addEventListener('begun', ({ data }: MessageEvent<string>) => {
      // A stream that begins anew may have missed something, and so has one that began after the first answer.
      if (hasBegun || JSON.parse(data).commits > firstCommits()) again()
      hasBegun = true
    })
    stream.addEventListener('stored', again)
  }
  const followView = () => {
    if (document.visibilityState === 'visible') listen()
    else {
      stream?.close()
      stream = undefined
    }
  }
  followView()
  document.addEventListener('visibilitychange', followView)
}

/** What is asked for while it runs is done once more, when it has ended. */
export function oneAtATime(work: () => Promise<unknown>) {
  let isRunning = false
  let isDue = false
  return async () => {
    isDue = true
    if (isRunning) return
    isRunning = true
    while (isDue) {
      isDue = false
      await work().catch(() => undefined)
    }
    isRunning = false
  }
}
