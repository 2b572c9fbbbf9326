import { act, renderHook } from '@testing-library/react'
import { afterEach, expect, it, vi } from 'vitest'
import { type Evaluation, evaluate, InvalidInputError } from './client'
import { askFor, type Subject, useDebouncedDraft } from './evaluation'

const subject: Subject = { machineId: 7, practiceMachine: null, scope: { loopKeys: ['final'] } }
vi.mock('./client', async (actual) => ({ ...(await actual<typeof import('./client')>()), evaluate: vi.fn() }))
const answering = (answers: unknown) => vi.mocked(evaluate).mockResolvedValue(answers as Evaluation)
/** What was sent, request by request. */
const sent = () => vi.mocked(evaluate).mock.calls.map(([question]) => question)
afterEach(() => vi.clearAllMocks())

it('asks in one request what is wanted at the same moment, and hands each its own answer', async () => {
  answering({ headlines: { answer: 'lines' }, followUps: { answer: [] } })
  const both = Promise.all([askFor(subject, 'headlines', {}), askFor(subject, 'followUps', {})])
  expect(await both).toEqual(['lines', []])
  expect(sent()).toEqual([{ ...subject, parts: { headlines: {}, followUps: {} } }])
})

it('refuses one part and answers the others', async () => {
  const issue = { field: 'layout.rear.xMm', code: 'too_small', message: 'Give 1 mm or more.' }
  answering({ headlines: { answer: 'lines' }, fit: { answer: null, refused: [issue] } })
  const [fit, lines] = await Promise.allSettled([
    askFor(subject, 'fit', {}),
    askFor(subject, 'headlines', {}),
  ])
  expect(lines).toMatchObject({ status: 'fulfilled', value: 'lines' })
  expect(fit).toMatchObject({ status: 'rejected', reason: expect.any(InvalidInputError) })
  expect((fit as PromiseRejectedResult).reason.issues).toEqual([issue])
})

it('sends the same part asked in two ways as two requests, and another machine by itself', async () => {
  answering({ fit: { answer: 'fit' } })
  await Promise.all([
    askFor(subject, 'fit', {}),
    askFor(subject, 'fit', { halfLinks: true }),
    askFor({ ...subject, machineId: 8 }, 'fit', {}),
  ])
  expect(sent().map((s) => [s.machineId, s.parts])).toEqual([
    [7, { fit: {} }],
    [7, { fit: { halfLinks: true } }],
    [8, { fit: {} }],
  ])
})

it('does not send what nobody waits for any more', async () => {
  answering({ fit: { answer: 'fit' } })
  const gone = new AbortController()
  void askFor(subject, 'fit', { travelMm: 1 }, gone.signal)
  gone.abort()
  await askFor(subject, 'fit', { travelMm: 2 })
  expect(sent().map((s) => s.parts)).toEqual([{ fit: { travelMm: 2 } }])
})

it('waits with what is typed, begins a draft at once, and lets go of one that is given up', () => {
  vi.useFakeTimers()
  const { result, rerender } = renderHook(({ draft }) => useDebouncedDraft(draft), {
    initialProps: { draft: null as { massKg: number } | null },
  })
  rerender({ draft: { massKg: 2 } })
  expect(result.current).toEqual({ massKg: 2 })
  act(() => vi.advanceTimersByTime(1000))
  rerender({ draft: { massKg: 25 } })
  expect(result.current).toEqual({ massKg: 2 })
  act(() => vi.advanceTimersByTime(1000))
  expect(result.current).toEqual({ massKg: 25 })
  rerender({ draft: null })
  expect(result.current).toBeNull()
  vi.useRealTimers()
})
