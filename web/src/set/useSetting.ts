import { notifications } from '@mantine/notifications'
import { useState } from 'react'
import {
  addSetJob,
  adviseSetting,
  changeSetJob,
  type LoopSetting,
  type LoopSummary,
  type SetAdvice,
  type SetInput,
  type SetJob,
  type SetRound,
  whoAmI,
} from '../api/client'
import { sentenceOf } from '../api/issues'
import { type Computed, useChange, useComputed, useSetJobs } from '../api/queries'
import type { Workbench } from '../machine/useWorkbench'

/** What is asked of the core about a loop of which nobody said yet how it is set: it fills in the rest. */
const unasked = (loopKey: string) => ({ loopKey }) as LoopSetting

export interface Setting {
  loop: LoopSummary
  /** The visit that goes on, stored or only practised; undefined between visits. */
  job: SetJob | undefined
  isPractice: boolean
  /** The newest visit to the loop of a drive that mirrors this one: both should match. */
  otherSide: SetJob | undefined
  /** Closed visits to this loop, newest first. */
  closed: SetJob[]
  input: SetInput
  advice: Computed<SetAdvice>
  isPending: boolean
  begin: () => void
  practise: () => void
  leavePractice: () => void
  /** Keeps a change of the visit: stored, or in the page alone when it is practised. */
  keep: (part: Partial<SetJob>, onKept?: () => void) => void
}

const today = () => new Date().toLocaleDateString('sv-SE') // the day here, as ISO 8601 writes it

/**
 * The visit to the loop in view, and what it should be told next.
 * @param draft How it is set, as it is being typed.
 * @param round What was read so far and is not kept yet.
 */
export function useSetting(
  bench: Workbench,
  draft: LoopSetting | null,
  round: SetRound | null,
): Setting | undefined {
  const loop = bench.loops.at(-1)
  const jobs = useSetJobs(bench.card.machine.id)
  const add = useChange(addSetJob)
  const change = useChange(changeSetJob)
  const [practice, setPractice] = useState<SetJob | null>(null)
  const ofLoop = (jobs.data ?? []).filter((j) => j.loopKey === loop?.loopKey)
  const isPractice = practice !== null && practice.loopKey === loop?.loopKey
  const job = isPractice ? practice : ofLoop.find((j) => j.closing === null)
  const kept = job?.rounds ?? []
  const input = loop && setInput(bench, loop, draft, round ? [...kept, round] : kept, job)
  const advice = useComputed('set-advice', input, adviseSetting)
  if (!loop || !input) return undefined
  const told = (error: Error) => notifications.show({ color: 'red', message: sentenceOf(error) })
  const fresh: SetJob = {
    id: 0,
    version: 0,
    machineId: bench.card.machine.id,
    loopKey: loop.loopKey,
    openedOn: today(),
    who: whoAmI() || null,
    goal: 'both',
    rounds: [],
    gauge: [],
    closing: null,
  }
  return {
    loop,
    job,
    isPractice,
    otherSide: (jobs.data ?? []).find((j) => mirrored(bench, loop).includes(j.loopKey)),
    closed: ofLoop.filter((j) => j.closing !== null),
    input,
    advice,
    isPending: add.isPending || change.isPending,
    begin: () => add.mutate(fresh, { onError: told }),
    practise: () => setPractice({ ...fresh, id: -1 - Math.floor(Math.random() * 1e6) }),
    leavePractice: () => setPractice(null),
    keep: (part, onKept) => {
      if (!job) return
      if (isPractice) {
        setPractice({ ...job, ...part })
        onKept?.()
      } else change.mutate({ ...job, ...part }, { onError: told, onSuccess: onKept })
    },
  }
}

/** Loops of the drives that mirror the one in view. */
function mirrored({ card, drive }: Workbench, loop: LoopSummary): string[] {
  const place = drive.stages.findIndex((s) => s.key === loop.loopKey)
  return card.machine.drives
    .filter((d) => d.key !== drive.key && (d.mirrors === drive.key || drive.mirrors === d.key))
    .map((d) => d.stages[place]?.key)
    .filter((key) => key !== undefined)
}

export function setInput(
  { card, drive }: Pick<Workbench, 'card' | 'drive'>,
  loop: LoopSummary,
  draft: LoopSetting | null,
  rounds: SetRound[],
  job: Pick<SetJob, 'goal' | 'gauge'> | undefined,
): SetInput {
  const { machine, fitted } = card
  return {
    drive,
    kind: machine.kind,
    loops: fitted.loops.filter((c) => drive.stages.some((s) => s.key === c.loopKey)),
    roadWheels: fitted.roadWheels,
    layout: machine.layouts?.find((l) => l.loopKey === loop.loopKey) ?? null,
    source: machine.loads?.sources.find((s) => s.driveKey === drive.key) ?? null,
    strength: machine.loads?.strengths.find((s) => s.loopKey === loop.loopKey) ?? null,
    setting: draft ?? machine.settings?.find((s) => s.loopKey === loop.loopKey) ?? unasked(loop.loopKey),
    rounds,
    goal: job?.goal ?? 'both',
    gauge: job?.gauge ?? null,
  }
}
