import { useMutation } from '@tanstack/react-query'
import { lazy, Suspense, useState } from 'react'
import {
  ConflictError,
  changeMachine,
  type FollowUpTask,
  followUpsAfterChange,
  type MachineCard,
  type MachineSave,
} from '../api/client'
import { within } from '../api/issues'
import { retryLost, useChange } from '../api/queries'
import { ConflictDialog } from '../shell/ConflictDialog'

const ReasonDialog = lazy(() => import('./ReasonDialog'))

type Whole = Omit<MachineSave, 'change'>

/**
 * Stores a machine with the wheels on it. What would ask for things to be done again is asked about first, once nothing of it
 * is refused: it may be only a correction of what was typed, as all is of a machine that was never worked on. Either may have
 * been changed in another window: both are shown, and the person's own is stored over the one that changed when wanted.
 */
export function useMachineSave(card: MachineCard, onDone: () => void) {
  const save = useChange(changeMachine)
  const [held, setHeld] = useState<{ body: Whole; items: FollowUpTask[] } | null>(null)
  const mutate = (body: MachineSave) => save.mutate(body, { onSuccess: onDone })
  const storeAs = (body: Whole, change: MachineSave['change']) => {
    setHeld(null)
    mutate({ ...body, change })
  }
  const preview = useMutation<FollowUpTask[], Error, Whole>({
    mutationFn: followUpsAfterChange,
    retry: retryLost,
  })
  const store = (sent: Whole) => {
    // What was read with the kinds of a setup on it goes back with them.
    const body = card.kindsOf == null ? sent : { ...sent, kindsOf: card.kindsOf }
    save.reset()
    if (!card.summary.hasHistory) return storeAs(body, 'correction')
    preview.mutate(body, {
      onSuccess: (items) => (items.length > 0 ? setHeld({ body, items }) : storeAs(body, 'otherParts')),
    })
  }
  const error = save.error ?? preview.error
  const body = save.variables
  const conflict = error instanceof ConflictError && body ? error : null
  const isMachine = conflict?.thing === 'machine'
  const isKinds = (conflict?.current as { id?: number } | null)?.id === body?.kindsOf?.setupId
  const dialog = conflict && body && (
    <ConflictDialog
      conflict={conflict}
      mine={isMachine ? body.machine : { ...(conflict.current as object), loops: body.fitted }}
      onKeepMine={() => {
        const { version } = conflict.current as { version: number }
        mutate(
          isMachine
            ? { ...body, machine: { ...body.machine, version } }
            : isKinds && body.kindsOf
              ? { ...body, kindsOf: { ...body.kindsOf, version } }
              : { ...body, fittedVersion: version },
        )
      }}
      onTakeTheirs={onDone}
    />
  )
  const reason = held && (
    <ReasonDialog
      items={held.items}
      loops={card.summary.loops}
      onCorrection={() => storeAs(held.body, 'correction')}
      onOtherParts={() => storeAs(held.body, 'otherParts')}
      onBack={() => setHeld(null)}
    />
  )
  return {
    store,
    error: within(error, 'machine'),
    isPending: save.isPending || preview.isPending,
    dialog: <Suspense>{dialog || reason}</Suspense>,
  }
}
