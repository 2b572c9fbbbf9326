import { Button, Group, SegmentedControl } from '@mantine/core'
import { useState } from 'react'
import type { ConflictError } from '../api/client'
import classes from './ConflictSheet.module.css'
import { Dialog } from './Dialog'
import { differences, valueAt, withValues } from './differences'

type Whose = 'mine' | 'theirs'

export interface Conflicting<T> {
  conflict: ConflictError
  /** What this window wanted to store. */
  mine: T
  /** What both began from; undefined where nobody knows: then all that differs is taken for mine. */
  base: T | undefined
  /** What is to stand, of both. */
  onChosen(chosen: T): void
  /** It was removed meanwhile, and stays so. */
  onGone(): void
}

/** Two windows changed the same thing: row by row it is chosen which one stands, and nothing is lost by itself. */
export default function ConflictSheet<T>({
  conflict,
  mine,
  base,
  onChosen,
  onGone,
  onLater,
}: Conflicting<T> & {
  /** Nothing is decided: what was typed stays. */
  onLater: () => void
}) {
  const gone = conflict.current === null || conflict.current === undefined
  const rows = gone ? [] : differences(conflict.current, mine, Number.POSITIVE_INFINITY)
  // What I did not touch is theirs; what both touched is asked, and begins as mine.
  const [said, setSaid] = useState<Record<string, Whose>>({})
  const isUntouched = (keys: (string | number)[]) =>
    base !== undefined && JSON.stringify(valueAt(base, keys)) === JSON.stringify(valueAt(mine, keys))
  const whose = ({ path, keys }: (typeof rows)[number]): Whose =>
    said[path] ?? (isUntouched(keys) ? 'theirs' : 'mine')
  const ofMine = rows.filter((row) => whose(row) === 'mine')
  const all = (who: Whose) => setSaid(Object.fromEntries(rows.map(({ path }) => [path, who])))
  return (
    <Dialog
      onClose={onLater}
      title="Changed in another window"
      closeButtonProps={{ 'aria-label': 'Close, and choose later' }}
      size="lg"
    >
      {gone ? (
        <p>It was removed there. What you typed is still in this window until you leave it.</p>
      ) : (
        <>
          <table className={classes.both}>
            <thead>
              <tr>
                <th scope="col">what</th>
                <th scope="col">stored now</th>
                <th scope="col">yours</th>
                <th scope="col">stands then</th>
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <tr key={row.path}>
                  <th scope="row">{row.path}</th>
                  <td data-lost={whose(row) === 'mine' || undefined}>{row.before}</td>
                  <td data-lost={whose(row) === 'theirs' || undefined}>{row.after}</td>
                  <td>
                    <SegmentedControl
                      size="xs"
                      aria-label={`${row.path}: which one stands`}
                      value={whose(row)}
                      onChange={(who) => setSaid({ ...said, [row.path]: who as Whose })}
                      data={[
                        { value: 'theirs', label: 'stored' },
                        { value: 'mine', label: 'yours' },
                      ]}
                    />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          {rows.length > 1 && (
            <Group gap="xs" mt="xs">
              <Button size="compact-sm" variant="default" onClick={() => all('theirs')}>
                All as stored
              </Button>
              <Button size="compact-sm" variant="default" onClick={() => all('mine')}>
                All as yours
              </Button>
            </Group>
          )}
        </>
      )}
      <Group justify="end" mt="md">
        <Button variant="default" onClick={onLater}>
          Choose later
        </Button>
        {gone ? (
          <Button onClick={onGone}>Leave it removed</Button>
        ) : (
          <Button
            onClick={() =>
              onChosen(
                withValues(
                  conflict.current as T,
                  mine,
                  ofMine.map(({ keys }) => keys),
                ),
              )
            }
          >
            {ofMine.length === 0 ? 'Take what is stored' : 'Store it so'}
          </Button>
        )}
      </Group>
      {!gone && (
        <p className="cap" style={{ marginTop: 8 }}>
          What does not stand then stays in the history, yours or theirs.
        </p>
      )}
    </Dialog>
  )
}
