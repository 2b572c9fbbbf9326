import { useQueryClient } from '@tanstack/react-query'
import { useEffect } from 'react'
import { useSeenAt } from '../api/lastSeen'
import { readAgain } from '../api/queries'
import { momentText } from '../quantities/days'
import classes from './StorageNotice.module.css'

const LOOK_AGAIN_MS = 3_000

/** That the program does not answer, and of when it is what is shown. */
export function LastSeenNotice() {
  const seenAt = useSeenAt()
  const cache = useQueryClient()
  useEffect(() => {
    if (seenAt === null) return
    const timer = setInterval(async () => {
      const isUp = await fetch('/health/live').then(
        (r) => r.ok,
        () => false,
      )
      // What is read then says by itself that it is new.
      if (isUp) await readAgain(cache, () => true)
    }, LOOK_AGAIN_MS)
    return () => clearInterval(timer)
  }, [seenAt, cache])
  if (seenAt === null) return null
  return (
    <p role="status" className={classes.notice} data-no-print>
      The program does not answer. This is as it was seen here on {momentText(seenAt)}: it can be read, and
      what is read or said at a visit or a job is kept on this device and sent later. All else waits until
      ./run is started again.
    </p>
  )
}
