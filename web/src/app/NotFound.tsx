import { Link, useRouteError } from 'react-router'
import { EmptyState } from '../shell/EmptyState'

/** An address that leads nowhere, or a view that failed: says so and shows the way back. */
export function NotFound() {
  const error = useRouteError()
  return (
    <EmptyState title={error ? 'This page failed to open' : 'There is no such page'}>
      {error instanceof Error ? `${error.message} What is stored is safe. ` : ''}
      <Link to="/">Back to the yard</Link>
    </EmptyState>
  )
}
