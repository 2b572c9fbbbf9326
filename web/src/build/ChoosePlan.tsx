import { Button } from '@mantine/core'
import { useRef, useState } from 'react'
import { useNavigate } from 'react-router'
import { addJobEvents, type JobSheet, type NewJob, openJob } from '../api/client'
import { useEvaluation } from '../api/evaluation'
import { sentenceOf } from '../api/issues'
import type { ChangeKind, ProcedureFamily } from '../api/plan'
import { AGAIN_WHEN_BACK, useChange } from '../api/queries'
import { CHANGE_WORDS, changeText } from '../job/planWords'
import type { Workbench } from '../machine/useWorkbench'
import { ChoiceField } from '../quantities/ChoiceField'
import { dayText, minutesText, today } from '../quantities/days'
import { LabelledValue } from '../shell/LabelledValue'
import { Panel } from '../shell/Panel'
import classes from './BuildView.module.css'
import { MissingTools } from './MissingTools'
import { OwnStep } from './OwnStep'
import { PartWays } from './PartWays'
import { StepList } from './StepList'
import { TrayCounts } from './TrayCounts'

/** What is to be done: the order of it is shown before anything is begun. */
export function ChoosePlan({ bench, jobs }: { bench: Workbench; jobs: JobSheet[] }) {
  const [family, setFamily] = useState<ProcedureFamily>()
  const [change, setChange] = useState<ChangeKind>()
  const [seen, setSeen] = useState<string>()
  const { data, error, isStale } = useEvaluation(bench.subject, 'build', {
    families: family ? [family] : null,
    changes: change ? [change] : null,
  })
  const navigate = useNavigate()
  const job = jobs[0]
  const opened = useRef<number>(undefined)
  const key = useRef(crypto.randomUUID())
  const begin = useChange(async () => {
    if (!data) return
    const theJob: NewJob & { machineId: number } = {
      machineId: bench.card.machine.id,
      openedOn: today(),
      reason: 'anotherGearing',
      about: null,
      odometerKm: bench.card.machine.odometerKm,
      hours: null,
    }
    // It is sent until the server is back: what was opened or sent before is neither opened nor counted twice.
    opened.current ??= job?.id ?? (await openJob(theJob)).id
    await addJobEvents({
      id: opened.current,
      events: [
        {
          key: key.current,
          event: {
            kind: 'planMade',
            change: data.change,
            loopKey: data.was.loopKey,
            family: data.family,
            wanted: bench.shown.isFitted ? null : data.wanted,
            made: null,
            trialId: bench.shown.setup?.status === 'trial' ? bench.shown.setup.id : null,
          },
        },
      ],
      ask: null,
    })
  }, AGAIN_WHEN_BACK)
  const known = data?.families.find((f) => f.family === data.family)
  const step = data?.steps.find((s) => s.step.key === seen)?.step ?? data?.steps[0]?.step
  // A kind goes on with the trial that carries it: wheels that are only picked on it have none.
  const isUnkept = bench.shown.kindsOf !== undefined && !bench.shown.setup
  return (
    <div className={classes.build}>
      <div className={classes.column}>
        <Panel title="What is to be done" isStale={isStale}>
          {bench.card.summary.loops.length > 1 && (
            <ChoiceField
              label="Loop"
              words={Object.fromEntries(
                bench.card.summary.loops.map((l) => [
                  l.loopKey,
                  l.name === l.loopKey ? l.name : `${l.name} (${l.loopKey})`,
                ]),
              )}
              value={bench.loops.at(-1)?.loopKey}
              onChange={(key) => bench.set({ loops: key })}
            />
          )}
          {data && known && (
            <div className={classes.fields}>
              <ChoiceField
                label="Change"
                words={Object.fromEntries(known.changes.map((c) => [c, CHANGE_WORDS[c]]))}
                value={data.change}
                onChange={setChange}
              />
              <ChoiceField
                label="Done by the procedure"
                words={Object.fromEntries(data.families.map((f) => [f.family, f.title]))}
                value={data.family}
                onChange={(f) => {
                  setFamily(f)
                  setChange(undefined)
                }}
              />
            </div>
          )}
          {error !== null && <p role="alert">{sentenceOf(error)}</p>}
          {data && (
            <>
              <LabelledValue name="in view">
                {changeText(data.was, data.wanted) || 'as fitted: no other wheels'}
              </LabelledValue>
              <LabelledValue name="steps">{data.steps.length}</LabelledValue>
              <LabelledValue name="usual time">{minutesText(data.minutes)}</LabelledValue>
              <LabelledValue name="two pairs of hands at">
                {data.steps.filter((s) => s.step.hands > 1).length || 'none'}
              </LabelledValue>
              <p className="cap">{data.source}</p>
              <Button
                fullWidth
                mt="sm"
                loading={begin.isPending}
                disabled={isUnkept}
                onClick={() => begin.mutate(undefined)}
                data-no-print
              >
                {job ? `Begin it, at the job of ${dayText(job.openedOn)}` : 'Begin it, with a new job'}
              </Button>
              {isUnkept && (
                <p data-no-print>
                  These wheels are for another kind of loop and are not kept yet: keep them as a trial, then
                  the plan puts that trial on.
                </p>
              )}
              {begin.error && <p role="alert">{sentenceOf(begin.error)}</p>}
              {!job && (
                <p className="cap" data-no-print>
                  Other wheels are chosen at{' '}
                  <button type="button" className={classes.link} onClick={() => navigate('../ratio')}>
                    Ratio
                  </button>
                  ; a trial in view is what the plan is made for.
                </p>
              )}
            </>
          )}
        </Panel>
        {data && <MissingTools tools={data.missingTools} />}
      </div>
      <div className={classes.column}>
        {data && (
          <Panel title="The order" note="made for this machine and this change" isStale={isStale}>
            <StepList
              phases={data.phases}
              steps={data.steps.map((s) => ({ ...s, state: 'open' }))}
              at={step?.key}
              onChoose={setSeen}
              isBegun={false}
            />
          </Panel>
        )}
      </div>
      <div className={classes.column}>
        {step && data && (
          <Panel title={step.do} note={minutesText(step.minutes)}>
            <p>
              <b>Why now.</b> {step.why}
            </p>
            {step.trap && (
              <p>
                <b className={classes.trap}>Trap.</b> {step.trap}
              </p>
            )}
            <PartWays bench={bench} family={data.family} step={step} drawn={data} />
            <p className="cap">{data.steps.find((s) => s.step.key === step.key)?.because.join(' ')}</p>
          </Panel>
        )}
        {step && data && (
          <OwnStep
            key={`${data.family} ${step.key} ${bench.card.machine.version}`}
            bench={bench}
            family={data.family}
            step={step}
          />
        )}
        {data && data.tray.length > 0 && (
          <Panel title="On the tray">
            <TrayCounts machineId={bench.card.machine.id} tray={data.tray} />
          </Panel>
        )}
        {data && <p className={classes.defers}>{data.defers}</p>}
      </div>
    </div>
  )
}
