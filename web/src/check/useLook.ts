import { useState } from 'react'
import type { InspectedPart, InspectionKind, LookAnswer, LoopRun, PartToLookAt } from '../api/check'
import type { JobSheet } from '../api/client'
import { useEvaluation } from '../api/evaluation'
import { useJobs } from '../api/queries'
import type { Workbench } from '../machine/useWorkbench'

/** Where on the drawing was pressed. */
export interface Spot {
  fromTooth: number | null
  toTooth: number | null
  run: LoopRun | null
}
export const NOWHERE: Spot = { fromTooth: null, toTooth: null, run: null }

/** The look at the loop in view: what is asked, what was seen, which part is in hand, and the job it goes to. */
export function useLook(bench: Workbench) {
  const loop = bench.loops.at(-1)
  const [asked, setAsked] = useState<{ loopKey: string | undefined; kind: InspectionKind }>()
  // What one loop is looked at as is no way for another one.
  const kind = asked?.loopKey === loop?.loopKey ? asked?.kind : undefined
  const [chosen, setChosen] = useState<InspectedPart>()
  const [spot, setSpot] = useState<Spot>(NOWHERE)
  const answer = useEvaluation(bench.asFitted, 'look', loop && { kinds: kind ? [kind] : null })
  const due = useEvaluation(bench.asFitted, 'due', {})
  const jobs = useJobs(bench.card.machine.id)
  const job = jobs.data?.find((j) => j.state === 'goesOn')
  const parts = answer.data?.parts ?? []
  const isSeen = (part: PartToLookAt) => isSeenAt(part, job)
  const next = parts.find((p) => p.isAsked && !isSeen(p)) ?? parts.find((p) => !isSeen(p))
  const at = parts.find((p) => p.part === chosen) ?? next ?? parts[0]
  return {
    loop,
    answer,
    due,
    jobs,
    job,
    parts,
    at,
    spot,
    isSeen,
    left: parts.filter((p) => !isSeen(p)),
    setKind: (chosen: InspectionKind) => setAsked({ loopKey: loop?.loopKey, kind: chosen }),
    setSpot,
    choose: (part: InspectedPart | undefined, where: Spot = NOWHERE) => {
      setChosen(part)
      setSpot(where)
    },
  }
}

export type Look = ReturnType<typeof useLook>

/** Whether a part was looked at by this job. */
const isSeenAt = (part: PartToLookAt, job: JobSheet | undefined) => part.seen.some((s) => s.jobId === job?.id)

/** How a part was the last time before this job, and the time before that. */
export const earlierOf = (part: PartToLookAt, job: JobSheet | undefined) =>
  part.seen.filter((s) => s.jobId !== job?.id)

/** The worst that this job says of a part, else what was said last. */
export const gradeNow = (part: PartToLookAt, job: JobSheet | undefined) => {
  const now = part.seen.filter((s) => s.jobId === job?.id && s.curedAt === null)
  const shown = now.length > 0 ? now : earlierOf(part, job).slice(0, 1)
  return shown.reduce<(typeof shown)[number] | undefined>(
    (worst, s) => (worst && ORDER.indexOf(worst.grade) >= ORDER.indexOf(s.grade) ? worst : s),
    undefined,
  )
}
const ORDER: LookAnswer['parts'][number]['seen'][number]['grade'][] = ['fine', 'watch', 'stop']
