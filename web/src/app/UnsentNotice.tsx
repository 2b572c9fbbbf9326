import { Button } from '@mantine/core'
import { useEffect } from 'react'
import { useStorageTrouble } from '../api/queries'
import { letGo, pageId, useUnsent } from '../api/unsent'
import { momentText } from '../quantities/days'
import { counted } from '../quantities/format'
import classes from './StorageNotice.module.css'
import { useSendLeftBehind } from './useSendLeftBehind'

/** What was typed and is not stored yet: where it is kept, that it will be sent, and what was refused when it was. */
export function UnsentNotice() {
  const unsent = useUnsent()
  const trouble = useStorageTrouble()
  const sending = useSendLeftBehind()
  const here = trouble ? unsent.filter((u) => u.page === pageId) : []
  const refused = unsent.filter((u) => u.refused !== undefined)
  useWarningOnLeaving(here.length > 0)
  return (
    <>
      {here.length > 0 && (
        <p role="status" className={classes.notice} data-no-print>
          {counted(here.length, 'entry is', 'entries are')} kept on this device, and sent in order as soon as
          the program answers. If this page is closed, the next one sends them.
        </p>
      )}
      {sending > 0 && (
        <p role="status" className={classes.notice} data-no-print>
          {counted(sending, 'entry', 'entries')} typed on this device before {sending === 1 ? 'is' : 'are'}{' '}
          being sent.
        </p>
      )}
      {refused.map((u) => (
        <p key={u.key} role="alert" className={classes.notice} data-no-print>
          ▲ What was typed on this device at {momentText(new Date(u.at).toISOString())} could not be stored
          any more: {u.refused}{' '}
          <Button size="compact-sm" variant="default" onClick={() => letGo(u.key)}>
            Let it go
          </Button>
        </p>
      ))}
    </>
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
