import type { RailShaft } from '../api/client'
import type { Units } from '../quantities/units'

type MissingSpacer = NonNullable<NonNullable<RailShaft['stacks']>['missing']>

/** Hundredths of a millimetre, or thousandths of an inch. */
export const spacerDecimals = (units: Units) => (units.system === 'inch' ? 3 : 2)

/** The piece whose lack keeps a shaft from being filled, and where the last of it went. */
export function missingSpacerText(missing: MissingSpacer, units: Units): string {
  const piece = units.show('fine', missing.thicknessMm, spacerDecimals(units))
  if (missing.isMade) return `Missing is one piece of ${piece}: no drawer has it, have it made.`
  return missing.takenBy
    ? `Missing is one more of ${piece}: those there are go on the ${missing.takenBy}.`
    : `Missing is one more of ${piece}.`
}
