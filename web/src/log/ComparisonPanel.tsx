import { useState } from 'react'
import { issueFor } from '../api/issues'
import type { FairComparison, FairComparisonQuestion, SetupOutcome } from '../api/log'
import due from '../job/due.module.css'
import { ChoiceField } from '../quantities/ChoiceField'
import { fixed } from '../quantities/format'
import { QuantityField } from '../quantities/QuantityField'
import fieldRows from '../shell/fields.module.css'
import { LabelledValue } from '../shell/LabelledValue'
import { Panel } from '../shell/Panel'
import { Refused } from '../shell/Refused'
import { WorkingDialog } from '../shell/WorkingDialog'
import classes from './ComparisonPanel.module.css'
import { MEASURE_UNITS, MEASURE_WORDS, measured } from './logWords'
import { OutcomeChart } from './OutcomeChart'
import { verdictText } from './verdictText'

/** Two setups by what was written down: mean, spread, how sure their difference is, and how many more it would take. */
export function ComparisonPanel({
  comparison,
  question,
  error,
  isStale,
  onChange,
}: {
  comparison: FairComparison
  question: FairComparisonQuestion
  error: unknown
  isStale: boolean
  onChange: (change: Partial<FairComparisonQuestion>) => void
}) {
  const [isWorking, setWorking] = useState(false)
  const { first, second, compared, verdict, setups, alike } = comparison
  const { measure } = question
  const names = Object.fromEntries(setups.map((s) => [String(s.id), `${s.name} (${s.count})`]))
  const tone = verdict === 'shown' ? 'shown' : 'open'
  return (
    <Panel
      title="What it brought"
      note={`${MEASURE_WORDS[measure]}, ${MEASURE_UNITS[measure][0]}`}
      isStale={isStale}
    >
      <p className={classes.verdict} data-tone={tone} role="status">
        {verdictText(comparison, measure)}
      </p>
      {comparison.isUnexpected && (
        <p className={classes.unexpected}>
          ▲ The other way round than the gearing has it. Before it is believed: alternate the two.
        </p>
      )}
      <div className={fieldRows.fields} data-no-print>
        <ChoiceField
          size="sm"
          label="Before"
          words={names}
          value={first ? String(first.setupId) : null}
          onChange={(id) => onChange(pair(Number(id), second, 'first'))}
          error={issueFor(error, 'firstId')}
        />
        <ChoiceField
          size="sm"
          label="After"
          words={names}
          value={second ? String(second.setupId) : null}
          onChange={(id) => onChange(pair(Number(id), first, 'second'))}
          error={issueFor(error, 'secondId')}
        />
        <QuantityField
          size="sm"
          label="A difference that matters"
          unit={MEASURE_UNITS[measure][0]}
          value={question.matters ?? undefined}
          placeholder={comparison.matters === null ? '' : fixed(comparison.matters, 2)}
          onChange={(matters) => onChange({ matters: matters ?? null })}
          error={issueFor(error, 'matters')}
        />
      </div>
      {alike.length > 1 && (
        <ChoiceField
          size="sm"
          label="Only what was read alike is compared"
          words={Object.fromEntries(alike.map((key) => [key, key]))}
          value={comparison.alikeKey}
          onChange={(key) => onChange({ alike: key as string })}
          data-no-print
        />
      )}
      {alike.length === 1 && comparison.alikeKey && <p className="cap">{comparison.alikeKey}</p>}
      <OutcomeChart comparison={comparison} measure={measure} />
      {[first, second].map((o) => o && <Outcome key={o.setupId} outcome={o} measure={measure} />)}
      {compared && (
        <>
          <LabelledValue name="second less first">
            {measured(measure, compared.difference, true)}
          </LabelledValue>
          <LabelledValue name="nineteen times of twenty it lies between">
            {measured(measure, compared.low, true)} and {measured(measure, compared.high, true)}
          </LabelledValue>
          {comparison.sound && (
            <LabelledValue name="as pressure, and as it is heard">
              ×{fixed(comparison.sound.pressureRatio, 2)}, about ×{fixed(comparison.sound.loudnessRatio, 2)}
            </LabelledValue>
          )}
        </>
      )}
      {comparison.neededEach !== null && comparison.matters !== null && (
        <LabelledValue name={`to tell ${measured(measure, comparison.matters)}, each needs`}>
          {comparison.neededEach}
        </LabelledValue>
      )}
      {comparison.blocks !== null && comparison.blocks > 0 && (
        <p className="cap">
          Run “before, after, after, before” {comparison.blocks} more{' '}
          {comparison.blocks === 1 ? 'time' : 'times'}: alternated so, warmth, wind and season cancel.
        </p>
      )}
      {compared?.isFew && (
        <p className="cap">Fewer than five of one: a single odd value moves all of this.</p>
      )}
      {comparison.workings.length > 0 && (
        <button type="button" className={due.link} onClick={() => setWorking(true)} data-no-print>
          working
        </button>
      )}
      <Refused error={error} fields={['firstId', 'secondId', 'matters', 'ratePerHour']} />
      {isWorking && (
        <WorkingDialog
          title="Working: two setups against each other"
          workings={comparison.workings}
          onClose={() => setWorking(false)}
        />
      )}
    </Panel>
  )
}

/** Both are said, and choosing one as the other swaps them. */
function pair(id: number, other: SetupOutcome | null, place: 'first' | 'second') {
  const rest = other && other.setupId !== id ? other.setupId : null
  return place === 'first' ? { firstId: id, secondId: rest } : { firstId: rest, secondId: id }
}

function Outcome({
  outcome,
  measure,
}: {
  outcome: SetupOutcome
  measure: FairComparisonQuestion['measure']
}) {
  const { name, sample, overall, count, values, use } = outcome
  return (
    <>
      <LabelledValue
        name={`${name}, ${count} ${measure === 'time' || measure === 'noise' ? 'times' : 'full to full'}`}
      >
        {sample
          ? `${measured(measure, sample.mean)} ± ${fixed(sample.sd, MEASURE_UNITS[measure][1])}`
          : values[0]
            ? measured(measure, values[0].value)
            : 'nothing yet'}
      </LabelledValue>
      {use && (
        <p className="cap">
          = {fixed(use.kmPerLitre, 1)} km/L, {fixed(use.milesPerImperialGallon, 1)} mpg imperial,{' '}
          {fixed(use.milesPerUsGallon, 1)} mpg US
          {overall !== null && `; all of it over all the way ${measured(measure, overall)}`}
        </p>
      )}
      {outcome.hearsay.map((h) => (
        <p className="cap" key={`${h.on} ${h.value}`}>
          hearsay, not counted: {measured(measure, h.value)}
          {h.whose && `, ${h.whose}`}
        </p>
      ))}
    </>
  )
}
