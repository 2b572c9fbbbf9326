import AxeBuilder from '@axe-core/playwright'
import { expect, test } from './server'

test('a word of the trade is explained where it stands, with a drawing, and the focus comes back', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto('/machines/1/set')
  const word = page.getByRole('button', { name: 'window', exact: true })
  await word.click()
  const note = page.getByRole('note').filter({ hasText: 'From the lowest to the highest reading' })
  await expect(note).toBeVisible()
  await expect(note.locator('svg')).toBeVisible()
  await expect(note).toContainText('common practice')
  const { violations } = await new AxeBuilder({ page }).include('main').analyze()
  expect(violations.map((v) => v.id)).toEqual([])
  await page.keyboard.press('Escape')
  await expect(note).toBeHidden()
  await expect(word).toBeFocused()
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
})

test('each word is told by the core, and asked for once', async ({ page }) => {
  let asked = 0
  page.on('request', (r) => r.url().endsWith('/api/glossary') && asked++)
  await page.goto('/machines/1/ratio')
  for (const [word, says] of [
    ['ripple', /polygon/],
    ['hunting tooth, turns', /only after many turns/],
    ['final ratio', /Rear teeth over front teeth/],
  ] as const) {
    await page.getByRole('button', { name: word, exact: true }).first().click()
    await expect(page.getByRole('note').filter({ hasText: says })).toBeVisible()
    await page.keyboard.press('Escape')
  }
  expect(asked).toBe(1)
})
