import { Button, Drawer } from '@mantine/core'
import { notifications } from '@mantine/notifications'
import type { ReactNode } from 'react'
import { type Change, undoChange } from '../api/client'
import { sentenceOf } from '../api/issues'
import { useChange, useChanges } from '../api/queries'
import { momentText } from '../quantities/days'
import { counted } from '../quantities/format'
import { differences } from './differences'
import { EmptyState } from './EmptyState'
import classes from './HistoryDrawer.module.css'
import { historyLines } from './historyLines'
import { useReturnFocus } from './useReturnFocus'

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
  useReturnFocus()
  const changes = useChanges(machineId)
  const all = changes.data?.pages.flat()
  const undo = useChange(undoChange)
  const onUndo = (change: Change) =>
    undo.mutate(change.id, {
      onSuccess: () => notifications.show({ message: `Undone: ${change.what}` }),
      onError: (error) => notifications.show({ color: 'red', message: sentenceOf(error) }),
    })
  const undoing = { onUndo, pending: undo.isPending ? undo.variables : undefined }
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
        {all &&
          historyLines(all).map(({ change, readings }) => (
            <Entry key={change.id} change={change} {...undoing}>
              {readings.length > 0 && (
                <details>
                  <summary>
                    {counted(readings.length, 'entry of its readings', 'entries of its readings')}
                  </summary>
                  <ol className={classes.list}>
                    {readings.map((reading) => (
                      <Entry key={reading.id} change={reading} {...undoing} />
                    ))}
                  </ol>
                </details>
              )}
            </Entry>
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

function Entry({
  change,
  onUndo,
  pending,
  children,
}: {
  change: Change
  onUndo: (change: Change) => void
  /** Number of the one that is being undone. */
  pending: number | undefined
  children?: ReactNode
}) {
  return (
    <li className={classes.change} data-undone={change.undoneBy !== null || undefined}>
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
            loading={pending === change.id}
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
      {children}
    </li>
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
