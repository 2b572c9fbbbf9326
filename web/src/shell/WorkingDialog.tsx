import { type ComponentProps, lazy, Suspense } from 'react'

const WorkingSheet = lazy(() => import('./WorkingSheet'))

/** Where a figure comes from; fetched when it is opened. */
export const WorkingDialog = (props: ComponentProps<typeof WorkingSheet>) => (
  <Suspense>
    <WorkingSheet {...props} />
  </Suspense>
)
