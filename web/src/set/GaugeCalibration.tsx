import { Select } from '@mantine/core'
import { useState } from 'react'
import { type SetAdvice, whoAmI } from '../api/client'
import { QuantityField } from '../quantities/QuantityField'
import fields from '../shell/fields.module.css'
import { ReasonedButton } from '../shell/ReasonedButton'
import { FEEL_GRADES } from './TypedReading'
import type { Setting } from './useSetting'

/** Ties a gauge's own scale, or one person's feel, to a reading that knows more, taken of the same state. */
export default function GaugeCalibration({
  own,
  manual,
  setting,
}: {
  own: 'gauge' | 'feel'
  manual: SetAdvice['manual']
  setting: Setting
}) {
  const [ownValue, setOwn] = useState<number | undefined>()
  const [known, setKnown] = useState<number | undefined>()
  const { job } = setting
  const [usual = 'pluck'] = manual.readBy
  const pairs = (job?.gauge ?? []).filter((p) => p.own === own && (p.who == null || p.who === whoAmI()))
  if (!job) return null
  const needed = manual.pairsNeeded[own] - pairs.length
  return (
    <div data-no-print>
      <p className="cap">
        {needed > 0
          ? own === 'gauge'
            ? `Its own scale and trend only, until it is tied by ${needed === 1 ? 'one more pair' : 'two pairs'}: read the same state both ways.`
            : 'A hand advises step by step. Tied to a reading of the same state it tells a figure as well.'
          : `Tied by ${pairs.length === 1 ? 'one pair' : `${pairs.length} pairs`}.`}
      </p>
      {needed > 0 && (
        <div className={fields.fields}>
          {own === 'gauge' ? (
            <QuantityField size="xs" label="Gauge says" value={ownValue} onChange={setOwn} />
          ) : (
            <Select
              size="xs"
              label="Feels"
              data={FEEL_GRADES}
              value={ownValue === undefined ? null : String(ownValue)}
              onChange={(v) => setOwn(v === null ? undefined : Number(v))}
            />
          )}
          <QuantityField
            size="xs"
            label={usual === 'freePlay' ? 'Free play then' : 'Frequency then'}
            quantity={usual === 'freePlay' ? 'fine' : undefined}
            unit="Hz"
            value={known}
            onChange={setKnown}
          />
          <ReasonedButton
            size="xs"
            variant="default"
            why={
              ownValue === undefined || known === undefined ? 'Give both readings of the same state.' : null
            }
            onClick={() => {
              if (ownValue === undefined || known === undefined) return
              const pair = {
                own,
                ownValue,
                known: usual,
                knownValue: known,
                knownForceN: null,
                who: own === 'feel' ? whoAmI() || null : null,
              }
              setting.tie(pair)
              setOwn(undefined)
              setKnown(undefined)
            }}
          >
            Tie them
          </ReasonedButton>
        </div>
      )}
    </div>
  )
}
