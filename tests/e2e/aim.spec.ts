import { addAim, addMachine, panel, readAims } from './bench'
import { expect, test } from './server'

const NINETY = {
  kind: 'cruiseSpeed',
  speedKmh: 90,
  gearIndex: 5,
  shaftSpeedLowRpm: 5020,
  shaftSpeedHighRpm: 5330,
}
const stored = (page: import('@playwright/test').Page) =>
  page.getByRole('status').filter({ hasText: /^stored$/ })

test('each kind of aim asks for its own fields and gives a band', async ({ page }) => {
  const id = await addMachine(page, 'Kinds bike')
  await addAim(page, id, NINETY)
  await page.goto(`/machines/${id}/aim`)
  for (const [kind, field] of [
    ['top speed at the limit', 'Give or take'],
    ['speed of the output', 'Output'],
    ['overall ratio', 'Tallest'],
    ['final ratio', 'Shortest'],
    ['match a setup', 'Give or take'],
    ['cruise at a speed', 'Speed'],
  ] as const) {
    await page.getByRole('combobox', { name: 'Aim at' }).click()
    await page.getByRole('option', { name: kind }).click()
    await expect(page.getByRole('textbox', { name: field, exact: true })).toBeVisible()
    await expect(page.getByText(/final drive ratio wanted/)).toBeVisible()
    await expect(stored(page)).toBeVisible()
  }
  expect((await readAims(page, id))[0].target.kind).toBe('cruiseSpeed')
})

test('an impossible aim is refused at its field, the last good band stays, and nothing bad is stored', async ({
  page,
}) => {
  const id = await addMachine(page, 'Refused bike')
  await addAim(page, id, NINETY)
  await page.goto(`/machines/${id}/aim`)
  await expect(page.getByText(/\d\.\d\d – \d\.\d\d/)).toBeVisible()
  await page.getByRole('textbox', { name: 'To', exact: true }).fill('300')
  await expect(page.getByText(/Give 5020 rpm or more/).first()).toBeVisible()
  await expect(page.getByText('for the earlier values')).toBeVisible()
  await expect(page.getByText('not stored yet')).toBeVisible()
  expect((await readAims(page, id))[0].target.shaftSpeedHighRpm).toBe(5330)
  await page.getByRole('textbox', { name: 'To', exact: true }).fill('5400')
  await expect(stored(page)).toBeVisible()
  expect((await readAims(page, id))[0].target.shaftSpeedHighRpm).toBe(5400)
})

test('what is typed just before leaving is stored', async ({ page }) => {
  const id = await addMachine(page, 'Hasty bike')
  await addAim(page, id, NINETY)
  await page.goto(`/machines/${id}/aim`)
  await page.getByRole('textbox', { name: 'Name' }).fill('Typed in a hurry')
  await page.getByRole('link', { name: 'Yard', exact: true }).click()
  await expect.poll(async () => (await readAims(page, id))[0].name).toBe('Typed in a hurry')
})

test('a try is noted with conditions and score and found again from the nearest aim', async ({ page }) => {
  const id = await addMachine(page, 'Memory bike')
  await addAim(page, id, { kind: 'finalRatio', low: 2.8, high: 3.2 }, 'Ridge')
  await addAim(page, id, { kind: 'finalRatio', low: 2.9, high: 3.2 }, 'New route')
  await page.goto(`/machines/${id}/aim`)
  await page.getByRole('radio', { name: /Ridge/ }).click()
  await page.getByRole('button', { name: 'Note a try' }).click()
  const form = panel(page, 'Tried against this aim')
  await form.getByRole('textbox', { name: 'Surface' }).fill('gravel')
  await form.getByText('5', { exact: true }).click()
  await form.getByRole('textbox', { name: 'Note' }).fill('pulled everywhere')
  await form.getByRole('button', { name: 'Keep' }).click()
  await expect(form).toContainText('5 of 5')
  await expect(stored(page)).toBeVisible()
  await page.getByRole('radio', { name: /New route/ }).click()
  const nearest = panel(page, 'Nearest remembered')
  await expect(nearest).toContainText('Ridge')
  await expect(nearest).toContainText('“pulled everywhere”')
  await nearest.getByRole('button', { name: 'Pick 15 / 45' }).click()
  const [ridge] = await readAims(page, id)
  expect(ridge.outcomes[0]).toMatchObject({
    score: 5,
    note: 'pulled everywhere',
    conditions: { surface: 'gravel' },
  })
})

