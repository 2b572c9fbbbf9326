import { expect, test } from './server'

test('the reference of the API is read and fetches nothing from elsewhere', async ({ page }) => {
  const wrong: string[] = []
  page.on('console', (m) => m.type() === 'error' && wrong.push(m.text()))
  page.on('request', (r) => {
    if (new URL(r.url()).hostname !== '127.0.0.1' && !/^(data|blob):/.test(r.url())) wrong.push(r.url())
  })
  await page.goto('/')
  await expect(page.getByRole('article').first()).toBeVisible()
  await page.keyboard.press('?')
  await page.getByRole('link', { name: 'the calls of this program' }).click()
  // The reference reads a description of a megabyte: a busy machine takes its time.
  await expect(page.getByRole('heading', { name: 'Wendrak', exact: true })).toBeVisible({ timeout: 30_000 })
  await expect(page.getByText('Units end the name of a number').first()).toBeVisible()
  expect(wrong).toEqual([])
})
