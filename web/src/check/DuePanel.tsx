import { useState } from 'react'
import { Link } from 'react-router'
import { DUE_CALENDAR, type DueItem } from '../api/check'
import classes from '../job/due.module.css'
import { dueText, dueWhen, dueWhy, isOver } from '../job/lookWords'
import type { Workbench } from '../machine/useWorkbench'
import { dayText } from '../quantities/days'
import { figure } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { Panel } from '../shell/Panel'
import { WorkingDialog } from '../shell/WorkingDialog'
import type { Look } from './useLook'

/** What is due on the machine, and why: by distance, by a day, or because something happened. */
export function DuePanel({ bench, look }: { bench: Workbench; look: Look }) {
  const [isWorking, setWorking] = useState(false)
  const units = useUnits()
  const { data, isStale } = look.due
  if (!data) return null
  const { items, usual, usualHours } = data
  const withoutDay = items.filter((i) => i.expected === null && !i.isNow).length
  return (
    <Panel title="Due" isStale={isStale}>
      <ul className={classes.due}>
        {items.map((item) => (
          <li key={item.key} data-now={item.isNow || isOver(item) || undefined} data-kind={item.kind}>
            <span>
              <Where item={item} look={look} text={dueText(item, bench.card.summary.loops)} />
              <span className="cap">{dueWhy(item, units)}</span>
            </span>
            <b className="num">{dueWhen(item, units)}</b>
          </li>
        ))}
      </ul>
      {items.length === 0 && <p className="cap">Nothing is due.</p>}
      <p className="cap">
        {usual ? (
          <>
            It goes {units.show('distance', usual.kmPerWeek)} a week, by its odometer from{' '}
            {dayText(usual.from.on)} to {dayText(usual.to.on)}.{' '}
            <button type="button" className={classes.link} onClick={() => setWorking(true)} data-no-print>
              working
            </button>
          </>
        ) : (
          'Say what the odometer shows when it comes in, twice, two weeks apart: then a distance has a day.'
        )}
        {usualHours &&
          ` It runs ${figure(usualHours.hoursPerWeek, 3)} h a week, by its hour counter from ${dayText(usualHours.from.on)} to ${dayText(usualHours.to.on)}.`}
      </p>
      <p className="cap" data-no-print>
        <a href={DUE_CALENDAR} download="wendrak-due.ics">
          All machines to the calendar (.ics)
        </a>
        {withoutDay > 0 && `; ${withoutDay} here without a day ${withoutDay === 1 ? 'is' : 'are'} not in it`}
      </p>
      {isWorking && usual && (
        <WorkingDialog
          title="Working: usual distance"
          workings={usualHours ? [usual.working, usualHours.working] : [usual.working]}
          onClose={() => setWorking(false)}
        />
      )}
    </Panel>
  )
}

/** What is seen to here is taken in hand here; the rest has its own station. */
function Where({ item, look, text }: { item: DueItem; look: Look; text: string }) {
  const [part] = item.parts
  if (item.task) return <Link to={`../${item.task.station.toLowerCase()}`}>{text}</Link>
  if (item.kind === 'reading') return <Link to="../set">{text}</Link>
  if (part !== undefined && look.parts.some((p) => p.part === part) && item.loopKey === look.loop?.loopKey)
    return (
      <button type="button" className={classes.link} onClick={() => look.choose(part)}>
        {text}
      </button>
    )
  return <>{text}</>
}
