import { useState } from 'react'
import { findLengthForCentre } from '../api/client'
import { issueFor } from '../api/issues'
import { useComputed } from '../api/queries'
import type { Workbench } from '../machine/useWorkbench'
import { fixed, plain, signed } from '../quantities/format'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import { Refused } from '../shell/Refused'
import table from '../shell/table.module.css'
import { WhyButton } from '../shell/WhyButton'
import { WorkingDialog } from '../shell/WorkingDialog'
import type { Fit } from './useFit'
import { lengthText, UNIT_WORDS } from './words'

/** A wanted centre distance, the lengths nearest to it, and the centre each of them asks for. */
export function LengthForCentreTool({ bench, fit }: { bench: Workbench; fit: Fit }) {
  const units = useUnits()
  const [centre, setCentre] = useState<number>()
  const [isWorking, setWorking] = useState(false)
  const wanted = centre ?? fit.answer.data?.centreMm
  const { data, error, isStale } = useComputed(
    'length-for-centre',
    wanted === undefined
      ? undefined
      : { drive: bench.drive, choice: fit.choice, centreMm: wanted, halfLinks: false },
    findLengthForCentre,
  )
  return (
    <div style={{ opacity: isStale ? 0.6 : 1 }}>
      <QuantityField
        size="xs"
        w={160}
        mb="xs"
        label="Centre distance wanted"
        quantity="fine"
        placeholder={wanted === undefined ? '' : fixed(units.toShown('fine', wanted), 1)}
        value={centre}
        onChange={setCentre}
        error={issueFor(error, 'centreMm')}
      />
      <Refused error={error} fields={['centreMm']} />
      {data && (
        <>
          <p className="cap">
            It needs {lengthText(Number(data.neededLength.toFixed(2)), data.lengthUnit)}; the handbooks’ short
            form gives {fixed(data.handbookLength, 2)}. Two wheels only, without idlers.{' '}
            <WhyButton onClick={() => setWorking(true)} />
          </p>
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
      {isWorking && data && (
        <WorkingDialog
          title="Working: length for a centre"
          workings={data.workings}
          onClose={() => setWorking(false)}
        />
      )}
    </div>
  )
}
