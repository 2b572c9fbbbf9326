import { answered, client } from './client'
import type { ProcedureFamily } from './plan'
import type { components } from './schema'

type Schemas = components['schemas']
export type SharedFile = Schemas['SharedFile']
export type SharedTake = Schemas['SharedTake']
export type SharedDifferences = Schemas['SharedDifferences']
export type SharedState = Schemas['SharedState']
export type SharedAim = Schemas['SharedAim']
export type StepWording = Schemas['StepWording']
export type AddedStep = Schemas['AddedStep']

export const shareProcedure = (id: number, family: ProcedureFamily, author: string) =>
  answered(
    client.GET('/api/machines/{id}/procedures/{family}/file', {
      params: { path: { id, family }, query: { author } },
    }),
  )
export const shareGearboxSet = (id: number, author: string) =>
  answered(client.GET('/api/gearbox-sets/{id}/file', { params: { path: { id }, query: { author } } }))
export const shareAims = (id: number, drive: string, venue: string, author: string) =>
  answered(
    client.GET('/api/machines/{id}/aims/file', {
      params: { path: { id }, query: { drive, venue, author } },
    }),
  )
export const compareShared = (body: SharedTake) =>
  answered(client.POST('/api/shared-files/compare', { body }))
export const takeShared = (body: SharedTake) => answered(client.POST('/api/shared-files/take', { body }))
