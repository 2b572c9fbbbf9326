import { execFileSync } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, type Page, test } from '@playwright/test'
import { addMachine, panel } from './bench'

const next = (page: Page) => page.getByRole('region', { name: 'Do this next' })
const ring = (page: Page) => page.getByRole('group', { name: 'Readings round the wheel' })
const station = (page: Page) =>
  page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Set' })
const jobsOf = async (page: Page, id: number) =>
  (await page.request.get(`/api/machines/${id}/set-jobs`)).json()
/** A recording made by sox, which knows nothing of this program. */
const recording = (...synth: string[]) => {
  const file = join(mkdtempSync(join(tmpdir(), 'wendrak-pluck-')), 'pluck.wav')
  execFileSync('sox', ['-R', '-n', '-r', '48000', '-b', '16', '-c', '1', file, ...synth])
  return file
}

/** A motorcycle of which only the slack run was measured. */
async function chainMachine(page: Page, name: string): Promise<number> {
  const id = await addMachine(page, name)
  const card = await (await page.request.get(`/api/machines/${id}`)).json()
  const stored = await page.request.put(`/api/machines/${id}`, {
    data: {
      machine: { ...card.machine, settings: [{ loopKey: 'final', spanMm: 600 }] },
      fitted: card.fitted.loops,
      fittedVersion: card.fitted.version,
    },
  })
  expect(stored.ok()).toBe(true)
  return id
}

async function play(page: Page, ...values: number[]) {
  const field = panel(page, 'Reading').getByLabel('Free play in all')
  for (const value of values) {
    await field.fill(String(value))
    await field.press('Enter')
    await expect(field).toHaveValue('')
  }
}

test('a visit begins as found, goes on after a break, and is closed with everything tight', async ({
  page,
}) => {
  const id = await chainMachine(page, 'To be set')
  await page.goto(`/machines/${id}/set`)
  await expect(station(page)).toContainText('not read yet')
  await page.getByRole('button', { name: 'Begin as found' }).click()
  await expect(next(page)).toContainText('Read it as found')
  await play(page, 55, 52, 48, 51)
  await expect(ring(page).getByRole('button', { name: /^valve up: 55 mm, outside/ })).toBeVisible()
  await expect(next(page)).toContainText(/turn clockwise/)
  await page.getByRole('button', { name: 'Keep as found' }).click()
  await expect(panel(page, 'Rounds').getByRole('row', { name: /^as found/ })).toContainText('55 mm')
  await expect(station(page)).toContainText('goes on')
  // Broken off, and gone on with on another device.
  await page.goto('/')
  await page.goto(`/machines/${id}/set`)
  await expect(panel(page, 'Rounds').getByRole('row', { name: /^as found/ })).toContainText('48 mm')
  await expect(next(page)).toContainText('round 1')
  await play(page, 33, 31, 29, 31)
  await expect(next(page)).toContainText('Bring the nut to its torque')
  await page.getByRole('button', { name: 'Keep this round' }).click()
  const closing = panel(page, 'Closing list')
  await expect(closing.getByRole('checkbox').first()).toBeDisabled()
  await expect(closing.getByRole('button', { name: 'Close the visit' })).toBeDisabled()
  await play(page, 34, 32, 29, 31)
  await expect(panel(page, 'Round 2').getByRole('radio', { name: 'nut at its torque' })).toBeChecked()
  await page.getByRole('button', { name: 'Keep this round' }).click()
  await expect(next(page)).toContainText('Close the visit')
  for (const box of await closing.getByRole('checkbox').all()) await box.check()
  await closing.getByLabel('Torque used').fill('98')
  await closing.getByLabel('Look again on').fill('2027-01-15')
  await closing.getByRole('button', { name: 'Close the visit' }).click()
  const record = panel(page, /^Set on/)
  await expect(record).toContainText(/as found48\sto 55\smm/)
  await expect(record).toContainText(/as left29\sto 34\smm/)
  await expect(record).toContainText('98.0')
  await expect(station(page)).toContainText(/29\sto 34\smm/)
  const [job] = await jobsOf(page, id)
  expect(job.rounds).toHaveLength(3)
  expect(job.closing.done).toHaveLength(5)
})

