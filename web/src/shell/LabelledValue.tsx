import type { ReactNode } from 'react'
import classes from './fields.module.css'

/** One figure with its name, in a list of them. */
export function LabelledValue({ name, children }: { name: ReactNode; children: ReactNode }) {
  return (
    <p className={classes.figure}>
      <span>{name}</span>
      <b className="num">{children}</b>
    </p>
  )
}
