import { Link } from 'react-router'
import type { TrayCount } from '../api/plan'
import { missingSpacerText, spacerDecimals } from '../loop/spacerWords'
import { useUnits } from '../quantities/units'
import classes from './BuildView.module.css'

/** What must lie ready, against what Stock has. */
export const TrayCounts = ({ machineId, tray }: { machineId: number; tray: TrayCount[] }) => (
  <ul className={classes.tray}>
    {tray.map((count) => (
      <li key={count.part.key}>
        <span>
          {count.part.count > 1 && `${count.part.count} × `}
          {count.what}
        </span>
        <InStock count={count} />
        <Instead count={count} />
        <Spacers count={count} machineId={machineId} />
      </li>
    ))}
  </ul>
)

export function InStock({ count }: { count: TrayCount }) {
  if (count.inStock === null) return <span className="cap">{count.part.position}</span>
  return (
    <span
      className="cap"
      style={count.isShort ? { color: 'var(--watch)' } : undefined}
      title={count.lines.join(', ')}
    >
      {count.isShort
        ? `▲ ${count.inStock === 0 ? 'none' : `only ${count.inStock}`} in Stock`
        : `${count.inStock} in Stock`}
    </span>
  )
}

/** A line of Stock that can take its place, as words. */
export const insteadText = ({ line, how }: TrayCount['standIns'][number]) => `${line}, ${how}`

/** What can take the place of what there is too little of, and what is left of that then. */
export const Instead = ({ count }: { count: TrayCount }) =>
  count.standIns.map((standIn) => (
    <span key={standIn.line} className={`cap ${classes.instead}`}>
      instead: {insteadText(standIn)}
      {standIn.left === null ? '' : `; then ${standIn.left} of it left`}
    </span>
  ))

/** Which spacers go on which shaft, or what is missing for that. */
export function Spacers({ count, machineId }: { count: TrayCount; machineId: number }) {
  const units = useUnits()
  if (count.shafts.length === 0) return null
  const gap = (pieces: number[]) =>
    [...new Set(pieces)]
      .map((mm) => {
        const count = pieces.filter((p) => p === mm).length
        return `${count > 1 ? `${count} × ` : ''}${Number(units.toShown('fine', mm).toFixed(spacerDecimals(units)))}`
      })
      .join(' + ') || 'nothing'
  return (
    <div className={classes.shafts}>
      {count.shafts.map((shaft) => (
        <p key={shaft.shaft}>
          {shaft.shaft}
          {shaft.isFilled ? (
            <>
              , left to right: {shaft.gapsMm.map(gap).join(' | ')} {units.unitOf('fine')}
            </>
          ) : (
            <span style={{ color: 'var(--watch)' }}>
              {' '}
              ▲ not filled.{' '}
              {shaft.missing
                ? missingSpacerText(shaft.missing, units)
                : 'No single piece more of its bore would do.'}
            </span>
          )}
        </p>
      ))}
      <p>
        <Link to={`/machines/${machineId}/fit`}>Widths and other stacks</Link>
      </p>
    </div>
  )
}
