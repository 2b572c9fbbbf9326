import { Select } from '@mantine/core'
import { useState } from 'react'
import type { LoopLoadsResult } from '../api/client'
import { useEvaluation } from '../api/evaluation'
import { sentenceOf } from '../api/issues'
import { useMachines } from '../api/queries'
import type { Workbench } from '../machine/useWorkbench'
import { useUnits } from '../quantities/units'
import { Panel } from '../shell/Panel'
import table from '../shell/table.module.css'
import { FIGURES } from './figures'
import { KnownChainFields } from './KnownChainFields'

const TYPED = 'typed'

/** Beside a drive that is known to last: any loop of any machine in the yard. */
export function TrustPanel({ bench, answer }: { bench: Workbench; answer: LoopLoadsResult }) {
  const units = useUnits()
  const machines = useMachines().data ?? []
  const [chosen, setChosen] = useState<string | null>(null)
  const others = machines
    .filter((m) => m.machine.id !== bench.card.machine.id)
    .flatMap((card) =>
      card.summary.loops.map((loop) => ({ card, loop, value: `${card.machine.id}~${loop.loopKey}` })),
    )
  const other = others.find((o) => o.value === chosen)
  const known = useEvaluation(
    {
      machineId: other?.card.machine.id ?? null,
      practiceMachine: null,
      scope: { loopKeys: other ? [other.loop.loopKey] : [] },
    },
    'loads',
    other && {},
  )
  const theirs = known.data
  const isChain = bench.loops.at(-1)?.driveElement === 'chain'
  return (
    <Panel title="Against a drive you trust" isStale={known.isStale} isEmpty={chosen === null}>
      <div data-no-print>
        <Select
          size="xs"
          aria-label="A drive you trust"
          placeholder="any drive in the yard"
          clearable
          value={chosen}
          onChange={setChosen}
          data={[
            ...(isChain ? [{ value: TYPED, label: 'figures typed in' }] : []),
            ...others.map((o) => ({
              value: o.value,
              label: `${o.card.machine.name}, ${o.loop.standard}${o.card.summary.loops.length > 1 ? ` (${o.loop.loopKey})` : ''}`,
            })),
          ]}
        />
      </div>
      {chosen === TYPED && <KnownChainFields standard={bench.loops.at(-1)?.standard ?? ''} answer={answer} />}
      {known.error && other ? (
        <p role="alert" style={{ color: 'var(--stop)', marginTop: 6 }}>
          {other.card.machine.name}: {sentenceOf(known.error)}
        </p>
      ) : null}
      {theirs && other && (
        <table className={table.table} style={{ marginTop: 6 }}>
          <thead>
            <tr>
              <th scope="col">
                <span className="visually-hidden">figure</span>
              </th>
              <th scope="col">this</th>
              <th scope="col">{other.card.machine.name}</th>
            </tr>
          </thead>
          <tbody>
            {FIGURES.map(([name, tell]) => (
              <tr key={name}>
                <th scope="row">{name}</th>
                <td className="num">{tell(answer.figures, units)}</td>
                <td className="num">{tell(theirs.figures, units)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </Panel>
  )
}
