import { useElementSize } from '@mantine/hooks'
import type { ComparedMeasure, FairComparison, SetupOutcome } from '../api/log'
import { dayText } from '../quantities/days'
import { fixed } from '../quantities/format'
import { MEASURE_UNITS, measured } from './logWords'
import classes from './OutcomeChart.module.css'

const ROW = 46
const PAD = { left: 8, right: 8, top: 8, bottom: 22 }
/** Room beside the outermost values, as a part of what lies between. */
const ROOM = 0.06

/** Every value of both on one scale, with their means; the table behind it says the same. */
export function OutcomeChart({
  comparison: { first, second },
  measure,
}: {
  comparison: FairComparison
  measure: ComparedMeasure
}) {
  const { ref, width } = useElementSize()
  const rows = [first, second].filter((o): o is SetupOutcome => o !== null && o.values.length > 0)
  const values = rows.flatMap((o) => o.values.map((v) => v.value))
  if (values.length < 2) return null
  const w = width || 400
  const [low, high] = [Math.min(...values), Math.max(...values)]
  const room = (high - low || 1) * ROOM
  const x = (value: number) =>
    PAD.left + ((value - low + room) / (high - low + 2 * room)) * (w - PAD.left - PAD.right)
  const height = PAD.top + rows.length * ROW + PAD.bottom
  const decimals = MEASURE_UNITS[measure][1]
  return (
    <div ref={ref}>
      <svg
        width={w}
        height={height}
        role="img"
        className={classes.chart}
        aria-label={`Values of ${rows.map((o) => `${o.name}: ${o.values.length}`).join(', ')}; from ${measured(measure, low)} to ${measured(measure, high)}`}
      >
        {rows.map((o, row) => {
          const y = PAD.top + row * ROW
          return (
            <g key={o.setupId} data-which={o === first ? 'first' : 'second'}>
              <text x={PAD.left} y={y + 10}>
                {o.name}
              </text>
              {o.sample && (
                <>
                  <rect
                    x={x(Math.max(low - room, o.sample.mean - o.sample.sd))}
                    y={y + 16}
                    width={
                      x(Math.min(high + room, o.sample.mean + o.sample.sd)) -
                      x(Math.max(low - room, o.sample.mean - o.sample.sd))
                    }
                    height={20}
                  />
                  <path d={`M${x(o.sample.mean)} ${y + 13}v26`} />
                </>
              )}
              {o.values.map((v) => (
                <circle key={`${v.on} ${v.value} ${v.atKm}`} cx={x(v.value)} cy={y + 26} r={4}>
                  <title>{`${dayText(v.on)}: ${measured(measure, v.value)}`}</title>
                </circle>
              ))}
            </g>
          )
        })}
        <text x={PAD.left} y={height - 6}>
          {measured(measure, low)}
        </text>
        <text x={w - PAD.right} y={height - 6} textAnchor="end">
          {measured(measure, high)}
        </text>
      </svg>
      <table className={classes.behind}>
        <caption>Every value</caption>
        <thead>
          <tr>
            <th scope="col">setup</th>
            <th scope="col">day</th>
            <th scope="col">{MEASURE_UNITS[measure][0]}</th>
          </tr>
        </thead>
        <tbody>
          {rows.flatMap((o) =>
            o.values.map((v) => (
              <tr key={`${o.setupId} ${v.on} ${v.value} ${v.atKm}`}>
                <th scope="row">{o.name}</th>
                <td>{dayText(v.on)}</td>
                <td>{fixed(v.value, decimals)}</td>
              </tr>
            )),
          )}
        </tbody>
      </table>
    </div>
  )
}
