import { Button, FileButton } from '@mantine/core'
import { notifications } from '@mantine/notifications'
import { useState } from 'react'
import { sentenceOf } from '../api/issues'
import { useChange } from '../api/queries'
import { compareShared, type SharedDifferences, type SharedTake } from '../api/sharing'
import { SharedDialog } from './SharedDialog'

interface Props {
  /** What is read, for who can't see where the button stands. */
  name: string
  kind: SharedTake['file']['content']['kind']
  /** What it is read into. */
  into: Pick<SharedTake, 'machineId' | 'driveKey'>
  gears?: string[]
}

/** Reads what another workshop wrote: what differs is shown first, and nothing is stored until it is taken. */
export function ReadSharedButton({ name, kind, into, gears = [''] }: Props) {
  const [read, setRead] = useState<{ take: SharedTake; differs: SharedDifferences }>()
  const look = useChange(async (file: File) => {
    const take = { file: sharedIn(await file.text(), kind), ...into, isBeside: false }
    return { take, differs: await compareShared(take) }
  })
  return (
    <>
      <FileButton
        accept="application/json,.json"
        onChange={(file) =>
          file &&
          look.mutate(file, {
            onSuccess: setRead,
            onError: (error) =>
              notifications.show({
                color: 'red',
                title: `${file.name} was not read`,
                message: sentenceOf(error),
                autoClose: 12_000,
              }),
          })
        }
      >
        {(button) => (
          <Button
            {...button}
            size="compact-sm"
            variant="subtle"
            color="gray"
            loading={look.isPending}
            aria-label={`Read ${name} from a file`}
            data-no-print
          >
            Read a file
          </Button>
        )}
      </FileButton>
      {read && (
        <SharedDialog
          key={`${read.take.file.title} ${read.take.file.version}`}
          take={read.take}
          differs={read.differs}
          gears={gears}
          onClose={() => setRead(undefined)}
        />
      )}
    </>
  )
}

const WORDS: Record<Props['kind'], string> = {
  procedure: 'a procedure',
  gearboxSet: 'a gearbox set',
  aims: 'aims of a venue',
}

/** Looked at before it is sent, so that another file is told from a broken one. */
function sharedIn(text: string, kind: Props['kind']): SharedTake['file'] {
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch {
    throw new Error('It is not whole JSON: perhaps it was cut off. Nothing of it was stored.')
  }
  const file = value as Partial<SharedTake['file']> | null
  if (file?.format !== 'wendrak-shared')
    throw new Error('It is JSON, but not written by “Share” of Wendrak. A whole machine is read in the yard.')
  if (file.content?.kind !== kind && file.content?.kind !== undefined && file.content.kind in WORDS)
    throw new Error(`It holds ${WORDS[file.content.kind]}; here ${WORDS[kind]} can be read.`)
  return value as SharedTake['file']
}
