import type { DriveElement, LoopStrength } from '../api/client'
import elements from '../api/driveElements.json'

interface Element {
  isToothed: boolean
  lengthUnit: string
  /** Of what a loop has for some kinds only: those that apply. */
  loopFields: string[]
  /** Of what its strength has for some kinds only: those that count. */
  strengthFields: string[]
}

/** What the core says is true of every chain or belt of one kind; written by tools/refresh-api. */
const ELEMENTS: Record<DriveElement, Element> = elements

export const isToothed = (medium: DriveElement) => ELEMENTS[medium].isToothed
export const sizeUnit = (medium: DriveElement) => (isToothed(medium) ? 'teeth' : 'mm')
export const hasLoopField = (medium: DriveElement, field: 'slipFraction' | 'course') =>
  ELEMENTS[medium].loopFields.includes(field)
export const hasStrengthField = (medium: DriveElement, field: keyof LoopStrength) =>
  ELEMENTS[medium].strengthFields.includes(field)
