import { addAim, addMachine, mark, panel, readSetups, scale, setups } from './bench'
import { expect, test } from './server'

const NINETY = {
  kind: 'cruiseSpeed',
  speedKmh: 90,
  gearIndex: 5,
  shaftSpeedLowRpm: 5020,
  shaftSpeedHighRpm: 5330,
}

test('hover tells everything about a pair', async ({ page }) => {
  await page.goto('/machines/1/ratio')
  await mark(page, '15 / 43').hover()
  for (const text of [
    '2.867',
    '−4.4 % taller',
    '5 210 rpm',
    'rear · 60 min',
    'on shelf',
    '2.2 %',
    'even · 15',
  ])
    await expect(page.getByText(text).last()).toBeVisible()
})

test('a pair beyond what clears is computed, struck and kept off the list', async ({ page }) => {
  await page.goto('/machines/1/ratio')
  await mark(page, '17 / 50').hover()
  await expect(page.getByText('rear 50 is larger than clears here')).toBeVisible()
  await expect(page.getByRole('button', { name: '17 / 50' })).toHaveCount(0)
})

test('the band can be dragged, kept while looking, and given back to the aim', async ({ page }) => {
  await page.goto('/machines/1/ratio')
  const grip = page.getByRole('slider', { name: 'Shortest ratio accepted' })
  const box = await grip.boundingBox()
  if (!box) throw new Error('no grip')
  await page.mouse.move(box.x + 7, box.y + 2)
  await page.mouse.down()
  await page.mouse.move(box.x + 60, box.y + 2, { steps: 6 })
  await page.mouse.up()
  await expect(page.getByText(/dragged: 2\.76 to 3\.0/)).toBeVisible()
  await expect(mark(page, '15 / 45')).toHaveAccessibleName(/meets the aim/)
  await page.reload()
  await expect(page.getByText(/dragged: 2\.76 to 3\.0/)).toBeVisible()
  await page.getByRole('button', { name: 'Back to Dyke road, 90 in sixth' }).click()
  await expect(panel(page, 'Eight ways into the band')).toBeVisible()
})

test('the edges of the band move with the arrow keys', async ({ page }) => {
  await page.goto('/machines/1/ratio')
  const grip = page.getByRole('slider', { name: 'Tallest ratio accepted' })
  await grip.focus()
  await page.keyboard.press('ArrowLeft')
  await expect(page.getByText('dragged: 2.75 to 2.93')).toBeVisible()
  await expect(grip).toHaveAttribute('aria-valuetext', '2.752')
})

test('the last good list stays in view, marked, while a range is refused', async ({ page }) => {
  await page.goto('/machines/1/ratio')
  await expect(page.getByRole('button', { name: '16 / 45' })).toBeVisible()
  await page.getByRole('textbox', { name: 'Largest front wheel tried' }).fill('9')
  await expect(page.getByRole('alert')).toContainText('Give 13 teeth or more')
  await expect(page.getByRole('button', { name: '16 / 45' })).toBeVisible()
  await expect(panel(page, 'Final ratio')).toHaveAttribute('data-stale', 'true')
  await page.getByRole('textbox', { name: 'Largest front wheel tried' }).fill('17')
  await expect(panel(page, 'Final ratio')).not.toHaveAttribute('data-stale', 'true')
})

for (const [typed, sentence] of [
  ['0', 'Give 5 to 500 teeth.'],
  ['-4', 'Give 5 to 500 teeth.'],
  ['1000000000', 'Give 5 to 500 teeth.'],
] as const)
  test(`"${typed}" teeth are refused with the bound`, async ({ page }) => {
    await page.goto('/machines/1/ratio')
    await expect(mark(page, '15 / 43')).toBeVisible()
    await page.getByRole('textbox', { name: 'Smallest front wheel tried' }).fill(typed)
    await expect(page.getByRole('alert')).toContainText(sentence)
  })

test('an emptied range is the one the search begins with', async ({ page }) => {
  await page.goto('/machines/1/ratio')
  const front = page.getByRole('textbox', { name: 'Smallest front wheel tried' })
  await front.fill('16')
  await expect(mark(page, '14 / 43')).toHaveCount(0)
  await front.fill('')
  await expect(front).toHaveAttribute('placeholder', '13')
  await expect(mark(page, '14 / 43')).toBeVisible()
  await expect(page.getByRole('alert')).toHaveCount(0)
})

test('the order of the list is a choice and says why a hit stands where it does', async ({ page }) => {
  await page.goto('/machines/1/ratio')
  const first = page.getByRole('table').first().getByRole('row').nth(1)
  await expect(first).toContainText('16 / 45')
  await expect(first).toContainText('best')
  await page.getByRole('combobox', { name: 'Order of the list' }).click()
  await page.getByRole('option', { name: 'closest first' }).click()
  await expect(first).toContainText('14 / 40')
  await expect(page.getByRole('table').first().getByRole('row').nth(2)).toContainText('closeness')
})

test('a typed pair joins the search', async ({ page }) => {
  await page.goto('/machines/1/ratio')
  await page.getByRole('button', { name: 'Type a pair' }).click()
  await page.getByRole('textbox', { name: 'Front', exact: true }).fill('18')
  await page.getByRole('textbox', { name: 'Rear', exact: true }).fill('51')
  await page.getByRole('button', { name: 'Try it' }).click()
  await expect(mark(page, '18 / 51')).toBeVisible()
})

