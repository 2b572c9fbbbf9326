import { Link } from 'react-router'
import type { MachineCard } from '../api/client'
import { useFaults } from '../api/faults'
import { sentenceOf } from '../api/issues'
import { useMachines } from '../api/queries'
import { faultPath, loopLabel } from '../job/words'
import { driveText, KIND_WORDS } from '../machine/words'
import { EmptyState } from '../shell/EmptyState'
import { PageTitle } from '../shell/PageTitle'
import { Panel } from '../shell/Panel'
import classes from './Faults.module.css'

/** From what it does to its cause: which machine is it, and what goes on already. */
export default function FaultsView() {
  const machines = useMachines()
  const inUse = machines.data?.filter((m) => m.machine.retiredOn === null && m.summary.loops.length > 0)
  return (
    <>
      <PageTitle
        title="Faults"
        note="from what it does to its cause, by the test that tells most for its minutes"
      />
      {machines.isPending && <EmptyState title="Reading the yard …" />}
      {machines.error !== null && (
        <EmptyState title="The yard can't be read.">{sentenceOf(machines.error)}</EmptyState>
      )}
      {inUse?.length === 0 && (
        <EmptyState title="No machine with a chain or belt stands here yet.">
          Add one in the <Link to="/">Yard</Link>.
        </EmptyState>
      )}
      <div className={classes.yard}>
        {inUse?.map((card) => (
          <Machine key={card.machine.id} card={card} />
        ))}
      </div>
    </>
  )
}

/** Its loops: one is searched at once, or gone on with. */
function Machine({ card }: { card: MachineCard }) {
  const { machine, summary } = card
  const faults = useFaults()
  const going = (loopKey: string) =>
    faults.data?.find((f) => f.machineId === machine.id && f.loopKey === loopKey)
  return (
    <Panel title={machine.name} note={KIND_WORDS[machine.kind]}>
      <div className={classes.machine}>
        {summary.loops.map((loop) => {
          const fault = going(loop.loopKey)
          return (
            <Link
              key={loop.loopKey}
              to={faultPath(machine.id, loop.loopKey)}
              data-going={fault ? true : undefined}
            >
              <b>{loopLabel(summary.loops, loop)}</b> <span className="cap">{driveText([loop])}</span>
              <br />
              {fault
                ? fault.asksIfGone
                  ? `● mended: ${fault.found}. Is it gone?`
                  : fault.found
                    ? `● found: ${fault.found}`
                    : `● ${fault.signs.join(', ') || 'a search goes on'}`
                : 'What does it do?'}
            </Link>
          )
        })}
      </div>
    </Panel>
  )
}
