import type { Adjuster, RoundResult, SetRound } from '../api/client'
import { readingText } from '../loop/readings'
import { useUnits } from '../quantities/units'
import { Panel } from '../shell/Panel'
import table from '../shell/table.module.css'
import { lockWord, turnedText } from './words'

/** Marks what nobody said. */
const mark = (round: SetRound, part: 'turned' | 'lock') => (round.assumed?.includes(part) ? '*' : '')

/** Every round that was kept, as found first; positive tightens. */
export function RoundsPanel({
  rounds,
  results,
  adjuster: { hasTwoEnds, kind },
  lock,
}: {
  rounds: SetRound[]
  results: RoundResult[]
  adjuster: Pick<Adjuster, 'hasTwoEnds' | 'kind'>
  /** What holds it: “axle nut”. */
  lock: string
}) {
  const units = useUnits()
  if (rounds.length === 0) return null
  const hasGap = rounds.some((r) => r.gapMm != null)
  return (
    <Panel title="Rounds" note={kind === 'sheaveShims' ? '+ raises the belt' : '+ tightens'}>
      <div className={table.scroll}>
        <table className={table.table}>
          <thead>
            <tr>
              <th scope="col">round</th>
              <th scope="col">{hasTwoEnds ? 'left' : 'turned'}</th>
              {hasTwoEnds && <th scope="col">right</th>}
              <th scope="col">loosest</th>
              <th scope="col">tightest</th>
              {hasGap && <th scope="col">gap</th>}
              <th scope="col">{lock}</th>
            </tr>
          </thead>
          <tbody>
            {rounds.map((round, i) => {
              const result = results[i]
              const text = (value: number | null | undefined) =>
                value == null || !result?.method ? '–' : readingText(result.method, value, units)
              return (
                // biome-ignore lint/suspicious/noArrayIndexKey: a round is its number
                <tr key={i}>
                  <th scope="row">{i === 0 ? 'as found' : i}</th>
                  <td className="num">
                    {i === 0 ? '–' : turnedText(round.leftUnits, kind) + mark(round, 'turned')}
                  </td>
                  {hasTwoEnds && (
                    <td className="num">
                      {i === 0 ? '–' : turnedText(round.rightUnits, kind) + mark(round, 'turned')}
                    </td>
                  )}
                  <td className="num">{text(result?.loosestReading)}</td>
                  <td className="num">{text(result?.tightestReading)}</td>
                  {hasGap && (
                    <td className="num">{round.gapMm == null ? '–' : units.show('fine', round.gapMm)}</td>
                  )}
                  <td>
                    <span className={table.tag} data-tone={result?.isInside ? 'ok' : undefined}>
                      {lockWord(round.lock)}
                      {mark(round, 'lock')}
                    </span>
                  </td>
                </tr>
              )
            })}
          </tbody>
        </table>
      </div>
      {rounds.some((r) => r.assumed?.length) && (
        <p className="cap">* assumed as usual; nobody said that it was so</p>
      )}
    </Panel>
  )
}
