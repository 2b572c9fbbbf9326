// What one of a unit is in the unit it is stored in. Source: international yard and pound (1959), exact; standard gravity
// 9.80665 m/s², exact; hp of 550 ft·lbf/s, PS of 75 kgf·m/s.
export const MM_PER_INCH = 25.4
export const KM_PER_MILE = 1.609344
export const M_PER_YARD = 0.9144
export const KG_PER_LB = 0.45359237
export const N_PER_KGF = 9.80665
export const N_PER_LBF = KG_PER_LB * N_PER_KGF
export const NM_PER_LBF_FT = (N_PER_LBF * 12 * MM_PER_INCH) / 1000
export const MS_PER_FT_MIN = (12 * MM_PER_INCH) / 1000 / 60
export const KW_PER_HP = (550 * NM_PER_LBF_FT) / 1000
export const KW_PER_PS = (75 * N_PER_KGF) / 1000
export const MPA_PER_PSI = N_PER_LBF / MM_PER_INCH ** 2
