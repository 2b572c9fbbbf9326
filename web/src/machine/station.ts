import type { ComponentType } from 'react'
import type { FollowUpTask } from '../api/client'
import type { Workbench } from './useWorkbench'

/** What a station says of itself in the strip, at all times. */
export interface Headline {
  figure: string
  /** Beside the figure: what is off, or goes on. */
  note?: string
  tone?: 'watch' | 'stop'
  state?: 'done' | 'again'
}

/** A station of a machine's page; `app/stations.ts` lists them all. */
export interface Station {
  /** Its number in the strip, and the key that opens it. */
  key: string
  name: string
  path: string
  useHeadline: (bench: Workbench) => Headline
  load: () => Promise<{ default: ComponentType }>
}

/** A change of parts reopened it, and nobody has said yet that it was looked at again. */
export const isReopened = (bench: Workbench, station: FollowUpTask['station']): boolean =>
  bench.shown.isFitted && (bench.card.fitted.redo ?? []).some((i) => i.station === station)
