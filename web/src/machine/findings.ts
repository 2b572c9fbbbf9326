import type { DriveFinding } from '../api/client'
import { gearName, signed } from '../quantities/format'

/** What does not go together, as a sentence. */
export function findingText({ kind, things, gearLabel, differencePercent }: DriveFinding): string {
  const [a, b] = things
  const inGear = gearLabel ? ` in ${gearName(gearLabel)}` : ''
  switch (kind) {
    case 'opposingWheels':
      return `${a} and ${b} would turn against each other${inGear}.`
    case 'scrubbingWheels':
      return `${b} wants ${signed(differencePercent ?? 0, 1)} % of the speed of ${a}${inGear}: one of them scrubs.`
    case 'halfPlanetTooth':
      return `The sun and ring of ${a} leave half a tooth to each planet: it can’t be built with plain gears. Check the counts.`
    case 'mirrorMismatch':
      return `${b} does not match ${a}${differencePercent === null ? '' : ` (${signed(differencePercent, 2)} %)`}.`
  }
}
