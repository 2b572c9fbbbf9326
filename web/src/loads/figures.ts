import type { LoopFigures } from '../api/client'
import { CHECK_WORDS } from '../loop/checkWords'
import { plain } from '../quantities/format'
import type { Units } from '../quantities/units'
import { smallestMargin } from './words'

type Tell = (figures: LoopFigures, units: Units) => string

const force = (value: number | null | undefined, units: Units) =>
  value == null ? '–' : units.show('force', value, 0)

/** What is laid side by side of two loops or more. */
export const FIGURES: [name: string, tell: Tell][] = [
  ['chain or belt', (r) => r.standard],
  ['front and rear', (r) => `${plain(r.frontSize)}/${plain(r.rearSize)}`],
  ['smallest margin', (r) => (r.isJudged ? (smallestMargin(r) ?? 'not known') : 'not judged')],
  ['that is', (r) => (r.smallest ? CHECK_WORDS[r.smallest.kind] : '–')],
  ['hardest pull', (r, units) => force(r.hardestPullN, units)],
  ['on the first tooth', (r, units) => force(r.firstToothN, units)],
  ['even share of a tooth', (r, units) => force(r.evenShareN, units)],
  [
    'pressure in the pins, cruising',
    (r, units) => (r.pinPressureMpa == null ? '–' : units.show('pressure', r.pinPressureMpa)),
  ],
  ['greatest speed of the loop', (r, units) => units.show('loopSpeed', r.greatestSpeedMS)],
  ['on the driving shaft', (r, units) => force(r.shaftLoadN, units)],
  ['tension at rest, one run', (r, units) => force(r.installedTensionN, units)],
  ['mass of chain or belt', (r, units) => (r.massKg == null ? '–' : units.show('mass', r.massKg, 2))],
]
