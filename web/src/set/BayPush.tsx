import type { SetReading } from '../api/client'
import { useUnits } from '../quantities/units'
import { BaySteps } from '../shell/BaySteps'
import classes from './BayMode.module.css'

/** A deflection under a push: how hard is said first, and stays for the next place. */
export function BayPush({
  said,
  onSay,
  here,
  last,
  onRead,
}: {
  /** How hard, as it was said here; stored in newtons. */
  said: number | undefined
  onSay: (forceN: number) => void
  /** Read so at this place: pushed harder or less, it is another reading. */
  here: SetReading | undefined
  /** Of this kind, here or before. */
  last: SetReading | undefined
  onRead: (deflectionMm: number, forceN: number) => void
}) {
  const units = useUnits()
  const forceN = here?.forceN ?? said ?? last?.forceN ?? 0
  const push = (newtons: number) => {
    onSay(newtons)
    if (here && newtons > 0) onRead(here.value, newtons)
  }
  return (
    <>
      <p className={classes.said}>
        {forceN > 0 ? `pushed with ${units.show('force', forceN)}` : 'How hard is it pushed?'}
      </p>
      <BaySteps of="force" quantity="force" from={forceN} onStep={push} />
      {forceN > 0 && (
        <>
          <p className={classes.said}>how far it gives</p>
          <BaySteps
            of="deflection"
            quantity="fine"
            isFine
            from={last?.value ?? 0}
            onStep={(mm) => onRead(mm, forceN)}
          />
        </>
      )}
    </>
  )
}
