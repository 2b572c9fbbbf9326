import { useElementSize } from '@mantine/hooks'
import type { RailResult } from '../api/client'
import classes from './RailPicture.module.css'

const PAD = 26
const MOST_HEIGHT = 330

/** All loops of a drive to scale: from the side above, from above below, one under the other. */
export function RailPicture({ rail }: { rail: RailResult }) {
  const { ref, width } = useElementSize()
  const wheels = rail.loops.flatMap((l) => l.path.wheels)
  const placed = rail.shafts.flatMap((s) => (s.centre ? [{ ...s, centre: s.centre }] : []))
  if (wheels.length === 0) return null
  const outside = (key: 'xMm' | 'yMm', sign: 1 | -1) =>
    sign * Math.max(...wheels.map((w) => sign * w.centre[key] + w.outline.outsideRadiusMm))
  const [left, right, low, high] = [
    outside('xMm', -1),
    outside('xMm', 1),
    outside('yMm', -1),
    outside('yMm', 1),
  ]
  const across = placed.flatMap((s) => [s.widths.leftMm, s.widths.leftMm + s.widths.lengthMm])
  const [from, to] = [Math.min(...across), Math.max(...across)]
  const deep = placed.length > 0 ? to - from : 0
  const w = width || 600
  const scale = Math.min((w - 2 * PAD) / (right - left), (MOST_HEIGHT - 4 * PAD) / (high - low + deep))
  const x = (mm: number) => w / 2 + (mm - (left + right) / 2) * scale
  const y = (mm: number) => PAD + (high - mm) * scale
  const top = 2 * PAD + (high - low) * scale
  const z = (mm: number) => top + (mm - from) * scale
  const height = top + deep * scale + PAD
  return (
    <div ref={ref}>
      <svg
        width={w}
        height={height}
        role="img"
        aria-label="All loops of the drive, from the side and from above"
        className={classes.rail}
      >
        {rail.loops.map((l) => (
          <g key={l.loopKey}>
            {l.path.wheels.map((wheel) => (
              <circle
                key={wheel.name}
                cx={x(wheel.centre.xMm)}
                cy={y(wheel.centre.yMm)}
                r={wheel.outline.outsideRadiusMm * scale}
                data-part="wheel"
              />
            ))}
            {l.path.wheels.map((wheel) => (
              <circle
                key={`run ${wheel.name}`}
                cx={x(wheel.centre.xMm)}
                cy={y(wheel.centre.yMm)}
                r={wheel.outline.runRadiusMm * scale}
                data-part="pitch"
              />
            ))}
            {l.path.spans.map((s) => (
              <line
                key={s.from + s.to}
                x1={x(s.start.xMm)}
                y1={y(s.start.yMm)}
                x2={x(s.end.xMm)}
                y2={y(s.end.yMm)}
                data-part="run"
              />
            ))}
          </g>
        ))}
        {placed.map((s) => (
          <g key={s.widths.shaft}>
            <line
              x1={x(s.centre.xMm)}
              x2={x(s.centre.xMm)}
              y1={z(s.widths.leftMm)}
              y2={z(s.widths.leftMm + s.widths.lengthMm)}
              strokeWidth={Math.max(3, s.widths.diameterMm * scale)}
              data-part="shaft"
            />
            <text x={x(s.centre.xMm)} y={height - 8} textAnchor="middle">
              {s.widths.shaft}
            </text>
          </g>
        ))}
        {rail.loops.flatMap((l) => {
          const [front, rear] = [l.path.wheels[0], l.path.wheels.find((wheel) => wheel.name === 'rear')]
          if (!front || !rear || l.frontPlaneMm === null || l.rearPlaneMm === null) return []
          const ends = [
            { wheel: front, plane: l.frontPlaneMm },
            { wheel: rear, plane: l.rearPlaneMm },
          ]
          return (
            <g key={l.loopKey}>
              <line
                x1={x(front.centre.xMm)}
                x2={x(rear.centre.xMm)}
                y1={z(l.frontPlaneMm)}
                y2={z(l.rearPlaneMm)}
                data-part="row"
                data-off={l.isInRow === false || undefined}
              />
              {ends.map(({ wheel, plane }) => (
                <line
                  key={wheel.name}
                  x1={x(wheel.centre.xMm - wheel.outline.outsideRadiusMm)}
                  x2={x(wheel.centre.xMm + wheel.outline.outsideRadiusMm)}
                  y1={z(plane)}
                  y2={z(plane)}
                  data-part="sprocket"
                />
              ))}
            </g>
          )
        })}
        <text x={4} y={12}>
          from the side
        </text>
        {placed.length > 0 && (
          <text x={4} y={top - 6}>
            from above
          </text>
        )}
      </svg>
    </div>
  )
}
