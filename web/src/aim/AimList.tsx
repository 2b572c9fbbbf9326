import { targetText } from '../machine/targets'
import { gearLabels, type Workbench } from '../machine/useWorkbench'
import { useUnits } from '../quantities/units'
import classes from './AimList.module.css'

/** All aims of the machine; one is worked on. */
export function AimList({ bench }: { bench: Workbench }) {
  const units = useUnits()
  return (
    <fieldset className={classes.list}>
      <legend className="visually-hidden">Aim that is worked on</legend>
      {bench.aims.map((aim) => {
        const best = Math.max(0, ...aim.outcomes.map((o) => o.score))
        const gears = gearLabels(bench.card, aim.driveKey)
        return (
          <label key={aim.id} className={classes.aim} data-on={aim.id === bench.aim?.id || undefined}>
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
      })}
    </fieldset>
  )
}
