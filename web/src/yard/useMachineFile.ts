import { notifications } from '@mantine/notifications'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { InvalidInputError, readMachineFile } from '../api/client'
import { sentenceOf } from '../api/issues'
import { useChange } from '../api/queries'

/** Enough of a file to see whether it is one of ours before all of it is sent. */
const START_BYTES = 400

/** How a zip begins, with the text in it and the photos that go with it. */
const ZIP = 'PK'

/** Reads a machine file that a person chose, and says in one sentence why when it can't be taken. */
export function useMachineFile() {
  const navigate = useNavigate()
  const [sent, setSent] = useState(0)
  const add = useChange(async (file: File) => {
    await looked(file)
    return readMachineFile(file, setSent)
  })
  const read = (file: File | null) => {
    if (!file) return
    setSent(0)
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
  return { read, isPending: add.isPending, sent }
}

async function looked(file: File) {
  const start = await file.slice(0, START_BYTES).text()
  if (start.startsWith(ZIP)) return
  if (!start.trimStart().startsWith('{'))
    throw new Error('It is neither JSON nor a zip: nothing of it was stored.')
  if (!start.includes('"wendrak-machine"'))
    throw new Error('It is JSON, but not a machine written by Wendrak.')
}

const why = (error: unknown) =>
  error instanceof InvalidInputError
    ? error.issues
        .slice(0, 3)
        .map((i) => (i.field ? `${i.field}: ${i.message}` : i.message))
        .join(' ')
    : sentenceOf(error)
