import { Button } from '@mantine/core'
import { useState } from 'react'
import type { LoopSetting, SetAdvice, SetJob } from '../api/client'
import { type AnswerTo, useEvaluation } from '../api/evaluation'
import { sentenceOf } from '../api/issues'
import { readingText } from '../loop/readings'
import type { Workbench } from '../machine/useWorkbench'
import { figure } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { LabelledValue } from '../shell/LabelledValue'
import { Panel } from '../shell/Panel'
import table from '../shell/table.module.css'
import { WhyButton } from '../shell/WhyButton'
import { WorkingDialog } from '../shell/WorkingDialog'
import classes from './NextCard.module.css'
import type { Decision } from './usePracticeDecision'
import { decisionText, nextText, stepText, unitsText } from './words'

type Score = AnswerTo<'practiceScore'>

/** What the simulated drive hid, how it was set, and what the advisor would have made of it. */
export default function PracticeResult({
  bench,
  job,
  setting,
  advice,
  decision,
  onAnother,
}: {
  bench: Workbench
  job: SetJob
  setting: LoopSetting | null
  /** Of what was kept. */
  advice: SetAdvice
  decision: Decision
  onAnother: () => void
}) {
  const { goal, rounds, gauge } = job
  const score = useEvaluation(bench.asFitted, 'practiceScore', {
    seed: Math.abs(job.id),
    practised: { goal, rounds, gauge },
    setting,
  })
  const [isWorking, setWorking] = useState(false)
  return (
    <Panel title="What it was" aside={<WhyButton onClick={() => setWorking(true)} />}>
      {score.error ? (
        <p role="alert" style={{ color: 'var(--stop)' }}>
          {sentenceOf(score.error)}
        </p>
      ) : null}
      {score.data && (
        <>
          <p className={classes.big} role="status">
            {verdictText(score.data, decision)}
          </p>
          <Beside score={score.data} advice={advice} />
          <Rounds score={score.data} advice={advice} />
          <Hidden score={score.data} advice={advice} />
        </>
      )}
      <Button mt="sm" onClick={onAnother}>
        Another one
      </Button>
      {isWorking && (
        <WorkingDialog
          title="Working: practice"
          workings={score.data?.workings}
          error={score.error}
          onClose={() => setWorking(false)}
        />
      )}
    </Panel>
  )
}

function verdictText({ own, masterEnd }: Score, { what }: Decision): string {
  if (what === 'stop')
    return masterEnd === 'done'
      ? 'You stopped; it could have been set.'
      : 'You stopped, and so would the advisor.'
  if (own.isRight) return '● It is right.'
  if (own.isInside) return '▲ It stands right, but was not read with everything tight.'
  return '■ It is not right yet.'
}

function Beside({ score, advice }: { score: Score; advice: SetAdvice }) {
  const { own, master } = score
  const { kind, turns } = advice.setting.adjuster
  const amount = (units: number) => `${unitsText(kind, units)}${turns && units > 1 ? 's' : ''}`
  const rows: [string, (tally: Score['own']) => string][] = [
    ['rounds of turning', (t) => String(t.rounds)],
    ['past the window, at worst', (t) => (t.overByUnits > 0 ? amount(t.overByUnits) : 'never')],
    ['turned in all', (t) => amount(t.turnedUnits)],
    ['stands right', (t) => (t.isInside ? 'yes' : 'no')],
    ['read with all tight', (t) => (t.isTorqued ? 'yes' : 'no')],
  ]
  return (
    <table className={table.table}>
      <thead>
        <tr>
          <th>Beside each other</th>
          <th>you</th>
          <th>advisor</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(([name, tell]) => (
          <tr key={name}>
            <th scope="row">{name}</th>
            <td>{tell(own)}</td>
            <td>{tell(master)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

function Rounds({ score, advice }: { score: Score; advice: SetAdvice }) {
  if (score.rounds.length === 0) return null
  return (
    <table className={table.table}>
      <thead>
        <tr>
          <th>Round</th>
          <th className={table.words}>you</th>
          <th className={table.words}>the advisor would have said</th>
        </tr>
      </thead>
      <tbody>
        {score.rounds.map((r) => (
          <tr key={r.index}>
            <th scope="row">{r.index}</th>
            <td className={table.words}>
              {decisionText({ what: r.leftUnits || r.rightUnits ? 'turn' : 'tighten', ...r }, advice)}
            </td>
            <td className={table.words}>
              {r.isLikeAdvised
                ? 'the same'
                : nextText({ ...advice, next: r.advised, moves: r.moves, shims: null })}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

function Hidden({ score, advice }: { score: Score; advice: SetAdvice }) {
  const units = useUnits()
  const { hidden } = score
  const { adjuster, gapSide } = advice.setting
  const read = (value: number | null | undefined) =>
    value == null ? 'past what can be read' : readingText(hidden.method, Math.abs(value), units)
  const signed = (value: number | null | undefined) =>
    `${value != null && value < 0 ? '−' : '+'}${read(value)}`
  return (
    <>
      <LabelledValue name="really at the loosest · tightest place">
        {read(hidden.loosestReading)} · {read(hidden.tightestReading)}
      </LabelledValue>
      <LabelledValue name={`${stepText(adjuster)}${adjuster.hasTwoEnds ? ' of both' : ''}`}>
        {signed(hidden.perStepReading)}
      </LabelledValue>
      <LabelledValue name="as stiff as such a drive usually is">
        {figure(hidden.stifferBy, 2)} times
      </LabelledValue>
      <LabelledValue name={`tightening the ${advice.manual.lock}`}>{signed(hidden.nutReading)}</LabelledValue>
      {hidden.gapMm !== null && gapSide && (
        <LabelledValue name={`gap, ${gapSide}, really`}>{units.show('fine', hidden.gapMm)}</LabelledValue>
      )}
      {hidden.nutGapMm !== null && (
        <LabelledValue name={`gap, by tightening the ${advice.manual.lock}`}>
          {hidden.nutGapMm < 0 ? '−' : '+'}
          {units.show('fine', Math.abs(hidden.nutGapMm))}
        </LabelledValue>
      )}
      {hidden.perStepGapMm !== null && (
        <LabelledValue name={`gap for ${stepText(adjuster)} of the right alone`}>
          {hidden.perStepGapMm < 0 ? '−' : '+'}
          {units.show('fine', Math.abs(hidden.perStepGapMm))}
        </LabelledValue>
      )}
    </>
  )
}
