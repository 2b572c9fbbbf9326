import { type JobEvent, type SetJob, type SetRound, whoAmI } from '../api/client'

type Closing = NonNullable<SetJob['closing']>
type ClosingStep = Closing['done'][number]
type Pair = SetJob['gauge'][number]

/** Which stored visit: of a job that sets several loops there is one for each. */
export const visitKey = ({ id, loopKey }: SetJob) => ({ jobId: id, loopKey })

/** Something that happens at a visit. */
export interface VisitStep {
  /** As it is told to the record, from what the visit is. */
  events: (visit: SetJob) => JobEvent[]
  /** What it makes of a visit that is only practised, which no record knows. */
  practised: (visit: SetJob) => Partial<SetJob>
}

export const goalChosen = (goal: SetJob['goal']): VisitStep => ({
  events: ({ loopKey }) => [{ kind: 'goalChosen', loopKey, goal }],
  practised: () => ({ goal }),
})

export const confirmed = (): VisitStep => ({
  events: ({ loopKey }) => [{ kind: 'cautionsSeen', loopKey }],
  practised: () => ({ cautions: { who: whoAmI() || null, at: new Date().toISOString() } }),
})

export const tied = (pair: Pair): VisitStep => ({
  events: ({ loopKey }) => [{ kind: 'readingsTied', loopKey, pair }],
  practised: ({ gauge }) => ({ gauge: [...gauge, pair] }),
})

/** The steps of the closing list that are done now. */
export const ticked = (done: ClosingStep[]): VisitStep => ({
  events: ({ loopKey, inHand }) => {
    const before = inHand?.done ?? []
    const tick = (step: ClosingStep, isDone: boolean): JobEvent => ({
      kind: 'stepTicked',
      loopKey,
      step,
      isDone,
    })
    return [
      ...before
        .filter((s) => !done.includes(s))
        .reverse()
        .map((s) => tick(s, false)),
      ...done.filter((s) => !before.includes(s)).map((s) => tick(s, true)),
    ]
  },
  practised: ({ inHand }) => ({ inHand: { round: inHand?.round ?? null, done } }),
})

/**
 * What is in hand now, as what is new of it.
 * @param discarded Places whose reading here was none; what others read since is not touched.
 */
export const roundInHand = (round: SetRound | null, discarded: number[] = []): VisitStep => ({
  events: ({ loopKey, inHand }) => {
    const before = inHand?.round ?? null
    if (round === null) return before ? [{ kind: 'roundDropped', loopKey }] : []
    const isNew = (reading: SetRound['readings'][number]) =>
      !before?.readings.some((r) => JSON.stringify(known(r)) === JSON.stringify(known(reading)))
    return [
      ...discarded
        .filter((position) => before?.readings.some((r) => r.position === position))
        .map((position) => ({ kind: 'readingDiscarded' as const, loopKey, position })),
      ...(before && circumstances(before) === circumstances(round)
        ? []
        : [{ kind: 'roundNoted' as const, loopKey, round: { ...round, readings: [] } }]),
      ...round.readings
        .filter(isNew)
        .map((reading) => ({ kind: 'readingTaken' as const, loopKey, reading: known(reading) })),
    ]
  },
  practised: ({ inHand }) => ({ inHand: { round, done: inHand?.done ?? [] } }),
})

export const roundKept = (round: SetRound): VisitStep => ({
  events: (visit) => [
    ...roundInHand(round).events(visit),
    { kind: 'roundKept', loopKey: visit.loopKey, at: null },
  ],
  practised: ({ rounds, inHand }) => ({
    rounds: [...rounds, { ...round, at: new Date().toISOString() }],
    inHand: { round: null, done: inHand?.done ?? [] },
  }),
})

export const closed = (closing: Closing): VisitStep => ({
  events: ({ loopKey }) => [
    {
      kind: 'visitClosed',
      loopKey,
      closedOn: closing.closedOn,
      torqueNm: closing.torqueNm,
      done: closing.done,
      nextCheckOn: closing.nextCheckOn,
      note: closing.note,
      despite: null,
      reason: closing.reason ?? null,
    },
  ],
  practised: () => ({ closing, inHand: null }),
})

const known = ({ method, value, position, forceN }: SetRound['readings'][number]) => ({
  method,
  value,
  position: position ?? 0,
  forceN: forceN ?? null,
})

/** All of a round but its readings, and who and when, which the record says. Not said is not said, null or left out. */
const circumstances = (round: SetRound) =>
  JSON.stringify(
    Object.entries(round)
      .filter(([name, value]) => !['readings', 'who', 'at'].includes(name) && value != null)
      .sort(([a], [b]) => (a < b ? -1 : 1)),
  )
