import type { LoopSetting } from '../api/client'

/** How the driven axle is carried. */
export const SUSPENSION_WORDS: Record<NonNullable<LoopSetting['suspension']>, string> = {
  swingArm: 'by a swing arm',
  rigid: 'rigid, no rear suspension',
}
