import { notifications } from '@mantine/notifications'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useRef, useState } from 'react'
import {
  addJobEvents,
  addSetJob,
  InvalidInputError,
  type JobEvent,
  keepEvents,
  type LoopSummary,
  type SentEvent,
  type SetJob,
  type SetRound,
  whoAmI,
} from '../api/client'
import { inView, type PartName } from '../api/evaluation'
import { sentenceOf } from '../api/issues'
import { AGAIN_WHEN_BACK, readAgain, useChange, useSetJobs } from '../api/queries'
import { letGo } from '../api/unsent'
import type { Workbench } from '../machine/useWorkbench'
import { today } from '../quantities/days'
import {
  closed,
  confirmed,
  goalChosen,
  roundInHand,
  roundKept,
  ticked,
  tied,
  type VisitStep,
} from './visitSteps'

export interface Visit {
  loop: LoopSummary
  /** Whether it is known which visits there are: until then nothing says that there is none. */
  isKnown: boolean
  /** Why that can't be read. */
  trouble: unknown
  /** The visit that goes on, stored or only practised; undefined between visits. */
  job: SetJob | undefined
  isPractice: boolean
  /** All visits to this machine, newest first. */
  jobs: SetJob[]
  /** Closed visits to this loop, newest first. */
  closed: SetJob[]
  /** What is in hand could not be stored as it is. */
  isUnstored: boolean
  isPending: boolean
  begin: () => void
  practise: () => void
  leavePractice: () => void
  choose: (goal: SetJob['goal']) => void
  confirm: () => void
  tie: (pair: SetJob['gauge'][number]) => void
  tick: (done: ClosingStep[]) => void
  keepRound: (round: SetRound, onKept: () => void) => void
  close: (closing: Closing, onKept: () => void) => void
  /**
   * Writes down what is in hand while readings come in: a refusal stands at its field and is not shown again.
   * Tells whether it is stored as it is.
   */
  keepInHand: (round: SetRound | null, discarded?: number[]) => Promise<boolean>
  /** Of one that was begun by mistake: it stands no more. */
  cancel: (onCancelled: () => void) => void
}

type Closing = NonNullable<SetJob['closing']>
type ClosingStep = Closing['done'][number]

/** The visit to the loop in view. Of a machine that is not stored, nothing but practice can be had. */
export function useVisit(bench: Workbench): Visit | undefined {
  const { machine } = bench.card
  const loop = bench.loops.at(-1)
  const jobs = useSetJobs(machine.id)
  const add = useChange(addSetJob)
  const record = useRecord(bench)
  // Nothing of a visit that stands no more is asked along with it.
  const cancel = useChange(addJobEvents, AGAIN_WHEN_BACK)
  const [isUnstored, setUnstored] = useState(false)
  const [practice, setPractice] = useState<SetJob | null>(null)
  if (!loop) return undefined
  const ofLoop = (jobs.data ?? []).filter((j) => j.loopKey === loop.loopKey)
  const isPractice = practice !== null && practice.loopKey === loop.loopKey
  const job = isPractice ? practice : ofLoop.find((j) => j.closing === null)
  const showError = (error: Error) => notifications.show({ color: 'red', message: sentenceOf(error) })
  const fresh: SetJob = {
    id: 0,
    version: 0,
    machineId: machine.id,
    loopKey: loop.loopKey,
    openedOn: today(),
    who: whoAmI() || null,
    goal: 'both',
    rounds: [],
    // A gauge and a hand stay tied to this loop from one visit to the next.
    gauge: ofLoop[0]?.gauge ?? [],
    closing: null,
    inHand: null,
    cautions: null,
  }
  /** A practised visit is the page's alone; a stored one keeps what happened. */
  const happens = (step: VisitStep, onKept?: () => void) => {
    if (!job) return
    if (isPractice) {
      setPractice({ ...job, ...step.practised(job) })
      onKept?.()
    } else record.showingWait(job, step.events).then(onKept, showError)
  }
  return {
    loop,
    isKnown: machine.id === 0 || jobs.data !== undefined,
    trouble: jobs.error,
    job,
    isPractice,
    jobs: jobs.data ?? [],
    closed: ofLoop.filter((j) => j.closing !== null),
    isUnstored,
    isPending: add.isPending || record.isPending || cancel.isPending,
    begin: () => add.mutate(fresh, { onError: showError }),
    practise: () => setPractice({ ...fresh, id: -1 - Math.floor(Math.random() * 1e6) }),
    leavePractice: () => setPractice(null),
    choose: (goal) => happens(goalChosen(goal)),
    confirm: () => happens(confirmed()),
    tie: (pair) => happens(tied(pair)),
    tick: (done) => happens(ticked(done)),
    keepRound: (round, onKept) => happens(roundKept(round), onKept),
    close: (closing, onKept) => happens(closed(closing), onKept),
    cancel: async (onCancelled) => {
      if (!job) return
      if (isPractice) return setPractice(null)
      try {
        const event: JobEvent = { kind: 'visitCancelled', loopKey: job.loopKey }
        // After what was read before: that would be refused once it stands no more.
        await record.inLine(() =>
          cancel.mutateAsync({ id: job.id, events: [{ key: crypto.randomUUID(), event }] }),
        )
        onCancelled()
      } catch (error) {
        showError(error as Error)
      }
    },
    keepInHand: async (round, discarded) => {
      if (!job || isPractice) return false
      try {
        await record.inBackground(job, roundInHand(round, discarded).events)
        setUnstored(false)
        return true
      } catch (error) {
        setUnstored(true)
        if (!(error instanceof InvalidInputError)) showError(error as Error)
        return false
      }
    },
  }
}

