import { Button, Drawer } from '@mantine/core'
import { notifications } from '@mantine/notifications'
import { type Change, undoChange } from '../api/client'
import { sentenceOf } from '../api/issues'
import { useChange, useChanges } from '../api/queries'
import { momentText } from '../quantities/days'
import { differences } from './differences'
import { EmptyState } from './EmptyState'
import classes from './HistoryDrawer.module.css'

/** Every change: when, who, what, before and after; each can be undone. */
export default function HistoryDrawer({
  machineId,
  title,
  onClose,
}: {
  machineId?: number
  title: string
  onClose: () => void
}) {
  const changes = useChanges(machineId)
  const all = changes.data?.pages.flat()
  const undo = useChange(undoChange)
  const onUndo = (change: Change) =>
    undo.mutate(change.id, {
      onSuccess: () => notifications.show({ message: `Undone: ${change.what}` }),
      onError: (error) => notifications.show({ color: 'red', message: sentenceOf(error) }),
    })
  return (
    <Drawer
      opened
      onClose={onClose}
      position="right"
      title={title}
      closeButtonProps={{ 'aria-label': 'Close' }}
    >
      {all?.length === 0 && <EmptyState title="Nothing was changed yet." />}
      {changes.error !== null && (
        <EmptyState title="The history can't be read.">{sentenceOf(changes.error)}</EmptyState>
      )}
      <ol className={classes.list}>
        {all?.map((change) => (
          <li key={change.id} className={classes.change} data-undone={change.undoneBy !== null || undefined}>
            <div className={classes.head}>
              <span>
                <strong>{change.what}</strong>
                <span className="cap">
                  {' '}
                  {momentText(change.madeAt)} · {change.who}
                </span>
              </span>
              {change.undoneBy === null ? (
                <Button
                  size="compact-sm"
                  variant="default"
                  loading={undo.isPending && undo.variables === change.id}
                  onClick={() => onUndo(change)}
                  aria-label={`Undo ${change.what}`}
                >
                  Undo
                </Button>
              ) : (
                <span className="cap">undone</span>
              )}
            </div>
            <ChangeDetails change={change} />
          </li>
        ))}
      </ol>
      {changes.hasNextPage && (
        <Button
          variant="default"
          fullWidth
          loading={changes.isFetchingNextPage}
          onClick={() => changes.fetchNextPage()}
        >
          Show older ones
        </Button>
      )}
    </Drawer>
  )
}

function ChangeDetails({ change }: { change: Change }) {
  const rows = change.things.flatMap((thing) => {
    const kind = thing.thing.replace('_', ' ')
    const [before, after] = [thing.before, thing.after].map((t) => (t === null ? null : JSON.parse(t)))
    if (before === null) return [`${kind}${nameIn(after)} added`]
    if (after === null) return [`${kind}${nameIn(before)} removed`]
    return differences(before, after).map((d) => `${kind} · ${d.path}: ${d.before} → ${d.after}`)
  })
  return (
    <ul className={classes.details}>
      {rows.map((row, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: the rows of a past change never move
        <li key={i}>{row}</li>
      ))}
    </ul>
  )
}

/** What a person calls the thing, where it has a name. */
const nameIn = (thing: { name?: unknown }) => (typeof thing.name === 'string' ? ` “${thing.name}”` : '')
