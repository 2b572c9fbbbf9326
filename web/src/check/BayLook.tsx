import type { PartToLookAt } from '../api/check'
import type { JobSheet } from '../api/client'
import { TakePhotos } from '../job/TakePhotos'
import { Bay } from '../shell/Bay'
import classes from '../shell/bay.module.css'
import { ReasonedButton } from '../shell/ReasonedButton'
import { Refused } from '../shell/Refused'
import { GradeButtons } from './GradeButtons'
import { useGrade } from './useGrade'
import { gradeNow, type Look } from './useLook'

/** One part, big, for a thumb; the screen stays awake, and it speaks when wanted. */
export function BayLook({
  look,
  job,
  at,
  onLeave,
}: {
  look: Look
  job: JobSheet
  at: PartToLookAt
  onLeave: () => void
}) {
  const number = look.parts.indexOf(at)
  const before = look.parts[number - 1]
  const after = look.parts[number + 1]
  return (
    <Bay speech={[at.what, at.caution].filter(Boolean).join('. ')} onLeave={onLeave}>
      <p className={classes.count}>
        {number + 1} of {look.parts.length}
        {look.left.length === 0 && ' · all of it is graded'}
      </p>
      <p className={classes.instruction} aria-live="polite">
        {at.what}
      </p>
      {at.caution && <p className={classes.trap}>▲ {at.caution}</p>}
      <Grades key={at.part} look={look} job={job} at={at} />
      <footer>
        <ReasonedButton
          size="xl"
          className={classes.big}
          variant="default"
          why={before ? null : 'This is the first one.'}
          onClick={() => before && look.choose(before.part)}
        >
          Back
        </ReasonedButton>
        <ReasonedButton
          size="xl"
          className={classes.big}
          variant="default"
          why={after ? null : 'This is the last one.'}
          onClick={() => after && look.choose(after.part)}
        >
          Next
        </ReasonedButton>
      </footer>
    </Bay>
  )
}

function Grades({ look, job, at }: { look: Look; job: JobSheet; at: PartToLookAt }) {
  const grading = useGrade(look, job, at)
  const now = look.isSeen(at) ? gradeNow(at, job) : undefined
  return (
    <>
      <GradeButtons at={at} grading={grading} isBig />
      <Refused error={grading.record.error} fields={[]} />
      {now?.what && <TakePhotos jobId={job.id} said={{ shows: 'anything', finding: now.what }} />}
    </>
  )
}
