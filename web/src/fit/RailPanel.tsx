import { Button, SegmentedControl } from '@mantine/core'
import { lazy, Suspense, useState } from 'react'
import type { FilledShaft, RailShaft, ShaftWidths } from '../api/client'
import { useEvaluation } from '../api/evaluation'
import { missingSpacerText, spacerDecimals } from '../loop/spacerWords'
import type { Workbench } from '../machine/useWorkbench'
import { fixed, plain, signed } from '../quantities/format'
import { type Units, useUnits } from '../quantities/units'
import { EmptyState } from '../shell/EmptyState'
import { Panel } from '../shell/Panel'
import { Refused } from '../shell/Refused'
import table from '../shell/table.module.css'
import { WhyButton } from '../shell/WhyButton'
import { WorkingDialog } from '../shell/WorkingDialog'
import { RailPicture } from './RailPicture'
import { ShaftPicture } from './ShaftPicture'

const ShaftEditor = lazy(() => import('./ShaftEditor'))

/** The shafts of the drive in view from side to side: rows of its loops, and spacers that put the sprockets there. */
export default function RailPanel({ bench }: { bench: Workbench }) {
  const units = useUnits()
  const { machine } = bench.card
  const { drive } = bench
  const [shaft, setShaft] = useState<string>()
  const [wayIndex, setWay] = useState(0)
  const [edited, setEdited] = useState<string>()
  const [isWorking, setWorking] = useState(false)
  const decimals = spacerDecimals(units)
  const loops = drive.stages.filter((s) => s.kind === 'loop')
  const measured = (machine.shafts ?? []).filter((s) => s.driveKey === drive.key)
  const rail = useEvaluation(bench.subject, 'rail', measured.length > 0 ? {} : undefined)
  const names = [...new Set(loops.flatMap((l) => [l.drivingShaft, l.drivenShaft]))]
  const chosen = shaft !== undefined && names.includes(shaft) ? shaft : (measured[0]?.shaft ?? names[0])
  const inView = rail.data?.shafts.find((s) => s.widths.shaft === chosen)
  const ways = inView?.stacks?.ways ?? []
  const way = ways[Math.min(wayIndex, ways.length - 1)] ?? inView?.stacks?.nearest ?? undefined
  if (names.length === 0) return null
  return (
    <Panel
      title="From side to side"
      note="rows and spacers"
      isStale={rail.isStale}
      aside={
        <>
          {way && <WhyButton onClick={() => setWorking(true)} />}
          <Button size="compact-sm" variant="default" onClick={() => setEdited(chosen)} data-no-print>
            {measured.some((s) => s.shaft === chosen) ? 'Widths' : 'Enter widths'}
          </Button>
        </>
      }
    >
      <Refused error={rail.error} />
      {rail.data && <RailPicture rail={rail.data} />}
      {rail.data?.loops.map((l) => (
        <p key={l.loopKey} className="cap">
          {loops.find((s) => s.key === l.loopKey)?.name}:{' '}
          {l.offsetMm === null ? (
            'its row is known when both of its shafts are measured and filled.'
          ) : (
            <span style={{ color: l.isInRow ? undefined : 'var(--stop)' }}>
              {l.isInRow ? '✓ ' : '■ '}with the first stacks rear stands{' '}
              {signed(units.toShown('fine', l.offsetMm), decimals)} {units.unitOf('fine')} from the row of the
              front; up to {units.show('fine', l.allowedMm)} runs well.
            </span>
          )}
        </p>
      ))}
      {names.length > 1 && (
        <SegmentedControl
          size="xs"
          my="xs"
          aria-label="Shaft in view"
          value={chosen}
          onChange={(value) => {
            setShaft(value)
            setWay(0)
          }}
          data={names}
          data-no-print
        />
      )}
      {!inView && (
        <EmptyState title="Nothing is known of this shaft yet.">
          Enter its length, the hubs on it and where their rows belong: the spacers follow.
        </EmptyState>
      )}
      {inView && !inView.stacks && (
        <EmptyState
          title={`No spacer for a shaft of ${units.show('fine', inView.widths.diameterMm)} is in the drawer.`}
        >
          Add what there is under Stock.
        </EmptyState>
      )}
      {inView?.stacks && way && (
        <>
          <ShaftPicture widths={inView.widths} way={way} />
          <Ways shaft={inView} way={way} onPick={setWay} />
        </>
      )}
      {edited !== undefined && (
        <Suspense>
          <ShaftEditor bench={bench} shaft={edited} onClose={() => setEdited(undefined)} />
        </Suspense>
      )}
      {isWorking && way && inView && (
        <StackWorking bench={bench} shaft={inView.widths} way={way} onClose={() => setWorking(false)} />
      )}
    </Panel>
  )
}

