import {
  type QueryClient,
  skipToken,
  useInfiniteQuery,
  useMutation,
  useMutationState,
  useQuery,
  useQueryClient,
} from '@tanstack/react-query'
import { useState } from 'react'
import * as api from './client'
import { findPlan } from './plan'
import * as stock from './stock'

// A refused input stays refused: only a lost connection is worth another try.
export const retryLost = (count: number, error: unknown) => error instanceof TypeError && count < 2

export const useMachines = () =>
  useQuery({ queryKey: ['machines'], queryFn: api.listMachines, retry: retryLost })
/** A machine as it is with the kinds of a setup on it, where such a one is in view. */
export const useMachineWith = (id: number, kindsOf: number | undefined) =>
  useQuery({
    queryKey: ['machine', id, kindsOf],
    queryFn: kindsOf === undefined ? skipToken : () => api.findMachine(id, kindsOf),
    retry: retryLost,
  })
export const useMachine = (id: number) =>
  useQuery({ queryKey: ['machine', id], queryFn: () => api.findMachine(id), retry: retryLost })
export const useSetups = (id: number) =>
  useQuery({ queryKey: ['setups', id], queryFn: () => api.listSetups(id), retry: retryLost })
export const useAims = (id: number) =>
  useQuery({ queryKey: ['aims', id], queryFn: () => api.listAims(id), retry: retryLost })
export const useSetJobs = (id: number) =>
  useQuery({ queryKey: ['set-jobs', id], queryFn: () => api.listSetJobs(id), retry: retryLost })
export const useOpenJobs = () =>
  useQuery({ queryKey: ['open-jobs'], queryFn: api.listOpenJobs, retry: retryLost })
export const usePeople = () => useQuery({ queryKey: ['people'], queryFn: api.listPeople, retry: retryLost })
export const useJobs = (id: number | undefined) =>
  useQuery({
    queryKey: ['jobs', id],
    queryFn: id === undefined ? skipToken : () => api.listJobs(id),
    retry: retryLost,
  })
export const usePlan = (jobId: number | undefined) =>
  useQuery({
    queryKey: ['plan', jobId],
    queryFn: jobId === undefined ? skipToken : () => findPlan(jobId),
    retry: retryLost,
  })
export const useStock = () => useQuery({ queryKey: ['stock'], queryFn: stock.listStock, retry: retryLost })
export const useSpacers = () =>
  useQuery({ queryKey: ['spacers'], queryFn: stock.listSpacers, retry: retryLost })
export const useParts = () => useQuery({ queryKey: ['parts'], queryFn: stock.listParts, retry: retryLost })
export const useTools = () => useQuery({ queryKey: ['tools'], queryFn: stock.listTools, retry: retryLost })
export const useGearboxSets = () =>
  useQuery({ queryKey: ['gearbox-sets'], queryFn: stock.listGearboxSets, retry: retryLost })
export const useDesignations = () =>
  useQuery({
    queryKey: ['designations'],
    queryFn: stock.listDesignations,
    staleTime: Number.POSITIVE_INFINITY,
  })
/** Newest first, a page at a time. */
export const useChanges = (machineId?: number) =>
  useInfiniteQuery({
    queryKey: ['changes', machineId],
    queryFn: ({ pageParam }) => api.listChanges(machineId, pageParam),
    initialPageParam: undefined as number | undefined,
    getNextPageParam: (page) => (page.length < HISTORY_PAGE ? undefined : page.at(-1)?.id),
    retry: retryLost,
  })
const HISTORY_PAGE = 50
export const useBackups = () =>
  useQuery({ queryKey: ['backups'], queryFn: api.listBackups, retry: retryLost })
export const useHealth = () =>
  useQuery({
    queryKey: ['health'],
    queryFn: api.readHealth,
    refetchInterval: ({ state }) => (state.data?.message ? 5_000 : 60_000),
    retry: false,
  })

/** What keeps a change from being stored just now, while it is tried again: the disk, or a server that does not answer. */
export const useStorageTrouble = (): Error | undefined =>
  useMutationState({ filters: { status: 'pending' }, select: (m) => m.state.failureReason }).find(
    (reason) => reason instanceof api.StorageError || reason instanceof TypeError,
  )

export interface Computed<R, I = unknown> {
  data: R | undefined
  /** The input that `data` answers; undefined while there is none. */
  of: I | undefined
  error: unknown
  /** The answer in view belongs to an earlier input, since the present one was refused, got lost, or is not whole. */
  isStale: boolean
}

/**
 * A computing call. While an input is refused the last good answer stays in view and `isStale` says so.
 * An `undefined` input is one not ready to be asked.
 */
export function useComputed<I, R>(
  name: string,
  input: I | undefined,
  ask: (input: I, s: { signal: AbortSignal }) => Promise<R>,
): Computed<R, I> {
  const query = useQuery({
    queryKey: ['computed', name, input],
    queryFn:
      input === undefined
        ? skipToken
        : async ({ signal }) => ({ data: await ask(input, { signal }), of: input }),
    retry: retryLost,
    staleTime: 60_000,
  })
  const last = useLastGood(query.data)
  return {
    data: last?.data,
    of: last?.of,
    error: query.error,
    isStale: last !== undefined && (query.error !== null || input === undefined),
  }
}

/** The newest answer there was: a refused input has none of its own. */
export function useLastGood<R>(data: R | undefined): R | undefined {
  const [last, setLast] = useState(data)
  if (data !== undefined && data !== last) setLast(data)
  return data ?? last
}

/** Where something can't be stored for now, nothing was: it is tried again until it can. */
export const AGAIN = {
  retry: (_: number, error: Error) => error instanceof api.StorageError && error.mayPass,
  retryDelay: 3_000,
}

/** The same for what counts once however often it is sent: an answer that got lost may be asked for again. */
export const AGAIN_WHEN_BACK = {
  ...AGAIN,
  retry: (count: number, error: Error) => error instanceof TypeError || AGAIN.retry(count, error),
}

/** Reads again what is shown; what is on its way was read before the change, and its answer would pass for a new one. */
export async function readAgain(
  cache: QueryClient,
  concerns: (kind: unknown) => boolean,
  refetchType: 'active' | 'none' = 'active',
) {
  const predicate = ({ queryKey }: { queryKey: readonly unknown[] }) => concerns(queryKey[0])
  if (refetchType === 'active') await cache.cancelQueries({ predicate })
  return cache.invalidateQueries({ predicate, refetchType })
}

/** A change of something stored; everything that may show it is read again. */
export function useChange<V, R>(
  change: (value: V) => Promise<R>,
  /** `scope`: what is sent one after the other. */
  again: typeof AGAIN & { scope?: { id: string } } = AGAIN,
) {
  const cache = useQueryClient()
  return useMutation({
    mutationFn: change,
    ...again,
    onSettled: () => readAgain(cache, (kind) => kind !== 'computed'),
  })
}
