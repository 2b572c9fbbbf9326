import type { AimTarget } from '../api/client'
import { fixed, gearName, plain, rpm } from '../quantities/format'
import type { Units } from '../quantities/units'

export type TargetKind = AimTarget['kind']

export const TARGET_WORDS: Record<TargetKind, string> = {
  cruiseSpeed: 'cruise at a speed',
  topSpeed: 'top speed at the limit',
  speedAtCadence: 'speed while pedalling',
  outputSpeed: 'speed of the output',
  overallRatio: 'overall ratio',
  finalRatio: 'final ratio',
  gainRatio: 'gain ratio',
  matchSetup: 'match a setup',
}

/** “in 6th”, or nothing where there are no gears to speak of. */
export const inGear = (index: number, gears: string[]) =>
  gears.length > 1 ? ` in ${gearName(gears[index] ?? '?')}` : ''

/** A target in a few words: the headline of the Aim station. */
export function targetText(target: AimTarget, units: Units, gears: string[]): string {
  switch (target.kind) {
    case 'cruiseSpeed':
    case 'speedAtCadence':
      return (
        units.show('speed', target.speedKmh, speedDecimals(target.speedKmh)) + inGear(target.gearIndex, gears)
      )
    case 'topSpeed':
      return `${units.show('speed', target.speedKmh, speedDecimals(target.speedKmh))} at the limit${inGear(target.gearIndex, gears)}`
    case 'outputSpeed':
      return `${rpm(target.outputSpeedRpm)} rpm at the output${inGear(target.gearIndex, gears)}`
    case 'overallRatio':
      return `overall ${plain(target.low)} to ${plain(target.high)}`
    case 'finalRatio':
      return `ratio ${fixed(target.low, 2)} to ${fixed(target.high, 2)}`
    case 'gainRatio':
      return `gain ratio ${fixed(target.low, 2)} to ${fixed(target.high, 2)}${inGear(target.gearIndex, gears)}`
    case 'matchSetup':
      return `like ${target.setupName}`
  }
}

/** The range behind a target, for the legend of the band. */
export function rangeText(target: AimTarget): string {
  switch (target.kind) {
    case 'cruiseSpeed':
    case 'outputSpeed':
      return `${rpm(target.shaftSpeedLowRpm)}–${rpm(target.shaftSpeedHighRpm)} rpm`
    case 'speedAtCadence':
      return `${plain(target.cadenceLowRpm)}–${plain(target.cadenceHighRpm)} turns a minute`
    case 'topSpeed':
    case 'matchSetup':
      return `± ${plain(target.tolerancePercent)} %`
    default:
      return ''
  }
}

const speedDecimals = (kmh: number) => (kmh < 10 ? 1 : 0)
