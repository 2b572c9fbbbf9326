import { useState } from 'react'
import { Link } from 'react-router'
import type { WearAnswer } from '../api/check'
import type { JobSheet } from '../api/client'
import { useEvaluation } from '../api/evaluation'
import { sentenceOf } from '../api/issues'
import due from '../job/due.module.css'
import { GRADE_COLOURS, GRADE_MARKS } from '../loop/findingWords'
import type { Workbench } from '../machine/useWorkbench'
import { dayText } from '../quantities/days'
import { fixed, money } from '../quantities/format'
import { type Units, useUnits } from '../quantities/units'
import { LabelledValue } from '../shell/LabelledValue'
import { Panel } from '../shell/Panel'
import table from '../shell/table.module.css'
import { WorkingDialog } from '../shell/WorkingDialog'
import { MeasureChain } from './MeasureChain'
import { WearChart } from './WearChart'
import { LIMIT_WORDS, REPLACING_WORDS, rangeText } from './wearWords'

/** Elongation of the chain: what was measured, where it goes, and when it is at its limit. */
export function WearPanel({ bench, job }: { bench: Workbench; job: JobSheet | undefined }) {
  const [isWorking, setWorking] = useState(false)
  const wear = useEvaluation(bench.asFitted, 'wear', {})
  const loop = bench.loops.at(-1)
  if (loop?.driveElement === 'toothedBelt')
    return (
      <p className="cap">
        A rubber belt loses tension from the day it is fitted: what is left on the day it is needed, and what
        to set today, stands at <Link to="../set">Set, “Running in”</Link>.
      </p>
    )
  if (loop?.driveElement !== 'chain') return null
  if (wear.error && !wear.data)
    return (
      <Panel title="Elongation of the chain">
        <p role="alert">{sentenceOf(wear.error)}</p>
      </Panel>
    )
  if (!wear.data) return null
  const { data } = wear
  return (
    <Panel
      title="Elongation of the chain"
      note={
        data.limitPercent === null
          ? undefined
          : `limit ${fixed(data.limitPercent, 2)} %, ${data.limitBy ? LIMIT_WORDS[data.limitBy] : ''}`
      }
      isStale={wear.isStale}
    >
      {data.grade && data.grade !== 'fine' && (
        <p style={{ color: GRADE_COLOURS[data.grade] }}>
          <b>
            {GRADE_MARKS[data.grade]}{' '}
            {data.grade === 'stop'
              ? 'At its limit: it is to be replaced.'
              : 'Past half of its limit: it is watched.'}
          </b>
        </p>
      )}
      <WearChart wear={data} />
      <Says wear={data} />
      <Beside wear={data} />
      <Record wear={data} onWorking={() => setWorking(true)} />
      {job && <MeasureChain job={job} loopKey={loop.loopKey} wear={data} />}
      {!job && <p className="cap">Begin a look to measure it.</p>}
      {isWorking && (
        <WorkingDialog
          title="Working: elongation"
          workings={data.workings}
          onClose={() => setWorking(false)}
        />
      )}
    </Panel>
  )
}

/** The adjuster, the wheels, and what is replaced: what goes with a worn chain. */
function Beside({
  wear: { reserve, wornWheels, setOrPart, limitPercent, before, readings },
}: {
  wear: WearAnswer
}) {
  const units = useUnits()
  const isNew = before > 0 && readings.length === 1
  return (
    <>
      {reserve &&
        (reserve.isUsedUpFirst ? (
          <p style={{ color: 'var(--watch)' }}>
            ▲ The adjuster ends at {fixed(reserve.takesUpPercent, 2)} %, before the limit of{' '}
            {fixed(limitPercent ?? 0, 2)} %: then that is the limit.
          </p>
        ) : (
          <LabelledValue name="reserve of the adjuster at the limit">
            {units.show('fine', reserve.leftMm)}
          </LabelledValue>
        ))}
      {isNew && wornWheels.length > 0 && (
        <p style={{ color: 'var(--watch)' }}>
          ▲ A new chain on worn teeth: {wornWheels.map((w) => w.what).join(', ')}. It will not last on them.
        </p>
      )}
      {setOrPart && (
        <>
          <p>
            <b>{REPLACING_WORDS[setOrPart.replacing]}</b> {setOrPart.why}
          </p>
          <p className="cap">
            {setOrPart.otherSchool} In one go it takes {fixed(setOrPart.onceMinutes, 0)} min, one after the
            other {fixed(setOrPart.twiceMinutes, 0)} min
            {setOrPart.twiceMoney > 0 &&
              `, and ${money(setOrPart.onceMoney)} against ${money(setOrPart.twiceMoney)} of money`}
            .
          </p>
        </>
      )}
    </>
  )
}

