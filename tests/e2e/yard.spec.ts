import { addMachine, openStation, readAims, readMachine } from './bench'
import { expect, test } from './server'

test('every demo machine opens at every station', async ({ page }) => {
  for (let id = 1; id <= 7; id++) {
    await page.goto(`/machines/${id}/aim`)
    await expect(page.getByRole('navigation', { name: 'Stations' })).toContainText(/\d/)
    for (const station of ['Ratio', 'Fit', 'Loads', 'Set']) {
      await openStation(page, station)
      await expect(page.getByRole('alert')).toHaveCount(0)
    }
  }
})

test('a machine is added from its kind', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Add a machine' }).click()
  await page.getByRole('dialog').getByRole('combobox', { name: 'Kind' }).click()
  await page.getByRole('option', { name: 'bicycle' }).click()
  await page.getByRole('textbox', { name: 'Name' }).fill('<b>Röd</b> 🚲')
  await expect(page.getByRole('textbox', { name: 'Front' })).toHaveAttribute('placeholder', '≈ 38')
  await page.getByRole('textbox', { name: 'Front' }).fill('42')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(page.getByRole('heading', { name: '<b>Röd</b> 🚲' })).toBeVisible()
  await page.goto('/')
  await expect(page.getByRole('article').filter({ hasText: '<b>Röd</b> 🚲' })).toContainText('42 / 18')
})

test('a machine without a name is refused at the name and nothing typed is lost', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Add a machine' }).click()
  await page.getByRole('textbox', { name: 'Odometer' }).fill('1200')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(page.getByText('Give a name.')).toBeVisible()
  await expect(page.getByRole('textbox', { name: 'Odometer' })).toHaveValue('1200')
})

test('a machine is copied, retired, taken back, and each is undone from the page', async ({ page }) => {
  await addMachine(page, 'Old faithful')
  await page.goto('/')
  await page.getByRole('button', { name: 'More for Old faithful', exact: true }).click()
  await page.getByRole('menuitem', { name: 'Copy' }).click()
  await expect(page.getByRole('link', { name: 'Old faithful copy' })).toBeVisible()
  await page.getByRole('button', { name: 'More for Old faithful', exact: true }).click()
  await page.getByRole('menuitem', { name: 'Retire' }).click()
  await expect(page.getByRole('link', { name: 'Old faithful', exact: true })).toHaveCount(0)
  await page.getByRole('switch', { name: /show \d+ retired/ }).check()
  await expect(page.getByRole('article').filter({ hasText: 'retired 20' })).toContainText('Old faithful')
  await page.getByRole('button', { name: 'History' }).click()
  await page.getByRole('button', { name: 'Undo changed Old faithful' }).first().click()
  await expect(page.getByText('Undone: changed Old faithful', { exact: true })).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('article').filter({ hasText: 'retired 20' })).toHaveCount(0)
})

test('a machine is written to a file and read from it', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'More for Curlew', exact: true }).click()
  const download = page.waitForEvent('download')
  await page.getByRole('menuitem', { name: 'Write to a file' }).click()
  // Its photos go with it.
  const file = await download
  expect(file.suggestedFilename()).toBe('Curlew.zip')
  await page.locator('input[type=file]').setInputFiles(await file.path())
  await expect(page).toHaveURL(/machines\/\d+\/ratio/)
  const read = Number(page.url().match(/machines\/(\d+)/)?.[1])
  expect(await readAims(page, read)).toHaveLength(3)
  await page.goto(`/machines/${read}/jobs`)
  await page.getByRole('link', { name: /2025-11-19/ }).click()
  await expect(page.getByRole('button', { name: 'as left' })).toBeVisible()
})

test('a machine without photos is written as text and read from it under another name', async ({ page }) => {
  const id = await addMachine(page, 'As text')
  const text = await (await page.request.get(`/api/machines/${id}/file`)).text()
  await page.goto('/')
  await page.locator('input[type=file]').setInputFiles({
    name: 'c.json',
    mimeType: 'application/json',
    buffer: Buffer.from(text.replace('"name":"As text"', '"name":"From a file"')),
  })
  await expect(page.getByRole('heading', { name: 'From a file' })).toBeVisible()
})

for (const [fault, text, sentence] of [
  ['cut in half', '{"format":"wendrak-machine","formatVersion":1,"mach', 'not whole JSON'],
  ['of another kind', '{"format":"shopping-list"}', 'not a machine written by Wendrak'],
  ['no JSON', 'hello', 'neither JSON nor a zip'],
  ['without its parts', '{"format":"wendrak-machine","formatVersion":2}', 'required field is missing'],
] as const)
  test(`a file ${fault} is refused in a sentence`, async ({ page }) => {
    await page.goto('/')
    await expect(page.getByRole('article').first()).toBeVisible()
    const before = await page.getByRole('article').count()
    await page
      .locator('input[type=file]')
      .setInputFiles({ name: 'bad.json', mimeType: 'application/json', buffer: Buffer.from(text) })
    await expect(page.getByText('bad.json was not read')).toBeVisible()
    await expect(page.getByText(sentence)).toBeVisible()
    expect(await page.getByRole('article').count()).toBe(before)
  })

