import { notifications } from '@mantine/notifications'
import { useRef, useState } from 'react'
import {
  addSetJob,
  changeSetJob,
  InvalidInputError,
  type LoopSummary,
  type SetJob,
  type SetRound,
  whoAmI,
} from '../api/client'
import { sentenceOf } from '../api/issues'
import { useChange, useSetJobs } from '../api/queries'
import type { Workbench } from '../machine/useWorkbench'
import { today } from '../quantities/days'

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
  /** Keeps a change of the visit: stored, or in the page alone when it is practised. */
  keep: (part: Partial<SetJob>, onKept?: () => void) => void
  /** Stores the round in hand while readings come in: a refusal stands at its field and is not told again. */
  keepInHand: (round: SetRound | null) => void
}

/** The visit to the loop in view. Of a machine that is not stored, nothing but practice can be had. */
export function useVisit(bench: Workbench): Visit | undefined {
  const { machine } = bench.card
  const loop = bench.loops.at(-1)
  const jobs = useSetJobs(machine.id)
  const add = useChange(addSetJob)
  const change = useStoredInTurn()
  const [practice, setPractice] = useState<SetJob | null>(null)
  if (!loop) return undefined
  const ofLoop = (jobs.data ?? []).filter((j) => j.loopKey === loop.loopKey)
  const isPractice = practice !== null && practice.loopKey === loop.loopKey
  const job = isPractice ? practice : ofLoop.find((j) => j.closing === null)
  const told = (error: Error) => notifications.show({ color: 'red', message: sentenceOf(error) })
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
  return {
    loop,
    job,
    isPractice,
    otherSide: (jobs.data ?? []).find((j) => mirrored(bench, loop).includes(j.loopKey)),
    closed: ofLoop.filter((j) => j.closing !== null),
    isPending: add.isPending || change.isPending,
    begin: () => add.mutate(fresh, { onError: told }),
    practise: () => setPractice({ ...fresh, id: -1 - Math.floor(Math.random() * 1e6) }),
    leavePractice: () => setPractice(null),
    keep: (part, onKept) => {
      if (!job) return
      if (isPractice) {
        setPractice({ ...job, ...part })
        onKept?.()
      } else change.loudly(job, () => part).then(onKept, told)
    },
    keepInHand: (round) => {
      if (job && !isPractice)
        change
          .quietly(job, ({ inHand }) => ({ inHand: { round, done: inHand?.done ?? [] } }))
          .catch((error) => {
            if (!(error instanceof InvalidInputError)) told(error)
          })
    },
  }
}

/** Changes of a visit one after the other, each made from what the one before left. */
function useStoredInTurn() {
  const change = useChange(changeSetJob)
  const line = useRef<Promise<unknown>>(Promise.resolve())
  const newest = useRef<SetJob | undefined>(undefined)
  const [waiting, setWaiting] = useState(0)
  const quietly = (job: SetJob, part: (base: SetJob) => Partial<SetJob>): Promise<void> => {
    const mine = line.current.then(async () => {
      const known = newest.current
      const base = known?.id === job.id && known.version > job.version ? known : job
      newest.current = await change.mutateAsync({ ...base, ...part(base) })
    })
    line.current = mine.catch(() => undefined)
    return mine
  }
  const loudly = async (job: SetJob, part: (base: SetJob) => Partial<SetJob>) => {
    setWaiting((n) => n + 1)
    try {
      await quietly(job, part)
    } finally {
      setWaiting((n) => n - 1)
    }
  }
  return { quietly, loudly, isPending: waiting > 0 }
}

/** Loops of the drives that mirror the one in view. */
function mirrored({ card, drive }: Workbench, loop: LoopSummary): string[] {
  const place = drive.stages.findIndex((s) => s.key === loop.loopKey)
  return card.machine.drives
    .filter((d) => d.key !== drive.key && (d.mirrors === drive.key || drive.mirrors === d.key))
    .map((d) => d.stages[place]?.key)
    .filter((key) => key !== undefined)
}
