import { execFileSync } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { addMachine, panel } from './bench'
import { expect, type Page } from './server'

export const next = (page: Page) => page.getByRole('region', { name: 'Do this next' })
export const ring = (page: Page) => page.getByRole('group', { name: 'Readings round the wheel' })
export const station = (page: Page) =>
  page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Set' })
export const jobsOf = async (page: Page, id: number) =>
  (await page.request.get(`/api/machines/${id}/set-jobs`)).json()
/** A recording made by sox, which knows nothing of this program. */
export const recording = (...synth: string[]) => {
  const file = join(mkdtempSync(join(tmpdir(), 'wendrak-pluck-')), 'pluck.wav')
  execFileSync('sox', ['-R', '-n', '-r', '48000', '-b', '16', '-c', '1', file, ...synth])
  return file
}

/** A motorcycle of which only the slack run was measured, and how its axle is carried. */
export async function chainMachine(page: Page, name: string, setting: object = {}): Promise<number> {
  const id = await addMachine(page, name)
  const card = await (await page.request.get(`/api/machines/${id}`)).json()
  const stored = await page.request.put(`/api/machines/${id}`, {
    data: {
      machine: {
        ...card.machine,
        settings: [
          {
            loopKey: 'final',
            adjuster: { kind: 'twoEnds' },
            spanMm: 600,
            suspension: 'swingArm',
            ...setting,
          },
        ],
      },
      fitted: card.fitted.loops,
      fittedVersion: card.fitted.version,
    },
  })
  expect(stored.ok()).toBe(true)
  return id
}

export async function play(page: Page, ...values: number[]) {
  const field = panel(page, 'Reading').getByLabel('Free play in all')
  for (const value of values) {
    await field.fill(String(value))
    await field.press('Enter')
    await expect(field).toHaveValue('')
  }
}
