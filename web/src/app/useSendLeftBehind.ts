import { notifications } from '@mantine/notifications'
import { useQueryClient } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { mayPass, sendLater } from '../api/client'
import { readAgain } from '../api/queries'
import { leftBehind, letGo, noteRefusal } from '../api/unsent'
import { counted } from '../quantities/format'

const AGAIN_AFTER_MS = 3_000

/** Sends, one after the other, what pages left behind that are closed. Tells how many are still to be sent. */
export function useSendLeftBehind(): number {
  const cache = useQueryClient()
  const [waiting, setWaiting] = useState(0)
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>
    let isGone = false
    // One page at a time: two would send the same, and in no order.
    const send = () => navigator.locks?.request('wendrak.sending', sendAsync)
    const sendAsync = async () => {
      const sent = await sendAll(setWaiting)
      if (sent > 0) {
        notifications.show({
          message: `Sent: ${counted(sent, 'entry', 'entries')} that this device had kept.`,
        })
        await readAgain(cache, (kind) => kind !== 'computed')
      }
      const left = (await leftBehind()).length
      setWaiting(left)
      if (left > 0 && !isGone) timer = setTimeout(send, AGAIN_AFTER_MS)
    }
    void send()
    return () => {
      isGone = true
      clearTimeout(timer)
    }
  }, [cache])
  return waiting
}

/** Until all are stored or refused, or the program does not answer. */
async function sendAll(onLeft: (left: number) => void): Promise<number> {
  let sent = 0
  for (const unsent of await leftBehind()) {
    onLeft((await leftBehind()).length)
    try {
      await sendLater(unsent)
      letGo(unsent.key)
      sent++
    } catch (error) {
      if (mayPass(error)) return sent
      noteRefusal(unsent, error instanceof Error ? error.message : String(error))
    }
  }
  return sent
}
