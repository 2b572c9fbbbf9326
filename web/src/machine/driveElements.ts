import type { DriveElement, LoopStrength } from '../api/client'
import elements from '../api/driveElements.json'

interface Element {
  isToothed: boolean
  lengthUnit: string
  /** Of what a loop has for some kinds only: those that apply. */
  loopFields: string[]
  /** Of what its strength has for some kinds only: those that count. */
  strengthFields: string[]
  /** What can be found out with the part in hand. */
  benchTools: string[]
}

/** What the core says is true of every chain or belt of one kind; written by tools/refresh-api. */
const ELEMENTS: Record<DriveElement, Element> = elements

export const isToothed = (driveElement: DriveElement) => ELEMENTS[driveElement].isToothed
export const sizeUnit = (driveElement: DriveElement) => (isToothed(driveElement) ? 'teeth' : 'mm')
export const hasLoopField = (driveElement: DriveElement, field: 'slipFraction' | 'arrangement') =>
  ELEMENTS[driveElement].loopFields.includes(field)
export const hasStrengthField = (driveElement: DriveElement, field: keyof LoopStrength) =>
  ELEMENTS[driveElement].strengthFields.includes(field)
export const benchToolsOf = (driveElement: DriveElement) => ELEMENTS[driveElement].benchTools
