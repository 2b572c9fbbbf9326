import { addMachine, openStation, panel, readMachine, scale } from './bench'
import { expect, type Page, test } from './server'

/** Keys that everybody has, that can be switched off, and the two that take back and do again. */

const shown = (page: Page) => page.getByRole('radio', { name: 'Picked' })

test('teeth are stepped by letters that stand on every layout', async ({ page }) => {
  const id = await addMachine(page, 'Lettered')
  await page.goto(`/machines/${id}/ratio`)
  await expect(scale(page).getByRole('option').first()).toBeVisible()
  await page.keyboard.press('f')
  await expect(page).toHaveURL(/16(~|%7E)45/)
  await page.keyboard.press('e')
  await expect(page).toHaveURL(/16(~|%7E)44/)
  await page.keyboard.press('d')
  await page.keyboard.press('r')
  await expect(shown(page)).toHaveCount(0)
})

test('single keys are switched off, and stay so', async ({ page }) => {
  await page.goto('/machines/1/ratio')
  await expect(panel(page, 'Final ratio')).toBeVisible()
  await page.keyboard.press('?')
  await page.getByRole('switch', { name: 'Single keys work' }).click()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await page.keyboard.press('f')
  await page.keyboard.press('u')
  await expect(page).not.toHaveURL(/pick=/)
  await page.reload()
  await expect(panel(page, 'Final ratio')).toBeVisible()
  await page.keyboard.press('4')
  await expect(page).toHaveURL(/ratio/)
  await page.getByRole('button', { name: 'Keys' }).click()
  await page.getByRole('switch', { name: 'Single keys work' }).click()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await page.keyboard.press('4')
  await expect(page).toHaveURL(/loads/)
})

test('Ctrl+Z takes back what was done here, Ctrl+Y does it again, and a field keeps its own', async ({
  page,
}) => {
  const id = await addMachine(page, 'Taken back')
  const said = async () => (await readMachine(page, id)).machine.said ?? []
  await page.goto(`/machines/${id}/aim`)
  for (const what of ['front wheel', 'rear wheel']) {
    await page.getByRole('button', { name: `${what}: it is so` }).click()
    await expect(page.getByRole('button', { name: `${what}: it is so` })).toHaveCount(0)
  }
  await page.keyboard.press('Control+z')
  await expect(page.getByText(/^Undone: changed Taken back/)).toBeVisible()
  expect(await said()).toEqual(['front'])
  await expect(page.getByRole('button', { name: 'rear wheel: it is so' })).toBeVisible()
  await page.keyboard.press('Control+z')
  await expect.poll(said).toEqual([])
  await page.keyboard.press('Control+y')
  await expect.poll(said).toEqual(['front'])
  await page.keyboard.press('Control+y')
  await expect.poll(said).toEqual(['front', 'rear'])
  // In a field they take back letters.
  await page.getByLabel('torque of what drives it', { exact: true }).pressSequentially('12')
  await page.keyboard.press('Control+z')
  await page.waitForTimeout(300)
  expect(await said()).toEqual(['front', 'rear'])
  // What others did is theirs to take back.
  await page.goto('/machines/2/aim')
  await openStation(page, 'Ratio')
  await page.keyboard.press('Control+z')
  await expect(page.getByText(/Nothing of yours is left/)).toBeVisible()
})

test('paper is light, whatever the screen is', async ({ page }) => {
  await page.emulateMedia({ colorScheme: 'dark', media: 'screen' })
  await page.goto('/machines/1/ratio')
  await expect(panel(page, 'Final ratio')).toBeVisible()
  const colours = () =>
    page.evaluate(() => {
      const style = getComputedStyle(document.querySelector('section') as HTMLElement)
      return [style.backgroundColor, style.color]
    })
  const dark = await colours()
  await page.emulateMedia({ colorScheme: 'dark', media: 'print' })
  const [ground, ink] = await colours()
  expect(ground).toBe('rgb(255, 255, 255)')
  expect(ink).toMatch(/^rgb\((0, 0, 0|30, 37, 34)\)$/)
  expect(dark).not.toEqual([ground, ink])
})
