import { addMachine, panel } from './bench'
import { expect, type Page, test } from './server'
import { chainMachine, next, play, ring } from './visits'

/** Two devices at one job: what one does is on the other's page within two seconds. */

const SOON = { timeout: 2_000 }

const openJob = async (page: Page, machine: number) => {
  const opened = await page.request.post(`/api/machines/${machine}/jobs`, {
    data: { openedOn: '2026-11-20', reason: 'visit' },
  })
  return `/machines/${machine}/jobs/${(await opened.json()).id}`
}

const note = async (page: Page, text: string) => {
  await page.getByRole('textbox', { name: 'Note' }).fill(text)
  await page.getByRole('button', { name: 'Write it down' }).click()
}

test('what is written down on one page is on the other, whichever began', async ({ page }) => {
  const address = await openJob(page, await addMachine(page, 'Two hands'))
  const other = await page.context().newPage()
  await page.goto(address)
  await other.goto(address)
  for (const p of [page, other]) await expect(p.getByRole('textbox', { name: 'Note' })).toBeVisible()
  await note(page, 'one screw is stuck')
  await expect(other.getByText('one screw is stuck')).toBeVisible(SOON)
  await note(other, 'it came loose')
  await expect(page.getByText('it came loose')).toBeVisible(SOON)
  await page.getByRole('textbox', { name: 'What it waits for' }).fill('a screw')
  await page.getByRole('button', { name: 'It waits' }).click()
  await expect(other.getByText('it still waits for a screw')).toBeVisible(SOON)
  // Both say at once that it has come: one of them does it, the other finds it done, if it comes to it at all.
  const come = (p: Page) => p.getByRole('button', { name: 'It has come' })
  await Promise.allSettled([come(page).click(SOON), come(other).click(SOON)])
  for (const p of [page, other]) await expect(p.getByText('it still waits for')).toHaveCount(0, SOON)
})

test('a second page reads along while the first one sets', async ({ page }) => {
  const id = await chainMachine(page, 'Read along')
  const other = await page.context().newPage()
  await page.goto(`/machines/${id}/set`)
  await page.getByRole('button', { name: 'Begin as found' }).click()
  await other.goto(`/machines/${id}/set`)
  await expect(panel(other, 'Reading')).toBeVisible()
  const read = (p: Page, mm: number) => ring(p).getByRole('button', { name: new RegExp(`: ${mm} mm`) })
  await play(page, 31)
  await expect(read(other, 31)).toBeVisible(SOON)
  // It stands at the first place that was not read yet, on either page.
  await play(other, 38)
  await expect(read(page, 38)).toBeVisible(SOON)
  for (const p of [page, other]) await expect(read(p, 31)).toBeVisible()
  await expect(next(page)).toHaveText((await next(other).textContent()) ?? '', SOON)
})

test('what is done while the server is away is written down once it is back, and once only', async ({
  page,
  server,
}) => {
  const address = await openJob(page, await addMachine(page, 'Power cut'))
  const other = await page.context().newPage()
  await page.goto(address)
  await other.goto(address)
  await expect(other.getByRole('textbox', { name: 'Note' })).toBeVisible()
  await server.kill()
  await note(page, 'lamp went out')
  await expect(page.getByText('It is tried again every few seconds.')).toBeVisible()
  await server.begin()
  await expect(page.getByText('lamp went out')).toHaveCount(1)
  await expect(other.getByText('lamp went out')).toHaveCount(1, SOON)
  await expect(page.getByText('It is tried again every few seconds.')).toHaveCount(0)
})
