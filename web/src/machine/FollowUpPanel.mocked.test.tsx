import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { changeSetup, type FollowUpTask } from '../api/client'
import { useEvaluation } from '../api/evaluation'
import { show } from '../testing'
import { benchOf, cardOf, setupOf } from './bench.testing'
import FollowUpPanel from './FollowUpPanel'

vi.mock('../api/client', async (actual) => ({
  ...(await actual<typeof import('../api/client')>()),
  changeSetup: vi.fn(async (setup) => setup),
}))
vi.mock('../api/evaluation', () => ({ useEvaluation: vi.fn() }))
/** What the core says of the wheels in view; undefined where they are what is fitted. */
const preview = (data?: FollowUpTask[]) =>
  vi
    .mocked(useEvaluation as (...asked: unknown[]) => unknown)
    .mockReturnValue({ data, error: null, isStale: false })
beforeEach(() => void preview())
afterEach(() => {
  cleanup()
  vi.clearAllMocks()
})

const item = (
  task: FollowUpTask['task'],
  station: FollowUpTask['station'],
  part: Partial<FollowUpTask> = {},
): FollowUpTask => ({
  task,
  station,
  driveKey: 'drive',
  loopKey: station === 'ratio' ? null : 'final',
  because: ['rearWheel'],
  ...part,
})
const open = [item('ratio', 'ratio'), item('length', 'fit'), item('reading', 'set')]
const fittedBench = (followUps: FollowUpTask[] | null) =>
  benchOf({ card: { ...cardOf(), fitted: setupOf({ version: 4, followUps }) } })
const trialBench = () => {
  const loops = [{ loopKey: 'final', frontSize: 15, rearSize: 43, links: 112 }]
  return benchOf({ shown: { name: 'Trial B', loops, roadWheels: [], setup: undefined, isFitted: false } })
}

describe('what is to be done again', () => {
  it('is ticked off one by one, and the others stay', async () => {
    show(<FollowUpPanel bench={fittedBench(open)} />)
    expect(screen.getByText('other rear wheel')).toBeTruthy() // once for all of them
    fireEvent.click(screen.getByRole('checkbox', { name: 'Whether the length still closes' }))
    await waitFor(() => expect(changeSetup).toHaveBeenCalledTimes(1))
    const stored = vi.mocked(changeSetup).mock.calls[0]?.[0]
    expect(stored?.version).toBe(4)
    expect(stored?.followUps).toEqual([open[0], open[2]])
  })

  it('names the cause of each where they differ', () => {
    show(
      <FollowUpPanel
        bench={fittedBench([...open, item('clearances', 'fit', { because: ['edge', 'roadWheel'] })])}
      />,
    )
    expect(screen.getAllByText('other rear wheel')).toHaveLength(3)
    expect(screen.getByText('other edge to clear, other road wheel or tyre')).toBeTruthy()
  })

  it('is not there when nothing is open', () => {
    show(<FollowUpPanel bench={fittedBench(null)} />)
    expect(screen.queryByRole('region')).toBeNull()
    expect(useEvaluation).toHaveBeenCalledWith(expect.anything(), 'followUps', undefined)
  })

  it('is told before a trial goes on, with nothing to tick', async () => {
    preview(open)
    show(<FollowUpPanel bench={trialBench()} />)
    expect(await screen.findByRole('region', { name: 'Fitting this asks for' })).toBeTruthy()
    expect(screen.queryByRole('checkbox')).toBeNull()
    expect(useEvaluation).toHaveBeenCalledWith(expect.anything(), 'followUps', {})
  })

  it('names the loop where the machine has several', async () => {
    const loops = ['left', 'right'].map((loopKey) => ({
      ...(cardOf().summary.loops[0] as object),
      loopKey,
      name: 'belt',
    }))
    const card = cardOf({}, loops as ReturnType<typeof cardOf>['summary']['loops'])
    const bench = benchOf({
      card: { ...card, fitted: setupOf({ followUps: [item('alignment', 'set', { loopKey: 'right' })] }) },
    })
    show(<FollowUpPanel bench={bench} />)
    expect(screen.getByRole('checkbox', { name: 'Alignment of its wheels: belt (right)' })).toBeTruthy()
  })
})
