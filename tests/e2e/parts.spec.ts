import { addMachine, panel } from './bench'
import { expect, type Page, test } from './server'

/** Parts, tools and how they are got; what is used at a job comes from there. */

const parts = async (page: Page) => (await page.request.get('/api/parts')).json()

test('a part is added, refused when impossible, found by words, and removed again', async ({ page }) => {
  await page.goto('/stock')
  await page.getByText('Other parts').click()
  await page.getByRole('button', { name: 'Add a part' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('textbox', { name: 'Price' }).fill('-1')
  await dialog.getByRole('button', { name: 'Add' }).click()
  await expect(dialog.getByText('Give a name.')).toBeVisible()
  await expect(dialog.getByText('Give 0 to 1000000.')).toBeVisible()
  await dialog.getByRole('combobox', { name: 'Kind' }).click()
  await page.getByRole('option', { name: 'seal' }).click()
  await dialog.getByRole('textbox', { name: 'Which one' }).fill('30 × 42 × 7')
  await dialog.getByRole('textbox', { name: 'Goes with' }).fill('jackshaft')
  await dialog.getByRole('textbox', { name: 'Price' }).fill('4.8')
  await dialog.getByRole('button', { name: 'Add' }).click()
  await expect(dialog).toHaveCount(0)
  await page.getByRole('textbox', { name: 'Only parts with these words' }).fill('jackshaft seal')
  const row = panel(page, 'Parts').getByRole('row', { name: /seal 30 × 42 × 7/ })
  await expect(row).toBeVisible()
  await expect(panel(page, 'Parts').getByRole('row')).toHaveCount(2)

  // Who has it, how long it takes, and since when nobody has it.
  await row.getByRole('button', { name: /How to get/ }).click()
  await dialog.getByRole('textbox', { name: 'Supplier' }).fill('Fen Bearings')
  await dialog.getByRole('textbox', { name: 'Delivery' }).fill('400')
  await expect(dialog.getByText('Give 0 to 365 days.')).toBeVisible()
  await dialog.getByRole('textbox', { name: 'Delivery' }).fill('4')
  await dialog.getByRole('button', { name: 'Close' }).click()
  await expect(row).toContainText(/Fen Bearings, 4\sdays/)
  await row.getByRole('checkbox', { name: /can be ordered/ }).uncheck()
  await expect(row).toContainText(/since \d{4}-\d\d-\d\d/)
  await expect
    .poll(async () => (await parts(page)).find((p: { name: string }) => p.name === '30 × 42 × 7'))
    .toMatchObject({ kind: 'seal', obtainable: false, price: 4.8, supply: { supplier: 'Fen Bearings' } })

  await row.getByRole('button', { name: /Take seal/ }).click()
  await expect(page.getByText('No part is listed here.')).toBeVisible()
})

test('a part that is used comes from Stock with its price, and taken back it lies there again', async ({
  page,
}) => {
  const link = (await parts(page)).find((p: { name: string }) => p.name === 'clip')
  const id = await addMachine(page, 'Needs a link')
  const opened = await page.request.post(`/api/machines/${id}/jobs`, {
    data: { openedOn: '2026-11-30', reason: 'visit', about: null, odometerKm: null, hours: null },
  })
  await page.goto(`/machines/${id}/jobs/${(await opened.json()).id}`)
  const used = panel(page, 'Parts used')
  await used.getByRole('combobox', { name: 'Part' }).fill('428 clip')
  await page.getByRole('option', { name: 'joining link clip for 428: 5 there' }).click()
  await used.getByRole('textbox', { name: 'Pieces' }).fill('9')
  await used.getByRole('button', { name: 'Use it' }).click()
  await expect(used.getByText('Stock has 5 of it. Count anew there first, or take fewer.')).toBeVisible()
  await used.getByRole('textbox', { name: 'Pieces' }).fill('2')
  await used.getByRole('button', { name: 'Use it' }).click()
  await expect(used.getByRole('row', { name: /joining link clip for 428 2 1\.90 3\.80 Stock/ })).toBeVisible()
  const count = async () => (await parts(page)).find((p: { id: number }) => p.id === link.id).count
  expect(await count()).toBe(3)

  await used.getByText('from elsewhere').click()
  await used.getByRole('textbox', { name: 'Part' }).fill('seal the owner brought')
  await used.getByRole('button', { name: 'Use it' }).click()
  await expect(used).toContainText('3.80 and 1 without a price')
  await used.getByRole('button', { name: 'Take back: joining link clip for 428' }).click()
  await expect(used).toContainText('0.00 and 1 without a price')
  expect(await count()).toBe(5)
})

test('a tool that is not on hand is said where the step asks for it', async ({ page }) => {
  await page.goto('/machines/1/set')
  const before = page.getByRole('region', { name: 'Before your hands go near' })
  await expect(before).toBeVisible()
  await expect(before.getByText(/No stand on hand/)).toHaveCount(0)
  await page.goto('/stock')
  const tools = panel(page, 'Tools on hand')
  const stand = tools.getByRole('button', { name: 'Take stand out of the list' })
  await stand.click()
  await expect(stand).toHaveCount(0)
  await page.goto('/machines/1/set')
  await expect(before.getByText(/No stand on hand. In its place: Somebody holds the machine/)).toBeVisible()
  await expect(before.getByText(/It can fall or roll/)).toBeVisible()
  await page.goto('/stock')
  await tools.getByRole('combobox', { name: 'Tool' }).click()
  await page.getByRole('option', { name: 'stand' }).click()
  await tools.getByRole('button', { name: 'Add a tool' }).click()
  await expect(stand).toBeVisible()
})
