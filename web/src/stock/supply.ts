import type { SupplyNote } from '../api/client'
import { dayText, today } from '../quantities/days'

/** “Harbour Drives, 3 days”; a dash where nothing is known. */
export const supplyText = (supply: SupplyNote | null | undefined) =>
  [
    supply?.supplier,
    supply?.deliveryDays != null && (supply.deliveryDays === 1 ? '1 day' : `${supply.deliveryDays} days`),
    supply?.knownOn && `since ${dayText(supply.knownOn)}`,
  ]
    .filter(Boolean)
    .join(', ') || '–'

/** Whether it can be had, known since today. */
export const obtainability = (supply: SupplyNote | null | undefined, obtainable: boolean) => ({
  obtainable,
  supply: {
    supplier: supply?.supplier ?? null,
    deliveryDays: supply?.deliveryDays ?? null,
    knownOn: today(),
  },
})