test('wrong input is named, and what was turned otherwise is said', async ({ page }) => {
  const id = await chainMachine(page, 'Wrongly read')
  await page.goto(`/machines/${id}/set`)
  await page.getByRole('button', { name: 'Begin as found' }).click()
  await play(page, 190)
  await expect(page.getByRole('alert').first()).toContainText(/0 to 120/)
  await expect(page.getByRole('button', { name: 'Keep as found' })).toBeDisabled()
  await page.getByRole('button', { name: 'Read it anew' }).click()
  await play(page, 50)
  await page.getByRole('button', { name: 'Keep as found' }).click()
  await play(page, 40)
  const round = panel(page, 'Round 1')
  await round.getByLabel('Left, turned').fill('0.125')
  await round.getByLabel('Temperature').fill('400')
  await expect(round.getByText(/-40 to 120/)).toBeVisible()
  await round.getByLabel('Temperature').fill('18')
  await page.getByRole('button', { name: 'Keep this round' }).click()
  await expect(panel(page, 'Rounds').getByRole('row', { name: /^1/ })).toContainText('+1/8')
  await next(page).getByRole('button', { name: 'working' }).click()
  await expect(page.getByRole('dialog')).toContainText('e = √(L² + s²) − L')
  await page.keyboard.press('Escape')
})

test('the practice drive is set by what is told, and nothing of it is stored', async ({ page }) => {
  await page.goto('/machines/2/set')
  const before = (await jobsOf(page, 2)).length
  await page.getByRole('button', { name: 'Practise on a simulated drive' }).click()
  for (let i = 0; i < 12; i++) {
    await page.getByRole('button', { name: 'Roll it and read all round' }).click()
    await page.getByRole('button', { name: /^Keep (as found|this round)/ }).click()
    await expect(page.getByRole('button', { name: 'Read it anew' })).toHaveCount(0)
    const state = await next(page).getAttribute('data-state')
    if (state !== 'turn' && state !== 'tightenAndRead') break
  }
  await expect(next(page)).toHaveAttribute('data-state', /done|asNearAsAHand/)
  await expect(ring(page).getByRole('button', { name: /^valve up: .* Hz/ })).toBeVisible()
  expect(await jobsOf(page, 2)).toHaveLength(before)
  await page.getByRole('button', { name: 'Leave it' }).click()
  await expect(page.getByRole('button', { name: 'Begin as found' })).toBeVisible()
})

test('a recording is heard from a file, and what is none gets a sentence', async ({ page }) => {
  await page.goto('/machines/3/set')
  await page.getByRole('button', { name: 'Begin as found' }).click()
  const reading = panel(page, 'Reading')
  await reading.getByText('file', { exact: true }).click()
  const open = async (file: string | { name: string; mimeType: string; buffer: Buffer }) => {
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      reading.getByRole('button', { name: 'Open a recording' }).click(),
    ])
    await chooser.setFiles(file)
  }
  await open(recording('synth', '2.5', 'pluck', '58', 'gain', '-6', 'pad', '0.3'))
  await expect(ring(page).getByRole('button', { name: /^valve up: 58\.0 Hz/ })).toBeVisible()
  await expect(reading).toContainText('clear pluck')
  await open({ name: 'empty.wav', mimeType: 'audio/wav', buffer: Buffer.alloc(0) })
  await expect(reading.getByRole('alert')).toContainText('no WAV file')
  await open({ name: 'letter.wav', mimeType: 'audio/wav', buffer: Buffer.from('not a sound at all') })
  await expect(reading.getByRole('alert')).toContainText('no WAV file')
  await open(recording('trim', '0', '2'))
  await expect(reading).toContainText('silence')
  // The push that would be next to nothing: did you mean Hz?
  await reading.getByText('push & rule').click()
  await reading.getByLabel('Pushed with').fill('5')
  await reading.getByLabel('Deflection').fill('58')
  await reading.getByRole('button', { name: 'Put it there' }).click()
  await expect(next(page).getByRole('alert')).toContainText('Did you mean 58.0 Hz?')
  await page.getByRole('button', { name: 'Read it anew' }).click()
})

