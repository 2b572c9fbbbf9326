import { Button, SegmentedControl, Select } from '@mantine/core'
import { lazy, Suspense, useState } from 'react'
import type { RatioRanking } from '../api/client'
import { useEvaluation } from '../api/evaluation'
import { PickBar } from '../loop/PickBar'
import { rangeText, targetText } from '../machine/targets'
import { useBench } from '../machine/useWorkbench'
import work from '../machine/work.module.css'
import { fixed, plain } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { EmptyState } from '../shell/EmptyState'
import { Panel } from '../shell/Panel'
import { useShortcuts } from '../shell/shortcuts'
import { WhyButton } from '../shell/WhyButton'
import { WorkingDialog } from '../shell/WorkingDialog'
import { ComparisonPanel } from './ComparisonPanel'
import { RatioScale, type ScaleMode } from './RatioScale'
import classes from './RatioView.module.css'
import { SearchControls } from './SearchControls'
import { stepped } from './stepped'
import { isSame, useRatioSearch } from './useRatioSearch'
import { WaysTable } from './WaysTable'
import { remarksOf } from './words'

const FollowUpPanel = lazy(() => import('../machine/FollowUpPanel'))
const SideBySide = lazy(() => import('./SideBySide'))

const RANKINGS: { value: RatioRanking; label: string }[] = [
  { value: 'leastWork', label: 'least work first' },
  { value: 'closeness', label: 'closest first' },
  { value: 'wear', label: 'most even wear first' },
  { value: 'price', label: 'cheapest first' },
]

/** Station 2: which wheels reach the aim, with the least work. */
export default function RatioView() {
  const bench = useBench()
  const search = useRatioSearch(bench)
  const [mode, setMode] = useState<ScaleMode>('final')
  const [isWorking, setWorking] = useState(false)
  const [isSideBySide, setSideBySide] = useState(false)
  const step = (side: 'frontSize' | 'rearSize', by: number) => () => {
    const next = stepped(search.all, bench.shown.loops, side, by)
    if (next) bench.pick(next.loops)
  }
  useShortcuts({
    '[': step('frontSize', -1),
    ']': step('frontSize', 1),
    '{': step('rearSize', -1),
    '}': step('rearSize', 1),
    // Brackets want AltGr on many layouts; letters stand on all of them.
    d: step('frontSize', -1),
    f: step('frontSize', 1),
    e: step('rearSize', -1),
    r: step('rearSize', 1),
  })
  if (bench.loops.length === 0)
    return (
      <EmptyState title="This drive has no chain or belt to choose wheels for.">
        It is a direct drive. Add a loop under “Edit machine and drive” at station 1.
      </EmptyState>
    )
  const answer = search.answer.data
  const count = answer?.hitCount ?? 0
  const inView = search.all.find((c) => isSame(c, bench.shown.loops))
  return (
    <div className={work.work}>
      <div className={work.column}>
        <Panel
          title={
            mode === 'overall'
              ? 'Overall ratio'
              : bench.loops.length > 1
                ? 'Ratio of both loops'
                : 'Final ratio'
          }
          note={
            mode === 'final'
              ? bench.loops.length > 1
                ? 'a mark per combination that meets the aim · left = taller'
                : 'a row per front wheel · number = rear · left = taller'
              : 'a row per gear · left = taller'
          }
          isStale={search.answer.isStale}
          aside={
            <div className={classes.aside} data-no-print>
              <LoopChoiceField bench={bench} />
              <SegmentedControl
                size="xs"
                aria-label="What the scale shows"
                value={mode}
                onChange={setMode}
                data={[
                  { value: 'final', label: 'final' },
                  { value: 'overall', label: bench.gears.length > 1 ? 'overall, by gear' : 'overall' },
                ]}
              />
            </div>
          }
        >
          <div className={classes.scaleBox}>
            {answer ? (
              <RatioScale bench={bench} search={search} mode={mode} />
            ) : search.answer.error ? (
              <EmptyState title="The scale can't be drawn from these values.">
                Correct the field marked below.
              </EmptyState>
            ) : (
              <EmptyState title="Computing …" />
            )}
          </div>
          <Legend bench={bench} search={search} />
          <SearchControls bench={bench} search={search} />
        </Panel>
        <Panel
          title={answer && answer.bands.length > 0 ? headline(count) : 'Ways into the band'}
          aside={
            <div className={classes.aside} data-no-print>
              <Select
                size="xs"
                w={170}
                aria-label="Order of the list"
                data={RANKINGS}
                value={search.ranking}
                onChange={(value) => value && search.setRanking(value)}
              />
              <WhyButton onClick={() => setWorking(true)}>show the working</WhyButton>
            </div>
          }
        >
          <WaysTable bench={bench} search={search} isOverall={mode === 'overall'} />
          {answer?.usesDefaultWork && (
            <p className="cap">
              Minutes and money are defaults of common practice. Give this machine's own under “Edit machine
              and drive”.
            </p>
          )}
        </Panel>
      </div>
      <div className={work.column}>
        <ComparisonPanel
          bench={bench}
          remarks={inView ? remarksOf(inView) : []}
          onSideBySide={() => setSideBySide(true)}
        />
        <Suspense>
          <FollowUpPanel bench={bench} />
        </Suspense>
      </div>
      <PickBar bench={bench} />
      {isWorking && <RatioWorking bench={bench} search={search} onClose={() => setWorking(false)} />}
      <Suspense>{isSideBySide && <SideBySide bench={bench} onClose={() => setSideBySide(false)} />}</Suspense>
    </div>
  )
}

