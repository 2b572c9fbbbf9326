import { panel } from './bench'
import { expect, test } from './server'
import { chainMachine, jobsOf, next, recording, ring } from './visits'

test('both sides of a machine are told to match or not', async ({ page }) => {
  const copy = await page.request.post('/api/machines/6/copy', { data: { name: 'Mirrored board' } })
  const id = (await copy.json()).machine.id
  const begun = (loopKey: string, hz: number) =>
    page.request.post(`/api/machines/${id}/set-jobs`, {
      data: {
        id: 0,
        version: 0,
        machineId: id,
        loopKey,
        openedOn: '2026-11-20',
        who: null,
        goal: 'both',
        gauge: [],
        closing: null,
        rounds: [
          {
            leftUnits: 0,
            rightUnits: 0,
            lock: 'torqued',
            onStand: true,
            readings: [0, 1, 2, 3].map((position) => ({ method: 'pluck', value: hz, position })),
          },
        ],
      },
    })
  expect((await begun('left-belt', 90)).ok()).toBe(true)
  expect((await begun('right-belt', 110)).ok()).toBe(true)
  await page.goto(`/machines/${id}/set?loops=left-belt`)
  const round = panel(page, 'Round the wheel')
  await expect(round).toContainText(/the other side, last110\.0\sHz/)
  // (90/110)² of the tension: a third less.
  await expect(round).toContainText(/this side is looser by 33\s%/)
  await round.getByRole('button', { name: 'working' }).click()
  await expect(page.getByRole('dialog')).toContainText('T1')
  await page.keyboard.press('Escape')
})

test('practice is a place of its own, with an eccentric among its drives', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('link', { name: 'Practice' }).click()
  await page.getByText('Belt, eccentric').click()
  await page.getByRole('button', { name: 'Begin with one as it was found' }).click()
  await page.getByText('tell me', { exact: true }).click()
  await page.getByRole('button', { name: 'Pluck here only' }).click()
  await expect(ring(page).getByRole('button', { name: /^valve up: .* Hz/ })).toBeVisible()
  await expect(ring(page).getByRole('button', { name: /^half-way: not read/ })).toBeVisible()
  await page.getByRole('button', { name: 'Roll it and read all round' }).click()
  await expect(next(page)).toContainText(/Eccentric .*° (anti)?clockwise/)
  await expect(next(page)).toContainText('left of the eccentric after that')
  await page.getByText('Chain, two screws').click()
  await page.getByRole('button', { name: 'Begin with one as it was found' }).click()
  await expect(page.getByRole('button', { name: 'Read here only' })).toBeVisible()
  const how = panel(page, 'How it is set')
  await how.getByLabel('Thread pitch').fill('1')
  await expect(how.getByRole('button', { name: 'Store' })).toHaveCount(0)
})

test('a gauge on a chain is tied by two pairs, and the next visit knows them', async ({ page }) => {
  const id = await chainMachine(page, 'Gauged')
  await page.goto(`/machines/${id}/set`)
  await page.getByRole('button', { name: 'Begin as found' }).click()
  const reading = panel(page, 'Reading')
  await reading.getByText('gauge', { exact: true }).click()
  const put = async (value: string) => {
    await reading.getByLabel('Gauge', { exact: true }).fill(value)
    await reading.getByRole('button', { name: 'Put it there' }).click()
  }
  await put('4')
  await expect(next(page)).toContainText('Give the maker’s figure')
  const tie = async (gauge: string, play: string, left: RegExp) => {
    await reading.getByLabel('Gauge says').fill(gauge)
    await reading.getByLabel('Free play then').fill(play)
    await reading.getByRole('button', { name: 'Tie them' }).click()
    await expect(reading).toContainText(left)
  }
  await tie('4', '50', /one more pair/)
  await tie('8', '20', /Tied by 2 pairs/)
  await expect(next(page)).toContainText(/turn clockwise/)
  await expect.poll(async () => (await jobsOf(page, id))[0].gauge.length).toBe(2)
})

