import { Button } from '@mantine/core'
import { Link } from 'react-router'
import { type DueItem, useDueList } from '../api/check'
import { sentenceOf } from '../api/issues'
import { useMachines } from '../api/queries'
import { dueText, dueWhy, isOver } from '../job/lookWords'
import { daysFrom, dayText, today } from '../quantities/days'
import { useUnits } from '../quantities/units'
import { EmptyState } from '../shell/EmptyState'
import { PageTitle } from '../shell/PageTitle'
import { Panel } from '../shell/Panel'
import classes from './WeekPage.module.css'

const DAYS = 7

interface Line {
  key: string
  machineId: number
  machine: string
  text: string
  why: string
}

/** What is due on all machines in the next seven days, a sheet to hang up: each with a box to tick. */
export default function WeekPage() {
  const units = useUnits()
  const due = useDueList()
  const machines = useMachines()
  if (due.error && !due.data)
    return <EmptyState title="What is due can’t be read.">{sentenceOf(due.error)}</EmptyState>
  if (!due.data || !machines.data) return <EmptyState title="Opening the week …" />
  const first = today()
  const loopsOf = (id: number) => machines.data.find((c) => c.machine.id === id)?.summary.loops ?? []
  const linesOn = (isThen: (item: DueItem) => boolean, isOrder: (day: string) => boolean): Line[] =>
    due.data.flatMap((m) =>
      m.due.items.flatMap((item) => [
        ...(isThen(item)
          ? [
              {
                key: `${m.machineId} ${item.key}`,
                machineId: m.machineId,
                machine: m.machine,
                text: dueText(item, loopsOf(m.machineId)),
                why: dueWhy(item, units),
              },
            ]
          : []),
        ...(item.order?.orderOn && isOrder(item.order.orderOn)
          ? [
              {
                key: `${m.machineId} ${item.key} order`,
                machineId: m.machineId,
                machine: m.machine,
                text: `order parts for ${item.loopKey}`,
                why: `Delivery takes ${item.order.deliveryDays} days.`,
              },
            ]
          : []),
      ]),
    )
  const days = Array.from({ length: DAYS }, (_, i) => daysFrom(first, i))
  const sheets = [
    {
      title: 'Now, or over',
      lines: linesOn(
        (i) => i.isNow || isOver(i),
        (day) => day < first,
      ),
    },
    ...days.map((day) => ({
      title: `${WEEKDAYS[new Date(`${day}T00:00:00Z`).getUTCDay()]}, ${dayText(day)}`,
      lines: linesOn(
        (i) => !i.isNow && i.expected === day,
        (order) => order === day,
      ),
    })),
  ]
  return (
    <>
      <PageTitle title="The week" note={`what is due from ${dayText(first)} on`}>
        <Button variant="default" onClick={() => window.print()} data-no-print>
          Print it
        </Button>
      </PageTitle>
      <div className={classes.week}>
        {sheets.map(({ title, lines }) => (
          <Panel key={title} title={title}>
            {lines.length === 0 && <p className="cap">Nothing.</p>}
            <ul className={classes.lines}>
              {lines.map((line) => (
                <li key={line.key}>
                  <span className={classes.box} aria-hidden="true" />
                  <span>
                    <Link to={`/machines/${line.machineId}/check`}>{line.machine}</Link> {line.text}
                    <span className="cap">{line.why}</span>
                  </span>
                </li>
              ))}
            </ul>
          </Panel>
        ))}
      </div>
    </>
  )
}

const WEEKDAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday']
