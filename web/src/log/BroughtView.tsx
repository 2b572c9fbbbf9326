import { SegmentedControl } from '@mantine/core'
import { useState } from 'react'
import { sentenceOf } from '../api/issues'
import { type ComparedMeasure, type FairComparisonQuestion, type LogKind, useComparison } from '../api/log'
import type { Workbench } from '../machine/useWorkbench'
import { EmptyState } from '../shell/EmptyState'
import classes from './BroughtView.module.css'
import { ComparisonPanel } from './ComparisonPanel'
import { CostPanel } from './CostPanel'
import { DifferencesPanel } from './DifferencesPanel'
import { LogForm } from './LogForm'
import { LogPanel } from './LogPanel'
import { MEASURE_WORDS } from './logWords'
import { RoadTestPanel } from './RoadTestPanel'

/** What a change really brought: the log, two setups by it, and runs that are timed. */
export default function BroughtView({ bench }: { bench: Workbench }) {
  const { machine } = bench.card
  const isEngine = machine.drives.some((d) => d.input.kind === 'engine')
  const isPedalled = machine.drives.every((d) => d.input.kind === 'rider')
  const [question, setQuestion] = useState<FairComparisonQuestion>({
    ...ANY,
    measure: isPedalled ? 'time' : isEngine ? 'fuel' : 'energy',
  })
  const { data, error, isStale } = useComparison(machine.id, question)
  const change = (next: Partial<FairComparisonQuestion>) => setQuestion({ ...question, ...next })
  if (!data)
    return error ? (
      <EmptyState title="The log can’t be told.">{sentenceOf(error)}</EmptyState>
    ) : (
      <EmptyState title="Opening the log …" />
    )
  const setups = Object.fromEntries(data.setups.map((s) => [String(s.id), s.name]))
  const kinds: LogKind[] = [...(isPedalled ? [] : isEngine ? FUEL_FIRST : CHARGE_FIRST), ...OTHERS]
  return (
    <div className={classes.brought}>
      <div className={classes.column}>
        <LogForm machineId={machine.id} setups={setups} kinds={kinds} />
        <div className={classes.lines}>
          <LogPanel machineId={machine.id} />
        </div>
      </div>
      <div className={classes.column}>
        <SegmentedControl
          aria-label="Compared by"
          value={question.measure}
          onChange={(measure) => change({ measure: measure as ComparedMeasure, alike: null, matters: null })}
          data={Object.entries(MEASURE_WORDS).map(([value, label]) => ({ value, label }))}
          data-no-print
        />
        <ComparisonPanel
          comparison={data}
          question={question}
          error={error}
          isStale={isStale}
          onChange={change}
        />
        <RoadTestPanel machineId={machine.id} setups={setups} />
      </div>
      <div className={classes.column}>
        <DifferencesPanel comparison={data} isStale={isStale} />
        <CostPanel comparison={data} question={question} error={error} onChange={change} />
      </div>
    </div>
  )
}

const ANY = { firstId: null, secondId: null, alike: null, matters: null, ratePerHour: null }
const FUEL_FIRST: LogKind[] = ['fuelFilled', 'charged']
const CHARGE_FIRST: LogKind[] = ['charged', 'fuelFilled']
const OTHERS: LogKind[] = [
  'odometerRead',
  'runTimed',
  'noiseRead',
  'upkeepDone',
  'partPaid',
  'scoreGiven',
  'meanTold',
]