test('the practice drive is set by what is told, and nothing of it is stored', async ({ page }) => {
  await page.goto('/machines/2/set')
  const before = (await jobsOf(page, 2)).length
  await page.getByRole('button', { name: 'Practise on a simulated drive' }).click()
  await page.getByText('tell me', { exact: true }).click()
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
  expect(machine.settings[0]).toMatchObject({ adjuster: { leftClockwiseTightens: false }, spanMm: 600 })
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
  await straight.getByText('straight-edge', { exact: true }).click()
  for (const [i, [x, gap]] of [
    ['0', '0'],
    ['200', '0'],
    ['600', '2'],
    ['720', '3.2'],
  ].entries()) {
    await straight.getByLabel(new RegExp(`^Place ${i + 1}`)).fill(String(x))
    await straight.getByLabel(`Gap ${i + 1}`).fill(String(gap))
  }
  await expect(straight).toContainText(/offset2\.60\smm of 1\.00\smm/) // engineering.md j1
  await expect(straight).toContainText(/Rear wheel 2\.60\smm towards the straight-edge/)
  await straight.getByLabel('Gap 3').fill('60')
  await expect(straight.getByText(/-50 to 50/).first()).toBeVisible()
  await straight.getByText('string', { exact: true }).click()
  await straight.getByLabel('String to near edge').fill('3')
  await straight.getByLabel('String to far edge').fill('3.2')
  await straight.getByLabel('Edges apart').fill('0')
  await expect(straight.getByText(/Give 1 to/).first()).toBeVisible()
  await straight.getByLabel('Edges apart').fill('250')
  await expect(straight).toContainText('straight enough')
  const running = panel(page, 'Running in')
  await running.getByLabel('Fitted since').fill('0')
  await expect(running).toContainText(/10\d % over/)
  await running.getByText('Two readings of this belt').click()
  for (const [label, value] of [
    ['As it was set', '100'],
    ['First, after', '0.5'],
    ['First reading', '95'],
    ['Second, after', '7'],
    ['Second reading', '96'],
  ] as const)
    await running.getByLabel(label).fill(value)
  await expect(running.getByText('Give less than the first one.').first()).toBeVisible()
  await running.getByLabel('Second reading').fill('90')
  await expect(running).toContainText(/2\d % over/)
  await running.getByText('aramid or carbon').click()
  await expect(running).toContainText(/\d % over/)
  await running.getByRole('button', { name: 'working' }).click()
  await expect(page.getByRole('dialog')).toContainText('Tnow')
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
  // A chain under a sprung arm has no play to set: refused where the adjuster is chosen.
  await arm.getByRole('button', { name: 'Set by this arm' }).click()
  const how = panel(page, 'How it is set')
  await expect(how.getByText(/no play to set/)).toBeVisible()
  await how.getByRole('button', { name: 'Put back' }).click()
})

for (const machine of [1, 2, 5])
  test(`at 390 px nothing sticks out of the setting of machine ${machine}`, async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 })
    await page.goto(`/machines/${machine}/set`)
    await expect(panel(page, 'How it is set')).toBeVisible()
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  })

test('every instrument is read in the bay without the keyboard', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  const id = await chainMachine(page, 'All in the bay')
  await page.goto('/machines/2/set')
  await page.getByRole('button', { name: 'Begin as found' }).click()
  await expect(panel(page, 'Reading')).toBeVisible()
  await page.keyboard.press('b')
  const bay = page.getByRole('dialog', { name: 'Bay mode' })
  const by = (name: string) =>
    bay.getByRole('radiogroup', { name: 'Instrument' }).getByText(name, { exact: true })
  const press = (name: string) => bay.getByRole('button', { name, exact: true }).click()

  await press('Read first')
  await by('gauge').click()
  await press('Step +10, on the gauge')
  await press('Less on the gauge')
  await expect(bay).toContainText('9')
  await by('push & rule').click()
  await expect(bay).toContainText('How hard is it pushed?')
  await press('Step +10, force')
  await press('More deflection')
  await press('More deflection')
  await expect(bay).toContainText(/pushed with 10\sN/)
  await by('feel').click()
  await press('tight')
  await expect(bay.getByRole('button', { name: 'tight', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  await by('gap').click()
  await press('Step +10, gap')
  await press('More gap')
  await expect(bay).toContainText(/gap, left: 1.10\smm/)
  for (const button of await bay.getByRole('button').all())
    expect((await button.boundingBox())?.height).toBeGreaterThanOrEqual(44)
  await press('Next place')
  await by('push & rule').click()
  await press('More deflection')
  await expect(bay).toContainText(/pushed with 10\sN/)
  const [job] = await jobsOf(page, 2)
  await expect
    .poll(async () => (await jobsOf(page, 2))[0].inHand?.round?.readings)
    .toMatchObject([
      { method: 'feel', value: 3, position: 0 },
      { method: 'push', value: 0.1, position: 1, forceN: 10 },
    ])
  // Pushed harder than was said: the reading that stands there says so.
  await press('More force')
  await expect(bay).toContainText(/pushed with 11\sN/)
  await expect
    .poll(async () => (await jobsOf(page, 2))[0].inHand.round.readings[1])
    .toMatchObject({ value: 0.1, position: 1, forceN: 11 })
  expect((await jobsOf(page, 2))[0].inHand.round.gapMm).toBe(1.1)
  expect(job.machineId).toBe(2)

  // A chain: by its play.
  await page.goto(`/machines/${id}/set`)
  await page.getByRole('button', { name: 'Begin as found' }).click()
  await expect(panel(page, 'Reading')).toBeVisible()
  await page.keyboard.press('b')
  await press('Read first')
  await press('More play')
  await expect(bay).toContainText(/\d\smm/)
})
