import { notifications } from '@mantine/notifications'
import { listChanges, undoChange } from '../api/client'
import { sentenceOf } from '../api/issues'
import { useChange } from '../api/queries'
import { UndoNotice } from './UndoNotice'

/** Says what was done to a machine last, with the way back beside it. */
export function useUndoNotice() {
  const undo = useChange(undoChange)
  const failed = (error: unknown) => notifications.show({ color: 'red', message: sentenceOf(error) })
  // Of the promise, not of the call: who asked may be gone by then, and its callbacks with it.
  return async (text: string, machineId: number) => {
    const [last] = await listChanges(machineId)
    notifications.show({
      message: <UndoNotice text={text} onUndo={() => last && undo.mutateAsync(last.id).catch(failed)} />,
    })
  }
}
