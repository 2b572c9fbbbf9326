import { readFile, writeFile } from 'node:fs/promises'
import { addMachine } from './bench'
import { expect, type Page, test } from './server'

/** Hands a text to the button of that name, as a file. */
const read = async (page: Page, button: string, text: string, name = 'theirs.json') => {
  const chooser = page.waitForEvent('filechooser')
  await page.getByRole('button', { name: button, exact: true }).click()
  await (await chooser).setFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) })
}

/** What “Share” writes, signed by an author. */
const share = async (page: Page, name: string, author: string) => {
  await page.getByRole('button', { name: `Share ${name}`, exact: true }).click()
  await page.getByLabel('Who wrote it').fill(author)
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Write the file' }).click()
  return JSON.parse(await readFile(await (await download).path(), 'utf8'))
}

const row = (page: Page, name: RegExp) => page.getByRole('dialog').getByRole('row', { name })

test('own steps of one machine are written as a file and read on another, what differs first', async ({
  page,
}) => {
  const from = await addMachine(page, 'Theirs')
  await page.goto(`/machines/${from}/build`)
  const nut = page.getByRole('button', { name: /New tab washer, nut to its torque/ })
  const torque = page.getByRole('textbox', { name: 'The maker’s torque' })
  const begin = async (id: number) => {
    await page.goto(`/machines/${id}/build`)
    await page.getByRole('combobox', { name: 'Change' }).click()
    await page.getByRole('option', { name: 'front wheel' }).click()
    await nut.click()
  }
  await begin(from)
  await torque.fill('108')
  await page.getByRole('button', { name: 'Keep it for this machine' }).click()
  const file = await share(page, 'this machine’s own steps', 'Ann')
  expect(file).toMatchObject({ format: 'wendrak-shared', author: 'Ann', content: { kind: 'procedure' } })

  const to = await addMachine(page, 'Ours')
  await begin(to)
  await read(page, 'Read steps from a file', JSON.stringify(file))
  await expect(page.getByText(`Version ${file.version} by Ann`)).toBeVisible()
  await expect(row(page, /nut to its torque/)).toContainText(/108\.0\sNm/)
  await expect(row(page, /nut to its torque/)).toContainText('is added')
  await page.getByRole('button', { name: 'Take it in' }).click()
  await nut.click()
  await expect(torque).toHaveValue('108')

  // A later version of theirs is a change, and can be taken back.
  file.content.procedure.reworded[0].torqueNm = 112
  await read(page, 'Read steps from a file', JSON.stringify({ ...file, version: 9 }))
  await expect(row(page, /nut to its torque/)).toContainText(/is changed.*108\.0\sNm.*112\.0\sNm/)
  await page.getByRole('button', { name: 'Take it in' }).click()
  const notice = page.getByRole('alert').filter({ hasText: 'version 9, is taken in' })
  await notice.getByRole('button', { name: 'Undo' }).click()
  await expect
    .poll(async () => (await page.request.get(`/api/machines/${to}`)).json())
    .toMatchObject({ machine: { procedures: [{ reworded: [{ torqueNm: 108 }] }] } })
})

test('a gearbox set of the same name is compared gear by gear, changed or put beside', async ({ page }) => {
  const sets = async (): Promise<string[]> =>
    (await (await page.request.get('/api/gearbox-sets')).json())
      .map((s: { name: string; reductions: number[] }) => `${s.name} ${s.reductions[0]}`)
      .sort()
  await page.goto('/stock')
  const button = page.getByRole('button', { name: /^Share / }).first()
  const name = (await button.getAttribute('aria-label'))?.replace('Share ', '') ?? ''
  const before = await sets()
  const file = await share(page, name, 'Ann')
  await read(page, 'Read a gearbox set from a file', JSON.stringify(file))
  await expect(page.getByText('All of it that can be here is here already.')).toBeVisible()
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).last().click()

  file.content.reductions[0] = 3.25
  await read(page, 'Read a gearbox set from a file', JSON.stringify(file))
  await expect(row(page, /gear 1/)).toContainText(/is changed.*3\.25/)
  await expect(row(page, /gear 2/)).toContainText('the same')
  await expect(page.getByText('Every machine with this set gets what is changed in it.')).toBeVisible()
  await page.getByRole('button', { name: 'Add it beside ours' }).click()
  await expect.poll(sets).toContain(`${name} (Ann, ${file.version}) 3.25`)
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect.poll(sets).toEqual(before)
  await read(page, 'Read a gearbox set from a file', JSON.stringify(file))
  await page.getByRole('button', { name: 'Change ours' }).click()
  await expect.poll(sets).toContain(`${name} 3.25`)
})

