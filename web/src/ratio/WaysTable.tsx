import { Button } from '@mantine/core'
import type { PairFit, RatioCandidate } from '../api/client'
import { moveText } from '../loop/fitWords'
import { StageSplitNote } from '../loop/StageSplitNote'
import { layoutOf } from '../loop/useFit'
import type { Workbench } from '../machine/useWorkbench'
import { pairKey } from '../machine/words'
import { fixed, gearName, plain, rpm, signed } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { EmptyState } from '../shell/EmptyState'
import { Term } from '../shell/Term'
import table from '../shell/table.module.css'
import { FIRST_ROWS, isSame, type SearchState } from './useRatioSearch'
import classes from './WaysTable.module.css'
import { candidatePair, meetingText, moneyText, reasonText, remarksOf, supplyWord, workText } from './words'

/** The hits, best first by the chosen order, each with what it brings and why it stands there. */
export function WaysTable({
  bench,
  search,
  isOverall,
}: {
  bench: Workbench
  search: SearchState
  /** The scale shows overall ratios: the list tells them, too. */
  isOverall: boolean
}) {
  const units = useUnits()
  const answer = search.answer.data
  const { fits, isAll, setAll } = search
  if (!answer) return null
  const loop = bench.loops[0]
  const movesAxle = loop && layoutOf(bench, loop)?.moving?.wheel === 'rear'
  if (answer.bands.length === 0)
    return (
      <EmptyState title="Without an aim every pair is as good as another.">
        Choose an aim at station 1, or click a pair on the scale to compare it.
      </EmptyState>
    )
  const target = bench.target
  const speed = target && 'speedKmh' in target ? units.show('speed', target.speedKmh, 0) : 'the aim'
  const rows = answer.hits.length > 0 ? answer.hits.slice(0, isAll ? undefined : FIRST_ROWS) : answer.nearest
  const columns = columnsFor(bench, rows, answer.bands.length)
  if (fits.size > 0) columns.add('axle')
  if (isOverall) columns.add('overall')
  return (
    <>
      {search.split && <StageSplitNote split={search.split} />}
      {answer.hits.length === 0 && (
        <EmptyState title="No pair in the range meets the aim.">
          {rows.length > 0 ? 'The nearest outside it are below. ' : ''}
          Widen the range, drag the band, or change the aim.
        </EmptyState>
      )}
      {rows.length > 0 && (
        <div className={table.scroll} data-stale={search.answer.isStale || undefined}>
          <table className={table.table}>
            <thead>
              <tr>
                <th scope="col">front / rear</th>
                <th scope="col">ratio</th>
                {columns.has('overall') && (
                  <th scope="col">overall{answer.aimGearLabel && ` in ${gearName(answer.aimGearLabel)}`}</th>
                )}
                <th scope="col">change</th>
                {columns.has('speed') && (
                  <th scope="col">
                    {bench.drive.input.kind === 'rider' ? 'turns/min' : 'rpm'} at {speed}
                  </th>
                )}
                {columns.has('gears') && <th scope="col">gears</th>}
                {columns.has('bicycle') && (
                  <th scope="col">
                    <Term word="development">develop- ment</Term>
                  </th>
                )}
                {columns.has('bicycle') && (
                  <th scope="col">
                    <Term word="gear inches" />
                  </th>
                )}
                {columns.has('output') && <th scope="col">output rpm at limit</th>}
                <th scope="col">work here</th>
                <th scope="col">cost</th>
                <th scope="col">
                  <Term word="hunting tooth">hunting tooth, turns</Term>
                </th>
                {columns.has('ripple') && (
                  <th scope="col">
                    <Term word="ripple" />
                  </th>
                )}
                {columns.has('axle') && <th scope="col">{movesAxle ? 'axle moves' : 'adjuster moves'}</th>}
                <th scope="col">stock</th>
                <th scope="col">ranked by</th>
              </tr>
            </thead>
            <tbody>
              {rows.map((hit) => (
                <Way
                  key={candidatePair(hit, bench)}
                  hit={hit}
                  bench={bench}
                  columns={columns}
                  fit={hit.loops[0] && fits.get(pairKey(hit.loops[0]))}
                />
              ))}
            </tbody>
          </table>
        </div>
      )}
      {answer.hits.length > rows.length && answer.hits.length > 0 && (
        <Button size="compact-sm" variant="subtle" mt={6} onClick={() => setAll(true)} data-no-print>
          Show all {plain(answer.hits.length)}
        </Button>
      )}
      {answer.hitCount > answer.hits.length && (
        <p className="cap">
          The best {answer.hits.length} of {plain(answer.hitCount)}; narrow the band or the ranges for the
          rest.
        </p>
      )}
    </>
  )
}

