import { readFile } from 'node:fs/promises'
import DxfParser, { type IArcEntity, type ILineEntity } from 'dxf-parser'
import { addMachine, panel, readMachine, readSetups, setups } from './bench'
import { expect, type Page, test } from './server'

const lengths = (page: Page) => panel(page, /lengths that reach/)
const row = (page: Page, length: string) =>
  lengths(page)
    .getByRole('row')
    .filter({ has: page.getByRole('button', { name: length, exact: true }) })
const axle = (page: Page) => page.getByRole('slider', { name: 'Travel of rear' })

test('a length is chosen, seen in its slot and kept as a trial', async ({ page }) => {
  const id = await addMachine(page, 'Length to be chosen')
  await page.goto(`/machines/${id}/fit`)
  await page.getByRole('button', { name: 'Begin with what the length asks for' }).click()
  await expect(lengths(page)).toBeVisible()
  await page.goto(`/machines/${id}/ratio?pick=final~15~43`)
  await page.getByRole('link', { name: /Fit/ }).click()
  await expect(row(page, '110')).toContainText('639.0')
  await expect(row(page, '110')).toContainText('3.1 %')
  await expect(row(page, '108')).toContainText('off the slot')
  await row(page, '110').getByRole('button').click()
  await expect(page.getByRole('link', { name: /Fit/ })).toContainText('110')
  await expect(panel(page, 'Side view, to scale')).toContainText('centre 639.0')
  await page.getByRole('button', { name: 'Keep as a trial' }).click()
  await expect(setups(page).getByRole('radio', { name: /^Trial/, checked: true })).toBeAttached()
  const kept = (await readSetups(page, id)).at(-1)
  expect(kept.loops[0]).toMatchObject({ frontSize: 15, rearSize: 43, links: 110 })
})

test('the axle is moved by keys and by the mouse, and the figures follow', async ({ page }) => {
  await page.goto('/machines/1/fit')
  await axle(page).focus()
  const before = Number(await axle(page).getAttribute('aria-valuenow'))
  await page.keyboard.press('ArrowRight') // to the front: shorter
  await expect(axle(page)).toHaveAttribute('aria-valuenow', String(Number((before - 0.1).toFixed(1))))
  await expect(panel(page, 'Side view, to scale')).toContainText('free play')
  await page.keyboard.press('End')
  await expect(page.getByText(/too short by/)).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByText(/too short by/)).toHaveCount(0)
  const box = await axle(page).boundingBox()
  if (!box) throw new Error('no handle')
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2 + 300, box.y, { steps: 12 })
  await page.mouse.up()
  await expect(axle(page)).toHaveAttribute('aria-valuenow', '0') // the foremost place, however far it is pulled
})

test('DXF and SVG are saved, and an independent reader finds the same lengths', async ({ page }) => {
  await page.goto('/machines/7/fit')
  await expect(lengths(page)).toBeVisible()
  const saved = async (name: string) => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name }).click(),
    ])
    return readFile(await download.path(), 'utf8')
  }
  const dxf = new DxfParser().parseSync(await saved('Save as DXF'))
  if (!dxf) throw new Error('the reader gave nothing')
  const radians = (from: number, to: number) => (((to - from) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI)
  const lines = dxf.entities.filter((e) => e.type === 'LINE' && e.layer === 'RUNS') as ILineEntity[]
  const arcs = dxf.entities.filter((e) => e.type === 'ARC' && e.layer === 'ARCS') as IArcEntity[]
  const straight = lines.map(({ vertices: [a, b] }) =>
    a && b ? Math.hypot(a.x - b.x, a.y - b.y) : Number.NaN,
  )
  const fit = await answerOf(page)
  expect(lines).toHaveLength(3)
  for (const [i, span] of fit.path.spans.entries()) expect(straight[i]).toBeCloseTo(span.lengthMm, 4)
  for (const [i, wheel] of fit.path.wheels.entries()) {
    const arc = arcs[i] as IArcEntity
    expect(arc.radius).toBeCloseTo(wheel.outline.runRadiusMm, 4)
    expect((radians(arc.startAngle, arc.endAngle) * 180) / Math.PI).toBeCloseTo(wheel.wrapDeg, 3)
  }
  const svg = await saved('Save as SVG')
  expect(svg).toContain('<svg')
  const widths = /width="([\d.]+)mm".*viewBox="[-\d.]+ [-\d.]+ ([\d.]+) /.exec(svg.replaceAll('\n', ' '))
  expect(widths?.[1]).toBe(widths?.[2])
})

