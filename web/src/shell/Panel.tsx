import type { ReactNode } from 'react'
import classes from './Panel.module.css'

interface Props {
  title: string
  note?: ReactNode
  aside?: ReactNode
  children: ReactNode
  isStale?: boolean
  /** Left off the job sheet: nothing stands in it that was chosen or computed. */
  isEmpty?: boolean
}

/** A titled piece of a page. Greyed while what it shows belongs to an earlier input. */
export function Panel({ title, note, aside, children, isStale, isEmpty }: Props) {
  return (
    <section
      className={classes.panel}
      aria-label={title}
      data-stale={isStale || undefined}
      data-no-print={isEmpty || undefined}
    >
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
