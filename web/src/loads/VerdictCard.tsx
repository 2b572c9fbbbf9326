import type { CheckMends, LoopLoadsResult } from '../api/client'
import { CHECK_WORDS } from '../loop/checkWords'
import { fixed } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { Guessed } from '../shell/Guessed'
import classes from './VerdictCard.module.css'
import { mendText, POINT_WORDS, smallestMargin, VERDICT_MARKS, VERDICT_TONES, worst } from './words'

/** The answer of the station in one sentence: it holds, or what fails first, by how much, and what would mend it here. */
export function VerdictCard({
  answer,
  mends,
  isToothed,
}: {
  answer: LoopLoadsResult
  mends: CheckMends[]
  isToothed: boolean
}) {
  const units = useUnits()
  const row = worst(answer)
  const { smallest, verdict } = answer
  const ways = mends.find((m) => m.kind === row?.kind && m.point === row?.point)?.mends ?? []
  const least = smallestMargin(answer)
  const unknown = answer.checks.filter((c) => c.unjudged === 'inputMissing' || c.unjudged === 'tableSilent')
  const isUnsure = answer.isLiftUnsaid && answer.isJudged && verdict === 'fine'
  return (
    <section
      className={classes.card}
      data-tone={isUnsure ? undefined : VERDICT_TONES[verdict]}
      aria-label="Verdict"
    >
      <h2>
        <span aria-hidden="true">{isUnsure ? '≈' : VERDICT_MARKS[verdict]} </span>
        {row
          ? `${CHECK_WORDS[row.kind]} ${verdict === 'stop' ? 'fails first' : 'is past its limit first'}, at the ${POINT_WORDS[row.point]}${row.margin === null ? '' : `: ×${fixed(row.margin, 2)} of what it needs`}.`
          : verdict === 'fine'
            ? `${isUnsure ? 'By its figures it holds' : 'It holds'}.${smallest && least ? ` Nearest its limit is ${CHECK_WORDS[smallest.kind].toLowerCase()}, at ${least}.` : ''}`
            : 'Not enough is known to say whether it holds.'}
      </h2>
      {isUnsure && (
        <p>
          Nobody said whether it lifts, carries persons up or flies <Guessed word="not said" />. Where it
          does, nothing here decides.
        </p>
      )}
      {unknown.length > 0 && (
        <p>
          Not known, and not in this:{' '}
          {[...new Set(unknown.map((c) => CHECK_WORDS[c.kind].toLowerCase()))].join(', ')}.
        </p>
      )}
      {row && (
        <p>
          {ways.length > 0
            ? `What would mend it on this machine: ${ways.map((m) => mendText(m, row, units, isToothed)).join(' · ')}.`
            : 'No other wheel, size, width or tension that was tried mends it here: weigh another kind of drive.'}
        </p>
      )}
    </section>
  )
}
