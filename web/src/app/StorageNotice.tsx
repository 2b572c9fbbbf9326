import { useEffect } from 'react'
import { sentenceOf } from '../api/issues'
import { useHealth, useStorageTrouble } from '../api/queries'
import { useKeptHere } from '../api/unsent'
import { counted } from '../quantities/format'
import classes from './StorageNotice.module.css'

/** That nothing can be stored, why, what is kept meanwhile, and what to do: it stands there until it has passed. */
export function StorageNotice() {
  const trouble = useStorageTrouble()
  const health = useHealth().data
  const keptHere = useKeptHere()
  const kept = trouble ? keptHere : 0
  useWarningOnLeaving(kept > 0)
  if (!trouble && !health?.message) return null
  return (
    <p role="alert" className={classes.notice} data-no-print>
      ▲ {trouble ? <>{sentenceOf(trouble)} It is tried again every few seconds.</> : health?.message}
      {kept > 0 && (
        <>
          {' '}
          {counted(kept, 'entry is', 'entries are')} kept on this device, and sent in order as soon as it can
          be: if this page is closed, by the next one.
        </>
      )}
      {health && health.damaged.length > 0 && (
        <> Damaged: {health.damaged.join(', ')}. Go back to a backup from the yard, under Backup.</>
      )}
    </p>
  )
}

/** The browser asks before this page goes. */
function useWarningOnLeaving(isUnsent: boolean) {
  useEffect(() => {
    if (!isUnsent) return
    const warn = (event: BeforeUnloadEvent) => event.preventDefault()
    window.addEventListener('beforeunload', warn)
    return () => window.removeEventListener('beforeunload', warn)
  }, [isUnsent])
}
