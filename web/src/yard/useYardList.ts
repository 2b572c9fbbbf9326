import { useSearchParams } from 'react-router'
import type { JobSheet, MachineCard, MachineKind } from '../api/client'

/** So many stand on a page: more is turned over, not scrolled for ever. */
export const CARDS_OF_PAGE = 24

export const STATE_WORDS = {
  due: 'due now',
  work: 'in work',
  stop: 'does not go out',
} as const
export type YardState = keyof typeof STATE_WORDS

export const ORDER_WORDS = {
  name: 'by name',
  kind: 'by kind',
  run: 'most run first',
  newest: 'newest first',
} as const
export type YardOrder = keyof typeof ORDER_WORDS

/** Which machines are looked at, kept in the address so that going back finds the same list. */
export function useYardList(
  cards: MachineCard[],
  { jobs, due }: { jobs: JobSheet[]; due: ReadonlySet<number> },
) {
  const [params, set] = useSearchParams()
  const words = (params.get('q') ?? '').toLowerCase().split(/\s+/).filter(Boolean)
  const kind = params.get('kind') as MachineKind | null
  const state = params.get('state') as YardState | null
  const order = (params.get('order') ?? 'name') as YardOrder
  const change = (part: Record<string, string | null>) =>
    set(
      (now) => {
        const next = new URLSearchParams(now)
        for (const [key, value] of Object.entries({ page: null, ...part }))
          if (value) next.set(key, value)
          else next.delete(key)
        return next
      },
      { replace: true },
    )
  const inWork = new Set(jobs.map((j) => j.machineId))
  const isIn: Record<YardState, (card: MachineCard) => boolean> = {
    due: (card) => due.has(card.machine.id),
    work: (card) => inWork.has(card.machine.id),
    stop: (card) => card.summary.stops.length > 0,
  }
  const found = cards
    .filter(
      (card) =>
        words.every((word) => textOf(card).includes(word)) &&
        (!kind || card.machine.kind === kind) &&
        (!state || isIn[state]?.(card)),
    )
    .sort(ORDERS[order] ?? ORDERS.name)
  const pages = Math.max(1, Math.ceil(found.length / CARDS_OF_PAGE))
  const page = Math.min(pages, Math.max(1, Number(params.get('page')) || 1))
  return {
    q: params.get('q') ?? '',
    kind,
    state,
    order,
    change,
    found,
    page,
    pages,
    shown: found.slice((page - 1) * CARDS_OF_PAGE, page * CARDS_OF_PAGE),
    isNarrowed: words.length > 0 || kind !== null || state !== null,
  }
}

const textOf = ({ machine, summary }: MachineCard) =>
  [machine.name, machine.note, machine.kind, ...summary.loops.flatMap((l) => [l.name, l.standard])]
    .join(' ')
    .toLowerCase()

const ORDERS: Record<YardOrder, (a: MachineCard, b: MachineCard) => number> = {
  name: (a, b) => a.machine.name.localeCompare(b.machine.name),
  kind: (a, b) => a.machine.kind.localeCompare(b.machine.kind) || ORDERS.name(a, b),
  run: (a, b) => (b.machine.odometerKm ?? -1) - (a.machine.odometerKm ?? -1) || ORDERS.name(a, b),
  newest: (a, b) => b.machine.id - a.machine.id,
}
