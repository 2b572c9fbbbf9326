import { useState } from 'react'
import { addPhoto, type NewPhoto } from '../api/photos'
import { AGAIN_WHEN_BACK, useChange } from '../api/queries'

/** Sends photos one after the other; one that is refused stops those after it. */
export function useSendPhotos(jobId: number) {
  const [sent, setSent] = useState({ done: 0, of: 1 })
  const change = useChange(
    (photo: NewPhoto & { key: string; file: File; done: number; of: number }) =>
      addPhoto({ jobId, ...withoutCount(photo) }, (fraction) =>
        setSent({ done: photo.done + fraction, of: photo.of }),
      ),
    AGAIN_WHEN_BACK,
  )
  return {
    isPending: change.isPending,
    error: change.error,
    percent: (100 * sent.done) / sent.of,
    /** Whether all of them are stored. */
    send: async (files: File[], said: NewPhoto) => {
      try {
        for (const [done, file] of files.entries())
          await change.mutateAsync({ ...said, key: crypto.randomUUID(), file, done, of: files.length })
        return files.length > 0
      } catch {
        return false // it stands beside the button
      }
    },
  }
}

const withoutCount = <T extends { done: number; of: number }>({ done, of, ...photo }: T) => photo
