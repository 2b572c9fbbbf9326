import { type ReactNode, useEffect } from 'react'
import classes from './PageTitle.module.css'

const PRODUCT = 'Wendrak'

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
  const name = [at, title, PRODUCT].filter(Boolean).join(' · ')
  useEffect(() => {
    document.title = name
    return () => {
      document.title = PRODUCT
    }
  }, [name])
  return (
    <header className={classes.top}>
      <h1>{title}</h1>
      {note && <span className={classes.note}>{note}</span>}
      <span className={classes.spring} />
      {children}
    </header>
  )
}
