import { useQuery } from '@tanstack/react-query'
import { answered, client } from './client'
import { retryLost, useComputed } from './queries'
import type { components } from './schema'

type Schemas = components['schemas']
export type ChoiceDesk = Schemas['ChoiceDesk']
export type ChoiceColumn = Schemas['ChoiceColumn']
export type LoopWeighing = NonNullable<Schemas['LoopWeighing']>
export type OptionFigures = Schemas['OptionFigures']
export type RecordedFigures = Schemas['RecordedFigures']
export type OwnReason = Schemas['OwnReason']
export type TurnOver = Schemas['TurnOver']
export type KindAtPlace = NonNullable<Schemas['KindAtPlace']>
export type DriveWish = ChoiceColumn['facts'][number]['wish']
export type DriveMust = LoopWeighing['musts'][number]
export type SaidBy = NonNullable<Schemas['ReasonTold']['saidBy']>

/** What is weighed at a loop of a machine. */
export interface Weighed {
  machineId: number
  /** A change of the machine asks anew. */
  version: number
  loopKey: string
  matter: string | null
  /** As it is being typed; null for what is stored. */
  weighing: LoopWeighing | null
}

const weigh = ({ machineId, loopKey, matter, weighing }: Weighed, s: { signal: AbortSignal }) =>
  answered(
    client.POST('/api/machines/{id}/choice/{loopKey}', {
      params: { path: { id: machineId, loopKey } },
      body: { matter, weighing },
      ...s,
    }),
  )

/** What the record says of what is on the loop; read again with whatever is written down. */
export const useRecordedFigures = (machineId: number, loopKey: string) =>
  useQuery({
    queryKey: ['recorded', machineId, loopKey],
    queryFn: ({ signal }) =>
      answered(
        client.GET('/api/machines/{id}/choice/{loopKey}/record', {
          params: { path: { id: machineId, loopKey } },
          signal,
        }),
      ),
    retry: retryLost,
  })

/** Keeps a kind of drive as a trial. */
export const tryKind = ({ machineId, loopKey, kind }: { machineId: number; loopKey: string; kind: string }) =>
  answered(
    client.POST('/api/machines/{id}/choice/{loopKey}/trial', {
      params: { path: { id: machineId, loopKey } },
      body: { kind },
    }),
  )

/** Kinds or parts side by side, what they come to, and what would turn it. */
export const useChoice = (weighed: Weighed | undefined) => useComputed('choice', weighed, weigh)
