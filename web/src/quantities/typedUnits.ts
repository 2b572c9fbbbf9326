import {
  KG_PER_LB,
  KM_PER_MILE,
  KW_PER_HP,
  KW_PER_PS,
  M_PER_YARD,
  MM_PER_INCH,
  MPA_PER_PSI,
  MS_PER_FT_MIN,
  N_PER_KGF,
  N_PER_LBF,
  NM_PER_LBF_FT,
} from './factors'
import type { Quantity } from './units'

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
  longLength: { m: 1, mm: 0.001, cm: 0.01, yd: M_PER_YARD, ft: M_PER_YARD / 3, in: MM_PER_INCH / 1000 },
  distance: { km: 1, mi: KM_PER_MILE, miles: KM_PER_MILE, m: 0.001 },
  force: { n: 1, kn: 1000, lbf: N_PER_LBF, lb: N_PER_LBF, kgf: N_PER_KGF },
  torque: {
    nm: 1,
    lbfft: NM_PER_LBF_FT,
    lbft: NM_PER_LBF_FT,
    'ft-lb': NM_PER_LBF_FT,
    lbfin: NM_PER_LBF_FT / 12,
    'in-lb': NM_PER_LBF_FT / 12,
    kgfm: N_PER_KGF,
  },
  mass: { kg: 1, g: 0.001, t: 1000, lb: KG_PER_LB, lbs: KG_PER_LB },
  loopSpeed: { 'm/s': 1, 'ft/min': MS_PER_FT_MIN, fpm: MS_PER_FT_MIN, 'm/min': 1 / 60 },
  power: { kw: 1, w: 0.001, hp: KW_PER_HP, ps: KW_PER_PS },
  pressure: { 'n/mm²': 1, 'n/mm2': 1, mpa: 1, bar: 0.1, psi: MPA_PER_PSI },
}
