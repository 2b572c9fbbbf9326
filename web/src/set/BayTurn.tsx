import type { ReactNode } from 'react'
import { ReasonedButton } from '../shell/ReasonedButton'
import classes from './BayMode.module.css'
import { BayTurns } from './BayTurns'
import type { RoundDraft } from './useRound'
import type { Setting } from './useSetting'

/** What is to be turned, and what really was. */
export function BayTurn({
  setting,
  round,
  instruction,
  choices,
  onTurned,
}: {
  setting: Setting
  round: RoundDraft
  instruction: string
  /** What is asked before it goes on. */
  choices: ReactNode
  onTurned: () => void
}) {
  const isFirst = (setting.job?.rounds.length ?? 0) === 0
  const adjuster = (setting.advice.data?.setting ?? setting.loop.setting).adjuster
  const turns = !isFirst && !adjuster.setsItself && !adjuster.isFixed
  return (
    <>
      <p className={classes.instruction} aria-live="polite">
        {instruction}
      </p>
      {choices}
      <div className={classes.middle}>
        {turns && (
          <>
            <p className={classes.said}>What was really turned:</p>
            <BayTurns setting={setting} round={round} />
          </>
        )}
      </div>
      <footer>
        <ReasonedButton
          size="xl"
          className={`${classes.big} ${classes.keep}`}
          why={isFirst ? 'It is read as found before anything is turned.' : null}
          onClick={() => {
            if (turns) round.say('turned', {})
            onTurned()
          }}
        >
          {turns ? 'Turned so' : 'Go on'}
        </ReasonedButton>
      </footer>
    </>
  )
}
