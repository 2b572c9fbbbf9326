import { addJobEvents, type JobEvent, keepEvents } from '../api/client'
import { AGAIN_WHEN_BACK, useChange } from '../api/queries'

/**
 * Writes down what happens at a job, once, however often it has to be sent: it is sent until the server is back, one after the
 * other, and kept on this device from the first moment on.
 */
export const useJobEvents = (jobId: number) => {
  const change = useChange(
    (events: { key: string; event: JobEvent }[]) => addJobEvents({ id: jobId, events }),
    { ...AGAIN_WHEN_BACK, scope: { id: `job ${jobId}` } },
  )
  return {
    ...change,
    happens: (event: JobEvent, onWritten?: () => void) => {
      const events = [{ key: crypto.randomUUID(), event }]
      keepEvents(jobId, events)
      change.mutate(events, { onSuccess: onWritten })
    },
  }
}

/** Where an event that is sent alone stands in what is sent. */
export const atEvent = (field: string) => `events[0].event.${field}`