test('aims of a venue go without what was tried; one that the drive can’t have is left out and said', async ({
  page,
}) => {
  await page.goto('/machines/1/aim')
  const file = await share(page, 'aims for Dyke road', 'Ann')
  const [cruise] = file.content.aims
  expect(Object.keys(cruise)).not.toContain('outcomes')
  file.content.aims = [
    { ...cruise, target: { ...cruise.target, speedKmh: 95 } },
    { ...cruise, name: 'Two up' },
    { ...cruise, name: 'In eighth', target: { ...cruise.target, gearIndex: 7 } },
  ]
  await read(page, 'Read aims of a venue from a file', JSON.stringify(file))
  await expect(row(page, /^Dyke road, 90 in sixth/)).toContainText(/is changed.*90\skm\/h.*95\skm\/h/)
  await expect(row(page, /^Two up/)).toContainText('is added')
  await expect(row(page, /^In eighth/)).toContainText('left out: this drive has 6 gears.')
  await page.getByRole('button', { name: 'Take it in' }).click()
  const venue = page.getByRole('region', { name: 'Aims for Dyke road' })
  await expect(venue.getByText('Two up')).toBeVisible()
  await expect(venue.getByText('In eighth')).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(venue.getByText('Two up')).toHaveCount(0)
})

test('a file that can’t be read says what it is, and nothing is stored', async ({ page }) => {
  await page.goto('/machines/1/aim')
  const before = await (await page.request.get('/api/machines/1/aims')).json()
  const gears = await (await page.request.get('/api/gearbox-sets/1/file?author=Ann')).json()
  for (const [text, says] of [
    ['{"format":"wendrak-sha', 'It is not whole JSON'],
    ['{"format":"wendrak-machine"}', 'A whole machine is read in the yard.'],
    [JSON.stringify(gears), 'It holds a gearbox set; here aims of a venue can be read.'],
    [JSON.stringify({ ...gears, content: { kind: 'song' } }), 'not the JSON'],
    [
      JSON.stringify({
        ...gears,
        formatVersion: 3,
        content: { kind: 'aims', venue: 'x', aims: [], leftOut: [] },
      }),
      'version 3; this program knows 2',
    ],
  ] as const) {
    await read(page, 'Read aims of a venue from a file', text)
    await expect(page.getByText(says)).toBeVisible()
  }
  expect(await (await page.request.get('/api/machines/1/aims')).json()).toEqual(before)
  await page.getByRole('button', { name: 'Share aims for Dyke road' }).click()
  await page.getByLabel('Who wrote it').fill(' ')
  await page.getByRole('button', { name: 'Write the file' }).click()
  await expect(page.getByText('Give a name.')).toBeVisible()
})

test('the same file can be chosen again after it was left, and one venue is one however it is written', async ({
  page,
}) => {
  await page.goto('/machines/1/aim')
  const file = await share(page, 'aims for Dyke road', 'Ann')
  file.content.aims[0].name = 'Into the wind'
  const path = test.info().outputPath('theirs.json')
  await writeFile(path, JSON.stringify(file))
  for (let time = 0; time < 2; time++) {
    const chooser = page.waitForEvent('filechooser')
    await page.getByRole('button', { name: 'Read aims of a venue from a file' }).click()
    await (await chooser).setFiles(path)
    await expect(row(page, /^Into the wind/)).toContainText('is added')
    await page.getByRole('button', { name: 'Leave it' }).click()
    await expect(page.getByRole('dialog')).toHaveCount(0)
  }
  await page.getByRole('radio', { name: /Ridge round/ }).check()
  await page.getByRole('combobox', { name: 'Venue' }).fill('dyke road ')
  await expect(page.getByRole('region', { name: 'Aims for Dyke road' }).getByRole('radio')).toHaveCount(2)
})
