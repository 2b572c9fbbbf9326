import type { Request } from '@playwright/test'
import { expect, type Locator, type Page } from './server'

/** Words and places that several tests use. */

export const scale = (page: Page): Locator => page.getByRole('listbox', { name: /Ratio scale/ })
export const mark = (page: Page, pair: string): Locator =>
  scale(page).getByRole('option', { name: new RegExp(`^${pair},`) })
export const panel = (page: Page, name: string | RegExp): Locator => page.getByRole('region', { name })
export const setups = (page: Page): Locator => page.getByRole('radiogroup', { name: 'Setup in view' })

/** A machine of the test's own, so that no test sees what another one did. Returns its id. */
export async function addMachine(page: Page, name: string, kind = 'motorcycle'): Promise<number> {
  const start = await page.request.get(`/api/machines/starting/${kind}`)
  const draft = await start.json()
  const added = await page.request.post('/api/machines', {
    data: { machine: { ...draft.machine, name }, fitted: draft.fitted, fittedVersion: 0 },
  })
  expect(added.ok()).toBe(true)
  return (await added.json()).machine.id
}

/** An aim put into the store without the page. */
export async function addAim(
  page: Page,
  machineId: number,
  target: object,
  name = 'Test aim',
): Promise<number> {
  const none = { surface: null, weather: null, load: null }
  const wishes = { littleUpkeep: 0, quiet: 0, range: 0, carryingLoads: 0, response: 0, lowCost: 0 }
  const added = await page.request.post(`/api/machines/${machineId}/aims`, {
    data: {
      id: 0,
      version: 0,
      machineId,
      name,
      driveKey: 'drive',
      target,
      conditions: none,
      wishes,
      note: null,
      outcomes: [],
    },
  })
  expect(added.ok()).toBe(true)
  return (await added.json()).id
}

export const readMachine = async (page: Page, id: number) =>
  (await page.request.get(`/api/machines/${id}`)).json()
export const readAims = async (page: Page, id: number) =>
  (await page.request.get(`/api/machines/${id}/aims`)).json()
export const readSetups = async (page: Page, id: number) =>
  (await page.request.get(`/api/machines/${id}/setups`)).json()

/** The station by a press on the strip, with all its answers there: without a new load of the page. */
export async function openStation(page: Page, name: string) {
  const isIdle = untilIdle(page)
  const link = page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name })
  await link.click()
  await expect(link).toHaveAttribute('aria-current', 'page')
  await isIdle
}

/** What the page has begun is told here a little later than its own answer. */
const TOLD_MS = 30

/** Resolves when the page has had the time to ask, and nothing it asked is under way. The time is the page's own: a slow machine is no idle page. */
export async function untilIdle(page: Page) {
  const idleMs = 250 // longer than a draft waits before it is asked about
  const under = new Set<object>()
  let begun = 0
  const begins = (request: Request) => {
    // A page listens to others as long as it is open.
    if (request.resourceType() === 'eventsource') return
    begun += 1
    under.add(request)
  }
  const ends = (request: object) => under.delete(request)
  page.on('request', begins).on('requestfinished', ends).on('requestfailed', ends)
  for (let before = -1; before !== begun || under.size > 0; ) {
    before = begun
    await page.evaluate(async (ms) => {
      const drawn = () => new Promise((later) => requestIdleCallback(later))
      await drawn() // a draft waits from when it is drawn
      await new Promise((later) => setTimeout(later, ms))
      await drawn()
    }, idleMs)
    await new Promise((later) => setTimeout(later, TOLD_MS))
  }
  page.off('request', begins).off('requestfinished', ends).off('requestfailed', ends)
}
