import { useState } from 'react'
import { Link } from 'react-router'
import { DUE_CALENDAR, useDueList } from '../api/check'
import type { MachineCard } from '../api/client'
import classes from '../job/due.module.css'
import { dueText, dueWhen, dueWhy, isOver } from '../job/lookWords'
import { useUnits } from '../quantities/units'
import { Panel } from '../shell/Panel'

const SHOWN = 6

/** What is due on all machines, first things first. */
export default function DueOfYard({ cards }: { cards: MachineCard[] }) {
  const [isAll, setAll] = useState(false)
  const units = useUnits()
  const due = useDueList()
  const items = (due.data ?? [])
    .flatMap((m) => m.due.items.map((item) => ({ machine: m, item })))
    .filter(({ item }) => item.isNow || item.expected !== null || item.atKm !== null)
    .sort((a, b) => order(a.item).localeCompare(order(b.item)))
  if (items.length === 0) return null
  return (
    <Panel title="Due">
      <ul className={classes.due}>
        {items.slice(0, isAll ? items.length : SHOWN).map(({ machine, item }) => (
          <li
            key={`${machine.machineId} ${item.key}`}
            data-now={item.isNow || isOver(item) || undefined}
            data-kind={item.kind}
          >
            <span>
              <Link
                to={`/machines/${machine.machineId}/check${item.loopKey ? `?loops=${encodeURIComponent(item.loopKey)}` : ''}`}
              >
                {machine.machine}
              </Link>{' '}
              {dueText(item, cards.find((c) => c.machine.id === machine.machineId)?.summary.loops ?? [])}
              <span className="cap">{dueWhy(item, units)}</span>
            </span>
            <b className="num">{dueWhen(item, units)}</b>
          </li>
        ))}
      </ul>
      <p className="cap" data-no-print>
        {items.length > SHOWN && (
          <>
            <button type="button" className={classes.link} onClick={() => setAll(!isAll)}>
              {isAll ? 'the first ones' : `all ${items.length}`}
            </button>{' '}
            ·{' '}
          </>
        )}
        <a href={DUE_CALENDAR} download="wendrak-due.ics">
          to the calendar (.ics)
        </a>{' '}
        · <Link to="/week">the week, to print</Link>
      </p>
    </Panel>
  )
}

/** What waits for nothing stands first, then by its day; the core has put those of one machine in order already. */
const order = ({ isNow, expected }: { isNow: boolean; expected: string | null }) =>
  isNow ? '' : (expected ?? '9')
