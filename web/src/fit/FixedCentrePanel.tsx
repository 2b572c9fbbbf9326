import { Group, Switch } from '@mantine/core'
import { useState } from 'react'
import type { LoopFitResult } from '../api/client'
import { useDebouncedDraft, useEvaluation } from '../api/evaluation'
import { issueFor } from '../api/issues'
import { UNIT_WORDS } from '../loop/fitWords'
import type { Fit } from '../loop/useFit'
import type { Workbench } from '../machine/useWorkbench'
import { pairText } from '../machine/words'
import { fixed, plain, signed } from '../quantities/format'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import { EmptyState } from '../shell/EmptyState'
import { Panel } from '../shell/Panel'
import { Refused } from '../shell/Refused'
import table from '../shell/table.module.css'

const FIRST_ROWS = 12

/** For shafts that can't be moved: the pairs whose length closes with little slack. */
export function FixedCentrePanel({
  bench,
  fit,
  answer,
}: {
  bench: Workbench
  fit: Fit
  answer: LoopFitResult
}) {
  const units = useUnits()
  const [slack, setSlack] = useState<number>()
  const [halfLinks, setHalfLinks] = useState(false)
  const { loopKey } = fit.loop
  const pairs = useEvaluation(bench.subject, 'fixedCentre', {
    mostSlackMm: useDebouncedDraft(slack) ?? null,
    halfLinks,
    layout: fit.question?.layout ?? null,
  })
  const rows = pairs.data?.pairs ?? []
  return (
    <Panel
      title="Pairs that close without a tensioner"
      note={`centres fixed at ${units.show('fine', answer.centreMm)}`}
      isStale={pairs.isStale}
    >
      <Group gap="md" mb="xs" align="end" data-no-print>
        <QuantityField
          size="xs"
          w={140}
          label="Slack allowed"
          placeholder={pairs.data ? fixed(units.toShown('fine', pairs.data.mostSlackMm), 1) : ''}
          quantity="fine"
          value={slack}
          onChange={setSlack}
          error={issueFor(pairs.error, 'mostSlackMm')}
        />
        {fit.loop.driveElement === 'chain' && (
          <Switch
            size="xs"
            label="with a half link"
            checked={halfLinks}
            onChange={(event) => setHalfLinks(event.currentTarget.checked)}
          />
        )}
      </Group>
      <Refused error={pairs.error} fields={['mostSlackMm']} />
      {pairs.data && rows.length === 0 && (
        <EmptyState title="No pair in the range closes with so little slack.">
          Allow more slack or a half link, or set an eccentric or an idler.
        </EmptyState>
      )}
      {rows.length > 0 && (
        <div className={table.scroll}>
          <table className={table.table}>
            <thead>
              <tr>
                <th scope="col">front / rear</th>
                <th scope="col">ratio</th>
                <th scope="col">{UNIT_WORDS[answer.lengthUnit]}</th>
                <th scope="col">slack</th>
                <th scope="col">free play</th>
                <th scope="col">an eccentric takes it up by</th>
              </tr>
            </thead>
            <tbody>
              {rows.slice(0, FIRST_ROWS).map((p) => {
                const isOn =
                  p.front === fit.choice.frontSize &&
                  p.rear === fit.choice.rearSize &&
                  p.length === answer.chosenLength
                return (
                  <tr key={`${p.front}-${p.rear}-${p.length}`} data-on={isOn || undefined}>
                    <th scope="row">
                      <button
                        type="button"
                        className={`num ${table.pick}`}
                        aria-pressed={isOn}
                        onClick={() =>
                          bench.pick([{ loopKey, frontSize: p.front, rearSize: p.rear, length: p.length }])
                        }
                      >
                        {pairText(p.front, p.rear)}
                      </button>
                      {p.isHalfLink && <span className="cap"> half link</span>}
                    </th>
                    <td className="num">{fixed(p.ratio, 3)}</td>
                    <td className="num">{plain(p.length)}</td>
                    <td className="num">{units.show('fine', p.slackMm, 2)}</td>
                    <td className="num">{units.show('fine', p.freePlayMm, 1)}</td>
                    <td className="num">
                      {p.centreMoveMm === null
                        ? '–'
                        : `${signed(units.toShown('fine', p.centreMoveMm), 2)}\u00a0${units.unitOf('fine')}`}
                    </td>
                  </tr>
                )
              })}
            </tbody>
          </table>
        </div>
      )}
      {rows.length > FIRST_ROWS && (
        <p className="cap">
          The {FIRST_ROWS} with least slack of {plain(rows.length)}.
        </p>
      )}
    </Panel>
  )
}
