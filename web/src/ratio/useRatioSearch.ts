import { useLocalStorage } from '@mantine/hooks'
import { useState } from 'react'
import type {
  LoopSearch,
  LoopSearchChange,
  PairFit,
  RatioCandidate,
  RatioRanking,
  RatioSearchResult,
  StageSplit,
} from '../api/client'
import { type Question, useEvaluation } from '../api/evaluation'
import type { Computed } from '../api/queries'
import type { Workbench } from '../machine/useWorkbench'
import { pairKey } from '../machine/words'

export interface Band {
  low: number
  high: number
}

export interface SearchState {
  /** As the core begins it, loop by loop. */
  begun: LoopSearch[]
  /** The same with what was typed. */
  searches: LoopSearch[]
  /** What was typed; null where a field was emptied. */
  changes: Partial<LoopSearchChange>[]
  setSearch: (index: number, change: Partial<LoopSearchChange>) => void
  resetSearch: () => void
  ranking: RatioRanking
  setRanking: (ranking: RatioRanking) => void
  gears: number[]
  setGears: (gears: number[]) => void
  /** A band while it is being dragged; it asks without being kept. */
  drag: Band | undefined
  setDrag: (band: Band | undefined) => void
  question: Question<'search'>
  answer: Computed<RatioSearchResult>
  /** Where the axle goes with the pairs of the list; empty until that is known. */
  fits: Map<string, PairFit>
  /** Where one loop is asked too much. */
  split: StageSplit | null
  /** Hits and others together. */
  all: RatioCandidate[]
  /** Whether the list shows all of them. */
  isAll: boolean
  setAll: (isAll: boolean) => void
}

interface KeptSearch {
  changes: Record<string, Partial<LoopSearchChange>>
  ranking: RatioRanking
  gears: number[]
}

const NOTHING_KEPT: KeptSearch = { changes: {}, ranking: 'leastWork', gears: [] }

/** Rows of the list before somebody asks for all. */
export const FIRST_ROWS = 12
const MOST_ROWS = 500

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
  const [isAll, setAll] = useState(false)
  const start = useEvaluation(
    bench.asFitted,
    'startingSearch',
    bench.loops.length === 0 ? undefined : { gears },
  )
  const begun = bench.loops.map((l) => start.data?.find((s) => s.loopKey === l.loopKey) ?? l.search)
  const searches = begun.map((s) => ({ ...s, ...said(changes[s.loopKey] ?? {}) }) as LoopSearch)
  const question: Question<'search'> = {
    changes: bench.loops.map((l) => ({ loopKey: l.loopKey, ...changes[l.loopKey] })),
    gears,
    ranking,
    drag: drag ?? null,
    rows: isAll ? MOST_ROWS : FIRST_ROWS,
  }
  const answer = useEvaluation(bench.asFitted, 'search', bench.loops.length === 0 ? undefined : question)
  return {
    begun,
    searches,
    changes: begun.map((s) => changes[s.loopKey] ?? {}),
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
    question,
    answer: { ...answer, data: answer.data?.found },
    fits: new Map((answer.data?.fits ?? []).map((f) => [pairKey(f), f])),
    split: answer.data?.split ?? null,
    all: answer.data ? [...answer.data.found.hits, ...answer.data.found.others] : [],
    isAll,
    setAll,
  }
}

/** An emptied field says nothing. */
const said = (change: Partial<LoopSearchChange>) =>
  Object.fromEntries(Object.entries(change).filter(([, value]) => value !== null))

/** Whether these are the wheels in view. */
export const isSame = (
  candidate: RatioCandidate,
  loops: { loopKey: string; frontSize: number; rearSize: number }[],
) =>
  candidate.loops.every((p) =>
    loops.some((l) => l.loopKey === p.loopKey && l.frontSize === p.frontSize && l.rearSize === p.rearSize),
  )
