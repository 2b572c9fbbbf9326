import { useState } from 'react'
import {
  type LoopSearch,
  type RatioCandidate,
  type RatioRanking,
  type RatioSearchInput,
  type RatioSearchResult,
  searchRatios,
} from '../api/client'
import { type Computed, useComputed, useStock } from '../api/queries'
import type { Workbench } from '../machine/useWorkbench'

export interface Band {
  low: number
  high: number
}

export interface SearchState {
  searches: LoopSearch[]
  setSearch: (index: number, change: Partial<LoopSearch>) => void
  resetSearch: () => void
  ranking: RatioRanking
  setRanking: (ranking: RatioRanking) => void
  gears: number[]
  setGears: (gears: number[]) => void
  /** A band while it is being dragged; it asks without being kept. */
  drag: Band | undefined
  setDrag: (band: Band | undefined) => void
  answer: Computed<RatioSearchResult>
  /** Hits and others together. */
  all: RatioCandidate[]
}

/** The question of the Ratio station, and its answer from the core. */
export function useRatioSearch(bench: Workbench): SearchState {
  const [changes, setChanges] = useState<Record<string, Partial<LoopSearch>>>({})
  const [ranking, setRanking] = useState<RatioRanking>('leastWork')
  const [gears, setGears] = useState<number[]>([])
  const [drag, setDrag] = useState<Band>()
  const stock = useStock().data
  const { fitted } = bench.card
  const searches = bench.loops.map((l) => ({ ...l.search, ...changes[l.loopKey] }))
  const input: RatioSearchInput | undefined =
    searches.length === 0 || !stock
      ? undefined
      : {
          drive: bench.drive,
          fitted: fitted.loops,
          roadWheels: fitted.roadWheels,
          search: searches,
          aim: drag ? { kind: 'finalRatio', ...drag } : (bench.target ?? null),
          gears,
          ranking,
          stock: stock.map((s) => s.wheel),
        }
  const answer = useComputed('search', input, searchRatios)
  return {
    searches,
    setSearch: (index, change) => {
      const key = bench.loops[index]?.loopKey
      if (key) setChanges({ ...changes, [key]: { ...changes[key], ...change } })
    },
    resetSearch: () => setChanges({}),
    ranking,
    setRanking,
    gears,
    setGears,
    drag,
    setDrag,
    answer,
    all: answer.data ? [...answer.data.hits, ...answer.data.others] : [],
  }
}

/** Whether these are the wheels in view. */
export const isSame = (
  candidate: RatioCandidate,
  loops: { loopKey: string; frontSize: number; rearSize: number }[],
) =>
  candidate.loops.every((p) =>
    loops.some((l) => l.loopKey === p.loopKey && l.frontSize === p.frontSize && l.rearSize === p.rearSize),
  )
