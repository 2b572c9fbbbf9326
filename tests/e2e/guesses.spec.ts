import AxeBuilder from '@axe-core/playwright'
import { addMachine, panel, readMachine } from './bench'
import { pick } from './keys'
import { expect, type Page, test } from './server'

/** What nobody measured or typed looks like that everywhere, and is said or measured in one place. */

const station = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: new RegExp(name) })
const toMeasure = (page: Page) => panel(page, 'Still to measure')
const row = (page: Page, what: string) => toMeasure(page).getByRole('listitem').filter({ hasText: what })

test('a newcomer has a first useful answer in eight actions', async ({ page }) => {
  let actions = 0
  const act = async (what: Promise<unknown>) => {
    actions++
    await what
  }
  await page.goto('/')
  await act(page.getByRole('button', { name: 'Add a machine' }).click())
  const dialog = page.getByRole('dialog')
  await act(dialog.getByLabel('Name').fill('First of mine'))
  await act(dialog.getByLabel('Tyre').fill('120/70-17'))
  await act(dialog.getByLabel('Front', { exact: true }).fill('15'))
  await act(dialog.getByLabel('Rear', { exact: true }).fill('43'))
  await act(dialog.getByRole('button', { name: 'Add', exact: true }).click())
  await act(
    panel(page, 'What should it do better?')
      .getByRole('button', { name: /^Calmer cruise/ })
      .click(),
  )
  await expect(page).toHaveURL(/\/ratio\?/)
  await expect(panel(page, /ways into the band/)).toContainText('16 / 43')
  expect(actions).toBeLessThanOrEqual(8)

  // What was typed is no guess, what was left empty is.
  const id = Number(page.url().match(/machines\/(\d+)/)?.[1])
  expect((await readMachine(page, id)).machine.said.toSorted()).toEqual(['front', 'rear', 'tyre'])
  await expect(page.getByText(/≈.*ratios of the gears.*assumed/)).toBeVisible()
  await expect(station(page, 'Ratio')).toContainText('≈')
})

test('a guess has no tick, names itself in the working, and goes when it is measured or said', async ({
  page,
}) => {
  const id = await addMachine(page, 'Guessed')
  await page.goto(`/machines/${id}/ratio?band=2.9-3.1`)
  await expect(station(page, 'Ratio')).toContainText('≈')
  await panel(page, 'As fitted').getByRole('button', { name: 'working' }).click()
  await expect(
    page
      .getByRole('dialog')
      .getByRole('row', { name: /limit speed of the input/ })
      .first(),
  ).toContainText('assumed')
  await page.keyboard.press('Escape')

  await page.getByRole('link', { name: 'measure it, or say that it is so' }).click()
  // What leaves a station without a figure comes first; what moves it most next.
  await expect(toMeasure(page).getByRole('listitem').first()).toContainText('not said')
  await expect(row(page, 'tyre')).toContainText('moves Ratio by up to 3 %')
  await row(page, 'tyre').getByLabel('tyre', { exact: true }).fill('banana')
  await row(page, 'tyre').getByRole('button', { name: 'tyre: put it in' }).click()
  await expect(row(page, 'tyre').getByRole('alert')).toBeVisible()
  await row(page, 'tyre').getByLabel('tyre', { exact: true }).fill('120/70-17')
  await row(page, 'tyre').getByRole('button', { name: 'tyre: put it in' }).click()
  await expect(row(page, 'tyre')).toHaveCount(0)
  for (const what of [
    'ratios of the gears',
    'fixed reductions',
    'speeds it pulls',
    'front wheel',
    'rear wheel',
  ]) {
    await row(page, what)
      .getByRole('button', { name: /: it is so$/ })
      .click()
    await expect(row(page, what)).toHaveCount(0)
  }
  await row(page, 'torque of what drives it')
    .getByLabel('torque of what drives it', { exact: true })
    .fill('30')
  await page.keyboard.press('Enter')
  await expect(row(page, 'mass, all in')).toContainText('assumed')
  await row(page, 'mass, all in').getByLabel('mass, all in', { exact: true }).fill('240')
  await page.keyboard.press('Enter')
  await expect(row(page, 'mass, all in')).toHaveCount(0)
  await row(page, 'how its axle is carried').getByRole('combobox').focus()
  await pick(page, 'by a swing arm')
  await expect(row(page, 'how its axle is carried')).toHaveCount(0)
  await row(page, 'length that is on').getByLabel('length that is on', { exact: true }).fill('114')
  await page.keyboard.press('Enter')
  await expect(row(page, 'length that is on')).toHaveCount(0)
  await expect(station(page, 'Ratio')).not.toContainText('≈')

  // Where it stands is measured at Fit; then nothing is left.
  await row(page, 'where the shafts stand').getByRole('link', { name: 'Measure it at Fit' }).click()
  await page.getByLabel('Middle of shaft to middle of shaft').fill('600')
  await expect(page.getByText(/count it again, or measure again/)).toBeVisible()
  await page.getByLabel('Middle of shaft to middle of shaft').fill('662')
  await expect(page.getByText(/both go together/)).toBeVisible()
  await page.getByLabel('Whole way of the slot').fill('44')
  await page.getByLabel('It stands from the slack end').fill('50')
  await page.getByRole('button', { name: 'Lay it out' }).click()
  await expect(page.getByText(/Give 0.* to 44/)).toBeVisible()
  await page.getByLabel('It stands from the slack end').fill('12')
  await page.getByRole('button', { name: 'Lay it out' }).click()
  await expect(page.getByRole('columnheader', { name: 'axle moves' })).toBeVisible()
  await page.goto(`/machines/${id}/aim`)
  await expect(panel(page, 'This drive')).toBeVisible()
  await expect(toMeasure(page)).toHaveCount(0)

  // Loads answers in one sentence, with what would mend it here.
  await page.goto(`/machines/${id}/loads`)
  await expect(page.getByRole('region', { name: 'Verdict' })).toContainText(/It holds|first/)
})

test('the list by keys, in the dark, on a phone, and printed', async ({ page }) => {
  const id = await addMachine(page, 'Small', 'moped')
  await page.emulateMedia({ colorScheme: 'dark' })
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`/machines/${id}/aim`)
  await expect(row(page, 'width of the belt')).toContainText('nothing at Loads without it')
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  expect((await new AxeBuilder({ page }).include('main').analyze()).violations).toEqual([])
  await row(page, 'width of the belt').getByLabel('width of the belt', { exact: true }).focus()
  await page.keyboard.type('24')
  await page.keyboard.press('Enter')
  await expect(row(page, 'width of the belt')).toHaveCount(0)
  await page.emulateMedia({ media: 'print' })
  await expect(toMeasure(page)).toContainText('tyre')
  await expect(page.getByRole('button', { name: 'tyre: it is so' })).toBeHidden()
})
