import { detailText, gradeText } from '../job/lookWords'
import { GRADE_COLOURS, GRADE_MARKS } from '../loop/findingWords'
import { dayText } from '../quantities/days'
import { useUnits } from '../quantities/units'
import classes from './LookList.module.css'
import { earlierOf, gradeNow, type Look } from './useLook'

/** Every part with how it is now and how it was; a press takes it in hand. */
export function LookList({ look }: { look: Look }) {
  const units = useUnits()
  const others = look.answer.data?.others ?? []
  return (
    <>
      <ol className={classes.list}>
        {look.parts.map((part) => {
          const isNow = look.isSeen(part)
          const now = isNow ? gradeNow(part, look.job) : undefined
          const [last] = earlierOf(part, look.job)
          return (
            <li key={part.part} aria-current={look.at?.part === part.part || undefined}>
              <button type="button" onClick={() => look.choose(part.part)}>
                <span>
                  {part.what}
                  {part.isAsked && !isNow && <b className={classes.asked}> asked for</b>}
                  {now?.what && (
                    <span className="cap">
                      {' '}
                      {[now.what, detailText(now.detail), now.words].filter(Boolean).join(', ')}
                    </span>
                  )}
                </span>
                <span className="cap">
                  {last ? `${GRADE_MARKS[last.grade]} ${last.grade}, ${dayText(last.at)}` : ''}
                </span>
                <b style={now && { color: GRADE_COLOURS[now.grade] }}>
                  {now ? `${GRADE_MARKS[now.grade]} ${gradeText(now, units)}` : '–'}
                </b>
              </button>
            </li>
          )
        })}
      </ol>
      {others.map((seen) => (
        <p key={seen.entry} className="cap">
          {GRADE_MARKS[seen.grade]} {gradeText(seen, units)}:{' '}
          {[seen.what, seen.words].filter(Boolean).join(', ')}, {dayText(seen.at)}
        </p>
      ))}
    </>
  )
}
