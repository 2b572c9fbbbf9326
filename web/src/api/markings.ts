import { answered, client } from './client'
import type { components } from './schema'

type Schemas = components['schemas']
export type MarkedThing = NonNullable<Schemas['MarkedThing']>
export type MarkingFound = Schemas['MarkingFound']
export type MarkingInYard = NonNullable<Schemas['MarkingInYard']>
export type MarkingText = Schemas['MarkingText']
export type MeasuredMarking = Schemas['MeasuredMarking']

/** What a marking is, and what it goes with in this yard. */
export const readMarking = (body: MarkingText, s: { signal?: AbortSignal } = {}) =>
  answered(client.POST('/api/markings/read', { body, ...s }))

/** What something without one can be, by measure. */
export const findMeasured = (body: MeasuredMarking, s: { signal?: AbortSignal } = {}) =>
  answered(client.POST('/api/markings/measured', { body, ...s }))
