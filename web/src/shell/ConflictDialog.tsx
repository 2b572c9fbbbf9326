import { type ComponentProps, lazy, Suspense } from 'react'

const ConflictSheet = lazy(() => import('./ConflictSheet'))

/** What two people made of the same thing; fetched when it happens. */
export const ConflictDialog = (props: ComponentProps<typeof ConflictSheet>) => (
  <Suspense>
    <ConflictSheet {...props} />
  </Suspense>
)
