import { addMachine, panel } from './bench'
import { expect, type Page, test } from './server'

/** Photos at a job: sent, measured on by a line of known length, held beside another one, removed and brought back. */

/** A picture as a phone would send it: here one of the page itself. */
const picture = (page: Page, type: 'jpeg' | 'png' = 'jpeg') => page.screenshot({ type })

async function openJob(page: Page, name: string) {
  const id = await addMachine(page, name)
  const opened = await page.request.post(`/api/machines/${id}/jobs`, {
    data: { openedOn: '2026-11-20', reason: 'visit' },
  })
  const job = (await opened.json()).id
  await page.goto(`/machines/${id}/jobs/${job}`)
  await expect(panel(page, 'Photos')).toBeVisible()
  return { id, job }
}

const send = async (page: Page, name: string, mimeType: string, buffer: Buffer) => {
  const chooser = page.waitForEvent('filechooser')
  await page.getByRole('button', { name: 'Take or choose photos' }).click()
  await (await chooser).setFiles({ name, mimeType, buffer })
}

const photosOf = async (page: Page, id: number) =>
  (await (await page.request.get(`/api/machines/${id}/jobs`)).json())[0].photos

test('a line of known length on a photo measures another, with the mouse', async ({ page }) => {
  const { id } = await openJob(page, 'Measured')
  await page.getByRole('textbox', { name: 'What is to be seen' }).fill('as it came')
  await send(page, 'a.jpg', 'image/jpeg', await picture(page))
  await page.getByRole('button', { name: 'as it came' }).click()
  const dialog = page.getByRole('dialog')
  const drawing = dialog.getByRole('group', { name: 'as it came' })
  await dialog.getByRole('button', { name: 'Draw a line' }).click()
  // The photo is 1280 px wide; the line lies from a third to two thirds and is made half as long again.
  const box = (await drawing.boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 }
  const at = (x: number, y: number) => [box.x + box.width * x, box.y + box.height * y] as const
  await page.mouse.move(...at(2 / 3, 1 / 2))
  await page.mouse.down()
  await page.mouse.move(...at(5 / 6, 1 / 2), { steps: 4 })
  await page.mouse.up()
  await dialog.getByRole('textbox', { name: 'What the line goes along' }).fill('steel rule')
  await dialog.getByLabel('Its length, where it is known').fill('150')
  await dialog.getByRole('button', { name: 'It sets the scale' }).click()
  const lines = dialog.getByRole('list', { name: 'Lines on it' })
  await expect(lines).toContainText('steel rule: 150.0 mm, known')
  await dialog.getByRole('button', { name: 'Draw a line' }).click()
  await dialog.getByRole('button', { name: 'Measure it' }).click()
  // A third of the width against a half of it.
  await expect(lines.getByRole('listitem').last()).toContainText(/a line: (99|100|101)\.\d\smm\s±\s\d/)
  await lines.getByRole('button', { name: 'working' }).click()
  await expect(page.getByRole('dialog', { name: 'Length on a photo' })).toContainText('known length')
  await page.keyboard.press('Escape')

  await dialog.getByRole('button', { name: 'Remove line 1' }).click()
  await expect(lines).toContainText('not told before one of known length is drawn')
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(lines).toContainText('150.0 mm, known')
  const [photo] = await photosOf(page, id)
  const [measured] = photo.lines.filter((line: { measured: unknown }) => line.measured !== null)
  expect(measured.measured.lengthMm).toBeCloseTo(100, -1)
})

