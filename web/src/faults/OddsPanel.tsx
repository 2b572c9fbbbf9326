import { useState } from 'react'
import type { FaultDesk, NextTest } from '../api/faults'
import { Panel } from '../shell/Panel'
import table from '../shell/table.module.css'
import { WhyButton } from '../shell/WhyButton'
import classes from './Faults.module.css'
import { ODDS_WORDS } from './words'

const SHOWN = 6
const PERCENT = new Intl.NumberFormat('en', { style: 'percent' })

/** What it can be, most likely first, with what each answer of the test in hand would make of it. */
export function OddsPanel({
  desk,
  next,
  onFound,
  onWorking,
}: {
  desk: FaultDesk
  next: NextTest | null
  /** Somebody decides on one; null where it is found already. */
  onFound: ((causes: string[]) => void) | null
  onWorking: () => void
}) {
  const [isAll, setAll] = useState(false)
  const all = desk.result.odds
  // Many answers leave no room for a column of cures.
  const isWide = (next?.outcomes.length ?? 0) > 2
  const odds = isAll ? all : all.slice(0, SHOWN)
  return (
    <Panel
      title="What it can be"
      note="judgement, common practice; this yard’s own count beside"
      aside={<WhyButton onClick={onWorking} />}
    >
      <div className={table.scroll}>
        <table className={`${table.table} ${classes.odds}`}>
          <thead>
            {next && (
              <tr>
                <td colSpan={2} />
                <th colSpan={next.outcomes.length} scope="colgroup" className={classes.group}>
                  if the answer is
                </th>
                <td />
              </tr>
            )}
            <tr>
              <th scope="col">cause</th>
              <th scope="col" style={{ textAlign: 'left' }}>
                now
              </th>
              {next?.outcomes.map((o) => (
                <th key={o.answer} scope="col" style={{ textAlign: 'left' }}>
                  {o.what}
                </th>
              ))}
              <th scope="col" style={{ textAlign: 'left' }}>
                {isWide ? '' : 'cure'}
              </th>
            </tr>
          </thead>
          <tbody>
            {odds.map((way, at) => {
              const count = desk.counts.find((c) => way.causes.includes(c.cause))
              return (
                <tr key={way.key}>
                  <th scope="row" className={classes.cause}>
                    {way.isStop && <span style={{ color: 'var(--stop)' }}>■ </span>}
                    {way.what}
                    {way.isNormal && ' (no fault: normal)'}
                    <br />
                    <span className="cap">
                      {ODDS_WORDS[way.word]}
                      {count && ` · here: gone in ${count.gone} of ${count.asked}`}
                      {isWide && way.cure && (
                        <>
                          <br />
                          {way.cure}
                        </>
                      )}
                    </span>
                  </th>
                  <td>
                    <span className={classes.bar} style={{ display: 'block' }}>
                      <span style={{ width: `calc(${way.probability} * 100%)` }} />
                    </span>
                    <span className="visually-hidden">{PERCENT.format(way.probability)}</span>
                  </td>
                  {next?.outcomes.map((o) => {
                    const then = o.odds[at]?.word ?? 'unlikely'
                    return (
                      <td key={o.answer} className={classes.then} data-word={then}>
                        {ODDS_WORDS[then]}
                      </td>
                    )
                  })}
                  <td className={classes.cure}>
                    {!isWide && way.cure}
                    {onFound && way.causes.length > 0 && (
                      <>
                        {' '}
                        <button
                          type="button"
                          className={classes.link}
                          aria-label={`It is this: ${way.what}`}
                          onClick={() => onFound([...way.causes])}
                          data-no-print
                        >
                          it is this
                        </button>
                      </>
                    )}
                  </td>
                </tr>
              )
            })}
          </tbody>
        </table>
      </div>
      {all.length > SHOWN && (
        <button type="button" className={classes.link} onClick={() => setAll(!isAll)} data-no-print>
          {isAll ? 'only the likeliest' : `all ${all.length}`}
        </button>
      )}
    </Panel>
  )
}
