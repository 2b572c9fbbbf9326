import AxeBuilder from '@axe-core/playwright'
import { addAim, addMachine, panel, readMachine } from './bench'
import { expect, type Page, test } from './server'

/** A belt between sheaves that open and close: set by shims, asked for once, and built by its own procedure. */

const next = (page: Page) => page.getByRole('region', { name: 'Do this next' })
const setting = (page: Page) => panel(page, 'How it is set')
const choose = async (page: Page, label: string, option: string | RegExp) => {
  await setting(page).getByRole('combobox', { name: label }).click()
  await page.getByRole('option', { name: option }).click()
}

/** A moped whose V-belt nobody laid out. */
async function variable(page: Page, name: string) {
  const draft = await (await page.request.get('/api/machines/starting/winch')).json()
  const machine = { ...draft.machine, name, kind: 'moped', layouts: null, settings: null }
  const added = await page.request.post('/api/machines', {
    data: { machine, fitted: draft.fitted, fittedVersion: 0 },
  })
  expect(added.ok()).toBe(true)
  return (await added.json()).machine.id
}

const read = async (page: Page, mm: string) => {
  await page.getByLabel('Above the rim').fill(mm)
  await page.getByRole('button', { name: 'Put it there' }).click()
}

test('shims are asked for once, taken out by the wedge, counted, and the visit ends where the belt stands right', async ({
  page,
}) => {
  const id = await variable(page, 'Creeps at idle')
  await page.goto(`/machines/${id}/set`)
  await choose(page, 'Set by', 'shims at a sheave')
  await setting(page).getByLabel('Thickness of a shim').fill('0.5')
  await setting(page).getByLabel('Angle of the sheave').fill('28')
  await setting(page).getByRole('button', { name: 'Store' }).click()
  await expect(setting(page).getByText('tried, not stored')).toHaveCount(0)
  await page.getByRole('button', { name: 'Begin as found' }).click()
  await read(page, '3.7')
  await page.getByLabel('Shims in at each bolt').fill('5')
  await page.getByLabel('Shims in at each bolt').blur()
  // Both ways are built: nothing is moved before somebody said what one does.
  await expect(next(page)).toContainText('What do the shims do here?')
  await choose(page, 'Shims lie', /^under bolts/)
  await setting(page).getByLabel('Bolts with shims').fill('3')
  await setting(page).getByLabel('Shims there are for each').fill('7')
  await setting(page).getByRole('button', { name: 'Store' }).click()
  await expect(next(page)).toContainText('Take 3 shims out at each bolt, 9 in all')
  // 3.7 mm − 3 · 0.5 mm / (2 · tan 14°)
  await expect(next(page)).toContainText('0.7 mm')
  await page.getByRole('button', { name: 'Keep as found' }).click()
  await expect(next(page)).toContainText('Take 3 shims out at each bolt')
  await expect(next(page)).toContainText('Bolts out crosswise')
  await read(page, '0.7')
  await expect(page.getByLabel('Put in at each bolt')).toHaveValue('-3')
  await page.getByRole('button', { name: 'Keep this round' }).click()
  await expect(next(page)).toContainText('Close the visit')
  await expect(next(page)).toContainText('shims in at each bolt')
  // It stands right and still takes the belt along: no shim mends that.
  await read(page, '0.7')
  await page.getByRole('combobox', { name: 'At idle the driving sheave' }).click()
  await page.getByRole('option', { name: 'takes the belt along' }).click()
  await expect(next(page)).toContainText('does not turn free at idle')
  await expect(next(page)).toContainText('the belt is not the one')
  const { machine } = await readMachine(page, id)
  expect(machine.settings[0].shims).toMatchObject({ shimMm: 0.5, sheaveAngleDeg: 28, bolts: 3, owned: 7 })
  // Bench and workshop know it, too.
  await page.goto(`/machines/${id}/build`)
  await expect(page.getByRole('combobox', { name: 'Done by the procedure' })).toHaveValue(
    'Variable belt with shims',
  )
})

test('what is refused of the shims stands at its field, on a phone, and axe finds nothing', async ({
  page,
}) => {
  const id = await variable(page, 'Sits low')
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`/machines/${id}/set`)
  await choose(page, 'Set by', 'shims at a sheave')
  const thickness = setting(page).getByLabel('Thickness of a shim')
  await thickness.fill('11')
  await expect(setting(page).getByText('Give 0.05 to 10 mm.')).toBeVisible()
  await thickness.fill('1')
  await expect(setting(page).getByText('Give 0.05 to 10 mm.')).toHaveCount(0)
  await setting(page).getByRole('button', { name: 'Store' }).click()
  await expect(setting(page).getByText('tried, not stored')).toHaveCount(0)
  await page.getByRole('button', { name: 'Begin as found' }).click()
  await read(page, '-2')
  await expect(next(page)).toContainText('What do the shims do here?')
  await page.waitForLoadState('networkidle')
  const { violations } = await new AxeBuilder({ page }).setLegacyMode(true).analyze()
  expect(violations.map((v) => v.id)).toEqual([])
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(390)
  // Another adjuster has no shims: nothing of them stays behind to be refused.
  await choose(page, 'Set by', 'one screw')
  await setting(page).getByRole('button', { name: 'Store' }).click()
  await expect(setting(page).getByText('tried, not stored')).toHaveCount(0)
  expect((await readMachine(page, id)).machine.settings[0].shims).toBeNull()
})

test('a loop that is asked too much names a second stage, at Ratio and at Choice', async ({ page }) => {
  const id = await addMachine(page, 'Asked too much')
  const aim = await addAim(page, id, { kind: 'finalRatio', low: 8.9, high: 9.1 })
  await page.goto(`/machines/${id}/ratio?aim=${aim}`)
  const note = page.getByRole('note', { name: 'A second stage' })
  await expect(note).toContainText('9.00 to 1 is much for one stage: up to 7')
  await expect(note).toContainText('17 / 51, then 17 / 51, together 9.00 to 1')
  await note.getByRole('button', { name: 'working' }).click()
  await expect(page.getByRole('dialog')).toContainText('Ratio of each of several stages')
  await page.keyboard.press('Escape')
  const { machine, fitted } = await readMachine(page, id)
  const loops = fitted.loops.map((l: object) => ({ ...l, frontSize: 13, rearSize: 104 }))
  const saved = await page.request.put(`/api/machines/${id}`, {
    data: { machine, fitted: loops, fittedVersion: fitted.version },
  })
  expect(saved.ok()).toBe(true)
  await page.goto(`/machines/${id}/choice`)
  await expect(note).toContainText('8.00 to 1 is much for one stage')
})
