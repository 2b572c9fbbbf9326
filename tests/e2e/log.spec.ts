import { readFileSync } from 'node:fs'
import ICAL from 'ical.js'
import { addMachine, panel } from './bench'
import { expect, type Page, test } from './server'

/** What it brought: the log by hand and from tables, two setups against each other, runs from traces, taps and films. */

const brought = (page: Page, id: number) => page.goto(`/machines/${id}/check?view=brought`)
const log = (page: Page) => panel(page, 'Log')
const rows = (page: Page) => log(page).locator('tbody tr')
const form = (page: Page) => panel(page, 'Write it down')

async function writeFill(page: Page, day: string, km: string, litres: string) {
  await form(page).getByRole('textbox', { name: 'Day' }).fill(day)
  await form(page).getByRole('textbox', { name: 'Odometer' }).fill(km)
  await form(page).getByRole('textbox', { name: 'Filled in' }).fill(litres)
  await form(page).getByRole('button', { name: 'Write it down' }).click()
}

const table = (text: string, name = 'fills.csv') => ({
  name,
  mimeType: 'text/csv',
  buffer: Buffer.from(text, 'utf8'),
})

test('fills are written down, a wrong one is refused at its field and struck out, and stand in the history', async ({
  page,
}) => {
  const id = await addMachine(page, 'Filled')
  await brought(page, id)
  await expect(log(page)).toContainText('Nothing is written down yet.')
  await writeFill(page, '2026-11-01', '12400', '0')
  await expect(form(page)).toContainText('Give more than 0 L.')
  await expect(rows(page)).toHaveCount(0)
  await form(page).getByRole('textbox', { name: 'Filled in' }).fill('5,25')
  await form(page).getByRole('button', { name: 'Write it down' }).click()
  await expect(rows(page)).toHaveText([/2026-11-01.*fuel 5\.25 L, full.*12\s?400\skm/])
  // The odometer of the machine follows.
  await expect(page.getByText(/motorcycle.*12\s?400\skm/)).toBeVisible()
  // The day stays for the next one; words and numbers do not.
  await expect(form(page).getByRole('textbox', { name: 'Filled in' })).toHaveValue('')
  await page.getByRole('button', { name: /^Strike out: 2026-11-01/ }).click()
  await expect(rows(page).first()).toContainText('struck out')
  await page.getByRole('button', { name: 'History' }).click()
  await expect(page.getByRole('dialog')).toContainText('struck a line of the log out')
  await page.getByRole('dialog').getByRole('button', { name: 'Undo' }).first().click()
  await page.keyboard.press('Escape')
  await expect(rows(page).first()).not.toContainText('struck out')
})

test('a table of the wild is looked at, tried and taken in; the next one with its head is read the same way', async ({
  page,
}) => {
  const id = await addMachine(page, 'Imported')
  await brought(page, id)
  const head = '\uFEFFDatum;Km-Stand;Liter;Voll;Preis\n'
  const first = `${head}03.01.2026;12.000,0;5,1;ja;9,20\n17.01.2026;12.110,0;4,9;ja;9,10\n99.01.2026;1;1;ja;1\n`
  await log(page).locator('input[type=file]').setInputFiles(table(first))
  const dialog = page.getByRole('dialog')
  await expect(dialog).toContainText('How its columns are read is a guess')
  await expect(dialog.getByRole('combobox', { name: 'Column Liter is' })).toHaveValue('how much (needed)')
  await expect(dialog.getByRole('combobox', { name: 'Days are written' })).toHaveValue('day, month, year')
  await dialog.getByRole('button', { name: 'Try it' }).click()
  await expect(dialog.getByRole('status')).toContainText('2 lines can be taken in, 1 can’t be read.')
  await expect(dialog.getByRole('row', { name: /Datum 99\.01\.2026/ })).toContainText('no day')
  await dialog.getByRole('button', { name: 'Take 2 lines in' }).click()
  await expect(dialog.getByRole('status')).toContainText('2 lines are in the log')
  await dialog.getByRole('button', { name: 'Done' }).click()
  await expect(rows(page)).toHaveText([
    /2026-01-17.*4\.90 L, full, 9\.10 paid.*from fills\.csv/,
    /2026-01-03/,
  ])
  await log(page)
    .locator('input[type=file]')
    .setInputFiles(table(`${first}31.01.2026;12.220,0;5,0;nein;9,00\n`, 'later.csv'))
  await expect(dialog).toContainText('it is read the same way')
  await dialog.getByRole('button', { name: 'Take in what can be read' }).click()
  await expect(dialog.getByRole('status')).toContainText('1 lines are in the log, 2 were there already')
  await dialog.getByRole('button', { name: 'Done' }).click()
  const saved = page.waitForEvent('download')
  await page.getByRole('link', { name: 'Save all as a table (.csv)' }).click()
  const text = readFileSync(await (await saved).path(), 'utf8')
  expect(text).toContain('2026-01-31,fuel,12220,5,L,no,,9')
})

