import { Select } from '@mantine/core'
import { useState } from 'react'
import { type LoopLoadsResult, loadLoop } from '../api/client'
import { sentenceOf } from '../api/issues'
import { useComputed, useMachines } from '../api/queries'
import type { Workbench } from '../machine/useWorkbench'
import { type Units, useUnits } from '../quantities/units'
import { Panel } from '../shell/Panel'
import table from '../shell/table.module.css'
import { loadsInput, partsOf } from './useLoads'

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
  const drive = other?.card.machine.drives.find((d) => d.key === other.loop.driveKey)
  const known = useComputed(
    'trusted-loads',
    other &&
      drive &&
      loadsInput(other.card, drive, other.card.fitted, partsOf(other.card, drive, other.loop)),
    loadLoop,
  )
  const rows = other && known.data ? rowsOf(answer, known.data, units) : []
  return (
    <Panel title="Against a drive you trust" isStale={known.isStale}>
      <Select
        size="xs"
        aria-label="A drive you trust"
        placeholder="any drive in the yard"
        clearable
        value={chosen}
        onChange={setChosen}
        data={others.map((o) => ({
          value: o.value,
          label: `${o.card.machine.name}, ${o.loop.standard}${o.card.summary.loops.length > 1 ? ` (${o.loop.loopKey})` : ''}`,
        }))}
        data-no-print
      />
      {known.error && other ? (
        <p role="alert" style={{ color: 'var(--stop)', marginTop: 6 }}>
          {other.card.machine.name}: {sentenceOf(known.error)}
        </p>
      ) : null}
      {rows.length > 0 && other && (
        <table className={table.table} style={{ marginTop: 6 }}>
          <thead>
            <tr>
              <th scope="col">hardest pull, top speed</th>
              <th scope="col">this</th>
              <th scope="col">{other.card.machine.name}</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(([name, mine, theirs]) => (
              <tr key={name}>
                <th scope="row">{name}</th>
                <td className="num">{mine}</td>
                <td className="num">{theirs}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </Panel>
  )
}

function rowsOf(mine: LoopLoadsResult, theirs: LoopLoadsResult, units: Units): [string, string, string][] {
  const hardest = (r: LoopLoadsResult) => r.points.find((p) => p.point.kind === 'hardestPull')
  const fastest = (r: LoopLoadsResult) => Math.max(...r.points.map((p) => p.speedMS))
  const force = (value: number | undefined) => (value === undefined ? '–' : units.show('force', value))
  const pins = (r: LoopLoadsResult) => r.checks.find((c) => c.kind === 'pinPressure')?.value ?? null
  const row = (name: string, tell: (r: LoopLoadsResult) => string): [string, string, string] => [
    name,
    tell(mine),
    tell(theirs),
  ]
  return [
    row('speed of the loop', (r) => units.show('loopSpeed', fastest(r))),
    row('pull', (r) => force(hardest(r)?.pullN)),
    row('on the first tooth', (r) => force(hardest(r)?.teeth?.firstToothN)),
    row('even share of a tooth', (r) => force(hardest(r)?.teeth?.evenShareN)),
    row('pressure in the pins, cruising', (r) => {
      const value = pins(r)
      return value === null ? '–' : units.show('pressure', value)
    }),
    row('on the driving shaft', (r) => force(hardest(r)?.frontShaft.loadN)),
    row('mass of chain or belt', (r) => (r.massKg === null ? '–' : units.show('mass', r.massKg, 2))),
  ]
}
