import { useState } from 'react'
import { type SetAdvice, type SetReading, type SetRound, whoAmI } from '../api/client'

/** A round as it is being read. */
export interface RoundDraft {
  round: SetRound | null
  /** The one in hand, or as it would begin. */
  now: SetRound
  /** Puts a reading at its position, in place of one that was there. */
  read: (reading: SetReading) => void
  change: (part: Partial<SetRound>) => void
  clear: () => void
}

/**
 * The round in hand. It begins with what the advice said should be turned: who turned otherwise says so.
 * @param isFirst As found: nothing was turned before it.
 */
export function useRound(advice: SetAdvice | undefined, isFirst: boolean): RoundDraft {
  const [round, setRound] = useState<SetRound | null>(null)
  const fresh = (): SetRound => ({
    leftUnits: isFirst ? 0 : told(advice, 'left'),
    rightUnits: isFirst ? 0 : told(advice, 'right'),
    lock: advice?.next === 'tightenAndRead' ? 'torqued' : 'nipped',
    readings: [],
    gapMm: null,
    at: null,
    who: whoAmI() || null,
    temperatureC: null,
    turnsRolled: advice?.turnsToRoll ?? null,
    onStand: true,
    note: null,
  })
  return {
    round,
    now: round ?? fresh(),
    read: (reading) =>
      setRound((was) => {
        const now = was ?? fresh()
        return {
          ...now,
          readings: [...now.readings.filter((r) => r.position !== reading.position), reading].sort(
            (a, b) => a.position - b.position,
          ),
        }
      }),
    change: (part) => setRound((was) => ({ ...(was ?? fresh()), ...part })),
    clear: () => setRound(null),
  }
}

/** Units the advice asked for on one side; positive tightens. A single adjuster counts as the left one. */
function told(advice: SetAdvice | undefined, side: 'left' | 'right'): number {
  const move = advice?.moves.find((m) => m.side === side || (m.side === null && side === 'left'))
  return move ? (move.tightens ? move.units : -move.units) : 0
}
