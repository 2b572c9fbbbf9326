import { sentenceOf } from '../api/issues'
import { useHealth, useStorageTrouble } from '../api/queries'
import classes from './StorageNotice.module.css'

/** That nothing can be stored, why, and what to do: it stands there until it has passed. */
export function StorageNotice() {
  const trouble = useStorageTrouble()
  const health = useHealth().data
  if (!trouble && !health?.message) return null
  return (
    <p role="alert" className={classes.notice} data-no-print>
      ▲ {trouble ? <>{sentenceOf(trouble)} It is tried again every few seconds.</> : health?.message}
      {health && health.damaged.length > 0 && (
        <> Damaged: {health.damaged.join(', ')}. Go back to a backup from the yard, under Backup.</>
      )}
    </p>
  )
}
