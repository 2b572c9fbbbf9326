import { Button, FileButton, Group, Progress } from '@mantine/core'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import { previewKeptBackup, previewRestore, restoreBackup } from '../api/client'
import { sentenceOf } from '../api/issues'
import { useBackups } from '../api/queries'
import { momentText } from '../quantities/days'
import { Dialog } from '../shell/Dialog'
import classes from './BackupDialog.module.css'
import { RestoreDifferences } from './RestoreDifferences'

/** Everything in one file, and the way back: first what it would change, then done, with what was there kept. */
export default function BackupDialog({ onClose }: { onClose: () => void }) {
  const backups = useBackups()
  const [sent, setSent] = useState(0)
  const look = useMutation({
    mutationFn: (from: File | string) =>
      typeof from === 'string' ? previewKeptBackup(from) : previewRestore(from, setSent),
  })
  const restore = useMutation({ mutationFn: restoreBackup })
  const preview = look.data
  const error = look.error ?? restore.error
  return (
    <Dialog onClose={onClose} title="Backup" size="lg">
      {restore.data ? (
        <>
          <p role="status">
            The backup is restored. What was there before is kept: {momentText(restore.data.at)}.
          </p>
          {/* Everything on the page is of the data as it was: a new page shows what is there now. */}
          <Button onClick={() => location.assign('/')}>Show what is there now</Button>
        </>
      ) : preview ? (
        <>
          <RestoreDifferences preview={preview} />
          <Group mt="md">
            <Button loading={restore.isPending} onClick={() => restore.mutate(preview.token)}>
              Restore it
            </Button>
            <Button variant="default" onClick={() => look.reset()}>
              Leave all as it is
            </Button>
          </Group>
        </>
      ) : (
        <>
          <Group>
            <Button component="a" href="/api/backups/whole" download>
              Download everything
            </Button>
            <Button variant="default" component="a" href="/api/backups/open" download>
              Download as open JSON
            </Button>
            <FileButton accept=".zip,.db" onChange={(file) => file && look.mutate(file)}>
              {(props) => (
                <Button variant="default" loading={look.isPending} {...props}>
                  Restore from a file
                </Button>
              )}
            </FileButton>
          </Group>
          {look.isPending && look.variables instanceof File && (
            <Progress mt="sm" value={sent * 100} aria-label="Sent of the file" />
          )}
          <p className={`cap ${classes.about}`}>
            The first is one zip with all there is, to keep somewhere else. The second is one file a machine,
            readable without Wendrak.
          </p>
          <h3 className={classes.head}>Made by itself, each day</h3>
          {backups.data?.length === 0 && <p>None yet: the first is made a few seconds after the start.</p>}
          <ul className={classes.list}>
            {backups.data?.map(({ name, at }) => (
              <li key={name}>
                <span className="num">{momentText(at)}</span>{' '}
                <Button
                  size="compact-xs"
                  variant="default"
                  loading={look.isPending && look.variables === name}
                  onClick={() => look.mutate(name)}
                >
                  What would it change?
                </Button>
              </li>
            ))}
          </ul>
        </>
      )}
      {error && (
        <p role="alert" style={{ color: 'var(--stop)' }}>
          {sentenceOf(error)}
        </p>
      )}
    </Dialog>
  )
}