/** How the rows of one stack came about. */
function StackWorking({
  bench,
  shaft,
  way,
  onClose,
}: {
  bench: Workbench
  shaft: ShaftWidths
  way: FilledShaft
  onClose: () => void
}) {
  const workings = useEvaluation(bench.asFitted, 'stackWorkings', {
    shaft: shaft.shaft,
    gapsMm: way.gaps.map((g) => g.piecesMm),
    turned: way.sprockets.map((s) => s.isTurned),
  })
  return (
    <WorkingDialog
      title={`Working: ${shaft.shaft}`}
      workings={workings.data}
      error={workings.error}
      onClose={onClose}
    />
  )
}

/** The stacks that do it, best first; or what is missing for one. */
function Ways({
  shaft,
  way,
  onPick,
}: {
  shaft: RailShaft
  way: FilledShaft
  onPick: (index: number) => void
}) {
  const units = useUnits()
  const { stacks } = shaft
  if (!stacks) return null
  const mm = (value: number) => plain(Number(units.toShown('fine', value).toFixed(3)))
  const pieces = (stack: FilledShaft) =>
    stack.gaps.map((g) =>
      g.piecesMm.length === 0
        ? '–'
        : g.piecesMm.map(mm).join(' + ') + (g.piecesMm.length > 1 ? ` = ${mm(g.sumMm)}` : ''),
    )
  if (stacks.ways.length === 0)
    return (
      <>
        <p role="status" style={{ color: 'var(--stop)', marginTop: 6 }}>
          ■ The drawer holds no stack within {units.show('fine', stacks.toleranceMm)} of the row. Nearest, as
          drawn: {way.gaps.map((g, i) => gapName(i, way.gaps.length, g, units)).join('; ')}.
        </p>
        <p>{stacks.missing ? missingSpacerText(stacks.missing, units) : noPieceText(way)}</p>
      </>
    )
  return (
    <>
      <div className={table.scroll}>
        <table className={table.table}>
          <thead>
            <tr>
              <th scope="col">pieces</th>
              {way.gaps.map((_, i) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: gaps are places in order
                <th key={i} scope="col">
                  {i === 0 ? 'left' : i === way.gaps.length - 1 ? 'right' : 'between'}
                </th>
              ))}
              <th scope="col">off the row</th>
              <th scope="col">float</th>
            </tr>
          </thead>
          <tbody>
            {stacks.ways.map((w, index) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: ways are in the core's order
              <tr key={index} data-on={w === way || undefined}>
                <th scope="row">
                  <button
                    type="button"
                    className={`num ${table.pick}`}
                    aria-pressed={w === way}
                    onClick={() => onPick(index)}
                  >
                    {w.pieces}
                  </button>
                  {w.sprockets.some((s) => s.isTurned) && <span className="cap"> turned</span>}
                  {w.hasEqualEnds && <span className="cap"> both ends alike</span>}
                </th>
                {pieces(w).map((text, i) => (
                  // biome-ignore lint/suspicious/noArrayIndexKey: gaps are places in order
                  <td key={i} className="num">
                    {text}
                  </td>
                ))}
                <td className="num">{fixed(units.toShown('fine', w.lineErrorMm), spacerDecimals(units))}</td>
                <td className="num">{fixed(units.toShown('fine', w.floatMm), spacerDecimals(units))}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="cap" style={{ marginTop: 6 }}>
        Fewest pieces first, in {units.unitOf('fine')}; up to {units.show('fine', stacks.toleranceMm)} off the
        row and {units.show('fine', stacks.floatMostMm)} of float. The drawer is one: what the other shafts
        take is not counted twice.
        {!stacks.isComplete && ' The drawer allows more stacks than were tried.'}
      </p>
    </>
  )
}

/** Why no single piece more fills it. */
const noPieceText = (way: FilledShaft) =>
  way.gaps.some((g) => g.wantedMm < 0)
    ? 'No spacer mends that: move a row, take a narrower hub, or measure again.'
    : 'No single piece more would do: have several made, or measure again.'

function gapName(
  index: number,
  count: number,
  { wantedMm, remainderMm }: FilledShaft['gaps'][number],
  units: Units,
): string {
  const place = index === 0 ? 'left' : index === count - 1 ? 'right' : 'between'
  if (wantedMm < 0) return `${place} the rows want ${units.show('fine', -wantedMm)} less than the hubs take`
  const mm = units.show('fine', Math.abs(remainderMm), spacerDecimals(units))
  if (Math.abs(remainderMm) < 0.005) return `${place} filled`
  return remainderMm > 0 ? `${place} ${mm} missing` : `${place} ${mm} too much`
}
