import { skipToken, useInfiniteQuery, useQuery } from '@tanstack/react-query'
import { answered, client, sendFile } from './client'
import { retryLost, useComputed, useLastGood } from './queries'
import type { components } from './schema'

type Schemas = components['schemas']
export type LogLine = Schemas['LogLine']
export type LogEntry = Schemas['LogEntry']
export type LogKind = LogLine['kind']
export type RunConditions = NonNullable<Schemas['RunConditions']>
export type RunStart = Schemas['RunStart']
export type RunTiming = Schemas['RunTiming']
export type ToldMean = Schemas['ToldMean']
export type ComparedMeasure = Schemas['ComparedMeasure']
export type ComparisonVerdict = Schemas['ComparisonVerdict']
export type FairComparison = Schemas['FairComparison']
export type FairComparisonQuestion = Schemas['FairComparisonQuestion']
export type SetupOutcome = NonNullable<FairComparison['first']>
export type OtherCondition = Schemas['OtherCondition']
export type SetupDifference = Schemas['SetupDifference']
export type LogFileLook = Schemas['LogFileLook']
export type LogColumns = Schemas['LogColumns']
export type LogColumn = Schemas['LogColumn']
export type LogField = Schemas['LogField']
export type LogUnit = NonNullable<Schemas['LogUnit']>
export type LogFileKind = Schemas['LogFileKind']
export type DayOrder = Schemas['DayOrder']
export type DecimalMark = Schemas['DecimalMark']
export type LogTaken = Schemas['LogTaken']
export type SpeedTrace = Schemas['SpeedTrace']
/** As the core has it; it goes beside the file, in the address. */
export interface TraceQuestion {
  fromKmh: number | null
  toKmh: number | null
  firstS: number | null
  lastS: number | null
  columns: TraceColumns | null
  roundKmh: number
}
export type TraceColumns = NonNullable<Schemas['TraceColumns']>
export type TraceField = Schemas['TraceField']
export type TraceUnit = Schemas['TraceUnit']
export type FoundRun = Schemas['FoundRun']
export type FilmInput = Schemas['FilmInput']

/** Which lines are shown. */
export interface LogFilter {
  kind: LogKind | null
  from: string
  to: string
}

const LINES_AT_ONCE = 20

/** Newest day first, a part at a time. */
export const useLog = (machineId: number, filter: LogFilter) =>
  useInfiniteQuery({
    queryKey: ['log', machineId, filter],
    queryFn: ({ pageParam }) =>
      answered(
        client.GET('/api/machines/{id}/log', {
          params: {
            path: { id: machineId },
            query: {
              most: LINES_AT_ONCE,
              ...(filter.kind && { kind: filter.kind }),
              ...(filter.from && { from: filter.from }),
              ...(filter.to && { to: filter.to }),
              ...(pageParam !== undefined && { after: pageParam }),
            },
          },
        }),
      ),
    initialPageParam: undefined as number | undefined,
    getNextPageParam: (page) => page.next ?? undefined,
    retry: retryLost,
  })

export const addToLog = ({ machineId, lines }: { machineId: number; lines: LogLine[] }) =>
  answered(client.POST('/api/machines/{id}/log', { params: { path: { id: machineId } }, body: { lines } }))

export const strikeLogLine = ({ machineId, ...body }: Schemas['StruckLine'] & { machineId: number }) =>
  answered(client.POST('/api/machines/{id}/log/struck', { params: { path: { id: machineId } }, body }))

export const logAddress = (machineId: number) => `/api/machines/${machineId}/log.csv`

/** Two setups against each other. It is read again with all else when something was written. */
export function useComparison(machineId: number, question: FairComparisonQuestion | undefined) {
  const query = useQuery({
    queryKey: ['comparison', machineId, question],
    queryFn:
      question === undefined
        ? skipToken
        : () =>
            answered(
              client.POST('/api/machines/{id}/comparison', {
                params: { path: { id: machineId } },
                body: question,
              }),
            ),
    retry: retryLost,
  })
  const data = useLastGood(query.data)
  return { data, error: query.error, isStale: data !== undefined && query.error !== null }
}

export const lookAtLogFile = (machineId: number, file: Blob, onSent: (fraction: number) => void) =>
  sendFile<LogFileLook>(`/api/machines/${machineId}/log/look`, file, 'text/csv', onSent)

export const takeLogFile = (
  machineId: number,
  file: File,
  columns: LogColumns,
  onlyTry: boolean,
  onSent: (fraction: number) => void,
) => {
  const query = new URLSearchParams({
    name: file.name,
    columns: JSON.stringify(columns),
    onlyTry: String(onlyTry),
  })
  return sendFile<LogTaken>(`/api/machines/${machineId}/log/file?${query}`, file, 'text/csv', onSent)
}

export const readTrace = (
  machineId: number,
  file: Blob,
  question: TraceQuestion,
  onSent: (fraction: number) => void,
) =>
  sendFile<SpeedTrace>(
    `/api/machines/${machineId}/trace?${new URLSearchParams({ question: JSON.stringify(question) })}`,
    file,
    'text/csv',
    onSent,
  )

export const useFilmTime = (input: FilmInput | undefined) =>
  useComputed('film-time', input, (body) => answered(client.POST('/api/log/film-time', { body })))
