import type { DueItem, FindingDetail, InspectedPart, InspectionKind, PartSeen, UseEvent } from '../api/check'
import type { LoopSummary } from '../api/client'
import { GRADE_WORDS } from '../loop/findingWords'
import { taskText } from '../machine/followUpWords'
import { dayText, today } from '../quantities/days'
import { plain } from '../quantities/format'
import type { Units } from '../quantities/units'

export const KIND_WORDS: Record<InspectionKind, string> = {
  chain: 'chain',
  rail: 'chain on a rail',
  belt: 'toothed belt',
  vBelt: 'V-belt',
  variableBelt: 'variable belt',
}

export const PART_WORDS: Record<InspectedPart, string> = {
  guard: 'guard',
  rust: 'rust and dirt',
  rings: 'rings',
  stiffLinks: 'stiff links',
  plates: 'plates',
  joint: 'joint',
  elongation: 'elongation',
  frontTeeth: 'front wheel',
  rearTeeth: 'rear wheel',
  spread: 'round the wheel',
  spacers: 'spacers',
  blocks: 'blocks',
  teeth: 'belt teeth',
  back: 'back',
  edges: 'edges',
  gap: 'gap',
  oil: 'oil',
  tension: 'tension',
  height: 'height in the groove',
  width: 'width',
  idle: 'free at idle',
  shims: 'shims',
  fasteners: 'nuts and screws',
  adjuster: 'adjuster',
  other: 'something else',
}

export const EVENT_WORDS: Record<UseEvent, string> = {
  setCold: 'it was set cold',
  knock: 'a knock, a fall or a stone',
  wheelOut: 'the wheel was out',
  deepWater: 'deep water',
  dust: 'dust or sand',
  storage: 'weeks of standing',
  newParts: 'new parts',
  firstDistance: 'first distance done',
  newTyre: 'a new tyre',
  overload: 'an overload',
  contest: 'a race or contest',
}

/** Before the moment in the strip, where there is room for one word. */
export const DUE_SHORT: Record<DueItem['kind'], string> = {
  stop: '',
  event: 'look ',
  followUp: 'look again ',
  watch: 'look ',
  reading: 'read ',
  forecast: 'parts ',
  interval: 'look ',
}

/** What is due, in a few words. */
export function dueText(item: DueItem, loops: LoopSummary[]): string {
  if (item.task) return taskText(item.task, loops)
  const loop = loops.length > 1 ? loops.find((l) => l.loopKey === item.loopKey) : undefined
  const isOneOfMany = loop && loops.some((l) => l !== loop && l.name === loop.name)
  return [dueWhat(item), loop && (isOneOfMany ? `${loop.name} (${loop.loopKey})` : loop.name)]
    .filter(Boolean)
    .join(' · ')
}

function dueWhat(item: DueItem): string {
  switch (item.kind) {
    case 'stop':
      return `mend: ${item.what}`
    case 'watch':
      return `look again: ${item.what}`
    case 'event':
      return `after ${item.event ? EVENT_WORDS[item.event] : 'it'}: ${partsText(item.parts)}`
    case 'forecast':
      return item.parts[0] === 'elongation'
        ? 'the chain may be at its limit'
        : `at its limit, perhaps: ${partsText(item.parts)}`
    case 'reading':
      return 'read it again'
    default:
      return 'a look at all of it'
  }
}

export const partsText = (parts: InspectedPart[]) => parts.map((p) => PART_WORDS[p]).join(', ')

/** Its day is past. */
export const isOver = ({ expected }: Pick<DueItem, 'expected'>) => expected !== null && expected < today()

/** Why, with the interval in the units that are shown. */
export function dueWhy({ why, every, order }: DueItem, units: Units): string {
  if (!every) return [why, order && orderText(order)].filter(Boolean).join(' ')
  const { kmLow, kmHigh, days } = every
  const distance =
    kmLow !== null &&
    (kmHigh !== null && kmHigh !== kmLow
      ? `${units.show('distance', kmLow)} to ${units.show('distance', kmHigh)}`
      : units.show('distance', kmLow))
  return `${why} Every ${[distance, `${days} days`].filter(Boolean).join(' or ')}.`
}

const orderText = ({ onShelf, deliveryDays, orderOn }: NonNullable<DueItem['order']>) =>
  onShelf > 0
    ? `${onShelf} of them ${onShelf === 1 ? 'is' : 'are'} on the shelf.`
    : orderOn
      ? `Order by ${dayText(orderOn)}: delivery takes ${deliveryDays} days.`
      : deliveryDays === null
        ? 'None is on the shelf, and Stock knows no delivery.'
        : `None is on the shelf; delivery takes ${deliveryDays} days.`

/** When: now, or the distance and the day, whichever comes first. */
export function dueWhen(item: DueItem, units: Units): string {
  if (item.isNow) return item.kind === 'stop' ? 'stop' : 'now'
  if (isOver(item)) return `over since ${dayText(item.expected ?? '')}`
  return (
    [
      item.atKm !== null && `at ${units.show('distance', item.atKm)}`,
      item.atHours !== null && `at ${plain(item.atHours)}\u00a0h`,
      item.on !== null && dayText(item.on),
      item.on === null && item.expected !== null && `about ${dayText(item.expected)}`,
    ]
      .filter(Boolean)
      .join(' or ') || 'no day known'
  )
}

/** “watch until 19 000 km or 2026-12-30”. */
export function gradeText({ grade, detail }: Pick<PartSeen, 'grade' | 'detail'>, units: Units): string {
  const until = untilText(detail, units)
  return until ? `${GRADE_WORDS[grade]} until ${until}` : GRADE_WORDS[grade]
}

export const untilText = (until: Pick<FindingDetail, 'untilKm' | 'untilOn'> | null, units: Units) =>
  [
    until?.untilKm != null && units.show('distance', until.untilKm),
    until?.untilOn != null && dayText(until.untilOn),
  ]
    .filter(Boolean)
    .join(' or ')

/** Which teeth, or which run; a finding has it in its name. */
export function placeText({
  fromTooth,
  toTooth,
  run,
}: Pick<FindingDetail, 'fromTooth' | 'toTooth' | 'run'>): string {
  if (fromTooth !== null)
    return toTooth !== null && toTooth !== fromTooth
      ? `teeth ${fromTooth} to ${toTooth}`
      : `tooth ${fromTooth}`
  return run ? `${run} run` : ''
}

/** What was measured, and what it was compared with. */
export function detailText(detail: FindingDetail | null): string {
  if (!detail) return ''
  const { measure, against } = detail
  return [
    measure &&
      `${plain(measure.value)} ${measure.unit}${measure.method ? `, ${measure.method}` : ' (hearsay)'}`,
    against && `against ${against}`,
  ]
    .filter(Boolean)
    .join(', ')
}
