import { Button, Group } from '@mantine/core'
import { notifications } from '@mantine/notifications'

/** A done thing, with the way back beside it. */
export function UndoNotice({ text, onUndo }: { text: string; onUndo: () => void }) {
  return (
    <Group justify="space-between" wrap="nowrap">
      {text}
      <Button
        size="compact-sm"
        variant="default"
        onClick={() => {
          onUndo()
          notifications.clean()
        }}
      >
        Undo
      </Button>
    </Group>
  )
}
