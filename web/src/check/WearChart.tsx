import { useElementSize } from '@mantine/hooks'
import type { WearAnswer } from '../api/check'
import { fixed } from '../quantities/format'
import { useUnits } from '../quantities/units'
import classes from './WearChart.module.css'

const HEIGHT = 180
const PAD = { left: 40, right: 12, top: 20, bottom: 26 }
/** Room above the limit and behind the last that is drawn, as a part of it. */
const ROOM = 1.12

/** Readings over the odometer, the line through them, and where it meets the limit. The table below says the same. */
export function WearChart({ wear }: { wear: WearAnswer }) {
  const { ref, width } = useElementSize()
  const units = useUnits()
  const { limitPercent, watchPercent, forecast } = wear
  const told = wear.readings.flatMap((r) =>
    r.odometerKm === null
      ? []
      : [{ km: r.odometerKm, percent: r.measured.worstPercent, isOff: r.isOffLine || !r.isCounted }],
  )
  const first = told[0]
  // One reading alone is told by the table.
  if (limitPercent === null || first === undefined || told.length < 2) return null
  const w = width || 400
  const kms = told.map((p) => p.km)
  const late = forecast?.oneReading?.high ?? forecast?.reached ?? null
  const from = Math.min(...kms)
  const span = Math.max(1, (Math.max(...kms, late ?? 0) - from) * ROOM)
  const top = Math.max(limitPercent, ...told.map((p) => p.percent)) * ROOM
  const x = (km: number) => PAD.left + ((km - from) / span) * (w - PAD.left - PAD.right)
  const y = (percent: number) =>
    HEIGHT - PAD.bottom - (Math.max(0, percent) / top) * (HEIGHT - PAD.top - PAD.bottom)
  const clamp = (km: number) => Math.min(from + span, Math.max(from, km))
  const band = forecast?.oneReading
  const line = forecast && forecast.reached !== null && forecast.interceptPercent !== null
  const at = (km: number) =>
    first && forecast?.reached != null && forecast.interceptPercent !== null
      ? forecast.interceptPercent + ((limitPercent - forecast.interceptPercent) * km) / forecast.reached
      : 0
  return (
    <div ref={ref}>
      <svg
        width={w}
        height={HEIGHT}
        role="img"
        className={classes.chart}
        aria-label={`Elongation of the chain over the odometer, ${told.length} readings, limit ${fixed(limitPercent, 2)} %`}
      >
        {band && (
          <rect
            x={x(clamp(band.low))}
            y={PAD.top}
            width={Math.max(2, x(clamp(band.high ?? from + span)) - x(clamp(band.low)))}
            height={HEIGHT - PAD.top - PAD.bottom}
            data-part="band"
          />
        )}
        <path d={`M${PAD.left} ${y(0)}H${w - PAD.right}`} data-part="ground" />
        {watchPercent !== null && (
          <path d={`M${PAD.left} ${y(watchPercent)}H${w - PAD.right}`} data-part="half" />
        )}
        <path d={`M${PAD.left} ${y(limitPercent)}H${w - PAD.right}`} data-part="limit" />
        <text x={PAD.left + 4} y={y(limitPercent) - 4} data-part="limit">
          limit {fixed(limitPercent, 2)} %
        </text>
        {line && (
          <path
            d={`M${x(from)} ${y(at(from))}L${x(clamp(forecast.reached ?? 0))} ${y(at(clamp(forecast.reached ?? 0)))}`}
            data-part="line"
          />
        )}
        {told.map((p) => (
          <circle
            key={`${p.km} ${p.percent}`}
            cx={x(p.km)}
            cy={y(p.percent)}
            r={4}
            data-part={p.isOff ? 'off' : 'point'}
          />
        ))}
        {[from, from + span / 2, from + span].map((km, i) => (
          <text key={km} x={x(km)} y={HEIGHT - 8} textAnchor={i === 0 ? 'start' : i === 1 ? 'middle' : 'end'}>
            {units.show('distance', km)}
          </text>
        ))}
      </svg>
    </div>
  )
}
