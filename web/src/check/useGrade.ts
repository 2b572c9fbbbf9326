import { useState } from 'react'
import type { FindingGrade, PartToLookAt } from '../api/check'
import type { JobSheet } from '../api/client'
import { PART_WORDS, placeText } from '../job/lookWords'
import { useJobEvents } from '../job/useJobEvents'
import { daysFrom, today } from '../quantities/days'
import type { Look, Spot } from './useLook'

/** A part in hand: what is typed of it, and how a grade is written down. */
export function useGrade(look: Look, job: JobSheet, at: PartToLookAt) {
  const record = useJobEvents(job.id)
  const odometerKm = look.answer.data?.odometerKm ?? null
  const [words, setWords] = useState('')
  const [against, setAgainst] = useState('')
  const [measured, setMeasured] = useState<number>()
  const [unit, setUnit] = useState('')
  const [method, setMethod] = useState('')
  const [limit, setLimit] = useState<number>()
  // What is usual stands there until somebody says otherwise.
  const [untilKm, setUntilKm] = useState<number | undefined>(
    odometerKm !== null && at.watchKm !== null ? odometerKm + at.watchKm : undefined,
  )
  const [untilOn, setUntilOn] = useState(at.watchDays === null ? '' : daysFrom(today(), at.watchDays))
  const what = nameOf(job, at, look.spot)
  const isHalfMeasured = measured === undefined && (`${unit}${method}`.trim() !== '' || limit !== undefined)
  const [isNumberMissing, setNumberMissing] = useState(false)
  const write = (grade: FindingGrade) => {
    setNumberMissing(isHalfMeasured)
    if (isHalfMeasured) return
    record.happens(
      {
        kind: 'findingNoted',
        what,
        grade,
        loopKey: look.loop?.loopKey ?? null,
        words: words.trim() || null,
        detail: {
          part: at.part,
          ...look.spot,
          untilKm: grade === 'watch' ? (untilKm ?? null) : null,
          untilOn: grade === 'watch' ? untilOn || null : null,
          against: against.trim() || null,
          measure:
            measured === undefined
              ? null
              : { value: measured, unit, method: method.trim() || null, limit: limit ?? null },
        },
      },
      () => {
        setWords('')
        setAgainst('')
        setMeasured(undefined)
        setUnit('')
        setMethod('')
        setLimit(undefined)
        // What is fine needs no photo: on to the next one.
        look.choose(grade === 'fine' ? undefined : at.part)
      },
    )
  }
  return {
    record,
    write,
    isNumberMissing: isNumberMissing && isHalfMeasured,
    until: { untilKm: untilKm ?? null, untilOn: untilOn || null },
    fields: {
      words,
      setWords,
      against,
      setAgainst,
      measured,
      setMeasured,
      unit,
      setUnit,
      method,
      setMethod,
      limit,
      setLimit,
      untilKm,
      setUntilKm,
      untilOn,
      setUntilOn,
    },
  }
}

export type Grading = ReturnType<typeof useGrade>

/** What it is called at this job: no two things that stand have the same name. */
function nameOf(job: JobSheet, at: PartToLookAt, spot: Spot): string {
  const name = [PART_WORDS[at.part], placeText(spot)].filter(Boolean).join(', ')
  const taken = new Set(job.findings.filter((f) => f.curedAt === null).map((f) => f.what))
  if (!taken.has(name)) return name
  for (let count = 2; ; count++) if (!taken.has(`${name} (${count})`)) return `${name} (${count})`
}
