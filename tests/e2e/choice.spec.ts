import AxeBuilder from '@axe-core/playwright'
import { addMachine, panel, readMachine, readSetups } from './bench'
import { choose, reach } from './keys'
import { expect, type Page, test } from './server'

/** Choice: kinds of drive and parts side by side, what they come to, and what would turn it. */

const outcome = (page: Page) => page.getByRole('region', { name: 'Outcome' }).getByRole('status')
const weigh = (page: Page, wish: string, weight: number) =>
  page
    .getByRole('radiogroup', { name: new RegExp(`^${wish}`) })
    .getByText(String(weight), { exact: true })
    .click()
const column = (page: Page, kind: string) =>
  page.getByRole('group', { name: /^In a column/ }).getByText(kind, { exact: true })
const known = (page: Page) => panel(page, 'What is known of each')
const type = async (page: Page, label: string, value: string) => {
  await known(page).getByLabel(label, { exact: true }).fill(value)
  await known(page).getByLabel(label, { exact: true }).blur()
}
const say = async (page: Page, label: string, option: string) => {
  await expect(async () => {
    await known(page).getByRole('combobox', { name: label }).click({ timeout: 3_000 })
    await page.getByRole('option', { name: option, exact: true }).click({ timeout: 3_000 })
  }).toPass()
}

async function priced(page: Page) {
  for (const [option, price, life] of [
    ['chain, sealed rings', '180', '20000'],
    ['toothed belt', '420', '60000'],
    ['chain, plain', '90', '9000'],
  ] as const) {
    await known(page).getByText(option, { exact: true }).click()
    await type(page, 'Parts cost', price)
    await type(page, 'They last at least', life)
    await say(page, 'Who says how long', 'maker or standard')
  }
}

test('from an aim’s wishes to an outcome, what would turn it, and back from the store', async ({ page }) => {
  const id = await addMachine(page, 'Weighed')
  await page.goto(`/machines/${id}/aim`)
  await page.goto(`/machines/${id}/choice`)
  await expect(outcome(page)).toContainText('Nothing was said to matter')
  await weigh(page, 'cheap to run', 3)
  await expect(outcome(page)).toContainText('Nothing tells them apart yet')
  await priced(page)
  await expect(outcome(page)).toContainText('Toothed belt ahead by cheap to run, if')
  const turns = page.getByRole('region', { name: 'Outcome' }).getByRole('listitem')
  // Prices and lives turn it at the same part of themselves: which of them are the nearest is chance.
  await page.getByRole('button', { name: /that would turn it$/ }).click()
  await expect(turns.filter({ hasText: 'when the parts of toothed belt cost more than' })).toBeVisible()
  // What it says does turn it.
  const text = await turns
    .filter({ hasText: 'when the parts of toothed belt cost more than' })
    .first()
    .textContent()
  const price = Number((text ?? '').replaceAll(/[\s\u202f]/g, '').match(/than([\d.]+)$/)?.[1])
  await known(page).getByText('toothed belt', { exact: true }).click()
  await type(page, 'Parts cost', String(price + 1))
  await expect(outcome(page)).not.toContainText('Toothed belt ahead')
  await type(page, 'Parts cost', String(price - 1))
  await expect(outcome(page)).toContainText('Toothed belt ahead')
  await type(page, 'Parts cost', '420')
  await expect(outcome(page)).toContainText('Toothed belt ahead')

  // An answer puts it out, with its reason.
  await page
    .getByRole('radiogroup', { name: /Does the frame open/ })
    .getByText('no', { exact: true })
    .click()
  await expect(outcome(page)).not.toContainText('Toothed belt ahead')
  await expect(panel(page, 'Side by side')).toContainText('an endless belt can’t be put in')

  await page.getByRole('button', { name: 'Store', exact: true }).click()
  await expect(page.getByText('tried, not stored')).toBeHidden()
  await page.reload()
  await expect(panel(page, 'Side by side')).toContainText('an endless belt can’t be put in')
  await page.getByRole('button', { name: /History and undo/ }).click()
  await page.getByRole('button', { name: /^Undo changed Weighed/ }).click()
  await page.keyboard.press('Escape')
  await expect(outcome(page)).toContainText('Nothing was said to matter')
})

test('a kind becomes a trial, is looked at, fitted, and the old one comes back', async ({ page }) => {
  const id = await addMachine(page, 'Tried')
  await page.goto(`/machines/${id}/fit`)
  await page.getByRole('button', { name: 'Begin with what the length asks for' }).click()
  await expect(panel(page, 'Chain lengths that reach')).toBeVisible()
  await page.goto(`/machines/${id}/choice`)
  await panel(page, 'Side by side').getByRole('button', { name: 'Make it a trial' }).first().click()
  // Its length, layout and loads are begun, and what is on stays.
  await expect(page).toHaveURL(/fit\?loops=final&setup=\d+/)
  await expect(page.getByText(/teeth/).first()).toBeVisible()
  const { machine } = await readMachine(page, id)
  expect(machine.drives[0].stages.find((s: { key: string }) => s.key === 'final').driveElement).toBe('chain')
  await page.goto(page.url().replace('/fit?', '/ratio?'))
  await page
    .getByRole('button', { name: /^(Fit|Put) / })
    .first()
    .click()
  await expect
    .poll(async () => {
      const { machine: now } = await readMachine(page, id)
      return now.drives[0].stages.find((s: { key: string }) => s.key === 'final').driveElement
    })
    .toBe('toothedBelt')
  const setups = await readSetups(page, id)
  const former = setups.find((s: { status: string }) => s.status === 'former')
  await page.goto(`/machines/${id}/ratio?setup=${former.id}`)
  await page.getByRole('button', { name: / again$/ }).click()
  await expect
    .poll(async () => {
      const { machine: now } = await readMachine(page, id)
      return now.drives[0].stages.find((s: { key: string }) => s.key === 'final').driveElement
    })
    .toBe('chain')
})

