import { useElementSize } from '@mantine/hooks'
import type { PointLoads } from '../api/client'
import { fixed } from '../quantities/format'
import { useUnits } from '../quantities/units'
import table from '../shell/table.module.css'
import classes from './charts.module.css'

const HEIGHT = 190
const PAD = { left: 52, right: 10, top: 14, bottom: 30 }
const LINES = 4
/** Narrower parts have no room for their name, px. */
const ROOM = 44

/** Tension once round the loop, in running order from where the tight run comes onto the driving wheel. */
export function PullChart({ loads, limitN }: { loads: PointLoads; limitN: number | null }) {
  const units = useUnits()
  const { ref, width } = useElementSize()
  const w = width || 720
  const { curve } = loads
  const length = curve.at(-1)?.atMm.at(-1) ?? 1
  // A round figure of the unit that is shown, whichever it is.
  const top = niceTop(
    units.toShown('force', Math.max(loads.tightN, limitN && limitN < 2 * loads.tightN ? limitN : 0)),
  )
  const most = units.toStored('force', top)
  const x = (mm: number) => PAD.left + (mm / length) * (w - PAD.left - PAD.right)
  const y = (n: number) => HEIGHT - PAD.bottom - (n / most) * (HEIGHT - PAD.top - PAD.bottom)
  const line = curve
    .flatMap((over) => over.atMm.map((mm, i) => `${x(mm)} ${y(over.tensionN[i] ?? 0)}`))
    .join('L')
  const base = HEIGHT - PAD.bottom
  const parts = partsOf(loads)
  return (
    <div ref={ref}>
      <svg width={w} height={HEIGHT} role="img" aria-label="Tension round the loop" className={classes.chart}>
        {Array.from({ length: LINES + 1 }, (_, i) => (top * i) / LINES).map((shown) => {
          const n = units.toStored('force', shown)
          return (
            <g key={shown}>
              <path d={`M${PAD.left} ${y(n)}H${w - PAD.right}`} data-part="grid" />
              <text x={PAD.left - 6} y={y(n) + 4} textAnchor="end">
                {fixed(shown, 0)}
              </text>
            </g>
          )
        })}
        <text x={PAD.left - 6} y={HEIGHT - 6} textAnchor="end">
          {units.unitOf('force')}
        </text>
        <path d={`M${x(0)} ${base}L${line}L${x(length)} ${base}Z`} data-part="area" />
        <path d={`M${line}`} data-part="pull" />
        {limitN !== null && limitN <= most && (
          <>
            <path d={`M${PAD.left} ${y(limitN)}H${w - PAD.right}`} data-part="limit" />
            <text x={w - PAD.right} y={y(limitN) - 4} textAnchor="end" data-part="limit-text">
              where the margin is used up
            </text>
          </>
        )}
        {parts.map((p) => (
          <g key={`${p.name}${p.from}`}>
            <path d={`M${x(p.from)} ${base}v6`} data-part="tick" />
            {x(p.to) - x(p.from) > ROOM && (
              <text x={(x(p.from) + x(p.to)) / 2} y={HEIGHT - 8} textAnchor="middle">
                {p.name}
              </text>
            )}
          </g>
        ))}
      </svg>
      <div className="visually-hidden">
        <table className={table.table}>
          <caption>Tension round the loop</caption>
          <tbody>
            {parts.map((p) => (
              <tr key={`${p.name}${p.from}`}>
                <th scope="row">{p.name}</th>
                <td>{units.show('force', p.first)}</td>
                <td>{units.show('force', p.last)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </div>
  )
}

/** Wheels and runs with where they begin and end. */
const partsOf = ({ curve }: PointLoads) =>
  curve.map(({ part, atMm, tensionN }) => ({
    name: part === 'slack' || part === 'tight' ? `${part} run` : part,
    from: atMm[0] ?? 0,
    to: atMm.at(-1) ?? 0,
    first: tensionN[0] ?? 0,
    last: tensionN.at(-1) ?? 0,
  }))

/** A round figure not under a value, for the top of an axis. */
export function niceTop(value: number): number {
  const magnitude = 10 ** Math.floor(Math.log10(Math.max(value, 1)))
  return ([1, 2, 4, 6, 8, 10].find((step) => step * magnitude >= value) ?? 10) * magnitude
}
