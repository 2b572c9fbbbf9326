import { lazy, Suspense, useState } from 'react'
import type { JobPhoto, JobSheet } from '../api/client'
import { photoAddress } from '../api/photos'
import type { Workbench } from '../machine/useWorkbench'
import classes from './PhotoList.module.css'
import { photoText } from './words'

const PhotoDialog = lazy(() => import('./PhotoDialog'))

/** Some of the photos of a job, each opened by a press. */
export function PhotoList({
  bench,
  job,
  jobs,
  photos,
}: {
  bench: Workbench
  job: JobSheet
  /** All of the machine: what a photo may stand beside. */
  jobs: JobSheet[]
  photos: JobPhoto[]
}) {
  const [opened, setOpened] = useState<string | null>(null)
  const photo = photos.find((p) => p.hash === opened)
  if (photos.length === 0) return null
  return (
    <>
      <ul className={classes.photos}>
        {photos.map((p) => (
          <li key={p.hash}>
            <Thumb photo={p} onOpen={() => setOpened(p.hash)} />
          </li>
        ))}
      </ul>
      <Suspense>
        {photo && (
          <PhotoDialog
            key={photo.hash}
            bench={bench}
            job={job}
            jobs={jobs}
            photo={photo}
            onClose={() => setOpened(null)}
          />
        )}
      </Suspense>
    </>
  )
}

function Thumb({ photo, onOpen }: { photo: JobPhoto; onOpen: () => void }) {
  return (
    <button type="button" className={classes.thumb} onClick={onOpen}>
      <img
        src={photoAddress(photo.hash, true)}
        alt=""
        width={photo.widthPx}
        height={photo.heightPx}
        loading="lazy"
      />
      <span>{photoText(photo)}</span>
    </button>
  )
}
