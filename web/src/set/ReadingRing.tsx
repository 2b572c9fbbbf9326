import type { RoundResult, SetAdvice, SetReading } from '../api/client'
import { readingNumber, readingText } from '../loop/readings'
import { useUnits } from '../quantities/units'
import classes from './ReadingRing.module.css'
import { positionWord } from './words'

const SIZE = 270
const MIDDLE = SIZE / 2
const INNER = 40
const OUTER = 112
/** Of a bound's number from its circle. */
const BESIDE = 9

/** Readings round the wheel with the window they should lie in; a position is chosen by a click. */
export function ReadingRing({
  readings,
  positions,
  chosen,
  advice,
  insides,
  last,
  onChoose,
}: {
  readings: SetReading[]
  positions: number
  chosen: number
  advice: SetAdvice | undefined
  /** Whether each reading lies inside, as the core judges it. */
  insides: (boolean | null)[]
  /** The last round that was kept: its figures stand in while nothing is read yet. */
  last: RoundResult | undefined
  onChoose: (position: number) => void
}) {
  const units = useUnits()
  // A hand's grades lie on no scale of an instrument: its window is not drawn round them.
  const isOnScale = readings.length === 0 || readings.some((r) => r.method === advice?.windowMethod)
  const window = isOnScale ? windowOf(advice) : null
  const values = readings.map((r) => r.value)
  const all = [...values, ...(window ?? []), ...(last?.loosestReading != null ? [last.loosestReading] : [])]
  const least = all.length > 0 ? Math.min(...all) : 0
  const most = all.length > 0 ? Math.max(...all) : 1
  const room = Math.max((most - least) * 0.35, most * 0.05, 1e-9)
  const radius = (value: number) =>
    INNER + ((value - least + room) / (most - least + 2 * room)) * (OUTER - INNER)
  const at = (position: number, r: number) => {
    const angle = (2 * Math.PI * position) / positions - Math.PI / 2
    return { x: MIDDLE + r * Math.cos(angle), y: MIDDLE + r * Math.sin(angle) }
  }
  const inOrder = [...readings].sort((a, b) => a.position - b.position)
  return (
    // biome-ignore lint/a11y/useSemanticElements: a fieldset can't be drawn in a picture
    <svg
      viewBox={`0 0 ${SIZE} ${SIZE}`}
      className={classes.ring}
      role="group"
      aria-label="Readings round the wheel"
    >
      {window && (
        <circle
          cx={MIDDLE}
          cy={MIDDLE}
          r={(radius(window[0]) + radius(window[1])) / 2}
          strokeWidth={Math.abs(radius(window[1]) - radius(window[0]))}
          data-part="window"
        />
      )}
      {[INNER, (INNER + OUTER) / 2, OUTER].map((r) => (
        <circle key={r} cx={MIDDLE} cy={MIDDLE} r={r} data-part="grid" />
      ))}
      {window?.map((value, end) => {
        // Inside the smaller and outside the larger one: a thin window keeps both apart.
        const r = (radius(value) + (end === 0 ? -BESIDE : BESIDE)) * Math.SQRT1_2
        const place = { x: MIDDLE + r, y: MIDDLE + r }
        return (
          <text key={value} x={place.x} y={place.y + 4} textAnchor="middle" data-part="bound">
            {readingNumber(advice?.windowMethod ?? null, value, units)}
          </text>
        )
      })}
      {inOrder.length > 1 && (
        <path
          d={`M${inOrder
            .map((r) => at(r.position, radius(r.value)))
            .map((p) => `${p.x} ${p.y}`)
            .join('L')}${inOrder.length === positions ? 'Z' : ''}`}
          data-part="line"
        />
      )}
      {Array.from({ length: positions }, (_, position) => {
        const reading = readings.find((r) => r.position === position)
        const place = at(position, reading ? radius(reading.value) : OUTER)
        const edge = at(position, OUTER + 14)
        const inside = reading ? (insides[readings.indexOf(reading)] ?? undefined) : undefined
        const text = reading ? readingText(reading.method, reading.value, units) : 'not read'
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: a position of the wheel is its number
          <g key={position}>
            <text x={edge.x} y={edge.y + 4} textAnchor="middle" data-part="name">
              {positions === 4 ? ['0', '¼', '½', '¾'][position] : position + 1}
            </text>
            {/* biome-ignore lint/a11y/useSemanticElements: a button can't be drawn in a picture */}
            <g
              role="button"
              tabIndex={0}
              aria-label={`${positionWord(position, positions)}: ${text}${inside === undefined ? '' : inside ? ', inside' : ', outside'}`}
              aria-pressed={chosen === position}
              onClick={() => onChoose(position)}
              onKeyDown={(event) => {
                if (event.key === 'Enter' || event.key === ' ') {
                  event.preventDefault()
                  onChoose(position)
                }
              }}
              data-part="reading"
              data-inside={inside}
              data-chosen={chosen === position || undefined}
            >
              <circle cx={place.x} cy={place.y} r={17} />
              <text x={place.x} y={place.y + 4} textAnchor="middle">
                {reading ? readingNumber(reading.method, reading.value, units) : '·'}
              </text>
            </g>
          </g>
        )
      })}
    </svg>
  )
}

/** Ends of the window in the method's readings, the smaller first; null where there is none. */
export function windowOf(advice: SetAdvice | undefined): [number, number] | null {
  const { windowLooseReading: loose, windowTightReading: tight } = advice ?? {}
  return loose == null || tight == null ? null : [Math.min(loose, tight), Math.max(loose, tight)]
}
