import type { Aim } from '../api/client'
import { shareAims } from '../api/sharing'
import { targetText } from '../machine/targets'
import { gearLabels, type Workbench } from '../machine/useWorkbench'
import { useUnits } from '../quantities/units'
import { ShareButton } from '../sharing/ShareButton'
import classes from './AimList.module.css'
import { byVenue } from './venues'

/** All aims of the machine, those of a venue together; one is worked on. */
export function AimList({ bench }: { bench: Workbench }) {
  return (
    <fieldset className={classes.list}>
      <legend className="visually-hidden">Aim that is worked on</legend>
      {bench.aims
        .filter((aim) => !aim.venue)
        .map((aim) => (
          <AimLine key={aim.id} bench={bench} aim={aim} />
        ))}
      {byVenue(bench.aims).map(({ venue, driveKey, aims }) => (
        <section key={`${driveKey} ${venue}`} aria-label={`Aims for ${venue}`}>
          <header className={classes.venue}>
            <span className="cap">for {venue}</span>
            <ShareButton
              name={`aims for ${venue}`}
              about="Targets, conditions, wishes and notes of the aims for this venue. What was tried stays with this machine."
              write={(author) => shareAims(bench.card.machine.id, driveKey, venue, author)}
            />
          </header>
          {aims.map((aim) => (
            <AimLine key={aim.id} bench={bench} aim={aim} />
          ))}
        </section>
      ))}
    </fieldset>
  )
}

function AimLine({ bench, aim }: { bench: Workbench; aim: Aim }) {
  const units = useUnits()
  const best = Math.max(0, ...aim.outcomes.map((o) => o.score))
  const gears = gearLabels(bench.card, aim.driveKey)
  return (
    <label className={classes.aim} data-on={aim.id === bench.aim?.id || undefined}>
      <input
        type="radio"
        name="aim"
        checked={aim.id === bench.aim?.id}
        onChange={() => bench.set({ aim: String(aim.id), band: null })}
      />
      <span>
        <b>{aim.name}</b>
        <span className="cap num">{targetText(aim.target, units, gears)}</span>
      </span>
      <span className={classes.best}>{best > 0 ? `best ${best} of 5` : 'not tried'}</span>
    </label>
  )
}
