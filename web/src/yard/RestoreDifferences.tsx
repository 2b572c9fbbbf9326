import type { RestorePreview } from '../api/client'
import { momentText } from '../quantities/days'
import classes from './BackupDialog.module.css'

const MOST_NAMED = 8

/** What restoring a backup would change, kind by kind. */
export function RestoreDifferences({ preview }: { preview: RestorePreview }) {
  const { differences, events, eventsHere, newest } = preview
  const changed = differences.filter((d) => d.back.length + d.gone.length + d.other.length > 0)
  return (
    <>
      <p>
        {newest === null
          ? 'Nothing was ever done in it.'
          : `The last thing in it was done ${momentText(newest)}.`}
      </p>
      {changed.length === 0 && events === eventsHere ? (
        <p>It is what is here already: restoring it would change nothing.</p>
      ) : (
        <p>Restoring it would change:</p>
      )}
      <ul className={classes.list}>
        {changed.map((d) => (
          <li key={d.word}>
            <strong>{d.word}</strong>: {d.same} {d.same === 1 ? 'stays as it is' : 'stay as they are'}
            <Named one="comes back" more="come back" names={d.back} />
            <Named one="goes" more="go" names={d.gone} />
            <Named one="is as it was then" more="are as they were then" names={d.other} />
          </li>
        ))}
        {events !== eventsHere && (
          <li>
            <strong>entries of visits</strong>: {events} instead of {eventsHere}
          </li>
        )}
      </ul>
      <p className="cap">
        What is here now is kept as a backup of its own first, so that this can be taken back.
      </p>
    </>
  )
}

function Named({ one, more, names }: { one: string; more: string; names: string[] }) {
  if (names.length === 0) return null
  const unnamed = names.length - MOST_NAMED
  return (
    <>
      ; {names.length} {names.length === 1 ? one : more} ({names.slice(0, MOST_NAMED).join(', ')}
      {unnamed > 0 && ` and ${unnamed} more`})
    </>
  )
}
