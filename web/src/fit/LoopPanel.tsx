import type { LoopFitResult } from '../api/client'
import { findingText, reserveText } from '../loop/fitWords'
import type { Fit } from '../loop/useFit'
import { ADJUSTER_WORDS } from '../machine/adjusters'
import { isToothed } from '../machine/driveElements'
import type { Workbench } from '../machine/useWorkbench'
import { DRIVE_ELEMENT_WORDS } from '../machine/words'
import { fixed, plain } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { LabelledValue } from '../shell/LabelledValue'
import { Panel } from '../shell/Panel'
import { Term } from '../shell/Term'
import table from '../shell/table.module.css'

/** What the loop runs over, what moves, and what to look at. */
export function LoopPanel({ bench, fit, answer }: { bench: Workbench; fit: Fit; answer: LoopFitResult }) {
  const units = useUnits()
  const at = (value: number) => fixed(units.toShown('fine', value), units.system === 'inch' ? 2 : 1)
  const { layout } = fit
  const keepsWheelbase = !answer.movesRoadWheel && bench.drive.outputs.some((o) => o.onRoad)
  const size = (name: string) => {
    if (name === 'front') return fit.choice.frontSize
    if (name === 'rear') return fit.choice.rearSize
    return layout?.idlers.find((i) => i.name === name)?.size ?? 0
  }
  return (
    <Panel
      title="What is on the loop"
      note={`${DRIVE_ELEMENT_WORDS[fit.loop.driveElement]} ${fit.loop.standard}`}
      isStale={fit.answer.isStale}
    >
      <div className={table.scroll}>
        <table className={table.table}>
          <thead>
            <tr>
              <th scope="col">wheel</th>
              <th scope="col">{isToothed(fit.loop.driveElement) ? 'teeth' : '⌀, mm'}</th>
              <th scope="col">at, {units.unitOf('fine')}</th>
              <th scope="col">
                <Term word="wrap" />
              </th>
              <th scope="col">runs</th>
            </tr>
          </thead>
          <tbody>
            {answer.path.wheels.map((w) => (
              <tr key={w.name}>
                <th scope="row">{w.name}</th>
                <td className="num">{plain(size(w.name))}</td>
                <td className="num">
                  {at(w.centre.xMm)} · {at(w.centre.yMm)}
                </td>
                <td className="num">
                  {fixed(w.wrapDeg, 0)}°{w.teethEngaged !== null && ` · ${w.teethEngaged}`}
                </td>
                <td>{w.side === 'inside' ? 'inside' : 'on its back'}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {answer.reserve && (
        <LabelledValue name={<Term word="reserve">adjustment left</Term>}>
          <span style={{ color: answer.reserve.isNearlyUsedUp ? 'var(--watch)' : undefined }}>
            {answer.reserve.isNearlyUsedUp && '▲ '}
            {reserveText(answer.reserve, units)}
          </span>
        </LabelledValue>
      )}
      <p className="cap" style={{ marginTop: 8 }}>
        {layout?.moving
          ? `Tensioned by: ${ADJUSTER_WORDS[fit.loop.setting.adjuster.kind]}, ${units.show('fine', answer.trackMm)} of travel.${keepsWheelbase ? ' The wheelbase stays.' : ''}`
          : 'Nothing moves: the length must fit the centres.'}
        {fit.loop.wearLimitPercent !== null &&
          ` Replaced at ${plain(Number(fit.loop.wearLimitPercent.toFixed(2)))} % elongation; the maker's figure wins.`}
      </p>
      {answer.centreAdvice && (
        <p className="cap">
          Good centres: {units.show('length', answer.centreAdvice.recommendedLeastMm)} to{' '}
          {units.show('length', answer.centreAdvice.recommendedMostMm)}; tips clear from{' '}
          {units.show('length', answer.centreAdvice.leastWithoutTouchMm)}
          {answer.centreAdvice.leastForWrapMm > answer.centreAdvice.leastWithoutTouchMm &&
            `, ${plain(answer.centreAdvice.leastWrapDeg)}° on the small sprocket from ${units.show('length', answer.centreAdvice.leastForWrapMm)}`}
          .
        </p>
      )}
      {answer.findings.map((f) => (
        <p key={f.kind + f.wheel} style={{ color: 'var(--watch)', marginTop: 6 }}>
          ▲ {findingText(f, units)}
        </p>
      ))}
      {answer.findings.length === 0 && (
        <p style={{ color: 'var(--ok)', marginTop: 6 }}>✓ Wraps, tips and reserve are in order.</p>
      )}
      <p className="cap" style={{ marginTop: 8 }} hidden={bench.shown.isFitted}>
        The wheelbase is compared with as fitted.
      </p>
    </Panel>
  )
}
