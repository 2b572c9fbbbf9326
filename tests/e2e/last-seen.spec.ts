import { panel } from './bench'
import { expect, test } from './server'
import { chainMachine, jobsOf, next, play, ring } from './visits'

test.use({ serviceWorkers: 'allow' })

test('while nothing answers the page opens with what was seen last, and goes on when it answers', async ({
  page,
  server,
}) => {
  const id = await chainMachine(page, 'Seen last')
  await page.goto('/')
  // From here on the browser keeps what it sees.
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready
    while (!navigator.serviceWorker.controller) await new Promise((after) => setTimeout(after, 20))
  })
  await page.goto(`/machines/${id}/set`)
  await page.getByRole('button', { name: 'Begin as found' }).click()
  await play(page, 55, 52)
  await expect.poll(async () => (await jobsOf(page, id))[0]?.inHand?.round?.readings.length).toBe(2)
  await page.reload()
  await expect(ring(page).getByRole('button', { name: /52 mm/ })).toBeVisible()
  await page.waitForLoadState('networkidle')

  await server.kill()
  await page.goto('about:blank')
  await page.goto(`/machines/${id}/set`)
  const notice = page.getByText(/This is as it was seen here on \d{4}-\d\d-\d\d \d\d:\d\d/)
  await expect(notice).toBeVisible()
  await expect(ring(page).getByRole('button', { name: /52 mm/ })).toBeVisible()
  await expect(next(page)).toContainText('Read on: half-way')
  await play(page, 48)
  await expect(page.getByText(/1 entry is kept on this device/)).toBeVisible()
  await expect(ring(page).getByRole('button', { name: /48 mm/ })).toBeVisible()

  await server.begin()
  await expect(notice).toBeHidden()
  await expect.poll(async () => (await jobsOf(page, id))[0].inHand.round.readings.length).toBe(3)
  await expect(page.getByText(/kept on this device/)).toBeHidden()
  await expect(panel(page, 'As found')).toBeVisible()
})

test('it can be installed', async ({ page }) => {
  await page.goto('/')
  const address = await page.locator('link[rel=manifest]').getAttribute('href')
  const manifest = await (await page.request.get(address ?? '')).json()
  expect(manifest.display).toBe('standalone')
  for (const icon of manifest.icons) {
    const picture = await page.request.get(icon.src)
    expect(picture.headers()['content-type']).toBe(icon.type)
  }
  const worker = await page.request.get('/last-seen.js')
  expect(worker.headers()['cache-control']).toBe('no-cache')
})
