import { useState } from 'react'
import type { FasteningDone, PlanStep, StepOutcome } from '../api/plan'
import { useJobEvents } from '../job/useJobEvents'

/** A step in hand: what is typed at it, and how it is written down. */
export function useStep(jobId: number, at: PlanStep) {
  const { step } = at
  const [values, setValues] = useState<Record<string, number | undefined>>(
    Object.fromEntries(at.values.map((v) => [v.key, v.value])),
  )
  const [way, setWay] = useState(at.way)
  const [fastening, setFastening] = useState<Partial<FasteningDone>>(at.fastening ?? startOf(at))
  const record = useJobEvents(jobId)
  const write = (outcome: StepOutcome, why: string | null) => {
    const isLeftOut = outcome === 'leftOut'
    record.happens({
      kind: 'stepDone',
      step: step.key,
      outcome,
      why,
      way: step.way && !isLeftOut ? way : null,
      values: isLeftOut
        ? []
        : Object.entries(values).flatMap(([key, value]) => (value === undefined ? [] : [{ key, value }])),
      fastening: step.fastener && !isLeftOut ? wholeOf(fastening) : null,
    })
  }
  return { at, values, setValues, way, setWay, fastening, setFastening, record, write }
}

export type StepInHand = ReturnType<typeof useStep>

/** As many as the machine has, and nothing said of how: that is for the hand to say. */
const startOf = ({ step: { fastener } }: PlanStep): Partial<FasteningDone> =>
  fastener
    ? {
        count: fastener.count ?? undefined,
        of: fastener.count ?? undefined,
        torqueNm: null,
        // What nothing keeps but its torque has no lock to look at.
        ...(fastener.lock === 'none' && { lock: 'none' }),
        // What is pulled to no torque is not asked for one.
        ...(!fastener.takesTorque && { by: 'feel' }),
      }
    : {}

/** Null until all of it is said. */
function wholeOf({ count, of, torqueNm, by, lock }: Partial<FasteningDone>): FasteningDone | null {
  if (count === undefined || of === undefined || by === undefined || lock === undefined) return null
  return { count, of, torqueNm: torqueNm ?? null, by, lock }
}
