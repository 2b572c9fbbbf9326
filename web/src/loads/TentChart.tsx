import { useElementSize } from '@mantine/hooks'
import type { PointLoads, RatingTent } from '../api/client'
import { fixed } from '../quantities/format'
import { useUnits } from '../quantities/units'
import classes from './charts.module.css'
import { niceTop } from './PullChart'
import { POINT_WORDS } from './words'

const HEIGHT = 200
const PAD = { left: 44, right: 12, top: 16, bottom: 34 }
const LINES = 4
/** Names nearer than this would lie over each other: the later one stands higher. */
const NAME_PX = 84
const NAME_LINE_PX = 13

/** The rating's two lines over the speed of the small sprocket, and where this drive stands under them. */
export function TentChart({ tent, points }: { tent: RatingTent; points: PointLoads[] }) {
  const units = useUnits()
  const { ref, width } = useElementSize()
  const w = width || 720
  const fastest = Math.max(...tent.rpm, ...points.map((p) => p.smallerRpm))
  const greatestKw = Math.max(...tent.ratedKw, ...points.map((p) => p.point.powerKw))
  const top = niceTop(units.toShown('power', greatestKw))
  const most = units.toStored('power', top)
  const x = (rpm: number) => PAD.left + (rpm / fastest) * (w - PAD.left - PAD.right)
  const y = (kw: number) =>
    HEIGHT - PAD.bottom - (Math.min(kw, most) / most) * (HEIGHT - PAD.top - PAD.bottom)
  const path = (kw: number[]) => `M${tent.rpm.map((rpm, i) => `${x(rpm)} ${y(kw[i] ?? 0)}`).join('L')}`
  const raised = (index: number): number => {
    const near = points.findLastIndex(
      (p, i) => i < index && Math.abs(x(p.smallerRpm) - x(points[index]?.smallerRpm ?? 0)) < NAME_PX,
    )
    return near < 0 ? 0 : raised(near) + NAME_LINE_PX
  }
  return (
    <div ref={ref}>
      <svg
        width={w}
        height={HEIGHT}
        role="img"
        aria-label={`Rated power over the speed of the small sprocket; its top is at ${fixed(tent.crossingRpm, 0)} rpm`}
        className={classes.chart}
      >
        {Array.from({ length: LINES + 1 }, (_, i) => (top * i) / LINES).map((shown) => {
          const kw = units.toStored('power', shown)
          return (
            <g key={shown}>
              <path d={`M${PAD.left} ${y(kw)}H${w - PAD.right}`} data-part="grid" />
              <text x={PAD.left - 6} y={y(kw) + 4} textAnchor="end">
                {fixed(shown, top < LINES ? 2 : 0)}
              </text>
            </g>
          )
        })}
        <path d={path(tent.linkPlateKw)} data-part="line" />
        <path d={path(tent.rollerBushingKw)} data-part="line" />
        <path d={path(tent.ratedKw)} data-part="rated" />
        {points.map((p, i) => (
          <g key={p.point.kind}>
            <circle cx={x(p.smallerRpm)} cy={y(p.point.powerKw)} r={4.5} data-part="point" />
            <text
              x={x(p.smallerRpm)}
              y={y(p.point.powerKw) - 8 - raised(i)}
              textAnchor={x(p.smallerRpm) > w - 90 ? 'end' : x(p.smallerRpm) < 90 ? 'start' : 'middle'}
              data-part="name"
            >
              {POINT_WORDS[p.point.kind]}
            </text>
          </g>
        ))}
        <text x={PAD.left - 6} y={HEIGHT - 8} textAnchor="end">
          {units.unitOf('power')}
        </text>
        <text x={x(tent.crossingRpm)} y={HEIGHT - 8} textAnchor="middle">
          {fixed(tent.crossingRpm, 0)} rpm
        </text>
        <path d={`M${x(tent.crossingRpm)} ${HEIGHT - PAD.bottom}v6`} data-part="tick" />
      </svg>
    </div>
  )
}