async function answerOf(page: Page) {
  const { machine, fitted, summary } = await readMachine(page, 7)
  const loop = summary.loops.at(-1)
  const choice = fitted.loops.find((l: { loopKey: string }) => l.loopKey === loop.loopKey)
  const layout = machine.layouts.find((l: { loopKey: string }) => l.loopKey === loop.loopKey)
  const answer = await page.request.post('/api/fit/loop', {
    data: {
      drive: machine.drives[0],
      choice,
      fitted: choice,
      layout,
      travelMm: null,
      halfLinks: false,
      wearLimitPercent: null,
    },
  })
  return answer.json()
}

test('a machine without a layout is laid out, corrected, and wrong entries are named', async ({ page }) => {
  const id = await addMachine(page, 'To be laid out')
  await page.goto(`/machines/${id}/fit`)
  await expect(page.getByRole('link', { name: /Fit/ })).toContainText('not laid out')
  await page.getByRole('button', { name: 'Begin with what the length asks for' }).click()
  await expect(row(page, '112')).toContainText('646.4')
  await page.getByRole('button', { name: 'Where things stand' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Travel from, x').fill('-700')
  await dialog.getByLabel('Travel to, x').fill('-700')
  await dialog.getByRole('button', { name: 'Store' }).click()
  await expect(dialog.getByText(/0.1 mm or more from the start/).first()).toBeVisible()
  // An emptied field is not stored as what it was before.
  await dialog.getByLabel('Travel to, x').fill('')
  await dialog.getByRole('button', { name: 'Store' }).click()
  await expect(dialog).toBeVisible()
  await dialog.getByLabel('Travel to, x').fill('-740')
  await dialog.getByRole('button', { name: 'Store' }).click()
  await expect(dialog).toHaveCount(0)
  await expect(page.getByRole('link', { name: /Fit/ })).toContainText('off the slot')
  await page.getByRole('button', { name: 'Where things stand' }).click()
  await dialog.getByRole('button', { name: 'Add an idler or a tensioner' }).click()
  await dialog.getByRole('button', { name: 'Store' }).click()
  await expect(dialog).toHaveCount(0)
  // In the middle, its back side to the chain, it holds the slack run up.
  await expect(
    panel(page, 'What is on the loop').getByRole('row', { name: /^idler 11 .* on its back/ }),
  ).toBeVisible()
})

test('half links, fixed centres and inch', async ({ page }) => {
  await page.goto('/machines/1/fit')
  await page.getByRole('switch', { name: 'with a half link' }).check()
  await expect(row(page, '111')).toContainText('half link')
  await axle(page).focus()
  await page.keyboard.press('u')
  await expect(panel(page, 'Side view, to scale')).toContainText('centre 25.4')
  await page.keyboard.press('u')
  await page.goto('/machines/5/fit')
  const closing = panel(page, 'Pairs that close without a tensioner')
  await expect(closing.getByRole('button', { name: '17 / 17' })).toHaveAttribute('aria-pressed', 'true')
  await closing.getByLabel('Slack allowed').fill('-1')
  await expect(closing.getByText(/0 to 100 mm/)).toBeVisible()
  await expect(closing.getByRole('button', { name: '17 / 17' })).toBeVisible() // the last good answer stays
  await closing.getByLabel('Slack allowed').fill('1.5')
  await closing.getByRole('button', { name: '16 / 14' }).click()
  await expect(page.getByRole('link', { name: /Fit/ })).toContainText('60')
  await expect(page.getByRole('slider')).toHaveCount(0)
})

test('at 390 px nothing sticks out of the page', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto('/machines/7/fit')
  await expect(lengths(page)).toBeVisible()
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
})

test('free play is followed through the suspension travel', async ({ page }) => {
  await page.goto('/machines/1/fit')
  const travel = panel(page, 'Through suspension travel')
  await expect(travel).toContainText('12.0 mm is left where output shaft, pivot and axle line up')
  await travel.getByLabel('Set on the stand').fill('10')
  await expect(travel).toContainText('the chain is stretched by')
  await travel.getByLabel('Set on the stand').fill('')
  await expect(travel).not.toContainText('the chain is stretched by')
  await travel.getByLabel('Wanted where it is tightest').fill('500')
  await expect(travel.getByText('0 to 100 mm')).toBeVisible()
  await travel.getByRole('button', { name: 'working' }).click()
  await expect(page.getByRole('dialog')).toContainText('Cossalter')
})

test('an edge to clear is entered, and a slack run that reaches it is named', async ({ page }) => {
  const id = await addMachine(page, 'With an edge')
  await page.goto(`/machines/${id}/fit`)
  await page.getByRole('button', { name: 'Begin with what the length asks for' }).click()
  await page.getByRole('button', { name: 'Where things stand' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('button', { name: 'Add an edge to clear' }).click()
  for (const [field, value] of [
    ['Edge from, x', '-320'],
    ['Edge from, y', '-95'],
    ['Edge to, x', '-320'],
    ['Edge to, y', '-100'],
  ] as const)
    await dialog.getByLabel(field, { exact: true }).fill(value)
  await dialog.getByRole('button', { name: 'Store' }).click()
  await expect(dialog).toHaveCount(0)
  const clearances = panel(page, 'Clearances')
  await expect(clearances).toContainText('clear')
  await axle(page).focus()
  await page.keyboard.press('PageDown') // a millimetre towards the front
  await expect(clearances).toContainText('rubs when slack')
})

test('what is left of the adjuster is counted in its own steps, and an edge that moves is told', async ({
  page,
}) => {
  const id = await addMachine(page, 'Adjuster with clicks')
  await page.goto(`/machines/${id}/fit`)
  await page.getByRole('button', { name: 'Begin with what the length asks for' }).click()
  const loop = panel(page, 'What is on the loop')
  await expect(loop).toContainText(/adjustment left\d+ % · [\d.]+\smm/)
  await page.getByRole('button', { name: 'Where things stand' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('combobox', { name: 'Tensioned by' }).click()
  await page.getByRole('option', { name: 'cams with clicks' }).click()
  await dialog.getByLabel('One moves it by').fill('0')
  await dialog.getByRole('button', { name: 'Add an edge to clear' }).click()
  await dialog.getByLabel('Comes nearer by').fill('-1')
  await dialog.getByRole('button', { name: 'Store' }).click()
  await expect(dialog.getByText('Give 0.01 to 100 mm.', { exact: true })).toBeVisible()
  await expect(dialog.getByText('Give 0 to 500 mm.', { exact: true })).toBeVisible()
  await dialog.getByLabel('One moves it by').fill('5')
  await dialog.getByLabel('Comes nearer by').fill('30')
  await dialog.getByRole('button', { name: 'Store' }).click()
  await expect(dialog).toHaveCount(0)
  await expect(loop).toContainText(/· \d clicks/)
  await expect(panel(page, 'Clearances').getByRole('row', { name: /^edge/ })).toContainText(
    'rubs when it moves',
  )
  await expect(panel(page, 'Clearances')).toContainText(/jams between front and edge/)
})

test('a fitted trial reopens Ratio and Fit, and what is done is ticked off and put back', async ({
  page,
}) => {
  const id = await addMachine(page, 'To be done again')
  await page.goto(`/machines/${id}/ratio?pick=final~15~43`)
  const asks = panel(page, 'Fitting this asks for')
  await expect(asks).toContainText('Speedometer against a true speed')
  await page.getByRole('button', { name: 'Keep as a trial' }).click()
  await page.getByRole('button', { name: /^Fit Trial/ }).click()
  const open = panel(page, 'To be done again')
  await expect(open.getByRole('checkbox')).toHaveCount(7)
  const station = (name: string) =>
    page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name })
  await expect(station('Ratio')).toContainText('look again')
  await expect(station('Fit')).toContainText('look again')
  for (const [left, name] of [
    [6, 'Speeds and aim'],
    [5, 'Speedometer against a true speed'],
  ] as const) {
    await open.getByRole('checkbox', { name }).click()
    await expect(open.getByRole('checkbox')).toHaveCount(left)
  }
  await expect(station('Ratio')).not.toContainText('look again')
  await station('Fit').click()
  // The list stands at both stations: what is ticked must be that of Fit, not of the page being left.
  await expect(page.getByRole('button', { name: 'Begin with what the length asks for' })).toBeVisible()
  await expect(station('Fit')).toContainText('look again')
  await open.getByRole('checkbox', { name: 'Whether the length still closes' }).press('Space')
  await expect(open.getByRole('checkbox')).toHaveCount(4)
  // A tick is a change like any other: it can be undone.
  await page.getByRole('button', { name: /^History/ }).click()
  await page.getByRole('button', { name: /^Undo/ }).first().click()
  await expect(open.getByRole('checkbox')).toHaveCount(5)
})

test('another tyre reopens Ratio and Fit', async ({ page }) => {
  const id = await addMachine(page, 'New tyre')
  const { machine, fitted } = await readMachine(page, id)
  machine.drives[0].outputs[0].roadWheel = { size: '120/90-17', rollOutMm: null }
  const stored = await page.request.put(`/api/machines/${id}`, {
    data: { machine, fitted: fitted.loops, fittedVersion: fitted.version },
  })
  expect(stored.ok()).toBe(true)
  await page.goto(`/machines/${id}/fit`)
  const open = panel(page, 'To be done again')
  await expect(open).toContainText('other road wheel or tyre')
  const stations = page.getByRole('navigation', { name: 'Stations' })
  await expect(stations.getByRole('link', { name: 'Ratio' })).toContainText('look again')
  await expect(stations.getByRole('link', { name: 'Fit' })).toContainText('look again')
})

test('an idler is dragged and stepped, the figures follow, and it is stored or put back', async ({
  page,
}) => {
  const id = await addMachine(page, 'Idler to be dragged')
  await page.goto(`/machines/${id}/fit`)
  await page.getByRole('button', { name: 'Begin with what the length asks for' }).click()
  await page.getByRole('button', { name: 'Where things stand' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Add an idler or a tensioner' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Store' }).click()
  await expect(page.getByRole('dialog')).toHaveCount(0)
  const layouts = async () => (await readMachine(page, id)).machine.layouts
  const before = await layouts()
  const view = panel(page, 'Side view, to scale')
  const idler = view.getByRole('button', { name: /^Place of idler/ })
  const centre = row(page, '112').getByRole('cell').first()
  await expect(centre).toContainText('mm')
  const centreBefore = await centre.textContent()
  await idler.focus()
  await page.keyboard.press('ArrowUp')
  await expect(view.getByRole('status')).toContainText(/idler at .*, moved 0\.1\smm, not stored/)
  await page.keyboard.press('Escape')
  await expect(view.getByRole('status')).toHaveCount(0)
  const box = await idler.boundingBox()
  if (!box) throw new Error('no handle')
  await page.mouse.move(box.x + 12, box.y + 12)
  await page.mouse.down()
  await page.mouse.move(box.x + 22, box.y + 2, { steps: 8 })
  await page.mouse.up()
  await expect(view.getByRole('status')).toContainText('not stored')
  await expect(centre).not.toHaveText(centreBefore ?? '')
  expect(await layouts()).toEqual(before)
  // Out of the loop it can't be laid: that is said, and it can't be stored there.
  for (let i = 0; i < 4; i++) await page.keyboard.press('Shift+ArrowDown')
  await idler.focus()
  await page.mouse.move(box.x + 22, box.y + 2)
  await page.mouse.down()
  await page.mouse.move(box.x + 22, box.y + 180, { steps: 8 })
  await page.mouse.up()
  await expect(view.getByRole('alert')).toContainText('without touching it')
  await expect(view.getByRole('button', { name: 'Store' })).toBeDisabled()
  await view.getByRole('button', { name: 'Put back' }).click()
  await expect(centre).toHaveText(centreBefore ?? '')
  await idler.focus()
  await page.keyboard.press('Shift+ArrowRight')
  await view.getByRole('button', { name: 'Store' }).click()
  await expect(view.getByRole('status')).toHaveCount(0)
  expect((await layouts())[0].idlers[0].centre.xMm).toBe(before[0].idlers[0].centre.xMm + 1)
  // Nothing was fitted or set on it yet: what is put right of it asks for nothing.
  await expect(panel(page, 'To be done again')).toHaveCount(0)
})

test('the pivot of the arm is dragged, and the play through the travel follows', async ({ page }) => {
  await page.goto('/machines/1/fit')
  const advice = panel(page, 'Through suspension travel').getByText(/on the stand so that/)
  const before = await advice.textContent()
  const pivot = panel(page, 'Side view, to scale').getByRole('button', { name: /^Place of arm pivot/ })
  await pivot.focus()
  for (let i = 0; i < 5; i++) await page.keyboard.press('Shift+ArrowUp')
  await expect(advice).not.toHaveText(before ?? '')
  await page.keyboard.press('Escape')
  await expect(advice).toHaveText(before ?? '')
})
