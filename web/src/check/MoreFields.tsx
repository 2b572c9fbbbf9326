import { SegmentedControl, TextInput } from '@mantine/core'
import type { ReactNode } from 'react'
import type { LoopRun, PartToLookAt } from '../api/check'
import { issueFor } from '../api/issues'
import { atEvent } from '../job/useJobEvents'
import { DayField } from '../quantities/DayField'
import { QuantityField } from '../quantities/QuantityField'
import fieldRows from '../shell/fields.module.css'
import classes from './PartCard.module.css'
import type { Grading } from './useGrade'
import { type Look, NOWHERE } from './useLook'

/** Fields that can wait, as they stand in what is sent. */
export const MORE_FIELDS = [
  'detail.fromTooth',
  'detail.toTooth',
  'words',
  'detail.against',
  'detail.untilKm',
  'detail.untilOn',
  'detail.measure.value',
  'detail.measure.unit',
  'detail.measure.method',
  'detail.measure.limit',
].map(atEvent)

/** Words, what it was compared with, what was measured, and until when it may go on. */
export function MoreFields({ look, at, grading }: { look: Look; at: PartToLookAt; grading: Grading }) {
  const { fields: f, record } = grading
  const errorOf = (field: string) => issueFor(record.error, atEvent(field))
  return (
    <>
      <PlaceFields look={look} at={at} errorOf={errorOf} />
      <TextInput
        size="sm"
        label="In words"
        value={f.words}
        onChange={(e) => f.setWords(e.currentTarget.value)}
        error={errorOf('words')}
      />
      <TextInput
        size="sm"
        mt="xs"
        label="Compared with"
        value={f.against}
        onChange={(e) => f.setAgainst(e.currentTarget.value)}
        error={errorOf('detail.against')}
      />
      <div className={fieldRows.fields} style={{ marginTop: 8 }}>
        <QuantityField
          size="sm"
          label="Measured"
          value={f.measured}
          onChange={f.setMeasured}
          error={
            grading.isNumberMissing
              ? 'Give the number, or leave out its unit and what it was read with.'
              : errorOf('detail.measure.value')
          }
        />
        <TextInput
          size="sm"
          label="Its unit"
          value={f.unit}
          onChange={(e) => f.setUnit(e.currentTarget.value)}
          error={errorOf('detail.measure.unit')}
        />
        <TextInput
          size="sm"
          label="Read with"
          placeholder="without: hearsay"
          value={f.method}
          onChange={(e) => f.setMethod(e.currentTarget.value)}
          error={errorOf('detail.measure.method')}
        />
        <QuantityField
          size="sm"
          label="Its maker’s limit"
          value={f.limit}
          onChange={f.setLimit}
          error={errorOf('detail.measure.limit')}
        />
      </div>
      <div className={fieldRows.fields}>
        <QuantityField
          size="sm"
          label="Watched until, odometer"
          quantity="distance"
          value={f.untilKm}
          onChange={f.setUntilKm}
          error={errorOf('detail.untilKm')}
        />
        <div>
          <DayField size="sm" label="Or until the day" value={f.untilOn} onChange={f.setUntilOn} />
          {errorOf('detail.untilOn') && (
            <p role="alert" className={classes.refused}>
              {errorOf('detail.untilOn')}
            </p>
          )}
        </div>
      </div>
    </>
  )
}

const WHEELS: PartToLookAt['place'][] = ['frontWheel', 'rearWheel']
const RUNS: PartToLookAt['place'][] = ['loop', 'joint']

/** The same place as on the drawing: teeth of a wheel counted from its mark, or a run. */
function PlaceFields({
  look,
  at,
  errorOf,
}: {
  look: Look
  at: PartToLookAt
  errorOf: (field: string) => ReactNode
}) {
  const { spot, setSpot } = look
  if (RUNS.includes(at.place))
    return (
      <SegmentedControl
        size="xs"
        mt="xs"
        aria-label="On which run"
        value={spot.run ?? 'anywhere'}
        onChange={(run) => setSpot({ ...NOWHERE, run: run === 'anywhere' ? null : (run as LoopRun) })}
        data={[
          { value: 'anywhere', label: 'anywhere' },
          { value: 'tight', label: 'tight run' },
          { value: 'slack', label: 'slack run' },
        ]}
      />
    )
  if (!WHEELS.includes(at.place)) return null
  return (
    <div className={fieldRows.fields} style={{ marginTop: 8 }}>
      <QuantityField
        size="sm"
        label="From tooth, from the mark"
        isCount
        value={spot.fromTooth ?? undefined}
        onChange={(tooth) => setSpot({ ...spot, fromTooth: tooth ?? null })}
        error={errorOf('detail.fromTooth')}
      />
      <QuantityField
        size="sm"
        label="To tooth"
        isCount
        value={spot.toTooth ?? undefined}
        onChange={(tooth) => setSpot({ ...spot, toTooth: tooth ?? null })}
        error={errorOf('detail.toTooth')}
      />
    </div>
  )
}
