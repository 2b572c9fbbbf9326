import type { LogKind, LogLine, RunConditions, RunStart, RunTiming, ToldMean } from '../api/log'

/** What is typed before it is a line. */
export interface Draft {
  on: string
  odometerKm: number | undefined
  litres: number | undefined
  energyWh: number | undefined
  isFull: boolean
  isOneMissing: boolean
  cost: number | undefined
  value: number | undefined
  of: ToldMean
  whose: string
  seconds: number | undefined
  fromKmh: number | undefined
  toKmh: number | undefined
  start: RunStart
  timing: RunTiming
  gear: number | undefined
  db: number | undefined
  distanceM: number | undefined
  method: string
  what: string
  minutes: number | undefined
  expectedKm: number | undefined
  score: number | undefined
  setupId: number | null
  under: RunConditions
  words: string
}

export const NO_CONDITIONS: RunConditions = {
  who: null,
  loadKg: null,
  route: null,
  weather: null,
  windKmh: null,
  slopePercent: null,
  surface: null,
  isOnStand: null,
}

export const NEW: Draft = {
  on: '',
  odometerKm: undefined,
  litres: undefined,
  energyWh: undefined,
  isFull: true,
  isOneMissing: false,
  cost: undefined,
  value: undefined,
  of: 'litresPer100Km',
  whose: '',
  seconds: undefined,
  fromKmh: undefined,
  toKmh: undefined,
  start: 'rolling',
  timing: 'watch',
  gear: undefined,
  db: undefined,
  distanceM: undefined,
  method: '',
  what: '',
  minutes: undefined,
  expectedKm: undefined,
  score: undefined,
  setupId: null,
  under: NO_CONDITIONS,
  words: '',
}

/** Fields that each kind has beside day, odometer, conditions and words. */
export const FIELDS: Record<LogKind, (keyof Draft)[]> = {
  fuelFilled: ['litres', 'isFull', 'isOneMissing', 'cost'],
  charged: ['energyWh', 'isFull', 'isOneMissing', 'cost'],
  odometerRead: [],
  runTimed: ['seconds', 'fromKmh', 'toKmh', 'gear', 'start'],
  noiseRead: ['db', 'distanceM', 'method'],
  upkeepDone: ['what', 'minutes', 'cost'],
  partPaid: ['what', 'cost', 'expectedKm'],
  scoreGiven: ['score'],
  meanTold: ['value', 'of', 'whose'],
}

/** The line as it is sent: what is empty was not said; what can’t be empty is refused by the core as 0 or nothing. */
export function lineOf(kind: LogKind, d: Draft): LogLine {
  const conditions = Object.values(d.under).some((v) => v !== null) ? d.under : null
  const common = {
    on: d.on,
    odometerKm: d.odometerKm ?? null,
    setupId: d.setupId,
    under: conditions,
    words: d.words.trim() || null,
  }
  const fill = { isFull: d.isFull, isOneMissing: d.isOneMissing || null, cost: d.cost ?? null }
  switch (kind) {
    case 'fuelFilled':
      return { kind, ...common, ...fill, litres: d.litres ?? 0 }
    case 'charged':
      return { kind, ...common, ...fill, energyWh: d.energyWh ?? 0 }
    case 'meanTold':
      return { kind, ...common, of: d.of, value: d.value ?? 0, whose: d.whose.trim() || null }
    case 'runTimed':
      return {
        kind,
        ...common,
        seconds: d.seconds ?? 0,
        fromKmh: d.fromKmh ?? 0,
        toKmh: d.toKmh ?? 0,
        start: d.start,
        timing: d.timing,
        gear: d.gear ?? null,
      }
    case 'noiseRead':
      return { kind, ...common, db: d.db ?? -1, distanceM: d.distanceM ?? 0, method: d.method }
    case 'partPaid':
      return {
        kind,
        ...common,
        what: d.what,
        cost: d.cost ?? -1,
        expectedKm: d.expectedKm ?? null,
      }
    case 'upkeepDone':
      return { kind, ...common, what: d.what, minutes: d.minutes ?? 0, cost: d.cost ?? null }
    case 'scoreGiven':
      return { kind, ...common, score: d.score ?? 0 }
    default:
      return { kind: 'odometerRead', ...common }
  }
}
