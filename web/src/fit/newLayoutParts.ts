import type { ClearanceLimit, Idler, LoopLayout, Mover, Track } from '../api/client'
import type { Fit } from './useFit'

/** Starting values of a part of a layout that a person adds; each is corrected in the form. */

/** What stands for fixed centres in the choice of a mover. */
export const FIXED = 'fixed'

/** A new kind of mover begins on the wheel that kind usually moves. */
export function moverOf(kind: string | null, draft: LoopLayout): Mover | null {
  if (kind === null || kind === FIXED) return null
  const chosen = kind as Mover['kind']
  const wheel =
    chosen === 'motor' ? 'front' : chosen === 'tensioner' ? (draft.idlers[0]?.name ?? 'rear') : 'rear'
  return { kind: chosen, wheel, track: wayOf(chosen, wheel, draft) }
}

/** A way around the place of the wheel that moves; the one it had where it is the same wheel and the same kind of way. */
export function wayOf(kind: Mover['kind'], wheel: string, draft: LoopLayout): Track {
  const shape = kind === 'eccentric' ? 'arc' : 'line'
  if (draft.mover?.wheel === wheel && draft.mover.track.kind === shape) return draft.mover.track
  const idler = draft.idlers.find((i) => i.name === wheel)
  const { xMm, yMm } =
    wheel === 'front' ? draft.front : wheel === 'rear' ? draft.rear : (idler?.centre ?? draft.rear)
  return shape === 'arc'
    ? { kind: 'arc', pivot: { xMm, yMm }, radiusMm: 8, startDeg: 90, swingDeg: 180 }
    : { kind: 'line', from: { xMm: xMm + 20, yMm }, to: { xMm: xMm - 20, yMm } }
}

export function newIdler(draft: LoopLayout, fit: Fit): Idler {
  const taken = draft.idlers.map((i) => i.name)
  let name = 'idler'
  for (let i = 2; taken.includes(name); i++) name = `idler ${i}`
  const chain = fit.loop.medium === 'chain'
  return {
    name,
    centre: {
      xMm: Math.round((draft.front.xMm + draft.rear.xMm) / 2),
      yMm: Math.round((draft.front.yMm + draft.rear.yMm) / 2),
    },
    size: chain ? 11 : 40,
    isToothed: chain,
    side: 'back',
    run: 'slack',
  }
}

export function newLimit(draft: LoopLayout): ClearanceLimit {
  const taken = (draft.limits ?? []).map((l) => l.name)
  let name = 'edge'
  for (let i = 2; taken.includes(name); i++) name = `edge ${i}`
  const xMm = Math.round(draft.front.xMm + 60)
  return {
    name,
    from: { xMm, yMm: draft.front.yMm - 20 },
    to: { xMm, yMm: draft.front.yMm + 20 },
    leastMm: 3,
    movesMm: 0,
  }
}
