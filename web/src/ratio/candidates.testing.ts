import type { LoopPick, RatioCandidate } from '../api/client'

/** Candidates as the core sends them, for tests of what the page does with them. */
export function pickOf(front: number, rear: number, part: Partial<LoopPick> = {}): LoopPick {
  return {
    loopKey: 'final',
    frontSize: front,
    rearSize: rear,
    ratio: rear / front,
    changedSprockets: 'both',
    ripplePercent: 2,
    hunting: null,
    smallWheel: 'fine',
    front: { availability: 'onShelf', price: 0 },
    rear: { availability: 'onShelf', price: 0 },
    breaks: [],
    isTyped: false,
    ...part,
  }
}

export function candidateOf(
  front: number,
  rear: number,
  part: Partial<RatioCandidate> = {},
  pick: Partial<LoopPick> = {},
): RatioCandidate {
  return {
    loops: [pickOf(front, rear, pick)],
    finalRatio: rear / front,
    changePercent: 0,
    direction: 'same',
    overallRatio: rear / front,
    aimShaftSpeedRpm: null,
    outputAtLimitRpm: 100,
    bicycle: null,
    bandGears: [],
    offMiddlePercent: null,
    changedSprockets: 'both',
    workMinutes: 75,
    money: 0,
    rank: null,
    decidedBy: null,
    ...part,
  }
}
