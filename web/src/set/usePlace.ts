import { useState } from 'react'
import type { SetRound } from '../api/client'

/**
 * The place that is read next: the one that was chosen, until somebody reads just there on another device.
 * Where it is held, whoever stepped a reading there goes on stepping it.
 */
export function usePlace(round: SetRound | null, isHeld: boolean, fewest: number) {
  const [place, setPlace] = useState(() => firstUnread(round, fewest))
  const isRead = round?.readings.some((r) => r.position === place) ?? false
  const [seen, setSeen] = useState({ place, isRead })
  if (seen.place !== place || seen.isRead !== isRead) {
    setSeen({ place, isRead })
    if (seen.place === place && isRead && !isHeld) setPlace(firstUnread(round, fewest))
  }
  return [place, setPlace] as const
}

function firstUnread(round: SetRound | null, fewest: number) {
  for (let place = 0; place < fewest; place++)
    if (!round?.readings.some((r) => r.position === place)) return place
  return 0
}
