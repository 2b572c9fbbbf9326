import { Button } from '@mantine/core'
import { useWindowEvent } from '@mantine/hooks'
import { lazy, Suspense, useState } from 'react'
import type { Conflicting } from './ConflictSheet'

const ConflictSheet = lazy(() => import('./ConflictSheet'))

/** What two people made of the same thing, fetched when it happens; put off, it is said until it is decided. */
export function ConflictDialog<T>(props: Conflicting<T>) {
  const [isLater, setLater] = useState(false)
  // What was typed is in this window alone.
  useWindowEvent('beforeunload', (event) => event.preventDefault())
  return isLater ? (
    <p role="alert">
      Changed in another window meanwhile; yours is kept here and not stored.{' '}
      <Button size="compact-xs" variant="default" onClick={() => setLater(false)}>
        Choose
      </Button>
    </p>
  ) : (
    <Suspense>
      <ConflictSheet {...(props as Conflicting<unknown>)} onLater={() => setLater(true)} />
    </Suspense>
  )
}
