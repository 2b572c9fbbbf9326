import { useMutation } from '@tanstack/react-query'
import { lazy, Suspense, useEffect, useRef, useState } from 'react'
import {
  ConflictError,
  changeMachine,
  type FollowUpTask,
  followUpsAfterChange,
  type Machine,
  type MachineCard,
  type MachineSave,
  type Setup,
} from '../api/client'
import { within } from '../api/issues'
import { retryLost, useChange } from '../api/queries'
import { ConflictDialog } from '../shell/ConflictDialog'
import { storeChosen } from '../shell/storeChosen'

const ReasonDialog = lazy(() => import('./ReasonDialog'))

type Whole = Omit<MachineSave, 'change'>
type Versioned = Pick<Machine, 'version'>

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
  // The machine may be read again while it is being stored: what was begun from is the one of its version.
  const seen = useRef(new Map<number, Machine>())
  useEffect(() => {
    if (!seen.current.has(card.machine.version)) seen.current.set(card.machine.version, card.machine)
  })
  const conflict = error instanceof ConflictError && body ? error : null
  const isMachine = conflict?.thing === 'machine'
  const isKinds = (conflict?.current as { id?: number } | null)?.id === body?.kindsOf?.setupId
  const mine =
    body && (isMachine ? body.machine : { ...(conflict?.current as Versioned), loops: body.fitted })
  /** What was chosen stands, and what was not is in the history; what follows from mine was asked about before. */
  const choose = async (chosen: Versioned) => {
    if (!conflict || !body || !mine) return
    const current = conflict.current as Versioned
    const takesTheirs = JSON.stringify(chosen) === JSON.stringify(current)
    let { fittedVersion } = body
    await storeChosen<Versioned>(mine, chosen, current.version, async (value, over, isFirst) => {
      const stored = await save.mutateAsync({
        ...body,
        ...(isMachine
          ? { machine: { ...(value as Machine), version: over }, fittedVersion }
          : {
              fitted: (value as Setup).loops,
              ...(isKinds && body.kindsOf
                ? { kindsOf: { ...body.kindsOf, version: over } }
                : { fittedVersion: over }),
            }),
        change: takesTheirs || !isFirst ? 'correction' : body.change,
      })
      fittedVersion = stored.fitted.version
      return isMachine ? stored.machine.version : stored.fitted.version
    }).then(onDone, () => {}) // why not stands in `save.error`
  }
  const dialog = conflict && mine && (
    <ConflictDialog
      conflict={conflict}
      mine={mine as Versioned}
      base={isMachine ? seen.current.get(body.machine.version) : undefined}
      onChosen={choose}
      onGone={onDone}
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
