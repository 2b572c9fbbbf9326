import type { Aim } from '../api/client'

/** Aims of one drive for one venue. */
export interface AimsForVenue {
  venue: string
  driveKey: string
  aims: Aim[]
}

/** Aims that are for a venue, those for one together; capitals and blanks around it aside, as the core takes them. */
export const byVenue = (aims: Aim[]): AimsForVenue[] => {
  const groups = new Map<string, AimsForVenue>()
  for (const aim of aims) {
    if (!aim.venue) continue
    const key = `${aim.driveKey} ${aim.venue.trim().toLowerCase()}`
    const group = groups.get(key)
    if (group) group.aims.push(aim)
    else groups.set(key, { venue: aim.venue, driveKey: aim.driveKey, aims: [aim] })
  }
  return [...groups.values()]
}
