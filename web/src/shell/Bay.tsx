import { Button, Switch } from '@mantine/core'
import { useFocusTrap, useWindowEvent } from '@mantine/hooks'
import { type ReactNode, useState } from 'react'
import { sentenceOf } from '../api/issues'
import { useStorageTrouble } from '../api/queries'
import { useKeptHere } from '../api/unsent'
import { counted } from '../quantities/format'
import classes from './bay.module.css'
import { useAwake } from './useAwake'
import { useReturnFocus } from './useReturnFocus'
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
  useReturnFocus()
  useAwake()
  // The button that was pressed may be gone with its question, and no key comes from inside then.
  useWindowEvent('keydown', (event) => event.key === 'Escape' && onLeave())
  useSpeech(speaks, speech)
  return (
    <div className={className} data-bay role="dialog" aria-label="Bay mode" aria-modal="true" ref={focused}>
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
      <Unstored />
      <p className="cap">On this device only, until there is a network of the workshop.</p>
    </div>
  )
}

/** The page that says so lies behind: that nothing can be stored now, and what is kept meanwhile. */
function Unstored() {
  const trouble = useStorageTrouble()
  const kept = useKeptHere()
  return (
    trouble && (
      <p role="alert" style={{ color: 'var(--watch)' }}>
        ▲ {sentenceOf(trouble)}
        {kept > 0 && ` ${counted(kept, 'entry is', 'entries are')} kept on this device, and sent in order.`}
      </p>
    )
  )
}