test('the shelf alone can be searched', async ({ page }) => {
  await page.goto('/machines/1/ratio')
  await page.getByRole('checkbox', { name: 'shelf only' }).check()
  await expect(mark(page, '15 / 43')).toBeVisible()
  await expect(mark(page, '14 / 40')).toHaveCount(0)
})

test('the overall view has a strip per gear', async ({ page }) => {
  await page.goto('/machines/1/ratio')
  await page.getByText('overall, by gear').click()
  for (const gear of ['1st', '2nd', '6th']) await expect(scale(page).getByText(gear)).toBeVisible()
})

test('a bicycle speaks development, gear inches and gain ratio', async ({ page }) => {
  await page.goto('/machines/3/ratio?pick=final~46~26')
  const figures = panel(page, /against as fitted/)
  await expect(figures.getByRole('row', { name: /development in 3rd/ })).toContainText('2.84 m')
  await expect(figures.getByRole('row', { name: /gear inches in 3rd/ })).toContainText('35.6')
  await expect(figures.getByRole('row', { name: /gain ratio in 3rd/ })).toContainText('2.66')
  await expect(figures.getByRole('row', { name: /front over rear/ })).toContainText('1.769')
})

test('two loops in series are chosen together', async ({ page }) => {
  await page.goto('/machines/7/ratio')
  await page.getByRole('combobox', { name: 'Loop to choose wheels for' }).click()
  await page.getByRole('option', { name: 'motor chain and axle chain' }).click()
  await expect(panel(page, 'Ratio of both loops')).toBeVisible()
  await page.getByRole('textbox', { name: 'Largest ratio of motor chain' }).fill('2.6')
  await expect(page.getByRole('button', { name: '14 / 38 · 15 / 45' })).toHaveCount(0)
  await page.getByRole('table').first().getByRole('row').nth(1).click()
  await expect(panel(page, /against as fitted/)).toBeVisible()
})

test('a trial is named, copied, compared, fitted, and fitting is undone', async ({ page }) => {
  const id = await addMachine(page, 'Trials bike')
  await addAim(page, id, NINETY)
  await page.goto(`/machines/${id}/ratio?pick=final~15~43`)
  await page.getByRole('button', { name: 'Keep as a trial' }).click()
  await page.getByRole('button', { name: 'Trial A …' }).click()
  await page.getByRole('menuitem', { name: 'Name, note, tyre' }).click()
  await page.getByRole('textbox', { name: 'Name' }).fill('Long legs')
  await page.getByRole('button', { name: 'Store' }).click()
  await page.getByRole('button', { name: 'Long legs …' }).click()
  await page.getByRole('menuitem', { name: 'Copy' }).click()
  await expect(setups(page).getByRole('radio', { checked: true })).toHaveAccessibleName('Long legs copy')

  await page.getByRole('button', { name: 'Side by side' }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByRole('columnheader', { name: 'Long legs copy' })).toBeVisible()
  await expect(dialog.getByRole('row', { name: /^wheels/ })).toContainText('15 / 4515 / 4315 / 43')
  await page.keyboard.press('Escape')

  await page.getByRole('button', { name: 'Fit Long legs copy' }).click()
  await expect(page.getByText(/is as fitted now/)).toBeVisible()
  await expect(panel(page, 'As fitted').getByRole('row', { name: /final ratio/ })).toContainText('2.867')
  await page.keyboard.press('h')
  await page.getByRole('button', { name: 'Undo fitted Long legs copy' }).click()
  await expect(page.getByText('Undone: fitted Long legs copy', { exact: true })).toBeVisible()
  const fitted = (await readSetups(page, id)).find((s: { status: string }) => s.status === 'asFitted')
  expect(fitted.loops[0].rearSize).toBe(45)
})

test('every figure has a working with source and limits', async ({ page }) => {
  await page.goto('/machines/1/ratio?pick=final~15~43')
  await page.getByRole('button', { name: 'show the working' }).click()
  const dialog = page.getByRole('dialog')
  for (const title of [
    'Overall ratio for the aim',
    'Ratio of final drive',
    'Speedometer error',
    'Road speed at the limit',
  ])
    await expect(dialog.getByRole('heading', { name: title })).toBeVisible()
  await expect(dialog.getByRole('region', { name: 'Ratio of final drive' })).toContainText('i = N2/N1')
  await expect(dialog.getByRole('region', { name: 'Ratio of final drive' })).toContainText('2.8667')
  await expect(dialog.getByRole('region', { name: 'Ratio of final drive' })).toContainText(
    "Machinery's Handbook",
  )
})

test('a trial may bring another tyre, which makes it taller', async ({ page }) => {
  const id = await addMachine(page, 'Tyre bike')
  await page.goto(`/machines/${id}/ratio?pick=final~15~44`)
  await page.getByRole('button', { name: 'Keep as a trial' }).click()
  await page.getByRole('button', { name: 'Trial A …' }).click()
  await page.getByRole('menuitem', { name: 'Name, note, tyre' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('textbox', { name: 'Other size of rear wheel' }).fill('very wide')
  await dialog.getByRole('button', { name: 'Store' }).click()
  await expect(dialog.getByText("“very wide” can't be read")).toBeVisible()
  await dialog.getByRole('textbox', { name: 'Other size of rear wheel' }).fill('150/80-17')
  await dialog.getByRole('button', { name: 'Store' }).click()
  await expect(dialog).toHaveCount(0)
  // 130/80-17 is 639.8 mm across, 150/80-17 is 671.8: 44/45 · 639.8/671.8 is 6.9 % taller.
  const figures = panel(page, /against as fitted/)
  await expect(figures.getByRole('row', { name: /change/ })).toContainText('−6.9 % taller')
})
