import type { RoundResult, SetAdvice } from '../api/client'
import { METHOD_WORDS, readingText } from '../loop/readings'
import { figure, fixed } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { LabelledValue } from '../shell/LabelledValue'
import { Term } from '../shell/Term'
import table from '../shell/table.module.css'
import { FindingsList } from './FindingsList'
import { windowOf } from './ReadingRing'
import classes from './SetView.module.css'
import { makerText, positionWord } from './words'

const CAUSE_WORDS: Record<NonNullable<RoundResult['cause']>, string> = {
  wheelRunsOut: 'a wheel runs out',
  loopIsUneven: 'uneven or stiff',
}

/** The ends of the round in view, the window, and what a spread means. */
export function RoundSummary({
  advice: answer,
  positions,
  onWorking,
}: {
  advice: SetAdvice
  /** Places of the wheel that are read. */
  positions: number
  /** Opens the workings; undefined where they stand elsewhere. */
  onWorking?: () => void
}) {
  const units = useUnits()
  const last = answer.rounds.at(-1)
  const method = last?.method ?? answer.manual.readBy[0] ?? 'pluck'
  const text = (value: number | null | undefined) => (value == null ? '–' : readingText(method, value, units))
  return (
    <>
      {last?.method && (
        <>
          {positions > 1 ? (
            <LabelledValue name={`loosest · tightest, ${METHOD_WORDS[method]}`}>
              {text(last.loosestReading)} · {text(last.tightestReading)}
            </LabelledValue>
          ) : (
            <LabelledValue name={METHOD_WORDS[method]}>{text(last.tightestReading)}</LabelledValue>
          )}
          {answer.unit === 'newton' && last.loosest !== null && (
            <LabelledValue name="tension at the loosest">
              {units.show('force', last.loosest)}
              {last.loosestSigma !== null &&
                ` ± ${units.show('force', last.loosestSigma, last.loosestSigma < 10 ? 1 : 0)}`}
            </LabelledValue>
          )}
          {answer.unit === 'loopMm' && last.tightest !== null && (
            <LabelledValue name="chain to spare at the tightest">
              {units.show('fine', -last.tightest)}
            </LabelledValue>
          )}
          {last.spreadReading !== null && last.spreadReading > 0 && (
            <LabelledValue name="spread">
              {last.cause && (
                <span className={table.tag} data-tone="watch">
                  {CAUSE_WORDS[last.cause]}
                </span>
              )}{' '}
              {text(last.spreadReading)}
              {last.spreadPercent !== null && ` · ${figure(last.spreadPercent, 2)} % of tension`}
            </LabelledValue>
          )}
          {last.tightestAt !== null && positions > 1 && (
            <LabelledValue name={<Term word="tight place" />}>
              {positionWord(last.tightestAt, positions)}
            </LabelledValue>
          )}
          {last.runOutMm !== null && (
            <LabelledValue name="as if a wheel ran out by">{units.show('fine', last.runOutMm)}</LabelledValue>
          )}
        </>
      )}
      <LabelledValue
        name={
          <>
            <Term word="window" /> for this drive
          </>
        }
      >
        {answer.windowLooseReading === null
          ? 'not known'
          : windowOf(answer)
              ?.map((value) => readingText(answer.windowMethod, value, units))
              .join(' to ')}
      </LabelledValue>
      {answer.runs && (
        <LabelledValue name="T1/T2 at the hardest pull">
          {answer.runs.ratio === null ? 'nothing left in the slack run' : fixed(answer.runs.ratio, 2)}, slips
          at {fixed(answer.runs.ratioAtSlip, 2)}
        </LabelledValue>
      )}
      <FindingsList findings={answer.findings} />
      {answer.setting.makerMethod && answer.setting.makerMethod !== last?.method && (
        <p className="cap">{makerText(answer.setting, units)}</p>
      )}
      {answer.window && (
        <p className="cap">
          {answer.window.reason}.{' '}
          {onWorking && (
            <button type="button" className={classes.why} onClick={onWorking} data-no-print>
              why
            </button>
          )}
        </p>
      )}
    </>
  )
}
