import { expect, type Locator, type Page, test } from './server'

const dialog = (page: Page) => page.getByRole('dialog')

/** Opens by key, leaves by Escape: whoever works by keys goes on where they were. */
async function comesBackTo(page: Page, opener: Locator) {
  await expect(dialog(page)).toBeVisible()
  // What was opened has the focus.
  await expect
    .poll(() => page.evaluate(() => document.activeElement?.closest('[role=dialog]') !== null))
    .toBe(true)
  await page.keyboard.press('Escape')
  await expect(dialog(page)).toBeHidden()
  await expect(opener).toBeFocused()
}

for (const [name, path, button] of [
  ['a machine is added', '/', /^Add a machine$/],
  ['the history of the workshop', '/', /^History/],
  ['keys', '/', /Keys$/],
  ['find', '/', /Find$/],
  ['a working', '/machines/1/loads', /^working$/],
  ['what the drive is made of', '/machines/1/aim', /^Edit machine and drive$/],
  ['a wheel is added', '/stock', /^Add a wheel$/],
  ['bay mode', '/machines/7/set?loops=first', /^Bay mode$/],
] as const)
  test(`the focus comes back to what opened it: ${name}`, async ({ page }) => {
    await page.goto(path)
    if (name === 'bay mode') await page.getByRole('button', { name: 'Begin as found' }).click()
    const opener = page.getByRole('button', { name: button }).first()
    await opener.focus()
    await page.keyboard.press('Enter')
    await comesBackTo(page, opener)
  })

test('the focus comes back to the menu whose item opened it', async ({ page }) => {
  await page.goto('/machines/1/ratio')
  const menu = page.getByRole('button', { name: 'More for Curlew' })
  await menu.focus()
  await page.keyboard.press('Enter')
  await page.getByRole('menuitem', { name: /^Edit/ }).focus()
  await page.keyboard.press('Enter')
  await comesBackTo(page, menu)
})

test('a click beside it drops nothing that was typed', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Add a machine' }).first().click()
  await dialog(page).getByLabel('Name').fill('Half a name')
  await page.mouse.click(4, 400)
  await expect(dialog(page).getByLabel('Name')).toHaveValue('Half a name')
})

test('what is held goes on stepping', async ({ page }) => {
  await page.goto('/machines/7/set?loops=first')
  await page.getByRole('button', { name: 'Bay mode' }).click()
  await dialog(page)
    .getByRole('radiogroup', { name: 'Of this visit' })
    .getByText('Read', { exact: true })
    .click()
  const more = dialog(page).getByRole('button', { name: 'More play' })
  await more.hover()
  await page.mouse.down()
  await expect(dialog(page)).toContainText(/\b[1-9]\d(\.\d)?\s?mm/)
  await page.mouse.up()
})
