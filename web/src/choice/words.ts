import type {
  ChoiceColumn,
  ChoiceDesk,
  DriveMust,
  DriveWish,
  KindAtPlace,
  OptionFigures,
  SaidBy,
  TurnOver,
} from '../api/choice'
import { fixed, money, plain } from '../quantities/format'
import type { Units } from '../quantities/units'

/** What the core's answers about a choice are called on the page. */

export const WISH_WORDS: Record<DriveWish, string> = {
  littleUpkeep: 'little upkeep',
  quiet: 'quiet',
  lowCost: 'cheap to run',
  takesDirt: 'takes dirt and stones',
  ratioChanges: 'ratio changed often',
  littleLoss: 'goes far',
  lowMass: 'light',
  longLife: 'lasts long',
}

export const MUST_WORDS: Record<DriveMust, string> = {
  frameStaysClosed: 'the frame stays closed',
  runsDry: 'no oil on it',
  neverSlips: 'never slips',
  slipsFirst: 'slips before something breaks',
  sameSense: 'turns as it does now',
  toBeHad: 'to be had now',
}

export const SAID_WORDS: Record<SaidBy, string> = {
  measuredHere: 'measured here',
  makerOrStandard: 'maker or standard',
  commonPractice: 'common practice',
  onePersonsWord: 'one person’s word',
}

/** A sign of its own for each, as full as it is sure. */
export const SAID_SIGNS: Record<SaidBy, string> = {
  measuredHere: '●',
  makerOrStandard: '◐',
  commonPractice: '○',
  onePersonsWord: '◌',
}

export const HAD_WORDS: Record<NonNullable<OptionFigures['toBeHad']>, string> = {
  anyShop: 'in any shop',
  toOrder: 'to order',
  hardToFind: 'hard to find',
  notToBeHad: 'not to be had',
}

export const HOLDS_WORDS: Record<KindAtPlace['holds'], string> = {
  holds: 'holds',
  watch: 'watch',
  notTold: 'not told',
  doesNotHold: 'does not hold',
  nothingNear: 'nothing of the tables comes near',
  notThisRatio: 'not this ratio',
  notJudgedHere: 'not judged here',
  figuresOnly: 'figures only',
}

const OUT_WORDS: Record<ChoiceColumn['out'][number]['because'], string> = {
  doesNotHold: 'it does not hold',
  nothingNear: 'nothing of the tables comes near',
  notThisRatio: 'no stage of it gives this ratio',
  must: 'it must be so:',
  answer: '',
}

/** Why something can’t come first. */
export const outText = ({ because, must, text }: ChoiceColumn['out'][number]) =>
  because === 'must' && must ? `must be so: ${MUST_WORDS[must]}` : (text ?? OUT_WORDS[because])

/** “a, b and c”. */
export const listed = (words: string[]) =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`

export const runText = (unit: ChoiceDesk['unit'], value: number, units: Units) =>
  unit === 'km' ? units.show('distance', value) : `${plain(Math.round(value))} h`

/** A range where both ends differ. */
export const rangeText = (low: number, high: number, show: (value: number) => string) =>
  show(low) === show(high) ? show(low) : `${show(low)} to ${show(high)}`

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

const nameOf = (desk: ChoiceDesk, key: string | null) =>
  desk.offered.find((o) => o.key === key)?.name ?? key ?? ''

/** What the weighing comes to, in a sentence. */
export function outcomeText(desk: ChoiceDesk): string {
  const { outcome } = desk
  const first = capital(nameOf(desk, outcome.first))
  const column = desk.columns.find((c) => c.key === outcome.first)
  const by = listed(outcome.by.map((w) => WISH_WORDS[w]))
  const open = desk.questions.filter((q) => column?.open.includes(q.key)).map((q) => q.ifFine)
  const ifs = [
    ...open,
    ...(column?.place?.holds === 'notTold' || column?.place?.holds === 'notJudgedHere' ? ['it holds'] : []),
  ]
  const watched = [
    ...(column?.place?.holds === 'watch' ? ['what is marked where it holds'] : []),
    ...(column?.watched ?? []),
  ]
  const conditions = `${ifs.length > 0 ? `, if ${listed(ifs)}` : ''}${watched.length > 0 ? `; watch: ${listed(watched)}` : ''}`
  switch (outcome.kind) {
    case 'figuresOnly':
      return 'It hoists, carries persons or flies: figures only, no word on which is better.'
    case 'nothingLeft':
      return 'Nothing here meets what must be so and holds.'
    case 'oneLeft':
      return `${first} alone meets what must be so and holds${conditions}.`
    case 'ahead':
      return `${first} ahead by ${by}${conditions}.`
    case 'practiceOnly':
      return `${outcome.weighed.length > 0 ? 'Equal by their figures' : 'No sure figures to weigh yet'}. Common practice speaks for ${nameOf(desk, outcome.first)}${by ? `, by ${by}` : ''}${conditions}: only that.`
    case 'nothingAsked':
      return 'Nothing was said to matter: say what it is worth to you.'
    default: {
      const left = listed(outcome.notWeighed.map((w) => WISH_WORDS[w]))
      return outcome.weighed.length === 0
        ? `Nothing tells them apart yet: give sure figures for ${left}.`
        : `Equal: choose by ${left || 'what is on the shelf'}.`
    }
  }
}

/** What puts something else first. */
export function turnText(desk: ChoiceDesk, turn: TurnOver, units: Units): string {
  const first = capital(nameOf(desk, turn.first))
  const option = nameOf(desk, turn.option ?? null)
  const isMore = turn.to > turn.from
  switch (turn.by) {
    case 'wish':
      return `${first}, when “${WISH_WORDS[turn.wish ?? 'quiet']}” is worth ${turn.to}`
    case 'price':
      return `${first}, when the parts of ${option} cost ${isMore ? 'more' : 'less'} than ${money(turn.to)}`
    case 'life':
      return `${first}, when ${option} lasts ${isMore ? 'more' : 'less'} than ${runText(desk.unit, turn.to, units)}`
    case 'failures':
      return `${first}, when ${option} fails ${isMore ? 'more' : 'less'} than ${fixed(turn.to, 2)} times in ${runText(desk.unit, 10_000, units)}`
    case 'must':
      return `${first}, when ${turn.to > 0 ? 'it must be so' : 'it need not be so'}: ${MUST_WORDS[turn.must ?? 'toBeHad']}`
    default:
      return `${first}, when the answer is ${turn.to > 0 ? 'yes' : 'no'}: ${desk.questions.find((q) => q.key === turn.question)?.text ?? ''}`
  }
}
