import { useState } from 'react'
import type { SetRound } from '../api/client'

/** Places round the wheel that are read at least. */
export const FEWEST_PLACES = 4

/**
 * The place that is read next: the one that was chosen, until somebody reads just there on another device.
 * Where it is held, whoever stepped a reading there goes on stepping it.
 */
export function usePlace(round: SetRound | null, isHeld: boolean) {
  const [place, setPlace] = useState(() => firstUnread(round))
  const isRead = round?.readings.some((r) => r.position === place) ?? false
  const [seen, setSeen] = useState({ place, isRead })
  if (seen.place !== place || seen.isRead !== isRead) {
    setSeen({ place, isRead })
    if (seen.place === place && isRead && !isHeld) setPlace(firstUnread(round))
  }
  return [place, setPlace] as const
}

function firstUnread(round: SetRound | null) {
  for (let place = 0; place < FEWEST_PLACES; place++)
    if (!round?.readings.some((r) => r.position === place)) return place
  return 0
}
