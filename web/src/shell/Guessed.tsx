import type { ReactNode } from 'react'
import classes from './Guessed.module.css'

/** What nobody measured or typed: one look for it everywhere, with its word. */
export function Guessed({
  children,
  word = 'assumed',
}: {
  children?: ReactNode
  word?: 'assumed' | 'not said'
}) {
  return (
    <span className={classes.guessed} data-said={word === 'not said' ? 'no' : undefined}>
      {word === 'assumed' && <span aria-hidden="true">≈ </span>}
      {children && <span className={`num ${classes.value}`}>{children}</span>}
      <span className={classes.word}>{word}</span>
    </span>
  )
}
