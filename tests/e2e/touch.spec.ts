import { addMachine } from './bench'
import { expect, type Page, test } from './server'
import { MAIN_VIEWS } from './views'

/** Whoever has a finger and no pointer: every control is large enough to be hit, and nothing is pushed sideways. */

const LEAST = 44
const STATIONS = ['aim', 'ratio', 'fit', 'loads', 'build', 'set', 'check', 'choice', 'jobs']

/** Controls in view that are smaller than a finger: what they are called, and how large they are. */
const tooSmall = (page: Page) =>
  page.evaluate((least) => {
    const controls =
      'button, summary, select, [role=combobox], input:not([type=hidden]):not([type=file]):not([type=range]), a.mantine-Button-root'
    return [...document.querySelectorAll<HTMLElement>(controls)].flatMap((control) => {
      if (control.closest('[aria-hidden=true], svg')) return []
      // A box or switch is pressed by its words, too; a radio of a bar by its label.
      const target = control.matches('[type=checkbox], [type=radio]')
        ? (control.closest<HTMLElement>('[class*=-body], [class*=control], label') ??
          control.parentElement?.querySelector<HTMLElement>('label') ??
          control)
        : control
      const box = target.getBoundingClientRect()
      const isShown = box.width > 1 && box.height > 1 && getComputedStyle(control).visibility !== 'hidden'
      return isShown && (box.height < least - 0.5 || box.width < least - 0.5)
        ? [
            `${control.ariaLabel ?? control.textContent?.trim() ?? control.id}: ${box.width.toFixed(0)} × ${box.height.toFixed(0)}`,
          ]
        : []
    })
  }, LEAST)

for (const path of MAIN_VIEWS)
  test(`a finger hits every control: ${path}`, async ({ browser, baseURL }) => {
    const context = await browser.newContext({
      baseURL,
      viewport: { width: 390, height: 844 },
      hasTouch: true,
      isMobile: true,
      colorScheme: path === '/' ? 'dark' : 'light',
    })
    const page = await context.newPage()
    await page.goto(path)
    await page.waitForLoadState('networkidle')
    await expect(page.locator('main')).toBeVisible()
    expect(await tooSmall(page)).toEqual([])
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
    await context.close()
  })

test('a name of eighty letters without a space pushes no page sideways', async ({ page }) => {
  const id = await addMachine(
    page,
    'Donaudampfschifffahrtselektrizitaetenhauptbetriebswerkbauunterbeamtengesellschaf',
  )
  await page.setViewportSize({ width: 390, height: 844 })
  for (const path of ['/', '/faults', '/week', ...STATIONS.map((s) => `/machines/${id}/${s}`)]) {
    await page.goto(path)
    await page.waitForLoadState('networkidle')
    await expect(page.locator('main')).toBeVisible()
    expect
      .soft(await page.evaluate(() => document.documentElement.scrollWidth), path)
      .toBeLessThanOrEqual(390)
  }
})
