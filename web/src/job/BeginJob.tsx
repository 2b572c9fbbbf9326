import { Button, type ButtonProps } from '@mantine/core'
import { lazy, Suspense, useState } from 'react'
import type { JobReason, MachineCard } from '../api/client'
import { useShortcuts } from '../shell/shortcuts'

const BeginJobDialog = lazy(() => import('./BeginJobDialog'))

/** The button of a page that begins a job, and its key. */
export function BeginJob({
  cards,
  machineId,
  ...rest
}: ButtonProps & {
  /** Machines to choose from. */
  cards: MachineCard[]
  /** The one that came in, where the page is about it. */
  machineId?: number
}) {
  const [isOpen, setOpen] = useState(false)
  useShortcuts({ j: () => setOpen(true) })
  return (
    <>
      <Button {...rest} onClick={() => setOpen(true)}>
        Begin a job
      </Button>
      <JobDialog isOpen={isOpen} cards={cards} machineId={machineId} onClose={() => setOpen(false)} />
    </>
  )
}

/** Comes when it is asked for: the first view needs nothing of it. */
export function JobDialog({
  isOpen,
  ...rest
}: {
  isOpen: boolean
  cards: MachineCard[]
  machineId?: number
  reason?: JobReason
  onClose: () => void
}) {
  return <Suspense>{isOpen && <BeginJobDialog {...rest} />}</Suspense>
}
