import { useElementSize } from '@mantine/hooks'
import type { InspectedPlace, PartToLookAt } from '../api/check'
import type { LoopFitResult, Point } from '../api/client'
import { GRADE_COLOURS, GRADE_MARKS, GRADE_WORDS } from '../loop/findingWords'
import { DrawnWheel, Runs } from '../loop/LoopParts'
import { useFit } from '../loop/useFit'
import { FITTED, type View, viewOf } from '../loop/view'
import { isToothed } from '../machine/driveElements'
import type { Workbench } from '../machine/useWorkbench'
import classes from './LookDrawing.module.css'
import { gradeNow, type Look, NOWHERE } from './useLook'

const HEIGHT = 270
/** From the edge of the picture to the middle of a mark. */
const EDGE = 16
const SLOT = 30

/** The drive to scale: a place is pressed, a wheel at its tooth, a run where it is. */
export function LookDrawing({ bench, look }: { bench: Workbench; look: Look }) {
  const { ref, width } = useElementSize()
  const fit = useFit(bench)
  const { loop } = look
  if (!loop || !fit) return null
  const drawn = fit.answer.data
  if (!fit.layout || !drawn)
    return (
      <p className="cap">
        Drawn once it is laid out at Fit. The places stand in the list below, in the order of the hand.
      </p>
    )
  const view = viewOf(drawn.path, fit.layout.moving?.track ?? null, width || 480, HEIGHT, FITTED)
  const teethOf = (wheel: string) =>
    !isToothed(loop.driveElement)
      ? null
      : wheel === 'front'
        ? fit.choice.frontSize
        : wheel === 'rear'
          ? fit.choice.rearSize
          : null
  return (
    <div className={classes.frame} ref={ref} data-no-print>
      <svg
        width={width || 480}
        height={HEIGHT}
        role="img"
        aria-label="Side view of the drive with its places"
      >
        {drawn.path.wheels.map((w) => (
          <DrawnWheel
            key={w.name}
            wheel={w}
            teeth={teethOf(w.name)}
            isChain={loop.driveElement === 'chain'}
            view={view}
          />
        ))}
        <Runs fit={drawn} layout={fit.layout} view={view} />
        <PressedRuns fit={drawn} view={view} look={look} />
        {drawn.path.wheels
          .filter((w) => w.name === 'front' || w.name === 'rear')
          .map((w) => (
            <PressedWheel
              key={w.name}
              at={view.toScreen(w.centre)}
              r={w.outline.outsideRadiusMm * view.scale}
              teeth={teethOf(w.name)}
              onPress={(tooth) => pressWheel(look, w.name === 'front' ? 'frontWheel' : 'rearWheel', tooth)}
            />
          ))}
        <MarkedTeeth fit={drawn} view={view} look={look} teethOf={teethOf} />
      </svg>
      {placed(look.parts, drawn, view, width || 480).map(({ part, at }) => (
        <PlaceMark key={part.part} look={look} part={part} at={at} />
      ))}
    </div>
  )
}

/** A tooth of a wheel that was pressed twice, apart, is a range of teeth. */
function pressWheel(look: Look, place: InspectedPlace, tooth: number | null) {
  const part = look.parts.find((p) => p.place === place)
  if (!part) return
  const { fromTooth } = look.spot
  const isRange = look.at?.part === part.part && fromTooth !== null && tooth !== null && tooth !== fromTooth
  look.choose(
    part.part,
    isRange
      ? { ...NOWHERE, fromTooth: Math.min(fromTooth, tooth), toTooth: Math.max(fromTooth, tooth) }
      : { ...NOWHERE, fromTooth: tooth },
  )
}

/** One part at its place, with how it is. */
function PlaceMark({ look, part, at }: { look: Look; part: PartToLookAt; at: { x: number; y: number } }) {
  const seen = gradeNow(part, look.job)
  const number = look.parts.indexOf(part) + 1
  const isOld = seen !== undefined && seen.jobId !== look.job?.id
  return (
    <button
      type="button"
      className={classes.mark}
      style={{ left: at.x, top: at.y, ...(seen && { color: GRADE_COLOURS[seen.grade] }) }}
      data-grade={seen?.grade}
      data-old={isOld || undefined}
      aria-pressed={look.at?.part === part.part}
      aria-label={`${number} ${part.what}${seen ? `, ${GRADE_WORDS[seen.grade]}${isOld ? ' last time' : ''}` : ''}`}
      title={part.what}
      onClick={() => look.choose(part.part)}
    >
      {number}
      {seen && seen.grade !== 'fine' && <i aria-hidden="true">{GRADE_MARKS[seen.grade]}</i>}
    </button>
  )
}

/** The rim of a wheel: where it is pressed tells the tooth, counted from the mark on top as it runs. */
function PressedWheel({
  at,
  r,
  teeth,
  onPress,
}: {
  at: { x: number; y: number }
  r: number
  teeth: number | null
  onPress: (tooth: number | null) => void
}) {
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the same place is a button beside it, and its teeth are fields
    <circle
      cx={at.x}
      cy={at.y}
      r={r + 4}
      className={classes.pressed}
      onClick={(event) => {
        const box = event.currentTarget.getBoundingClientRect()
        const [dx, dy] = [event.clientX - box.left - box.width / 2, event.clientY - box.top - box.height / 2]
        const turn = (Math.atan2(dx, -dy) / (2 * Math.PI) + 1) % 1
        onPress(teeth === null ? null : Math.floor(turn * teeth) + 1)
      }}
    />
  )
}