test('wishes are kept with the aim', async ({ page }) => {
  const id = await addMachine(page, 'Wishful bike')
  await addAim(page, id, NINETY)
  await page.goto(`/machines/${id}/aim`)
  await page.getByRole('radiogroup', { name: 'quiet' }).getByText('3').click()
  await expect.poll(async () => (await readAims(page, id))[0].wishes.quiet).toBe(3)
})

test('two windows: the second is told, shown both, and nothing is lost', async ({ page, context }) => {
  const id = await addMachine(page, 'Shared bike')
  await addAim(page, id, NINETY, 'Before')
  await page.goto(`/machines/${id}/aim`)
  const other = await context.newPage()
  // It hears of nothing, as one whose line is down for a moment.
  await other.route('**/api/changes/stream*', (stream) => stream.abort())
  await other.goto(`/machines/${id}/aim`)
  await expect(other.getByRole('textbox', { name: 'Name' })).toHaveValue('Before')
  await expect(page.getByRole('textbox', { name: 'Name' })).toHaveValue('Before')
  await page.getByRole('textbox', { name: 'Name' }).fill('From the first')
  await expect.poll(async () => (await readAims(page, id))[0].name).toBe('From the first')
  await other.getByRole('textbox', { name: 'Name' }).fill('From the second')
  const dialog = other.getByRole('dialog', { name: 'Changed in another window' })
  await expect(dialog.getByRole('row', { name: /name/ })).toContainText('From the firstFrom the second')
  // Put off, it is said, and what was typed stays.
  await other.keyboard.press('Escape')
  await expect(dialog).toBeHidden()
  await expect(other.getByRole('textbox', { name: 'Name' })).toHaveValue('From the second')
  await other.getByRole('alert').getByRole('button', { name: 'Choose' }).click()
  await dialog.getByRole('button', { name: 'Store it so' }).click()
  await expect.poll(async () => (await readAims(page, id))[0].name).toBe('From the second')
  await other.keyboard.press('Escape')
  await other.getByRole('button', { name: /History/ }).click()
  await expect(other.getByText('aim · name: From the first → From the second')).toBeVisible()
  await other.keyboard.press('Escape')

  // Theirs is taken: mine is in the history all the same.
  await page.reload()
  await page.getByRole('textbox', { name: 'Name' }).fill('Third, of the first')
  await expect.poll(async () => (await readAims(page, id))[0].name).toBe('Third, of the first')
  await other.getByRole('textbox', { name: 'Name' }).fill('Third, of the second')
  await dialog.getByRole('radiogroup', { name: 'name: which one stands' }).getByText('stored').click()
  await dialog.getByRole('button', { name: 'Take what is stored' }).click()
  await expect(other.getByRole('textbox', { name: 'Name' })).toHaveValue('Third, of the first')
  await other.getByRole('button', { name: /History/ }).click()
  await expect(other.getByText('aim · name: Third, of the first → Third, of the second')).toBeVisible()
  expect((await readAims(page, id))[0].name).toBe('Third, of the first')
})

test('a removed aim comes back from the history', async ({ page }) => {
  const id = await addMachine(page, 'Removal bike')
  await addAim(page, id, NINETY, 'Gone soon')
  await page.goto(`/machines/${id}/aim`)
  await page.getByRole('button', { name: 'Remove this aim' }).click()
  await expect(page.getByText('No aim is kept for this machine.')).toBeVisible()
  await page.getByRole('button', { name: /History/ }).click()
  await page.getByRole('button', { name: 'Undo removed aim Gone soon' }).click()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('radio', { name: /Gone soon/ })).toBeVisible()
})
