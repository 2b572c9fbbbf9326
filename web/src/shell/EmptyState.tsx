import type { ReactNode } from 'react'
import classes from './EmptyState.module.css'

/** An empty, loading, failing or not-applicable state: one sentence that says what to do next. */
export function EmptyState({ title, children }: { title: string; children?: ReactNode }) {
  return (
    <div className={classes.sentence} role="status">
      <strong>{title}</strong>
      {children && <p>{children}</p>}
    </div>
  )
}
