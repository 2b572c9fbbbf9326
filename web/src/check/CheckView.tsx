import { SegmentedControl } from '@mantine/core'
import { lazy, Suspense, useState } from 'react'
import { useSearchParams } from 'react-router'
import type { InspectionKind } from '../api/check'
import { sentenceOf } from '../api/issues'
import { HappenedButtons } from '../job/HappenedButtons'
import { KIND_WORDS } from '../job/lookWords'
import { LoopChoiceBar } from '../loop/LoopChoiceBar'
import { useBench, type Workbench } from '../machine/useWorkbench'
import { EmptyState } from '../shell/EmptyState'
import { Panel } from '../shell/Panel'
import { useShortcuts } from '../shell/shortcuts'
import { BayLook } from './BayLook'
import { BeginLook } from './BeginLook'
import classes from './CheckView.module.css'
import { DuePanel } from './DuePanel'
import { LookDrawing } from './LookDrawing'
import { LookList } from './LookList'
import { PartCard } from './PartCard'
import { PartWearPanel } from './PartWearPanel'
import { RestFine } from './RestFine'
import { useInspection } from './useInspection'
import { useLook } from './useLook'
import { VerdictPanel } from './VerdictPanel'
import { WearPanel } from './WearPanel'

const BroughtView = lazy(() => import('../log/BroughtView'))

type View = 'look' | 'brought'

/** A machine to practise on has none. */
const hasLog = (bench: Workbench) => bench.card.machine.id !== 0

/** Station 7: what it looks like after some distance, what is due, and what a change brought. */
export default function CheckView() {
  const bench = useBench()
  const [address, setAddress] = useSearchParams()
  const view: View = hasLog(bench) && address.get('view') === 'brought' ? 'brought' : 'look'
  return (
    <>
      {hasLog(bench) && (
        <div className={classes.views} data-no-print>
          <SegmentedControl
            aria-label="At this station"
            value={view}
            onChange={(next) =>
              setAddress(
                (now) => {
                  if (next === 'look') now.delete('view')
                  else now.set('view', next)
                  return now
                },
                { replace: true },
              )
            }
            data={[
              { value: 'look', label: 'Look, wear, due' },
              { value: 'brought', label: 'What it brought' },
            ]}
          />
        </div>
      )}
      {view === 'brought' ? (
        <Suspense fallback={<EmptyState title="Opening the log …" />}>
          <BroughtView bench={bench} />
        </Suspense>
      ) : (
        <LookView bench={bench} />
      )}
    </>
  )
}

function LookView({ bench }: { bench: Workbench }) {
  const look = useLook(bench)
  const [isBay, setBay] = useState(false)
  const inspection = useInspection(bench, look.loop, () => undefined)
  const { answer, job, at } = look
  useShortcuts({ b: () => setBay(job !== undefined && at !== undefined) })
  if (!look.loop)
    return (
      <EmptyState title="This machine has no loop.">
        A direct drive has no chain or belt to be looked at.
      </EmptyState>
    )
  if (answer.error && !answer.data)
    return <EmptyState title="The look can’t be told.">{sentenceOf(answer.error)}</EmptyState>
  if (!answer.data || !look.jobs.data || !at) return <EmptyState title="Opening the look …" />
  const { kinds, kind, washFirst, notHere, defers } = answer.data
  return (
    <div className={classes.check}>
      <div className={classes.column}>
        <Panel title="Where did you see it?" note="press the place, say the grade; everything else can wait">
          <LoopChoiceBar bench={bench} />
          {kinds.length > 1 && (
            <SegmentedControl
              size="xs"
              mb="xs"
              aria-label="Looked at as"
              value={kind}
              onChange={(value) => {
                look.setKind(value as InspectionKind)
                look.choose(undefined)
                // What is only practised on is not stored.
                if (hasLog(bench)) inspection.store({ kind: value as InspectionKind })
              }}
              data={kinds.map((k) => ({ value: k, label: KIND_WORDS[k] }))}
              data-no-print
            />
          )}
          {inspection.error && !inspection.dialog ? <p role="alert">{sentenceOf(inspection.error)}</p> : null}
          {inspection.dialog}
          <LookDrawing bench={bench} look={look} />
          <p className="cap">{washFirst}</p>
        </Panel>
        <div className={classes.list}>
          <Panel title="Looked at" note="in the order of the hand">
            <LookList look={look} />
            {job && <RestFine look={look} job={job} />}
          </Panel>
        </div>
      </div>
      <div className={classes.column}>
        <div className={classes.verdict}>
          <VerdictPanel bench={bench} look={look} />
        </div>
        <div className={classes.hand}>
          {job ? (
            <PartCard
              key={`${job.id} ${look.loop.loopKey} ${at.part}`}
              bench={bench}
              look={look}
              job={job}
              at={at}
              onBay={() => setBay(true)}
            />
          ) : (
            <BeginLook machineId={bench.card.machine.id} odometerKm={answer.data.odometerKm} />
          )}
        </div>
        <WearPanel key={look.loop.loopKey} bench={bench} job={job} />
        <PartWearPanel bench={bench} />
        <p className="cap">{notHere}</p>
        <p className="cap">{defers}</p>
      </div>
      <div className={classes.column}>
        <DuePanel bench={bench} look={look} />
        <Panel title="Something happened" note="one press; what it asks for is due then" isEmpty>
          <HappenedButtons machineId={bench.card.machine.id} />
        </Panel>
      </div>
      {isBay && job && <BayLook look={look} job={job} at={at} onLeave={() => setBay(false)} />}
    </div>
  )
}
