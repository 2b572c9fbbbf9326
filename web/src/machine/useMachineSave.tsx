import { ConflictError, changeMachine, type MachineSave } from '../api/client'
import { useChange } from '../api/queries'
import { ConflictDialog } from '../shell/ConflictDialog'

/**
 * Stores a machine with the wheels on it. Either may have been changed in another window: both are shown, and the
 * person's own is stored over the one that changed when wanted.
 */
export function useMachineSave(onDone: () => void) {
  const save = useChange(changeMachine)
  const store = (body: MachineSave) => save.mutate(body, { onSuccess: onDone })
  const { error } = save
  const body = save.variables
  const conflict = error instanceof ConflictError && body ? error : null
  const isMachine = conflict?.thing === 'machine'
  const dialog = conflict && body && (
    <ConflictDialog
      conflict={conflict}
      mine={isMachine ? body.machine : { ...(conflict.current as object), loops: body.fitted }}
      onKeepMine={() => {
        const { version } = conflict.current as { version: number }
        store(
          isMachine
            ? { ...body, machine: { ...body.machine, version } }
            : { ...body, fittedVersion: version },
        )
      }}
      onTakeTheirs={onDone}
    />
  )
  return { store, error, isPending: save.isPending, dialog }
}
