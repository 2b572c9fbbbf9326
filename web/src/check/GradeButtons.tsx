import type { FindingGrade, PartToLookAt } from '../api/check'
import { untilText } from '../job/lookWords'
import { GRADE_COLOURS, GRADE_MARKS, GRADE_WORDS } from '../loop/findingWords'
import { useUnits } from '../quantities/units'
import classes from './GradeButtons.module.css'
import type { Grading } from './useGrade'

const GRADES: FindingGrade[] = ['fine', 'watch', 'stop']

/** Three grades, each with what makes it so; a press says it. */
export function GradeButtons({
  at,
  grading,
  isBig = false,
}: {
  at: PartToLookAt
  grading: Grading
  isBig?: boolean
}) {
  const units = useUnits()
  const until = untilText(grading.until, units)
  return (
    <fieldset className={classes.grades} data-big={isBig || undefined} aria-label={`Grade: ${at.what}`}>
      {GRADES.map((grade) => (
        <button
          key={grade}
          type="button"
          className={classes.grade}
          data-grade={grade}
          disabled={grading.record.isPending}
          onClick={() => grading.write(grade)}
        >
          <b style={{ color: GRADE_COLOURS[grade] }}>
            {GRADE_MARKS[grade]} {GRADE_WORDS[grade]}
            {grade === 'watch' && until && <span className={classes.until}> until {until}</span>}
          </b>
          <span>{at.criteria ? (at.criteria[grade] ?? 'nothing between fine and stop') : ''}</span>
        </button>
      ))}
    </fieldset>
  )
}
