import { useHealth, useStorageTrouble } from '../api/queries'
import classes from './StorageNotice.module.css'

const WORDS: Record<string, string> = {
  damaged: 'The data file is damaged. What can be read is shown, and nothing is written over it',
  gone: 'The data file is not where it was: nothing can be stored. Put it back, or stop Wendrak and start it again',
  full: 'The disk is nearly full: soon nothing can be stored. Make room',
}

/** That nothing can be stored, why, and what to do: it stands there until it has passed. */
export function StorageNotice() {
  const trouble = useStorageTrouble()
  const health = useHealth().data
  const standing = health && !health.writes ? WORDS[health.status] : undefined
  if (!trouble && !standing) return null
  return (
    <p role="alert" className={classes.notice} data-no-print>
      ▲ {trouble ? `${trouble.message} It is tried again every few seconds.` : `${standing}.`}
      {health && health.damaged.length > 0 && (
        <> Damaged: {health.damaged.join(', ')}. Go back to a backup from the yard, under Backup.</>
      )}
    </p>
  )
}
