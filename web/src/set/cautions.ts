import type { Drive, LoopSummary, MachineKind } from '../api/client'

const HELD: Partial<Record<MachineKind, string>> = {
  bicycle: 'Wheel clear of the ground and the bicycle held fast',
  robot: 'Wheels clear of the ground and the robot held fast',
  winch: 'Load off, and the drum held',
  other: 'Load off, and what is driven held',
}

const STILL: Record<Drive['input']['kind'], string> = {
  motor: 'motor isolated and battery off',
  engine: 'engine off and out of gear',
  rider: 'nobody at the pedals',
}

/** Where the hands are: what must be so before they go near. */
export function cautionsOf(
  kind: MachineKind,
  input: Drive['input']['kind'],
  medium: LoopSummary['medium'],
): string[] {
  const what = medium === 'chain' ? 'chain' : 'belt'
  return [
    `${HELD[kind] ?? 'Wheel clear of the ground, vehicle chocked'}, ${STILL[input]}.`,
    `Turn it by hand only. A moving ${what} takes fingers.`,
    'Nip the axle nut between rounds: tightening moves the reading, so the last one comes after final torque.',
    'Both ends of the axle stay seated against their adjusters before the nut is tightened.',
  ]
}
