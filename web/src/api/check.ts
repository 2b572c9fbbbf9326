import { useQuery } from '@tanstack/react-query'
import { answered, client } from './client'
import { retryLost } from './queries'
import type { components } from './schema'

type Schemas = components['schemas']
export type DueAnswer = Schemas['DueAnswer']
export type DueItem = Schemas['DueItem']
export type FindingDetail = NonNullable<Schemas['FindingDetail']>
export type FindingGrade = Schemas['FindingGrade']
export type GradeCriteria = NonNullable<Schemas['GradeCriteria']>
export type InspectedPart = Schemas['InspectedPart']
export type InspectedPlace = Schemas['InspectedPlace']
export type InspectionKind = Schemas['InspectionKind']
export type LookAnswer = Schemas['LookAnswer']
export type MakerGrades = Schemas['MakerGrades']
export type ChainLimitBy = NonNullable<Schemas['ChainLimitBy']>
export type MeasuredOver = Schemas['MeasuredOver']
export type OpenInterval = NonNullable<Schemas['OpenInterval']>
export type WearAnswer = Schemas['WearAnswer']
export type PartWear = Schemas['PartWear']
export type Replacing = Schemas['Replacing']
export type LoopRun = NonNullable<Schemas['LoopRun']>
export type LookVerdict = Schemas['LookVerdict']
export type PartSeen = Schemas['PartSeen']
export type PartToLookAt = Schemas['PartToLookAt']
export type UseEvent = NonNullable<Schemas['UseEvent']>
export type UseEventNoted = Schemas['UseEventNoted']

/** Writes down what happened to a machine. */
export const noteUseEvent = ({ machineId, ...body }: Schemas['NewUseEvent'] & { machineId: number }) =>
  answered(client.POST('/api/machines/{id}/use-events', { params: { path: { id: machineId } }, body }))

export const DUE_CALENDAR = '/api/due.ics'

/** What is due on all machines. */
export const useDueList = () =>
  useQuery({
    queryKey: ['due'],
    queryFn: () => answered(client.GET('/api/due')),
    retry: retryLost,
  })
