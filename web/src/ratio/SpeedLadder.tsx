import { useElementSize } from '@mantine/hooks'
import type { SetupFigures } from '../api/client'
import type { Workbench } from '../machine/useWorkbench'
import { fixed, gearName } from '../quantities/format'
import { useUnits } from '../quantities/units'
import classes from './SpeedLadder.module.css'

/** A shape and a shade per setup, so that colour is not needed to tell them apart. */
export const SERIES = [
  { fill: 'var(--now)', dash: undefined },
  { fill: 'var(--pick)', dash: undefined },
  { fill: 'var(--band-line)', dash: '6 2' },
  { fill: 'var(--watch)', dash: '2 2' },
  { fill: 'var(--soft)', dash: '1 3' },
]

const TOP = 24
const LEFT = 42
const BAR = 6
const GAP = 7

/** From the lowest to the limit speed of the input, what each gear does: road speed, or output speed without a wheel size. */
export function SpeedLadder({ bench, setups }: { bench: Workbench; setups: SetupFigures[] }) {
  const { ref, width: measured } = useElementSize()
  const units = useUnits()
  const width = Math.max(240, measured)
  const byRoad = setups.every((s) => s.gears.every((g) => g.speedHighKmh !== null))
  const span = (g: SetupFigures['gears'][number]) =>
    byRoad
      ? [units.toShown('speed', g.speedLowKmh ?? 0), units.toShown('speed', g.speedHighKmh ?? 0)]
      : [g.outputLowRpm, g.outputHighRpm]
  const most = Math.max(...setups.flatMap((s) => s.gears.map((g) => span(g)[1] ?? 0))) * 1.05
  const x = (value: number) => LEFT + (value / most) * (width - LEFT - 10)
  const rowHeight = setups.length * (BAR + 2) + GAP
  const height = TOP + bench.gears.length * rowHeight + 18
  const step = niceStep(most, (width - LEFT) / 46)
  const lines = Array.from({ length: Math.floor(most / step) }, (_, i) => (i + 1) * step)
  const aim =
    byRoad && bench.target && 'speedKmh' in bench.target
      ? units.toShown('speed', bench.target.speedKmh)
      : undefined
  const unit = byRoad ? units.unitOf('speed') : 'rpm'
  return (
    <div ref={ref}>
      <svg
        width={width}
        height={height}
        className={classes.ladder}
        role="img"
        aria-label={spoken(setups, span, unit)}
      >
        {lines.map((v) => (
          <g key={v}>
            <path d={`M${x(v)} ${TOP - 8}V${height - 18}`} stroke="var(--line-soft)" />
            <text x={x(v)} y={11} textAnchor="middle">
              {fixed(v, step < 1 ? 1 : 0)}
            </text>
          </g>
        ))}
        <text x={LEFT - 6} y={11} textAnchor="end">
          {unit}
        </text>
        {bench.gears.map((label, g) => {
          const y = TOP + g * rowHeight
          return (
            <g key={label}>
              <text x={2} y={y + (setups.length * (BAR + 2)) / 2 + 3} className={classes.gear}>
                {gearName(label)}
              </text>
              {setups.map((s, i) => {
                const gear = s.gears[g]
                if (!gear) return null
                const [low = 0, high = 0] = span(gear)
                const series = SERIES[i]
                const mid = y + i * (BAR + 2) + BAR / 2
                return (
                  <path
                    // biome-ignore lint/suspicious/noArrayIndexKey: setups keep their order, two may share a name
                    key={i}
                    d={`M${x(low)} ${mid}H${Math.max(x(low) + 2, x(high))}`}
                    stroke={series?.fill}
                    strokeWidth={BAR}
                    strokeDasharray={series?.dash}
                  />
                )
              })}
            </g>
          )
        })}
        {aim !== undefined && aim <= most && (
          <g>
            <path d={`M${x(aim)} ${TOP - 8}V${height - 16}`} stroke="var(--band-line)" strokeWidth="1.5" />
            <text x={Math.min(x(aim), width - 24)} y={height - 4} textAnchor="middle" className={classes.aim}>
              aim {fixed(aim, aim < 10 ? 1 : 0)}
            </text>
          </g>
        )}
      </svg>
    </div>
  )
}

const spoken = (
  setups: SetupFigures[],
  span: (g: SetupFigures['gears'][number]) => (number | undefined)[],
  unit: string,
) =>
  setups
    .map(
      (s) =>
        `${s.name}: ${s.gears
          .map(
            (g) =>
              `${gearName(g.label)} ${span(g)
                .map((v) => fixed(v ?? 0, 1))
                .join(' to ')} ${unit}`,
          )
          .join(', ')}`,
    )
    .join('. ')

function niceStep(most: number, labels: number): number {
  const rough = most / Math.max(1, labels)
  const power = 10 ** Math.floor(Math.log10(rough))
  return ([1, 2, 5, 10].find((m) => m * power >= rough) ?? 10) * power
}
