import { SegmentedControl } from '@mantine/core'
import { useState } from 'react'
import type { LoopLoadsResult, PointLoads } from '../api/client'
import { useDebouncedDraft, useEvaluation } from '../api/evaluation'
import { sentenceOf } from '../api/issues'
import { LoopChoiceBar } from '../loop/LoopChoiceBar'
import { isToothed } from '../machine/driveElements'
import { PartWorking } from '../machine/PartWorking'
import { SetupActions } from '../machine/SetupActions'
import { useBench } from '../machine/useWorkbench'
import work from '../machine/work.module.css'
import { gearName, rpm } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { EmptyState } from '../shell/EmptyState'
import { LabelledValue } from '../shell/LabelledValue'
import { Panel } from '../shell/Panel'
import { Term } from '../shell/Term'
import { EfficiencyPanel } from './EfficiencyPanel'
import { FrictionPanel } from './FrictionPanel'
import { LifePanel } from './LifePanel'
import { LoadFields } from './LoadFields'
import { MarginsPanel } from './MarginsPanel'
import { OilingPanel } from './OilingPanel'
import { PullChart } from './PullChart'
import { PullPicture } from './PullPicture'
import { RatingPanel } from './RatingPanel'
import { ShaftHubPanel } from './ShaftHubPanel'
import { TrialsPanel } from './TrialsPanel'
import { TrustPanel } from './TrustPanel'
import { type LoadParts, useLoads } from './useLoads'
import { VerdictCard } from './VerdictCard'
import { ORIGIN_WORDS, POINT_WORDS } from './words'

/** Station 4: will it hold, will it last, how is it oiled. */
export default function LoadsView() {
  const bench = useBench()
  const [tried, setTried] = useState<{ of: string; parts: LoadParts } | null>(null)
  const [kind, setKind] = useState<string>('hardestPull')
  const [isWorking, setWorking] = useState(false)
  // What was typed belongs to the loop and the stored state it was typed over.
  const of = JSON.stringify([bench.loops.at(-1)?.loopKey, bench.card.machine.loads])
  const draft = tried?.of === of ? tried.parts : null
  const loads = useLoads(bench, useDebouncedDraft(draft))
  const mends = useEvaluation(bench.subject, 'mends', loads?.isAsked ? loads.question : undefined)
  if (!loads)
    return (
      <EmptyState title="This machine has no loop.">
        A direct drive has no chain or belt to be pulled.
      </EmptyState>
    )
  const answer = loads.answer.data
  const at = answer?.points.find((p) => p.point.kind === kind) ?? answer?.points[0]
  const limitN = (at?.point.kind === 'hardestPull' && answer?.pullLimitN) || null
  return (
    <div className={work.work}>
      <div className={work.column}>
        {answer?.isJudged && (
          <VerdictCard
            answer={answer}
            mends={mends.data ?? []}
            isToothed={isToothed(loads.loop.driveElement)}
          />
        )}
        <Panel
          title="Pull round the loop"
          note={at && pointNote(at)}
          isStale={loads.answer.isStale}
          aside={
            answer && (
              <SegmentedControl
                size="xs"
                aria-label="Operating point"
                value={at?.point.kind}
                onChange={setKind}
                data={answer.points.map((p) => ({ value: p.point.kind, label: POINT_WORDS[p.point.kind] }))}
                data-no-print
              />
            )
          }
        >
          <LoopChoiceBar bench={bench} />
          {loads.answer.error ? (
            <p role="alert" style={{ color: 'var(--stop)' }}>
              {sentenceOf(loads.answer.error)}
            </p>
          ) : null}
          {at ? (
            <>
              <PullChart loads={at} limitN={limitN} />
              <p className="cap">{ORIGIN_WORDS[at.point.origin]}</p>
            </>
          ) : (
            <EmptyState title="Nothing can be said of the pull yet.">
              Give what pulls: the greatest torque of engine or motor, or a pull that was measured.
            </EmptyState>
          )}
        </Panel>
        {answer && !answer.isJudged && (
          <p role="note" style={{ color: 'var(--watch)' }}>
            ▲ Hoists, lifts for people, aircraft and their control cables: the figures are told, but this tool
            does not decide whether they will do. That is for licensed people and their rules.
          </p>
        )}
        {answer && (
          <MarginsPanel
            answer={answer}
            mends={mends.data ?? []}
            isToothed={isToothed(loads.loop.driveElement)}
            isStale={loads.answer.isStale}
            onWorking={() => setWorking(true)}
          />
        )}
        {answer?.chart && <RatingPanel answer={answer} chart={answer.chart} />}
        {loads.isAsked && <TrialsPanel bench={bench} loads={loads} />}
        {answer && <ShaftHubPanel bench={bench} loads={loads} answer={answer} />}
      </div>
      <div className={work.column}>
        {at && (
          <Panel title="Pull in the drive" isStale={loads.answer.isStale}>
            {answer?.path ? (
              <>
                <PullPicture path={answer.path} loads={at} />
                <p className="cap">
                  <Term word="tight run" /> · <Term word="slack run" />
                </p>
              </>
            ) : (
              <p className="cap">
                Drawn once it is laid out at Fit; counted with the centres its length asks for.
              </p>
            )}
            <Shafts at={at} answer={answer} />
          </Panel>
        )}
        <LoadFields
          bench={bench}
          loop={loads.loop}
          parts={draft ?? loads.parts}
          answer={answer}
          isDraft={draft !== null}
          refusal={loads.answer.error}
          onDraft={(parts) => setTried(parts && { of, parts })}
        />
        {answer && <TrustPanel bench={bench} answer={answer} />}
        {answer?.life && <LifePanel life={answer.life} />}
        {answer && (
          <EfficiencyPanel
            efficiency={answer.efficiency}
            counted={(draft ?? loads.parts).source.efficiency}
            onCount={(efficiency) => {
              const parts = draft ?? loads.parts
              setTried({ of, parts: { ...parts, source: { ...parts.source, efficiency } } })
            }}
          />
        )}
        {answer?.friction && <FrictionPanel friction={answer.friction} />}
        {answer?.oiling && <OilingPanel oiling={answer.oiling} />}
        <Panel title="These wheels">
          <SetupActions bench={bench} />
          {bench.shown.isFitted && <p>as fitted</p>}
        </Panel>
      </div>
      {isWorking && loads.answer.of && (
        <PartWorking
          title="Working: loads"
          bench={bench}
          part="loads"
          question={loads.answer.of}
          of={(answer) => answer.workings}
          onClose={() => setWorking(false)}
        />
      )}
    </div>
  )
}

