import type { LoopChoice } from '../api/client'
import type { ChangeKind, StepState } from '../api/plan'
import { plain } from '../quantities/format'

export const CHANGE_WORDS: Record<ChangeKind, string> = {
  frontWheel: 'front wheel',
  rearWheel: 'rear wheel',
  bothWheels: 'both wheels',
  loop: 'chain or belt',
  wholeSet: 'the whole set',
  roadWheel: 'road wheel',
  tensionOnly: 'tension only',
  trackingOnly: 'tracking only',
  beltToChain: 'belt to chain',
  chainToBelt: 'chain to belt',
}

/** What stands in the ring of a step, and what a screen reader says of it. */
export const STATE_MARKS: Record<StepState, { mark: string; word: string }> = {
  open: { mark: '', word: 'open' },
  done: { mark: '✓', word: 'done' },
  differently: { mark: '≠', word: 'done differently' },
  forNow: { mark: '◷', word: 'for now only' },
  leftOut: { mark: '–', word: 'left out' },
}

/** “front 15 → 16”, what changes between two choices; empty for nothing. */
export function changeText(was: LoopChoice, wanted: LoopChoice | null) {
  if (!wanted) return ''
  const parts: [string, number | null, number | null][] = [
    ['front', was.frontSize, wanted.frontSize],
    ['rear', was.rearSize, wanted.rearSize],
    ['length', was.links ?? was.lengthMm ?? null, wanted.links ?? wanted.lengthMm ?? null],
  ]
  return parts
    .filter(([, from, to]) => from !== to)
    .map(
      ([name, from, to]) => `${name} ${from === null ? '–' : plain(from)} → ${to === null ? '–' : plain(to)}`,
    )
    .join(', ')
}

/** “Front wheel: 15 → 16”. */
export const planTitle = (change: ChangeKind) => capital(CHANGE_WORDS[change])

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)
