import { addMachine } from './bench'
import { expect, test } from './server'

test('everything is downloaded, and what a backup would change is shown before it does', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Backup', exact: true }).click()
  const dialog = page.getByRole('dialog', { name: 'Backup' })
  const download = page.waitForEvent('download')
  await dialog.getByRole('link', { name: 'Download everything' }).click()
  const backup = await (await download).path()
  await page.keyboard.press('Escape')

  await addMachine(page, 'Added since the backup')
  await page.reload()
  await page.getByRole('button', { name: 'Backup', exact: true }).click()
  await dialog.locator('input[type=file]').setInputFiles(backup)
  await expect(dialog).toContainText(/machine: \d+ stay as they are; 1 goes \(Added since the backup\)/)
  await dialog.getByRole('button', { name: 'Leave all as it is' }).click()
  await expect(dialog.getByRole('button', { name: 'Restore from a file' })).toBeVisible()
  await dialog.locator('input[type=file]').setInputFiles({
    name: 'letter.zip',
    mimeType: 'application/zip',
    buffer: Buffer.from('a letter'.padEnd(500)),
  })
  await expect(dialog.getByRole('alert')).toContainText('not a Wendrak data file')
})

test('a machine is removed with all that belongs to it, and brought back', async ({ page }) => {
  await addMachine(page, 'Removed and back')
  await page.goto('/')
  await page.getByRole('button', { name: 'More for Removed and back' }).click()
  await page.getByRole('menuitem', { name: 'Remove' }).click()
  await expect(page.getByText('Removed and back is removed with all that belongs to it')).toBeVisible()
  await expect(page.getByRole('article').filter({ hasText: 'Removed and back' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('article').filter({ hasText: 'Removed and back' })).toHaveCount(1)
})

test('what can not be stored for now is said, kept, and stored by itself once it can', async ({ page }) => {
  let isFull = true
  await page.route('**/api/stock/*', (route) =>
    isFull && route.request().method() === 'PUT'
      ? route.fulfill({
          status: 507,
          contentType: 'application/problem+json',
          body: JSON.stringify({
            status: 507,
            title: 'The data can’t be used',
            detail:
              'The disk is full: nothing can be stored. Make room; what you typed is kept here until then.',
            trouble: 'full',
          }),
        })
      : route.continue(),
  )
  await page.goto('/stock')
  const shelf = page.getByLabel('On the shelf: rear 46 for 520')
  const before = Number(await shelf.textContent())
  await page.getByRole('button', { name: 'One more rear 46 for 520' }).click()
  await expect(page.getByRole('alert')).toContainText('The disk is full')
  isFull = false
  await expect(page.getByRole('alert')).toHaveCount(0)
  await expect(shelf).toHaveText(String(before + 1))
  const stock = await (await page.request.get('/api/stock')).json()
  expect(
    stock.find((s: { wheel: { size: number; standard: string } }) => s.wheel.size === 46).wheel.count,
  ).toBe(before + 1)
})
