import type { TrayCount } from '../api/plan'
import classes from './BuildView.module.css'

/** What must lie ready, against what Stock has. */
export const TrayCounts = ({ tray }: { tray: TrayCount[] }) => (
  <ul className={classes.tray}>
    {tray.map((count) => (
      <li key={count.part.key}>
        <span>
          {count.part.count > 1 && `${count.part.count} × `}
          {count.what}
        </span>
        <InStock count={count} />
      </li>
    ))}
  </ul>
)

export function InStock({ count }: { count: TrayCount }) {
  if (count.inStock === null) return <span className="cap">{count.part.position}</span>
  const isShort = count.inStock < count.part.count
  return (
    <span
      className="cap"
      style={isShort ? { color: 'var(--watch)' } : undefined}
      title={count.lines.join(', ')}
    >
      {isShort
        ? `▲ ${count.inStock === 0 ? 'none' : `only ${count.inStock}`} in Stock`
        : `${count.inStock} in Stock`}
    </span>
  )
}
