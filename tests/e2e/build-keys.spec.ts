import { panel } from './bench'
import { choose, pick, reach, tabTo } from './keys'
import { expect, type Page, test } from './server'
import { card, done } from './stepInHand'
import { chainMachine } from './visits'

/** From the choice of the wheels to the signature with keys alone. */

const FRONT = [
  /^Which way does the hub of the front wheel face/,
  'as the old one stood: marked face outward',
] as const
const FLANGE = [/^On which side of the belt is the flange/, 'where it was on the old one'] as const
const ARROW = [/^Is the belt marked/, 'no mark, or the arrow forward as the wheel turns'] as const

/** Says what the step in hand asks, and that it is done. */
async function doStep(page: Page, ways: (readonly [RegExp, string])[]) {
  const words = card(page).locator('[aria-live=polite]')
  // The card may still stand at Set, which was closed a moment ago: its words change without a press.
  await expect(done(page)).toBeVisible()
  const at = (await words.textContent()) ?? ''
  for (const [question, right] of ways)
    if (await card(page).getByRole('radiogroup', { name: question }).count())
      await choose(page, card(page), right)
  if (await card(page).getByRole('textbox', { name: 'In and tight' }).count()) {
    for (const name of ['In and tight', 'Of']) {
      const count = card(page).getByRole('textbox', { name, exact: true })
      if ((await count.inputValue()) !== '') continue
      await reach(page, count)
      await page.keyboard.type('4')
    }
    const torque = card(page).getByRole('textbox', { name: 'Torque' })
    if (await torque.count()) {
      await reach(page, torque)
      await page.keyboard.type('98')
      await choose(page, card(page), /^the maker’s/)
    }
    if (!(await card(page).getByRole('radio', { name: 'none' }).isChecked()))
      await choose(page, card(page), /^new, or as good/)
  }
  await reach(page, done(page))
  await page.keyboard.press('Enter')
  await expect(words).not.toHaveText(at)
}

async function workUpTo(page: Page, text: RegExp, ...ways: (readonly [RegExp, string])[]) {
  await expect(card(page)).toBeVisible()
  for (let i = 0; i < 30 && !text.test((await card(page).textContent()) ?? ''); i++) await doStep(page, ways)
  await expect(card(page)).toContainText(text)
}

/** Ticks what is to be ticked, types the torque, and why where that is asked; then closes. */
async function close(page: Page, torque: string, reason: string) {
  const closing = panel(page, 'Closing list')
  await expect(closing.getByRole('checkbox').first()).toBeVisible()
  for (const step of await closing.getByRole('checkbox').all()) {
    if (await step.isDisabled()) continue
    await reach(page, step)
    await page.keyboard.press('Space')
    await expect(step).toBeChecked()
  }
  await reach(page, closing.getByRole('textbox', { name: /torque/i }).first())
  await page.keyboard.type(torque)
  const why = closing.getByRole('textbox', { name: /why/i })
  if (await why.count()) {
    await reach(page, why)
    await page.keyboard.type(reason)
  }
  await reach(page, closing.getByRole('button', { name: /Close/ }))
  await page.keyboard.press('Enter')
  await expect(closing).toHaveCount(0)
}

async function sign(page: Page, reason: string) {
  await expect(panel(page, 'All steps are told')).toBeVisible()
  await tabTo(page, 'to the job')
  await page.keyboard.press('Enter')
  const sign = page.getByRole('button', { name: 'Sign: it goes out' })
  await expect(sign).toBeVisible()
  const asked = page.getByRole('textbox', { name: 'Why it goes out all the same' })
  if (await asked.count()) {
    await reach(page, asked)
    await page.keyboard.type(reason)
  }
  await reach(page, sign)
  await page.keyboard.press('Enter')
  await expect(panel(page, 'Signed')).toBeVisible()
}

test('tension only, walked with keys alone, with a second page that reads along', async ({ page }) => {
  const id = await chainMachine(page, 'By keys', { makerMethod: 'freePlay', makerLow: 25, makerHigh: 35 })
  await page.goto(`/machines/${id}/aim`)
  await expect(page.getByRole('heading', { name: 'By keys' })).toBeVisible()
  await page.keyboard.press('5')
  await expect(page.getByRole('button', { name: 'Begin it, with a new job' })).toBeVisible()
  await tabTo(page, 'Begin it, with a new job')
  await page.keyboard.press('Enter')
  await expect(card(page)).toContainText(/Step 1 of 5/)
  const other = await page.context().newPage()
  await other.goto(`/machines/${id}/build`)
  await expect(card(other)).toContainText(/Step 1 of 5/)
  for (const at of [2, 3, 4]) {
    await tabTo(page, 'Done')
    await page.keyboard.press('Enter')
    await expect(card(page)).toContainText(`Step ${at} of 5`)
    await expect(card(other)).toContainText(`Step ${at} of 5`, { timeout: 2_000 })
  }
  await tabTo(page, 'Go to Set')
  await page.keyboard.press('Enter')
  await tabTo(page, 'Begin as found')
  await page.keyboard.press('Enter')
  const field = panel(page, 'Reading').getByLabel('Free play in all')
  await tabTo(page, 'Free play in all')
  for (const value of [31, 30, 31, 30]) {
    await page.keyboard.type(String(value))
    await page.keyboard.press('Enter')
    await expect(field).toHaveValue('')
  }
  await tabTo(page, 'Keep as found')
  await page.keyboard.press('Enter')
  const steps = panel(page, 'Closing list').getByRole('checkbox')
  await expect(steps).toHaveCount(6)
  // The sixth is the last reading, which is read and not ticked.
  for (let i = 0; i < 5; i++) {
    await reach(page, steps.nth(i))
    await page.keyboard.press('Space')
    await expect(steps.nth(i)).toBeChecked()
  }
  await reach(
    page,
    panel(page, 'Closing list')
      .getByRole('textbox', { name: /torque/i })
      .first(),
  )
  await page.keyboard.type('98')
  const why = panel(page, 'Closing list').getByRole('textbox', { name: /why/i })
  if (await why.count()) {
    await reach(page, why)
    await page.keyboard.type('as it is')
  }
  await reach(page, panel(page, 'Closing list').getByRole('button', { name: /Close/ }))
  await page.keyboard.press('Enter')
  await expect(panel(page, 'Closing list')).toHaveCount(0)
  await page.keyboard.press('5')
  await expect(card(page)).toContainText('Step 5 of 5')
  await tabTo(page, 'Done')
  await page.keyboard.press('Enter')
  await expect(panel(page, 'All steps are told')).toBeVisible()
  await tabTo(page, 'to the job')
  await page.keyboard.press('Enter')
  await expect(panel(page, 'Tension only')).toContainText('5 of 5 steps')
  const asked = page.getByRole('textbox', { name: 'Why it goes out all the same' })
  if (await asked.count()) {
    await tabTo(page, 'Why it goes out all the same')
    await page.keyboard.type('read at one place')
  }
  await tabTo(page, 'Sign: it goes out')
  await page.keyboard.press('Enter')
  await expect(panel(page, 'Signed')).toBeVisible()
})

