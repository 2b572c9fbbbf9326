import { useDebouncedValue } from '@mantine/hooks'
import { hashKey, type QueryClient, skipToken, useQuery } from '@tanstack/react-query'
import {
  type Evaluation,
  type EvaluationParts,
  type EvaluationScope,
  evaluate,
  InvalidInputError,
} from './client'
import { type Computed, retryLost, useLastGood } from './queries'

/** Which machine is asked about, and what of it is in view. */
export interface Subject {
  machineId: number | null
  /** Name of a machine to practise on, in the place of a stored one. */
  practiceMachine: string | null
  scope: EvaluationScope
}

export type PartName = keyof EvaluationParts
export type Question<P extends PartName> = Given<NonNullable<EvaluationParts[P]>>

/** What has a value by itself may be left out; the generated types ask for it. */
type Given<T> = Omit<T, Defaulted> & Partial<Pick<T, Extract<keyof T, Defaulted>>>
type Defaulted = 'workings' | 'halfLinks' | 'isKeptOnly'
export type AnswerTo<P extends PartName> = NonNullable<NonNullable<Evaluation[P]>['answer']>

/** Set apart from what is read, so that a question can be put again by its key. */
export const evaluationKey = (subject: Subject, part: PartName, question: unknown) =>
  ['evaluation', part, subject, question] as const

/**
 * One thing that is wanted to be known of what is in view. Whatever a page wants at the same moment goes in one request.
 * While a question is refused the last good answer stays in view and `isStale` says so; an `undefined` question is not ready
 * to be asked.
 */
export function useEvaluation<P extends PartName>(
  subject: Subject,
  part: P,
  question: NoInfer<Question<P>> | undefined,
): Computed<AnswerTo<P>, Question<P>> {
  const query = useQuery({
    queryKey: evaluationKey(subject, part, question),
    queryFn:
      question === undefined
        ? skipToken
        : async ({ signal }) => ({ data: await askFor(subject, part, question, signal), of: question }),
    retry: retryLost,
  })
  const last = useLastGood(query.data)
  return {
    data: last?.data,
    of: last?.of,
    error: query.error,
    isStale: last !== undefined && (query.error !== null || question === undefined),
  }
}

interface Waiting {
  part: PartName
  question: unknown
  signal: AbortSignal | undefined
  resolve: (answer: unknown) => void
  reject: (reason: unknown) => void
}

const waiting = new Map<string, { subject: Subject; wanted: Waiting[] }>()

/** Asks once, outside of what is shown all the time. */
export const askFor = <P extends PartName>(
  subject: Subject,
  part: P,
  question: NoInfer<Question<P>>,
  signal?: AbortSignal,
): Promise<AnswerTo<P>> =>
  new Promise((resolve, reject) => {
    const key = JSON.stringify(subject)
    const group = waiting.get(key) ?? { subject, wanted: [] }
    group.wanted.push({ part, question, signal, resolve: resolve as Waiting['resolve'], reject })
    waiting.set(key, group)
    // All that is drawn at once asks at once: the rest of it has its turn before this.
    if (group.wanted.length === 1) setTimeout(() => sendAll(key))
  })

function sendAll(key: string) {
  const group = waiting.get(key)
  waiting.delete(key)
  let wanted = (group?.wanted ?? []).filter((w) => !w.signal?.aborted)
  // The same part asked in two ways goes in two requests.
  while (group && wanted.length > 0) {
    const parts = new Map<PartName, Waiting>()
    const left: Waiting[] = []
    for (const w of wanted)
      if (parts.has(w.part)) left.push(w)
      else parts.set(w.part, w)
    void send(group.subject, [...parts.values()])
    wanted = left
  }
}

async function send(subject: Subject, wanted: Waiting[]) {
  const stop = new AbortController()
  const stopIfUnwanted = () => wanted.every((w) => w.signal?.aborted) && stop.abort()
  for (const w of wanted) w.signal?.addEventListener('abort', stopIfUnwanted)
  try {
    const parts = Object.fromEntries(wanted.map((w) => [w.part, w.question])) as EvaluationParts
    settle(await evaluate({ ...subject, parts }, { signal: stop.signal }), wanted)
  } catch (error) {
    for (const w of wanted) w.reject(error)
  }
}

/**
 * The questions among some parts that are in view just now, to be asked along with a change, and what takes the answers in.
 * Those about something else than the subject are asked anew.
 */
export function inView(cache: QueryClient, subject: Subject, parts: PartName[]) {
  const all = cache.getQueryCache().findAll({ queryKey: ['evaluation'], type: 'active' })
  const keys = all
    .map((q) => q.queryKey as ReturnType<typeof evaluationKey>)
    .filter(([, part, , question]) => parts.includes(part) && question !== undefined)
  const wanted = keys.filter(
    ([, part, about], i) =>
      hashKey([about]) === hashKey([subject]) && keys.findIndex((k) => k[1] === part) === i,
  )
  return {
    ask: { ...subject, parts: Object.fromEntries(wanted.map(([, part, , question]) => [part, question])) },
    takeIn: (answers: Evaluation | null | undefined) => {
      for (const key of keys) {
        // What is on its way was asked before the change, and would pass for what stands now.
        const isBeingAsked = cache.getQueryState(key)?.fetchStatus === 'fetching'
        const answer = wanted.includes(key) && !isBeingAsked ? answers?.[key[1]] : undefined
        if (answer && !answer.refused) cache.setQueryData(key, { data: answer.answer ?? null, of: key[3] })
        else void cache.invalidateQueries({ queryKey: key, exact: true })
      }
    },
  }
}

const settle = (answers: Evaluation, wanted: Waiting[]) => {
  for (const { part, resolve, reject } of wanted) {
    const answer = answers[part]
    if (answer?.refused) reject(new InvalidInputError(answer.refused))
    else resolve(answer?.answer ?? null)
  }
}

const TYPING_MS = 200

/**
 * A draft a moment after the last key: what is being typed is not asked letter by letter. One that begins is there at once, and
 * one that is given up is gone at once: what was typed of one loop must not be asked of the next.
 */
export function useDebouncedDraft<T>(draft: T): T {
  // By what it holds: a draft is put together anew with every drawing.
  const text = JSON.stringify(draft)
  const [settled] = useDebouncedValue(text, TYPING_MS)
  const isBegun = settled !== undefined && settled !== 'null'
  return draft == null || settled === text || !isBegun ? draft : (JSON.parse(settled) as T)
}
