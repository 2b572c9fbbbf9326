import type { Aim } from '../api/client'

/** Venues that aims are for, each once, in the order of the aims. */
export const venuesOf = (aims: Aim[]): string[] => [
  ...new Set(aims.flatMap((aim) => (aim.venue ? [aim.venue] : []))),
]
