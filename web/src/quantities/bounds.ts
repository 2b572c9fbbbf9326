import { plain } from './format'
import type { Quantity, Units } from './units'

interface Bounds {
  low?: number | null
  high?: number | null
  /** As it is stored. */
  unit: string
  isLowOpen?: boolean
}

/** What is measured in a stored unit, where the other system has a unit of its own for it. */
const QUANTITIES: Record<string, Quantity> = {
  mm: 'fine',
  'km/h': 'speed',
  km: 'distance',
  N: 'force',
  Nm: 'torque',
  kg: 'mass',
  'm/s': 'loopSpeed',
  kW: 'power',
  'N/mm²': 'pressure',
}

const FIGURES = 4

/** “Give 0.04 to 39.37 in.”; undefined where the unit is the same in both systems, and the core has said it already. */
export function boundsText({ low, high, unit, isLowOpen }: Bounds, units: Units): string | undefined {
  const quantity = QUANTITIES[unit]
  if (units.system === 'metric' || !quantity) return undefined
  const shown = units.unitOf(quantity)
  const at = (bound: number, round: (value: number) => number) =>
    plain(rounded(units.toShown(quantity, bound), round))
  // Inwards: what is written here is accepted.
  const least = low == null ? undefined : at(low, Math.ceil)
  const most = high == null ? undefined : at(high, Math.floor)
  if (least !== undefined && most !== undefined) return `Give ${least} to ${most} ${shown}.`
  if (least !== undefined)
    return isLowOpen ? `Give more than ${least} ${shown}.` : `Give ${least} ${shown} or more.`
  return `Give ${most} ${shown} or less.`
}

function rounded(value: number, round: (value: number) => number): number {
  if (value === 0) return 0
  const unit = 10 ** (Math.floor(Math.log10(Math.abs(value))) - FIGURES + 1)
  // A bound that is a round figure here stays it.
  const steps = Number((value / unit).toPrecision(12))
  return Number((round(steps) * unit).toPrecision(FIGURES))
}
