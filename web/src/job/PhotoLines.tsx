import { type KeyboardEvent, type PointerEvent, useRef } from 'react'
import type { JobPhoto, PhotoLine } from '../api/client'
import { photoAddress } from '../api/photos'
import classes from './PhotoDialog.module.css'
import { photoText } from './words'

export type Ends = PhotoLine['line']

/** Where a line begins that is placed by keys: a third of the picture, in its middle. */
export const inTheMiddle = ({ widthPx, heightPx }: JobPhoto): Ends => ({
  x1: widthPx / 3,
  y1: heightPx / 2,
  x2: (widthPx * 2) / 3,
  y2: heightPx / 2,
})

const ENDS = [
  ['x1', 'y1', 'Beginning of the line'],
  ['x2', 'y2', 'End of the line'],
] as const

/** A photo with the lines that are drawn on it, and the one that is being drawn. */
export function PhotoLines({
  photo,
  draft,
  onDraft,
}: {
  photo: JobPhoto
  draft: Ends | null
  /** Undefined where nothing is drawn. */
  onDraft?: ((ends: Ends) => void) | undefined
}) {
  const picture = useRef<SVGSVGElement>(null)
  const held = useRef<(typeof ENDS)[number] | null>(null)
  const { widthPx, heightPx } = photo
  const bounded = (value: number, most: number) => Math.min(most, Math.max(0, Math.round(value)))
  const at = ({ clientX, clientY }: PointerEvent) => {
    const box = picture.current?.getBoundingClientRect()
    if (!box) return { x: 0, y: 0 }
    return {
      x: bounded(((clientX - box.left) / box.width) * widthPx, widthPx),
      y: bounded(((clientY - box.top) / box.height) * heightPx, heightPx),
    }
  }
  const begin = (event: PointerEvent<SVGSVGElement>) => {
    if (!onDraft || !draft) return
    event.currentTarget.setPointerCapture(event.pointerId)
    const { x, y } = at(event)
    const away = (end: (typeof ENDS)[number]) => Math.hypot(draft[end[0]] - x, draft[end[1]] - y)
    held.current = away(ENDS[0]) < away(ENDS[1]) ? ENDS[0] : ENDS[1]
    move(event)
  }
  const move = (event: PointerEvent) => {
    const end = held.current
    if (!end || !draft) return
    const { x, y } = at(event)
    onDraft?.({ ...draft, [end[0]]: x, [end[1]]: y })
  }
  const step =
    ([x, y]: (typeof ENDS)[number]) =>
    (event: KeyboardEvent) => {
      const by = widthPx / (event.shiftKey ? 20 : 200)
      const way = { ArrowLeft: [-by, 0], ArrowRight: [by, 0], ArrowUp: [0, -by], ArrowDown: [0, by] }[
        event.key
      ]
      if (!way || !draft) return
      event.preventDefault()
      onDraft?.({
        ...draft,
        [x]: bounded(draft[x] + (way[0] ?? 0), widthPx),
        [y]: bounded(draft[y] + (way[1] ?? 0), heightPx),
      })
    }
  const thick = widthPx / 300
  return (
    // biome-ignore lint/a11y/useSemanticElements: a drawing has no element for its parts together
    <svg
      ref={picture}
      className={classes.picture}
      data-drawing={draft !== null || undefined}
      viewBox={`0 0 ${widthPx} ${heightPx}`}
      role="group"
      aria-label={photoText(photo)}
      onPointerDown={begin}
      onPointerMove={move}
      onPointerUp={() => {
        held.current = null
      }}
    >
      <image href={photoAddress(photo.hash)} width={widthPx} height={heightPx} />
      {photo.lines.map(({ entry, line, knownMm }, i) => (
        <g key={entry} className={classes.line} data-known={knownMm !== null || undefined}>
          <path d={pathOf(line)} strokeWidth={thick * 2.2} className={classes.under} />
          <path d={pathOf(line)} strokeWidth={thick} />
          <text
            x={(line.x1 + line.x2) / 2 + thick * 3}
            y={(line.y1 + line.y2) / 2}
            fontSize={widthPx / 30}
            strokeWidth={thick}
          >
            {i + 1}
          </text>
        </g>
      ))}
      {draft && (
        <g className={classes.line} data-draft>
          <path d={pathOf(draft)} strokeWidth={thick * 2.2} className={classes.under} />
          <path d={pathOf(draft)} strokeWidth={thick} />
          {ENDS.map((end) => (
            <circle
              key={end[2]}
              cx={draft[end[0]]}
              cy={draft[end[1]]}
              r={widthPx / 60}
              strokeWidth={thick}
              tabIndex={0}
              role="slider"
              aria-label={end[2]}
              aria-valuemin={0}
              aria-valuemax={widthPx}
              aria-valuenow={Math.round(draft[end[0]])}
              aria-valuetext={`${Math.round(draft[end[0]])} right, ${Math.round(draft[end[1]])} down`}
              onKeyDown={step(end)}
            />
          ))}
        </g>
      )}
    </svg>
  )
}

const pathOf = ({ x1, y1, x2, y2 }: Ends) => `M${x1} ${y1}L${x2} ${y2}`
