import { expect, type Page, test } from './server'
import { chainMachine, jobsOf } from './visits'

/** A whole visit with a thumb, on a phone: nothing but what is in the bay is touched. */

const LEAST_IN_THE_BAY = 56
const bay = (page: Page) => page.getByRole('dialog', { name: 'Bay mode' })
const tap = (page: Page, name: string | RegExp) => bay(page).getByRole('button', { name }).tap()
const shown = (page: Page) => bay(page).getByRole('status')

/** Steps from what stands there to what is read. */
async function read(page: Page, from: number, to: number) {
  const step = async (name: string, times: number) => {
    for (let i = 0; i < times; i++) await tap(page, name)
  }
  const way = Math.abs(to - from)
  const [tens, ones] = [Math.floor(way / 10), way % 10]
  await step(to > from ? 'Step +10, play' : 'Step −10, play', tens)
  await step(to > from ? 'More play' : 'Less play', ones)
  await expect(shown(page)).toContainText(new RegExp(`^${to}(\\.0)?\\smm`))
}

/** All round, each place stepped from what was read last. */
async function readRound(page: Page, from: number, values: number[]): Promise<number> {
  for (const [place, value] of values.entries()) {
    await read(page, values[place - 1] ?? from, value)
    if (place < values.length - 1) await tap(page, 'Next place')
  }
  return values.at(-1) ?? from
}

async function allIsLargeEnough(page: Page) {
  for (const button of await bay(page).getByRole('button').all()) {
    const box = await button.boundingBox()
    expect
      .soft(Math.min(box?.height ?? 0, box?.width ?? 0), await button.textContent().then(String))
      .toBeGreaterThanOrEqual(LEAST_IN_THE_BAY - 0.5)
  }
  for (const label of await bay(page).getByRole('radiogroup').locator('label').all())
    expect
      .soft((await label.boundingBox())?.height ?? 0, await label.textContent().then(String))
      .toBeGreaterThanOrEqual(LEAST_IN_THE_BAY - 0.5)
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
}

test('a whole visit by touch: cautions, as found, turned, nut, read, closing list, torque, signed', async ({
  page: desk,
  browser,
  baseURL,
}) => {
  const id = await chainMachine(desk, 'Wholly in the bay')
  const context = await browser.newContext({
    ...(baseURL && { baseURL }),
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    isMobile: true,
  })
  const page = await context.newPage()
  await page.goto(`/machines/${id}/set`)
  await page.getByRole('button', { name: 'Begin as found' }).tap()
  await page.getByRole('button', { name: 'Bay mode' }).tap()

  await expect(bay(page)).toContainText('Before your hands go near')
  await allIsLargeEnough(page)
  await tap(page, 'All of it is so')

  await expect(bay(page)).toContainText('Read it as found')
  await expect(bay(page)).toContainText(/Window 25\smm to 35\smm: motorcycle road: common practice/)
  await allIsLargeEnough(page)
  let last = await readRound(page, 35, [55, 52, 48, 51])
  await expect(bay(page)).toContainText('Keep it as found.')
  await expect(bay(page)).toContainText(/55\smm · 52\smm · 48\smm · 51\smm/)
  await tap(page, 'Keep as found')

  await expect(bay(page)).toContainText('Loosen the axle nut until the axle just slides. Left adjuster')
  await allIsLargeEnough(page)
  await bay(page)
    .getByRole('group', { name: 'Turned, left' })
    .getByRole('button', { name: /tighter/ })
    .tap()
  await tap(page, 'Turned so')
  await expect(bay(page)).toContainText('How does the axle nut stand while it is read?')
  await allIsLargeEnough(page)
  await tap(page, 'nipped')
  await expect(bay(page)).toContainText('Roll the wheel four turns by hand')
  last = await readRound(page, last, [34, 32, 29, 31])
  await tap(page, /^Keep/)

  await expect(bay(page)).toContainText('1 of 5 of the closing list')
  await allIsLargeEnough(page)
  await tap(page, 'Done')
  await expect(bay(page)).toContainText('2 of 5')
  await tap(page, 'Not yet: back')
  await expect(bay(page)).toContainText('1 of 5')
  for (let step = 1; step <= 5; step++) {
    await expect(bay(page)).toContainText(`${step} of 5`)
    await tap(page, 'Done')
  }
  await expect(bay(page)).toContainText('Now the last reading, with everything tight.')
  await tap(page, 'Read it')
  await readRound(page, last, [34, 32, 29, 30])
  await tap(page, /^Keep/)
  await expect(bay(page)).toContainText('With which torque was the axle nut tightened?')
  await allIsLargeEnough(page)
  await tap(page, 'More torque')
  await tap(page, 'Less torque')
  await expect(bay(page).getByRole('button', { name: 'So much' })).toBeDisabled()
  for (let tens = 0; tens < 10; tens++) await tap(page, 'Step +10, torque')
  await tap(page, 'Less torque')
  await tap(page, 'Less torque')
  await tap(page, 'So much')
  await expect(bay(page)).toContainText(/everything tight: 29\sto 34\smm/)
  await allIsLargeEnough(page)
  await tap(page, 'Close the visit')
  await expect(bay(page)).toBeHidden()
  const [job] = await jobsOf(page, id)
  expect(job.closing).toMatchObject({ torqueNm: 98 })
  expect(job.closing.done).toHaveLength(5)
  expect(job.rounds.map((r: { lock: string }) => r.lock)).toEqual(['torqued', 'nipped', 'torqued'])
  expect(job.cautions).not.toBeNull()
  expect(job.rounds[1].assumed ?? []).toEqual([])
  await context.close()
})

test('while nothing answers the bay says so, keeps what is read, and sends it', async ({ page }) => {
  const id = await chainMachine(page, 'Bay without a server')
  await page.goto(`/machines/${id}/set`)
  await page.getByRole('button', { name: 'Begin as found' }).click()
  await page.getByRole('button', { name: 'Bay mode' }).click()
  await bay(page).getByRole('button', { name: 'Read first' }).click()
  await page.context().setOffline(true)
  await bay(page).getByRole('button', { name: 'More play' }).click()
  await expect(shown(page)).toContainText(/^36\smm/)
  await expect(bay(page).getByRole('alert')).toContainText(/entr(y is|ies are) kept on this device/)
  await page.context().setOffline(false)
  await expect(bay(page).getByRole('alert')).toBeHidden()
  await expect
    .poll(async () =>
      (await jobsOf(page, id))[0].inHand?.round?.readings.map((r: { value: number }) => r.value),
    )
    .toEqual([36])
})