test('the drive is edited, refused at the field, and stored', async ({ page }) => {
  const id = await addMachine(page, 'Edited bike')
  await page.goto(`/machines/${id}/aim`)
  await page.getByRole('button', { name: 'Edit machine and drive' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('textbox', { name: 'Driving teeth' }).fill('0')
  await dialog.getByRole('textbox', { name: 'Size, as written on it' }).fill('26 x 1 3/8')
  await expect(dialog.getByText(/another tyre than the same number with a decimal/)).toBeVisible()
  await dialog.getByRole('button', { name: 'Store' }).click()
  await expect(dialog.getByText('Give 5 to 2000 teeth.').first()).toBeVisible()
  await dialog.getByRole('textbox', { name: 'Driving teeth' }).fill('30')
  await dialog.getByRole('textbox', { name: 'Size, as written on it' }).fill('180/55ZR17')
  await expect(dialog.getByText('1 921 mm per turn, from the size')).toBeVisible()
  await dialog.getByRole('textbox', { name: 'Front, fitted' }).fill('16')
  await dialog.getByRole('button', { name: 'Store' }).click()
  await expect(dialog).toHaveCount(0)
  const { machine, fitted } = await readMachine(page, id)
  expect(machine.drives[0].stages[0].driverTeeth).toBe(30)
  expect(machine.drives[0].outputs[0].roadWheel.size).toBe('180/55ZR17')
  expect(fitted.loops[0].frontSize).toBe(16)
})

test('a second loop on the same shaft turns a wheel the wrong way and is named', async ({ page }) => {
  const id = await addMachine(page, 'Two ways', 'other')
  await page.goto(`/machines/${id}/aim`)
  await page.getByRole('button', { name: 'Edit machine and drive' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('button', { name: 'Add a stage' }).click()
  await page.getByRole('menuitem', { name: /fixed pair/ }).click()
  await dialog.getByRole('combobox', { name: 'Driven from' }).last().click()
  await page.getByRole('option', { name: 'motor' }).click()
  await dialog.getByRole('button', { name: 'Add an output' }).click()
  await dialog
    .getByRole('checkbox', { name: /same ground/ })
    .last()
    .check()
  await dialog.getByRole('button', { name: 'Store' }).click()
  await expect(page.getByText('wheel and output 2 would turn against each other.')).toBeVisible()
})

test('find reaches machines, trials and aims by any words', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('article').first()).toBeVisible()
  await page.keyboard.press('/')
  await page.getByRole('combobox', { name: /^Find a machine/ }).fill('ridge')
  await expect(page.getByRole('option', { name: /Ridge round, loaded aim of Curlew/ }).first()).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('radio', { name: /Ridge round/ })).toBeChecked()
})

test('units and theme change with a key and are remembered', async ({ page }) => {
  await page.goto('/machines/1/ratio')
  await expect(page.getByText('18 420 km')).toBeVisible()
  await page.keyboard.press('u')
  await expect(page.getByText('11 446 mi')).toBeVisible()
  await expect(page.getByRole('link', { name: /Aim/ })).toContainText('56 mph in 6th')
  await page.keyboard.press('l')
  await expect(page.locator('html')).toHaveAttribute('data-mantine-color-scheme', 'dark')
  await page.reload()
  await expect(page.getByText('11 446 mi')).toBeVisible()
  await expect(page.locator('html')).toHaveAttribute('data-mantine-color-scheme', 'dark')
})

for (const path of [
  '/',
  '/stock',
  '/stock?list=parts',
  '/machines/1/aim',
  '/machines/1/ratio?pick=final~15~43',
  '/machines/5/aim',
  '/machines/1/jobs/2',
])
  test(`nothing sticks out of a phone's screen: ${path}`, async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 })
    await page.goto(path)
    await page.waitForLoadState('networkidle')
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  })

test('the job sheet prints without the controls', async ({ page }) => {
  await page.goto('/machines/1/ratio?pick=final~15~43')
  await expect(page.getByText('now feels like')).toBeVisible()
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeHidden()
  await expect(page.getByRole('button', { name: 'Keep as a trial' })).toBeHidden()
  await expect(page.getByRole('heading', { name: 'Curlew' })).toBeVisible()
  await expect(page.getByText('now feels like')).toBeVisible()
})

