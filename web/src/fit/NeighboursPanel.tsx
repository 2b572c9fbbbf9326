import { useEvaluation } from '../api/evaluation'
import { moveText } from '../loop/fitWords'
import type { Fit } from '../loop/useFit'
import type { Workbench } from '../machine/useWorkbench'
import { pairKey } from '../machine/words'
import { fixed, plain, signed } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { Panel } from '../shell/Panel'
import table from '../shell/table.module.css'
import classes from './NeighboursPanel.module.css'
import { PairsForMove } from './PairsForMove'

/** Both sides of an odd change: the pairs around the one in view, with the same chain or belt. */
export default function NeighboursPanel({ bench, fit }: { bench: Workbench; fit: Fit }) {
  const units = useUnits()
  const { data, isStale } = useEvaluation(
    bench.subject,
    'neighbours',
    fit.question && { layout: fit.question.layout },
  )
  const length = fit.choice.links ?? fit.choice.lengthMm
  if (!data || length === null || length === undefined) return null
  const byPair = new Map(data.pairs.map((p) => [pairKey(p.fit), p]))
  const { frontSize, rearSize } = fit.choice
  return (
    <Panel
      title="The pairs around this one"
      note={`with the same ${plain(length)} ${fit.loop.driveElement === 'chain' ? 'links' : fit.choice.links ? 'teeth' : 'mm'}: where the adjuster goes`}
      isStale={isStale}
    >
      <div className={table.scroll}>
        <table className={`${table.table} ${classes.grid}`}>
          <thead>
            <tr>
              <th scope="col">front ╲ rear</th>
              {data.rears.map((rear) => (
                <th key={rear} scope="col" className="num">
                  {plain(rear)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {data.fronts.map((front) => (
              <tr key={front}>
                <th scope="row" className="num">
                  {plain(front)}
                </th>
                {data.rears.map((rear) => {
                  const pair = byPair.get(pairKey({ frontSize: front, rearSize: rear }))
                  if (!pair) return <td key={rear} />
                  const isHere = front === frontSize && rear === rearSize
                  const ratio = signed(pair.ratioChangePercent, 1)
                  return (
                    <td key={rear} data-here={isHere || undefined} data-fits={pair.fit.fits || undefined}>
                      <button
                        type="button"
                        className={`num ${table.pick}`}
                        aria-pressed={isHere}
                        aria-label={`${plain(front)} / ${plain(rear)}, ratio ${ratio} %, ${moveText(pair.fit, units, fit.loop.driveElement)}`}
                        onClick={() =>
                          bench.pick([
                            { loopKey: fit.loop.loopKey, frontSize: front, rearSize: rear, length },
                          ])
                        }
                      >
                        {moveText(pair.fit, units, fit.loop.driveElement)}
                        <span className="cap">
                          {fixed(pair.ratio, 2)} · {ratio} %
                        </span>
                      </button>
                    </td>
                  )
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {fit.loop.driveElement === 'chain' || fit.loop.driveElement === 'toothedBelt' ? (
        <PairsForMove bench={bench} fit={fit} />
      ) : null}
    </Panel>
  )
}
