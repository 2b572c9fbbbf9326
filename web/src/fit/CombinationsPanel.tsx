import { TextInput } from '@mantine/core'
import { useState } from 'react'
import { useDebouncedDraft, useEvaluation } from '../api/evaluation'
import { UNIT_WORDS } from '../loop/fitWords'
import type { Fit } from '../loop/useFit'
import { breakText, supplyOf } from '../machine/supplyWords'
import type { Workbench } from '../machine/useWorkbench'
import { pairText } from '../machine/words'
import { fixed, money, plain } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { EmptyState } from '../shell/EmptyState'
import classes from '../shell/fields.module.css'
import { Panel } from '../shell/Panel'
import { Refused } from '../shell/Refused'
import table from '../shell/table.module.css'
import { parseCounts } from './parseCounts'

const FIRST_ROWS = 14

/** Every front, rear and length that can be had and that closes on the adjuster. */
export default function CombinationsPanel({ bench, fit }: { bench: Workbench; fit: Fit }) {
  const units = useUnits()
  const [fronts, setFronts] = useState('')
  const [rears, setRears] = useState('')
  const [lengths, setLengths] = useState('')
  const [isAll, setAll] = useState(false)
  const [typedFronts, typedRears, typedLengths] = useDebouncedDraft([fronts, rears, lengths])
  const [f, r, l] = [
    parseCounts(typedFronts ?? ''),
    parseCounts(typedRears ?? ''),
    parseCounts(typedLengths ?? ''),
  ]
  const answer = useEvaluation(
    bench.asFitted,
    'combinations',
    f && r && l ? { fronts: f, rears: r, lengths: l, layout: fit.question?.layout ?? null } : undefined,
  )
  const found = answer.data
  const unit = UNIT_WORDS[fit.loop.driveElement === 'chain' ? 'links' : 'beltTeeth']
  const wrong = 'Give counts like 22 24 26 or 22–28.'
  const rows = found?.combinations ?? []
  return (
    <Panel
      title="Everything that closes here"
      note={found && `${plain(found.count)} with ${units.show('fine', found.trackMm)} of adjustment`}
      isStale={answer.isStale}
    >
      <div className={classes.fields} data-no-print>
        <TextInput
          size="xs"
          label="Fronts to be had"
          placeholder={found?.fronts.join(' ')}
          value={fronts}
          onChange={(e) => setFronts(e.currentTarget.value)}
          error={f ? undefined : wrong}
        />
        <TextInput
          size="xs"
          label="Rears the hub takes"
          placeholder={found?.rears.join(' ')}
          value={rears}
          onChange={(e) => setRears(e.currentTarget.value)}
          error={r ? undefined : wrong}
        />
        <TextInput
          size="xs"
          label={`Lengths to be had, ${unit}`}
          placeholder="every whole one"
          value={lengths}
          onChange={(e) => setLengths(e.currentTarget.value)}
          error={l ? undefined : wrong}
        />
      </div>
      <Refused error={answer.error} />
      {found && rows.length === 0 && (
        <EmptyState title="Nothing closes with these.">
          Give more lengths or wheels, or a longer slot.
        </EmptyState>
      )}
      {rows.length > 0 && (
        <div className={table.scroll}>
          <table className={table.table}>
            <thead>
              <tr>
                <th scope="col">front / rear</th>
                <th scope="col">front over rear</th>
                <th scope="col">{unit}</th>
                <th scope="col">centre</th>
                <th scope="col">travel to tension it</th>
                <th scope="col">left after</th>
                <th scope="col">teeth in mesh</th>
                <th scope="col">to be had</th>
                <th scope="col">price</th>
              </tr>
            </thead>
            <tbody>
              {(isAll ? rows : rows.slice(0, FIRST_ROWS)).map((c) => {
                const isOn =
                  c.front === fit.choice.frontSize &&
                  c.rear === fit.choice.rearSize &&
                  c.length === fit.choice.links
                return (
                  <tr key={`${c.front}-${c.rear}-${c.length}`} data-on={isOn || undefined}>
                    <th scope="row">
                      <button
                        type="button"
                        className={`num ${table.pick}`}
                        aria-pressed={isOn}
                        onClick={() =>
                          bench.pick([
                            {
                              loopKey: fit.loop.loopKey,
                              frontSize: c.front,
                              rearSize: c.rear,
                              length: c.length,
                            },
                          ])
                        }
                      >
                        {pairText(c.front, c.rear)}
                      </button>
                      {c.breaks.map((b) => (
                        <div key={b} style={{ color: 'var(--watch)', fontSize: 12, fontWeight: 400 }}>
                          ▲ {breakText(b, { frontSize: c.front, rearSize: c.rear })}
                        </div>
                      ))}
                    </th>
                    <td className="num">{fixed(c.frontOverRear, 3)}</td>
                    <td className="num">{plain(c.length)}</td>
                    <td className="num">{units.show('fine', c.centreMm)}</td>
                    <td className="num">{units.show('fine', c.travelMm)}</td>
                    <td className="num">{units.show('fine', c.leftMm)}</td>
                    <td className="num">{plain(c.teethInMesh)}</td>
                    <td>
                      <span className={table.tag} data-tone={supplyOf([c.frontSupply, c.rearSupply]).tone}>
                        {supplyOf([c.frontSupply, c.rearSupply]).text}
                      </span>
                    </td>
                    <td className="num">{c.money === null ? 'ask' : c.money === 0 ? '–' : money(c.money)}</td>
                  </tr>
                )
              })}
            </tbody>
          </table>
        </div>
      )}
      {rows.length > FIRST_ROWS && (
        <button
          type="button"
          className={table.pick}
          aria-expanded={isAll}
          onClick={() => setAll(!isAll)}
          data-no-print
        >
          {isAll ? 'Show the first only' : `Show all ${rows.length}`}
        </button>
      )}
      {found?.conditions.map((c) => (
        <p key={c.name} style={{ marginTop: 6 }}>
          <b>{c.name}.</b> {c.sentence} <span className="cap">{c.source}</span>
        </p>
      ))}
    </Panel>
  )
}
