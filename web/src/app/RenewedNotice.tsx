import { Button } from '@mantine/core'
import { useSyncExternalStore } from 'react'
import { isRenewed, whenRenewed } from '../api/client'
import classes from './RenewedNotice.module.css'

/** That the program was renewed under this page, which may no longer understand what it answers. */
export function RenewedNotice() {
  if (!useSyncExternalStore(whenRenewed, isRenewed)) return null
  return (
    <div role="status" className={classes.notice} data-no-print>
      The program was renewed while this page was open. What is stored is safe.
      <Button size="compact-sm" variant="default" onClick={() => location.reload()}>
        Load the page again
      </Button>
    </div>
  )
}
