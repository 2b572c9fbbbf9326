import { skipToken, useQuery } from '@tanstack/react-query'
import { answered, client, keptUntilStored } from './client'
import { retryLost } from './queries'
import type { components } from './schema'

type Schemas = components['schemas']
export type FaultDesk = Schemas['FaultDesk']
export type FaultMeasured = NonNullable<Schemas['FaultMeasured']>
export type FaultMeasure = NonNullable<Schemas['FaultMeasure']>
export type FaultCure = Schemas['FaultCure']
export type CircumstanceChoice = Schemas['CircumstanceChoice']
export type NextTest = NonNullable<Schemas['NextTest']>
export type OddsWord = Schemas['OddsWord']
export type TellsMuch = Schemas['TellsMuch']
export type FaultEvent = Schemas['NewFaultEvent']['event']

/** A loop of a machine that is searched for a fault. */
export interface AtLoop {
  machineId: number
  loopKey: string
}

/** Searches that go on, at whatever machine. */
export const useFaults = () =>
  useQuery({ queryKey: ['faults'], queryFn: () => answered(client.GET('/api/faults')), retry: retryLost })

/** Where a search stands; `test` is one that somebody wants to do next. */
export const useFaultDesk = ({ machineId, loopKey }: AtLoop, test: string | undefined) =>
  useQuery({
    queryKey: ['fault', machineId, loopKey, test],
    queryFn:
      loopKey === ''
        ? skipToken
        : () =>
            answered(
              client.GET('/api/machines/{id}/faults/{loopKey}', {
                params: { path: { id: machineId, loopKey }, query: test ? { test } : {} },
              }),
            ),
    retry: retryLost,
    placeholderData: (before) => (before?.loopKey === loopKey ? before : undefined),
  })

/** Writes down what was said or tried. */
export const searchFault = ({ machineId, loopKey, ...body }: Schemas['NewFaultEvent'] & AtLoop) =>
  keptUntilStored(body.key, `/api/machines/${machineId}/faults/${loopKey}`, body, () =>
    answered(
      client.POST('/api/machines/{id}/faults/{loopKey}', {
        params: { path: { id: machineId, loopKey } },
        body,
      }),
    ),
  )
