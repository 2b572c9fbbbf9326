import type { PhaseMinutes, PlannedStep, StepState } from '../api/plan'
import { STATE_MARKS } from '../job/planWords'
import { minutesText } from '../quantities/days'
import classes from './BuildView.module.css'
import { PHASE_WORDS } from './words'

/** The steps in their order, by the parts of the work. */
export function StepList({
  phases,
  steps,
  at,
  onChoose,
  isBegun,
}: {
  phases: PhaseMinutes[]
  steps: (PlannedStep & { state: StepState })[]
  /** Key of the one in view. */
  at: string | undefined
  onChoose: (key: string) => void
  isBegun: boolean
}) {
  return phases.map(({ phase, minutes }) => {
    const here = steps.filter((s) => s.step.phase === phase)
    return (
      <section key={phase} aria-label={PHASE_WORDS[phase]}>
        <h3 className={classes.phase}>
          <span>{PHASE_WORDS[phase]}</span>
          <span className="cap">{phase === 'set' && isBegun ? 'at station 6' : minutesText(minutes)}</span>
        </h3>
        <ol className={classes.steps}>
          {here.map(({ step, state }) => (
            <li key={step.key} data-state={state}>
              <button
                type="button"
                aria-current={step.key === at ? 'step' : undefined}
                onClick={() => onChoose(step.key)}
              >
                <i aria-hidden="true">
                  {STATE_MARKS[state].mark || steps.findIndex((s) => s.step === step) + 1}
                </i>
                <span>
                  {step.do}
                  {step.hands > 1 && <small className={classes.hands}>two pairs of hands</small>}
                  <span className="visually-hidden">, {STATE_MARKS[state].word}</span>
                </span>
                <small className="num">{step.minutes}</small>
              </button>
            </li>
          ))}
        </ol>
      </section>
    )
  })
}
