import { Button, Group } from '@mantine/core'
import { notifications } from '@mantine/notifications'
import { listChanges, undoChange } from '../api/client'
import { sentenceOf } from '../api/issues'
import { useChange } from '../api/queries'
import { type SharedDifferences, type SharedTake, takeShared } from '../api/sharing'
import { Dialog } from '../shell/Dialog'
import { Refused } from '../shell/Refused'
import { UndoNotice } from '../shell/UndoNotice'
import classes from './SharedDialog.module.css'
import { SharedTable } from './SharedTable'

interface Props {
  take: SharedTake
  differs: SharedDifferences
  gears: string[]
  onClose: () => void
}

/** What a shared file is, what it would change here, and the press that takes it. */
export function SharedDialog({ take, differs, gears, onClose }: Props) {
  const { file } = take
  const store = useChange(takeShared)
  const undo = useChange(undoChange)
  const isNothing = differs.adds + differs.changesHere === 0
  const isKnownSet = file.content.kind === 'gearboxSet' && differs.isKnown
  // What is taken in may begin the page around this dialog anew: what follows must not hang on it.
  const onTake = async (isBeside: boolean) => {
    const changed = await store.mutateAsync({ ...take, isBeside }).catch(() => null)
    if (changed === null) return // said in the dialog
    onClose()
    // Somebody took it in meanwhile: there is nothing of this page to undo.
    if (changed.adds + changed.changesHere === 0) return
    const [last] = await listChanges(take.machineId ?? undefined)
    const onUndo = () =>
      last &&
      undo
        .mutateAsync(last.id)
        .catch((error) => notifications.show({ color: 'red', message: sentenceOf(error) }))
    notifications.show({
      message: <UndoNotice text={`${file.title}, version ${file.version}, is taken in`} onUndo={onUndo} />,
    })
  }
  return (
    <Dialog onClose={onClose} title={file.title} size="lg">
      <p className="cap">
        Version <span className="num">{file.version}</span> by {file.author}, written {file.on}
      </p>
      <p className={classes.sentence}>
        {isNothing ? 'All of it that can be here is here already.' : sentence(differs)}
      </p>
      {differs.caution && <p className="cap">{differs.caution}</p>}
      <div className={classes.table}>
        <SharedTable differs={differs} gears={gears} />
      </div>
      <Refused error={store.error} />
      <Group justify="end" mt="md">
        <Button variant="default" onClick={onClose}>
          {isNothing ? 'Close' : 'Leave it'}
        </Button>
        {!isNothing && isKnownSet && (
          <Button variant="default" loading={store.isPending} onClick={() => onTake(true)}>
            Add it beside ours
          </Button>
        )}
        {!isNothing && (
          <Button loading={store.isPending} onClick={() => onTake(false)}>
            {isKnownSet ? 'Change ours' : 'Take it in'}
          </Button>
        )}
      </Group>
    </Dialog>
  )
}

const sentence = ({ adds, changesHere, stays }: SharedDifferences) =>
  `Taking it in ${[
    adds > 0 && `adds ${adds}`,
    changesHere > 0 && `changes ${changesHere} that ${changesHere === 1 ? 'is' : 'are'} here`,
  ]
    .filter(Boolean)
    .join(' and ')}${stays > 0 ? `; ${stays} only here ${stays === 1 ? 'stays' : 'stay'}` : ''}.`
