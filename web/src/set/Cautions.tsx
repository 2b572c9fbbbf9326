import type { LoopSummary } from '../api/client'
import classes from './Cautions.module.css'

/** Where the hands are: what must be so before they go near. */
export function Cautions({ medium, isMotor }: { medium: LoopSummary['medium']; isMotor: boolean }) {
  const what = medium === 'chain' ? 'chain' : 'belt'
  return (
    <section className={classes.cautions} aria-label="Before your hands go near">
      <h2>Before your hands go near</h2>
      <ul>
        <li>
          Wheel clear of the ground, vehicle chocked,{' '}
          {isMotor ? 'motor isolated and battery off' : 'engine off and out of gear'}.
        </li>
        <li>Turn the wheel by hand only. A moving {what} takes fingers.</li>
        <li>
          Nip the axle nut between rounds: tightening moves the reading, so the last one comes after final
          torque.
        </li>
        <li>Both ends of the axle stay seated against their adjusters before the nut is tightened.</li>
      </ul>
      <p className="cap">
        The vehicle’s own manual wins where it differs. Brakes and steering are for a licensed workshop; what
        the road asks is local law.
      </p>
    </section>
  )
}
