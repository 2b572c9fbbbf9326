import type { ReactNode } from 'react'
import classes from './PageTitle.module.css'

export function PageTitle({
  title,
  note,
  at,
  children,
}: {
  title: string
  note?: string
  /** What of it is in view, for the tab of the browser and whoever hears where they are. */
  at?: string
  children?: ReactNode
}) {
  return (
    <header className={classes.top}>
      <title>{[at, title, 'Wendrak'].filter(Boolean).join(' · ')}</title>
      <h1>{title}</h1>
      {note && <span className={classes.note}>{note}</span>}
      <span className={classes.spring} />
      {children}
    </header>
  )
}
