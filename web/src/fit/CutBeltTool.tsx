import { Select } from '@mantine/core'
import { useState } from 'react'
import { type CutBeltInput, cutBelt } from '../api/client'
import { issueFor } from '../api/issues'
import { useComputed } from '../api/queries'
import { fixed, plain } from '../quantities/format'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import classes from '../shell/fields.module.css'
import { LabelledValue } from '../shell/LabelledValue'
import { Outdated } from '../shell/Outdated'
import { Refused } from '../shell/Refused'
import { WhyButton } from '../shell/WhyButton'
import { WorkingDialog } from '../shell/WorkingDialog'
import type { Fit } from './useFit'

const KINDS: { value: CutBeltInput['kind']; label: string }[] = [
  { value: 'weldedCord', label: 'welded cord' },
  { value: 'oRing', label: 'O-ring' },
  { value: 'linkBelt', label: 'link belt' },
]

const FIELDS = ['fittedMm', 'stretchPercent', 'jointMm', 'sectionMm', 'modulusMpa', 'linkPitchMm']

/** Length to cut of a belt that is made up on the spot. */
export function CutBeltTool({ fit }: { fit: Fit }) {
  const units = useUnits()
  const [kind, setKind] = useState<CutBeltInput['kind']>('weldedCord')
  const [path, setPath] = useState<number>()
  const [stretch, setStretch] = useState<number>()
  const [joint, setJoint] = useState<number>()
  const [section, setSection] = useState<number>()
  const [modulus, setModulus] = useState<number>()
  const [pitch, setPitch] = useState<number>()
  const [isWorking, setWorking] = useState(false)
  const answer = fit.answer.data
  const here = answer?.path.lengthMm
  const { data, of, error, isStale } = useComputed(
    'cut-belt',
    (path ?? here) === undefined
      ? undefined
      : {
          kind,
          fittedMm: (path ?? here) as number,
          stretchPercent: stretch ?? null,
          jointMm: joint ?? 0,
          sectionMm: section ?? null,
          modulusMpa: modulus ?? null,
          linkPitchMm: kind === 'linkBelt' ? (pitch ?? null) : null,
        },
    cutBelt,
  )
  const issue = (name: string) => issueFor(error, name)
  return (
    <>
      <div className={classes.fields}>
        <Select
          size="xs"
          label="Kind"
          allowDeselect={false}
          data={KINDS}
          value={kind}
          onChange={(value) => value && setKind(value)}
        />
        <QuantityField
          size="xs"
          label="Path on the wheels"
          quantity="fine"
          placeholder={here === undefined ? '' : fixed(units.toShown('fine', here), 1)}
          value={path}
          onChange={setPath}
          error={issue('fittedMm')}
        />
        <QuantityField
          size="xs"
          label="Stretch"
          unit="%"
          placeholder={data ? plain(data.stretchPercent) : ''}
          value={stretch}
          onChange={setStretch}
          error={issue('stretchPercent')}
        />
        <QuantityField
          size="xs"
          label="For the joint"
          quantity="fine"
          placeholder="0"
          value={joint}
          onChange={setJoint}
          error={issue('jointMm')}
        />
        {kind === 'linkBelt' ? (
          <QuantityField
            size="xs"
            label="One link"
            quantity="fine"
            value={pitch}
            onChange={setPitch}
            error={issue('linkPitchMm')}
          />
        ) : (
          <>
            <QuantityField
              size="xs"
              label="Thickness"
              quantity="fine"
              value={section}
              onChange={setSection}
              error={issue('sectionMm')}
            />
            <QuantityField
              size="xs"
              label="Modulus, from the maker"
              unit="MPa"
              value={modulus}
              onChange={setModulus}
              error={issue('modulusMpa')}
            />
          </>
        )}
      </div>
      <Refused error={error} fields={FIELDS} />
      {data && (
        <Outdated isStale={isStale} of={`a path of ${units.show('fine', of?.fittedMm ?? 0)}`}>
          {data.insideDiameterMm !== null ? (
            <LabelledValue name="ring, inside diameter">
              {units.show('fine', data.insideDiameterMm)}
            </LabelledValue>
          ) : (
            <LabelledValue name="cut to">{units.show('fine', data.cutLengthMm)}</LabelledValue>
          )}
          <LabelledValue name="free length, joined">{units.show('fine', data.freeLengthMm)}</LabelledValue>
          {data.links !== null && <LabelledValue name="links">{plain(data.links)}</LabelledValue>}
          {data.pullN !== null && <LabelledValue name="pull at rest">{fixed(data.pullN, 0)} N</LabelledValue>}
          {!data.isUsualStretch && (
            <p style={{ color: 'var(--watch)', marginTop: 6 }}>
              ▲ {plain(data.leastUsualPercent)} to {plain(data.mostUsualPercent)} % is usual; the maker’s
              figure wins.
            </p>
          )}
          <WhyButton onClick={() => setWorking(true)} />
        </Outdated>
      )}
      {isWorking && data && (
        <WorkingDialog
          title="Working: cut to length"
          workings={data.workings}
          onClose={() => setWorking(false)}
        />
      )}
    </>
  )
}
