import { expect, type Page, test } from '@playwright/test'
import { addMachine, panel, readMachine } from './bench'

const margins = (page: Page) => panel(page, 'Margins')
const row = (page: Page, name: RegExp) => margins(page).getByRole('row', { name })
const fields = (page: Page) => panel(page, 'What pulls, and what it must hold')
const station = (page: Page) =>
  page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Loads' })

test('a torque is all it takes, and what is tried is stored or put back', async ({ page }) => {
  const id = await addMachine(page, 'Loads from nothing')
  await page.goto(`/machines/${id}/loads`)
  await expect(station(page)).toContainText('no torque yet')
  await expect(page.getByRole('alert').first()).toContainText('greatest torque')
  await fields(page).getByLabel('Greatest torque').fill('40')
  await expect(row(page, /^Breaking load over pull/)).toContainText(/×[\d.]+/)
  const before = await row(page, /^Breaking load over pull/).textContent()
  await fields(page).getByLabel('Strands').fill('2')
  await expect(row(page, /^Breaking load over pull/)).not.toHaveText(before ?? '')
  // A wrong value is named at its field; the last good figures stay.
  await fields(page).getByLabel('Shock factor').fill('0.5')
  await expect(fields(page).getByText('Give 1 to 5', { exact: false })).toBeVisible()
  await expect(row(page, /^Breaking load over pull/)).toBeVisible()
  await expect(fields(page).getByRole('button', { name: 'Store' })).toBeDisabled()
  await fields(page).getByLabel('Shock factor').fill('2')
  await expect(fields(page).getByRole('button', { name: 'Store' })).toBeEnabled()
  expect((await readMachine(page, id)).machine.loads).toBeNull()
  await fields(page).getByRole('button', { name: 'Store' }).click()
  await expect(fields(page).getByRole('status')).toHaveCount(0)
  const { loads } = (await readMachine(page, id)).machine
  expect(loads.sources[0].peakTorqueNm).toBe(40)
  expect(loads.strengths[0]).toMatchObject({ strands: 2, shockFactor: 2 })
  await expect(station(page)).toContainText(/margin ×/)
  await fields(page).getByLabel('Greatest torque').fill('80')
  await fields(page).getByRole('button', { name: 'Put back' }).click()
  await expect(fields(page).getByLabel('Greatest torque')).toHaveValue('40')
})

test('operating points, units, working and the key 4', async ({ page }) => {
  await page.goto('/machines/6/ratio')
  await expect(station(page)).toContainText('margin')
  await page.keyboard.press('4')
  const pull = panel(page, 'Pull round the loop')
  await expect(pull).toContainText('rpm in front')
  for (const name of ['cruise', 'top speed', 'braking', 'hardest pull']) {
    await pull.getByText(name, { exact: true }).click()
    await expect(pull.getByRole('radio', { name })).toBeChecked()
  }
  await expect(panel(page, 'Pull in the drive')).toContainText(/pull[\d\s]+\sN/)
  await page.keyboard.press('u')
  await expect(panel(page, 'Pull in the drive')).toContainText('lbf')
  await page.keyboard.press('u')
  await margins(page).getByRole('button', { name: 'working' }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByRole('region', { name: 'Pull, hardest pull' })).toContainText('F = 2000·T/d')
  await dialog.getByRole('button', { name: 'Close' }).click()
})

test('a change of pair moves the margins, and a trusted drive stands beside', async ({ page }) => {
  await page.goto('/machines/1/loads')
  const before = await row(page, /^Breaking load over pull/).textContent()
  await page.goto('/machines/1/loads?pick=final~13~45')
  await expect(row(page, /^Breaking load over pull/)).toBeVisible()
  await expect(row(page, /^Breaking load over pull/)).not.toHaveText(before ?? '')
  const trust = panel(page, 'Against a drive you trust')
  await trust.getByLabel('A drive you trust').click()
  await page.getByRole('option', { name: /^Turnstone, 428 \(final\)/ }).click()
  await expect(trust.getByRole('row', { name: /^hardest pull/ })).toContainText(/N.*N/)
  await trust.getByLabel('A drive you trust').click()
  await page.getByRole('option', { name: 'figures typed in' }).click()
  await trust.getByLabel('Front teeth').fill('16')
  await trust.getByLabel('Shaft speed').fill('2000')
  await trust.getByLabel('Power it carries').fill('0')
  await expect(trust.getByText(/0.001 to 10/).first()).toBeVisible()
  await trust.getByLabel('Power it carries').fill('37.7')
  await expect(trust.getByRole('row', { name: /^pull/ })).toContainText(/4\s42\d\sN$/) // engineering.md g1
  await expect(panel(page, 'Lubrication')).toContainText('Chosen here: sealed rings')
  await fields(page).getByText('oiled joints').click()
  await expect(panel(page, 'Lubrication')).toContainText('Chosen here: oiled joints')
})

test('trials stand side by side', async ({ page }) => {
  await page.goto('/machines/1/loads')
  const trials = panel(page, 'Trials side by side')
  for (const name of ['as fitted', 'Trial B', 'Trial C'])
    await expect(trials.getByRole('columnheader', { name })).toBeVisible()
  const pulls = await trials
    .getByRole('row', { name: /^hardest pull/ })
    .getByRole('cell')
    .allTextContents()
  expect(pulls).toHaveLength(3)
  // B changes the rear only: the pull in front stays; C has a tooth more in front and pulls less.
  expect(pulls[1]).toBe(pulls[0])
  expect(pulls[2]).not.toBe(pulls[0])
})

test('a joint is measured, summed up, and overruled by a test that was written down', async ({ page }) => {
  await page.goto('/machines/1/loads')
  const joint = panel(page, 'What carries the torque')
  await joint.getByLabel('Joint').click()
  await page.getByRole('option', { name: 'bolt circle' }).click()
  await joint.getByLabel('Bolts').fill('6')
  await joint.getByLabel('Bolt circle').fill('110')
  await joint.getByLabel('Bolt in the joint').fill('3')
  await expect(joint).toContainText(/shear[\d.\s]+N\/mm² of/)
  await expect(joint.getByText('against yield')).toBeVisible()
  await joint.getByLabel('Bolts').fill('1')
  await expect(joint.getByText('Give 2 to 60 bolts.').first()).toBeVisible()
  await joint.getByLabel('Bolts').fill('6')
  await joint.getByLabel('Held in a test').fill('900')
  await expect(joint.getByText('by the test that was written down')).toBeVisible()
  await joint.getByRole('button', { name: 'working' }).click()
  await expect(page.getByRole('dialog')).toContainText('τ = 2000·T/(D·n·π·d²/4)')
})

test('what hoists or flies is told, not decided', async ({ page }) => {
  await page.goto('/machines/4/loads')
  await expect(row(page, /^Slip margin/)).toContainText('fine')
  await fields(page).getByLabel('it hoists, lifts people or flies').check()
  await expect(page.getByRole('note')).toContainText('does not decide')
  await expect(row(page, /^Slip margin/)).not.toContainText('fine')
  await expect(row(page, /^Slip margin/)).toContainText('×')
})

for (const id of [1, 2, 4])
  test(`at 390 px nothing sticks out of the loads of machine ${id}`, async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 })
    await page.goto(`/machines/${id}/loads`)
    await expect(margins(page)).toBeVisible()
    const over = await page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    )
    expect(over).toBe(0)
  })
