import { NativeSelect } from '@mantine/core'
import { useState } from 'react'
import type { MachineCard } from '../api/client'
import { HappenedButtons } from '../job/HappenedButtons'
import { Dialog } from '../shell/Dialog'

/** What happened, and to which machine: what it asks for is due then. */
export default function HappenedDialog({ cards, onClose }: { cards: MachineCard[]; onClose: () => void }) {
  const [id, setId] = useState(cards[0]?.machine.id ?? 0)
  return (
    <Dialog onClose={onClose} title="Something happened">
      <NativeSelect
        size="sm"
        mb="sm"
        label="To which machine"
        value={String(id)}
        onChange={(event) => setId(Number(event.currentTarget.value))}
        data={cards.map((c) => ({ value: String(c.machine.id), label: c.machine.name }))}
        data-autofocus
      />
      <HappenedButtons machineId={id} onNoted={onClose} />
    </Dialog>
  )
}