/** What the record says, and how sure it is. */
function Says({ wear }: { wear: WearAnswer }) {
  const units = useUnits()
  const { forecast, usualLife, earliest, reached, readings } = wear
  if (forecast?.trend === 'rising' && forecast.meanLine && forecast.oneReading && forecast.reached !== null)
    return (
      <>
        <LabelledValue name="at the limit, by the line">
          {units.show('distance', forecast.reached)}
          {reached !== null && `, about ${dayText(reached)}`}
        </LabelledValue>
        <LabelledValue name="the true line crosses there, nine times of ten">
          {rangeText(forecast.meanLine, units)}
        </LabelledValue>
        <LabelledValue name="one more reading may show it">
          {rangeText(forecast.oneReading, units)}
          {earliest !== null && `, from ${dayText(earliest)}`}
        </LabelledValue>
      </>
    )
  return (
    <p className="cap">
      {readings.length === 0
        ? 'Not measured yet.'
        : forecast?.trend === 'none'
          ? 'No wear to be seen in the readings: more of them, further apart.'
          : forecast?.trend === 'oneDistance'
            ? 'All readings are at one distance: measure again after it has run.'
            : 'Three readings with their distance tell a line; these are too few.'}{' '}
      {usualLife?.lowKm != null && usualLife.highKm != null
        ? `So loaded, such a chain lasts ${rangeText({ low: usualLife.lowKm, high: usualLife.highKm }, units)} from new: an estimate, see Loads.`
        : 'Say at Loads how it is used, and what such a chain usually lasts stands here.'}
    </p>
  )
}

/** What another load than the measuring load made of it, or that nobody can tell. */
function pullText({ pull, ofLoadPercent }: WearAnswer['readings'][number]['measured'], units: Units) {
  if (!pull) return ''
  return ofLoadPercent === null
    ? ` pulled with ${units.show('force', pull.loadN)}: how it gives was not measured`
    : ` for the load ${fixed(-ofLoadPercent, 2)} %`
}

function Record({ wear, onWorking }: { wear: WearAnswer; onWorking: () => void }) {
  const units = useUnits()
  if (wear.readings.length === 0) return null
  return (
    <div className={table.scroll}>
      <table className={table.table}>
        <caption className="cap">
          {wear.before > 0 && `${wear.before} readings of chains before this one. `}
          <button type="button" className={due.link} onClick={onWorking} data-no-print>
            working of the newest
          </button>
        </caption>
        <thead>
          <tr>
            <th scope="col">job</th>
            <th scope="col">odometer</th>
            <th scope="col">worst</th>
            <th scope="col">between places</th>
          </tr>
        </thead>
        <tbody>
          {wear.readings.map((r) => (
            <tr key={r.measured.entry}>
              <th scope="row">
                <Link to={`../jobs/${r.jobId}`}>{dayText(r.on)}</Link>
              </th>
              <td className="num">
                {r.odometerKm === null ? 'not said' : units.show('distance', r.odometerKm)}
              </td>
              <td className="num">
                {fixed(r.measured.worstPercent, 2)} %{r.isOffLine && ' ▲ off the line'}
                {pullText(r.measured, units)}
                {!r.isCounted && r.odometerKm !== null && ' before the change of use'}
              </td>
              <td className="num">{fixed(r.measured.spreadPercent, 2)} %</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
