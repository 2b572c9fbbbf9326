import { useElementSize } from '@mantine/hooks'
import { type PointerEvent, useState } from 'react'
import type { SpeedTrace } from '../api/log'
import { fixed } from '../quantities/format'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import fieldRows from '../shell/fields.module.css'
import classes from './TraceChart.module.css'

const HEIGHT = 160
const PAD = { left: 8, right: 8, top: 10, bottom: 20 }
/** A shorter drag is a press: all of it counts again. */
const SHORTEST_DRAG_PX = 4

/** Speed over time; the part that counts is dragged over, or typed below. */
export function TraceChart({
  trace,
  firstS,
  lastS,
  onPart,
}: {
  trace: SpeedTrace
  firstS: number | null
  lastS: number | null
  onPart: (firstS: number | null, lastS: number | null) => void
}) {
  const { ref, width } = useElementSize()
  const units = useUnits()
  const [drag, setDrag] = useState<[number, number]>()
  const w = width || 400
  const top = Math.max(trace.fromKmh, trace.toKmh, ...trace.strokes.map((s) => s.highKmh)) || 1
  const span = trace.durationS || 1
  const x = (s: number) => PAD.left + (s / span) * (w - PAD.left - PAD.right)
  const secondsAt = (px: number) =>
    Math.min(span, Math.max(0, ((px - PAD.left) / (w - PAD.left - PAD.right)) * span))
  const y = (kmh: number) => HEIGHT - PAD.bottom - (kmh / top) * (HEIGHT - PAD.top - PAD.bottom)
  const at = (event: PointerEvent<SVGSVGElement>) =>
    event.clientX - event.currentTarget.getBoundingClientRect().left
  const part = drag
    ? [secondsAt(Math.min(...drag)), secondsAt(Math.max(...drag))]
    : [firstS ?? 0, lastS ?? span]
  const upper = trace.strokes.map((s) => `${x((s.fromS + s.toS) / 2)} ${y(s.highKmh)}`)
  const lower = trace.strokes.map((s) => `${x((s.fromS + s.toS) / 2)} ${y(s.lowKmh)}`).reverse()
  return (
    <>
      <div ref={ref}>
        <svg
          width={w}
          height={HEIGHT}
          role="img"
          className={classes.chart}
          aria-label={`Speed over ${fixed(span, 1)} s, up to ${units.show('speed', top)}; ${trace.runs.length} runs found`}
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId)
            setDrag([at(event), at(event)])
          }}
          onPointerMove={(event) => drag && setDrag([drag[0], at(event)])}
          onPointerUp={() => {
            if (!drag) return
            const isPress = Math.abs(drag[1] - drag[0]) < SHORTEST_DRAG_PX
            setDrag(undefined)
            if (isPress) onPart(null, null)
            else onPart(secondsAt(Math.min(...drag)), secondsAt(Math.max(...drag)))
          }}
        >
          <rect
            data-part="counts"
            x={x(part[0] ?? 0)}
            y={PAD.top}
            width={Math.max(1, x(part[1] ?? span) - x(part[0] ?? 0))}
            height={HEIGHT - PAD.top - PAD.bottom}
          />
          {trace.runs.map((run) => (
            <rect
              key={run.fromS}
              data-part="run"
              x={x(run.fromS)}
              y={PAD.top}
              width={Math.max(2, x(run.toS) - x(run.fromS))}
              height={HEIGHT - PAD.top - PAD.bottom}
            />
          ))}
          {[trace.fromKmh, trace.toKmh].map((kmh) => (
            <path key={kmh} data-part="mark" d={`M${PAD.left} ${y(kmh)}H${w - PAD.right}`} />
          ))}
          <path data-part="speed" d={`M${[...upper, ...lower].join('L')}Z`} />
          <text x={PAD.left} y={HEIGHT - 6}>
            0 s
          </text>
          <text x={w - PAD.right} y={HEIGHT - 6} textAnchor="end">
            {fixed(span, 0)} s
          </text>
          {[trace.fromKmh, trace.toKmh].map((kmh) => (
            <text key={kmh} x={w - PAD.right} y={y(kmh) - 3} textAnchor="end">
              {units.show('speed', kmh)}
            </text>
          ))}
        </svg>
      </div>
      <div className={fieldRows.fields}>
        <QuantityField
          size="sm"
          label="Counts from"
          unit="s"
          placeholder="0"
          value={firstS ?? undefined}
          onChange={(s) => onPart(s ?? null, lastS)}
        />
        <QuantityField
          size="sm"
          label="Counts to"
          unit="s"
          placeholder={fixed(span, 0)}
          value={lastS ?? undefined}
          onChange={(s) => onPart(firstS, s ?? null)}
        />
      </div>
    </>
  )
}
