import type { SetAdvice, SetJob, SetRound } from '../api/client'

/** What is done at a visit, one thing a screen, in the order of the work. */
export type BayScreen = 'before' | 'turn' | 'lock' | 'read' | 'close'

/** The screen of what comes next. */
export function nextScreen(
  job: Pick<SetJob, 'cautions' | 'rounds'>,
  next: SetAdvice['next'] | undefined,
  inHand: SetRound | null,
): BayScreen {
  const isReading = inHand !== null && (inHand.readings.length > 0 || inHand.gapMm != null)
  if (isReading) return 'read'
  if (!job.cautions) return 'before'
  if (job.rounds.length === 0) return 'read'
  if (inHand)
    return inHand.assumed?.includes('turned') ? 'turn' : inHand.assumed?.includes('lock') ? 'lock' : 'read'
  return next === 'tightenAndRead' || next === 'done' ? 'close' : 'turn'
}