const pointNote = ({ point }: PointLoads) =>
  [point.gearLabel && `${gearName(point.gearLabel)} gear`, `${rpm(point.rpm)} rpm in front`]
    .filter(Boolean)
    .join(' · ')

/** Torque, speed and what reaches the bearings. */
function Shafts({ at, answer }: { at: PointLoads; answer: LoopLoadsResult | undefined }) {
  const units = useUnits()
  return (
    <>
      <LabelledValue name="torque in front">{units.show('torque', at.point.torqueNm)}</LabelledValue>
      <LabelledValue name="power">{units.show('power', at.point.powerKw)}</LabelledValue>
      <LabelledValue name="pull">{units.show('force', at.pullN)}</LabelledValue>
      <LabelledValue name="speed">{units.show('loopSpeed', at.speedMS)}</LabelledValue>
      {at.teeth && (
        <>
          <LabelledValue name="on the first tooth">{units.show('force', at.teeth.firstToothN)}</LabelledValue>
          <LabelledValue name={`shared by ${at.teeth.teethEngaged} teeth alike`}>
            {units.show('force', at.teeth.evenShareN)}
          </LabelledValue>
        </>
      )}
      <LabelledValue name="on the front shaft">{units.show('force', at.frontShaft.loadN)}</LabelledValue>
      <LabelledValue name="on the rear shaft">{units.show('force', at.rearShaft.loadN)}</LabelledValue>
      {answer?.installedTensionN != null && (
        <LabelledValue name={answer.isTensionAdvised ? 'tension advised, one run' : 'tension set, one run'}>
          {units.show('force', answer.installedTensionN)}
        </LabelledValue>
      )}
      {answer?.shaftAtRestN != null && (
        <LabelledValue name="on the front shaft at rest">
          {units.show('force', answer.shaftAtRestN)}
        </LabelledValue>
      )}
    </>
  )
}
