import { Button, SegmentedControl } from '@mantine/core'
import { useState } from 'react'
import { issueFor } from '../api/issues'
import { addToLog, type LogLine, type RunStart, type RunTiming } from '../api/log'
import { useChange } from '../api/queries'
import { ChoiceField } from '../quantities/ChoiceField'
import { today } from '../quantities/days'
import { useUnits } from '../quantities/units'
import { Panel } from '../shell/Panel'
import { Refused } from '../shell/Refused'
import { ConditionFields } from './ConditionFields'
import { FilmTimer } from './FilmTimer'
import { NO_CONDITIONS } from './logDraft'
import { START_WORDS } from './logWords'
import { TapTimer } from './TapTimer'
import { TraceTimer } from './TraceTimer'
import type { TimedRun } from './timedRun'

/** Speeds that don’t go with how it begun are refused where that is said. */
const START_FIELDS = ['start', 'fromKmh', 'toKmh']

const WAYS: Record<Exclude<RunTiming, 'watch'>, string> = {
  trace: 'a trace',
  twoTaps: 'two taps',
  film: 'a film',
}

/** Time between two speeds: from a trace, by two taps, or by the frames of a film. What is kept goes into the log. */
export function RoadTestPanel({ machineId, setups }: { machineId: number; setups: Record<string, string> }) {
  const units = useUnits()
  const [way, setWay] = useState<keyof typeof WAYS>('trace')
  const [runs, setRuns] = useState<TimedRun[]>([])
  const [start, setStart] = useState<RunStart>('rolling')
  const [under, setUnder] = useState(NO_CONDITIONS)
  const [setupId, setSetupId] = useState<number | null>(null)
  const add = useChange(addToLog)
  const lines: LogLine[] = runs.map((run) => ({
    kind: 'runTimed',
    on: run.on ?? today(),
    odometerKm: null,
    setupId,
    under: Object.values(under).some((v) => v !== null) ? under : null,
    words: run.words ?? null,
    seconds: run.seconds,
    fromKmh: run.fromKmh,
    toKmh: run.toKmh,
    start,
    timing: way,
    gear: run.gear ?? null,
  }))
  return (
    <Panel title="Road test" note="time between two speeds" isEmpty>
      <p className="cap">
        On a closed road or a private yard, never where others drive; somebody else reads and taps.
      </p>
      <SegmentedControl
        size="xs"
        mt="xs"
        mb="sm"
        fullWidth
        aria-label="Timed by"
        value={way}
        onChange={(chosen) => {
          setWay(chosen as keyof typeof WAYS)
          setRuns([])
        }}
        data={Object.entries(WAYS).map(([value, label]) => ({ value, label }))}
      />
      {way === 'trace' && <TraceTimer machineId={machineId} chosen={runs} onChoose={setRuns} />}
      {way === 'twoTaps' && <TapTimer onTimed={(run) => setRuns([...runs, run])} />}
      {way === 'film' && <FilmTimer onTimed={(run) => setRuns([...runs, run])} />}
      {way !== 'trace' && runs.length > 0 && (
        <ol>
          {runs.map((run, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: runs have no other name than their order
            <li key={i}>
              <b className="num">{run.seconds.toFixed(2)} s</b>, {units.show('speed', run.fromKmh)} to{' '}
              {units.show('speed', run.toKmh)}{' '}
              <Button
                size="compact-xs"
                variant="subtle"
                onClick={() => setRuns(runs.filter((_, at) => at !== i))}
              >
                drop it
              </Button>
            </li>
          ))}
        </ol>
      )}
      {runs.length > 0 && (
        <>
          <ChoiceField
            size="sm"
            label="Begun"
            words={START_WORDS}
            value={start}
            onChange={setStart}
            error={START_FIELDS.map((field) => issueFor(add.error, `lines[0].${field}`)).find(Boolean)}
          />
          <ConditionFields
            isRun
            under={under}
            onChange={setUnder}
            errorOf={(field) => issueFor(add.error, `lines[0].under.${field}`)}
            setups={setups}
            setupId={setupId}
            onSetup={setSetupId}
          />
          <Button
            mt="sm"
            loading={add.isPending}
            onClick={() => add.mutate({ machineId, lines }, { onSuccess: () => setRuns([]) })}
          >
            {runs.length === 1 ? 'Write this run down' : `Write these ${runs.length} runs down`}
          </Button>
        </>
      )}
      <Refused error={add.error} />
    </Panel>
  )
}
