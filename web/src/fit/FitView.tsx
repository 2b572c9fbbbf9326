import { Button, Group, Switch } from '@mantine/core'
import { notifications } from '@mantine/notifications'
import { lazy, Suspense, useDeferredValue, useState } from 'react'
import type { LoopLayout } from '../api/client'
import { askFor } from '../api/evaluation'
import { sentenceOf } from '../api/issues'
import { lengthText } from '../loop/fitWords'
import { LoopChoiceBar } from '../loop/LoopChoiceBar'
import { PickBar } from '../loop/PickBar'
import { type Fit, layoutOf, useFit } from '../loop/useFit'
import { isToothed } from '../machine/driveElements'
import { PartWorking } from '../machine/PartWorking'
import { SetupActions } from '../machine/SetupActions'
import { useBench, type Workbench } from '../machine/useWorkbench'
import work from '../machine/work.module.css'
import { fixed, plain } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { EmptyState } from '../shell/EmptyState'
import { Panel } from '../shell/Panel'
import { saveAs } from '../shell/saveAs'
import { WhyButton } from '../shell/WhyButton'
import { ClearancePanel } from './ClearancePanel'
import { FixedCentrePanel } from './FixedCentrePanel'
import { LengthsTable } from './LengthsTable'
import { LoopPanel } from './LoopPanel'
import { MovedBar } from './MovedBar'
import { NoLayout } from './NoLayout'
import { SideView, wheelSizeText } from './SideView'
import { SuspensionPanel } from './SuspensionPanel'

const BenchTools = lazy(() => import('./BenchTools'))
const MarkingPanel = lazy(async () => ({
  default: (await import('../loop/MarkingPanel')).MarkingPanel,
}))
const CombinationsPanel = lazy(() => import('./CombinationsPanel'))
const NeighboursPanel = lazy(() => import('./NeighboursPanel'))
const RailPanel = lazy(() => import('./RailPanel'))
const FollowUpPanel = lazy(() => import('../machine/FollowUpPanel'))
const LayoutEditor = lazy(() => import('./LayoutEditor'))

/** Station 3: which length closes the loop, where the axle ends up, what that leaves. */
export default function FitView() {
  const bench = useBench()
  const [travel, setTravel] = useState<{ of: string; mm: number } | null>(null)
  const [halfLinks, setHalfLinks] = useState(false)
  const [isEditing, setEditing] = useState(false)
  // What was dragged belongs to the wheels it was dragged with.
  const of = JSON.stringify([bench.shown.loops, bench.loops.at(-1)?.loopKey, bench.card.machine.layouts])
  const wantedMm = useDeferredValue(travel?.of === of ? travel.mm : null)
  const [moved, setMoved] = useState<{ of: string; layout: LoopLayout } | null>(null)
  const draft = moved?.of === of ? moved.layout : null
  const fit = useFit(bench, wantedMm, halfLinks, useDeferredValue(draft))
  if (!fit)
    return (
      <EmptyState title="This machine has no loop.">A direct drive has no chain or belt to fit.</EmptyState>
    )
  const tools = (
    <Suspense>
      <BenchTools key={fit.loop.loopKey} bench={bench} fit={fit} />
      <MarkingPanel />
    </Suspense>
  )
  const followUps = (
    <Suspense>
      <FollowUpPanel bench={bench} />
    </Suspense>
  )
  if (!fit.layout)
    return (
      <div className={work.work}>
        <div className={work.column}>
          <LoopChoiceBar bench={bench} />
          <NoLayout bench={bench} fit={fit} />
        </div>
        <div className={work.column}>
          {followUps}
          {tools}
        </div>
        <PickBar bench={bench} />
      </div>
    )
  const answer = fit.answer.data
  return (
    <div className={work.work}>
      <div className={work.column}>
        <Picture
          bench={bench}
          fit={fit}
          onTravel={(mm) => setTravel(mm === null ? null : { of, mm })}
          draft={draft}
          onPlace={(layout) => setMoved(layout === null ? null : { of, layout })}
          onEdit={() => setEditing(true)}
        />
        {answer && !fit.layout.moving && isToothed(fit.loop.driveElement) && (
          <FixedCentrePanel bench={bench} fit={fit} answer={answer} />
        )}
        {answer && (fit.layout.moving || !isToothed(fit.loop.driveElement)) && (
          <Panel
            title={`${fit.loop.driveElement === 'chain' ? 'Chain' : 'Belt'} lengths that reach`}
            note={lengthsNote(fit)}
            isStale={fit.answer.isStale}
            aside={
              fit.loop.driveElement === 'chain' && (
                <Switch
                  size="xs"
                  label="with a half link"
                  checked={halfLinks}
                  onChange={(event) => setHalfLinks(event.currentTarget.checked)}
                  data-no-print
                />
              )
            }
          >
            <LengthsTable
              fit={answer}
              onPick={(length) =>
                bench.pick([
                  {
                    loopKey: fit.loop.loopKey,
                    frontSize: fit.choice.frontSize,
                    rearSize: fit.choice.rearSize,
                    length,
                  },
                ])
              }
            />
          </Panel>
        )}
        <Suspense>
          {answer && fit.layout.moving && <NeighboursPanel bench={bench} fit={fit} />}
          {answer &&
            fit.layout.moving &&
            bench.drive.input.kind === 'rider' &&
            isToothed(fit.loop.driveElement) && (
              <CombinationsPanel key={fit.loop.loopKey} bench={bench} fit={fit} />
            )}
          <RailPanel key={bench.drive.key} bench={bench} />
        </Suspense>
      </div>
      <div className={work.column}>
        {bench.shown.isFitted && followUps}
        {answer && <LoopPanel bench={bench} fit={fit} answer={answer} />}
        {answer && <ClearancePanel answer={answer} isStale={fit.answer.isStale} />}
        <SuspensionPanel bench={bench} fit={fit} />
        {tools}
        <Panel title="These wheels">
          <p>
            {bench.shown.isFitted ? 'as fitted' : bench.shown.name}: {plain(fit.choice.frontSize)} /{' '}
            {plain(fit.choice.rearSize)}
            {answer &&
              answer.chosenLength !== null &&
              `, ${lengthText(answer.chosenLength, answer.lengthUnit)}`}
          </p>
          <SetupActions bench={bench} />
        </Panel>
        {!bench.shown.isFitted && followUps}
      </div>
      <PickBar bench={bench} />
      {isEditing && (
        <Suspense>
          <LayoutEditor bench={bench} fit={fit} layout={fit.layout} onClose={() => setEditing(false)} />
        </Suspense>
      )}
    </div>
  )
}

