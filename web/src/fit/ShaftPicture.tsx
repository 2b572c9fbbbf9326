import { useElementSize } from '@mantine/hooks'
import type { FilledShaft, ShaftWidths } from '../api/client'
import { plain } from '../quantities/format'
import { useUnits } from '../quantities/units'
import classes from './RailPicture.module.css'

const HEIGHT = 150
const PAD = 22
const MIDDLE = 78
// Drawn heights; along the shaft the picture is to scale, across it is not.
const SHAFT = 9
const SPACER = 17
const HUB = 24
const TEETH = 50

/** A filled shaft cut along its middle, to scale along it. */
export function ShaftPicture({ widths, way }: { widths: ShaftWidths; way: FilledShaft }) {
  const { ref, width } = useElementSize()
  const units = useUnits()
  const w = width || 500
  const scale = (w - 2 * PAD) / widths.lengthMm
  const x = (mm: number) => PAD + mm * scale
  const bar = (from: number, to: number, half: number) => ({
    x: x(from),
    width: Math.max(1, (to - from) * scale),
    y: MIDDLE - half,
    height: 2 * half,
  })
  const pieces = piecesAlong(way)
  return (
    <div ref={ref}>
      <svg
        width={w}
        height={HEIGHT}
        role="img"
        aria-label={`Spacers on the ${widths.shaft}, left to right`}
        className={classes.shaft}
      >
        <rect {...bar(0, widths.lengthMm, SHAFT)} data-part="shaft" />
        <rect x={x(0) - 8} y={MIDDLE - 30} width={8} height={60} data-part="shoulder" />
        <rect x={x(widths.lengthMm)} y={MIDDLE - 30} width={8} height={60} data-part="shoulder" />
        {way.sprockets.map((s) => (
          <g key={s.loopKey + s.side}>
            <rect {...bar(s.leftFaceMm, s.leftFaceMm + s.hubWidthMm, HUB)} data-part="hub" />
            <rect x={x(s.planeMm) - 2.5} y={MIDDLE - TEETH} width={5} height={2 * TEETH} data-part="teeth" />
            <line
              x1={x(s.planeMm - s.errorMm)}
              x2={x(s.planeMm - s.errorMm)}
              y1={MIDDLE - TEETH - 12}
              y2={MIDDLE + TEETH + 6}
              data-part="line"
            />
            <text x={x(s.planeMm - s.errorMm)} y={MIDDLE - TEETH - 15} textAnchor="middle">
              {s.loopKey}
            </text>
          </g>
        ))}
        {pieces.map((p) => (
          <g key={p.from}>
            <rect {...bar(p.from, p.from + p.mm, SPACER)} data-part="spacer" />
            {p.mm * scale > 14 && (
              <text x={x(p.from + p.mm / 2)} y={MIDDLE + 4} textAnchor="middle" data-part="figure">
                {plain(Number(units.toShown('fine', p.mm).toFixed(3)))}
              </text>
            )}
          </g>
        ))}
        <text x={x(0)} y={HEIGHT - 4}>
          left shoulder
        </text>
        <text x={x(widths.lengthMm)} y={HEIGHT - 4} textAnchor="end">
          {units.show('fine', widths.lengthMm)}
        </text>
      </svg>
    </div>
  )
}

/** Every spacer with where it begins, pushed to the left. */
function piecesAlong(way: FilledShaft): { from: number; mm: number }[] {
  const pieces: { from: number; mm: number }[] = []
  let at = 0
  way.gaps.forEach((gap, i) => {
    for (const mm of gap.piecesMm) {
      pieces.push({ from: at, mm })
      at += mm
    }
    at += way.sprockets[i]?.hubWidthMm ?? 0
  })
  return pieces
}
