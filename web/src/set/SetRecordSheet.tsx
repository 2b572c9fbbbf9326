import { Button, Group } from '@mantine/core'
import { Link } from 'react-router'
import type { SetJob, SetRound } from '../api/client'
import { useEvaluation } from '../api/evaluation'
import { RoundPhotos } from '../job/RoundPhotos'
import { OutsideReadings } from '../loop/OutsideReadings'
import { METHOD_WORDS, readingEnds, readingText } from '../loop/readings'
import type { Workbench } from '../machine/useWorkbench'
import { dayText, momentText } from '../quantities/days'
import { useUnits } from '../quantities/units'
import { LabelledValue } from '../shell/LabelledValue'
import { Panel } from '../shell/Panel'
import table from '../shell/table.module.css'
import classes from './RecordPage.module.css'
import { RoundSummary } from './RoundSummary'
import { RoundsPanel } from './RoundsPanel'
import { visitKey } from './visitSteps'
import { DESPITE_WORDS, lockWord, positionWord, RUN_WORDS } from './words'

/** What a visit left behind: readings, rounds, closing list. */
export function SetRecordSheet({ bench, job }: { bench: Workbench; job: SetJob }) {
  const { card } = bench
  const loop = card.summary.loops.find((l) => l.loopKey === job.loopKey)
  const { data: advice } = useEvaluation(bench.asFitted, 'set', { visit: visitKey(job), isKeptOnly: true })
  const { closing } = job
  const lock = advice?.manual.lock ?? 'nut or clamp'
  return (
    <div className={classes.record}>
      <header>
        <h2>
          Set record: {card.machine.name}, {loop?.name ?? job.loopKey}
        </h2>
        <Group gap="xs" data-no-print>
          <Button size="compact-sm" onClick={() => window.print()}>
            Print it
          </Button>
          <Button size="compact-sm" variant="default" component={Link} to="../set">
            Back to Set
          </Button>
        </Group>
      </header>
      <p className="cap">
        {dayText(job.openedOn)}
        {job.who && ` · begun by ${job.who}`}
        {closing ? ` · closed ${dayText(closing.closedOn)}` : ' · still open: no final record yet'}
        {closing?.who && ` by ${closing.who}`}
      </p>
      <div className={classes.columns}>
        <Summary job={job} lock={lock} />
        <Panel title="Window" note="as the drive is known today">
          {advice && loop && <RoundSummary advice={advice} positions={4} />}
        </Panel>
      </div>
      <RoundPhotos bench={bench} jobId={job.id} loopKey={job.loopKey} />
      {advice && (
        <RoundsPanel
          rounds={job.rounds}
          results={advice.rounds}
          adjuster={advice.setting.adjuster}
          lock={lock}
        />
      )}
      <Panel title="Readings and how they were taken">
        <div className={table.scroll}>
          <table className={`${table.table} ${classes.readings}`}>
            <thead>
              <tr>
                <th scope="col">round</th>
                <th scope="col">readings</th>
                <th scope="col">{lock}</th>
                <th scope="col">how it stood</th>
                <th scope="col">when and who</th>
              </tr>
            </thead>
            <tbody>
              {job.rounds.map((round, i) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: a round is its number
                <RoundRow key={i} round={round} name={i === 0 ? 'as found' : String(i)} />
              ))}
            </tbody>
          </table>
        </div>
      </Panel>
      {closing && (
        <Panel title="Closing list">
          <ul>
            {advice?.manual.closing
              .filter(({ step }) => closing.done.includes(step))
              .map(({ step, sentence }) => (
                <li key={step}>✓ {sentence}</li>
              ))}
          </ul>
          {job.cautions && (
            <p className="cap">Cautions confirmed{job.cautions.who ? ` by ${job.cautions.who}` : ''}.</p>
          )}
          {closing.despite && (
            <>
              <p style={{ color: 'var(--watch)' }}>▲ Closed over:</p>
              <ul>
                {closing.despite.map((d) => (
                  <li key={d}>{DESPITE_WORDS[d]}</li>
                ))}
                <OutsideReadings readings={closing.outside} />
              </ul>
              <p>Reason given: {closing.reason}</p>
            </>
          )}
          {closing.note && <p>{closing.note}</p>}
        </Panel>
      )}
    </div>
  )
}

function Summary({ job, lock }: { job: SetJob; lock: string }) {
  const units = useUnits()
  const { closing } = job
  const ends = (round: SetRound | undefined) => readingEnds({ rounds: round ? [round] : [] }, units)
  const left = job.rounds.at(-1)
  const method = left?.readings[0]?.method
  return (
    <Panel title="As found, as left">
      <LabelledValue name="as found">{ends(job.rounds[0])}</LabelledValue>
      <LabelledValue name="as left">{closing ? ends(left) : 'not closed'}</LabelledValue>
      {left?.gapMm != null && <LabelledValue name="gap left">{units.show('fine', left.gapMm)}</LabelledValue>}
      {method && <LabelledValue name="read">{METHOD_WORDS[method]}</LabelledValue>}
      {left?.temperatureC != null && <LabelledValue name="temperature">{left.temperatureC} °C</LabelledValue>}
      {closing?.torqueNm != null && (
        <LabelledValue name={lock}>{units.show('torque', closing.torqueNm)}</LabelledValue>
      )}
      {closing?.nextCheckOn && (
        <LabelledValue name="look again on">{dayText(closing.nextCheckOn)}</LabelledValue>
      )}
    </Panel>
  )
}

function RoundRow({ round, name }: { round: SetRound; name: string }) {
  const units = useUnits()
  const places = Math.max(4, ...round.readings.map((r) => r.position + 1))
  const stood = [
    round.onStand != null && (round.onStand ? 'on its stand' : 'on its wheels'),
    round.learnAnew && 'looked at and mended before',
    round.run && RUN_WORDS[round.run],
    round.loadKg != null && `${units.show('mass', round.loadKg)} on it`,
    round.temperatureC != null && `${round.temperatureC} °C`,
    round.turnsRolled != null && `${round.turnsRolled} turns rolled`,
    round.wayLeftMm != null && `${units.show('fine', round.wayLeftMm)} left on the adjuster`,
  ].filter(Boolean)
  const when = round.at && momentText(round.at)
  return (
    <tr>
      <th scope="row">{name}</th>
      <td>
        {round.readings
          .map((r) => `${positionWord(r.position, places)} ${readingText(r.method, r.value, units)}`)
          .join(', ')}
      </td>
      <td>
        {lockWord(round.lock)}
        {round.assumed?.includes('lock') && ' (assumed)'}
      </td>
      <td>{stood.join(', ') || 'not said'}</td>
      <td>{[when, round.who].filter(Boolean).join(', ') || '–'}</td>
    </tr>
  )
}
