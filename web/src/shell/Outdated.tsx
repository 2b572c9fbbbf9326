import type { ReactNode } from 'react'
import classes from './Outdated.module.css'

/** An answer that belongs to what was typed before: greyed, its buttons dead, and of what it is said. */
export function Outdated({ isStale, of, children }: { isStale: boolean; of: string; children: ReactNode }) {
  return (
    <fieldset className={classes.answer} disabled={isStale} data-stale={isStale || undefined}>
      {isStale && (
        <p className={classes.of}>The last answer there was, of {of}; what stands above now has none.</p>
      )}
      {children}
    </fieldset>
  )
}
