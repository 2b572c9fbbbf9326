import type { LoopChoice, RatioCandidate } from '../api/client'

/** The pair with the next wheel up or down on one side, the other side as it is. */
export function stepped(
  all: RatioCandidate[],
  shown: LoopChoice[],
  side: 'frontSize' | 'rearSize',
  by: number,
): RatioCandidate | undefined {
  const other = side === 'frontSize' ? 'rearSize' : 'frontSize'
  const ofLoop = (c: RatioCandidate) => shown.find((l) => l.loopKey === c.loops[0]?.loopKey)
  const along = all
    .filter((c) => c.loops.length === 1 && c.loops[0]?.[other] === ofLoop(c)?.[other])
    .sort((a, b) => (a.loops[0]?.[side] ?? 0) - (b.loops[0]?.[side] ?? 0))
  const at = along.findIndex((c) => c.loops[0]?.[side] === ofLoop(c)?.[side])
  return at < 0 ? undefined : along[at + by]
}
