import { expect, type Page, test } from './server'

const row = (page: Page, words: RegExp) => page.getByRole('row', { name: words })
const readStock = async (page: Page) => (await page.request.get('/api/stock')).json()

test('counts go up and down, are stored, and steer the search', async ({ page }) => {
  await page.goto('/stock')
  await page.getByRole('button', { name: 'One more rear 44 for 520' }).click()
  await expect(page.getByLabel('On the shelf: rear 44 for 520')).toHaveText('1')
  await expect
    .poll(
      async () =>
        (await readStock(page)).find((s: { wheel: { size: number } }) => s.wheel.size === 44).wheel.count,
    )
    .toBe(1)
  await page.goto('/machines/1/ratio')
  await expect(page.getByRole('option', { name: /^15 \/ 44,/ })).toHaveAccessibleName(/on shelf/)
  await page.goto('/stock')
  await page.getByRole('button', { name: 'One fewer rear 44 for 520' }).click()
  await expect(page.getByRole('button', { name: 'One fewer rear 44 for 520' })).toBeDisabled()
})

test('a wheel is added, refused when impossible, and removed again', async ({ page }) => {
  await page.goto('/stock')
  await page.getByRole('button', { name: 'Add a wheel' }).click()
  await page.getByRole('textbox', { name: 'Teeth, or mm across' }).fill('2')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(page.getByText('Give 5 to 3000.')).toBeVisible()
  await page.getByRole('textbox', { name: 'Teeth, or mm across' }).fill('19')
  await page.getByRole('textbox', { name: 'Mounting' }).fill('10-spline')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(row(page, /520 front 19 10-spline/)).toBeVisible()
  await page.getByRole('button', { name: 'Take front 19 for 520 out of the list' }).click()
  await expect(row(page, /520 front 19 10-spline/)).toHaveCount(0)
})

test('the list is narrowed by standard and words', async ({ page }) => {
  await page.goto('/stock')
  await page.getByRole('textbox', { name: 'Only wheels with these words' }).fill('front 13-spline')
  await expect(page.getByRole('region', { name: 'Wheels' }).getByRole('row')).toHaveCount(6)
  await page.getByRole('textbox', { name: 'Only wheels with these words' }).fill('nothing like it')
  await expect(page.getByText('No wheel is listed here.')).toBeVisible()
})

test('a gearbox set is made, corrected for every machine, and stays while it is used', async ({ page }) => {
  await page.goto('/stock')
  await page.getByRole('button', { name: 'New set' }).click()
  await page.getByRole('textbox', { name: 'Name' }).fill('Test set')
  await page.getByRole('textbox', { name: 'Ratios, first gear first' }).fill('37/14 1,857 abc')
  await expect(page.getByText('“abc” is not a ratio')).toBeVisible()
  await page.getByRole('textbox', { name: 'Ratios, first gear first' }).fill('37/14 1,857')
  await page.getByRole('button', { name: 'Store' }).click()
  await expect(page.getByText('2.642857 1.857')).toBeVisible()
  await page.getByRole('button', { name: 'Edit Courier six' }).click()
  await page.getByRole('button', { name: 'Remove' }).click()
  await expect(page.getByRole('alert')).toContainText('Used by machine “Curlew”')
})
