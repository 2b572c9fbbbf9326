import type { LoopPath, Point, Track } from '../api/client'

/** From millimetres of the machine, y up, to pixels of the picture, y down. */
export interface View {
  /** Pixels per millimetre. */
  scale: number
  toScreen: (p: Point) => { x: number; y: number }
  toWorld: (x: number, y: number) => Point
}

export interface Camera {
  zoom: number
  dx: number
  dy: number
}
export const FITTED: Camera = { zoom: 1, dx: 0, dy: 0 }

/** Below this there is room for the wheels' names only, px. */
export const NARROW = 520

/** Room around the drawing for its figures, px. */
const marginOf = (width: number) => ({ side: width < NARROW ? 30 : 92, top: 34, bottom: 76 })

/** @param track Way of the moving wheel that must be in it, too. */
export function viewOf(
  path: LoopPath,
  track: Track | null,
  width: number,
  height: number,
  camera: Camera,
): View {
  const boxes = path.wheels.map((w) => ({ centre: w.centre, r: w.outline.outsideRadiusMm }))
  const ends = track ? trackEnds(track).map((centre) => ({ centre, r: 0 })) : []
  const all = [...boxes, ...ends]
  const left = Math.min(...all.map((b) => b.centre.xMm - b.r))
  const right = Math.max(...all.map((b) => b.centre.xMm + b.r))
  const low = Math.min(...all.map((b) => b.centre.yMm - b.r))
  const high = Math.max(...all.map((b) => b.centre.yMm + b.r))
  const margin = marginOf(width)
  const scale =
    camera.zoom *
    Math.max(
      0.01,
      Math.min(
        (width - 2 * margin.side) / (right - left),
        (height - margin.top - margin.bottom) / (high - low),
      ),
    )
  const middle = { xMm: (left + right) / 2, yMm: (low + high) / 2 }
  const at = { x: width / 2 + camera.dx, y: (height + margin.top - margin.bottom) / 2 + camera.dy }
  return {
    scale,
    toScreen: (p) => ({ x: at.x + (p.xMm - middle.xMm) * scale, y: at.y - (p.yMm - middle.yMm) * scale }),
    toWorld: (x, y) => ({ xMm: middle.xMm + (x - at.x) / scale, yMm: middle.yMm - (y - at.y) / scale }),
  }
}

const radians = (degrees: number) => (degrees * Math.PI) / 180

/** Both ends of the moving wheel’s way, for drawing it. */
export function trackEnds(track: Track): [Point, Point] {
  if (track.kind === 'line') return [track.from, track.to]
  const on = (degrees: number): Point => ({
    xMm: track.pivot.xMm + track.radiusMm * Math.cos(radians(degrees)),
    yMm: track.pivot.yMm + track.radiusMm * Math.sin(radians(degrees)),
  })
  return [on(track.startDeg), on(track.startDeg + track.swingDeg)]
}

/** The travel on a track that is nearest to where a finger points. */
export function nearestTravel(track: Track, p: Point, trackMm: number): number {
  const clamp = (travel: number) => Math.min(trackMm, Math.max(0, travel))
  if (track.kind === 'line') {
    const [dx, dy] = [track.to.xMm - track.from.xMm, track.to.yMm - track.from.yMm]
    const along = (p.xMm - track.from.xMm) * dx + (p.yMm - track.from.yMm) * dy
    return clamp(along / trackMm)
  }
  const pointed = Math.atan2(p.yMm - track.pivot.yMm, p.xMm - track.pivot.xMm) - radians(track.startDeg)
  const turned = Math.atan2(Math.sin(pointed), Math.cos(pointed)) // to within half a turn either way
  return clamp(Math.sign(track.swingDeg) * turned * track.radiusMm)
}

/** Outline of a sprocket: its teeth between root and tip. */
export function toothPath(cx: number, cy: number, teeth: number, root: number, tip: number): string {
  const parts: string[] = []
  for (let i = 0; i < teeth; i++)
    for (const [at, r] of [
      [-0.32, root],
      [-0.1, tip],
      [0.1, tip],
      [0.32, root],
    ] as const) {
      const angle = ((i + at) / teeth) * 2 * Math.PI
      parts.push(`${(cx + r * Math.cos(angle)).toFixed(2)} ${(cy + r * Math.sin(angle)).toFixed(2)}`)
    }
  return `M${parts.join('L')}Z`
}
