import type { ClearanceFigure, LoopFitResult } from '../api/client'
import { useUnits } from '../quantities/units'
import { Panel } from '../shell/Panel'
import table from '../shell/table.module.css'
import { clearanceText } from './words'

const TONES: Record<ClearanceFigure['state'], string> = {
  clear: 'ok',
  near: 'watch',
  rubsWhenSlack: 'watch',
  rubs: 'stop',
}

/** What the loop must clear, and which part of it comes nearest. */
export function ClearancePanel({ answer, isStale }: { answer: LoopFitResult; isStale: boolean }) {
  const units = useUnits()
  if (answer.clearances.length === 0) return null
  return (
    <Panel title="Clearances" isStale={isStale}>
      <div className={table.scroll}>
        <table className={table.table}>
          <thead>
            <tr>
              <th scope="col">to</th>
              <th scope="col">gap</th>
              <th scope="col">
                <span className="visually-hidden">verdict</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {answer.clearances.map((c) => (
              <tr key={c.name}>
                <th scope="row">
                  {c.name} <span className="cap">{c.part}</span>
                </th>
                <td className="num">{units.show('fine', c.gapMm, units.system === 'inch' ? 2 : 1)}</td>
                <td>
                  <span className={table.tag} data-tone={TONES[c.state]}>
                    {clearanceText(c, units)}
                  </span>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </Panel>
  )
}
