import type { ChoiceDesk } from '../api/choice'
import { choicesOf } from '../quantities/choices'
import { Panel } from '../shell/Panel'
import classes from './Choice.module.css'
import { SAID_SIGNS, SAID_WORDS } from './words'

/** Who says a reason, and how it is weighed: the rule stands where it is used. */
export function SaidByPanel({ desk }: { desk: ChoiceDesk }) {
  return (
    <Panel title="Said by">
      <ul className={classes.said}>
        {choicesOf(SAID_WORDS).map(({ value, label }) => (
          <li key={value}>
            <span aria-hidden="true">{SAID_SIGNS[value]}</span> {label}
          </li>
        ))}
      </ul>
      <p className="cap">
        How it is weighed: what must be so excludes. Each wish counts by its weight and by the part of the
        best that each one comes to, only where all that are left have a figure that was measured or is by a
        maker or standard. Nearer than {desk.nearEqual} of 1 they are equal; then common practice is asked,
        and it is said that it is only that. One person’s word never turns the outcome. No reason is hidden.
      </p>
    </Panel>
  )
}
