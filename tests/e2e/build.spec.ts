import { addMachine, openStation, panel } from './bench'
import { expect, type Page, test } from './server'
import { card, done, stepNow } from './stepInHand'
import { chainMachine, play } from './visits'

/** Build: the order of the work is made, walked, and ends at the signature. */

/** Says what the step in hand asks, as it should be. */
async function answer(page: Page, ways: Record<string, string>) {
  for (const [question, right] of Object.entries(ways))
    if (await card(page).getByRole('radiogroup', { name: question }).count())
      await card(page).getByRole('radio', { name: right, exact: true }).check()
  if ((await card(page).getByRole('textbox', { name: 'In and tight' }).count()) === 0) return
  for (const name of ['In and tight', 'Of'])
    if ((await card(page).getByRole('textbox', { name, exact: true }).inputValue()) === '')
      await card(page).getByRole('textbox', { name, exact: true }).fill('4')
  // A clip or a rivet is pulled to none.
  if (await card(page).getByRole('textbox', { name: 'Torque' }).count()) {
    await card(page).getByRole('textbox', { name: 'Torque' }).fill('98')
    await card(page)
      .getByRole('radio', { name: /^the maker’s/ })
      .check()
  }
  const fresh = card(page).getByRole('radio', { name: /^new, or as good/ })
  if (!(await card(page).getByRole('radio', { name: 'none' }).isChecked())) await fresh.check()
}

/** Goes on until a step that has this text stands in hand. */
async function workUpTo(page: Page, text: RegExp, ways: Record<string, string> = {}) {
  for (let i = 0; i < 30; i++) {
    if (text.test((await card(page).textContent()) ?? '')) return
    const at = await stepNow(page)
    await answer(page, ways)
    await done(page).click()
    await expect(card(page).getByText(/^Step \d+ of \d+/)).not.toHaveText(at)
  }
}

const happens = async (page: Page, id: number, events: object[]) => {
  const sent = events.map((event) => ({ key: crypto.randomUUID(), event }))
  const stored = await page.request.post(`/api/jobs/${id}/events`, { data: { events: sent } })
  expect(stored.ok(), await stored.text()).toBe(true)
}

/** A job with its plan made, without the page. */
async function planned(page: Page, machine: number, change: string, family = 'finalChain') {
  const opened = await page.request.post(`/api/machines/${machine}/jobs`, {
    data: { openedOn: '2026-11-20', reason: 'anotherGearing' },
  })
  const { id } = await opened.json()
  await happens(page, id, [{ kind: 'planMade', change, loopKey: 'final', family, wanted: null, made: null }])
  return id as number
}

const FRONT_WAYS = {
  'Which way does the hub of the front wheel face?': 'as the old one stood: marked face outward',
}

