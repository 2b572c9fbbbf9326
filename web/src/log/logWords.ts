import type {
  ComparedMeasure,
  LogEntry,
  LogKind,
  LogLine,
  OtherCondition,
  RunStart,
  RunTiming,
  SetupDifference,
  ToldMean,
} from '../api/log'
import { fixed } from '../quantities/format'
import type { Units } from '../quantities/units'

export const KIND_WORDS: Record<LogKind, string> = {
  fuelFilled: 'fuel',
  charged: 'charge',
  odometerRead: 'odometer',
  runTimed: 'timed run',
  noiseRead: 'noise',
  upkeepDone: 'upkeep',
  partPaid: 'part paid for',
  scoreGiven: 'how it is liked',
  meanTold: 'a mean that was told',
}

export const TOLD_WORDS: Record<ToldMean, string> = {
  litresPer100Km: 'L/100 km',
  kmPerLitre: 'km/L',
  milesPerImperialGallon: 'mpg, imperial gallon',
  milesPerUsGallon: 'mpg, US gallon',
  whPerKm: 'Wh/km',
}

export const START_WORDS: Record<RunStart, string> = {
  rolling: 'rolling',
  standing: 'from rest, from the first movement',
  standingFromSignal: 'from rest, from the signal',
  coastDown: 'running out',
}

export const TIMING_WORDS: Record<RunTiming, string> = {
  watch: 'a watch',
  twoTaps: 'two taps',
  trace: 'a trace',
  film: 'a film',
}

export const MEASURE_WORDS: Record<ComparedMeasure, string> = {
  fuel: 'fuel',
  energy: 'charge',
  time: 'time',
  noise: 'noise',
}

/** Unit, and figures behind the point. */
export const MEASURE_UNITS: Record<ComparedMeasure, [unit: string, decimals: number]> = {
  fuel: ['L/100 km', 2],
  energy: ['Wh/km', 1],
  time: ['s', 2],
  noise: ['dB', 1],
}

export const measured = (measure: ComparedMeasure, value: number, isSigned = false) => {
  const [unit, decimals] = MEASURE_UNITS[measure]
  const sign = isSigned && value > 0 ? '+' : ''
  return `${sign}${fixed(value, decimals)}\u00a0${unit}`
}

export const CONDITION_WORDS: Record<OtherCondition, string> = {
  season: 'part of the year',
  load: 'load',
  route: 'route',
  rider: 'who rode',
  weather: 'weather',
  wind: 'wind',
  slope: 'slope',
  surface: 'surface',
  partsAge: 'run since it was put on',
  order: 'one after the other',
}

/** “front 14 → 15 teeth”. */
export const differenceText = ({ loopKey, part, first, second }: SetupDifference) =>
  part === 'roadWheel'
    ? `road wheel of ${loopKey}`
    : `${PART_WORDS[part]} of ${loopKey}: ${first ?? '–'} → ${second ?? '–'}`
const PART_WORDS: Record<Exclude<SetupDifference['part'], 'roadWheel'>, string> = {
  front: 'front',
  rear: 'rear',
  length: 'length',
}

/** What a line says, in a few words. */
export function lineText(line: LogLine, units: Units): string {
  const paid = 'cost' in line && line.cost != null ? `, ${fixed(line.cost, 2)} paid` : ''
  switch (line.kind) {
    case 'fuelFilled':
      return `${fixed(line.litres, 2)} L${fullText(line)}${paid}`
    case 'charged':
      return `${fixed(line.energyWh, 0)} Wh${fullText(line)}${paid}`
    case 'meanTold':
      return `${fixed(line.value, 1)} ${TOLD_WORDS[line.of]}, hearsay${line.whose ? `: ${line.whose}` : ''}`
    case 'runTimed':
      return `${fixed(line.seconds, 2)} s, ${units.show('speed', line.fromKmh)} to ${units.show('speed', line.toKmh)}, ${START_WORDS[line.start]}${line.gear == null ? '' : `, gear ${line.gear}`}, by ${TIMING_WORDS[line.timing]}`
    case 'noiseRead':
      return `${fixed(line.db, 1)} dB at ${fixed(line.distanceM, 1)} m, ${line.method}`
    case 'partPaid':
      return `${line.what}${paid}`
    case 'upkeepDone':
      return `${line.what}, ${fixed(line.minutes, 0)} min${paid}`
    case 'scoreGiven':
      return `${line.score} of 5`
    default:
      return 'read'
  }
}

const fullText = ({ isFull, isOneMissing }: { isFull: boolean; isOneMissing?: boolean | null }) =>
  `${isFull ? ', full' : ', not full'}${isOneMissing ? ', one before it is missing' : ''}`

/** Under what it was, and words. */
export function underText({ line, file }: LogEntry, units: Units): string {
  const u = line.under
  return [
    u?.who,
    u?.loadKg != null && units.show('mass', u.loadKg),
    u?.route,
    u?.weather,
    u?.windKmh != null && `wind ${units.show('speed', u.windKmh)}`,
    u?.slopePercent != null && `${fixed(u.slopePercent, 1)} % up`,
    u?.surface,
    u?.isOnStand && 'on a stand',
    line.words,
    file && `from ${file}`,
  ]
    .filter(Boolean)
    .join(' · ')
}
