import { useElementSize, useWindowEvent } from '@mantine/hooks'
import { useMemo, useRef, useState } from 'react'
import type { RatioCandidate } from '../api/client'
import type { Workbench } from '../machine/useWorkbench'
import { fixed, gearName, plain } from '../quantities/format'
import { BandHandles } from './BandHandles'
import { CandidateMark } from './CandidateMark'
import { CandidateTip } from './CandidateTip'
import { logScale } from './logScale'
import classes from './RatioScale.module.css'
import { isSame, type SearchState } from './useRatioSearch'
import { candidatePair } from './words'

export type ScaleMode = 'final' | 'overall'

export interface Point {
  candidate: RatioCandidate
  ratio: number
  row: number
  label: string
}

const TOP = 40
const ROW = 28
const LEFT = 46
const RIGHT_PAD = 18
/** Pixels between neighbours that a number in its ring wants. */
const ROOM_FOR_NUMBERS = 19
/** Pixels round a press in which the nearest mark is meant. */
const SNAP = 26
/** Wider than this the scale is not made for their sake: marks shrink to dots instead. */
const WIDEST = 1100

/** The ratio scale. It is the control: a click, a tap or the arrow keys pick a pair, the band can be dragged. */
export function RatioScale({
  bench,
  search,
  mode,
}: {
  bench: Workbench
  search: SearchState
  mode: ScaleMode
}) {
  const { ref, width } = useElementSize()
  const svg = useRef<SVGSVGElement>(null)
  const [hovered, setHovered] = useState<{ point: Point; mark: DOMRect }>()
  useWindowEvent('scroll', () => setHovered(undefined), { passive: true })
  const { points, rows } = useMemo(() => layOut(bench, search, mode), [bench, search, mode])
  const needed = useMemo(() => (mode === 'final' ? roomNeeded(points) : 0), [points, mode])
  const svgWidth = Math.max(260, width, needed <= WIDEST ? needed : 0)
  const right = svgWidth - RIGHT_PAD
  const bands = search.answer.data?.bands ?? []
  // The pairs set the span: a band of a gear far off would squeeze them together.
  const scale = useMemo(() => {
    const ratios = points.map((p) => p.ratio)
    const low = Math.min(...ratios)
    const high = Math.max(...ratios)
    const pad = Math.max(1.02, (high / low) ** 0.04)
    return logScale(low / pad, high * pad, LEFT, right)
  }, [points, right])
  if (points.length === 0) return <div ref={ref} />

  const height = TOP + rows.length * ROW + 8
  const picked = points.find((p) => isSame(p.candidate, bench.shown.loops))
  const isTight = needed > svgWidth || mode === 'overall' || bench.loops.length > 1
  const pick = (point: Point | undefined) => point && bench.pick(point.candidate.loops)
  const onKey = (event: React.KeyboardEvent) => {
    const next = neighbour(points, rows.length, picked, event.key)
    if (!next) return
    event.preventDefault()
    pick(next)
  }
  // A finger seldom hits a dot: the nearest mark is meant.
  const snap = (event: React.MouseEvent) => {
    const box = svg.current?.getBoundingClientRect()
    if (!box || (event.target instanceof Element && event.target.closest('[role="option"]'))) return
    const [x, y] = [event.clientX - box.left, event.clientY - box.top]
    const away = (p: Point) => Math.hypot(scale.x(p.ratio) - x, yOf(p.row) - y)
    const [nearest] = [...points].sort((a, b) => away(a) - away(b))
    if (!nearest || away(nearest) > SNAP) return
    pick(nearest)
    const mark = document.getElementById(idOf(nearest))
    if (mark) setHovered({ point: nearest, mark: mark.getBoundingClientRect() })
  }
  // Marks that matter lie on top: others, then hits, then fitted and picked.
  const drawn = [...points].sort((a, b) => weight(a, picked) - weight(b, picked))
  return (
    <div ref={ref} className={classes.scale} data-stale={search.answer.isStale || undefined}>
      <div
        role="listbox"
        aria-label="Ratio scale: a pair of wheels per mark, left is taller"
        tabIndex={0}
        aria-activedescendant={picked ? idOf(picked) : undefined}
        className={classes.marks}
        onKeyDown={onKey}
        onClick={snap}
        onMouseLeave={() => setHovered(undefined)}
        onScroll={() => setHovered(undefined)}
      >
        <svg width={svgWidth} height={height} role="presentation" ref={svg}>
          <Bands bands={bands} scale={scale} mode={mode} rows={rows} height={height} />
          <path d={`M${LEFT} ${TOP - 4}H${right + 8}`} stroke="var(--faint)" />
          {scale.ticks.map(({ value, isLabelled }) => (
            <g key={value}>
              <path d={`M${scale.x(value)} ${TOP - 4}v${isLabelled ? -9 : -5}`} stroke="var(--faint)" />
              {isLabelled && (
                <text x={scale.x(value)} y={18} className={classes.tick}>
                  {plain(Number(value.toFixed(2)))}
                </text>
              )}
            </g>
          ))}
          {rows.map((label, row) => (
            <g key={label}>
              <path d={`M${LEFT} ${yOf(row)}H${right + 8}`} stroke="var(--line-soft)" />
              <text x={4} y={yOf(row) + 4} className={classes.row}>
                {label}
              </text>
            </g>
          ))}
          {drawn.map((point) => (
            <CandidateMark
              key={idOf(point)}
              id={idOf(point)}
              x={scale.x(point.ratio)}
              y={yOf(point.row)}
              text={point.label}
              candidate={point.candidate}
              name={candidatePair(point.candidate, bench)}
              isPicked={
                point === picked || (mode === 'overall' && isSame(point.candidate, bench.shown.loops))
              }
              isSmall={isTight && !isHitHere(point, mode, rows)}
              isTight={isTight}
              isHit={isHitHere(point, mode, rows)}
              onPick={() => pick(point)}
              onHover={(mark) => setHovered({ point, mark })}
            />
          ))}
        </svg>
      </div>
      {mode === 'final' && bands.length === 1 && bands[0] && (
        <BandHandles
          low={bands[0].finalLow}
          high={bands[0].finalHigh}
          scale={scale}
          top={TOP - 24}
          onDrag={search.setDrag}
          onDrop={(band) => {
            search.setDrag(undefined)
            bench.set({ band: `${fixed(band.low, 3)}~${fixed(band.high, 3)}` })
          }}
        />
      )}
      {hovered && (
        <CandidateTip
          key={idOf(hovered.point)}
          candidate={hovered.point.candidate}
          bench={bench}
          mark={hovered.mark}
        />
      )}
    </div>
  )
}