test('a front sprocket: chosen, built, set and signed', async ({ page }) => {
  const id = await chainMachine(page, 'Front one up', {
    makerMethod: 'freePlay',
    makerLow: 25,
    makerHigh: 35,
  })
  const { fitted } = await (await page.request.get(`/api/machines/${id}`)).json()
  const { frontSize, rearSize } = fitted.loops[0]
  await page.goto(`/machines/${id}/ratio?pick=final~${frontSize + 1}~${rearSize}`)
  await openStation(page, 'Build')
  await expect(panel(page, 'What is to be done')).toContainText(`front ${frontSize} → ${frontSize + 1}`)
  await expect(page.getByRole('combobox', { name: 'Change' })).toHaveValue('front wheel')
  await page.getByRole('button', { name: 'Begin it, with a new job' }).click()
  await expect(card(page)).toContainText(/Step 1 of \d+/)
  await expect(panel(page, /^Front wheel: front/)).toBeVisible()

  // A value out of its bounds is refused at its field, and nothing is lost.
  await card(page).getByRole('textbox', { name: 'teeth in front' }).fill('200')
  await done(page).click()
  await expect(card(page).getByText('Give 5 to 60.')).toBeVisible()
  await card(page).getByRole('textbox', { name: 'teeth in front' }).fill(String(frontSize))
  await done(page).click()

  // What closes the way is not done first.
  await page.getByRole('button', { name: /Cover back on/ }).click()
  await expect(card(page)).toContainText('It closes the way for “New tab washer')
  await expect(done(page)).toHaveAttribute('aria-disabled', 'true')
  await card(page).getByRole('button', { name: 'Do this one next' }).click()
  await expect(card(page).getByText(/would come too early/)).toBeVisible()
  await page.getByRole('button', { name: /Look for stiff links/ }).click()

  // The mirror is refused with what it would do.
  await workUpTo(page, /Push the new front wheel on/)
  await expect(card(page)).toContainText('Measured once on this machine')
  await card(page).getByRole('textbox', { name: 'Measured here: difference of both hub faces' }).fill('501')
  await card(page).getByRole('button', { name: 'Keep it', exact: true }).click()
  await expect(card(page).getByText('Give 0.1 to 500 mm.')).toBeVisible()
  await card(page).getByRole('textbox', { name: 'Measured here: difference of both hub faces' }).fill('6')
  await card(page).getByRole('button', { name: 'Keep it', exact: true }).click()
  await expect(card(page)).toContainText(/the wrong way round it stands off by 6.00.mm/)
  await expect(card(page).getByRole('img', { name: 'marked face inward' })).toBeVisible()
  await card(page).getByRole('radio', { name: 'marked face inward' }).check()
  await done(page).click()
  await expect(card(page).getByText(/Not so: The row of teeth moves sideways/)).toBeVisible()

  // Used before is no lock: told as done differently, with a reason.
  await workUpTo(page, /New tab washer, nut to its torque/, FRONT_WAYS)
  await answer(page, {})
  await card(page).getByRole('radio', { name: 'used before' }).check()
  await done(page).click()
  await expect(card(page).getByText(/A lock that was used before is a deviation/)).toBeVisible()
  await card(page).getByRole('button', { name: 'Done differently …' }).click()
  await card(page).getByRole('button', { name: 'It is done so' }).click()
  await expect(card(page).getByText('Say why in a word; it stands in the record.')).toBeVisible()
  await card(page).getByRole('textbox', { name: 'What was done instead, and why' }).fill('none in the drawer')
  await card(page).getByRole('button', { name: 'It is done so' }).click()
  await expect(panel(page, 'What this job has open')).toContainText('none in the drawer')

  // The plan stands still while Set does its part, and goes on by itself.
  await workUpTo(page, /Play and line at Set/)
  // The machine is told what went on, and Set judges by it.
  const on = panel(page, 'On the machine')
  await expect(on).toContainText(`front ${frontSize} → ${frontSize + 1}`)
  // From bay mode too: one press, and one change that can be taken back as one.
  await page.keyboard.press('b')
  const bay = page.getByRole('dialog', { name: 'Bay mode' })
  await expect(bay).toContainText('does not know yet what went on')
  await bay.getByRole('button', { name: 'It is on' }).click()
  await expect(bay).not.toContainText('does not know yet what went on')
  await bay.getByRole('button', { name: 'Leave' }).click()
  await expect(on).toHaveCount(0)
  const [newest] = await (await page.request.get('/api/changes')).json()
  expect(newest.what).toBe(`fitted ${frontSize + 1}/${rearSize}, as planned`)
  const { fitted: after } = await (await page.request.get(`/api/machines/${id}`)).json()
  expect(after.loops[0]).toMatchObject({ frontSize: frontSize + 1, rearSize })
  await card(page).getByRole('link', { name: 'Go to Set' }).click()
  await page.getByRole('button', { name: 'Begin as found' }).click()
  await play(page, 31, 31, 31, 31)
  await page.getByRole('button', { name: 'Keep as found' }).click()
  const closing = panel(page, 'Closing list')
  const steps = closing.getByRole('checkbox')
  await expect(steps).toHaveCount(6)
  for (let i = 0; i < 6; i++) {
    await steps.nth(i).check()
    // Each waits for the one before it: what is ticked is stored first.
    await expect(steps.nth(i)).toBeChecked()
  }
  await closing
    .getByRole('textbox', { name: /torque/i })
    .first()
    .fill('98')
  const why = closing.getByRole('textbox', { name: /why/i })
  if (await why.count()) await why.fill('as it is')
  await closing.getByRole('button', { name: /Close/ }).click()
  await openStation(page, 'Build')
  await expect(card(page)).toContainText('Tell the speedometer')
  await workUpTo(page, /Say when it is read again/)
  await done(page).click()
  await panel(page, 'All steps are told').getByRole('link', { name: 'to the job' }).click()

  await expect(panel(page, 'Front wheel')).toContainText(/none in the drawer/)
  await page.getByRole('textbox', { name: 'Why it goes out all the same' }).fill('washer is ordered')
  await page.getByRole('button', { name: 'Sign: it goes out' }).click()
  await expect(panel(page, 'Signed')).toContainText('washer is ordered')
})

