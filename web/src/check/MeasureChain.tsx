import { Button, Checkbox } from '@mantine/core'
import { useState } from 'react'
import type { MeasuredOver, WearAnswer } from '../api/check'
import type { JobSheet } from '../api/client'
import { issueFor } from '../api/issues'
import { atEvent, useJobEvents } from '../job/useJobEvents'
import { ChoiceField } from '../quantities/ChoiceField'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import fieldRows from '../shell/fields.module.css'
import { Refused } from '../shell/Refused'
import { OVER_WORDS } from './wearWords'

/** A length of the chain, pulled taut, at a few places of it. */
export function MeasureChain({ job, loopKey, wear }: { job: JobSheet; loopKey: string; wear: WearAnswer }) {
  const record = useJobEvents(job.id)
  const units = useUnits()
  const [pitches, setPitches] = useState<number | undefined>(wear.usualPitches)
  const [over, setOver] = useState<MeasuredOver>('outerRollers')
  const [places, setPlaces] = useState<(number | undefined)[]>(Array(wear.usualPlaces).fill(undefined))
  const [play, setPlay] = useState<number>()
  const [short, setShort] = useState<number>()
  const [isPull, setPull] = useState(false)
  const [load, setLoad] = useState<number>()
  const [secondLoad, setSecondLoad] = useState<number>()
  const [secondMm, setSecondMm] = useState<number>()
  const [isNewChain, setNewChain] = useState(false)
  const [isNewUse, setNewUse] = useState(false)
  const measured = places.filter((p) => p !== undefined)
  const errorOf = (field: string) => issueFor(record.error, atEvent(field))
  return (
    <form
      data-no-print
      onSubmit={(event) => {
        event.preventDefault()
        record.happens(
          {
            kind: 'elongationMeasured',
            loopKey,
            pitches: pitches ?? 0,
            over,
            measuredMm: measured,
            rollerPlayMm: over === 'pins' ? null : (play ?? null),
            isNewChain,
            isNewUse: isNewUse || null,
            chainId: null,
            readsShortMm: short ?? null,
            pull: isPull
              ? {
                  loadN: load ?? 0,
                  secondLoadN: secondLoad ?? null,
                  secondMm: secondMm ?? null,
                  nominalN: null,
                }
              : null,
          },
          () => {
            setPlaces(places.map(() => undefined))
            setSecondMm(undefined)
            setNewChain(false)
            setNewUse(false)
          },
        )
      }}
    >
      <p className="cap" style={{ marginTop: 8 }}>
        Clean, the run pulled taut with a hundredth of its breaking load
        {wear.measuringLoadN !== null && `, ${units.show('force', wear.measuringLoadN)}`}. Measured at as many
        places as there are fields: it is as worn as its worst one.
      </p>
      <div className={fieldRows.fields} style={{ marginTop: 8 }}>
        <QuantityField
          size="sm"
          label="Pitches measured at once"
          isCount
          value={pitches}
          onChange={setPitches}
          error={errorOf('pitches')}
        />
        <ChoiceField size="sm" label="Between" words={OVER_WORDS} value={over} onChange={setOver} />
      </div>
      <div className={fieldRows.fields}>
        {places.map((value, i) => (
          <QuantityField
            // biome-ignore lint/suspicious/noArrayIndexKey: places have no other name than their order
            key={i}
            size="sm"
            label={`Place ${i + 1}`}
            unit="mm"
            value={value}
            onChange={(mm) => setPlaces(places.map((p, at) => (at === i ? mm : p)))}
            error={
              value === undefined
                ? undefined
                : errorOf(`measuredMm[${places.slice(0, i).filter((p) => p !== undefined).length}]`)
            }
          />
        ))}
        {over !== 'pins' && (
          <QuantityField
            size="sm"
            label="Play of a roller"
            unit="mm"
            value={play}
            onChange={setPlay}
            error={errorOf('rollerPlayMm')}
          />
        )}
        <QuantityField
          size="sm"
          label="Instrument reads short by"
          unit="mm"
          value={short}
          onChange={setShort}
          error={errorOf('readsShortMm')}
        />
      </div>
      <Checkbox
        size="sm"
        mb={4}
        label="Pulled with another load than that"
        checked={isPull}
        onChange={(event) => setPull(event.currentTarget.checked)}
      />
      {isPull && (
        <>
          <div className={fieldRows.fields}>
            <QuantityField
              size="sm"
              label="Pulled with"
              quantity="force"
              value={load}
              onChange={setLoad}
              error={errorOf('pull.loadN')}
            />
            <QuantityField
              size="sm"
              label="Place 1 again, with"
              quantity="force"
              value={secondLoad}
              onChange={setSecondLoad}
              error={errorOf('pull.secondLoadN')}
            />
            <QuantityField
              size="sm"
              label="Read there then"
              unit="mm"
              value={secondMm}
              onChange={setSecondMm}
              error={errorOf('pull.secondMm')}
            />
          </div>
          <p className="cap">
            The two tell how this chain gives, and what the load made of it is taken off. Without the second
            one nothing is.
          </p>
        </>
      )}
      <Checkbox
        size="sm"
        label="It is a new chain: the record begins anew"
        checked={isNewChain}
        onChange={(event) => setNewChain(event.currentTarget.checked)}
      />
      <Checkbox
        size="sm"
        mt={4}
        label="From here on it is used otherwise: the line begins here"
        checked={isNewUse}
        onChange={(event) => setNewUse(event.currentTarget.checked)}
      />
      <Button type="submit" mt="sm" size="sm" variant="default" loading={record.isPending}>
        Write it down
      </Button>
      <Refused
        error={record.error}
        fields={[
          'pitches',
          'rollerPlayMm',
          'readsShortMm',
          'pull.loadN',
          'pull.secondLoadN',
          'pull.secondMm',
          ...measured.map((_, i) => `measuredMm[${i}]`),
        ].map(atEvent)}
      />
    </form>
  )
}
