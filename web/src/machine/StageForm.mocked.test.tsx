import { cleanup, fireEvent, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import * as api from '../api/client'
import * as stock from '../api/stock'
import { show } from '../testing'
import { benchOf, driveOf, GEARBOX, PAIR, PLANETARY } from './bench.testing'
import { StageForm } from './StageForm'

vi.mock('../api/stock', async (original) => ({
  ...(await original<typeof stock>()),
  listDesignations: vi.fn(),
  listGearboxSets: vi.fn(),
}))

beforeEach(() => {
  vi.mocked(stock.listDesignations).mockResolvedValue({
    chains: ['420', '520'],
    doublePitchChains: [],
    toothedBelts: ['5M', '8M'],
    vBelts: ['A'],
    hubGears: [{ name: 'typical 3-speed', speedFactors: [0.75, 1, 1.333] }],
    startingLoops: [
      {
        driveElement: 'chain',
        standard: '520',
        frontSize: 15,
        rearSize: 45,
        slipFraction: 0,
        arrangement: 'open',
      },
      {
        driveElement: 'vBelt',
        standard: 'A',
        frontSize: 100,
        rearSize: 250,
        slipFraction: 0.02,
        arrangement: 'open',
      },
    ],
    startingStages: [PAIR, GEARBOX, PLANETARY],
    startingDrive: driveOf(),
    mostAlternatives: 3,
    defaultWork: {
      frontMinutes: 25,
      frontMoney: 0,
      rearMinutes: 60,
      rearMoney: 0,
      bothMinutes: 75,
      bothMoney: 0,
    },
  })
  vi.mocked(stock.listGearboxSets).mockResolvedValue([
    { id: 3, version: 2, name: 'shared five', reductions: [3, 2, 1.5, 1.2, 1], turnsRound: true, note: null },
  ])
})
afterEach(cleanup)

let stage: api.Stage
let choice: api.LoopChoice

function Form({ start, error = null }: { start: api.Stage; error?: unknown }) {
  const [now, setNow] = useState(start)
  const [wheels, setWheels] = useState(benchOf().shown.loops[0] as api.LoopChoice)
  stage = now
  choice = wheels
  return (
    <StageForm
      stage={now}
      shafts={['crankshaft', 'out']}
      at="drives[0].stages[0]"
      choice={wheels}
      choiceAt="loops[0]"
      error={error}
      onChange={setNow}
      onChoice={setWheels}
      onRemove={() => {}}
      onInsert={() => {}}
      moves={[]}
    />
  )
}
const chain = driveOf().stages[0] as api.Stage
const choose = async (label: string, option: string) => {
  await userEvent.click(await screen.findByRole('combobox', { name: label }))
  await userEvent.click(await screen.findByRole('option', { name: option }))
}

describe('a stage in the editor', () => {
  it('begins a loop of another kind with that kind of wheels, standard and arrangement', async () => {
    show(<Form start={chain} />)
    await choose('Runs on it', 'V-belt')
    expect(stage).toMatchObject({ driveElement: 'vBelt', standard: 'A', slipFraction: 0.02 })
    expect(choice).toEqual({ loopKey: 'final', frontSize: 100, rearSize: 250, links: null, lengthMm: null })
    expect(screen.queryByLabelText('Links')).toBeNull()
    await choose('Arrangement', 'crossed, turns round')
    expect(stage).toMatchObject({ arrangement: 'crossed' })
    await choose('Runs on it', 'chain')
    // The one such a loop usually has, not the first of the list.
    expect(stage).toMatchObject({
      driveElement: 'chain',
      standard: '520',
      arrangement: 'open',
      slipFraction: 0,
    })
    expect(screen.getByLabelText('Links')).toBeTruthy()
  })

  it('leaves the wheels alone when the kind stays', async () => {
    show(<Form start={chain} />)
    await choose('Standard', '420')
    expect(stage).toMatchObject({ standard: '420' })
    expect(choice).toMatchObject({ frontSize: 15, rearSize: 45, links: 112 })
  })

  it('sends an emptied tooth count as 0 for the core to refuse, and an emptied link count as unknown', () => {
    show(<Form start={chain} />)
    fireEvent.change(screen.getByLabelText('Front, fitted'), { target: { value: '' } })
    fireEvent.change(screen.getByLabelText('Links'), { target: { value: '' } })
    expect(choice).toMatchObject({ frontSize: 0, links: null })
  })

  it('puts a refusal at the field it names', () => {
    const error = new api.InvalidInputError([
      {
        field: 'loops[0].frontSize',
        code: 'between',
        message: 'Give 5 to 500 teeth.',
        low: 5,
        high: 500,
        unit: 'teeth',
      },
    ] as unknown as api.InputIssue[])
    show(<Form start={chain} error={error} />)
    expect(screen.getByLabelText('Front, fitted').getAttribute('aria-invalid')).toBe('true')
    expect(screen.getByText('Give 5 to 500 teeth.')).toBeTruthy()
    expect(screen.getByLabelText('Rear, fitted').getAttribute('aria-invalid')).not.toBe('true')
  })

  it('reads the ratios of a new gearbox set as they are typed, and keeps the last good ones', () => {
    show(<Form start={GEARBOX} />)
    const field = screen.getByLabelText('Ratios, first gear first')
    fireEvent.change(field, { target: { value: '2.5 37/14' } })
    expect(stage).toMatchObject({ set: { reductions: [2.5, 2.642857] } })
    fireEvent.change(field, { target: { value: '2.5 thirty' } })
    expect(screen.getByText(/“thirty” is not a ratio/)).toBeTruthy()
    expect(stage).toMatchObject({ set: { reductions: [2.5, 2.642857] } })
  })

  it('takes a shared gearbox set as it is', async () => {
    show(<Form start={GEARBOX} />)
    await choose('Gearbox set', 'shared five')
    expect(stage).toMatchObject({ set: { id: 3, version: 2, reductions: [3, 2, 1.5, 1.2, 1] } })
    expect(screen.queryByLabelText('Ratios, first gear first')).toBeNull()
    expect(screen.getByText(/edited under Stock/)).toBeTruthy()
    await choose('Gearbox set', 'a new set …')
    expect(stage).toMatchObject({ set: { id: 0, version: 0, name: 'shared five changed' } })
  })

  it('edits pair and planetary', () => {
    show(<Form start={PAIR} />)
    fireEvent.change(screen.getByLabelText('Driving teeth'), { target: { value: '28' } })
    fireEvent.change(screen.getByLabelText('Driven teeth'), { target: { value: '76' } })
    expect(stage).toMatchObject({ driverTeeth: 28, drivenTeeth: 76 })
    cleanup()
    show(<Form start={PLANETARY} />)
    fireEvent.change(screen.getByLabelText('Sun teeth'), { target: { value: '20' } })
    expect(stage).toMatchObject({ sunTeeth: 20, ringTeeth: 72 })
  })
})
