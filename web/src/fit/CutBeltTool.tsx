import { useState } from 'react'
import { type CutBeltInput, cutBelt } from '../api/client'
import { useComputed } from '../api/queries'
import type { Fit } from '../loop/useFit'
import { ChoiceField } from '../quantities/ChoiceField'
import { fixed, plain } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { LabelledValue } from '../shell/LabelledValue'
import { type ToolField, ToolPanel } from '../shell/ToolPanel'

const KIND_WORDS: Record<CutBeltInput['kind'], string> = {
  weldedCord: 'welded cord',
  oRing: 'O-ring',
  linkBelt: 'link belt',
}

type Typed = Partial<Omit<CutBeltInput, 'kind'>>

/** Length to cut of a belt that is made up on the spot. */
export function CutBeltTool({ fit }: { fit: Fit }) {
  const units = useUnits()
  const [kind, setKind] = useState<CutBeltInput['kind']>('weldedCord')
  const [values, setValues] = useState<Typed>({})
  const here = fit.answer.data?.path.lengthMm
  const { fittedMm = here, stretchPercent = null, jointMm = 0 } = values
  // What was typed for another kind is out of view and does not count.
  const { sectionMm = null, modulusMpa = null } = kind === 'linkBelt' ? {} : values
  const linkPitchMm = kind === 'linkBelt' ? (values.linkPitchMm ?? null) : null
  const answer = useComputed(
    'cut-belt',
    fittedMm === undefined
      ? undefined
      : { kind, fittedMm, stretchPercent, jointMm, sectionMm, modulusMpa, linkPitchMm },
    cutBelt,
  )
  const fields: ToolField<keyof Typed>[] = [
    {
      key: 'fittedMm',
      label: 'Path on the wheels',
      quantity: 'fine',
      placeholder: here === undefined ? '' : fixed(units.toShown('fine', here), 1),
    },
    {
      key: 'stretchPercent',
      label: 'Stretch',
      unit: '%',
      placeholder: answer.data ? plain(answer.data.stretchPercent) : '',
    },
    { key: 'jointMm', label: 'For the joint', quantity: 'fine', placeholder: '0' },
    ...(kind === 'linkBelt'
      ? ([{ key: 'linkPitchMm', label: 'One link', quantity: 'fine' }] as const)
      : ([
          { key: 'sectionMm', label: 'Thickness', quantity: 'fine' },
          { key: 'modulusMpa', label: 'Modulus, from the maker', unit: 'MPa' },
        ] as const)),
  ]
  return (
    <ToolPanel
      above={
        <ChoiceField size="xs" w={150} label="Kind" words={KIND_WORDS} value={kind} onChange={setKind} />
      }
      fields={fields}
      values={values}
      onChange={setValues}
      answer={answer}
      of={`a path of ${units.show('fine', answer.of?.fittedMm ?? 0)}`}
      working="cut to length"
    >
      {(data, why) => (
        <>
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
          {why}
        </>
      )}
    </ToolPanel>
  )
}
