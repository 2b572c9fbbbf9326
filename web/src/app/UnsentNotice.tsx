import { Button } from '@mantine/core'
import { letGo, useUnsent } from '../api/unsent'
import { momentText } from '../quantities/days'
import { counted } from '../quantities/format'
import classes from './StorageNotice.module.css'
import { useSendLeftBehind } from './useSendLeftBehind'

/** What closed pages left behind: that it is being sent, and what was refused when it was. */
export function UnsentNotice() {
  const unsent = useUnsent()
  const sending = useSendLeftBehind()
  return (
    <>
      {sending > 0 && (
        <p role="status" className={classes.notice} data-no-print>
          {counted(sending, 'entry', 'entries')} typed on this device before {sending === 1 ? 'is' : 'are'}{' '}
          being sent.
        </p>
      )}
      {unsent
        .filter((u) => u.refused !== undefined)
        .map((u) => (
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
