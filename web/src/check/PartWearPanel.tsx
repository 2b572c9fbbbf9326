import { Link } from 'react-router'
import type { PartWear } from '../api/check'
import { useEvaluation } from '../api/evaluation'
import { PART_WORDS } from '../job/lookWords'
import type { Workbench } from '../machine/useWorkbench'
import { dayText } from '../quantities/days'
import { figure } from '../quantities/format'
import { type Units, useUnits } from '../quantities/units'
import { Panel } from '../shell/Panel'
import table from '../shell/table.module.css'
import { rangeText } from './wearWords'

/** What else of the loop is measured at its looks: how it wears, and when it is at its limit. */
export function PartWearPanel({ bench }: { bench: Workbench }) {
  const wear = useEvaluation(bench.asFitted, 'wear', {})
  const units = useUnits()
  const parts = wear.data?.parts.filter((p) => p.measures.length > 0) ?? []
  if (parts.length === 0) return null
  return (
    <Panel title="Measured at looks" note="numbers with what they were read with" isStale={wear.isStale}>
      {parts.map((part) => (
        <div key={part.part}>
          <h3 style={{ margin: '8px 0 2px', fontSize: 14 }}>{PART_WORDS[part.part]}</h3>
          <p style={{ margin: 0, ...(part.isAtLimit && { color: 'var(--stop)' }) }}>{saysOf(part, units)}</p>
          <div className={table.scroll}>
            <table className={table.table}>
              <thead>
                <tr>
                  <th scope="col">day</th>
                  <th scope="col">odometer</th>
                  <th scope="col">{part.unit}</th>
                  <th scope="col" className={table.words}>
                    read with
                  </th>
                </tr>
              </thead>
              <tbody>
                {part.measures.map((m) => (
                  <tr key={`${m.jobId} ${m.on} ${m.value}`}>
                    <th scope="row">
                      <Link to={`../jobs/${m.jobId}`}>{dayText(m.on)}</Link>
                    </th>
                    <td className="num">
                      {m.odometerKm === null ? 'not said' : units.show('distance', m.odometerKm)}
                    </td>
                    <td className="num">
                      {figure(m.value, 3)}
                      {m.isOffLine && ' ▲ off the line'}
                    </td>
                    <td className={table.words}>{m.method}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </div>
      ))}
    </Panel>
  )
}

function saysOf({ limit, isMakers, unit, isAtLimit, forecast, earliest, reached }: PartWear, units: Units) {
  if (limit === null) return 'No limit is known in this unit: type its maker’s with the next measure.'
  const whose = `limit ${figure(limit, 3)} ${unit}, ${isMakers ? 'its maker’s' : 'common practice; a maker’s wins'}`
  if (isAtLimit) return `■ At its limit: it is to be replaced (${whose}).`
  if (forecast?.trend !== 'rising' || !forecast.oneReading || forecast.reached === null)
    return `${whose}. ${
      forecast === null
        ? 'No line can be told of these: measure again after it has run, and say what the odometer shows.'
        : forecast.trend === 'none'
          ? 'No wear is to be seen yet.'
          : 'Three measures with their distance tell a line.'
    }`
  return [
    `${whose}.`,
    `At it by the line at ${units.show('distance', forecast.reached)}${reached === null ? '' : `, about ${dayText(reached)}`};`,
    forecast.meanLine
      ? `the true line crosses it, nine times of ten, from ${rangeText(forecast.meanLine, units)};`
      : '',
    `one more measure may show it from ${rangeText(forecast.oneReading, units)}${earliest === null ? '' : `, from ${dayText(earliest)}`}.`,
  ]
    .filter(Boolean)
    .join(' ')
}