test('the page runs nothing and asks nobody but its own server', async ({ page }) => {
  const foreign: string[] = []
  const complaints: string[] = []
  page.on('request', (r) => {
    if (!r.url().startsWith('http://127.0.0.1:') && !r.url().startsWith('data:')) foreign.push(r.url())
  })
  page.on('console', (m) => {
    if (m.type() === 'error') complaints.push(m.text())
  })
  await page.goto('/machines/1/ratio')
  await expect(page.getByText('ways into the band')).toBeVisible()
  expect(foreign).toEqual([])
  expect(complaints).toEqual([])
})

test('the files of the page are packed and kept, the page itself is asked for anew', async ({ page }) => {
  const html = await page.request.get('/')
  expect(html.headers()['cache-control']).toBe('no-cache')
  const script = /src="(\/assets\/[^"]+\.js)"/.exec(await html.text())?.[1] ?? ''
  const asset = await page.request.get(script, { headers: { 'accept-encoding': 'br' } })
  expect(asset.headers()['cache-control']).toContain('immutable')
  expect(asset.headers()['content-encoding']).toBe('br')
})

test('a trial is found by words of its name and opened by keys alone', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('article').first()).toBeVisible()
  await page.keyboard.press('/')
  const find = page.getByRole('combobox', { name: /^Find a machine/ })
  await find.fill('curlew lo')
  const found = page.getByRole('listbox', { name: 'Found' }).getByRole('option')
  await expect(found.first()).toContainText('Loads')
  await find.fill('nothing of that name')
  await expect(page.getByText('Nothing is called that.')).toBeVisible()
  await find.fill('curlew')
  await find.press('ArrowDown')
  await expect(found.nth(1)).toHaveAttribute('aria-selected', 'true')
  await find.press('Enter')
  await expect(page).toHaveURL(/machines\/\d+\/ratio/)
  await expect(page.getByRole('navigation', { name: 'Stations' })).toBeVisible()
})

test('sixty machines: searched, narrowed, ordered and turned over, kept in the address', async ({ page }) => {
  const start = await (await page.request.get('/api/machines/starting/kickBoard')).json()
  for (let i = 1; i <= 53; i++)
    await page.request.post('/api/machines', {
      data: {
        machine: { ...start.machine, name: `Board ${String(i).padStart(2, '0')}`, odometerKm: i },
        fitted: start.fitted,
        fittedVersion: 0,
      },
    })
  await page.goto('/')
  const cards = page.getByRole('article')
  const tools = page.getByRole('search')
  await expect(tools).toContainText(/6\d machines/)
  await expect(cards).toHaveCount(24)
  await tools.getByRole('button', { name: 'Page 3', exact: true }).click()
  await expect(page).toHaveURL(/page=3/)
  await expect(cards.filter({ hasText: 'Turnstone' })).toHaveCount(1)
  await tools.getByRole('searchbox', { name: 'Search the yard' }).fill('board 5m')
  await expect(tools).toContainText(/5\d machines/)
  await tools.getByRole('combobox', { name: 'Order' }).click()
  await page.getByRole('option', { name: 'most run first' }).click()
  await expect(cards.first()).toContainText('Plover')
  await expect(cards.nth(1)).toContainText('Board 53')
  await page.reload()
  await expect(cards.nth(1)).toContainText('Board 53')
  await tools.getByRole('combobox', { name: 'What of it' }).click()
  await page.getByRole('option', { name: 'does not go out' }).click()
  await expect(cards).toHaveCount(1)
  await tools.getByRole('searchbox', { name: 'Search the yard' }).fill('nothing like it')
  await page.getByRole('button', { name: 'Show all of them' }).click()
  await expect(cards).toHaveCount(24)
  await tools.getByRole('combobox', { name: 'Kind' }).click()
  await page.getByRole('option', { name: 'winch' }).click()
  await expect(cards).toHaveCount(1)
})

test('each page has its title, for tabs and for whoever hears it', async ({ page }) => {
  for (const [path, title] of [
    ['/', 'Yard · Wendrak'],
    ['/stock', 'Stock · Wendrak'],
    ['/machines/1/ratio', 'Ratio · Curlew · Wendrak'],
    ['/machines/1/choice', 'Choice · Curlew · Wendrak'],
    ['/machines/6/jobs/21', 'Jobs · Plover · Wendrak'],
  ] as const) {
    await page.goto(path)
    await expect(page).toHaveTitle(title)
  }
})

