import { type LoadsInput, loadLoop } from '../api/client'
import { useComputed } from '../api/queries'
import type { Workbench } from '../machine/useWorkbench'
import { useUnits } from '../quantities/units'
import { Panel } from '../shell/Panel'
import table from '../shell/table.module.css'
import { FIGURES } from './figures'
import { type Loads, loadsInput } from './useLoads'

const MOST_TRIALS = 4

const loadAll = (inputs: LoadsInput[], s: { signal: AbortSignal }) =>
  Promise.all(inputs.map((i) => loadLoop(i, s)))

/** As fitted and up to four trials side by side, with the same chain or belt and the same pull. */
export function TrialsPanel({ bench, loads }: { bench: Workbench; loads: Loads }) {
  const units = useUnits()
  const { card, drive } = bench
  const setups = [card.fitted, ...bench.trials.slice(0, MOST_TRIALS)]
  const answer = useComputed(
    'trial-loads',
    setups.length > 1 ? setups.map((s) => loadsInput(card, drive, s, loads.parts)) : undefined,
    loadAll,
  )
  // Answers of an earlier list of trials do not belong to this one's heads.
  if (!answer.data || answer.data.length !== setups.length) return null
  const results = answer.data
  return (
    <Panel title="Trials side by side" isStale={answer.isStale}>
      <div className={table.scroll}>
        <table className={table.table}>
          <thead>
            <tr>
              <th scope="col">
                <span className="visually-hidden">figure</span>
              </th>
              {setups.map((s) => (
                <th scope="col" key={s.id}>
                  {s.status === 'asFitted' ? 'as fitted' : s.name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {FIGURES.map(([name, tell]) => (
              <tr key={name}>
                <th scope="row">{name}</th>
                {results.map((r, i) => (
                  <td key={setups[i]?.id} className="num">
                    {tell(r, units)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </Panel>
  )
}
