import { ActionIcon } from '@mantine/core'
import { notifications } from '@mantine/notifications'
import { sentenceOf } from '../api/issues'
import { useChange } from '../api/queries'

/** Takes one line out of a list. */
export function TakeOutButton({ name, remove }: { name: string; remove: () => Promise<unknown> }) {
  const change = useChange(remove)
  return (
    <ActionIcon
      variant="subtle"
      color="gray"
      data-no-print
      aria-label={`Take ${name} out of the list`}
      onClick={() =>
        // Of the promise, not of the call: its row is gone by then, and the call's words with it.
        change
          .mutateAsync(undefined)
          .then(() =>
            notifications.show({ message: `${name} is out of the list; the history can bring it back.` }),
          )
          .catch((e) => notifications.show({ color: 'red', message: sentenceOf(e) }))
      }
    >
      ×
    </ActionIcon>
  )
}
