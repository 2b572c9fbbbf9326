import type { LogTaken } from '../api/log'
import table from '../shell/table.module.css'

/** What of a file is, or would be, in the log, and why the rest is not. */
export function Taken({ taken, isTried = false }: { taken: LogTaken; isTried?: boolean }) {
  const { added, known, refused, refusedCount } = taken
  return (
    <div role="status" style={{ marginTop: 12 }}>
      <p>
        <b>
          {isTried ? `${added} lines can be taken in` : `${added} lines are in the log`}
          {known > 0 && `, ${known} ${isTried ? 'are' : 'were'} there already or stand twice`}
          {refusedCount > 0 && `, ${refusedCount} can’t be read`}.
        </b>
      </p>
      {refused.length > 0 && (
        <div className={table.scroll} style={{ maxHeight: 180, overflowY: 'auto' }}>
          <table className={table.table}>
            <thead>
              <tr>
                <th scope="col">row</th>
                <th scope="col" className={table.words}>
                  column
                </th>
                <th scope="col" className={table.words}>
                  what stands there
                </th>
                <th scope="col" className={table.words}>
                  why
                </th>
              </tr>
            </thead>
            <tbody>
              {refused.map((r) => (
                <tr key={r.row}>
                  <th scope="row">{r.row}</th>
                  <td className={table.words}>{r.head ?? 'all of it'}</td>
                  <td className={table.words}>{r.cell || 'nothing'}</td>
                  <td className={table.words}>{r.why}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      {refusedCount > refused.length && <p className="cap">These are the first {refused.length} of them.</p>}
    </div>
  )
}
