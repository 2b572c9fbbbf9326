import type {
  AdjusterStep,
  AdjustmentReserve,
  ClearanceFigure,
  FitFinding,
  LoopFitResult,
  LoopSummary,
  PairFit,
} from '../api/client'
import { fixed, plain, signed } from '../quantities/format'
import type { Units } from '../quantities/units'

/** What the core's answers are called on the page. */

export const UNIT_WORDS: Record<LoopFitResult['lengthUnit'], string> = {
  links: 'links',
  beltTeeth: 'teeth',
  mm: 'mm',
}

export const REASON_WORDS: Record<LoopFitResult['reason'], string> = {
  noneReaches: 'No length reaches: change the pair, or the slot.',
  onlyOne: 'the only length that reaches',
  frontThird: 'starts well forward in its travel and leaves room for elongation',
  leastChange: 'reaches with the least change',
  standardLength: 'a standard length, to be had from every maker; the others are made to order or by few',
  mostReserve: 'leaves the most to take up',
}

export const STEP_WORDS: Record<AdjusterStep['kind'], [one: string, many: string]> = {
  turn: ['turn', 'turns'],
  click: ['click', 'clicks'],
  shim: ['shim', 'shims'],
}

/** “62 % · 20.1 mm · 16.1 turns”: the one figure of what an adjuster has left. */
export function reserveText(reserve: AdjustmentReserve, units: Units): string {
  const parts = [`${fixed(reserve.leftPercent, 0)} %`, units.show('fine', reserve.leftMm)]
  if (reserve.steps !== null && reserve.step !== null)
    parts.push(
      `${fixed(reserve.steps, reserve.step.kind === 'turn' ? 1 : 0)} ${STEP_WORDS[reserve.step.kind][reserve.steps === 1 ? 0 : 1]}`,
    )
  return parts.join(' · ')
}

/** Where a chain that has come off would be pinched. */
export function jamText(
  jam: { name: string; wheel: string; roomMm: number; neededMm: number },
  units: Units,
): string {
  const mm = (value: number) => units.show('fine', value, units.system === 'inch' ? 2 : 1)
  return `A chain that comes off jams between ${jam.wheel} and ${jam.name}: ${mm(jam.roomMm)} of room, ${mm(jam.neededMm)} for a chain on the tips. Make room, or guard it so close that it can’t climb.`
}

/** “clear”, “under 3 mm”, “rubs when slack”. */
export function clearanceText(figure: ClearanceFigure, units: Units): string {
  switch (figure.state) {
    case 'clear':
      return 'clear'
    case 'near':
      return `under ${units.show('fine', figure.leastMm)}`
    case 'rubsWhenSlack':
      return 'rubs when slack'
    case 'rubsWhenMoved':
      return 'rubs when it moves'
    case 'rubs':
      return 'rubs'
  }
}

/** “−4.2 mm”, “+0.165 in”: how far something goes. */
export const shiftText = (mm: number, units: Units): string =>
  `${signed(units.toShown('fine', Math.abs(mm) < 1e-6 ? 0 : mm), units.system === 'inch' ? 3 : 1)}\u00a0${units.unitOf('fine')}`

/** Where the axle goes with a pair, or what the present length lacks. */
export function moveText(
  fit: PairFit | undefined,
  units: Units,
  driveElement?: LoopSummary['driveElement'],
): string {
  if (!fit) return '–'
  if (fit.moveMm !== null)
    return `${signed(units.toShown('fine', Math.abs(fit.moveMm) < 1e-6 ? 0 : fit.moveMm), units.system === 'inch' ? 2 : 1)}\u00a0${units.unitOf('fine')}`
  if (fit.lengthChange === null) return 'no length'
  const one = Math.abs(fit.lengthChange) === 1
  const unit =
    driveElement === 'chain'
      ? one
        ? 'link'
        : 'links'
      : driveElement === 'toothedBelt'
        ? one
          ? 'tooth'
          : 'teeth'
        : 'mm'
  return `${signed(fit.lengthChange, 0)} ${unit}`
}

/** “110 links”, “1 600 mm”. */
export const lengthText = (length: number, unit: LoopFitResult['lengthUnit']) =>
  `${plain(length)}\u00a0${UNIT_WORDS[unit]}`

export function findingText(finding: FitFinding, units: Units): string {
  const mm = (value: number) => units.show('fine', value)
  switch (finding.kind) {
    case 'tipsTouch':
      return `${finding.wheel} touches its neighbour by ${mm(-finding.value)}.`
    case 'littleWrap':
      return `Only ${fixed(finding.value, 0)}° on the ${finding.wheel} sprocket; ${fixed(finding.limit, 0)}° or more keeps the chain from climbing.`
    case 'fewTeethInMesh':
      return `${plain(finding.value)} teeth in mesh at the ${finding.wheel}; ${plain(finding.limit)} or more carry the full load.`
    case 'fewTeethOnIdler':
      return `The chain lies on ${plain(finding.value)} teeth of “${finding.wheel}”; ${plain(finding.limit)} or more keep it from jumping there.`
    case 'shortCentre':
      return `Centres only ${fixed(finding.value, 0)} pitches apart: the chain comes round often and wears sooner.`
    case 'longCentre':
      return `Centres ${fixed(finding.value, 0)} pitches apart: the slack run wants a guide.`
    case 'idlerOnTightRun':
      return `“${finding.wheel}” sits on the run that pulls: put it on the slack run.`
    case 'halfLink':
      return `${plain(finding.value)} links need a half link: weaker, and not for sealed-ring or derailleur chains.`
    case 'offTheTrack':
      return finding.value > finding.limit
        ? `${mm(finding.value - finding.limit)} too long for this adjuster at its end (${mm(finding.limit)}): choose a shorter one below.`
        : `${mm(finding.limit - finding.value)} too short for this adjuster at its start (${mm(finding.limit)}): choose a longer one below.`
    case 'littleReserve':
      return `Only ${mm(finding.value)} of the adjuster are left.`
  }
}