/** Columns that only some machines or aims have. */
type Column = 'overall' | 'axle' | 'speed' | 'gears' | 'bicycle' | 'output' | 'ripple'

function columnsFor(bench: Workbench, rows: RatioCandidate[], bands: number): Set<Column> {
  const columns = new Set<Column>()
  if (rows.some((r) => r.aimShaftSpeedRpm !== null)) columns.add('speed')
  if (bands > 1) columns.add('gears')
  if (rows.some((r) => r.bicycle !== null)) columns.add('bicycle')
  if (bench.drive.input.kind === 'motor') columns.add('output')
  if (rows.some((r) => r.loops.some((l) => l.ripplePercent !== null))) columns.add('ripple')
  return columns
}

interface WayProps {
  hit: RatioCandidate
  bench: Workbench
  columns: Set<Column>
  fit: PairFit | undefined
}

function Way({ hit, bench, columns, fit }: WayProps) {
  const units = useUnits()
  const isPicked = isSame(hit, bench.shown.loops)
  const supply = supplyWord(hit)
  const pick = () => bench.pick(hit.loops)
  const worstRipple = Math.max(...hit.loops.map((l) => l.ripplePercent ?? -1))
  const typed = hit.loops.some((l) => l.isTyped)
  return (
    <tr
      data-on={isPicked || undefined}
      data-now={hit.changedSprockets === 'nothing' || undefined}
      onClick={pick}
    >
      <th scope="row">
        <button type="button" className={`num ${table.pick}`} aria-pressed={isPicked} onClick={pick}>
          {candidatePair(hit, bench)}
        </button>
        {typed && <span className="cap"> typed</span>}
        {remarksOf(hit).map((r) => (
          <div key={r} className={classes.remark}>
            ▲ {r}
          </div>
        ))}
      </th>
      <td className="num">{fixed(hit.finalRatio, 3)}</td>
      {columns.has('overall') && <td className="num">{fixed(hit.overallRatio, 3)}</td>}
      <td>{hit.changedSprockets === 'nothing' ? 'as fitted' : `${signed(hit.changePercent, 1)} %`}</td>
      {columns.has('speed') && (
        <td className="num">{hit.aimShaftSpeedRpm === null ? '–' : rpm(hit.aimShaftSpeedRpm)}</td>
      )}
      {columns.has('gears') && <td>{hit.bandGears.map(gearName).join(' ')}</td>}
      {columns.has('bicycle') && (
        <td className="num">{hit.bicycle ? units.show('longLength', hit.bicycle.developmentM, 2) : '–'}</td>
      )}
      {columns.has('bicycle') && (
        <td className="num">{hit.bicycle ? fixed(hit.bicycle.gearInches, 1) : '–'}</td>
      )}
      {columns.has('output') && <td className="num">{rpm(hit.outputAtLimitRpm)}</td>}
      <td>{workText(hit)}</td>
      <td className="num">{moneyText(hit)}</td>
      <td>{hit.loops.map(meetingText).join(' · ')}</td>
      {columns.has('ripple') && <td>{worstRipple < 0 ? '–' : `${fixed(worstRipple, 1)} %`}</td>}
      {columns.has('axle') && (
        <td className={fit?.fits ? 'num' : undefined}>
          {fit && !fit.fits ? (
            <span className={table.tag} data-tone="watch">
              {moveText(fit, units, bench.loops[0]?.driveElement)}
            </span>
          ) : (
            moveText(fit, units)
          )}
        </td>
      )}
      <td>
        <span className={table.tag} data-tone={supply.tone}>
          {supply.text}
        </span>
      </td>
      <td className="cap">{reasonText(hit)}</td>
    </tr>
  )
}