test('an empty yard has three doors, and the demo comes back through one', async ({ page }) => {
  for (const { machine } of await (await page.request.get('/api/machines')).json())
    await page.request.delete(`/api/machines/${machine.id}?version=${machine.version}`)
  await page.goto('/')
  await expect(page.getByRole('link', { name: 'Practise' })).toBeVisible()
  await page.getByRole('button', { name: 'Put the demo into the yard' }).click()
  await expect(page.getByRole('article')).toHaveCount(7)
  await expect(page.getByRole('article').filter({ hasText: 'Curlew' })).toContainText('ratio')
  // What lies on the shelf was not removed, and is not there twice.
  const stock = await (await page.request.get('/api/stock')).json()
  expect(new Set(stock.map((s: { wheel: unknown }) => JSON.stringify(s.wheel))).size).toBe(stock.length)
  // In a yard where machines stand it is not taken in once more.
  expect((await page.request.post('/api/demo')).status()).toBe(422)
})

test('a job sheet has the stations and the visit that were chosen, for whom, and no control', async ({
  page,
}) => {
  const machines = await (await page.request.get('/api/machines')).json()
  const id = machines.find((m: { machine: { name: string } }) => m.machine.name === 'Dunlin').machine.id
  await page.goto(`/machines/${id}/fit`)
  await page.getByRole('link', { name: 'Print a job sheet' }).click()
  await expect(page).toHaveURL(/machines\/\d+\/sheet\?.*of=fit/)
  const sheet = page.getByRole('region', { name: /on the sheet$/ })
  await expect(sheet).toHaveCount(1)
  await page.getByRole('group', { name: 'Stations on the sheet' }).getByText('Loads').click()
  await expect(sheet).toHaveCount(2)
  await page.getByRole('combobox', { name: 'Visits with their record' }).click()
  await page.getByRole('option', { name: /2026-09-14/ }).click()
  await page.keyboard.press('Escape')
  await page.getByLabel('For whom').fill('Ann')
  await expect(page.getByRole('heading', { name: /^Set record: Dunlin/ })).toBeVisible()
  // What is on the sheet is looked at: its keys do nothing, once or twice.
  const before = (await (await page.request.get(`/api/machines/${id}/setups`)).json()).length
  await page.locator('body').click({ position: { x: 5, y: 5 } })
  await page.keyboard.press('t')
  expect((await (await page.request.get(`/api/machines/${id}/setups`)).json()).length).toBe(before)
  // Also from the dark: paper is light.
  await page.emulateMedia({ media: 'print', colorScheme: 'dark' })
  await expect(page.getByRole('heading', { name: /^Job sheet: Dunlin/ })).toBeVisible()
  await expect(page.getByText(/for Ann/)).toBeVisible()
  for (const gone of ['Stations', 'Places'])
    await expect(page.getByRole('navigation', { name: gone, includeHidden: true })).toBeHidden()
  await expect(page.getByRole('region', { name: 'Job sheet' })).toBeHidden()
  expect(await page.evaluate(() => getComputedStyle(document.body).backgroundColor)).toBe(
    'rgb(255, 255, 255)',
  )
})

test('an odometer round: several machines in one go, what is refused stays at its field', async ({
  page,
}) => {
  const names = ['Round one', 'Round two', 'Round three']
  const start = await (await page.request.get('/api/machines/starting/kickBoard')).json()
  const ids: number[] = []
  for (const [i, name] of names.entries()) {
    const added = await page.request.post('/api/machines', {
      data: {
        machine: { ...start.machine, name, odometerKm: 100 * (i + 1) },
        fitted: start.fitted,
        fittedVersion: 0,
      },
    })
    ids.push((await added.json()).machine.id)
  }
  await page.goto('/?q=round')
  await page.getByRole('button', { name: 'Odometer round' }).click()
  const dialog = page.getByRole('dialog', { name: 'Odometers of the machines in view' })
  await expect(dialog.getByLabel('Round one')).toBeVisible()
  await expect(dialog.getByRole('button', { name: /^Write/ })).toBeDisabled()
  await dialog.getByLabel('Round one').fill('140')
  await dialog.getByLabel('Round two').fill('-5')
  await dialog.getByRole('button', { name: 'Write 2 down' }).click()
  // One is written; the other is named with its bound, and its figure stays.
  await expect(dialog.getByText(/^Give .*\b0\b/)).toBeVisible()
  await expect(dialog.getByLabel('Round one')).toHaveValue('')
  await expect(dialog.getByLabel('Round two')).toHaveValue('-5')
  await dialog.getByLabel('Round two').fill('260')
  await dialog.getByRole('button', { name: 'Write 1 down' }).click()
  await expect(dialog).toHaveCount(0)
  const km = async (id: number) =>
    (await (await page.request.get(`/api/machines/${id}`)).json()).machine.odometerKm
  expect([await km(ids[0] ?? 0), await km(ids[1] ?? 0), await km(ids[2] ?? 0)]).toEqual([140, 260, 300])
})