test('a front sprocket, chosen, built, set and signed with keys alone', async ({ page }) => {
  const id = await chainMachine(page, 'Front by keys', {
    makerMethod: 'freePlay',
    makerLow: 25,
    makerHigh: 35,
  })
  await page.goto(`/machines/${id}/aim`)
  await expect(page.getByRole('heading', { name: 'Front by keys' })).toBeVisible()
  await page.keyboard.press('2')
  await expect(page.getByLabel(/Ratio scale/)).toBeVisible()
  await tabTo(page, /Ratio scale/)
  await expect(page.getByRole('option', { selected: true }).first()).toBeVisible()
  await page.keyboard.press('[')
  await expect(page).toHaveURL(/pick=/)
  await page.keyboard.press('5')
  await expect(panel(page, 'What is to be done')).toContainText(/front \d+ → \d+/)
  await tabTo(page, 'Begin it, with a new job')
  await page.keyboard.press('Enter')
  await expect(card(page)).toContainText(/Step 1 of \d+/)
  await workUpTo(page, /Go to Set/, FRONT)
  await tabTo(page, 'It is on')
  await page.keyboard.press('Enter')
  await expect(panel(page, 'On the machine')).toHaveCount(0)
  await tabTo(page, 'Go to Set')
  await page.keyboard.press('Enter')
  await tabTo(page, 'Begin as found')
  await page.keyboard.press('Enter')
  await tabTo(page, 'Free play in all')
  for (const value of [31, 30, 31, 30]) {
    await page.keyboard.type(String(value))
    await page.keyboard.press('Enter')
    await expect(panel(page, 'Reading').getByLabel('Free play in all')).toHaveValue('')
  }
  await tabTo(page, 'Keep as found')
  await page.keyboard.press('Enter')
  await close(page, '98', 'as it is')
  await page.keyboard.press('5')
  await workUpTo(page, /Say when it is read again/)
  await reach(page, done(page))
  await page.keyboard.press('Enter')
  await sign(page, 'all told')
})

test('the belt of Dunlin, chosen, laid on, set and signed with keys alone', async ({ page }) => {
  await page.goto('/machines/2/aim')
  await expect(page.getByRole('heading', { name: 'Dunlin' })).toBeVisible()
  await page.keyboard.press('2')
  await expect(page.getByLabel(/Ratio scale/)).toBeVisible()
  await tabTo(page, /Ratio scale/)
  await expect(page.getByRole('option', { selected: true }).first()).toBeVisible()
  await page.keyboard.press(']')
  await expect(page).toHaveURL(/pick=/)
  await page.keyboard.press('5')
  await expect(panel(page, 'What is to be done')).toContainText(/front 28 → 29/)
  await tabTo(page, /^Begin it/)
  await page.keyboard.press('Enter')
  await workUpTo(page, /Go to Set/, FLANGE, ARROW)
  await tabTo(page, 'It is on')
  await page.keyboard.press('Enter')
  await expect(panel(page, 'On the machine')).toHaveCount(0)
  await tabTo(page, 'Go to Set')
  await page.keyboard.press('Enter')
  await tabTo(page, 'Begin as found')
  await page.keyboard.press('Enter')
  const reading = panel(page, 'Reading')
  for (let place = 0; place < 4; place++) {
    await choose(page, reading, 'feel')
    await reach(page, reading.getByLabel('By hand it is'))
    await pick(page, 'about right')
    const stored = page.waitForResponse((r) => r.url().endsWith('/events'))
    await reach(page, reading.getByRole('button', { name: 'Put it there' }))
    await page.keyboard.press('Enter')
    await stored
  }
  await tabTo(page, 'Keep as found')
  await page.keyboard.press('Enter')
  await close(page, '55', 'by hand, gap looked at')
  await page.keyboard.press('5')
  await workUpTo(page, /Say when it is read again/)
  await reach(page, done(page))
  await page.keyboard.press('Enter')
  await sign(page, 'read again after 100 km')
})
