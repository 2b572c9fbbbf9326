import type { MachineGuess } from '../api/guesses'

/** What somebody would measure or look up. */
export const GUESS_WORDS: Record<MachineGuess['kind'], string> = {
  tyre: 'tyre',
  gearbox: 'ratios of the gears',
  reductions: 'fixed reductions',
  speeds: 'speeds it pulls from and to',
  front: 'front wheel',
  rear: 'rear wheel',
  length: 'length that is on',
  centre: 'where the shafts stand',
  suspension: 'how its axle is carried',
  beltWidth: 'width of the belt',
  pull: 'torque of what drives it',
  mass: 'mass, all in',
  lifts: 'whether it lifts, carries persons up or flies',
}

/** Whether this program may say that something holds. */
export const LIFTS_WORDS = {
  no: 'it does none of these',
  yes: 'it lifts, carries persons up or flies',
}
