import type {
  Adjuster,
  AdjusterMove,
  ClosedDespite,
  LoopSetting,
  RoundCondition,
  SetAdvice,
  SetRound,
} from '../api/client'
import { METHOD_WORDS, readingText } from '../loop/readings'
import { choicesOf } from '../quantities/choices'
import { figure, plain } from '../quantities/format'
import type { Units } from '../quantities/units'
import type { Decision } from './usePracticeDecision'

/** What the core's answers about setting are called on the page. */

const LOCKS: Record<SetRound['lock'], string> = {
  loose: 'loose',
  nipped: 'nipped',
  torqued: 'at its torque',
}

/** How what holds it stood; what that is its column or field says. */
export const lockWord = (lock: SetRound['lock']) => LOCKS[lock]

export const LOCK_CHOICES = choicesOf(LOCKS)

export const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

/** What moves when it is turned. */
export const MOVED_WORDS: Record<Adjuster['kind'], string> = {
  twoEnds: 'axle',
  oneScrew: 'travel',
  slidingMotor: 'motor',
  eccentric: 'axle',
  cam: 'axle',
  shims: 'travel',
  sprungArm: 'spring',
  springSlide: 'motor',
  fixedCentres: 'shaft',
  sheaveShims: 'belt height',
}

/** Why the last round is hard to compare with the one before it. */
export const CONDITION_WORDS: Record<RoundCondition, (turnsToRoll: number) => string> = {
  rolledTooLittle: (turns) =>
    `Rolled less than ${turns} turns since it was turned: it has not found its place. Roll it and read again.`,
  otherWarmth: () => 'Much warmer or colder than before: warmth alone moves a reading.',
  otherLoad: () => 'Another load lies on it than before: its springs, and so its centres, stand elsewhere.',
}

/** What a visit is closed over. */
export const DESPITE_WORDS: Record<ClosedDespite, string> = {
  outsideWindow: 'an instrument read outside its window, and none that counts has read it inside since',
  advisorStopped: 'the advisor said stop',
  cautionsNotConfirmed: 'nobody confirmed the cautions',
  noTorque: 'the final torque has no figure',
}

/** From where clockwise is meant. */
export const SEEN_WORDS: Record<NonNullable<Adjuster['seenFrom']>, string> = {
  behind: 'from behind',
  ahead: 'from ahead',
  outside: 'from its own side',
}

/** Where shims lie at a sheave that opens and closes, and what one does there. */
export const SHIM_SENSE_WORDS: Record<NonNullable<NonNullable<LoopSetting['shims']>['sense']>, string> = {
  underOpeningBolts: 'under bolts that push it open: one out, the belt sinks',
  betweenHalves: 'between its halves: one in, the belt sinks',
}

export const RUN_WORDS: Record<NonNullable<SetRound['run']>, string> = {
  tight: 'tight run',
  slack: 'slack run',
}

export const DEGREES_IN_A_TURN = 360

/** Positions of the wheel in quarters, as a person calls them. */
export const positionWord = (position: number, positions = 4): string =>
  position === 0
    ? 'valve up'
    : positions === 4
      ? (['valve up', 'a quarter on', 'half-way', 'three quarters on'][position] ?? `place ${position + 1}`)
      : `place ${position + 1} of ${positions}`

/** Sixteenths as a workshop writes them: 3/16, 1/4, 1/2. */
export function turnText(turns: number): string {
  const sixteenths = Math.round(turns * 16)
  if (Math.abs(turns * 16 - sixteenths) > 1e-6 || sixteenths === 0) return figure(turns, 2)
  const [whole, rest] = [Math.floor(sixteenths / 16), sixteenths % 16]
  const smallest = [2, 4, 8, 16].find((d) => (rest * d) % 16 === 0) ?? 16
  const part = rest === 0 ? '' : `${(rest * smallest) / 16}/${smallest}`
  return [whole || '', part].filter(Boolean).join(' ')
}

export const unitWord = (kind: Adjuster['kind'], amount: number): string =>
  kind === 'cam'
    ? amount === 1
      ? 'click'
      : 'clicks'
    : kind === 'shims' || kind === 'sheaveShims'
      ? amount === 1
        ? 'shim'
        : 'shims'
      : 'turn'

/** What a hand can make at least: “1/16 turn”, “2°”, “1 click”. */
export const stepText = ({ kind, step }: Adjuster): string => unitsText(kind, step)

/** “1/2 turn”, “2 clicks”, “45°”. */
export const unitsText = (kind: Adjuster['kind'], units: number): string =>
  kind === 'eccentric'
    ? `${figure(units * DEGREES_IN_A_TURN, 2)}°`
    : `${turnText(units)} ${unitWord(kind, units)}`

const RESERVE_WORDS: Record<NonNullable<SetAdvice['reserve']>['origin'], string> = {
  measured: 'left after that',
  eccentric: 'left of the eccentric after that',
  fit: 'left after that, by Fit',
}

