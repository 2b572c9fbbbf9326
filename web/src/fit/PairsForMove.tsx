import { useState } from 'react'
import { useDebouncedDraft, useEvaluation } from '../api/evaluation'
import { issueFor } from '../api/issues'
import type { Fit } from '../loop/useFit'
import type { Workbench } from '../machine/useWorkbench'
import { pairText } from '../machine/words'
import { signed } from '../quantities/format'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import { Outdated } from '../shell/Outdated'
import { Refused } from '../shell/Refused'
import table from '../shell/table.module.css'

/** The question the other way round: it moves by so much, which teeth does that ask for? */
export function PairsForMove({ bench, fit }: { bench: Workbench; fit: Fit }) {
  const units = useUnits()
  const [move, setMove] = useState<number>()
  const moveMm = useDebouncedDraft(move)
  const { data, of, error, isStale } = useEvaluation(
    bench.asFitted,
    'pairsForMove',
    moveMm === undefined ? undefined : { moveMm, layout: fit.question?.layout ?? null },
  )
  const decimals = units.system === 'inch' ? 3 : 1
  return (
    <>
      <QuantityField
        size="xs"
        w={210}
        mt="xs"
        label="It goes back by: which teeth?"
        quantity="fine"
        value={move}
        onChange={setMove}
        error={issueFor(error, 'moveMm')}
      />
      <Refused error={error} fields={['moveMm']} />
      {data && (
        <Outdated isStale={isStale} of={units.show('fine', of?.moveMm ?? 0)}>
          {data.length === 0 && (
            <p className="cap">No pair near the fitted one closes on the way there is.</p>
          )}
          <ul style={{ listStyle: 'none', padding: 0 }}>
            {data.map((p) => (
              <li key={pairText(p.frontSize, p.rearSize)}>
                <button
                  type="button"
                  className={`num ${table.pick}`}
                  onClick={() =>
                    bench.pick([{ loopKey: fit.loop.loopKey, frontSize: p.frontSize, rearSize: p.rearSize }])
                  }
                >
                  {pairText(p.frontSize, p.rearSize)}
                </button>{' '}
                <span className="cap">
                  goes {signed(units.toShown('fine', p.moveMm), decimals)} {units.unitOf('fine')}, ratio{' '}
                  {signed(p.ratioChangePercent, 1)} %
                </span>
              </li>
            ))}
          </ul>
        </Outdated>
      )}
    </>
  )
}
