import type { LoopLoadsResult } from '../api/client'
import { fixed } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { LabelledValue } from '../shell/LabelledValue'
import { Panel } from '../shell/Panel'
import { TentChart } from './TentChart'
import { POINT_WORDS } from './words'

const LINE_WORDS: Record<NonNullable<LoopLoadsResult['tent']>['governs'], string> = {
  linkPlates: 'fatigue of the link plates',
  rollersAndBushings: 'blows of rollers and bushings',
}

/** The industrial rating of a chain, and the power to look it up with in a maker's charts. */
export function RatingPanel({
  answer,
  chart,
}: {
  answer: LoopLoadsResult
  chart: NonNullable<LoopLoadsResult['chart']>
}) {
  const units = useUnits()
  return (
    <Panel
      title="Industrial rating"
      note={answer.tent && 'plate fatigue rises on the left, roller impact falls on the right'}
    >
      {answer.tent ? (
        <>
          <TentChart tent={answer.tent} points={answer.points} />
          <p className="cap">
            ACA, Shigley ch. 17: for the life of a machine in a works, clean and oiled as its class demands.
            Vehicles go beyond it in short bursts; it is no limit of theirs.
          </p>
          <LabelledValue name="limited here by">{LINE_WORDS[answer.tent.governs]}</LabelledValue>
        </>
      ) : (
        <p className="cap">
          The equations of the rating hold for chains of standard pitch in the tables: look this one up with
          its maker.
        </p>
      )}
      <LabelledValue name={`power for a maker’s chart, ISO 10823, ${POINT_WORDS[chart.point]}`}>
        {units.show('power', chart.isoKw)}
      </LabelledValue>
      <LabelledValue name="power for a table that knows the teeth, ACA">
        {units.show('power', chart.acaKw)}
      </LabelledValue>
      <LabelledValue name="small sprocket then">{fixed(chart.rpm, 0)} rpm</LabelledValue>
    </Panel>
  )
}