/** Teeth in hand, on their wheel. */
function MarkedTeeth({
  fit,
  view,
  look,
  teethOf,
}: {
  fit: LoopFitResult
  view: View
  look: Look
  teethOf: (wheel: string) => number | null
}) {
  const { fromTooth, toTooth } = look.spot
  const name = look.at?.place === 'frontWheel' ? 'front' : look.at?.place === 'rearWheel' ? 'rear' : null
  const wheel = fit.path.wheels.find((w) => w.name === name)
  const teeth = name && teethOf(name)
  if (!wheel || !teeth || fromTooth === null) return null
  const { x, y } = view.toScreen(wheel.centre)
  const r = wheel.outline.outsideRadiusMm * view.scale + 5
  const at = (tooth: number) => {
    const turn = (2 * Math.PI * tooth) / teeth
    return `${x + r * Math.sin(turn)} ${y - r * Math.cos(turn)}`
  }
  const last = toTooth ?? fromTooth
  const isLong = (last - fromTooth + 1) * 2 > teeth
  return (
    <path className={classes.teeth} d={`M${at(fromTooth - 1)}A${r} ${r} 0 ${isLong ? 1 : 0} 1 ${at(last)}`} />
  )
}

/** Both runs, wide enough for a thumb. */
function PressedRuns({ fit, view, look }: { fit: LoopFitResult; view: View; look: Look }) {
  const rear = fit.path.wheels.findIndex((w) => w.name === 'rear')
  const first = look.parts.find((p) => p.place === 'loop')
  const onRun = look.at?.place === 'loop' || look.at?.place === 'joint' ? look.at : first
  return (
    <g>
      {fit.path.spans.map((s, i) => {
        const [a, b] = [view.toScreen(s.start), view.toScreen(s.end)]
        const run = i >= rear ? 'tight' : 'slack'
        return (
          // biome-ignore lint/a11y/noStaticElementInteractions: the same parts are buttons beside it
          <path
            key={s.from}
            d={`M${a.x} ${a.y}L${b.x} ${b.y}`}
            className={classes.run}
            data-chosen={(look.spot.run === run && look.at?.part === onRun?.part) || undefined}
            onClick={() => onRun && look.choose(onRun.part, { ...NOWHERE, run })}
          />
        )
      })}
    </g>
  )
}

/** Each part beside its place: those at one place in a row. */
function placed(parts: PartToLookAt[], fit: LoopFitResult, view: View, width: number) {
  const wheel = (name: string) => fit.path.wheels.find((w) => w.name === name)
  const [front, rear] = [wheel('front'), wheel('rear')]
  if (!front || !rear) return []
  const screen = (p: Point) => view.toScreen(p)
  const [f, r] = [screen(front.centre), screen(rear.centre)]
  const [fr, rr] = [front, rear].map((w) => w.outline.outsideRadiusMm * view.scale) as [number, number]
  const toFront = Math.sign(f.x - r.x) || 1
  const spans = fit.path.spans
  const split = fit.path.wheels.indexOf(rear)
  const upper = [spans[0], spans[split]]
    .filter((s) => s !== undefined)
    .map((s) => ({ a: screen(s.start), b: screen(s.end) }))
    .sort((s, t) => s.a.y + s.b.y - t.a.y - t.b.y)
  const [top, bottom] = [upper[0], upper[1] ?? upper[0]]
  const along = (s: typeof top, part: number) => ({
    x: (s?.a.x ?? f.x) + ((s?.b.x ?? r.x) - (s?.a.x ?? f.x)) * part,
    y: (s?.a.y ?? f.y) + ((s?.b.y ?? r.y) - (s?.a.y ?? f.y)) * part,
  })
  const rows: Record<InspectedPlace, { x: number; y: number; dx: number }> = {
    loop: { x: (f.x + r.x) / 2, y: along(top, 0.5).y - 22, dx: 1 },
    joint: { ...along(bottom, 0.5), y: along(bottom, 0.5).y + 20, dx: 1 },
    frontWheel: { x: f.x, y: f.y + fr + 22, dx: toFront },
    rearWheel: { x: r.x, y: r.y + rr + 22, dx: 1 },
    wheels: { x: (f.x + r.x) / 2, y: (f.y + r.y) / 2, dx: 1 },
    guard: { x: f.x, y: f.y - fr - 24, dx: 1 },
    fasteners: { ...r, dx: 1 },
    adjuster: { x: r.x - toFront * (rr + 24), y: r.y, dx: 1 },
  }
  return parts.map((part) => {
    const there = parts.filter((p) => p.place === part.place)
    const row = rows[part.place]
    const offset = there.indexOf(part) - (there.length - 1) / 2
    const x = row.x + offset * SLOT * row.dx
    return { part, at: { x: Math.min(width - EDGE, Math.max(EDGE, x)), y: row.y } }
  })
}
