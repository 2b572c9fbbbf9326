import { useState } from 'react'
import { type SetAdvice, type SetJob, whoAmI } from '../api/client'
import { useDebouncedDraft, useEvaluation } from '../api/evaluation'
import type { Workbench } from '../machine/useWorkbench'
import { today } from '../quantities/days'
import { visitKey } from './visitSteps'

type Closing = NonNullable<SetJob['closing']>
type ClosingStep = Closing['done'][number]

/** What is typed at the end of a visit, at the page or in the bay. */
export interface TypedClosing {
  /** As it was measured, in Nm; null for not measured, undefined while nobody said: then it is what is told of the drive. */
  torqueNm?: number | null
  note: string
  reason: string
}

/** What is asked at the end of a visit, wherever it is asked. */
export interface ClosingAsked {
  bench: Workbench
  job: SetJob
  /** Of this adjuster: its closing list is in the order of the hands, and the core refuses another one. */
  manual: SetAdvice['manual']
  /** The last one that was kept, where it was taken with the nut at its torque. */
  lastReading: string | null
  torqueNm: number | null | undefined
  nextCheckOn: string
  typed: TypedClosing
  onTyped: (typed: TypedClosing) => void
  /** A round is begun and not kept: it must not be lost by closing. */
  isReading: boolean
  isPending: boolean
  onDone: (done: ClosingStep[]) => void
  onNextCheck: (day: string) => void
  onClose: (closing: Closing) => void
}

/** The end of a visit as it stands: what is done of its list, what it would be closed over, and what is still missing. */
export function useClosing({
  bench,
  job,
  manual,
  lastReading,
  torqueNm,
  nextCheckOn,
  typed,
  isReading,
  onTyped,
  onDone,
  onClose,
}: ClosingAsked) {
  // A tick stands at once; the store follows.
  const [ticked, setTicked] = useState<ClosingStep[] | null>(null)
  const done = ticked ?? job.inHand?.done ?? []
  const { note, reason } = typed
  const torque = (typed.torqueNm === undefined ? torqueNm : typed.torqueNm) ?? undefined
  const steps = manual.closing.map(({ step }) => step)
  const isRead = lastReading !== null && !isReading
  const torqueTyped = useDebouncedDraft(torque)
  const open = useEvaluation(
    bench.asFitted,
    'closing',
    isRead ? { visit: visitKey(job), torqueNm: torqueTyped ?? null } : undefined,
  )
  const despite = (isRead && open.data?.despite) || []
  const missing = isReading
    ? 'A round is in hand: keep it or read it anew before closing.'
    : lastReading === null
      ? 'The last reading, with everything tight, is still to be taken.'
      : done.length < steps.length
        ? 'Steps of the list are still to be done.'
        : despite.length > 0 && !reason.trim()
          ? 'It asks a reason.'
          : null
  return {
    /** How many steps of the list are done. */
    done: done.length,
    torque,
    note,
    reason,
    despite,
    outside: (isRead && open.data?.outside) || [],
    /** Why it can’t be closed yet; null where it can. */
    missing,
    setTorque: (torqueNm: number | undefined) => onTyped({ ...typed, torqueNm: torqueNm ?? null }),
    setNote: (note: string) => onTyped({ ...typed, note }),
    setReason: (reason: string) => onTyped({ ...typed, reason }),
    /** So many steps of the list are done now. */
    tick: (count: number) => {
      const next = steps.slice(0, count)
      setTicked(next)
      onDone(next)
    },
    close: () =>
      onClose({
        closedOn: today(),
        who: whoAmI() || null,
        torqueNm: torque ?? null,
        done: steps,
        nextCheckOn: nextCheckOn || null,
        note: note.trim() || null,
        reason: reason.trim() || null,
      }),
  }
}