function lengthsNote(fit: Fit): string {
  if (fit.loop.driveElement === 'chain') return 'even counts join without a half link'
  return fit.loop.driveElement === 'vBelt' ? 'standard datum lengths' : 'whole teeth'
}

function Picture({
  bench,
  fit,
  draft,
  onTravel,
  onPlace,
  onEdit,
}: {
  bench: Workbench
  fit: Fit
  /** The layout as dragged and not stored. */
  draft: LoopLayout | null
  onTravel: (mm: number | null) => void
  onPlace: (layout: LoopLayout | null) => void
  onEdit: () => void
}) {
  const units = useUnits()
  const [isWorking, setWorking] = useState(false)
  const answer = fit.answer.data
  const stored = layoutOf(bench, fit.loop)
  const save = async (kind: 'svg' | 'dxf') => {
    try {
      if (!fit.question) return
      const files = await askFor(bench.subject, 'drawing', fit.question)
      const name = `${bench.card.machine.name} ${fit.loop.name}.${kind}`
      saveAs(name, files[kind], kind === 'svg' ? 'image/svg+xml' : 'image/vnd.dxf')
    } catch (error) {
      notifications.show({ color: 'red', message: sentenceOf(error) })
    }
  }
  return (
    <Panel
      title="Side view, to scale"
      note={
        fit.layout?.moving
          ? `drag what is ringed · arrow keys move it ${plain(units.toShown('fine', units.keyStepMm))} ${units.unitOf('fine')}`
          : 'fixed centres · drag what is ringed'
      }
      isStale={fit.answer.isStale}
      aside={
        <Group gap={6} data-no-print>
          <Button size="compact-sm" variant="default" onClick={onEdit}>
            Where things stand
          </Button>
          <Button size="compact-sm" variant="default" onClick={() => save('svg')} aria-label="Save as SVG">
            SVG
          </Button>
          <Button size="compact-sm" variant="default" onClick={() => save('dxf')} aria-label="Save as DXF">
            DXF
          </Button>
          <WhyButton onClick={() => setWorking(true)} />
        </Group>
      }
    >
      <LoopChoiceBar bench={bench} />
      {fit.answer.error ? (
        <p role="alert" style={{ color: 'var(--stop)' }}>
          {sentenceOf(fit.answer.error)}
        </p>
      ) : null}
      {answer && fit.layout && (
        <>
          <SideView
            fit={answer}
            layout={draft ?? fit.layout}
            isChain={fit.loop.driveElement === 'chain'}
            sizeText={(name) => sizeText(fit, name)}
            teethOf={(name) => teethOf(fit, name)}
            onTravel={onTravel}
            onPlace={onPlace}
          />
          {draft && stored && (
            <MovedBar
              bench={bench}
              stored={stored}
              draft={draft}
              isPossible={!fit.answer.error}
              onBack={() => onPlace(null)}
            />
          )}
          <p className="cap">
            path {fixed(answer.exactLength, 2)}{' '}
            {answer.lengthUnit === 'mm' ? 'mm' : answer.lengthUnit === 'links' ? 'links' : 'teeth'}
            {answer.freePlay && answer.freePlay.excessMm > 1e-6 && (
              <>
                {' · '}free play {units.show('fine', answer.freePlay.freePlayMm)}
                {answer.freePlay.takenUpByMm !== null &&
                  `, ${units.show('fine', Math.abs(answer.freePlay.takenUpByMm))} of travel takes it up`}
              </>
            )}
            {answer.freePlay && answer.freePlay.excessMm < -1e-6 && (
              <b style={{ color: 'var(--stop)' }}>
                {' '}
                · too short by {units.show('fine', -answer.freePlay.excessMm)}
              </b>
            )}
          </p>
        </>
      )}
      {isWorking && fit.answer.of && (
        <PartWorking
          title="Working: fit"
          bench={bench}
          part="fit"
          question={fit.answer.of}
          of={(answer) => answer.workings}
          onClose={() => setWorking(false)}
        />
      )}
    </Panel>
  )
}

const teethOf = (fit: Fit, name: string): number | null => {
  if (name === 'front' || name === 'rear')
    return isToothed(fit.loop.driveElement)
      ? name === 'front'
        ? fit.choice.frontSize
        : fit.choice.rearSize
      : null
  const idler = fit.layout?.idlers.find((i) => i.name === name)
  return idler?.isToothed ? idler.size : null
}

const sizeText = (fit: Fit, name: string): string => {
  if (name === 'front') return wheelSizeText(fit.choice.frontSize, isToothed(fit.loop.driveElement))
  if (name === 'rear') return wheelSizeText(fit.choice.rearSize, isToothed(fit.loop.driveElement))
  const idler = fit.layout?.idlers.find((i) => i.name === name)
  return idler ? `${name} ${wheelSizeText(idler.size, idler.isToothed)}` : name
}
