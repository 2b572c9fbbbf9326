import type { ReactNode } from 'react'
import classes from './Panel.module.css'

interface Props {
  title: string
  note?: ReactNode
  aside?: ReactNode
  children: ReactNode
  isStale?: boolean
}

/** A titled piece of a page. Greyed while what it shows belongs to an earlier input. */
export function Panel({ title, note, aside, children, isStale }: Props) {
  return (
    <section className={classes.panel} aria-label={title} data-stale={isStale || undefined}>
      <header>
        <h2>{title}</h2>
        {note && <span className="cap">{note}</span>}
        <span className={classes.spring} />
        {aside}
      </header>
      {children}
    </section>
  )
}
