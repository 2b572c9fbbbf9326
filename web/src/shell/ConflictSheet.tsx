import { Button, Group } from '@mantine/core'
import type { ConflictError } from '../api/client'
import classes from './ConflictSheet.module.css'
import { Dialog } from './Dialog'
import { differences } from './differences'

interface Props {
  conflict: ConflictError
  /** What this window wanted to store. */
  mine: unknown
  onKeepMine: () => void
  onTakeTheirs: () => void
}

/** Two windows changed the same thing: both are shown, the person chooses, nothing is lost by itself. */
export default function ConflictSheet({ conflict, mine, onKeepMine, onTakeTheirs }: Props) {
  const gone = conflict.current === null || conflict.current === undefined
  return (
    <Dialog
      onClose={onTakeTheirs}
      title="Changed in another window"
      closeButtonProps={{ 'aria-label': 'Close and take what is stored' }}
      size="lg"
    >
      {gone ? (
        <p>It was removed there. What you typed is still in this window until you leave it.</p>
      ) : (
        <table className={classes.both}>
          <thead>
            <tr>
              <th scope="col">what</th>
              <th scope="col">stored now</th>
              <th scope="col">yours</th>
            </tr>
          </thead>
          <tbody>
            {differences(conflict.current, mine).map((d) => (
              <tr key={d.path}>
                <th scope="row">{d.path}</th>
                <td>{d.before}</td>
                <td>{d.after}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <Group justify="end" mt="md">
        <Button variant="default" onClick={onTakeTheirs}>
          {gone ? 'Leave it removed' : 'Take what is stored'}
        </Button>
        {!gone && <Button onClick={onKeepMine}>Store mine over it</Button>}
      </Group>
      <p className="cap">Either way the other one stays in the history.</p>
    </Dialog>
  )
}
