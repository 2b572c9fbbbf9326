import { Button, Group } from '@mantine/core'
import type { FollowUpTask, LoopSummary } from '../api/client'
import { Dialog } from '../shell/Dialog'
import { becauseText, followUpKey, taskText } from './followUpWords'

/** Asks why a machine is another one than was stored: other parts ask for things to be done again, a correction does not. */
export default function ReasonDialog({
  items,
  loops,
  onCorrection,
  onOtherParts,
  onBack,
}: {
  /** What other parts would ask for. */
  items: FollowUpTask[]
  loops: LoopSummary[]
  onCorrection: () => void
  onOtherParts: () => void
  onBack: () => void
}) {
  return (
    <Dialog
      onClose={onBack}
      size={520}
      title="Was it typed wrong, or is it another one now?"
      closeButtonProps={{ 'aria-label': 'Back, nothing is stored' }}
    >
      <p>If other parts are on the machine, or something stands elsewhere, this must be done again:</p>
      <ul>
        {items.map((item) => (
          <li key={followUpKey(item)}>
            {taskText(item, loops)} <span className="cap">{becauseText(item)}</span>
          </li>
        ))}
      </ul>
      <Group justify="end" mt="md">
        <Button variant="default" data-autofocus onClick={onCorrection}>
          It only corrects what was typed
        </Button>
        <Button onClick={onOtherParts}>It is another one now</Button>
      </Group>
    </Dialog>
  )
}