const COUNT_WORDS = [
  'No way',
  'One way',
  'Two ways',
  'Three ways',
  'Four ways',
  'Five ways',
  'Six ways',
  'Seven ways',
  'Eight ways',
  'Nine ways',
]
const headline = (count: number) => `${COUNT_WORDS[count] ?? `${plain(count)} ways`} into the band`

function Legend({
  bench,
  search,
}: {
  bench: ReturnType<typeof useBench>
  search: ReturnType<typeof useRatioSearch>
}) {
  const units = useUnits()
  const { target } = bench
  const dragged = search.drag ?? (bench.isDragged && target?.kind === 'finalRatio' ? target : undefined)
  return (
    <div className={classes.legend}>
      <span>
        <i data-mark="fitted" /> as fitted
      </span>
      <span>
        <i data-mark="picked" /> in view
      </span>
      <span>
        <i data-mark="hit" /> meets the aim
      </span>
      <span>
        <i data-mark="shelf" /> on the shelf
      </span>
      {dragged ? (
        <span className={classes.aim}>
          ▒ dragged: {fixed(dragged.low, 2)} to {fixed(dragged.high, 2)}
          {bench.isDragged && (
            <Button
              size="compact-xs"
              variant="default"
              onClick={() => bench.set({ band: null })}
              data-no-print
            >
              {bench.aim ? `Back to ${bench.aim.name}` : 'Let it go'}
            </Button>
          )}
        </span>
      ) : (
        target && (
          <span className={classes.aim}>
            ▒ {bench.aim?.name}: {targetText(target, units, bench.gears)} {rangeText(target)}
          </span>
        )
      )}
    </div>
  )
}

/** Which loop is chosen, or two in series together. */
function LoopChoiceField({ bench }: { bench: ReturnType<typeof useBench> }) {
  const all = bench.card.summary.loops
  if (all.length < 2) return null
  const single = all.map((l) => ({ value: l.loopKey, label: l.name }))
  const pairs = all.flatMap((l) =>
    l.loopsBefore.map((before) => ({
      value: `${before}!${l.loopKey}`,
      label: `${all.find((o) => o.loopKey === before)?.name} and ${l.name}`,
    })),
  )
  const named = single.map((s) => {
    const loop = all.find((l) => l.loopKey === s.value)
    const drive = bench.card.machine.drives.find((d) => d.key === loop?.driveKey)
    return bench.card.machine.drives.length > 1 ? { ...s, label: `${drive?.name}: ${s.label}` } : s
  })
  return (
    <Select
      size="xs"
      w={210}
      aria-label="Loop to choose wheels for"
      data={[...named, ...pairs]}
      value={bench.loops.map((l) => l.loopKey).join('!')}
      onChange={(value) => bench.set({ loops: value, pick: null, band: null })}
    />
  )
}

/** How the ways were found, and what the wheels in view come to. */
function RatioWorking({
  bench,
  search,
  onClose,
}: {
  bench: ReturnType<typeof useBench>
  search: ReturnType<typeof useRatioSearch>
  onClose: () => void
}) {
  const ways = useEvaluation(bench.asFitted, 'search', { ...search.question, workings: true })
  const wheels = useEvaluation(bench.subject, 'comparison', { workings: true })
  const workings = ways.data &&
    wheels.data && [...ways.data.found.workings, ...(wheels.data.setups.at(-1)?.workings ?? [])]
  return (
    <WorkingDialog title="Working" workings={workings} error={ways.error ?? wheels.error} onClose={onClose} />
  )
}
