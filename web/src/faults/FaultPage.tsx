import { ActionIcon, Select } from '@mantine/core'
import { useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import type { MachineCard } from '../api/client'
import { sentenceOf } from '../api/issues'
import { useMachines } from '../api/queries'
import { faultPath, loopLabel } from '../job/words'
import { driveText, KIND_WORDS } from '../machine/words'
import { useUnits } from '../quantities/units'
import { EmptyState } from '../shell/EmptyState'
import { History } from '../shell/History'
import { HistoryIcon, PrintIcon } from '../shell/icons'
import { PageTitle } from '../shell/PageTitle'
import { useShortcuts } from '../shell/shortcuts'
import { UnitSwitch } from '../shell/UnitSwitch'
import { SearchView } from './SearchView'
import { useFault } from './useFault'

/** The search for a fault of one loop of one machine. */
export default function FaultPage() {
  const { machineId, loopKey } = useParams()
  const cards = useMachines()
  const card = cards.data?.find((c) => c.machine.id === Number(machineId))
  if (cards.error && !cards.data)
    return <EmptyState title="The machines can’t be read.">{sentenceOf(cards.error)}</EmptyState>
  if (!cards.data) return <EmptyState title="Opening …" />
  const loop = card?.summary.loops.find((l) => l.loopKey === loopKey)
  if (!card || !loop)
    return (
      <EmptyState title="There is no such loop.">
        The machine or its chain or belt is gone. <Link to="/faults">All machines</Link>
      </EmptyState>
    )
  return <Searched key={`${machineId} ${loop.loopKey}`} card={card} loopKey={loop.loopKey} />
}

function Searched({ card, loopKey }: { card: MachineCard; loopKey: string }) {
  const { machine, summary } = card
  const fault = useFault({ machineId: machine.id, loopKey })
  const [isHistory, setHistory] = useState(false)
  const units = useUnits()
  const navigate = useNavigate()
  useShortcuts({ h: () => setHistory(true) })
  const note = [
    machine.name,
    KIND_WORDS[machine.kind],
    driveText(summary.loops.filter((l) => l.loopKey === loopKey)),
    machine.odometerKm === null ? null : units.show('distance', machine.odometerKm),
  ]
  return (
    <>
      <PageTitle title="Faults" note={note.filter(Boolean).join(' · ')}>
        <div style={{ display: 'flex', flexWrap: 'wrap', gap: 8, alignItems: 'center' }} data-no-print>
          {summary.loops.length > 1 && (
            <Select
              size="xs"
              w={150}
              aria-label="Loop"
              allowDeselect={false}
              value={loopKey}
              onChange={(key) => key && navigate(faultPath(machine.id, key))}
              data={summary.loops.map((l) => ({ value: l.loopKey, label: loopLabel(summary.loops, l) }))}
            />
          )}
          <UnitSwitch />
          <ActionIcon
            variant="subtle"
            color="gray"
            onClick={() => setHistory(true)}
            aria-label="History and undo (H)"
          >
            <HistoryIcon />
          </ActionIcon>
          <ActionIcon variant="subtle" color="gray" onClick={() => window.print()} aria-label="Print">
            <PrintIcon />
          </ActionIcon>
        </div>
      </PageTitle>
      <SearchView fault={fault} />
      {isHistory && (
        <History
          machineId={machine.id}
          title={`History of ${machine.name}`}
          onClose={() => setHistory(false)}
        />
      )}
    </>
  )
}
