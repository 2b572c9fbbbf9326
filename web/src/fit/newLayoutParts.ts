import type { ClearanceLimit, Idler, LoopLayout } from '../api/client'
import type { Fit } from './useFit'

/** Starting values of a part of a layout that a person adds; each is corrected in the form. */

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