test('bay mode: one step, big, done by thumb on a phone, with the keyboard left alone', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  const id = await addMachine(page, 'Thumb')
  await planned(page, id, 'frontWheel')
  await page.goto(`/machines/${id}/build`)
  await expect(card(page)).toBeVisible()
  await page.getByRole('button', { name: 'Bay mode' }).click()
  const bay = page.getByRole('dialog', { name: 'Bay mode' })
  await expect(bay).toContainText('Step 1 of')
  for (const name of ['Done', 'Back', 'What is next']) {
    const box = await bay.getByRole('button', { name, exact: true }).boundingBox()
    expect(box?.height, name).toBeGreaterThanOrEqual(56)
  }
  // A number is stepped, the keyboard left alone.
  await bay.getByRole('button', { name: 'Step +10, teeth in front' }).click()
  await bay.getByRole('button', { name: 'Less teeth in front' }).click()
  await expect(bay.getByRole('textbox', { name: 'teeth in front' })).toHaveValue('14')
  await bay.getByRole('button', { name: 'Done', exact: true }).click()
  await expect(bay).toContainText('Step 2 of')
  await bay.getByRole('button', { name: 'Back' }).click()
  await expect(bay).toContainText('✓ done')
  await bay.getByRole('button', { name: 'What is next' }).click()
  await bay.getByRole('button', { name: 'Differently, for now, can’t …' }).click()
  await bay.getByRole('button', { name: 'Can’t …' }).click()
  await bay.getByRole('textbox', { name: 'Why it can’t be done' }).fill('no light')
  await bay.getByRole('button', { name: 'Leave it out' }).click()
  await expect(bay).toContainText('Step 3 of')
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  await bay.getByRole('button', { name: 'Leave', exact: true }).click()
  await expect(card(page)).toBeVisible()
})

test('for now blocks until it is done for good; a missing part blocks until something stands in', async ({
  page,
}) => {
  const id = await addMachine(page, 'For now')
  const job = await planned(page, id, 'frontWheel')
  await page.goto(`/machines/${id}/build`)
  await card(page).getByRole('button', { name: 'For now only …' }).click()
  await card(page)
    .getByRole('textbox', { name: 'What is there for now, and why' })
    .fill('by eye, rule is lent')
  await card(page).getByRole('button', { name: 'It is so for now' }).click()
  const open = panel(page, 'What this job has open')
  await expect(open).toContainText('by eye, rule is lent')
  await expect(open).toContainText('■ blocks')
  await page.goto(`/machines/${id}/jobs/${job}`)
  await expect(page.getByRole('list', { name: 'In the way' })).toContainText('done for now only')
  await page.goto(`/machines/${id}/build`)
  await page
    .getByRole('button', { name: /Read the play/ })
    .first()
    .click()
  await card(page).getByRole('button', { name: 'Now it is done for good' }).click()
  await expect(open).not.toContainText('by eye')

  const tray = panel(page, 'On the tray')
  await tray.getByRole('button', { name: 'tab washer, new is missing' }).click()
  await expect(open).toContainText('missing on the tray: tab washer, new')
  await tray.getByRole('button', { name: 'Something stands in for tab washer, new' }).click()
  await tray.getByRole('button', { name: 'Take that' }).click()
  await expect(tray.getByText('Say what stands in for it.')).toBeVisible()
  await tray.getByRole('textbox', { name: 'What stands in for it' }).fill('a new one of the next size')
  await tray.getByRole('button', { name: 'Take that' }).click()
  await expect(tray).toContainText('in its place: a new one of the next size')
  await expect(open).not.toContainText('missing on the tray')
})

test('a torque without a wrench is an estimate with its range', async ({ page }) => {
  const id = await addMachine(page, 'No wrench')
  await planned(page, id, 'frontWheel', 'gearHub')
  await page.goto(`/machines/${id}/build`)
  await workUpTo(page, /New wheel on: hub to its side/)
  await card(page)
    .getByRole('radio', { name: /^arm and pull/ })
    .check()
  await card(page).getByRole('textbox', { name: 'Arm, nut to pull' }).fill('300')
  await card(page).getByRole('textbox', { name: 'Pull', exact: true }).fill('9999')
  await expect(card(page).getByText(/Give 1 to 1500/)).toBeVisible()
  await card(page).getByRole('textbox', { name: 'Pull', exact: true }).fill('250')
  await expect(card(page).getByText(/42\.8\sNm to 110\.3\sNm/)).toBeVisible()
  await card(page).getByText('by a scale').click()
  await expect(card(page).getByText(/64\.1\sNm to 86\.6\sNm/)).toBeVisible()
  await card(page)
    .getByRole('button', { name: /Write 75\.0\sNm down as estimated/ })
    .click()
  await expect(card(page).getByRole('textbox', { name: 'Torque' })).toHaveValue('75')
})