test('a must, a column, a reason of one’s own, and a wrong figure', async ({ page }) => {
  const id = await addMachine(page, 'Musts')
  await page.goto(`/machines/${id}/choice`)
  const side = panel(page, 'Side by side')
  await page.getByLabel('no oil on it').check()
  await expect(side).toContainText('must be so: no oil on it')
  await expect(outcome(page)).toContainText('Toothed belt alone')
  await page.getByLabel('no oil on it').uncheck()
  await column(page, 'pair of gears').click()
  await expect(side.getByRole('columnheader', { name: 'pair of gears' })).toBeVisible()
  // Four stand side by side, no more.
  await expect(page.getByRole('checkbox', { name: 'planetary' })).toBeDisabled()
  await column(page, 'chain, plain').click()
  await expect(page.getByRole('checkbox', { name: 'planetary' })).toBeEnabled()

  const own = panel(page, 'Reasons of your own')
  await own.getByLabel('Reason', { exact: true }).fill('my brother has one')
  await own.getByRole('button', { name: 'Add the reason' }).click()
  await expect(side).toContainText('my brother has one')
  await own.getByRole('button', { name: 'Take away: my brother has one' }).click()
  await expect(side).not.toContainText('my brother has one')

  await type(page, 'They last at least', '20000')
  await type(page, 'At most', '10000')
  await expect(known(page).getByLabel('At most', { exact: true })).toHaveAttribute('aria-invalid', 'true')
  await expect(side).toHaveAttribute('data-stale', 'true')
  await page.getByRole('button', { name: 'Put back' }).click()
  await expect(side).not.toHaveAttribute('data-stale', 'true')
})

test('choices between parts are weighed the same way', async ({ page }) => {
  const id = await addMachine(page, 'Parts')
  await page.goto(`/machines/${id}/choice?matter=joint`)
  await expect(panel(page, 'Side by side')).toContainText('opens again without a tool of its own')
  await expect(panel(page, 'Must be so').getByRole('checkbox')).toHaveCount(1)
  await weigh(page, 'ratio changed often', 2)
  await expect(outcome(page)).toContainText('Common practice speaks for clip link')
})

test('a winch gets figures only', async ({ page }) => {
  await page.goto('/machines/4/choice')
  await expect(outcome(page)).toContainText('figures only')
  await expect(page.getByText('What would turn it')).toBeHidden()
})

test('its doors: loads, a part that can’t be had, Find', async ({ page }) => {
  await page.goto('/machines/2/loads')
  await page.getByRole('link', { name: 'weigh the kinds' }).click()
  await expect(page).toHaveURL(/machines\/2\/choice/)
  await page.goto('/machines/2/aim')
  await page.getByRole('link', { name: 'Weigh other kinds of drive by them' }).click()
  await expect(panel(page, 'What it is worth')).toContainText('Begun with the wishes of')
  const id = await addMachine(page, 'Short')
  await page.goto(`/machines/${id}/jobs?begin=partNotToBeHad`)
  await page.getByRole('dialog').getByRole('button', { name: 'Begin', exact: true }).click()
  await page.getByRole('link', { name: 'Choice: another kind' }).click()
  await expect(page).toHaveURL(new RegExp(`machines/${id}/choice`))
  await page.keyboard.press('/')
  await page.getByRole('combobox', { name: /^Find a machine/ }).fill('dunlin choice')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/machines\/2\/choice/)
})

test('with the keyboard alone', async ({ page }) => {
  const id = await addMachine(page, 'Keys')
  await page.goto(`/machines/${id}/choice`)
  await choose(page, page.getByRole('radiogroup', { name: /^quiet/ }).locator('..'), '3')
  await expect(outcome(page)).toContainText('by quiet')
  await reach(page, page.getByRole('button', { name: 'Store', exact: true }))
  await page.keyboard.press('Enter')
  await expect(page.getByText('tried, not stored')).toBeHidden()
  await page.reload()
  await expect(outcome(page)).toContainText('by quiet')
})

test('on a phone nothing sticks out, and it prints without its controls', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto('/machines/1/choice')
  await expect(outcome(page)).toBeVisible()
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  expect(
    (await new AxeBuilder({ page }).analyze()).violations.map((v) => `${v.id}: ${v.nodes[0]?.html}`),
  ).toEqual([])
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('button', { name: 'Add the reason' })).toBeHidden()
  await expect(outcome(page)).toBeVisible()
})

test('what the record says of what is on goes in at a press', async ({ page }) => {
  await page.goto('/machines/1/choice')
  const record = panel(page, 'What this machine’s record says')
  await expect(record).toContainText(/lasts .* to .*, by \d+ readings of how it grows/)
  await expect(record).toContainText(/of 5, \d+ times/)
  await record.getByRole('button', { name: /^Put it in: looked after every/ }).click()
  await known(page).getByText('chain, sealed rings', { exact: true }).click()
  await expect(known(page).getByRole('combobox', { name: 'Who says how often' })).toHaveValue(
    /measured here/i,
  )
  await record.getByRole('button', { name: 'working' }).click()
  await expect(page.getByRole('dialog')).toContainText('Looked after every')
})
