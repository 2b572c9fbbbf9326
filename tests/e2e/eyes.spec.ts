import { expect, type Page, test } from './server'
import { MAIN_VIEWS } from './views'

/** Whoever sees little: edges that can be seen, twice as large, no motion, colours of the system. */

/** Controls whose edge is too faint against the ground it lies on; ratios by WCAG 2.2, “contrast ratio”. */
const faint = (page: Page) =>
  page.evaluate(() => {
    const parts = (colour: string) => (colour.match(/[\d.]+/g) ?? []).map(Number)
    const linear = (c: number) => (c / 255 <= 0.04045 ? c / 255 / 12.92 : ((c / 255 + 0.055) / 1.055) ** 2.4)
    const light = (colour: string) => {
      const [r = 0, g = 0, b = 0] = parts(colour)
      return 0.2126 * linear(r) + 0.7152 * linear(g) + 0.0722 * linear(b)
    }
    const contrast = (a: string, b: string) => {
      const [high, low] = [light(a), light(b)].sort((x, y) => y - x)
      return ((high ?? 0) + 0.05) / ((low ?? 0) + 0.05)
    }
    const ground = (at: Element | null): string => {
      if (!at) return 'rgb(255, 255, 255)'
      const colour = getComputedStyle(at).backgroundColor
      return parts(colour)[3] === 0 ? ground(at.parentElement) : colour
    }
    const controls =
      '.mantine-Input-input, .mantine-Checkbox-input, .mantine-Radio-radio, .mantine-RadioIndicator-indicator:not([data-checked]), .mantine-Switch-track, .mantine-SegmentedControl-root'
    return [...document.querySelectorAll<HTMLElement>(controls)].flatMap((control) => {
      if (control.getBoundingClientRect().width < 2 || control.matches(':disabled, [data-disabled]'))
        return []
      const edge = getComputedStyle(control).borderTopColor
      const ratio = contrast(edge, ground(control.parentElement))
      return ratio < 3 ? [`${control.className.split(' ').at(-1)} ${edge}: ${ratio.toFixed(2)}`] : []
    })
  })

for (const path of MAIN_VIEWS)
  test(`edges are seen in both themes, and nothing is pushed sideways at twice the size: ${path}`, async ({
    page,
  }) => {
    await page.goto(path)
    await page.waitForLoadState('networkidle')
    expect(await faint(page)).toEqual([])
    await page.emulateMedia({ colorScheme: 'dark' })
    await expect(page.locator('html')).toHaveAttribute('data-mantine-color-scheme', 'dark')
    expect(await faint(page)).toEqual([])
    // 1280 × 800 at 200 %.
    await page.setViewportSize({ width: 640, height: 400 })
    await expect
      .poll(() => page.evaluate(() => document.documentElement.scrollWidth))
      .toBeLessThanOrEqual(640)
  })

test('edges are seen in a dialog, too', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Begin a job', exact: true }).click()
  await expect(page.getByRole('dialog').getByRole('radio')).toHaveCount(4)
  expect(await faint(page)).toEqual([])
  await page.emulateMedia({ colorScheme: 'dark' })
  await expect(page.locator('html')).toHaveAttribute('data-mantine-color-scheme', 'dark')
  expect(await faint(page)).toEqual([])
})

test('in colours of the system what is chosen is known', async ({ page }) => {
  await page.emulateMedia({ forcedColors: 'active' })
  await page.goto('/machines/2/set')
  const bar = page.getByRole('radiogroup').first()
  await expect(bar).toBeVisible()
  const [chosen, ground] = await bar.evaluate((e) => [
    getComputedStyle(e.querySelector('.mantine-SegmentedControl-indicator') as Element).backgroundColor,
    getComputedStyle(e).backgroundColor,
  ])
  expect(chosen).not.toBe(ground)
  await page.emulateMedia({ forcedColors: 'none' })
})
