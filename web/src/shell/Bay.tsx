import { Button, Switch } from '@mantine/core'
import { useFocusTrap } from '@mantine/hooks'
import { type ReactNode, useState } from 'react'
import classes from './bay.module.css'
import { useAwake } from './useAwake'
import { useSpeech } from './useSpeech'

/** The page of the bay: one thing, big, for a thumb; the screen stays awake, and it speaks when wanted. */
export function Bay({
  speech,
  className = classes.bay,
  onLeave,
  children,
}: {
  /** What is said aloud, each time it is another. */
  speech: string
  className?: string | undefined
  onLeave: () => void
  children: ReactNode
}) {
  const [speaks, setSpeaks] = useState(false)
  const focused = useFocusTrap()
  useAwake()
  useSpeech(speaks, speech)
  return (
    <div
      className={className}
      role="dialog"
      aria-label="Bay mode"
      aria-modal="true"
      ref={focused}
      onKeyDown={(event) => event.key === 'Escape' && onLeave()}
    >
      <header>
        <Switch
          size="md"
          label="speak"
          checked={speaks}
          onChange={(event) => setSpeaks(event.currentTarget.checked)}
        />
        <Button size="lg" variant="default" onClick={onLeave}>
          Leave
        </Button>
      </header>
      {children}
    </div>
  )
}
