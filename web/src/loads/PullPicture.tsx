import { useElementSize } from '@mantine/hooks'
import type { LoopPath, PointLoads } from '../api/client'
import { FITTED, viewOf } from '../loop/view'
import { useUnits } from '../quantities/units'
import classes from './PullPicture.module.css'

const HEIGHT = 190
const THICKEST = 7

/** The loop to scale, its runs as thick as they are pulled, and the pull on both shafts. */
export function PullPicture({ path, loads }: { path: LoopPath; loads: PointLoads }) {
  const units = useUnits()
  const { ref, width } = useElementSize()
  const w = width || 330
  const view = viewOf(path, null, w, HEIGHT, FITTED)
  const rear = path.wheels.findIndex((wheel) => wheel.name === 'rear')
  const isReversed = loads.point.isReversed
  const most = loads.tightN || 1
  const circles = path.wheels.map((wheel) => ({
    ...view.toScreen(wheel.centre),
    r: wheel.outline.outsideRadiusMm * view.scale,
  }))
  const isUp = (i: number) => {
    const span = path.spans[i]
    const centre = circles.reduce((sum, c) => sum + c.y, 0) / circles.length
    return span ? (view.toScreen(span.start).y + view.toScreen(span.end).y) / 2 < centre : false
  }
  const isTightUp = isUp(isReversed ? 0 : rear)
  // Over and under everything: a sloping run would go through a text beside its middle.
  const label = (up: boolean, text: string, part: string) => (
    <text
      x={w / 2}
      y={
        up ? Math.min(...circles.map((c) => c.y - c.r)) - 10 : Math.max(...circles.map((c) => c.y + c.r)) + 18
      }
      textAnchor="middle"
      data-part={part}
    >
      {text}
    </text>
  )
  return (
    <div ref={ref}>
      <svg
        width={w}
        height={HEIGHT}
        role="img"
        aria-label="The drive with its tensions"
        className={classes.picture}
      >
        {path.wheels.map((wheel) => {
          const { x, y } = view.toScreen(wheel.centre)
          return (
            <g key={wheel.name}>
              <circle cx={x} cy={y} r={wheel.outline.runRadiusMm * view.scale} data-part="wheel" />
              <circle cx={x} cy={y} r={3} data-part="shaft" />
            </g>
          )
        })}
        {path.spans.map((span, i) => {
          const isTight = i >= rear !== isReversed
          const [a, b] = [view.toScreen(span.start), view.toScreen(span.end)]
          const pull = isTight ? loads.tightN : loads.slackN
          return (
            <path
              key={span.from}
              d={`M${a.x} ${a.y}L${b.x} ${b.y}`}
              data-part={isTight ? 'tight' : 'slack'}
              strokeWidth={Math.max(1.5, (THICKEST * pull) / most)}
            />
          )
        })}
        {label(isTightUp, `tight run ${units.show('force', loads.tightN, 0)}`, 'tight-text')}
        {label(!isTightUp, `slack run ${units.show('force', loads.slackN, 0)}`, 'slack-text')}
      </svg>
    </div>
  )
}
