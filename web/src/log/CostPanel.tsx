import { useState } from 'react'
import { issueFor } from '../api/issues'
import type { FairComparison, FairComparisonQuestion, SetupOutcome } from '../api/log'
import due from '../job/due.module.css'
import { fixed } from '../quantities/format'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import { Panel } from '../shell/Panel'
import table from '../shell/table.module.css'
import { WorkingDialog } from '../shell/WorkingDialog'

/** What a distance costs with each, and how its owner likes it: beside what was measured, never mixed in. */
export function CostPanel({
  comparison: { first, second },
  question,
  error,
  onChange,
}: {
  comparison: FairComparison
  question: FairComparisonQuestion
  error: unknown
  onChange: (change: Partial<FairComparisonQuestion>) => void
}) {
  const units = useUnits()
  const [shown, setShown] = useState<SetupOutcome>()
  const both = [first, second].filter((o): o is SetupOutcome => o !== null)
  if (both.length === 0) return null
  // Money over a distance: a longer unit of distance costs more of it.
  const per = (money: number) => fixed(units.system === 'inch' ? units.toStored('distance', money) : money, 2)
  const cost = (name: string, of: (c: NonNullable<SetupOutcome['cost']>) => number) => (
    <tr>
      <th scope="row">{name}</th>
      {both.map((o) => (
        <td key={o.setupId} className="num">
          {o.cost ? per(of(o.cost)) : '–'}
        </td>
      ))}
    </tr>
  )
  const lasting = both.filter((o) => o.cost?.hasPartsThatLast)
  return (
    <Panel title="What it costs" note={units.system === 'inch' ? 'for 1 000 mi' : 'for 1 000 km'}>
      <div className={table.scroll}>
        <table className={table.table}>
          <thead>
            <tr>
              <th scope="col">
                <span className="cap">in the money of the log</span>
              </th>
              {both.map((o) => (
                <th key={o.setupId} scope="col">
                  {o.name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {cost('parts', (c) => c.partsPer1000Km)}
            {cost('upkeep', (c) => c.upkeepPer1000Km)}
            {cost('fuel and charge', (c) => c.fuelPer1000Km)}
            {cost('all of it', (c) => c.totalPer1000Km)}
            <tr>
              <th scope="row">over</th>
              {both.map((o) => (
                <td key={o.setupId} className="num">
                  {o.cost ? units.show('distance', o.cost.km) : '–'}
                </td>
              ))}
            </tr>
            <tr>
              <th scope="row">how it is liked</th>
              {both.map((o) => (
                <td key={o.setupId} className="num">
                  {o.score === null ? '–' : `${fixed(o.score, 1)} of 5 (${o.scores}×)`}
                </td>
              ))}
            </tr>
          </tbody>
        </table>
      </div>
      <QuantityField
        mt="xs"
        size="sm"
        label="An hour of work is worth"
        placeholder="0"
        value={question.ratePerHour ?? undefined}
        onChange={(ratePerHour) => onChange({ ratePerHour: ratePerHour ?? null })}
        error={issueFor(error, 'ratePerHour')}
        data-no-print
      />
      {lasting.length > 0 && (
        <p className="cap">
          With {lasting.map((o) => o.name).join(' and ')} a part is still on: it is counted as if it ended
          now, so it will cost less.
        </p>
      )}
      {both.map(
        (o) =>
          o.cost && (
            <p key={o.setupId} style={{ margin: '8px 0 0', minHeight: 24 }} data-no-print>
              <button type="button" className={due.link} onClick={() => setShown(o)}>
                working of {o.name}
              </button>
            </p>
          ),
      )}
      {shown?.cost && (
        <WorkingDialog
          title={`Working: cost with ${shown.name}`}
          workings={[shown.cost.working]}
          onClose={() => setShown(undefined)}
        />
      )}
    </Panel>
  )
}