test('two photos stand beside each other, and the right one beside both', async ({ page }) => {
  const { id, job } = await openJob(page, 'Beside')
  await send(page, 'a.jpg', 'image/jpeg', await picture(page))
  await expect(panel(page, 'Photos').getByRole('listitem')).toHaveCount(1)
  await page.getByRole('combobox', { name: 'It shows' }).click()
  await page.getByRole('option', { name: 'a run, end to end' }).click()
  await page.getByRole('textbox', { name: 'What is to be seen' }).fill('upper run')
  await send(page, 'b.png', 'image/png', await picture(page, 'png'))
  await page.getByRole('button', { name: 'upper run' }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog).toContainText('No right one beside it: nothing tells how long this run is')
  await dialog.getByRole('combobox', { name: 'Beside it' }).click()
  await page.getByRole('option').first().click()
  await expect(dialog.locator('figure')).toHaveCount(2)
  await page.keyboard.press('Escape')

  // Once the run is known it is drawn.
  const card = await (await page.request.get(`/api/machines/${id}`)).json()
  const stored = await page.request.put(`/api/machines/${id}`, {
    data: {
      machine: {
        ...card.machine,
        settings: [{ loopKey: 'final', adjuster: { kind: 'twoEnds' }, spanMm: 600 }],
      },
      fitted: card.fitted.loops,
      fittedVersion: card.fitted.version,
    },
  })
  expect(stored.ok()).toBe(true)
  await page.goto(`/machines/${id}/jobs/${job}`)
  await page.getByRole('button', { name: 'upper run' }).click()
  await expect(dialog.getByRole('img', { name: 'The run, to scale' })).toBeVisible()
  await expect(dialog).toContainText('free run 600 mm')
})

test('with keys alone: a line is drawn, a photo removed and brought back', async ({ page }) => {
  const { id } = await openJob(page, 'By keys')
  await page.getByRole('textbox', { name: 'What is to be seen' }).fill('rust')
  await send(page, 'a.jpg', 'image/jpeg', await picture(page))
  await page.getByRole('button', { name: 'rust' }).focus()
  await page.keyboard.press('Enter')
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('button', { name: 'Draw a line' }).focus()
  await page.keyboard.press('Enter')
  await dialog.getByRole('slider', { name: 'End of the line' }).focus()
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Shift+ArrowLeft')
  await dialog.getByLabel('Its length, where it is known').focus()
  await page.keyboard.type('80')
  await page.keyboard.press('Enter')
  await expect(dialog.getByRole('list', { name: 'Lines on it' })).toContainText('80.0 mm, known')
  const [{ lines, widthPx }] = await photosOf(page, id)
  expect(lines[0].line.x2 - lines[0].line.x1).toBeCloseTo(widthPx / 3 - widthPx / 20, -1)

  await dialog.getByRole('button', { name: 'Remove', exact: true }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: 'rust' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo', exact: true }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: 'rust' })).toBeVisible()
  expect((await photosOf(page, id))[0].lines).toHaveLength(1)
})

test('a photo of a round is taken at Set and stands with the job', async ({ page }) => {
  const { id, job } = await openJob(page, 'At Set')
  await page.goto(`/machines/${id}/set`)
  await page.getByRole('button', { name: 'Begin as found' }).click()
  await send(page, 'found.jpg', 'image/jpeg', await picture(page))
  await page.getByRole('button', { name: 'as found', exact: true }).click()
  await expect(page.getByRole('dialog')).toContainText('job of 2026-11-20')
  await page.goto(`/machines/${id}/jobs/${job}`)
  await expect(panel(page, 'Photos').getByRole('button', { name: 'as found' })).toBeVisible()
  expect((await photosOf(page, id))[0]).toMatchObject({ loopKey: 'final', round: 0, shows: 'freePlay' })
})

test('what is no picture is refused by its bytes, and the next one is taken', async ({ page }) => {
  await openJob(page, 'Refused')
  await send(page, 'manual.jpg', 'image/jpeg', Buffer.from('%PDF-1.4\n%%EOF'))
  await expect(panel(page, 'Photos').getByRole('alert')).toContainText(
    'Give a picture: a JPEG, PNG or WebP file.',
  )
  const whole = await picture(page)
  await send(page, 'cut.jpg', 'image/jpeg', whole.subarray(0, whole.length / 2))
  await expect(panel(page, 'Photos').getByRole('alert')).toContainText('not whole')
  await send(page, 'whole.jpg', 'image/jpeg', whole)
  await expect(panel(page, 'Photos').getByRole('listitem')).toHaveCount(1)
  await expect(panel(page, 'Photos').getByRole('alert')).toHaveCount(0)
})
