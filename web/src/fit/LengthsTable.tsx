import type { FittingLength, LoopFitResult } from '../api/client'
import { lengthText, REASON_WORDS, STEP_WORDS, shiftText, UNIT_WORDS } from '../loop/fitWords'
import { fixed, plain, signed } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { EmptyState } from '../shell/EmptyState'
import { Term } from '../shell/Term'
import table from '../shell/table.module.css'
import classes from './LengthsTable.module.css'

/** Every length that reaches, where the axle sits with it and what is left to take up. */
export function LengthsTable({ fit, onPick }: { fit: LoopFitResult; onPick: (length: number) => void }) {
  const units = useUnits()
  if (fit.lengths.length === 0)
    return (
      <EmptyState
        title={fit.trackMm > 0 ? 'No length of this kind is listed.' : 'Nothing moves on this loop.'}
      >
        {fit.trackMm > 0
          ? 'It is cut to length: the path above is what it must measure.'
          : `The centres are fixed: the path asks for ${lengthText(Number(fit.exactLength.toFixed(2)), fit.lengthUnit)}.`}
      </EmptyState>
    )
  const isMixed = fit.lengths.some((l) => l.isStandard === false)
  const hasElongation = fit.lengthUnit === 'links'
  const hasWheelbase = fit.lengths.some((l) => l.wheelbaseChangeMm !== null)
  const step = fit.reserve?.step
  const hasMoves = fit.lengths.some((l) => l.movedMm !== null)
  const hasSteps = step != null && fit.lengths.some((l) => l.movedSteps !== null)
  return (
    <>
      <div className={table.scroll}>
        <table className={table.table}>
          <thead>
            <tr>
              <th scope="col">{UNIT_WORDS[fit.lengthUnit]}</th>
              <th scope="col">centre</th>
              {hasMoves && <th scope="col">{hasWheelbase ? 'axle moves' : 'it moves'}</th>}
              {hasSteps && <th scope="col">{STEP_WORDS[step.kind][1]}</th>}
              <th scope="col">position of the adjuster</th>
              <th scope="col">{hasElongation ? 'elongation left' : 'take-up left'}</th>
              {hasWheelbase && <th scope="col">wheelbase</th>}
            </tr>
          </thead>
          <tbody>
            {fit.lengths.map((l) => (
              <tr key={l.length} data-on={l.length === fit.chosenLength || undefined}>
                <th scope="row">
                  <button
                    type="button"
                    className={`num ${table.pick}`}
                    aria-pressed={l.length === fit.chosenLength}
                    onClick={() => onPick(l.length)}
                  >
                    {plain(l.length)}
                  </button>
                  {l.isStandard && isMixed && (
                    <span className="cap"> standard{l.length === fit.recommendedLength && ','}</span>
                  )}
                  {l.isHalfLink && (
                    <span className="cap">
                      {' '}
                      <Term word="half link" />
                    </span>
                  )}
                  {l.length === fit.recommendedLength && <span className="cap"> best</span>}
                </th>
                <td className="num">{l.centreMm === null ? '–' : units.show('fine', l.centreMm)}</td>
                {hasMoves && (
                  <td className="num">{l.movedMm === null ? '–' : shiftText(l.movedMm, units)}</td>
                )}
                {hasSteps && (
                  <td className="num">{l.movedSteps === null ? '–' : stepsText(l.movedSteps, step.kind)}</td>
                )}
                <td>
                  <Bar length={l} />
                </td>
                <td>
                  <Left length={l} />
                </td>
                {hasWheelbase && (
                  <td className="num">
                    {l.wheelbaseChangeMm === null ? '–' : shiftText(l.wheelbaseChangeMm, units)}
                  </td>
                )}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className={`cap ${classes.reason}`}>
        {fit.recommendedLength === null
          ? REASON_WORDS[fit.reason]
          : `${lengthText(fit.recommendedLength, fit.lengthUnit)}: ${REASON_WORDS[fit.reason]}.`}
      </p>
    </>
  )
}

/** “+12.4”, whole clicks and shims. */
const stepsText = (steps: number, kind: keyof typeof STEP_WORDS) =>
  signed(Math.abs(steps) < 0.05 ? 0 : steps, kind === 'turn' ? 1 : 0)

function Bar({ length }: { length: FittingLength }) {
  const used = length.travelUsedPercent
  const isOn = length.fits && used !== null
  return (
    <span className={classes.bar} data-off={!isOn || undefined}>
      {isOn && (
        <>
          <i style={{ left: `${used}%` }} className={classes.left} />
          <i style={{ left: `${used}%` }} className={classes.mark} />
        </>
      )}
      <span className="visually-hidden">{isOn ? `${fixed(used, 0)} % used` : 'beyond the adjuster'}</span>
    </span>
  )
}

function Left({ length }: { length: FittingLength }) {
  if (!length.fits)
    return (
      <span className={table.tag} data-tone="watch">
        off the slot
      </span>
    )
  const elongation = `${fixed(length.reservePercent ?? 0, 1)} %`
  return length.reachesWearLimit === false ? (
    <span className={table.tag} data-tone="watch">
      {elongation}, not enough
    </span>
  ) : (
    <span className="num">{elongation}</span>
  )
}
