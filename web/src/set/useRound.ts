import { useEffect, useRef, useState } from 'react'
import { type SetAdvice, type SetReading, type SetRound, whoAmI } from '../api/client'
import type { Turned } from './usePracticeDecision'
import type { Visit } from './useVisit'

const KEEP_AFTER_MS = 400

/** A round as it is being read. */
export interface RoundDraft {
  round: SetRound | null
  /** The one in hand, or as it would begin. */
  now: SetRound
  /** Puts a reading at its position, in place of one that was there. */
  read: (reading: SetReading) => void
  change: (part: Partial<SetRound>) => void
  /** Says what was assumed until then. */
  say: (what: 'turned' | 'lock', part: Partial<Pick<SetRound, 'leftUnits' | 'rightUnits' | 'lock'>>) => void
  /** What was read there was no reading. */
  discard: (position: number) => void
  clear: () => void
  /** It is being kept by whoever calls: what was still to be stored of it is not stored after that. */
  settle: () => void
}

/** The round as it is gone on with here, on top of so many kept ones. */
interface Local {
  jobId: number
  kept: number
  round: SetRound | null
  /** Places whose reading was none. */
  discarded: number[]
  /** It was read, not typed at: stored at once. */
  isRead: boolean
}

/**
 * The round in hand: as it was stored, with what is read here and on whatever device. Every change of it is stored.
 * It begins with what the advice said should be turned, as assumed: whoever turned it says so, or what was turned instead.
 */
export function useRound(
  visit: Visit | undefined,
  advice: SetAdvice | undefined,
  /** What was decided to be done before it, in the place of what was told. */
  decided?: Turned,
): RoundDraft {
  const job = visit?.job
  const [local, setLocal] = useState<Local | null>(null)
  const stored = job?.inHand?.round ?? null
  const kept = job?.rounds.length ?? 0
  const isHere = local !== null && local.jobId === job?.id && local.kept === kept
  const round = isHere ? together(local, stored) : stored
  const isFirst = kept === 0
  // Given up here and gone from the store: what comes next is shown again, from wherever.
  if (isHere && local.round === null && stored === null) setLocal(null)
  const fresh = (): SetRound => ({
    leftUnits: isFirst ? 0 : advised(advice, 'left'),
    rightUnits: isFirst ? 0 : advised(advice, 'right'),
    // Nipped ends no visit: what is not known is not taken for tight.
    lock: advice?.usualLock ?? 'nipped',
    readings: [],
    gapMm: null,
    at: null,
    who: whoAmI() || null,
    temperatureC: null,
    // What nobody said is not in the record.
    turnsRolled: null,
    onStand: null,
    note: null,
    run: job?.rounds.at(-1)?.run ?? null,
    shimsIn: null,
    freeAtIdle: null,
    loadKg: null,
    wayLeftMm: null,
    assumed: !isFirst && (advice?.moves.length ?? 0) > 0 ? ['turned', 'lock'] : ['lock'],
    learnAnew: false,
    ...decided,
  })
  const update = (next: (now: SetRound) => SetRound | null, isRead = false, discards: number[] = []) =>
    job &&
    setLocal((was) => {
      const here = was?.jobId === job.id && was.kept === kept ? was : null
      const round = next((here ? here.round : stored) ?? fresh())
      // What is read there anew stands.
      const discarded = [...(here?.discarded ?? []), ...discards].filter(
        (position) => !round?.readings.some((r) => r.position === position),
      )
      return { jobId: job.id, kept, round, discarded, isRead }
    })
  // What is stored counts from then on, also where it is read anew on another device.
  const settle = useStoredInHand(visit, isHere ? local : undefined, (stored) =>
    setLocal((now) => (now?.round === stored ? null : now)),
  )
  return {
    round,
    now: round ?? fresh(),
    read: (reading) =>
      update(
        (now) => ({
          ...now,
          readings: [...now.readings.filter((r) => r.position !== reading.position), reading].sort(
            (a, b) => a.position - b.position,
          ),
        }),
        true,
      ),
    change: (part) => update((now) => ({ ...now, ...part })),
    say: (what, part) =>
      update((now) => ({ ...now, ...part, assumed: (now.assumed ?? []).filter((a) => a !== what) })),
    discard: (position) =>
      update((now) => ({ ...now, readings: now.readings.filter((r) => r.position !== position) }), true, [
        position,
      ]),
    clear: () => {
      settle()
      void visit?.keepInHand(null)
      update(() => null)
    },
    settle,
  }
}

/** What is read here beside what was read on another device; at the same place, what is read here. */
const together = ({ round: here, discarded }: Local, stored: SetRound | null): SetRound | null =>
  here && {
    ...here,
    readings: [
      ...here.readings,
      ...(stored?.readings ?? []).filter(
        (r) => !discarded.includes(r.position) && !here.readings.some((h) => h.position === r.position),
      ),
    ].sort((a, b) => a.position - b.position),
  }

/**
 * Stores what is in hand: a reading at once, what is typed at it a moment after the last key, unless told not to; `undefined`
 * while nothing was changed here.
 */
function useStoredInHand(
  visit: Visit | undefined,
  local: Local | undefined,
  onStored: (round: SetRound) => void,
) {
  const round = local?.round
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  const keep = visit?.keepInHand
  // biome-ignore lint/correctness/useExhaustiveDependencies: only a changed round is stored anew
  useEffect(() => {
    if (!round) return
    timer.current = setTimeout(
      async () => (await keep?.(round, local.discarded)) && onStored(round),
      local?.isRead ? 0 : KEEP_AFTER_MS,
    )
    return () => clearTimeout(timer.current)
  }, [round])
  return () => clearTimeout(timer.current)
}

/** Units the advice asked for on one side; positive tightens. A single adjuster counts as the left one. */
function advised(advice: SetAdvice | undefined, side: 'left' | 'right'): number {
  const move = advice?.moves.find((m) => m.side === side || (m.side === null && side === 'left'))
  return move ? (move.tightens ? move.units : -move.units) : 0
}
