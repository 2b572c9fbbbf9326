import { useLocalStorage } from '@mantine/hooks'
import { useState } from 'react'
import {
  type LoopSearch,
  type RatioCandidate,
  type RatioRanking,
  type RatioSearchInput,
  type RatioSearchResult,
  searchRatios,
  startSearch,
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

interface KeptSearch {
  changes: Record<string, Partial<LoopSearch>>
  ranking: RatioRanking
  gears: number[]
}

const NOTHING_KEPT: KeptSearch = { changes: {}, ranking: 'leastWork', gears: [] }

/** Pairs of stored trials outside the ranges: they stay on the scale all the same. */
const trialsBeyond = (bench: Workbench, search: LoopSearch): LoopSearch['typed'] =>
  bench.trials
    .flatMap((trial) => trial.loops.filter((c) => c.loopKey === search.loopKey))
    .map(({ frontSize, rearSize }) => ({ frontSize, rearSize }))
    .filter(
      ({ frontSize, rearSize }) =>
        (frontSize < search.frontMin ||
          frontSize > search.frontMax ||
          rearSize < search.rearMin ||
          rearSize > search.rearMax) &&
        !search.typed.some((t) => t.frontSize === frontSize && t.rearSize === rearSize),
    )

/** The question of the Ratio station, and its answer from the core. */
export function useRatioSearch(bench: Workbench): SearchState {
  // What was typed and ticked stays on this device, machine by machine.
  const [kept, setKept] = useLocalStorage<KeptSearch>({
    key: `wendrak.search.${bench.card.machine.id}.${bench.drive.key}`,
    defaultValue: NOTHING_KEPT,
    getInitialValueInEffect: false,
  })
  const { changes, ranking, gears } = kept
  const keep = (part: Partial<KeptSearch>) => setKept({ ...kept, ...part })
  const [drag, setDrag] = useState<Band>()
  const stock = useStock().data
  const { fitted, machine } = bench.card
  // Wide enough for what the shelf offers and the aim can reach; where the aim is refused the search itself says so.
  const start = useComputed(
    'start-search',
    bench.loops.length === 0 || !stock
      ? undefined
      : {
          drive: bench.drive,
          fitted: fitted.loops,
          roadWheels: fitted.roadWheels,
          loopKeys: bench.loops.map((l) => l.loopKey),
          aim: bench.target ?? null,
          gears,
          work: machine.work,
          stock: stock.map((s) => s.wheel),
        },
    startSearch,
  )
  const isStarted = start.data !== undefined || Boolean(start.error)
  const searches = bench.loops.map((l) => {
    const begun = start.data?.find((s) => s.loopKey === l.loopKey) ?? l.search
    const search = { ...begun, ...changes[l.loopKey] }
    return { ...search, typed: [...search.typed, ...trialsBeyond(bench, search)] }
  })
  const input: RatioSearchInput | undefined =
    searches.length === 0 || !stock || !isStarted
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
      if (key) keep({ changes: { ...changes, [key]: { ...changes[key], ...change } } })
    },
    resetSearch: () => setKept({ ...NOTHING_KEPT, ranking }),
    ranking,
    setRanking: (next) => keep({ ranking: next }),
    gears,
    setGears: (next) => keep({ gears: next }),
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
