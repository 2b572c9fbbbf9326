import type { ClearanceFigure, LoopFitResult } from '../api/client'
import { clearanceText, jamText } from '../loop/fitWords'
import { useUnits } from '../quantities/units'
import { Panel } from '../shell/Panel'
import table from '../shell/table.module.css'

const TONES: Record<ClearanceFigure['state'], string> = {
  clear: 'ok',
  near: 'watch',
  rubsWhenSlack: 'watch',
  rubsWhenMoved: 'watch',
  rubs: 'stop',
}

/** What the loop must clear, and which part of it comes nearest. */
export function ClearancePanel({ answer, isStale }: { answer: LoopFitResult; isStale: boolean }) {
  const units = useUnits()
  if (answer.clearances.length === 0) return null
  const gap = (mm: number) => units.show('fine', mm, units.system === 'inch' ? 2 : 1)
  const jams = answer.clearances.flatMap((c) =>
    c.chainJamClearance && !c.chainJamClearance.isOpen ? [{ name: c.name, ...c.chainJamClearance }] : [],
  )
  return (
    <Panel title="Clearances" isStale={isStale}>
      <div className={table.scroll}>
        <table className={table.table}>
          <thead>
            <tr>
              <th scope="col">to</th>
              <th scope="col">gap</th>
              <th scope="col">at worst</th>
              <th scope="col">
                <span className="visually-hidden">verdict</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {answer.clearances.map((c) => (
              <tr key={c.name}>
                <th scope="row" style={{ whiteSpace: 'normal' }}>
                  {c.name} <span className="cap">{c.part}</span>
                </th>
                <td className="num">{gap(c.gapMm)}</td>
                <td className="num">{gap(c.worstGapMm)}</td>
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
      {jams.map((j) => (
        <p key={j.name} style={{ color: 'var(--watch)', marginTop: 6 }}>
          ▲ {jamText(j, units)}
        </p>
      ))}
      {jams.length === 0 && answer.clearances.some((c) => c.chainJamClearance) && (
        <p className="cap" style={{ marginTop: 6 }}>
          A chain that comes off can clear itself everywhere.
        </p>
      )}
    </Panel>
  )
}