/** In the overall view a pair meets the aim only in the rows of the gears whose band it is in. */
const isHitHere = ({ candidate, row }: Point, mode: ScaleMode, rows: string[]) =>
  candidate.rank !== null && (mode === 'final' || candidate.bandGears.some((g) => gearName(g) === rows[row]))

/** Width at which no two numbers of a row touch. */
function roomNeeded(points: Point[]): number {
  const logs = points.map((p) => Math.log(p.ratio))
  const span = Math.max(...logs) - Math.min(...logs)
  const byRow = Map.groupBy(points, (p) => p.row)
  let least = span
  for (const row of byRow.values()) {
    const sorted = row.map((p) => Math.log(p.ratio)).sort((a, b) => a - b)
    sorted.forEach((value, i) => {
      if (i > 0) least = Math.min(least, value - (sorted[i - 1] ?? value))
    })
  }
  return least > 0 ? LEFT + RIGHT_PAD + (span / least) * ROOM_FOR_NUMBERS * 1.08 : 0
}

const yOf = (row: number) => TOP + ROW / 2 + row * ROW
const idOf = (p: Point) =>
  `mark-${p.row}-${p.candidate.loops.map((l) => `${l.frontSize}-${l.rearSize}`).join('-')}`.replaceAll(
    '.',
    '_',
  )

