import { useState } from 'react'
import { useDebouncedDraft, useEvaluation } from '../api/evaluation'
import { lengthText, UNIT_WORDS } from '../loop/fitWords'
import type { Fit } from '../loop/useFit'
import { PartWorking } from '../machine/PartWorking'
import type { Workbench } from '../machine/useWorkbench'
import { fixed, plain, signed } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { LabelledValue } from '../shell/LabelledValue'
import { ToolPanel } from '../shell/ToolPanel'
import table from '../shell/table.module.css'

/** A wanted centre distance, the lengths nearest to it, and the centre each of them asks for. */
export function LengthForCentreTool({ bench, fit }: { bench: Workbench; fit: Fit }) {
  const units = useUnits()
  const [values, setValues] = useState<{ centreMm?: number }>({})
  const wanted = values.centreMm ?? fit.answer.data?.centreMm
  const centreMm = useDebouncedDraft(wanted)
  const answer = useEvaluation(
    bench.subject,
    'lengthForCentre',
    centreMm === undefined ? undefined : { centreMm },
  )
  const { of } = answer
  const placeholder = wanted === undefined ? '' : fixed(units.toShown('fine', wanted), 1)
  return (
    <ToolPanel
      fields={[{ key: 'centreMm', label: 'Centre distance wanted', quantity: 'fine', placeholder }]}
      values={values}
      onChange={setValues}
      answer={answer}
      of={units.show('fine', of?.centreMm ?? 0)}
      working={(onClose) =>
        of && (
          <PartWorking
            title="Working: length for a centre"
            bench={bench}
            part="lengthForCentre"
            question={of}
            of={(answer) => answer.workings}
            onClose={onClose}
          />
        )
      }
    >
      {(data, why) => (
        <>
          <p className="cap">
            It needs {lengthText(Number(data.neededLength.toFixed(2)), data.lengthUnit)}; two wheels only,
            without idlers. {why}
          </p>
          <details>
            <summary>
              The handbooks’ short form: {fixed(data.handbook.sum, 2)},{' '}
              {signed(data.handbook.sum - data.neededLength, 3)} {UNIT_WORDS[data.lengthUnit]}
            </summary>
            <LabelledValue name="both runs, as long as the centre distance">
              {fixed(data.handbook.runs, 3)}
            </LabelledValue>
            <LabelledValue name="half of either wheel, as if they were equal">
              {fixed(data.handbook.wheels, 3)}
            </LabelledValue>
            <LabelledValue name="what unequal wheels add: leaning runs, more round the large one">
              {fixed(data.handbook.difference, 3)}
            </LabelledValue>
            <LabelledValue name="exact, by the angles">{fixed(data.neededLength, 3)}</LabelledValue>
          </details>
          {data.nearest.length > 0 && (
            <div className={table.scroll}>
              <table className={table.table}>
                <thead>
                  <tr>
                    <th scope="col">{UNIT_WORDS[data.lengthUnit]}, nearest first</th>
                    <th scope="col">asks for</th>
                    <th scope="col">moved</th>
                    <th scope="col">small wheel</th>
                  </tr>
                </thead>
                <tbody>
                  {data.nearest.map((l) => (
                    <tr key={l.length}>
                      <th scope="row" className="num">
                        {plain(l.length)} {l.isStandard && <span className="cap">standard</span>}
                      </th>
                      <td className="num">{units.show('fine', l.centreMm)}</td>
                      <td className="num">
                        {signed(units.toShown('fine', l.centreMoveMm), units.system === 'inch' ? 2 : 1)}
                      </td>
                      <td className="num">
                        {fixed(l.smallWrapDeg, 0)}°{l.teethInMesh !== null && ` · ${l.teethInMesh}`}
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
          )}
        </>
      )}
    </ToolPanel>
  )
}
