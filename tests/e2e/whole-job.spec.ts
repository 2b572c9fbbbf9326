import { addMachine, mark, panel, readSetups, scale, setups } from './bench'
import { tabTo } from './keys'
import { expect, test } from './server'

/** The job of the first slice: pick a machine, say the aim, see every pair, compare one, keep it. */

test('a mechanic chooses a sprocket pair with the mouse', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('link', { name: 'Curlew', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Curlew' })).toBeVisible()

  await page.getByRole('link', { name: /^1?✓? ?Aim/ }).click()
  await page.getByRole('button', { name: 'New aim' }).click()
  // It stands where the one before it stood, once it is stored.
  await expect(page.getByRole('textbox', { name: 'Name' })).toHaveValue(/^Aim \d/)
  await page.getByRole('textbox', { name: 'Name' }).fill('Ferry road')
  await page.getByRole('combobox', { name: 'Aim at' }).click()
  await page.getByRole('option', { name: 'cruise at a speed' }).click()
  await page.getByRole('textbox', { name: 'Speed', exact: true }).fill('90')
  await page.getByRole('textbox', { name: 'From' }).fill('5020')
  await page.getByRole('textbox', { name: 'To', exact: true }).fill('5330')
  await expect(page.getByText('2.76 – 2.93')).toBeVisible()
  await expect(page.getByRole('status').filter({ hasText: /^stored$/ })).toBeVisible()

  await page.getByRole('link', { name: 'choose the wheels' }).click()
  await expect(panel(page, 'Eight ways into the band')).toBeVisible()
  await expect(mark(page, '15 / 43')).toHaveAccessibleName(
    /ratio 2\.867, −4\.4 percent, rear · 60 min, on shelf, meets the aim/,
  )

  await mark(page, '15 / 43').click()
  const comparison = panel(page, /15 \/ 43 against as fitted/)
  await expect(comparison.getByRole('row', { name: /final ratio/ })).toContainText('3.0002.867')
  await expect(comparison.getByRole('row', { name: /rpm at/ })).toContainText('5 450')
  await expect(comparison).toContainText('6th now feels like 6.4 of before')
  await expect(comparison).toContainText('It would show less than true speed')

  await comparison.getByRole('button', { name: 'Keep as a trial' }).click()
  await expect(setups(page).getByRole('radio', { checked: true })).toHaveAccessibleName('Trial A')
  await expect(page.getByText('Kept as Trial A.')).toBeVisible()
})

test('the same job with the keyboard alone', async ({ page }) => {
  const id = await addMachine(page, 'Keyboard bike')
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'Yard' })).toBeVisible()
  await page.keyboard.press('/')
  await expect(page.getByRole('dialog')).toBeVisible()
  await page.keyboard.type('keyboard aim')
  await expect(page.getByRole('option', { name: /Keyboard bike Aim/ })).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Keyboard bike' })).toBeVisible()

  await tabTo(page, 'New aim')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('textbox', { name: 'Name' })).toBeVisible()
  await tabTo(page, 'Tallest')
  await page.keyboard.press('ControlOrMeta+a')
  await page.keyboard.type('2.75')
  await page.keyboard.press('Tab')
  await page.keyboard.press('ControlOrMeta+a')
  await page.keyboard.type('2.95')
  await expect(page.getByText('2.75 – 2.95')).toBeVisible()
  await tabTo(page, 'choose the wheels')
  await page.keyboard.press('Enter')

  await expect(scale(page)).toBeVisible()
  await tabTo(page, /Ratio scale/)
  await page.keyboard.press('ArrowLeft')
  await page.keyboard.press('ArrowLeft')
  await expect(mark(page, '15 / 43')).toHaveAttribute('aria-selected', 'true')
  await page.keyboard.press(']')
  await expect(mark(page, '16 / 43')).toHaveAttribute('aria-selected', 'true')
  await page.keyboard.press('[')
  await page.keyboard.press('}')
  await expect(mark(page, '15 / 44')).toHaveAttribute('aria-selected', 'true')
  await page.keyboard.press('{')
  await page.keyboard.press('t')
  await expect(setups(page).getByRole('radio', { checked: true })).toHaveAccessibleName('Trial A')
  const kept = (await readSetups(page, id)).find((s: { name: string }) => s.name === 'Trial A')
  expect(kept.loops[0]).toMatchObject({ frontSize: 15, rearSize: 43 })
})
