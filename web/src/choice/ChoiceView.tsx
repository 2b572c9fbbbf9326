import { Select } from '@mantine/core'
import { Link } from 'react-router'
import { sentenceOf } from '../api/issues'
import { StageSplitNote } from '../loop/StageSplitNote'
import { DraftBar } from '../machine/DraftBar'
import { useBench, type Workbench } from '../machine/useWorkbench'
import { EmptyState } from '../shell/EmptyState'
import { Panel } from '../shell/Panel'
import { BesidePanel } from './BesidePanel'
import classes from './Choice.module.css'
import { FiguresPanel } from './FiguresPanel'
import { MustPanel } from './MustPanel'
import { OutcomeCard } from './OutcomeCard'
import { OwnReasonsPanel } from './OwnReasonsPanel'
import { QuestionsPanel } from './QuestionsPanel'
import { RecordPanel } from './RecordPanel'
import { SaidByPanel } from './SaidByPanel'
import { useWeighing } from './useWeighing'
import { WishPanel } from './WishPanel'

/** Which kind of drive, or which part: side by side, with reasons for and against, and what it comes to. */
export default function ChoiceView() {
  const bench = useBench()
  const loop = bench.loops.at(-1)
  if (!loop)
    return (
      <EmptyState title="No chain or belt to weigh.">
        This machine is driven directly. A loop is added under “Edit machine and drive”.
      </EmptyState>
    )
  return <Weighed key={loop.loopKey} bench={bench} loopKey={loop.loopKey} />
}

function Weighed({ bench, loopKey }: { bench: Workbench; loopKey: string }) {
  const weighing = useWeighing(bench, loopKey)
  const { desk, answer, now, matter } = weighing
  if (!desk || !now)
    return answer.error ? (
      <EmptyState title="This can’t be weighed.">{sentenceOf(answer.error)}</EmptyState>
    ) : (
      <EmptyState title="Weighing …" />
    )
  return (
    <div className={classes.choice}>
      <div className={classes.column}>
        <Panel title="What is chosen">
          <div className={classes.chosen}>
            <Select
              size="xs"
              aria-label="What is chosen"
              allowDeselect={false}
              value={matter ?? ''}
              onChange={(key) => weighing.weigh(key || null)}
              data={desk.matters.map((m) => ({ value: m.key ?? '', label: m.name }))}
            />
            {bench.card.summary.loops.length > 1 && (
              <Select
                size="xs"
                aria-label="Loop"
                allowDeselect={false}
                value={loopKey}
                onChange={(key) => bench.set({ loops: key })}
                data={bench.card.summary.loops.map((l) => ({ value: l.loopKey, label: l.name }))}
              />
            )}
          </div>
        </Panel>
        <WishPanel weighing={weighing} desk={desk} now={now} />
        <MustPanel weighing={weighing} desk={desk} now={now} />
        <QuestionsPanel weighing={weighing} desk={desk} now={now} />
        <SaidByPanel desk={desk} />
      </div>
      <div className={classes.column}>
        <OutcomeCard desk={desk} isStale={answer.isStale} />
        {desk.split && <StageSplitNote split={desk.split} />}
        {weighing.isDraft && (
          <DraftBar
            card={bench.card}
            machine={weighing.machine}
            isPossible={!answer.error}
            onBack={weighing.putBack}
          >
            tried, not stored
          </DraftBar>
        )}
        <BesidePanel
          weighing={weighing}
          desk={desk}
          now={now}
          isStale={answer.isStale}
          machineId={bench.card.machine.id}
        />
        <RecordPanel weighing={weighing} desk={desk} machineId={bench.card.machine.id} />
        <FiguresPanel weighing={weighing} desk={desk} now={now} />
        <OwnReasonsPanel weighing={weighing} desk={desk} now={now} />
        <p className="cap">
          Nothing here decides for aircraft, hoists or carried persons. What the road asks of a changed drive
          is local law; brakes and steering are for a licensed workshop.{' '}
          <Link to={`/machines/${bench.card.machine.id}/loads?loops=${loopKey}`}>Loads of what is on</Link>
        </p>
      </div>
    </div>
  )
}
