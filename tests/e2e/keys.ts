import { expect, type Locator, type Page } from '@playwright/test'

const MOST_STOPS = 120

/** Tabs on until something of that name has the focus. */
export async function tabTo(page: Page, name: string | RegExp) {
  for (let i = 0; i < MOST_STOPS; i++) {
    const focused = await page.evaluate(() => {
      const it = document.activeElement as HTMLInputElement
      return it.getAttribute('aria-label') ?? it.labels?.[0]?.textContent ?? it.textContent ?? ''
    })
    if (typeof name === 'string' ? focused === name : name.test(focused)) return
    await page.keyboard.press('Tab')
  }
  throw new Error(`nothing called ${name} can be reached with Tab`)
}

/** Tabs on until a certain thing has the focus. */
export async function reach(page: Page, thing: Locator) {
  await expect(thing).toBeVisible()
  for (let i = 0; i < MOST_STOPS; i++) {
    if (await thing.evaluate((it) => it === document.activeElement)) return
    await page.keyboard.press('Tab')
  }
  throw new Error(`${thing} can’t be reached with Tab`)
}

/** Reaches a group of radios and moves on in it until one of them is chosen. */
export async function choose(page: Page, within: Locator, name: string | RegExp) {
  const radio = page.getByRole('radio', { name, exact: true })
  const group = within.getByRole('radiogroup').filter({ has: radio })
  const wanted = group.getByRole('radio', { name, exact: true })
  if (await wanted.isChecked()) return
  for (let i = 0; !(await group.evaluate((it) => it.contains(document.activeElement))); i++) {
    if (i === MOST_STOPS) throw new Error(`${group} can’t be reached with Tab`)
    await page.keyboard.press('Tab')
  }
  await page.keyboard.press('Space')
  const count = await group.getByRole('radio').count()
  for (let i = 0; i < count && !(await wanted.isChecked()); i++) await page.keyboard.press('ArrowDown')
  await expect(wanted).toBeChecked()
}

/** Opens the list of the field that has the focus and takes one of its options. */
export async function pick(page: Page, name: string) {
  const active = page.locator('[role=option][data-combobox-active], [role=option][data-combobox-selected]')
  await page.keyboard.press('ArrowDown')
  await expect(page.getByRole('option', { name, exact: true })).toBeVisible()
  for (let i = 0; i < MOST_STOPS && !(await active.allTextContents()).includes(name); i++)
    await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Enter')
}
