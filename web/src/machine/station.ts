import type { ComponentType } from 'react'
import type { StationHeadlines, StationState } from '../api/client'
import type { Units } from '../quantities/units'
import type { Workbench } from './useWorkbench'

/** What a station says of itself in the strip, at all times. */
export interface Headline {
  figure: string
  /** Beside the figure: what is off, or goes on. */
  note?: string
  tone?: 'watch' | 'stop'
  state: StationState
}

/** A station of a machine's page; `app/stations.ts` lists them all. */
export interface Station {
  /** Its number in the strip, and the key that opens it. */
  key: string
  name: string
  path: string
  /** Words for what the core says of it. */
  headline: (of: StationHeadlines, bench: Workbench, units: Units) => Headline
  load: () => Promise<{ default: ComponentType }>
}

/** Why a station has no figure, in words. */
export const WITHOUT_WORDS = {
  noLoop: 'no loop',
  notLaidOut: 'not laid out',
  noPull: 'no torque yet',
} as const

/** Beside the figure: what there is of it, with what a change of parts asks for. */
export const noteOf = (state: StationState, ...notes: (string | false | undefined)[]): string | undefined =>
  [...notes, state === 'lookAgain' && 'look again', state === 'onGuess' && 'assumed']
    .filter(Boolean)
    .join(', ') || undefined
