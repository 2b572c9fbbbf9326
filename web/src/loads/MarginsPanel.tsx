import type { CheckMends, LoadCheck, LoopLoadsResult } from '../api/client'
import { CHECK_WORDS } from '../loop/checkWords'
import { useUnits } from '../quantities/units'
import { Panel } from '../shell/Panel'
import table from '../shell/table.module.css'
import { WhyButton } from '../shell/WhyButton'
import classes from './MarginsPanel.module.css'
import {
  checkText,
  MISSING_WORDS,
  mendText,
  POINT_WORDS,
  SIDE_WORDS,
  smallestMargin,
  UNJUDGED_WORDS,
  VERDICT_MARKS,
  VERDICT_TONES,
  VERDICT_WORDS,
  worst,
} from './words'

/** Every check beside its limit, the worst first, its verdict, and what would mend it on this machine. */
export function MarginsPanel({
  answer,
  mends,
  isToothed,
  isStale,
  onWorking,
}: {
  answer: LoopLoadsResult
  mends: CheckMends[]
  isToothed: boolean
  isStale: boolean
  onWorking: () => void
}) {
  const units = useUnits()
  return (
    <Panel title="Margins" isStale={isStale} aside={<WhyButton onClick={onWorking} />}>
      <Verdict answer={answer} />
      <div className={table.scroll}>
        <table className={`${table.table} ${classes.margins}`}>
          <thead>
            <tr>
              <th scope="col">what</th>
              <th scope="col">here</th>
              <th scope="col">
                <span aria-hidden="true">limit at the line</span>
                <span className="visually-hidden">bar</span>
              </th>
              <th scope="col">limit</th>
              <th scope="col">
                <span className="visually-hidden">verdict</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {answer.checks.map((c) => (
              <tr key={c.kind + c.point}>
                <th scope="row">
                  {CHECK_WORDS[c.kind]} <span className="cap">{POINT_WORDS[c.point]}</span>
                  <Beside check={c} mends={mends} isToothed={isToothed} />
                </th>
                <td className="num">
                  {c.value === null ? '–' : checkText(c.kind, c.value, units, isToothed)}
                </td>
                <td>{c.value !== null && c.limit !== null && <Bar check={c} />}</td>
                <td className={`num ${classes.limit}`}>
                  {c.limit !== null && (
                    <>
                      <span className="cap">{SIDE_WORDS[c.side]}</span>{' '}
                      <span className={classes.figure}>{checkText(c.kind, c.limit, units, isToothed)}</span>
                    </>
                  )}
                </td>
                <td>
                  {answer.isJudged && (
                    <span className={table.tag} data-tone={VERDICT_TONES[c.verdict]} title={c.source}>
                      {c.verdict === 'advice' && c.kind !== 'oddTeeth'
                        ? 'short bursts only'
                        : VERDICT_WORDS[c.verdict]}
                    </span>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </Panel>
  )
}

/** One plain verdict of all rows, and which of them decides it. */
function Verdict({ answer }: { answer: LoopLoadsResult }) {
  const { verdict } = answer
  if (!answer.isJudged) return null
  const row = worst(answer)
  const least = smallestMargin(answer)
  const isUnsure = answer.isLiftUnsaid && verdict === 'fine'
  const unknown = answer.checks.filter((c) => c.unjudged === 'inputMissing' || c.unjudged === 'tableSilent')
  return (
    <p role="status" className={classes.verdict} data-tone={isUnsure ? undefined : VERDICT_TONES[verdict]}>
      <b>
        {isUnsure
          ? `≈ ${VERDICT_WORDS[verdict]} by its figures`
          : `${VERDICT_MARKS[verdict]} ${VERDICT_WORDS[verdict]}`}
      </b>
      {row && `: ${CHECK_WORDS[row.kind].toLowerCase()}, ${POINT_WORDS[row.point]}`}
      {answer.smallest && least && (
        <>
          {row ? '. Smallest margin ' : ': smallest margin '}
          <span className="num">{least}</span>, {CHECK_WORDS[answer.smallest.kind].toLowerCase()}
        </>
      )}
      {unknown.length > 0 && (
        <span className="cap">
          {' '}
          not known: {[...new Set(unknown.map((c) => CHECK_WORDS[c.kind].toLowerCase()))].join(', ')}
        </span>
      )}
    </p>
  )
}

/** The value over its limit, which stands in the middle: twice the limit fills the bar, more of it goes on past the end. */
function Bar({ check }: { check: LoadCheck }) {
  const share = (check.value ?? 0) / (check.limit || 1)
  return (
    <span className={classes.bar} data-tone={VERDICT_TONES[check.verdict]} data-side={check.side}>
      <i style={{ width: `${Math.max(0, Math.min(1, share / 2)) * 100}%` }} />
      {share > 2 && <em aria-hidden="true">»</em>}
    </span>
  )
}

/** What stands beside a row: what it needs, why it can't be told, or what would mend it. */
function Beside({ check, mends, isToothed }: { check: LoadCheck; mends: CheckMends[]; isToothed: boolean }) {
  const units = useUnits()
  if (check.missing !== null)
    return <div className="cap">needs {MISSING_WORDS[check.missing] ?? check.missing}</div>
  if (check.unjudged !== null && check.unjudged !== 'notDecidedHere')
    return <div className="cap">{UNJUDGED_WORDS[check.unjudged]}</div>
  const found = mends.find((m) => m.kind === check.kind && m.point === check.point)?.mends ?? []
  if (found.length === 0) return null
  return (
    <div className="cap">mends it: {found.map((m) => mendText(m, check, units, isToothed)).join(' · ')}</div>
  )
}
