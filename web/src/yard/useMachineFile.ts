import { notifications } from '@mantine/notifications'
import { useNavigate } from 'react-router'
import { InvalidInputError, type MachineFile, readMachineFile } from '../api/client'
import { sentenceOf } from '../api/issues'
import { useChange } from '../api/queries'

/** The server refuses larger bodies; said here before half a minute of sending. */
const MOST_BYTES = 1_000_000

/** Reads a machine file that a person chose, and says in one sentence why when it can't be taken. */
export function useMachineFile() {
  const navigate = useNavigate()
  const add = useChange(async (file: File) => readMachineFile(await parsed(file)))
  const read = (file: File | null) => {
    if (!file) return
    add.mutate(file, {
      onSuccess: (card) => navigate(`/machines/${card.machine.id}/ratio`),
      onError: (error) =>
        notifications.show({
          color: 'red',
          title: `${file.name} was not read`,
          message: why(error),
          autoClose: 12_000,
        }),
    })
  }
  return { read, isPending: add.isPending }
}

async function parsed(file: File): Promise<MachineFile> {
  if (file.size > MOST_BYTES)
    throw new Error(`It is ${(file.size / 1e6).toFixed(1)} MB large; a machine file has at most 1 MB.`)
  const text = await file.text()
  let content: unknown
  try {
    content = JSON.parse(text)
  } catch {
    throw new Error('It is not whole JSON: perhaps it was cut off. Nothing of it was stored.')
  }
  const format =
    typeof content === 'object' && content !== null && 'format' in content ? content.format : undefined
  if (format !== 'wendrak-machine') throw new Error('It is JSON, but not a machine written by Wendrak.')
  return content as MachineFile // the server checks every field of it
}

const why = (error: unknown) =>
  error instanceof InvalidInputError
    ? error.issues
        .slice(0, 3)
        .map((i) => (i.field ? `${i.field}: ${i.message}` : i.message))
        .join(' ')
    : sentenceOf(error)