test('a comparison that can be told, one that can’t, and what else differed', async ({ page }) => {
  await brought(page, 1)
  const told = panel(page, 'What it brought')
  await expect(told.getByRole('status')).toContainText('As fitted takes 0.25 L/100 km less than Hill week.')
  await expect(panel(page, 'What else differed')).toContainText('front of final: 14 → 15')
  await expect(panel(page, 'What else differed')).toContainText('one after the other')
  await expect(told).toContainText('hearsay, not counted: 4.00 L/100 km')
  await told.getByRole('textbox', { name: 'A difference that matters' }).fill('0.05')
  await expect(told).toContainText(/Run “before, after, after, before” \d+ more times/)
  await told.getByRole('textbox', { name: 'A difference that matters' }).fill('0')
  await expect(told).toContainText('Give more than 0.')
  await expect(told.getByRole('status')).toContainText('takes 0.25')
  await told.getByRole('textbox', { name: 'A difference that matters' }).fill('')
  await told.getByRole('button', { name: 'working' }).click()
  await expect(page.getByRole('dialog')).toContainText('Welch 1947')
  await page.keyboard.press('Escape')
  await page.getByRole('radiogroup', { name: 'Compared by' }).getByText('noise').click()
  await expect(told.getByRole('status')).toContainText('As fitted is 1.4 dB quieter than Hill week.')
  await expect(told).toContainText('as pressure, and as it is heard')
  await panel(page, 'What it costs').getByRole('textbox', { name: 'An hour of work is worth' }).fill('30')
  await expect(panel(page, 'What it costs').getByRole('row', { name: /^upkeep/ })).not.toContainText('2.73')
  await brought(page, 2)
  await expect(told.getByRole('status')).toContainText('Too few to say: the difference may be none.')
})

/** Places a fifth of a second apart: 40 km/h, then up to 100 by ten a second. */
function gpx() {
  const points: string[] = []
  let metres = 0
  for (let i = 0; i <= 60; i++) {
    const t = i / 5
    metres += Math.min(100, 40 + Math.max(0, t - 2) * 10) / 3.6 / 5
    const time = new Date(Date.UTC(2026, 4, 2, 10, 0, 0, t * 1000)).toISOString()
    points.push(`<trkpt lat="${54 + metres / 111_195}" lon="0"><time>${time}</time></trkpt>`)
  }
  return `<gpx version="1.1"><trk><trkseg>${points.join('')}</trkseg></trk></gpx>`
}

