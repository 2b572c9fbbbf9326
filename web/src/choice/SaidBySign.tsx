import type { ChoiceColumn } from '../api/choice'
import classes from './Choice.module.css'
import { SAID_SIGNS, SAID_WORDS } from './words'

/** Who says so, as a sign; its words for who hears or points. */
export function SaidBySign({
  saidBy,
  who,
}: {
  saidBy: ChoiceColumn['for'][number]['saidBy']
  who?: string | null
}) {
  const by = saidBy ?? 'onePersonsWord'
  const words = who && by !== 'commonPractice' ? `${SAID_WORDS[by]}: ${who}` : SAID_WORDS[by]
  return (
    <span className={classes.sign} title={words}>
      <span aria-hidden="true">{SAID_SIGNS[by]}</span>
      <span className="visually-hidden">{words}</span>
    </span>
  )
}
