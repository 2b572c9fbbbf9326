import { type JobPhoto, type JobSheet, sendFile } from './client'

/** What is said of a photo when it is sent. */
export type NewPhoto = Partial<Pick<JobPhoto, 'shows' | 'loopKey' | 'round' | 'about' | 'step' | 'finding'>>

/** Puts a photo with a job, once, however often it has to be sent. */
export const addPhoto = (
  { jobId, key, file, ...said }: NewPhoto & { jobId: number; key: string; file: Blob },
  onSent: (fraction: number) => void,
) => {
  const given = Object.entries({ key, ...said }).filter(([, v]) => v !== null && v !== undefined && v !== '')
  const query = new URLSearchParams(given.map(([name, value]) => [name, String(value)]))
  return sendFile<JobSheet>(
    `/api/jobs/${jobId}/photos?${query}`,
    file,
    file.type || 'application/octet-stream',
    onSent,
  )
}

/** Where the browser finds a stored picture. */
export const photoAddress = (hash: string, isSmall = false) =>
  `/api/photos/${hash}${isSmall ? '?small=true' : ''}`