/** What of a page hangs on what is read at a visit. */
const OF_A_VISIT: PartName[] = ['headlines', 'set', 'closing', 'sideMatch', 'runningIn', 'warmth']

/**
 * Writes down what happens one after the other, each as the one before left the visit. What is in view of it is asked along
 * with it: a reading is one request.
 */
function useRecord({ asFitted, card }: Workbench) {
  const cache = useQueryClient()
  const send = useMutation({
    mutationFn: async (happened: { id: number; events: SentEvent[] }) => {
      const { ask, takeIn } = inView(cache, asFitted, OF_A_VISIT)
      const { job, visit, evaluation } = await addJobEvents({ ...happened, ask })
      if (!visit) throw new Error('The program told no visit.')
      const visits = ['set-jobs', card.machine.id]
      const isBeingRead = cache.isFetching({ queryKey: visits }) > 0
      // It was asked for before this was written down, and would pass for what stands now.
      if (isBeingRead) await cache.cancelQueries({ queryKey: visits })
      cache.setQueryData<SetJob[]>(visits, (known) =>
        known?.map((v) => {
          if (v.id !== visit.id) return v
          return v.loopKey === visit.loopKey ? visit : { ...v, version: job.version }
        }),
      )
      takeIn(evaluation)
      if (isBeingRead) void cache.invalidateQueries({ queryKey: visits })
      return visit
    },
    ...AGAIN_WHEN_BACK,
    onSettled: (_, error, { events }) => {
      // A reading in hand changes nothing that stands elsewhere on this page.
      const isOfRounds = events.some(
        ({ event }) => event.kind === 'roundKept' || event.kind === 'visitClosed',
      )
      return readAgain(
        cache,
        (kind) => !['computed', 'evaluation', 'set-jobs'].includes(String(kind)),
        error || isOfRounds ? 'active' : 'none',
      )
    },
  })
  const line = useRef<Promise<unknown>>(Promise.resolve())
  const newest = useRef<SetJob | undefined>(undefined)
  const [waiting, setWaiting] = useState(0)
  const inLine = <T>(task: () => Promise<T>): Promise<T> => {
    const mine = line.current.then(task)
    line.current = mine.catch(() => undefined)
    return mine
  }
  const inBackground = (job: SetJob, what: (base: SetJob) => JobEvent[]): Promise<void> => {
    const eventsOn = (base: SetJob): SentEvent[] =>
      what(base).map((event) => ({ key: crypto.randomUUID(), event }))
    // Until its turn comes the device keeps it as far as it can be told now, in case the page is closed before.
    const early = eventsOn(job)
    if (early.length > 0) keepEvents(job.id, early)
    return inLine(async () => {
      const known = newest.current
      const base =
        known?.id === job.id && known.loopKey === job.loopKey && known.version > job.version ? known : job
      const events = base === job ? early : eventsOn(base)
      if (events.length > 0) keepEvents(job.id, events)
      if (events !== early && early[0]) letGo(early[0].key)
      if (events.length > 0) newest.current = await send.mutateAsync({ id: job.id, events })
    })
  }
  const showingWait = async (job: SetJob, what: (base: SetJob) => JobEvent[]) => {
    setWaiting((n) => n + 1)
    try {
      await inBackground(job, what)
    } finally {
      setWaiting((n) => n - 1)
    }
  }
  return { inBackground, inLine, showingWait, isPending: waiting > 0 }
}
