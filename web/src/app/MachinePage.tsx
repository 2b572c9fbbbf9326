import { Outlet, useLocation, useParams, useSearchParams } from 'react-router'
import type { Aim, MachineCard, Setup } from '../api/client'
import { sentenceOf } from '../api/issues'
import { useAims, useMachine, useMachineWith, useSetups } from '../api/queries'
import { JobLink } from '../job/JobLink'
import { Stops } from '../loop/Stops'
import { MachineBar } from '../machine/MachineBar'
import { BenchContext, useWorkbench } from '../machine/useWorkbench'
import { EmptyState } from '../shell/EmptyState'
import { RestsOn } from './RestsOn'
import classes from './Shell.module.css'
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

/** Where hands are at work: what is on the machine is set and looked at, whatever is in view beside it. */
const WORK = /\/(set|check|jobs)(\/|$)/

/** What is printed by itself: the strip with every station's figure is no part of it. */
const RECORD = /\/set\/\d+/
/** What has a head of its own on paper. */
const SHEET = /\/sheet$/

/** Of another kind of chain or belt the machine is shown with that on it. */
function OpenMachine({ card: asFitted, setups, aims }: { card: MachineCard; setups: Setup[]; aims: Aim[] }) {
  const [params] = useSearchParams()
  const { pathname } = useLocation()
  const other = WORK.test(pathname)
    ? undefined
    : setups.find((s) => String(s.id) === params.get('setup') && (s.kinds?.length ?? 0) > 0)
  const withKinds = useMachineWith(asFitted.machine.id, other?.id)
  if (other && !withKinds.data)
    return withKinds.error ? (
      <EmptyState title="This setup can't be opened.">{sentenceOf(withKinds.error)}</EmptyState>
    ) : (
      <EmptyState title="Opening the setup …" />
    )
  return (
    <Shown card={(other && withKinds.data) || asFitted} asFitted={asFitted} setups={setups} aims={aims} />
  )
}

function Shown({
  card,
  asFitted,
  setups,
  aims,
}: {
  card: MachineCard
  asFitted: MachineCard
  setups: Setup[]
  aims: Aim[]
}) {
  const bench = useWorkbench(card, setups, aims)
  const { pathname } = useLocation()
  const isSheet = SHEET.test(pathname)
  return (
    <>
      <a className={classes.skip} href="#station">
        Skip to the station
      </a>
      {/* What is edited here is the machine itself, whatever kind of it is in view. */}
      <div data-no-print={isSheet || undefined}>
        <MachineBar bench={{ ...bench, card: asFitted }}>
          <JobLink card={asFitted} />
        </MachineBar>
      </div>
      <div data-no-print={isSheet || RECORD.test(pathname) || undefined}>
        <StationStrip bench={bench} />
      </div>
      <Stops card={card} />
      <RestsOn bench={bench} />
      <div id="station">
        <BenchContext value={bench}>
          <Outlet />
        </BenchContext>
      </div>
    </>
  )
}
