import { openStation, panel } from './bench'
import { expect, type Page, test } from './server'
import { next } from './visits'

const KINDS = [
  'motorcycle',
  'moped',
  'bicycle',
  'loadCarrier',
  'robot',
  'winch',
  'kickBoard',
  'other',
] as const
/** Of these a whole visit is walked: a chain and a belt on the road, a cord and rows in a machine. */
const WALKED = new Set<string>(['motorcycle', 'moped', 'robot', 'winch'])
/** Words of a road vehicle's axle, and the kinds that have one. */
const AXLE_WORDS = /axle nut|split pin|brake works|vehicle chocked/i
const HAS_AXLE_NUT = new Set<string>(['motorcycle', 'moped', 'bicycle', 'loadCarrier'])

/** Every answer that was a refusal or a failure. */
function refusals(page: Page): string[] {
  const found: string[] = []
  page.on('response', (response) => {
    if (response.status() >= 400) found.push(`${response.status()} ${response.url()}`)
  })
  page.on('pageerror', (error) => found.push(error.message))
  return found
}

async function added(page: Page, kind: string): Promise<number> {
  const draft = await (await page.request.get(`/api/machines/starting/${kind}`)).json()
  const answer = await page.request.post('/api/machines', {
    data: { machine: { ...draft.machine, name: `New ${kind}` }, fitted: draft.fitted, fittedVersion: 0 },
  })
  expect(answer.ok()).toBe(true)
  return (await answer.json()).machine.id
}

/** All four places, by play where a chain is read and by hand where a belt is. */
async function readAll(page: Page, playMm: number, felt: string) {
  const reading = panel(page, 'Reading')
  await expect(reading).toBeVisible()
  const byPlay = reading.getByText('free play', { exact: true })
  const isChain = (await byPlay.count()) > 0
  for (let place = 0; place < 4; place++) {
    if (isChain) {
      await byPlay.click()
      await reading.getByLabel('Free play in all').fill(String(playMm + place))
    } else {
      await reading.getByText('feel', { exact: true }).click()
      await reading.getByLabel('By hand it is').click()
      await page.getByRole('option', { name: felt, exact: true }).click()
    }
    const stored = page.waitForResponse((r) => r.url().endsWith('/events'))
    await reading.getByRole('button', { name: 'Put it there' }).click()
    await stored
  }
}

for (const kind of KINDS)
  test(`a new ${kind} is laid out, ${WALKED.has(kind) ? 'read and set' : 'planned and begun'}: nothing is refused, no word of another drive`, async ({
    page,
  }) => {
    const id = await added(page, kind)
    const refused = refusals(page)
    await page.goto(`/machines/${id}/jobs?begin=visit`)
    await page.getByRole('dialog').getByRole('button', { name: 'Begin' }).click()
    await expect(panel(page, /: a visit$/)).toBeVisible()
    await page.goto(`/machines/${id}/check?view=brought`)
    await expect(panel(page, 'What it brought')).toBeVisible()
    await page.goto(`/machines/${id}/aim`)
    for (const station of ['Ratio', 'Loads', 'Build', 'Set', 'Check', 'Fit']) await openStation(page, station)
    await page.getByRole('button', { name: 'Begin with what the length asks for' }).click()
    await expect(panel(page, 'Side view, to scale')).toBeVisible()
    await expect(page.getByText(/no length reaches|can.t be laid/i)).toHaveCount(0)
    await expect(page.locator('tr[data-on]').first()).not.toContainText('off the slot')
    await openStation(page, 'Set')
    await page.getByRole('button', { name: 'Begin as found' }).click()
    if (!WALKED.has(kind)) {
      await expect(panel(page, 'Reading')).toBeVisible()
      await expect(next(page)).not.toHaveAttribute('data-state', /looseOrBent|readAgain|tieReading/)
      if (!HAS_AXLE_NUT.has(kind)) await expect(page.getByRole('main')).not.toContainText(AXLE_WORDS)
      await openStation(page, 'Build')
      await page.getByRole('button', { name: 'Begin it' }).click()
      await expect(panel(page, 'Step in hand')).toBeVisible()
      if (!HAS_AXLE_NUT.has(kind)) await expect(page.getByRole('main')).not.toContainText(AXLE_WORDS)
      expect(refused).toEqual([])
      return
    }
    await readAll(page, 20, 'loose')
    await page.getByRole('button', { name: 'Keep as found' }).click()
    await expect(panel(page, 'Rounds')).toBeVisible()
    await expect(next(page)).not.toHaveAttribute('data-state', /looseOrBent|readAgain|tieReading/)
    if (!HAS_AXLE_NUT.has(kind)) await expect(page.getByRole('main')).not.toContainText(AXLE_WORDS)
    // What is told is turned, it is read again with everything tight, and the visit is closed over what stays open.
    await readAll(page, 28, 'about right')
    await panel(page, 'Round 1').getByText('at its torque', { exact: true }).click()
    await page.getByRole('button', { name: 'Keep this round' }).click()
    const closing = panel(page, 'Closing list')
    for (const step of await closing.getByRole('checkbox').all())
      if (await step.isEnabled()) await step.check()
    await closing.getByLabel('Why it is closed all the same').fill('tried out')
    await closing.getByRole('button', { name: 'Close the visit' }).click()
    await expect(panel(page, /^Set on/)).toBeVisible()
    if (!HAS_AXLE_NUT.has(kind)) await expect(page.getByRole('main')).not.toContainText(AXLE_WORDS)
    for (const station of ['Loads', 'Fit', 'Ratio', 'Aim']) await openStation(page, station)
    await page.getByRole('link', { name: '● a visit' }).click()
    await page.getByRole('textbox', { name: 'Why it goes out all the same' }).fill('tried out')
    await page.getByRole('button', { name: 'Sign: it goes out' }).click()
    await expect(panel(page, 'Signed')).toBeVisible()
    expect(refused).toEqual([])
  })