/** What the adjuster has left after a move: “left after that”, and how much of it. */
export function reserveWords(
  reserve: NonNullable<SetAdvice['reserve']>,
  kind: Adjuster['kind'],
  units: Units,
): [name: string, text: string] {
  const text = units.show('fine', reserve.afterMm)
  return [
    RESERVE_WORDS[reserve.origin],
    reserve.afterUnits === null
      ? text
      : `${text} · ${figure(reserve.afterUnits, 2)} ${unitWord(kind, reserve.afterUnits)}${kind === 'cam' || kind === 'shims' ? '' : 's'}`,
  ]
}

/** “1/16 turn”, “6°” of an eccentric, “2 clicks”. */
export const amountText = (move: AdjusterMove, kind: Adjuster['kind']): string =>
  move.degrees === null
    ? `${turnText(move.units)} ${unitWord(kind, move.units)}`
    : `${figure(move.degrees, 2)}°`

/** “hold”, “+3/16”, “−2 clicks”: what was done before a round; positive tightens. */
export function turnedText(units: number, kind: Adjuster['kind']): string {
  if (units === 0) return 'hold'
  const amount = Math.abs(units)
  const text = kind === 'eccentric' ? `${figure(amount * DEGREES_IN_A_TURN, 2)}°` : turnText(amount)
  return `${units > 0 ? '+' : '−'}${text}`
}

/** “3 out”, “1 in”: shims at each bolt before a round. */
export const shimsText = (putIn: number): string =>
  putIn === 0 ? 'none moved' : `${plain(Math.abs(putIn))} ${putIn > 0 ? 'in' : 'out'}`

/**
 * “Right adjuster 1/16 turn clockwise”.
 * @param sole What a single adjuster is called here.
 */
export function moveText(move: AdjusterMove, kind: Adjuster['kind'], sole: string): string {
  if (move.putsIn != null)
    return `${move.putsIn ? 'Put' : 'Take'} ${unitsText(kind, move.units)} ${move.putsIn ? 'in' : 'out'} at each bolt`
  const who = move.side === null ? capital(sole) : move.side === 'left' ? 'Left adjuster' : 'Right adjuster'
  const way =
    move.clockwise === null
      ? move.tightens
        ? 'tighter'
        : 'looser'
      : move.clockwise
        ? 'clockwise'
        : 'anticlockwise'
  return `${who} ${amountText(move, kind)} ${way}`
}

/** “the axle nut to its torque”, “the motor bolts to their torque”. */
const toTorque = ({ lock, locksAreMany }: SetAdvice['manual']) =>
  `the ${lock} to ${locksAreMany ? 'their' : 'its'} torque`

/** What comes next, in a sentence or two. */
export function nextText(advice: SetAdvice): string {
  const { setting, manual } = advice
  switch (advice.next) {
    case 'readAsFound':
      return 'Read it as found, before anything is touched.'
    case 'giveWindow':
      return 'Nothing tells how tight it should be. Give the maker’s figure; as found and trend are kept.'
    case 'saySuspension':
      return 'How is the driven axle carried? The window depends on it, and nobody said.'
    case 'chooseTrackingEnd':
      return 'Either end would bring the gap right, and tension was not read. Which one do you turn for tracking?'
    case 'turn': {
      const sides = advice.moves.map((m) => moveText(m, setting.adjuster.kind, manual.handles))
      const left = advice.moves.some((m) => m.side === 'left')
      const right = advice.moves.some((m) => m.side === 'right')
      const all =
        advice.shims?.movedInAll == null ? '' : `, ${advice.shims.movedInAll} in all, the same count at each`
      const rest =
        setting.adjuster.hasTwoEnds && left !== right ? `, ${left ? 'right' : 'left'} untouched` : ''
      return `${sides.join(', ').replace(/, R/, ', r')}${rest}${all}.`
    }
    case 'letSpringSet':
      return 'The spring finds the place: let it, then read.'
    case 'tightenAndRead':
      return `It is where it should be. Bring ${toTorque(manual)}, roll, and read once more.`
    case 'done':
      return `${rightIn(advice)}, with everything tight. Close the visit.`
    case 'spreadTooWide':
      return 'Looser here than tight there: no setting brings both into the window.'
    case 'asNearAsAHand':
      return advice.rounds.at(-1)?.isInside === false
        ? `Not inside, but ${stepText(setting.adjuster)} more may go past the window. Only a smaller step helps: say below what a hand can make, or take a thinner shim.`
        : 'As near as a hand can get: the smallest step would not bring it nearer.'
    case 'looseOrBent':
      return 'It does not answer as it can: something is loose or bent. Stop turning and look.'
    case 'springIsWrong':
      return 'Let go, the spring does not bring it inside. Stop and look at spring and slide.'
    case 'readAgain':
      return 'That is more than this run can give: no push and no play is as large. Read it anew.'
    case 'tieReading':
      return 'This reading is not tied to this loop yet. Tie it below by a pair, or read another way; as found and trend are kept.'
    case 'nothingMoves':
      return 'Not inside, and nothing moves here: only another length or other wheels bring it nearer, see Fit.'
    case 'sayShims':
      return 'What do the shims do here? Say at “How it is set” how thick one is, the angle of the sheave, and where they lie: both ways are built.'
    case 'noShimLeft':
      return 'A shim more that way would bring it nearer, and none is there. Get some, or thinner ones; a belt that is worn narrow sinks, look at its width first.'
    case 'notFreeAtIdle':
      return 'The belt stands where it should, and the driving sheave does not turn free at idle. Stop and look: no shim mends that.'
    case 'atItsEnd':
      return 'The adjuster has less travel left than this takes. Shorten the loop or replace it before going on.'
  }
}

