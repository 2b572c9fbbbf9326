import { panel } from './bench'
import { expect, type Page, test } from './server'

/** A phone in one hand: what a pick comes to stays at its foot, and a mark is hit without aiming. */

const bar = (page: Page) => page.getByRole('status').filter({ has: page.locator('b.num') })

async function phone(browser: import('@playwright/test').Browser, baseURL: string | undefined) {
  const context = await browser.newContext({
    ...(baseURL ? { baseURL } : {}),
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    isMobile: true,
  })
  return context.newPage()
}

test('a press beside a mark picks it, says what was hit, and is kept from the bar at the foot', async ({
  browser,
  baseURL,
}) => {
  const page = await phone(browser, baseURL)
  await page.goto('/machines/1/ratio')
  await expect(bar(page)).toContainText(/15\s*\/\s*45.*as fitted/)
  const scale = page.getByRole('listbox', { name: /^Ratio scale/ })
  const rectOf = async (pair: RegExp) => {
    const box = await scale.getByRole('option', { name: pair }).locator('rect').first().boundingBox()
    if (!box) throw new Error('no mark')
    return box
  }
  // Left of the first mark of its row there is none: the nearest is meant, and said above the finger.
  const first = await rectOf(/^14 \/ 40,/)
  await page.touchscreen.tap(first.x - 4, first.y + first.height / 2)
  await expect(scale.getByRole('option', { name: /^14 \/ 40,/ })).toHaveAttribute('aria-selected', 'true')
  await expect(page.locator('span').filter({ hasText: /^−4\.8\s% taller/ })).toBeVisible()
  await expect(bar(page)).toContainText(/14 \/ 40.*2\.857.*meets the aim.*off the slot/)
  const other = await rectOf(/^16 \/ 45,/)
  await page.touchscreen.tap(other.x + other.width / 2, other.y + other.height / 2)
  await expect(bar(page)).toContainText(/16 \/ 45.*2\.81.*−6\.\d\s%/)
  await expect(bar(page)).toContainText(/links, axle [+−]\d/)
  await expect(bar(page)).toBeInViewport()
  // Far down the page it is still there, above the rail.
  await page.mouse.wheel(0, 1200)
  await expect(bar(page)).toBeInViewport()
  await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: /Fit/ }).click()
  await expect(bar(page)).toContainText('16 / 45')
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.getByText(/^Kept as Trial/)).toBeVisible()
  await page.getByRole('button', { name: 'Back to as fitted, from the bar' }).click()
  await expect(bar(page)).toContainText('as fitted')
  await page.context().close()
})

test('with a pointer the bar is read aloud only, and tells what an arrow key picked', async ({ page }) => {
  await page.goto('/machines/1/ratio')
  const scale = page.getByRole('listbox', { name: /^Ratio scale/ })
  await expect(scale.getByRole('option').first()).toBeVisible()
  // From the top of the page: past the places, past the head of the machine, to the scale.
  await page.keyboard.press('Tab')
  await page.keyboard.press('Enter')
  await page.keyboard.press('Tab')
  await expect(page.getByRole('link', { name: 'Skip to the station' })).toBeFocused()
  await page.keyboard.press('Enter')
  for (let tabs = 0; tabs < 3 && !(await scale.evaluate((e) => e === document.activeElement)); tabs++)
    await page.keyboard.press('Tab')
  await expect(scale).toBeFocused()
  await page.keyboard.press('ArrowRight')
  await expect(bar(page)).not.toContainText('as fitted')
  await expect(bar(page)).toContainText(/%/)
  // The page has its own button for that.
  await expect(page.getByRole('button', { name: 'Keep', exact: true })).toHaveCount(0)
  await expect(panel(page, /against as fitted/)).toBeVisible()
})
