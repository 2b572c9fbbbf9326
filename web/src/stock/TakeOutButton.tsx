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
        change.mutate(undefined, {
          onSuccess: () =>
            notifications.show({ message: `${name} is out of the list; the history can bring it back.` }),
          onError: (e) => notifications.show({ color: 'red', message: sentenceOf(e) }),
        })
      }
    >
      ×
    </ActionIcon>
  )
}
