import { Button, Group } from '@mantine/core'
import { notifications } from '@mantine/notifications'
import { useState } from 'react'
import type { MachineCard } from '../api/client'
import { issueFor, sentenceOf } from '../api/issues'
import { addToLog } from '../api/log'
import { useChange } from '../api/queries'
import { DayField } from '../quantities/DayField'
import { today } from '../quantities/days'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import { Dialog } from '../shell/Dialog'

/** Somebody goes round the yard with a slip of paper: every odometer in one go. What was refused stays to be mended. */
export default function OdometerRound({ cards, onClose }: { cards: MachineCard[]; onClose: () => void }) {
  const units = useUnits()
  const [on, setOn] = useState<string>(today())
  const [typed, setTyped] = useState<Record<number, number | undefined>>({})
  const [refused, setRefused] = useState<Record<number, unknown>>({})
  const [isSending, setSending] = useState(false)
  const add = useChange(addToLog)
  const asked = cards.filter((c) => c.machine.odometerKm !== null)
  const filled = asked.filter((c) => typed[c.machine.id] !== undefined)
  const send = async () => {
    setSending(true)
    const errors: Record<number, unknown> = {}
    for (const { machine } of filled)
      try {
        const odometerKm = typed[machine.id] ?? null
        await add.mutateAsync({
          machineId: machine.id,
          lines: [{ kind: 'odometerRead', on, odometerKm, setupId: null, under: null, words: null }],
        })
        setTyped((was) => ({ ...was, [machine.id]: undefined }))
      } catch (error) {
        errors[machine.id] = error
      }
    setRefused(errors)
    setSending(false)
    const done = filled.length - Object.keys(errors).length
    if (done > 0)
      notifications.show({ message: `${done} ${done === 1 ? 'odometer is' : 'odometers are'} written down.` })
    if (Object.keys(errors).length === 0) onClose()
  }
  return (
    <Dialog onClose={onClose} title="Odometers of the machines in view">
      <form
        onSubmit={(event) => {
          event.preventDefault()
          void send()
        }}
      >
        <DayField size="sm" label="Read on" isNeeded value={on} onChange={setOn} />
        {asked.length === 0 && <p>None of them has an odometer.</p>}
        {asked.map(({ machine }) => {
          const error = refused[machine.id]
          const atField = issueFor(error, 'lines[0].odometerKm') ?? issueFor(error, 'lines[0].on')
          return (
            <QuantityField
              key={machine.id}
              mt="xs"
              size="sm"
              label={machine.name}
              description={`so far ${units.show('distance', machine.odometerKm ?? 0)}`}
              quantity="distance"
              value={typed[machine.id]}
              onChange={(km) => setTyped((was) => ({ ...was, [machine.id]: km }))}
              error={atField ?? (error ? sentenceOf(error) : undefined)}
            />
          )
        })}
        <Group mt="sm" gap="sm">
          <Button type="submit" loading={isSending} disabled={filled.length === 0}>
            Write {filled.length === 0 ? 'them' : filled.length} down
          </Button>
          <span className="cap">Left empty is not written.</span>
        </Group>
      </form>
    </Dialog>
  )
}
