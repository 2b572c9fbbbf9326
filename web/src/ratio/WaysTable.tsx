import type { RatioCandidate } from '../api/client'
import type { Workbench } from '../machine/useWorkbench'
import { fixed, gearName, plain, rpm, signed } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { Sentence } from '../shell/Sentence'
import table from '../shell/table.module.css'
import { isSame, type SearchState } from './useRatioSearch'
import { candidatePair, meetingText, moneyText, reasonText, supplyWord, workText } from './words'

const MOST_ROWS = 60

/** The hits, best first by the chosen order, each with what it brings and why it stands there. */
export function WaysTable({ bench, search }: { bench: Workbench; search: SearchState }) {
  const units = useUnits()
  const answer = search.answer.data
  if (!answer) return null
  if (answer.bands.length === 0)
    return (
      <Sentence title="Without an aim every pair is as good as another.">
        Choose an aim at station 1, or click a pair on the scale to compare it.
      </Sentence>
    )
  const target = bench.target
  const speed = target && 'speedKmh' in target ? units.show('speed', target.speedKmh, 0) : 'the aim'
  const hasSpeed = answer.hits[0]?.aimShaftSpeedRpm !== null
  const hasGears = answer.hits.some((h) => h.bandGears.some((g) => g !== '')) && answer.bands.length > 1
  const rows = answer.hits.length > 0 ? answer.hits.slice(0, MOST_ROWS) : answer.nearest
  return (
    <>
      {answer.hits.length === 0 && (
        <Sentence title="No pair in the range meets the aim.">
          {rows.length > 0 ? 'The nearest outside it are below. ' : ''}
          Widen the range, drag the band, or change the aim.
        </Sentence>
      )}
      {rows.length > 0 && (
        <div className={table.scroll} data-stale={search.answer.isStale || undefined}>
          <table className={table.table}>
            <thead>
              <tr>
                <th scope="col">front / rear</th>
                <th scope="col">ratio</th>
                <th scope="col">change</th>
                {hasSpeed && <th scope="col">rpm at {speed}</th>}
                {hasGears && <th scope="col">gears</th>}
                <th scope="col">work here</th>
                <th scope="col">cost</th>
                <th scope="col">same tooth, link</th>
                <th scope="col">ripple</th>
                <th scope="col">stock</th>
                <th scope="col">below by</th>
              </tr>
            </thead>
            <tbody>
              {rows.map((hit) => (
                <Way
                  key={candidatePair(hit, bench)}
                  hit={hit}
                  bench={bench}
                  hasSpeed={hasSpeed}
                  hasGears={hasGears}
                />
              ))}
            </tbody>
          </table>
        </div>
      )}
      {answer.hitCount > rows.length && answer.hits.length > 0 && (
        <p className="cap">
          {rows.length} of {plain(answer.hitCount)} shown; narrow the band or the range for the rest.
        </p>
      )}
    </>
  )
}

interface WayProps {
  hit: RatioCandidate
  bench: Workbench
  hasSpeed: boolean
  hasGears: boolean
}

function Way({ hit, bench, hasSpeed, hasGears }: WayProps) {
  const isPicked = isSame(hit, bench.shown.loops)
  const supply = supplyWord(hit)
  const pick = () => bench.pick(hit.loops)
  const worstRipple = Math.max(...hit.loops.map((l) => l.ripplePercent ?? -1))
  const typed = hit.loops.some((l) => l.isTyped)
  return (
    <tr data-on={isPicked || undefined} data-now={hit.moves === 'nothing' || undefined} onClick={pick}>
      <th scope="row">
        <button type="button" className={`num ${table.pick}`} aria-pressed={isPicked} onClick={pick}>
          {candidatePair(hit, bench)}
        </button>
        {typed && <span className="cap"> typed</span>}
      </th>
      <td className="num">{fixed(hit.finalRatio, 3)}</td>
      <td>{hit.moves === 'nothing' ? 'as fitted' : `${signed(hit.changePercent, 1)} %`}</td>
      {hasSpeed && <td className="num">{hit.aimShaftSpeedRpm === null ? '–' : rpm(hit.aimShaftSpeedRpm)}</td>}
      {hasGears && <td>{hit.bandGears.map(gearName).join(' ')}</td>}
      <td>{workText(hit)}</td>
      <td className="num">{moneyText(hit)}</td>
      <td>{hit.loops.map(meetingText).join(' · ')}</td>
      <td>{worstRipple < 0 ? '–' : `${fixed(worstRipple, 1)} %`}</td>
      <td>
        <span className={table.tag} data-tone={supply.tone}>
          {supply.text}
        </span>
      </td>
      <td className="cap">{reasonText(hit)}</td>
    </tr>
  )
}