test('bay mode shows one instruction and one reading, by key and by button', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  const id = await chainMachine(page, 'In the bay')
  await page.goto(`/machines/${id}/set`)
  await page.getByRole('button', { name: 'Begin as found' }).click()
  await play(page, 52)
  await ring(page)
    .getByRole('button', { name: /^valve up/ })
    .click()
  await page.keyboard.press('b')
  const bay = page.getByRole('dialog', { name: 'Bay mode' })
  await expect(bay).toContainText('52 mm')
  await bay.getByRole('switch', { name: 'speak' }).check()
  await bay.getByRole('button', { name: 'Next place' }).click()
  await expect(bay).toContainText('a quarter on')
  const keep = bay.getByRole('button', { name: 'Keep' })
  expect((await keep.boundingBox())?.height).toBeGreaterThanOrEqual(56)
  await keep.click()
  await bay.getByRole('button', { name: 'Leave' }).click()
  await expect(panel(page, 'Rounds')).toContainText('as found')
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
})

test('how it is set is asked once, moves the window while it is typed, and is stored or put back', async ({
  page,
}) => {
  const id = await chainMachine(page, 'Asked once')
  await page.goto(`/machines/${id}/set`)
  const how = panel(page, 'How it is set')
  const window = panel(page, 'Round the wheel')
  await expect(window).toContainText(/window for this drive25\smm to 35/)
  await how.getByLabel('Maker’s window').click()
  await page.getByRole('option', { name: 'free play' }).click()
  await how.getByLabel('from', { exact: true }).fill('40')
  await how.getByLabel('to', { exact: true }).fill('30')
  await expect(how.getByText(/Give 40/)).toBeVisible()
  await how.getByLabel('to', { exact: true }).fill('50')
  await expect(window).toContainText(/40\smm to 50/)
  await how.getByRole('button', { name: 'Put back' }).click()
  await expect(window).toContainText(/25\smm to 35/)
  await how.getByLabel('Left, clockwise').click()
  await page.getByRole('option', { name: 'loosens' }).click()
  await how.getByRole('button', { name: 'Store' }).click()
  await expect(how.getByRole('status')).toHaveCount(0)
  const { machine } = await (await page.request.get(`/api/machines/${id}`)).json()
  expect(machine.settings[0]).toMatchObject({ leftClockwiseTightens: false, spanMm: 600 })
})

test('straightness, running in, warmth and a sprung arm are told from what was measured', async ({
  page,
}) => {
  await page.goto('/machines/2/set')
  const straight = panel(page, 'How straight')
  await straight.getByLabel('Left, to the axle').fill('612')
  await straight.getByLabel('Right, to the axle').fill('613.5')
  await straight.getByLabel('Ends of the axle apart').fill('250')
  await expect(straight).toContainText('0.34°') // engineering.md j2
  await expect(straight).toContainText('not straight')
  await expect(straight).toContainText('Right adjuster 1 3/16 turn anticlockwise')
  await straight.getByText('string', { exact: true }).click()
  await straight.getByLabel('String to near edge').fill('3')
  await straight.getByLabel('String to far edge').fill('3.2')
  await straight.getByLabel('Edges apart').fill('0')
  await expect(straight.getByText(/Give 1 to/).first()).toBeVisible()
  await straight.getByLabel('Edges apart').fill('250')
  await expect(straight).toContainText('straight enough')
  const running = panel(page, 'Running in')
  await expect(running).toContainText(/10\d % over/)
  await running.getByText('aramid or carbon').click()
  await expect(running).toContainText(/\d % over/)
  await running.getByRole('button', { name: 'working' }).click()
  await expect(page.getByRole('dialog')).toContainText('T_now')
  await page.keyboard.press('Escape')
  const warm = panel(page, 'Warm or cold')
  await warm.getByLabel('Set at').fill('20')
  await warm.getByLabel('Runs at').fill('400')
  await expect(warm.getByText(/-50 to 300/).first()).toBeVisible()
  await warm.getByLabel('Runs at').fill('80')
  await expect(warm).toContainText(/pulled more by\d/)
  await page.goto('/machines/7/set?loops=final')
  const arm = panel(page, 'Sprung arm')
  for (const [label, value] of [
    ['Spring', '209.579'],
    ['Its lever', '45'],
    ['Arm to the idler', '70'],
    ['Wrap of the idler', '40'],
    ['Force to arm', '80'],
  ] as const)
    await arm.getByLabel(label, { exact: true }).fill(value)
  await expect(arm).toContainText(/200\sN/) // engineering.md i11
})

for (const machine of [1, 2, 5])
  test(`at 390 px nothing sticks out of the setting of machine ${machine}`, async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 })
    await page.goto(`/machines/${machine}/set`)
    await expect(panel(page, 'How it is set')).toBeVisible()
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  })
