import type { ReactNode } from 'react'
import classes from './PageTitle.module.css'

export function PageTitle({ title, note, children }: { title: string; note?: string; children?: ReactNode }) {
  return (
    <header className={classes.top}>
      <h1>{title}</h1>
      {note && <span className={classes.note}>{note}</span>}
      <span className={classes.spring} />
      {children}
    </header>
  )
}
