import type { LoopLoadsResult } from '../api/client'
import { plain } from '../quantities/format'
import type { Units } from '../quantities/units'
import { CHECK_WORDS, smallestMargin } from './words'

type Tell = (result: LoopLoadsResult, units: Units) => string

const hardest = (r: LoopLoadsResult) => r.points.find((p) => p.point.kind === 'hardestPull')
const force = (value: number | null | undefined, units: Units) =>
  value == null ? '–' : units.show('force', value, 0)
const checked = (kind: LoopLoadsResult['checks'][number]['kind']) => (r: LoopLoadsResult) =>
  r.checks.find((c) => c.kind === kind)?.value

/** What is laid side by side of two loops or more. */
export const FIGURES: [name: string, tell: Tell][] = [
  ['chain or belt', (r) => r.standard],
  ['front and rear', (r) => `${plain(r.frontSize)}/${plain(r.rearSize)}`],
  ['smallest margin', (r) => (r.isJudged ? (smallestMargin(r) ?? 'not known') : 'not judged')],
  ['that is', (r) => (r.smallest ? CHECK_WORDS[r.smallest.kind] : '–')],
  ['hardest pull', (r, units) => force(hardest(r)?.pullN, units)],
  ['on the first tooth', (r, units) => force(hardest(r)?.teeth?.firstToothN, units)],
  ['even share of a tooth', (r, units) => force(hardest(r)?.teeth?.evenShareN, units)],
  [
    'pressure in the pins, cruising',
    (r, units) => {
      const value = checked('pinPressure')(r)
      return value == null ? '–' : units.show('pressure', value)
    },
  ],
  ['greatest speed of the loop', (r, units) => units.show('loopSpeed', r.greatestSpeedMS)],
  ['on the driving shaft', (r, units) => force(hardest(r)?.frontShaft.loadN, units)],
  ['tension at rest, one run', (r, units) => force(r.installedTensionN, units)],
  ['mass of chain or belt', (r, units) => (r.massKg === null ? '–' : units.show('mass', r.massKg, 2))],
]
