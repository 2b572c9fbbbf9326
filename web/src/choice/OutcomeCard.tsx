import { useState } from 'react'
import type { ChoiceDesk } from '../api/choice'
import { useUnits } from '../quantities/units'
import { Guessed } from '../shell/Guessed'
import { WhyButton } from '../shell/WhyButton'
import { WorkingDialog } from '../shell/WorkingDialog'
import classes from './Choice.module.css'
import { listed, outcomeText, turnText, WISH_WORDS } from './words'

const SHOWN = 3

/** What it comes to in one sentence, and what would turn it. */
export function OutcomeCard({ desk, isStale }: { desk: ChoiceDesk; isStale: boolean }) {
  const units = useUnits()
  const [isWorking, setWorking] = useState(false)
  const [isAll, setAll] = useState(false)
  const { turns, outcome } = desk
  // Wishes and answers a person changes; prices and lives are told by how near they are.
  const ordered = turns.toSorted((a, b) => nearness(a) - nearness(b))
  const shown = isAll ? ordered : ordered.slice(0, SHOWN)
  return (
    <section className={classes.outcome} aria-label="Outcome" data-stale={isStale || undefined}>
      <p className="cap">Weighed for {desk.loopName}</p>
      <div role="status">
        <h2>{outcomeText(desk)}</h2>
      </div>
      {desk.isLiftUnsaid && outcome.kind !== 'figuresOnly' && (
        <p>
          Nobody said whether it lifts, carries persons up or flies <Guessed word="not said" />. Where it
          does, nothing here decides.
        </p>
      )}
      {outcome.notWeighed.length > 0 && outcome.kind !== 'figuresOnly' && (
        <p className="cap">
          Not weighed: {listed(outcome.notWeighed.map((w) => WISH_WORDS[w]))}. Not every one that is left has
          a figure for it that was measured or is by a maker or standard.
        </p>
      )}
      {shown.length > 0 && (
        <>
          <p className={classes.turns}>What would turn it:</p>
          <ul className={classes.turns}>
            {shown.map((turn) => (
              <li key={JSON.stringify(turn)}>{turnText(desk, turn, units)}</li>
            ))}
          </ul>
        </>
      )}
      <p>
        {ordered.length > SHOWN && (
          <WhyButton onClick={() => setAll(!isAll)}>
            {isAll ? 'only the nearest' : `all ${ordered.length} that would turn it`}
          </WhyButton>
        )}{' '}
        {desk.workings.length > 0 && <WhyButton onClick={() => setWorking(true)}>working</WhyButton>}
      </p>
      {isWorking && (
        <WorkingDialog
          title="How it was weighed"
          workings={desk.workings}
          onClose={() => setWorking(false)}
        />
      )}
    </section>
  )
}

/** How far from now, as a factor; a step of a wish or an answer stands among the near ones. */
function nearness({ by, from, to }: ChoiceDesk['turns'][number]) {
  if (by === 'wish') return Math.abs(to - from) / 2
  if (by === 'must' || by === 'answer') return 1
  // Equal ones stay in their order, whatever the last digits say.
  return Number(Math.abs(Math.log2(to / from)).toFixed(2))
}