test('a step in the machine’s own words, its torque, and one that only it has', async ({ page }) => {
  const id = await addMachine(page, 'Own words')
  await page.goto(`/machines/${id}/build`)
  const own = panel(page, 'For this machine')
  await page.getByRole('combobox', { name: 'Change' }).click()
  await page.getByRole('option', { name: 'front wheel' }).click()
  await page.getByRole('button', { name: /New tab washer, nut to its torque/ }).click()
  await own.getByRole('textbox', { name: 'The maker’s torque' }).fill('2000')
  await own.getByRole('button', { name: 'Keep it for this machine' }).click()
  await expect(own.getByText(/Give 0\.1 to 1000/)).toBeVisible()
  await own.getByRole('textbox', { name: 'The maker’s torque' }).fill('108')
  await own
    .getByRole('textbox', { name: 'In this machine’s words' })
    .fill('Nut to its torque, third gear in.')
  await own.getByRole('button', { name: 'Keep it for this machine' }).click()
  await expect(page.getByRole('button', { name: /Nut to its torque, third gear in/ })).toBeVisible()
  await own.getByRole('button', { name: 'Add a step after this one' }).click()
  await own.getByRole('button', { name: 'Add it' }).click()
  await expect(own.getByText('Say what is to be done.')).toBeVisible()
  await own.getByRole('textbox', { name: 'What to do' }).fill('Paint line across the nut.')
  await own.getByRole('textbox', { name: 'Why' }).fill('Shows whether it moved.')
  await own.getByRole('textbox', { name: 'Usual time' }).fill('1')
  await own.getByRole('button', { name: 'Add it' }).click()
  await page.getByRole('button', { name: /Paint line across the nut/ }).click()
  await expect(own).toContainText('Only this machine has this step.')
  await page.getByRole('button', { name: 'Begin it, with a new job' }).click()
  await expect(card(page)).toBeVisible()
  await page.getByRole('button', { name: /Nut to its torque, third gear in/ }).click()
  await expect(card(page)).toContainText(/the maker’s: 108\.0\sNm/)
})

/** Tabs on until something of that name has the focus. */
test('a belt: chosen, built, read by hand and signed', async ({ page }) => {
  await page.goto('/machines/2/ratio?pick=final~30~98')
  await openStation(page, 'Build')
  await expect(panel(page, 'What is to be done')).toContainText('front 28 → 30')
  await page.getByRole('button', { name: /^Begin it/ }).click()
  await workUpTo(page, /Go to Set/, {
    'On which side of the belt is the flange of the front wheel?': 'where it was on the old one',
    'Is the belt marked with a direction?': 'no mark, or the arrow forward as the wheel turns',
  })
  await card(page).getByRole('link', { name: 'Go to Set' }).click()
  await page.getByRole('button', { name: 'Begin as found' }).click()
  const reading = panel(page, 'Reading')
  for (let place = 0; place < 4; place++) {
    await reading.getByText('feel', { exact: true }).click()
    await reading.getByLabel('By hand it is').click()
    await page.getByRole('option', { name: 'about right', exact: true }).click()
    const stored = page.waitForResponse((r) => r.url().endsWith('/events'))
    await reading.getByRole('button', { name: 'Put it there' }).click()
    await stored
  }
  await page.getByRole('button', { name: 'Keep as found' }).click()
  const closing = panel(page, 'Closing list')
  await expect(closing).toBeVisible()
  for (const step of await closing.getByRole('checkbox').all()) {
    if (await step.isDisabled()) continue
    await step.check()
    await expect(step).toBeChecked()
  }
  await closing
    .getByRole('textbox', { name: /torque/i })
    .first()
    .fill('55')
  await closing.getByRole('textbox', { name: /why/i }).fill('by hand, gap looked at')
  await closing.getByRole('button', { name: /Close/ }).click()
  await openStation(page, 'Build')
  await workUpTo(page, /Say when it is read again/)
  await done(page).click()
  await panel(page, 'All steps are told').getByRole('link', { name: 'to the job' }).click()
  await page.getByRole('textbox', { name: 'Why it goes out all the same' }).fill('read again after 100 km')
  await page.getByRole('button', { name: 'Sign: it goes out' }).click()
  await expect(panel(page, 'Signed')).toContainText('read again after 100 km')
})