const weight = (p: Point, picked: Point | undefined) =>
  p === picked ? 3 : p.candidate.changedSprockets === 'nothing' ? 2 : p.candidate.rank !== null ? 1 : 0

function Bands({
  bands,
  scale,
  mode,
  rows,
  height,
}: {
  bands: NonNullable<SearchState['answer']['data']>['bands']
  scale: ReturnType<typeof logScale>
  mode: ScaleMode
  rows: string[]
  height: number
}) {
  return bands.map((band) => {
    const low = scale.clamped(mode === 'final' ? band.finalLow : band.overallLow)
    const high = scale.clamped(mode === 'final' ? band.finalHigh : band.overallHigh)
    if (high === low) return null
    // Overall: a strip only in the gears that count.
    const row = rows.indexOf(gearName(band.gearLabel))
    const y = mode === 'final' ? TOP - 12 : yOf(Math.max(0, row)) - ROW / 2
    const h = mode === 'final' ? height - TOP + 12 : ROW
    return (
      <g key={band.gearIndex}>
        <rect x={low} y={y} width={Math.max(2, high - low)} height={h} fill="var(--band)" opacity="0.6" />
        <path d={`M${low} ${y}v${h}M${high} ${y}v${h}`} stroke="var(--band-line)" strokeDasharray="3 3" />
        {mode === 'final' && bands.length > 1 && (
          <text x={(low + high) / 2} y={height - 2} className={classes.gear}>
            {gearName(band.gearLabel)}
          </text>
        )}
      </g>
    )
  })
}

/** A row per front wheel, or per gear, or one row where two loops are chosen together. */
function layOut(bench: Workbench, search: SearchState, mode: ScaleMode): { points: Point[]; rows: string[] } {
  if (mode === 'overall') {
    const gears = search.answer.data?.gears ?? []
    return {
      rows: gears.map((g) => gearName(g.label)),
      points: search.all.flatMap((candidate) =>
        gears.map((gear, row) => ({
          candidate,
          ratio: candidate.finalRatio * gear.restReduction,
          row,
          label: '',
        })),
      ),
    }
  }
  if (bench.loops.length > 1)
    return {
      rows: ['both'],
      points: search.all.map((candidate) => ({ candidate, ratio: candidate.finalRatio, row: 0, label: '' })),
    }
  const fronts = [...new Set(search.all.map((c) => c.loops[0]?.frontSize ?? 0))].sort((a, b) => a - b)
  return {
    rows: fronts.map(plain),
    points: search.all.map((candidate) => ({
      candidate,
      ratio: candidate.finalRatio,
      row: fronts.indexOf(candidate.loops[0]?.frontSize ?? 0),
      label: plain(candidate.loops[0]?.rearSize ?? 0),
    })),
  }
}

/** The mark an arrow key leads to: along the row, or to the nearest ratio in the next row. */
export function neighbour(
  points: Point[],
  rows: number,
  from: Point | undefined,
  key: string,
): Point | undefined {
  const start = from ?? points.find((p) => p.candidate.changedSprockets === 'nothing') ?? points[0]
  if (!start) return undefined
  const inRow = (row: number) => points.filter((p) => p.row === row).sort((a, b) => a.ratio - b.ratio)
  const along = (step: number) => {
    const row = inRow(start.row)
    return row[row.indexOf(start) + step]
  }
  const across = (step: number) => {
    for (let row = start.row + step; row >= 0 && row < rows; row += step) {
      const near = inRow(row).sort(
        (a, b) => Math.abs(Math.log(a.ratio / start.ratio)) - Math.abs(Math.log(b.ratio / start.ratio)),
      )
      if (near[0]) return near[0]
    }
    return undefined
  }
  switch (key) {
    case 'ArrowLeft':
      return along(-1)
    case 'ArrowRight':
      return along(1)
    case 'ArrowUp':
      return across(-1)
    case 'ArrowDown':
      return across(1)
    case 'Home':
      return inRow(start.row)[0]
    case 'End':
      return inRow(start.row).at(-1)
    default:
      return undefined
  }
}
