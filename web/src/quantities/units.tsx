import { createContext, type ReactNode, useContext, useMemo, useState } from 'react'
import {
  KG_PER_LB,
  KM_PER_MILE,
  KW_PER_HP,
  M_PER_YARD,
  MM_PER_INCH,
  MPA_PER_PSI,
  MS_PER_FT_MIN,
  N_PER_LBF,
  NM_PER_LBF_FT,
} from './factors'
import { figure, fixed } from './format'

export type UnitSystem = 'metric' | 'inch'

/** What a number measures; it decides how it is shown and typed in either system. */
export type Quantity =
  | 'speed'
  | 'length'
  | 'fine'
  | 'longLength'
  | 'distance'
  | 'force'
  | 'torque'
  | 'mass'
  | 'loopSpeed'
  | 'power'
  | 'pressure'

interface UnitRule {
  unit: string
  /** Shown value per stored value. */
  factor: number
  decimals: number
}

const RULES: Record<UnitSystem, Record<Quantity, UnitRule>> = {
  metric: {
    speed: { unit: 'km/h', factor: 1, decimals: 1 },
    length: { unit: 'mm', factor: 1, decimals: 0 },
    fine: { unit: 'mm', factor: 1, decimals: 1 },
    longLength: { unit: 'm', factor: 1, decimals: 2 },
    distance: { unit: 'km', factor: 1, decimals: 0 },
    force: { unit: 'N', factor: 1, decimals: 0 },
    torque: { unit: 'Nm', factor: 1, decimals: 1 },
    mass: { unit: 'kg', factor: 1, decimals: 0 },
    loopSpeed: { unit: 'm/s', factor: 1, decimals: 1 },
    power: { unit: 'kW', factor: 1, decimals: 1 },
    pressure: { unit: 'N/mm²', factor: 1, decimals: 1 },
  },
  inch: {
    speed: { unit: 'mph', factor: 1 / KM_PER_MILE, decimals: 1 },
    length: { unit: 'in', factor: 1 / MM_PER_INCH, decimals: 2 },
    fine: { unit: 'in', factor: 1 / MM_PER_INCH, decimals: 3 },
    longLength: { unit: 'yd', factor: 1 / M_PER_YARD, decimals: 2 },
    distance: { unit: 'mi', factor: 1 / KM_PER_MILE, decimals: 0 },
    force: { unit: 'lbf', factor: 1 / N_PER_LBF, decimals: 0 },
    torque: { unit: 'lbf·ft', factor: 1 / NM_PER_LBF_FT, decimals: 1 },
    mass: { unit: 'lb', factor: 1 / KG_PER_LB, decimals: 0 },
    loopSpeed: { unit: 'ft/min', factor: 1 / MS_PER_FT_MIN, decimals: 0 },
    power: { unit: 'hp', factor: 1 / KW_PER_HP, decimals: 1 },
    pressure: { unit: 'psi', factor: 1 / MPA_PER_PSI, decimals: 0 },
  },
}

export interface Units {
  system: UnitSystem
  setSystem: (system: UnitSystem) => void
  unitOf: (quantity: Quantity) => string
  /** Number for a field, in the shown unit. */
  toShown: (quantity: Quantity, stored: number) => number
  toStored: (quantity: Quantity, shown: number) => number
  /** What an arrow key moves a place by, stored: a tenth of a millimetre, or five thousandths of an inch. */
  keyStepMm: number
  /** Number and unit for reading. */
  show: (quantity: Quantity, stored: number, decimals?: number) => string
}

export function unitsOf(system: UnitSystem, setSystem: (system: UnitSystem) => void): Units {
  const rule = (quantity: Quantity) => RULES[system][quantity]
  return {
    system,
    setSystem,
    unitOf: (q) => rule(q).unit,
    toShown: (q, stored) => (rule(q).factor === 1 ? stored : asTyped(stored, rule(q).factor)),
    toStored: (q, shown) => (rule(q).factor === 1 ? shown : storedOf(shown, rule(q).factor)),
    keyStepMm: system === 'inch' ? 0.005 * MM_PER_INCH : 0.1,
    show: (q, stored, decimals) => {
      const shown = stored * rule(q).factor
      const text =
        decimals === undefined && Math.abs(shown) < 10
          ? figure(shown, 3)
          : fixed(shown, decimals ?? rule(q).decimals)
      return `${text}\u00a0${rule(q).unit}`
    },
  }
}

const storedOf = (shown: number, factor: number) => Number((shown / factor).toPrecision(12))

/** The shortest number that was typed for this value; of one that was typed in the other system six figures. */
function asTyped(stored: number, factor: number): number {
  for (let figures = 1; figures <= 10; figures++) {
    const shown = Number((stored * factor).toPrecision(figures))
    if (storedOf(shown, factor) === stored) return shown
  }
  return Number((stored * factor).toPrecision(6))
}

const KEY = 'wendrak.units'
const UnitsContext = createContext<Units | null>(null)

export function UnitsProvider({ children }: { children: ReactNode }) {
  const [system, setSystem] = useState<UnitSystem>(() =>
    localStorage.getItem(KEY) === 'inch' ? 'inch' : 'metric',
  )
  const units = useMemo(
    () =>
      unitsOf(system, (next) => {
        localStorage.setItem(KEY, next)
        setSystem(next)
      }),
    [system],
  )
  return <UnitsContext.Provider value={units}>{children}</UnitsContext.Provider>
}

export function useUnits(): Units {
  const units = useContext(UnitsContext)
  if (!units) throw new Error('UnitsProvider is missing')
  return units
}
