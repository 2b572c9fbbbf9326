import type { LoopPick, RatioCandidate } from '../api/client'
import { isToothed } from '../machine/driveElements'
import { breakText, type SupplyWord, supplyOf } from '../machine/supplyWords'
import type { Workbench } from '../machine/useWorkbench'
import { pairText } from '../machine/words'
import { fixed, money, plain } from '../quantities/format'

/** How the wheels that change can be had, in a word. */
export const supplyWord = (candidate: RatioCandidate): SupplyWord =>
  supplyOf(candidate.loops.flatMap((l) => [l.front, l.rear]))

export const isAtHand = (candidate: RatioCandidate) => supplyWord(candidate).tone === 'ok'

const CHANGED_WORDS: Record<RatioCandidate['changedSprockets'], string> = {
  nothing: 'as it is',
  frontOnly: 'front',
  rearOnly: 'rear',
  both: 'both',
  severalLoops: 'two loops',
}

export const workText = (c: RatioCandidate) =>
  c.changedSprockets === 'nothing'
    ? CHANGED_WORDS.nothing
    : `${CHANGED_WORDS[c.changedSprockets]} · ${fixed(c.workMinutes, 0)} min`

export const moneyText = (c: RatioCandidate) =>
  c.money === null ? 'ask' : c.money === 0 ? '–' : money(c.money)

const SMALL_WHEEL_WORDS: Record<LoopPick['smallWheel'], string> = {
  fine: '',
  compromise: '',
  slowOnly: 'few teeth: slow drives or tight space only',
  belowAdvised: 'smaller than is advised: computed, not recommended',
}

export const smallWheelText = (pick: LoopPick) => SMALL_WHEEL_WORDS[pick.smallWheel]

/** Why a pair is refused or not advised here. */
export const remarksOf = (c: RatioCandidate): string[] =>
  c.loops.flatMap((p) => [...p.breaks.map((b) => breakText(b, p)), smallWheelText(p)]).filter(Boolean)

/** How evenly teeth and links wear, and after how many loop turns a front tooth meets the same link again. */
export function meetingText(pick: LoopPick): string {
  if (!pick.hunting) return '–'
  const { frontHunts, rearHunts, frontLoopTurns } = pick.hunting
  const often = plain(frontLoopTurns)
  if (frontHunts && rearHunts) return `even · ${often}`
  return frontHunts || rearHunts ? `partly · ${often}` : `repeats · ${often}`
}

export const candidatePair = (c: RatioCandidate, bench: Workbench) =>
  c.loops
    .map((p) => {
      const loop = bench.card.summary.loops.find((l) => l.loopKey === p.loopKey)
      return pairText(p.frontSize, p.rearSize, loop ? isToothed(loop.driveElement) : true)
    })
    .join(' · ')

const TERM_WORDS: Record<NonNullable<RatioCandidate['decidedBy']>, string> = {
  first: 'best',
  obtainable: 'supply',
  minutes: 'minutes',
  money: 'cost',
  closeness: 'closeness',
  teethMeeting: 'meetings',
  ripple: 'ripple',
  largerFront: 'front size',
}

/** The term by which a hit stands below the one above it. */
export const reasonText = (c: RatioCandidate) => (c.decidedBy ? TERM_WORDS[c.decidedBy] : '')
