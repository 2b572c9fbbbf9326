import type { DayOrder, DecimalMark, LogField, LogFileKind, LogUnit } from '../api/log'

export const FILE_WORDS: Record<LogFileKind, string> = {
  fuel: 'fills of fuel',
  charge: 'charges',
  odometer: 'readings of the odometer',
  runs: 'timed runs',
  noise: 'levels of sound',
  upkeep: 'upkeep',
}

export const FIELD_WORDS: Record<LogField, string> = {
  on: 'day',
  odometer: 'odometer',
  amount: 'how much',
  isFull: 'full or not',
  isOneMissing: 'one before is missing',
  cost: 'paid',
  minutes: 'working time',
  level: 'level in dB',
  distance: 'distance it was read at',
  method: 'read how',
  seconds: 'time in s',
  fromSpeed: 'first speed',
  toSpeed: 'second speed',
  gear: 'gear',
  what: 'what was done',
  who: 'who rode',
  load: 'rider and load',
  route: 'route',
  weather: 'weather',
  words: 'words',
}

export const UNIT_WORDS: Record<LogUnit, string> = {
  km: 'km',
  miles: 'miles',
  litres: 'L',
  imperialGallons: 'imperial gallons',
  usGallons: 'US gallons',
  wh: 'Wh',
  kWh: 'kWh',
  kg: 'kg',
  pounds: 'lb',
  kmh: 'km/h',
  mph: 'mph',
  metres: 'm',
  feet: 'ft',
  minutes: 'min',
  hours: 'h',
}

export const DAY_WORDS: Record<DayOrder, string> = {
  yearMonthDay: 'year, month, day',
  dayMonthYear: 'day, month, year',
  monthDayYear: 'month, day, year',
}

export const DECIMAL_WORDS: Record<DecimalMark, string> = { point: 'a point', comma: 'a comma' }
