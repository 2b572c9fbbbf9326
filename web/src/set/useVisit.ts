import { notifications } from '@mantine/notifications'
import { useRef, useState } from 'react'
import {
  addJobEvents,
  addSetJob,
  InvalidInputError,
  type JobEvent,
  type LoopSummary,
  type SetJob,
  type SetRound,
  whoAmI,
} from '../api/client'
import { sentenceOf } from '../api/issues'
import { useChange, useSetJobs } from '../api/queries'
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
  /** The visit that goes on, stored or only practised; undefined between visits. */
  job: SetJob | undefined
  isPractice: boolean
  /** The newest visit to the loop of a drive that mirrors this one: both should match. */
  otherSide: SetJob | undefined
  /** Closed visits to this loop, newest first. */
  closed: SetJob[]
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
  /** Writes down what is in hand while readings come in: a refusal stands at its field and is not shown again. */
  keepInHand: (round: SetRound | null) => void
}

type Closing = NonNullable<SetJob['closing']>
type ClosingStep = Closing['done'][number]

/** The visit to the loop in view. Of a machine that is not stored, nothing but practice can be had. */
export function useVisit(bench: Workbench): Visit | undefined {
  const { machine } = bench.card
  const loop = bench.loops.at(-1)
  const jobs = useSetJobs(machine.id)
  const add = useChange(addSetJob)
  const record = useRecord()
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
    job,
    isPractice,
    otherSide: (jobs.data ?? []).find((j) => mirrored(bench, loop).includes(j.loopKey)),
    closed: ofLoop.filter((j) => j.closing !== null),
    isPending: add.isPending || record.isPending,
    begin: () => add.mutate(fresh, { onError: showError }),
    practise: () => setPractice({ ...fresh, id: -1 - Math.floor(Math.random() * 1e6) }),
    leavePractice: () => setPractice(null),
    choose: (goal) => happens(goalChosen(goal)),
    confirm: () => happens(confirmed()),
    tie: (pair) => happens(tied(pair)),
    tick: (done) => happens(ticked(done)),
    keepRound: (round, onKept) => happens(roundKept(round), onKept),
    close: (closing, onKept) => happens(closed(closing), onKept),
    keepInHand: (round) => {
      if (job && !isPractice)
        record.inBackground(job, roundInHand(round).events).catch((error) => {
          if (!(error instanceof InvalidInputError)) showError(error)
        })
    },
  }
}

/** Writes down what happens one after the other, each as the one before left the visit. */
function useRecord() {
  const send = useChange(addJobEvents)
  const line = useRef<Promise<unknown>>(Promise.resolve())
  const newest = useRef<SetJob | undefined>(undefined)
  const [waiting, setWaiting] = useState(0)
  const inBackground = (job: SetJob, what: (base: SetJob) => JobEvent[]): Promise<void> => {
    const mine = line.current.then(async () => {
      const known = newest.current
      const base = known?.id === job.id && known.version > job.version ? known : job
      const events = what(base).map((event) => ({ key: crypto.randomUUID(), event }))
      if (events.length > 0) newest.current = await send.mutateAsync({ id: job.id, events })
    })
    line.current = mine.catch(() => undefined)
    return mine
  }
  const showingWait = async (job: SetJob, what: (base: SetJob) => JobEvent[]) => {
    setWaiting((n) => n + 1)
    try {
      await inBackground(job, what)
    } finally {
      setWaiting((n) => n - 1)
    }
  }
  return { inBackground, showingWait, isPending: waiting > 0 }
}

/** Loops of the drives that mirror the one in view. */
function mirrored({ card, drive }: Workbench, loop: LoopSummary): string[] {
  const place = drive.stages.findIndex((s) => s.key === loop.loopKey)
  return card.machine.drives
    .filter((d) => d.key !== drive.key && (d.mirrors === drive.key || drive.mirrors === d.key))
    .map((d) => d.stages[place]?.key)
    .filter((key) => key !== undefined)
}
