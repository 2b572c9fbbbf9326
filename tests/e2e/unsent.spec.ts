import { panel } from './bench'
import { expect, type Page, test } from './server'
import { chainMachine, jobsOf, next, play, ring } from './visits'

/** A visit on which two of four places are read. */
async function halfRead(page: Page, name: string): Promise<number> {
  const id = await chainMachine(page, name)
  await page.goto(`/machines/${id}/set`)
  await page.getByRole('button', { name: 'Begin as found' }).click()
  await expect(next(page)).toContainText('Read it as found')
  await play(page, 55, 52)
  await expect.poll(async () => readings(page, id)).toEqual([55, 52])
  return id
}

const readings = async (page: Page, id: number): Promise<number[]> => {
  const [job] = await jobsOf(page, id)
  return (job?.inHand?.round?.readings ?? job?.rounds[0]?.readings ?? []).map(
    (r: { value: number }) => r.value,
  )
}
const kept = (page: Page) => page.getByText(/kept on this device, and sent in order/)

test('what is read while nothing answers is there once when it answers again', async ({ page }) => {
  const id = await halfRead(page, 'Read without a server')
  await page.context().setOffline(true)
  await play(page, 48, 51)
  await expect(kept(page)).toContainText(/entr(y is|ies are) kept/)
  await expect(ring(page).getByRole('button', { name: /48 mm/ })).toBeVisible()
  await page.getByRole('button', { name: 'Keep as found' }).click()
  await page.context().setOffline(false)
  await expect.poll(async () => (await jobsOf(page, id))[0].rounds.length).toBe(1)
  expect(await readings(page, id)).toEqual([55, 52, 48, 51])
  await expect(kept(page)).toBeHidden()
  await expect(panel(page, 'Rounds').getByRole('row', { name: /^as found/ })).toContainText('48 mm')
})

test('what a closed page could not send is sent by the next one, once, in the name of who typed it', async ({
  page,
}) => {
  const id = await halfRead(page, 'Left by a closed page')
  await page.evaluate(() => sessionStorage.setItem('wendrak.who', 'Early shift'))
  await page.context().setOffline(true)
  // The second waits for the first, which waits for the program.
  await play(page, 48, 51)
  await expect(kept(page)).toContainText('2 entries are kept')
  const context = page.context()
  await page.close({ runBeforeUnload: false })
  await context.setOffline(false)
  const later = await context.newPage()
  await later.goto('/')
  await expect(later.getByText('Sent: 2 entries that this device had kept.')).toBeVisible()
  expect(await readings(later, id)).toEqual([55, 52, 48, 51])
  const [last] = await (await later.request.get(`/api/changes?machineId=${id}`)).json()
  expect(last.who).toBe('Early shift')
  // Nothing is left, and nothing is sent again.
  await later.reload()
  await expect(later.getByRole('main')).toContainText('Left by a closed page')
  expect(await later.evaluate(() => Object.keys(localStorage).filter((k) => k.includes('unsent')))).toEqual(
    [],
  )
  expect(await readings(later, id)).toEqual([55, 52, 48, 51])
})

test('what can not be stored any more is said, and stays until somebody lets it go', async ({ page }) => {
  const id = await halfRead(page, 'Gone meanwhile')
  const [job] = await jobsOf(page, id)
  await page.context().setOffline(true)
  await play(page, 48)
  await expect(kept(page)).toBeVisible()
  const context = page.context()
  await page.close({ runBeforeUnload: false })
  await context.setOffline(false)
  const removed = await context.request.delete(`/api/jobs/${job.id}?version=${job.version}`)
  expect(removed.ok()).toBe(true)
  const later = await context.newPage()
  await later.goto('/')
  const alert = later.getByRole('alert').filter({ hasText: 'could not be stored any more' })
  await expect(alert).toBeVisible()
  await later.reload()
  await alert.getByRole('button', { name: 'Let it go' }).click()
  await expect(alert).toBeHidden()
})

test('a slip is discarded, and a visit begun by mistake is cancelled and brought back', async ({ page }) => {
  const id = await halfRead(page, 'A slip')
  await ring(page)
    .getByRole('button', { name: /^a quarter on: 52 mm/ })
    .click()
  await page.getByRole('button', { name: 'Discard this reading' }).click()
  await expect.poll(() => readings(page, id)).toEqual([55])
  await expect(page.getByRole('button', { name: 'Discard this reading' })).toBeHidden()
  await play(page, 50)
  await expect.poll(() => readings(page, id)).toEqual([55, 50])
  await page.getByRole('button', { name: 'Begun by mistake' }).click()
  await expect(page.getByRole('button', { name: 'Begin as found' })).toBeVisible()
  await expect.poll(() => jobsOf(page, id)).toEqual([])
  const notice = page.getByRole('alert').filter({ hasText: 'The visit is cancelled' })
  await notice.getByRole('button', { name: 'Undo' }).click()
  await expect(next(page)).toContainText('Read on: half-way')
  expect(await readings(page, id)).toEqual([55, 50])
  // Once a round is kept something was set.
  await play(page, 47, 51)
  await page.getByRole('button', { name: 'Keep as found' }).click()
  await expect(panel(page, 'Rounds').getByRole('row', { name: /^as found/ })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Begun by mistake' })).toBeHidden()
})
