import { Popover } from '@mantine/core'
import { useWindowEvent } from '@mantine/hooks'
import { lazy, Suspense, useState } from 'react'
import classes from './Term.module.css'

const TermBody = lazy(() => import('./TermBody'))

/** A word of the trade that is explained when it is pressed. */
export function Term({
  word,
  children = word,
}: {
  /** As the glossary has it. */
  word: string
  /** As it stands here. */
  children?: string
}) {
  const [isOpen, setOpen] = useState(false)
  // From wherever the focus is; and of what lies open it is closed first.
  useWindowEvent(
    'keydown',
    (event) => {
      if (!isOpen || event.key !== 'Escape') return
      event.stopPropagation()
      setOpen(false)
    },
    { capture: true },
  )
  return (
    <Popover
      opened={isOpen}
      onChange={setOpen}
      width={300}
      position="bottom-start"
      withArrow
      withinPortal
      trapFocus={false}
      returnFocus
    >
      <Popover.Target>
        <button
          type="button"
          className={classes.term}
          aria-description="a word of the trade: press for what it means"
          aria-expanded={isOpen}
          onClick={() => setOpen((was) => !was)}
        >
          {children}
        </button>
      </Popover.Target>
      <Popover.Dropdown aria-label={word}>
        <Suspense fallback="…">{isOpen && <TermBody word={word} />}</Suspense>
      </Popover.Dropdown>
    </Popover>
  )
}
