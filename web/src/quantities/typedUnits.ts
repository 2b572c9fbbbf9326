import type { Quantity } from './units'

// Stored value per unit. Source: international yard and pound (1959), exact; standard gravity 9.80665 m/s², exact; hp of 550 ft·lbf/s.
const MM_PER_INCH = 25.4
const N_PER_KGF = 9.80665
const N_PER_LBF = 4.4482216152605
const KG_PER_LB = 0.45359237
const KM_PER_MILE = 1.609344
const KW_PER_HP = 0.745699872
const KW_PER_PS = 0.73549875

const millimetres = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: MM_PER_INCH,
  inch: MM_PER_INCH,
  '"': MM_PER_INCH,
  '″': MM_PER_INCH,
  '”': MM_PER_INCH,
  ft: 12 * MM_PER_INCH,
}

/** Units that may be written behind a number, by what the field measures: what one of them is in the stored unit. */
export const UNIT_FACTORS: Record<Quantity, Record<string, number>> = {
  speed: { 'km/h': 1, kmh: 1, mph: KM_PER_MILE, 'm/s': 3.6 },
  length: millimetres,
  fine: millimetres,
  longLength: { m: 1, mm: 0.001, cm: 0.01, yd: 0.9144, ft: 0.3048, in: 0.0254 },
  distance: { km: 1, mi: KM_PER_MILE, miles: KM_PER_MILE, m: 0.001 },
  force: { n: 1, kn: 1000, lbf: N_PER_LBF, lb: N_PER_LBF, kgf: N_PER_KGF },
  torque: {
    nm: 1,
    lbfft: (N_PER_LBF * 12 * MM_PER_INCH) / 1000,
    lbft: (N_PER_LBF * 12 * MM_PER_INCH) / 1000,
    'ft-lb': (N_PER_LBF * 12 * MM_PER_INCH) / 1000,
    lbfin: (N_PER_LBF * MM_PER_INCH) / 1000,
    'in-lb': (N_PER_LBF * MM_PER_INCH) / 1000,
    kgfm: N_PER_KGF,
  },
  mass: { kg: 1, g: 0.001, t: 1000, lb: KG_PER_LB, lbs: KG_PER_LB },
  loopSpeed: { 'm/s': 1, 'ft/min': 0.00508, fpm: 0.00508, 'm/min': 1 / 60 },
  power: { kw: 1, w: 0.001, hp: KW_PER_HP, ps: KW_PER_PS },
  pressure: { 'n/mm²': 1, 'n/mm2': 1, mpa: 1, bar: 0.1, psi: N_PER_LBF / MM_PER_INCH ** 2 },
}
