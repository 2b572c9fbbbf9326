import { lazy, Suspense, useState } from 'react'
import { sentenceOf } from '../api/issues'
import { MarkingPanel } from '../loop/MarkingPanel'
import { EmptyState } from '../shell/EmptyState'
import { Panel } from '../shell/Panel'
import { Refused } from '../shell/Refused'
import { useShortcuts } from '../shell/shortcuts'
import { WorkingDialog } from '../shell/WorkingDialog'
import { BeforePanel } from './BeforePanel'
import { BeforeThat } from './BeforeThat'
import { ControlPanel } from './ControlPanel'
import classes from './Faults.module.css'
import { FoundCard } from './FoundCard'
import { OddsPanel } from './OddsPanel'
import { SignsPanel } from './SignsPanel'
import { StandsCard, StopCard } from './StandsCard'
import { TestCard } from './TestCard'
import { TestsLeft } from './TestsLeft'
import type { Fault } from './useFault'
import { WayPanel } from './WayPanel'

const BayTest = lazy(async () => ({ default: (await import('./BayTest')).BayTest }))

// What these fields refuse is said at them.
const AT_FIELDS = ['event.words', ...['0', '1', '2', '3'].map((at) => `event.values[${at}]`)]

/** What it does, the test in hand, what it can be, and the way so far. */
export function SearchView({ fault }: { fault: Fault }) {
  const [isWorking, setWorking] = useState(false)
  const [isBay, setBay] = useState(false)
  const { data: desk, error } = fault.desk
  const next = desk?.found ? null : (desk?.result.next ?? null)
  useShortcuts({ b: () => setBay(next !== null) })
  if (error && !desk) return <EmptyState title="The search can’t be opened.">{sentenceOf(error)}</EmptyState>
  if (!desk) return <EmptyState title="Opening …" />
  const isSaid = desk.signs.some((s) => s.isSaid)
  const find = (causes: string[]) =>
    fault.happens({
      kind: 'faultFound',
      loopKey: fault.at.loopKey,
      causes,
      what: '',
      why: null,
      grade: 'watch',
      tests: null,
    })
  return (
    <div className={classes.search}>
      <div className={classes.column}>
        <div className={classes.signs}>
          <SignsPanel fault={fault} desk={desk} />
        </div>
        <BeforePanel fault={fault} desk={desk} />
        <ControlPanel fault={fault} desk={desk} />
      </div>
      <div className={classes.column}>
        <div className={classes.hand}>
          {!isSaid && !desk.found && (
            <p>
              <b>Say first what it does.</b> Every press moves the odds, and the test that comes next.
            </p>
          )}
          <Refused error={fault.error ?? error} fields={AT_FIELDS} />
          <StopCard desk={desk} />
          {desk.found ? (
            <FoundCard key={desk.found.entry} fault={fault} desk={desk} found={desk.found} />
          ) : (
            <StandsCard desk={desk} onFound={find} />
          )}
          {next && (
            <TestCard
              key={next.test.key}
              fault={fault}
              desk={desk}
              next={next}
              onWorking={() => setWorking(true)}
              onBay={() => setBay(true)}
            />
          )}
        </div>
        <OddsPanel
          desk={desk}
          next={next}
          onFound={desk.found || !isSaid ? null : find}
          onWorking={() => setWorking(true)}
        />
        <p className="cap">
          Judgement for finding a fault, and no release: makers’ instructions and local rules go before it.{' '}
          {desk.defers}
        </p>
      </div>
      <div className={classes.column}>
        <WayPanel fault={fault} desk={desk} />
        {!desk.found && <TestsLeft fault={fault} desk={desk} />}
        {!desk.found && (
          <Panel title="When it is found" isEmpty>
            <p>
              It is written down as found on the machine, with what ruled out the others. The cure is done at
              its job, step by step, and after it you are asked whether it is gone.
            </p>
          </Panel>
        )}
        <MarkingPanel />
        <BeforeThat desk={desk} machineId={fault.at.machineId} />
      </div>
      {isWorking && (
        <WorkingDialog
          title="Odds and the next test"
          workings={[...desk.result.workings]}
          error={null}
          onClose={() => setWorking(false)}
        />
      )}
      <Suspense>
        {isBay && next && <BayTest fault={fault} desk={desk} next={next} onLeave={() => setBay(false)} />}
      </Suspense>
    </div>
  )
}
