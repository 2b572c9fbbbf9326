import { useState } from 'react'
import type { FaultDesk } from '../api/faults'
import { plain } from '../quantities/format'
import { Panel } from '../shell/Panel'
import table from '../shell/table.module.css'
import classes from './Faults.module.css'
import { type Fault, whyNotNow } from './useFault'
import { TELLS_WORDS, toolText } from './words'

const SHOWN = 6

/** Tests that are not done yet, what tells most for its minutes first; any of them can be taken in hand. */
export function TestsLeft({ fault, desk }: { fault: Fault; desk: FaultDesk }) {
  const [isAll, setAll] = useState(false)
  const { left, next } = desk.result
  const why = whyNotNow(desk)
  const shown = isAll ? left : left.slice(0, SHOWN)
  return (
    <Panel title="Tests left" isEmpty>
      <table className={`${table.table} ${classes.tests}`}>
        <thead>
          <tr>
            <th scope="col">test</th>
            <th scope="col">min</th>
            <th scope="col">tells</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((test) => (
            <tr key={test.key} data-on={test.key === next?.test.key || undefined}>
              <td>
                <button
                  type="button"
                  className={classes.link}
                  aria-disabled={why !== null}
                  title={why ?? undefined}
                  onClick={() => why === null && fault.want(test.key)}
                >
                  {test.ask}
                </button>
                {!test.canBeDone && (
                  <span className="cap">
                    {' '}
                    not here:{' '}
                    {test.people > desk.people ? `takes ${test.people} people` : `no ${toolText(test.tool)}`}
                  </span>
                )}
              </td>
              <td className="num">{plain(test.minutes)}</td>
              <td>{TELLS_WORDS[test.tells]}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {left.length > SHOWN && (
        <button type="button" className={classes.link} onClick={() => setAll(!isAll)}>
          {isAll ? 'only those that tell most' : `all ${left.length}`}
        </button>
      )}
      {why && <p className="cap">{why} Then any of these can be taken in hand.</p>}
      {desk.toolsUnlisted && (
        <p className="cap">No tools are listed in Stock: all of them are taken to be on hand.</p>
      )}
    </Panel>
  )
}
