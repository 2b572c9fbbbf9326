import type { CheckMends, LoadCheck } from '../api/client'
import { useUnits } from '../quantities/units'
import { Panel } from '../shell/Panel'
import table from '../shell/table.module.css'
import { WhyButton } from '../shell/WhyButton'
import classes from './MarginsPanel.module.css'
import { CHECK_WORDS, checkText, MISSING_WORDS, mendText, POINT_WORDS, VERDICT_WORDS } from './words'

const TONES: Record<LoadCheck['verdict'], string | undefined> = {
  fine: 'ok',
  watch: 'watch',
  stop: 'stop',
  notApplicable: undefined,
}

/** Every check with how much of its limit is used, its verdict, and what would mend it. */
export function MarginsPanel({
  checks,
  mends,
  isToothed,
  isJudged,
  isStale,
  onWorking,
}: {
  checks: LoadCheck[]
  mends: CheckMends[]
  isToothed: boolean
  /** False where this tool must not decide: figures stay, verdicts do not. */
  isJudged: boolean
  isStale: boolean
  onWorking: () => void
}) {
  const units = useUnits()
  return (
    <Panel title="Margins" isStale={isStale} aside={<WhyButton onClick={onWorking} />}>
      <div className={table.scroll}>
        <table className={`${table.table} ${classes.margins}`}>
          <thead>
            <tr>
              <th scope="col">what</th>
              <th scope="col">here</th>
              <th scope="col">how much of the limit is used</th>
              <th scope="col">limit</th>
              <th scope="col">
                <span className="visually-hidden">verdict</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {checks.map((c) => (
              <tr key={c.kind + c.point}>
                <th scope="row">
                  {CHECK_WORDS[c.kind]} <span className="cap">{POINT_WORDS[c.point]}</span>
                  <Mends check={c} mends={mends} isToothed={isToothed} />
                </th>
                <td className="num">
                  {c.value === null ? '–' : checkText(c.kind, c.value, units, isToothed)}
                </td>
                <td>{c.margin !== null && <Used margin={c.margin} tone={TONES[c.verdict]} />}</td>
                <td className="num">
                  {c.limit === null ? '' : checkText(c.kind, c.limit, units, isToothed)}
                </td>
                <td>
                  {isJudged && (
                    <span className={table.tag} data-tone={TONES[c.verdict]} title={c.source}>
                      {VERDICT_WORDS[c.verdict]}
                      {c.isAdvisory &&
                        c.verdict !== 'fine' &&
                        ` · ${c.kind === 'oddTeeth' ? 'advice' : 'bursts only'}`}
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

function Used({ margin, tone }: { margin: number; tone: string | undefined }) {
  const percent = Math.min(100, 100 / margin)
  return (
    <span className={classes.bar} data-tone={tone}>
      <i style={{ width: `${percent}%` }} />
    </span>
  )
}

function Mends({ check, mends, isToothed }: { check: LoadCheck; mends: CheckMends[]; isToothed: boolean }) {
  const units = useUnits()
  if (check.missing !== null)
    return <div className="cap">needs {MISSING_WORDS[check.missing] ?? check.missing}</div>
  const found = mends.find((m) => m.kind === check.kind && m.point === check.point)?.mends ?? []
  if (found.length === 0) return null
  return (
    <div className="cap">mends it: {found.map((m) => mendText(m, check, units, isToothed)).join(' · ')}</div>
  )
}
