import { Outlet, useParams } from 'react-router'
import type { Aim, MachineCard, Setup } from '../api/client'
import { sentenceOf } from '../api/issues'
import { useAims, useMachine, useSetups } from '../api/queries'
import { JobLink } from '../job/JobLink'
import { Stops } from '../loop/Stops'
import { MachineBar } from '../machine/MachineBar'
import { useWorkbench } from '../machine/useWorkbench'
import { EmptyState } from '../shell/EmptyState'
import { StationStrip } from './StationStrip'

/** A machine's page: bar, strip, and the station in view. */
export default function MachinePage() {
  const id = Number(useParams().machineId)
  const machine = useMachine(id)
  const setups = useSetups(id)
  const aims = useAims(id)
  const error = machine.error ?? setups.error ?? aims.error
  if (error && !machine.data)
    return <EmptyState title="This machine can't be opened.">{sentenceOf(error)}</EmptyState>
  if (!machine.data || !setups.data || !aims.data) return <EmptyState title="Opening the machine …" />
  return <OpenMachine key={id} card={machine.data} setups={setups.data} aims={aims.data} />
}

function OpenMachine({ card, setups, aims }: { card: MachineCard; setups: Setup[]; aims: Aim[] }) {
  const bench = useWorkbench(card, setups, aims)
  return (
    <>
      <MachineBar bench={bench}>
        <JobLink card={card} />
      </MachineBar>
      <StationStrip bench={bench} />
      <Stops card={card} />
      <Outlet context={bench} />
    </>
  )
}