/** What was read and is right; what was not read is not said. */
function rightIn({ isTensionInside, isTrackInside, setting }: SetAdvice): string {
  if (isTensionInside && isTrackInside) return 'Tight enough and straight'
  if (isTensionInside) return setting.gapSide ? 'Tight enough; tracking was not read' : 'Tight enough'
  return isTrackInside ? 'Straight; tension was not read' : 'Nothing was read outside'
}

/** “left +1/4, right hold”, “nut tight, then read”: what somebody decided who practises. */
export function decisionText(
  { what, leftUnits, rightUnits }: Pick<Decision, 'what' | 'leftUnits' | 'rightUnits'>,
  { setting: { adjuster }, manual }: SetAdvice,
): string {
  if (what === 'tighten') return `${manual.lock} tight, then read`
  if (what === 'right') return 'it is right'
  if (what === 'stop') return 'stop and look'
  const turned = (units: number) => turnedText(units, adjuster.kind)
  return adjuster.hasTwoEnds
    ? `left ${turned(leftUnits)}, right ${turned(rightUnits)}`
    : `${manual.handles} ${turned(leftUnits)}`
}

/** The window every instruction goes by, and where it comes from. */
export function windowLine(advice: SetAdvice, units: Units): string {
  const { window, windowLooseReading: loose, windowTightReading: tight, setting } = advice
  if (!window) return makerText(setting, units) ?? 'No window is known for this drive.'
  const range =
    loose === null || tight === null
      ? ''
      : `${readingText(advice.windowMethod, Math.min(loose, tight), units)} to ${readingText(advice.windowMethod, Math.max(loose, tight), units)}: `
  return `Window ${range}${window.reason}.`
}

/** The maker’s window as it was typed, in its own instrument; null where none was. */
export const makerText = ({ makerMethod, makerLow, makerHigh }: LoopSetting, units: Units): string | null =>
  makerMethod && makerLow != null && makerHigh != null
    ? `Maker’s window, ${METHOD_WORDS[makerMethod]}: ${readingText(makerMethod, makerLow, units)} to ${readingText(makerMethod, makerHigh, units)}.`
    : null

/** Which place comes next while a round is being read; null once all were, or before the first. */
export function readOnText(round: SetRound | null, positions: number): string | null {
  const read = round?.readings.map((r) => r.position) ?? []
  const next = Array.from({ length: positions }, (_, k) => k).find((k) => !read.includes(k))
  return read.length === 0 || next === undefined ? null : `Read on: ${positionWord(next, positions)}.`
}

/** Read all round and not kept yet: it is kept before anything is turned, so that nothing is read over it. */
export const isToKeep = (round: SetRound | null, positions: number) =>
  round !== null && round.readings.length > 0 && readOnText(round, positions) === null

/** What comes first, before what the advice says next; null where nothing does. */
export function firstText(advice: SetAdvice, round: SetRound | null, positions: number, isFirst: boolean) {
  const readOn = readOnText(round, positions)
  if (readOn) return readOn
  if (isToKeep(round, positions)) return isFirst ? 'Keep it as found.' : 'Keep this round.'
  return advice.loosenFirst ? `${advice.manual.loosen}.` : null
}

/** What follows a move, before the next reading, and where the wheel is set at. */
export function rollText(advice: SetAdvice, positions = 4): string | null {
  if (advice.next !== 'turn' && advice.next !== 'tightenAndRead') return null
  if (advice.unit === 'aboveRimMm') return 'Turn it by hand until the belt has climbed, then read.'
  const turns = ['no', 'one', 'two', 'three', 'four'][advice.turnsToRoll] ?? advice.turnsToRoll
  const at = advice.rounds.at(-1)?.setAt
  const first = at == null || advice.isPartial ? '' : `, at ${positionWord(at, positions)} first`
  return `Roll the wheel ${turns} turns by hand, then read${first}.`
}

/** Where the record of a visit is, from Set. */
export const recordPath = ({ id, loopKey }: { id: number; loopKey: string }) =>
  `${id}/${encodeURIComponent(loopKey)}`
