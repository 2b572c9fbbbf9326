import type { LoopSummary, MachineKind, Wishes } from '../api/client'
import { plain } from '../quantities/format'

/** What things are called on the page. One place, so that one thing has one word. */
export const KIND_WORDS: Record<MachineKind, string> = {
  motorcycle: 'motorcycle',
  moped: 'moped',
  bicycle: 'bicycle',
  loadCarrier: 'load carrier',
  robot: 'robot',
  winch: 'winch',
  kickBoard: 'kick board',
  other: 'other machine',
}

export const DRIVE_ELEMENT_WORDS: Record<LoopSummary['driveElement'], string> = {
  chain: 'chain',
  toothedBelt: 'toothed belt',
  vBelt: 'V-belt',
  flatBelt: 'flat belt',
  roundBelt: 'round belt',
}

/** “15 / 45”, or “⌀90 / ⌀355” for pulleys measured across. */
export const pairText = (front: number, rear: number, toothed = true) =>
  toothed ? `${plain(front)} / ${plain(rear)}` : `⌀${plain(front)} / ⌀${plain(rear)}`

/** Tells one pair of wheels from another. */
export const pairKey = (pair: { frontSize: number; rearSize: number }) => `${pair.frontSize}/${pair.rearSize}`

/** “chain 520 · toothed belt 8M”, each standard once. */
export const driveText = (loops: LoopSummary[]) =>
  [...new Set(loops.map((l) => `${DRIVE_ELEMENT_WORDS[l.driveElement]} ${l.standard}`))].join(' · ') ||
  'direct drive'

export const WISH_WORDS: Record<keyof Wishes, string> = {
  littleUpkeep: 'little upkeep',
  quiet: 'quiet',
  range: 'range',
  carryingLoads: 'carrying loads',
  response: 'response',
  lowCost: 'low cost',
}
