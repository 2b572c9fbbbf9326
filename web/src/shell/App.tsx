import { MantineProvider } from '@mantine/core'
import { Notifications } from '@mantine/notifications'
import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { lazy } from 'react'
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router'
import { UnitsProvider } from '../quantities/units'
import { YardView } from '../yard/YardView'
import { Lost } from './Lost'
import { Shell } from './Shell'
import { cssVariables, theme } from './theme'

const MachinePage = lazy(() => import('../machine/MachinePage'))
const AimView = lazy(() => import('../aim/AimView'))
const RatioView = lazy(() => import('../ratio/RatioView'))
const StockView = lazy(() => import('../stock/StockView'))

const router = createBrowserRouter([
  {
    path: '/',
    element: <Shell />,
    errorElement: <Lost />,
    children: [
      { index: true, element: <YardView /> },
      { path: 'stock', element: <StockView /> },
      {
        path: 'machines/:machineId',
        element: <MachinePage />,
        children: [
          { index: true, element: <Navigate to="ratio" replace /> },
          { path: 'aim', element: <AimView /> },
          { path: 'ratio', element: <RatioView /> },
        ],
      },
      { path: '*', element: <Lost /> },
    ],
  },
])

// Another window may have changed things: look again when this one comes to the front.
const queries = new QueryClient({ defaultOptions: { queries: { refetchOnWindowFocus: true } } })

export function App() {
  return (
    <MantineProvider theme={theme} cssVariablesResolver={cssVariables} defaultColorScheme="auto">
      <Notifications position="bottom-right" />
      <QueryClientProvider client={queries}>
        <UnitsProvider>
          <RouterProvider router={router} />
        </UnitsProvider>
      </QueryClientProvider>
    </MantineProvider>
  )
}
