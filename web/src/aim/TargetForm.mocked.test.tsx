import { cleanup, fireEvent, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import * as api from '../api/client'
import { askFor } from '../api/evaluation'
import { benchOf, cardOf, setupOf } from '../machine/bench.testing'
import type { Workbench } from '../machine/useWorkbench'
import { show } from '../testing'
import { TargetForm } from './TargetForm'

vi.mock('../api/evaluation', async (original) => ({
  ...(await original<typeof import('../api/evaluation')>()),
  askFor: vi.fn(),
}))
const asked = vi.mocked(askFor as (...question: unknown[]) => Promise<unknown>)
beforeEach(() => {
  asked.mockReset()
})
afterEach(cleanup)

const cruise: api.AimTarget = {
  kind: 'cruiseSpeed',
  speedKmh: 90,
  gearIndex: 1,
  shaftSpeedLowRpm: 5000,
  shaftSpeedHighRpm: 5300,
}
let target: api.AimTarget

function Form({ start, bench, error }: { start: api.AimTarget; bench: Workbench; error: unknown }) {
  const [now, setNow] = useState(start)
  target = now
  return <TargetForm bench={bench} target={now} onChange={setNow} error={error} />
}
const showForm = (
  start: api.AimTarget = cruise,
  bench: Partial<Workbench> = { gears: ['1', '2'] },
  error: unknown = null,
) => show(<Form start={start} bench={benchOf(bench)} error={error} />)
const choose = async (label: string, option: string) => {
  await userEvent.click(screen.getByRole('combobox', { name: label }))
  await userEvent.click(await screen.findByRole('option', { name: option }))
}

describe('the form of a target', () => {
  it('changes a figure in its unit and the gear by its name', async () => {
    showForm()
    fireEvent.change(screen.getByLabelText('Speed'), { target: { value: '100' } })
    expect(target).toEqual({ ...cruise, speedKmh: 100 })
    await choose('Gear', '1st')
    expect(target).toMatchObject({ gearIndex: 0 })
  })

  it('never turns an emptied field into a silent zero', () => {
    showForm()
    fireEvent.change(screen.getByLabelText('From'), { target: { value: '' } })
    expect(target).toMatchObject({ shaftSpeedLowRpm: null, shaftSpeedHighRpm: 5300 })
    expect(screen.getByText('Give a number.')).toBeTruthy()
  })

  it('asks the core for the first figures of another kind', async () => {
    asked.mockResolvedValue({ kind: 'finalRatio', low: 2.91, high: 3.09 })
    const bench = benchOf({ gears: ['1', '2'] })
    showForm(cruise, bench)
    await choose('Aim at', 'final ratio')
    expect(asked).toHaveBeenCalledWith(bench.asFitted, 'startingAim', { kind: 'finalRatio' })
    await vi.waitFor(() => expect(target).toEqual({ kind: 'finalRatio', low: 2.91, high: 3.09 }))
    expect((screen.getByLabelText('Shortest') as HTMLInputElement).value).toBe('3.09')
    expect(screen.queryByRole('combobox', { name: 'Gear' })).toBeNull() // a final ratio is the same in every gear
  })

  it('keeps the old target when the core refuses to start the new one', async () => {
    asked.mockImplementation(() => Promise.reject(new Error('The program answered with error 500.')))
    showForm()
    await choose('Aim at', 'speed of the output')
    expect((await screen.findByRole('alert')).textContent).toContain('error 500')
    expect(target).toEqual(cruise)
  })

  it('matches another setup without asking anybody', async () => {
    const other = setupOf({ id: 5, name: 'Trial B', status: 'trial' })
    showForm(cruise, { setups: [setupOf(), other] })
    await choose('Aim at', 'match a setup')
    expect(target).toMatchObject({ kind: 'matchSetup', setupId: 1, tolerancePercent: 2 })
    await choose('Setup', 'Trial B')
    expect(target).toMatchObject({ setupId: 5, setupName: 'Trial B', loops: other.loops })
    expect(asked).not.toHaveBeenCalled()
  })

  it('offers what the core says can be aimed at with this drive, and another setup', async () => {
    const card = cardOf()
    const [drive] = card.summary.drives
    card.summary.drives = drive ? [{ ...drive, aimKinds: ['speedAtCadence', 'finalRatio'] }] : []
    showForm({ kind: 'finalRatio', low: 0.4, high: 0.5 }, { card })
    await userEvent.click(screen.getByRole('combobox', { name: 'Aim at' }))
    const options = (await screen.findAllByRole('option')).map((o) => o.textContent)
    expect(options).toEqual(['speed while pedalling', 'final ratio', 'match a setup'])
  })

  it('puts a refusal at its field, and says one that has none', () => {
    const issue = (field: string) =>
      new api.InvalidInputError([
        { field, code: 'between', message: 'Give 1 to 600 km/h.' },
      ] as unknown as api.InputIssue[])
    showForm(cruise, {}, issue('target.speedKmh'))
    expect(screen.getByLabelText('Speed').getAttribute('aria-invalid')).toBe('true')
    expect(screen.queryByRole('alert')).toBeNull()
    cleanup()
    showForm(cruise, {}, issue('loops[0].frontSize'))
    expect(screen.getByRole('alert').textContent).toContain('Give 1 to 600 km/h.')
  })
})
