import type { LoopSummary } from '../api/client'

/** Where the hands are: what must be so before they go near. */
export function cautionsOf(medium: LoopSummary['medium'], isMotor: boolean): string[] {
  const what = medium === 'chain' ? 'chain' : 'belt'
  return [
    `Wheel clear of the ground, vehicle chocked, ${isMotor ? 'motor isolated and battery off' : 'engine off and out of gear'}.`,
    `Turn the wheel by hand only. A moving ${what} takes fingers.`,
    'Nip the axle nut between rounds: tightening moves the reading, so the last one comes after final torque.',
    'Both ends of the axle stay seated against their adjusters before the nut is tightened.',
  ]
}
