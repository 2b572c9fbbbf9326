import { panel } from './bench'
import { expect, test } from './server'

/** What is stamped or moulded: what it is, what else it could be, and what it goes with in this yard. */

test('a marking in Stock, one that may be several things, and nonsense', async ({ page }) => {
  await page.goto('/stock')
  const tool = panel(page, 'What is that?')
  const text = tool.getByRole('textbox', { name: 'As it is stamped or moulded' })
  await text.fill('428H x 132')
  await expect(tool).toContainText('Motorcycle chain')
  await expect(tool).toContainText('axle chain of Turnstone')
  await expect(tool).toContainText('H: heavier plates')
  await expect(tool).toContainText(/On the shelf: front 12, front 13 × 2/)
  await text.fill('428 x 112 x 3')
  await expect(tool).toContainText('Understood “428 X 112” (Motorcycle chain); “3” behind it says nothing')
  await text.fill('520')
  await expect(tool).toContainText('It could be:')
  await tool.locator('summary').filter({ hasText: 'Motorcycle chain' }).click()
  await expect(tool).toContainText('final drive of Curlew')
  // Somebody who knows on what it stands is told that alone.
  await tool.getByRole('combobox', { name: 'It stands on' }).click()
  await page.getByRole('option', { name: 'a chain', exact: true }).click()
  await expect(tool).not.toContainText('It could be:')
  await tool.getByRole('combobox', { name: 'It stands on' }).click()
  await page.getByRole('option', { name: 'a sprocket or pulley' }).click()
  await text.fill('45')
  await expect(tool).toContainText('It does not say what runs on it')
})

test('without a marking: by measure, in inches, at Fit and beside a search', async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('wendrak.units', 'inch'))
  await page.goto('/machines/7/fit')
  const tool = panel(page, 'What is that?')
  await tool.getByText('by measure').click()
  await tool.getByRole('textbox', { name: 'Over ten pitches' }).fill('5 1/8')
  await expect(tool).toContainText('428')
  await tool.getByRole('textbox', { name: 'Between inner plates' }).fill('0.309')
  await tool.getByRole('textbox', { name: 'Over a roller' }).fill('0.335')
  await tool.locator('summary').filter({ hasText: '428' }).click()
  // 5 1/8 inches over ten half inches: 2.5 % longer than new.
  await expect(tool).toContainText('2.5 %')
  await tool.getByRole('textbox', { name: 'Over ten pitches' }).fill('50')
  await expect(tool).toContainText('Give 0.5906 to 31.49 in')
  await page.goto('/faults/7/final')
  await panel(page, 'What is that?').getByText('by measure').click()
  await panel(page, 'What is that?').getByText('a toothed belt').click()
  await panel(page, 'What is that?').getByRole('textbox', { name: 'Over ten pitches' }).fill('50 mm')
  await expect(panel(page, 'What is that?')).toContainText('T5')
  await panel(page, 'What is that?').getByText('round', { exact: true }).click()
  await expect(panel(page, 'What is that?')).not.toContainText('T5')
  await expect(panel(page, 'What is that?')).toContainText('5M')
})
