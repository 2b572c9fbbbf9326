import { type ComponentProps, lazy, Suspense } from 'react'

const HistoryDrawer = lazy(() => import('./HistoryDrawer'))

/** Everything that happened, beside the page; fetched when it is opened. */
export const History = (props: ComponentProps<typeof HistoryDrawer>) => (
  <Suspense>
    <HistoryDrawer {...props} />
  </Suspense>
)
