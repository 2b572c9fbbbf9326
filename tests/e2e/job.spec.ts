import { addMachine, panel } from './bench'
import { tabTo } from './keys'
import { expect, type Page, test } from './server'

/** A machine comes in, by each of the four doors, and goes out signed. */

const job = (page: Page) => page.url().match(/\/machines\/\d+\/jobs\/(\d+)/)?.[1]
const happens = async (page: Page, id: string, events: object[]) => {
  const sent = events.map((event) => ({ key: crypto.randomUUID(), event }))
  const answer = await page.request.post(`/api/jobs/${id}/events`, { data: { events: sent } })
  expect(answer.ok(), await answer.text()).toBe(true)
}

test('a visit: begun at the Yard, set, closed and signed with a reason', async ({ page }) => {
  const id = await addMachine(page, 'Came in')
  // Its maker says how far the chain may give.
  const typed = await (await page.request.get(`/api/machines/${id}`)).json()
  const settings = [
    {
      loopKey: 'final',
      adjuster: { kind: 'twoEnds' },
      makerMethod: 'freePlay',
      makerLow: 25,
      makerHigh: 35,
      spanMm: 600,
    },
  ]
  const said = await page.request.put(`/api/machines/${id}`, {
    data: {
      machine: { ...typed.machine, settings },
      fitted: typed.fitted.loops,
      fittedVersion: typed.fitted.version,
      change: 'correction',
    },
  })
  expect(said.ok(), await said.text()).toBe(true)
  await page.goto('/')
  await panel(page, 'Begin a job by').getByRole('button', { name: 'a visit' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('combobox', { name: 'Machine' }).click()
  await page.getByRole('option', { name: 'Came in' }).click()
  await dialog.getByRole('textbox', { name: 'Odometer' }).fill('-5')
  await dialog.getByRole('button', { name: 'Begin' }).click()
  await expect(dialog.getByText('Give 0 to 10000000 km.')).toBeVisible()
  await dialog.getByRole('textbox', { name: 'Odometer' }).fill('12345')
  await dialog.getByRole('button', { name: 'Begin' }).click()
  await expect(page.getByRole('region', { name: 'Came in: a visit' })).toContainText('12 345 km')
  const { machine } = await (await page.request.get(`/api/machines/${id}`)).json()
  expect(machine.odometerKm).toBe(12345)

  const number = job(page) ?? ''
  await page.getByRole('link', { name: 'Set', exact: true }).click()
  await page.getByRole('button', { name: 'Begin as found' }).click()
  await expect(page.getByRole('button', { name: 'Begin as found' })).toHaveCount(0)
  await page.getByRole('link', { name: /a visit/ }).click()
  await expect(page.getByText('begun at Set and not closed: final drive')).toBeVisible()
  await expect(page.getByText('not read since it was tightened: final drive')).toBeVisible()
  const closing = panel(page, 'Closing list')
  await expect(closing.getByText('final torque')).toContainText('open')
  await expect(closing.getByText('nothing provisional left')).toContainText('done')
  await expect(page.getByRole('button', { name: 'Sign: it goes out' })).toHaveAttribute(
    'aria-disabled',
    'true',
  )

  const loopKey = 'final'
  const steps = ['finalTorque', 'adjusterLocks', 'pinsAndCaps', 'guards', 'turnsFreely']
  await happens(page, number, [
    { kind: 'readingTaken', loopKey, reading: { method: 'freePlay', value: 90, position: 0, forceN: null } },
    { kind: 'roundKept', loopKey, at: null },
    {
      kind: 'visitClosed',
      loopKey,
      closedOn: '2026-11-29',
      torqueNm: null,
      done: steps,
      nextCheckOn: null,
      note: null,
      despite: null,
      reason: 'chain is being replaced',
    },
  ])
  await page.reload()
  await expect(page.getByText('A final torque is ticked off without a figure.')).toBeVisible()
  await expect(closing.getByText('final torque')).toContainText('done')
  await expect(closing.getByText('last reading, with everything tight')).toContainText('done')
  await expect(
    panel(page, 'Signature').getByText(/outside: final drive, free play 90\smm, window/),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Sign: it goes out' }).click()
  await expect(page.getByText(/Say why it is signed over/)).toBeVisible()
  await page.getByRole('textbox', { name: 'Why it goes out all the same' }).fill('new chain on Monday')
  await panel(page, 'Signature').getByText('4', { exact: true }).click()
  await page.getByRole('textbox', { name: /In their words/ }).fill('quieter')
  await page.getByRole('button', { name: 'Sign: it goes out' }).click()
  const signed = panel(page, 'Signed')
  await expect(signed).toContainText('4 of 5')
  await expect(signed).toContainText('“quieter”')
  await expect(signed).toContainText('Reason given: new chain on Monday')
  await expect(signed).toContainText(/outside: final drive, free play 90\smm/)
  await expect(page.getByRole('button', { name: 'Write it down' })).toHaveCount(0)
  await page.getByRole('link', { name: 'closed, 1 round' }).click()
  await expect(page.getByRole('heading', { name: 'Set record: Came in, final drive' })).toBeVisible()
  await expect(panel(page, 'Closing list').getByText(/outside: free play 90\smm, window/)).toBeVisible()

  // A second visit makes a trend of it, and the sentence stands there, too.
  const second = await page.request.post(`/api/machines/${id}/set-jobs`, {
    data: {
      id: 0,
      version: 0,
      machineId: id,
      loopKey,
      openedOn: '2026-11-30',
      who: null,
      goal: 'both',
      rounds: [],
      gauge: [],
      closing: null,
    },
  })
  await happens(page, String((await second.json()).id), [
    { kind: 'cautionsSeen', loopKey },
    { kind: 'readingTaken', loopKey, reading: { method: 'freePlay', value: 30, position: 0, forceN: null } },
    { kind: 'roundKept', loopKey, at: null },
    {
      kind: 'visitClosed',
      loopKey,
      closedOn: '2026-11-30',
      torqueNm: 95,
      done: steps,
      nextCheckOn: null,
      note: null,
      despite: null,
      reason: null,
    },
  ])
  await page.getByRole('link', { name: 'Back to Set' }).click()
  await expect(panel(page, 'Trend').getByText(/outside: free play 90\smm, window/)).toHaveCount(1)
})

test('another gearing: begun on the page of a machine, waits for a part, and goes on', async ({ page }) => {
  await page.goto(`/machines/${await addMachine(page, 'Waits')}/ratio`)
  await page.getByRole('button', { name: 'Begin a job' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('radio', { name: 'another gearing' }).click()
  await dialog.getByRole('textbox', { name: /What is wanted/ }).fill('front 16 for the ridge')
  await dialog.getByRole('button', { name: 'Begin' }).click()
  await expect(page.getByRole('region', { name: 'Waits: another gearing' })).toContainText(
    'front 16 for the ridge',
  )
  for (const station of ['Aim', 'Ratio', 'Fit', 'Loads', 'Set'])
    await expect(page.getByRole('link', { name: station, exact: true })).toBeVisible()
  await page.getByRole('textbox', { name: 'What it waits for' }).fill('a cover gasket')
  await page.getByRole('button', { name: 'It waits' }).click()
  await expect(page.getByText('it still waits for a cover gasket')).toBeVisible()

  await page.goto('/')
  await expect(panel(page, 'Goes on').getByText('waits for a cover gasket')).toBeVisible()
  await page
    .getByRole('article')
    .filter({ hasText: 'Waits' })
    .getByRole('link', { name: /cover gasket/ })
    .click()
  await expect(page.getByText('it still waits for a cover gasket')).toBeVisible()
  // While it waits it may come in for something else: two jobs are open then.
  const address = page.url()
  await page.getByRole('link', { name: 'All jobs of this machine' }).click()
  await page.getByRole('button', { name: 'Begin a job' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Begin' }).click()
  await expect(page.getByRole('region', { name: 'Waits: a visit' })).toBeVisible()
  await expect(page.getByRole('link', { name: 'a visit and 1 more' })).toBeVisible()
  await page.goto(address)
  await page.getByRole('button', { name: 'It has come' }).click()
  await expect(page.getByText('it still waits for')).toHaveCount(0)
  await page.getByRole('button', { name: 'Sign: it goes out' }).click()
  await expect(panel(page, 'Signed')).toBeVisible()
  await page.goto('/')
  await expect(panel(page, 'Goes on').getByText('cover gasket')).toHaveCount(0)
})

test('something is wrong: by Find, with keys alone, to the signature', async ({ page }) => {
  await addMachine(page, 'Hums')
  await page.goto('/')
  await expect(page.getByRole('link', { name: 'Hums', exact: true })).toBeVisible()
  const type = page.keyboard.type.bind(page.keyboard)
  const press = page.keyboard.press.bind(page.keyboard)
  await press('/')
  await expect(page.getByRole('combobox', { name: /Find a machine/ })).toBeFocused()
  await type('hums wrong')
  await expect(page.getByRole('option')).toHaveCount(1)
  await press('Enter')
  await expect(page.getByRole('radio', { name: 'something is wrong' })).toBeFocused()
  await press('Tab')
  await type('hums in fifth')
  for (let i = 0; i < 40; i++) {
    await press('Tab')
    if (
      await page
        .getByRole('button', { name: 'Begin', exact: true })
        .evaluate((b) => b === document.activeElement)
    )
      break
  }
  await press('Enter')
  // What it does is said at Faults; the rest stands at its job.
  await expect(page.getByRole('button', { name: 'something else …' })).toBeVisible()
  await tabTo(page, 'something else …')
  await press('Enter')
  await tabTo(page, 'hums and swells as it turns')
  await press('Space')
  await tabTo(page, 'to its job')
  await press('Enter')
  await expect(page.getByRole('region', { name: 'Hums: something is wrong' })).toContainText('hums in fifth')

  const to = async (name: string) => {
    const field = page.getByRole('textbox', { name, exact: true })
    for (let i = 0; i < 60; i++) {
      if (await field.evaluate((f) => f === document.activeElement)) return
      await press('Tab')
    }
    throw new Error(`${name} can’t be reached by keys`)
  }
  await to('Note')
  await type('wheel bearing has play')
  await press('Enter')
  await expect(page.getByRole('listitem').filter({ hasText: 'wheel bearing has play' })).toBeVisible()
  await to('Working time')
  await type('0')
  await press('Enter')
  await expect(page.getByText('Give 1 to 1440 min.')).toBeVisible()
  await press('Backspace')
  await type('95')
  await press('Enter')
  await expect(page.getByRole('region', { name: 'Hums: something is wrong' })).toContainText('1 h 35 min')
  await page.getByRole('button', { name: 'Sign: it goes out' }).focus()
  await press('Enter')
  await expect(panel(page, 'Signed')).toBeVisible()
})

test('a part can’t be had: what is provisional blocks by its name, a deviation asks why', async ({
  page,
}) => {
  const id = await addMachine(page, 'No part')
  await page.goto(`/machines/${id}/jobs?begin=partNotToBeHad`)
  await page.getByRole('dialog').getByRole('button', { name: 'Begin' }).click()
  await expect(page.getByRole('region', { name: 'No part: a part can’t be had' })).toBeVisible()
  // Chosen once for the job on this page, from the people of the yard; another job asks again.
  await page.getByRole('form', { name: 'Who works here' }).getByRole('button', { name: 'Tarn' }).click()
  await expect(page.getByText('Working here: Tarn')).toBeVisible()
  await page.reload()
  await page.getByRole('button', { name: 'Somebody else' }).click()
  await page.getByRole('combobox', { name: 'Who works here?' }).fill('Tarn Mill')
  await page.getByRole('button', { name: 'That’s me' }).click()
  await expect(page.getByText('Working here: Tarn Mill')).toBeVisible()
  await page.getByRole('textbox', { name: 'What stands there for now' }).fill('clip link')
  await panel(page, 'Provisional').getByRole('button', { name: 'Note it' }).click()
  await expect(page.getByText('still provisional: clip link')).toBeVisible()
  await panel(page, 'Deviations').getByRole('button', { name: 'Note it' }).click()
  await expect(page.getByText('Give a name.')).toBeVisible()
  await page.getByRole('textbox', { name: 'What was done otherwise' }).fill('chain of another maker')
  await page.getByRole('textbox', { name: 'Why', exact: true }).fill('none in town')
  await panel(page, 'Deviations').getByRole('button', { name: 'Note it' }).click()
  await expect(page.getByText('chain of another maker: none in town')).toBeVisible()
  await page.getByRole('button', { name: 'Cleared: clip link' }).click()
  await expect(page.getByText('still provisional')).toHaveCount(0)
  await page.getByRole('textbox', { name: 'Why it goes out all the same' }).fill('same size and strength')
  await page.getByRole('button', { name: 'Sign: it goes out' }).click()
  await expect(panel(page, 'Signed')).toContainText('Something was done otherwise')
  await expect(panel(page, 'Signed')).toContainText('Tarn Mill')

  // The signature is taken back in the history, the job is removed, and comes back whole.
  await page.getByRole('button', { name: 'History and undo (H)' }).click()
  await page.getByRole('button', { name: 'Undo signed the job' }).click()
  await expect(page.getByText('Undone: signed the job', { exact: true })).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(panel(page, 'Signature')).toBeVisible()
  await page.getByRole('button', { name: 'Remove' }).click()
  await expect(page.getByText('This machine never came in.')).toBeVisible()
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await page.getByRole('cell', { name: 'a part can’t be had' }).waitFor()
})

test('what worked goes on again with one press, and its job says what is to be reached', async ({ page }) => {
  const loopKey = 'final'
  const id = await addMachine(page, 'Back again')
  const machine = await (await page.request.get(`/api/machines/${id}`)).json()
  const [choice] = machine.fitted.loops
  const trial = await (
    await page.request.post(`/api/machines/${id}/setups`, {
      data: {
        name: 'Hill',
        loops: [{ ...choice, rearSize: choice.rearSize + 2 }],
        roadWheels: null,
        note: null,
      },
    })
  ).json()
  const opened = await page.request.post(`/api/machines/${id}/jobs`, {
    data: { openedOn: '2026-11-30', reason: 'anotherGearing', about: 'hills', odometerKm: null, hours: null },
  })
  const number = String((await opened.json()).id)
  await page.goto(`/machines/${id}/ratio?setup=${trial.id}`)
  await page.getByRole('button', { name: 'Fit Hill', exact: true }).click()
  await expect(page.getByText(/Hill is as fitted now/)).toBeVisible()
  await happens(page, number, [
    { kind: 'visitBegun', loopKey, goal: 'tensionOnly', on: null },
    { kind: 'readingTaken', loopKey, reading: { method: 'freePlay', value: 37, position: 0, forceN: null } },
    { kind: 'readingTaken', loopKey, reading: { method: 'freePlay', value: 41, position: 2, forceN: null } },
    { kind: 'roundKept', loopKey, at: null },
    {
      kind: 'visitClosed',
      loopKey,
      closedOn: '2026-11-30',
      torqueNm: 95,
      done: ['finalTorque', 'adjusterLocks', 'pinsAndCaps', 'guards', 'turnsFreely'],
      nextCheckOn: null,
      note: null,
      despite: null,
      reason: 'nobody asked',
    },
    { kind: 'jobSigned', signedOn: '2026-11-30', score: 5, word: null, despite: null, reason: 'so' },
  ])
  // What was on before goes on again: the hill setup becomes a former one.
  const setups = await (await page.request.get(`/api/machines/${id}/setups`)).json()
  const first = setups.find((s: { status: string }) => s.status === 'former')
  const fit = await page.request.post(`/api/setups/${first.id}/fit`, { data: { version: first.version } })
  expect(fit.ok(), await fit.text()).toBe(true)

  // From the job at which it was fitted.
  await page.goto(`/machines/${id}/jobs/${number}`)
  await panel(page, 'Fitted').getByRole('button', { name: 'Fit Hill again' }).click()
  await expect(page.getByRole('region', { name: 'Back again: another gearing' })).toContainText('Hill again')
  expect(job(page)).not.toBe(number)
  const fitted = panel(page, 'Fitted')
  await expect(fitted).toContainText('Places, shims and settings are as they were then.')
  await expect(fitted).toContainText(/to reach, final drive, as left on 2026-11-30/)
  await expect(fitted).toContainText(/37 to 41\smm, free play/)
  await page.getByRole('link', { name: 'Set', exact: true }).first().click()
  await page.getByRole('button', { name: 'Begin as found' }).click()
  await expect(page.getByText('To reach:')).toContainText(/37 to 41\smm/)

  // And from the menu of a former setup.
  const former = (await (await page.request.get(`/api/machines/${id}/setups`)).json()).find(
    (s: { status: string }) => s.status === 'former',
  )
  await page.goto(`/machines/${id}/ratio?setup=${former.id}`)
  await page.getByRole('button', { name: `${former.name} …` }).click()
  await page.getByRole('menuitem', { name: 'Fit it again as it was' }).click()
  await expect(panel(page, 'Fitted')).toContainText(`${former.name}, again as it was`)
})

test('what stops it keeps it from going out until it is mended, with a photo on it', async ({ page }) => {
  const id = await addMachine(page, 'Cracked')
  const opened = await page.request.post(`/api/machines/${id}/jobs`, {
    data: { openedOn: '2026-11-30', reason: 'visit' },
  })
  await page.goto(`/machines/${id}/jobs/${(await opened.json()).id}`)
  const seen = panel(page, 'Seen')
  await seen.getByRole('button', { name: 'Note it as seen' }).click()
  await expect(seen.getByText('Give a name.')).toBeVisible()
  await seen.getByRole('textbox', { name: 'What was seen, and where' }).fill('link cracked at the joint')
  await seen.getByText('stop', { exact: true }).click()
  await seen.getByRole('button', { name: 'Note it as seen' }).click()
  await expect(page.getByRole('list', { name: 'In the way' })).toContainText(
    'seen, and not mended: link cracked at the joint',
  )
  const picture = await page.screenshot({ clip: { x: 0, y: 0, width: 200, height: 120 } })
  await seen
    .locator('input[type=file]')
    .setInputFiles({ name: 'crack.png', mimeType: 'image/png', buffer: picture })
  await expect(seen.locator('img')).toHaveCount(1)
  await page.goto('/')
  await expect(panel(page, 'Goes on')).toContainText('■ stop: link cracked at the joint')
  await page.goBack()
  await seen.getByRole('button', { name: 'Mended: link cracked at the joint' }).click()
  await seen.getByRole('textbox', { name: 'What was done about it' }).fill('another chain')
  await seen.getByRole('button', { name: 'It is mended' }).click()
  await expect(seen).toContainText('mended: another chain')
  await expect(page.getByRole('list', { name: 'In the way' })).toHaveCount(0)
})