test('a run found in a trace is kept and compared by', async ({ page }) => {
  const id = await addMachine(page, 'Traced')
  await brought(page, id)
  const road = panel(page, 'Road test')
  const file = road.locator('input[type=file]')
  await file.setInputFiles({
    name: 'bad.gpx',
    mimeType: 'application/gpx+xml',
    buffer: Buffer.from('<!DOCTYPE gpx><gpx/>'),
  })
  await expect(road.getByRole('alert')).toContainText('document type')
  await file.setInputFiles({ name: 'pull.gpx', mimeType: 'application/gpx+xml', buffer: Buffer.from(gpx()) })
  await expect(road.getByRole('status')).toContainText(
    '61 points over 12.0 s. Speeds are worked out from places',
  )
  await road.getByRole('textbox', { name: 'First speed' }).fill('60')
  await road.getByRole('textbox', { name: 'Second speed' }).fill('90')
  await expect(road.getByRole('row', { name: /3\.0\d s ±|2\.9\d s ±/ })).toBeVisible()
  // The part that counts is dragged over: without the pull no run is in it.
  const chart = road.getByRole('img', { name: /^Speed over/ })
  const box = await chart.boundingBox()
  if (!box) throw new Error('no chart')
  await page.mouse.move(box.x + 12, box.y + 60)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width * 0.25, box.y + 60, { steps: 4 })
  await page.mouse.up()
  await expect(road).toContainText('No run from 60.0 km/h to 90.0 km/h in that part.')
  await road.getByRole('textbox', { name: 'Counts from' }).fill('')
  await road.getByRole('textbox', { name: 'Counts to' }).fill('')
  await road.getByRole('checkbox', { name: /^Keep the run at/ }).check()
  await road.getByRole('button', { name: 'Write this run down' }).click()
  await expect(rows(page).first()).toContainText(
    /2026-05-02timed run (3\.0|2\.9)\d s, 60\.0\skm\/h to 90\.0\skm\/h, rolling, by a trace/,
  )
  await page.getByRole('radiogroup', { name: 'Compared by' }).getByText('time').click()
  await expect(panel(page, 'What it brought')).toContainText('60 to 90 km/h, rolling')
  await expect(panel(page, 'What it brought').getByRole('status')).toContainText('One setup alone')
})

test('two taps and two frames of a film are runs, by key as well', async ({ page }) => {
  const id = await addMachine(page, 'Tapped')
  await brought(page, id)
  const road = panel(page, 'Road test')
  await road.getByText('two taps').click()
  await expect(road.getByRole('button', { name: 'Give two speeds first' })).toBeDisabled()
  await road.getByRole('textbox', { name: 'First speed' }).fill('0')
  await road.getByRole('textbox', { name: 'Second speed' }).fill('50')
  await road.getByRole('button', { name: /It passes 0\.00 km\/h|It passes 0 km\/h/ }).click()
  await page.waitForTimeout(300)
  await road.getByRole('button', { name: /It passes 50/ }).press('Enter')
  await expect(road.getByRole('listitem')).toContainText(/0\.[3-9]\d s/)
  await road.getByRole('button', { name: 'drop it' }).click()
  await road.getByText('a film').click()
  for (const [name, value] of [
    ['First speed', '60'],
    ['Second speed', '100'],
    ['Frames a second', '60'],
    ['Frame of the first speed', '120'],
    ['Frame of the second speed', '100'],
  ])
    await road.getByRole('textbox', { name, exact: true }).fill(value as string)
  await expect(road).toContainText('Give a later frame than the first one.')
  await road.getByRole('textbox', { name: 'Frame of the second speed' }).fill('492')
  await expect(road).toContainText('6.20 s, ± 0.02 s')
  await road.getByRole('button', { name: 'Keep this run' }).click()
  await road.getByRole('button', { name: 'Write this run down' }).click()
  await expect(rows(page).first()).toContainText('timed run 6.20 s')
})

test('the calendar of what is due is read by another program', async ({ page }) => {
  const text = await (await page.request.get('/api/due.ics')).text()
  const calendar = new ICAL.Component(ICAL.parse(text))
  const events = calendar.getAllSubcomponents('vevent').map((e) => new ICAL.Event(e))
  const due = (await (await page.request.get('/api/due')).json()) as {
    machine: string
    due: { items: { expected: string | null; isNow: boolean; order: { orderOn: string | null } | null }[] }
  }[]
  const today = new Date().toLocaleDateString('sv-SE')
  const days = due
    .flatMap((d) => d.due.items.flatMap((i) => [i.isNow ? today : i.expected, i.order?.orderOn]))
    .filter((d): d is string => typeof d === 'string')
  expect(events.map((e) => e.startDate.toString()).sort()).toEqual(days.sort())
  expect(new Set(events.map((e) => e.uid)).size).toBe(events.length)
  expect(events.every((e) => due.some((d) => e.summary.startsWith(`${d.machine}: `)))).toBe(true)
})
