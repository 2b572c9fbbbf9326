import type { LoopPick } from '../api/client'

type Supply = LoopPick['front']

const AVAILABILITY_WORDS: Record<Supply['availability'], string> = {
  fitted: 'fitted',
  onShelf: 'on shelf',
  toBuy: 'order',
  notListed: 'ask supplier',
  mountingNotSaid: 'if its mounting fits',
  otherMounting: 'not in your mounting',
  notObtainable: 'not obtainable',
}

/** Worst first: what stands in the way of having both wheels. */
const WORST_FIRST: Supply['availability'][] = [
  'notObtainable',
  'otherMounting',
  'mountingNotSaid',
  'notListed',
  'toBuy',
  'onShelf',
  'fitted',
]

export interface SupplyWord {
  text: string
  tone: 'ok' | 'neutral' | 'watch'
}

/** The worst of several, in a word. */
export function supplyOf(supplies: Supply[]): SupplyWord {
  const worst = WORST_FIRST.find((a) => supplies.some((s) => s.availability === a)) ?? 'fitted'
  const tone =
    worst === 'onShelf' || worst === 'fitted'
      ? 'ok'
      : worst === 'toBuy' || worst === 'notListed'
        ? 'neutral'
        : 'watch'
  return { text: AVAILABILITY_WORDS[worst], tone }
}

/** Why a pair is not among what is asked for. */
export function breakText(
  what: LoopPick['breaks'][number],
  pick: Pick<LoopPick, 'frontSize' | 'rearSize'>,
): string {
  switch (what) {
    case 'rearTooLarge':
      return `rear ${pick.rearSize} is larger than clears here`
    case 'frontTooSmall':
      return `front ${pick.frontSize} is smaller than this machine accepts`
    case 'hubPrimaryTooLow':
      return 'front over rear is below what the hub allows'
    case 'loopRatioTooLarge':
      return 'ratio of this loop is above the limit set'
  }
}
