import { MantineProvider } from '@mantine/core'
import { Notifications } from '@mantine/notifications'
import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router'
import { findMachine, listAims, listSetups } from '../api/client'
import { followOtherPages } from '../api/otherPages'
import { UnitsProvider } from '../quantities/units'
import { EmptyState } from '../shell/EmptyState'
import { cssVariables, theme } from '../shell/theme'
import { YardView } from '../yard/YardView'
import { NotFound } from './NotFound'
import { Shell } from './Shell'
import { STATIONS } from './stations'

// Another window may have changed things: look again when this one comes to the front.
// Whether this device has a network says nothing of a program that runs on it.
const queries = new QueryClient({
  defaultOptions: {
    queries: { refetchOnWindowFocus: true, networkMode: 'always' },
    mutations: { networkMode: 'always' },
  },
})

followOtherPages(queries)

/** Asks for a machine's data while the code of its page is still on the way. */
function askAhead({ params }: { params: Record<string, string | undefined> }) {
  const id = Number(params.machineId)
  queries.prefetchQuery({ queryKey: ['machine', id], queryFn: () => findMachine(id) })
  queries.prefetchQuery({ queryKey: ['setups', id], queryFn: () => listSetups(id) })
  queries.prefetchQuery({ queryKey: ['aims', id], queryFn: () => listAims(id) })
  return null
}

const router = createBrowserRouter([
  {
    path: '/',
    element: <Shell />,
    errorElement: <NotFound />,
    hydrateFallbackElement: <EmptyState title="Opening …" />,
    children: [
      { index: true, element: <YardView /> },
      {
        path: 'practice',
        lazy: { Component: async () => (await import('../set/PracticePage')).default },
        children: [
          { index: true, lazy: { Component: async () => (await import('../set/SetView')).default } },
        ],
      },
      { path: 'week', lazy: { Component: async () => (await import('../yard/WeekPage')).default } },
      { path: 'faults', lazy: { Component: async () => (await import('../faults/FaultsView')).default } },
      {
        path: 'faults/:machineId/:loopKey',
        lazy: { Component: async () => (await import('../faults/FaultPage')).default },
      },
      { path: 'stock', lazy: { Component: async () => (await import('../stock/StockView')).default } },
      {
        path: 'machines/:machineId',
        loader: askAhead,
        shouldRevalidate: ({ currentParams, nextParams }) => currentParams.machineId !== nextParams.machineId,
        lazy: { Component: async () => (await import('./MachinePage')).default },
        children: [
          { index: true, element: <Navigate to="ratio" replace /> },
          ...STATIONS.map((s) => ({
            path: s.path,
            lazy: async () => ({ Component: (await s.load()).default }),
          })),
          { path: 'choice', lazy: { Component: async () => (await import('../choice/ChoiceView')).default } },
          { path: 'sheet', lazy: { Component: async () => (await import('./JobSheetPage')).default } },
          { path: 'jobs', lazy: { Component: async () => (await import('../job/JobsPage')).default } },
          { path: 'jobs/:jobId', lazy: { Component: async () => (await import('../job/JobPage')).default } },
          {
            path: 'set/:jobId/:loopKey?',
            lazy: { Component: async () => (await import('../set/RecordPage')).default },
          },
        ],
      },
      { path: '*', element: <NotFound /> },
    ],
  },
])

export function App() {
  return (
    <MantineProvider theme={theme} cssVariablesResolver={cssVariables} defaultColorScheme="auto">
      <QueryClientProvider client={queries}>
        <UnitsProvider>
          {/* Inside: a refusal names its bounds in the unit that is shown. */}
          <Notifications position="bottom-right" />
          <RouterProvider router={router} />
        </UnitsProvider>
      </QueryClientProvider>
    </MantineProvider>
  )
}
