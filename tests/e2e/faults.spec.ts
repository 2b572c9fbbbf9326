import { addMachine, panel } from './bench'
import { tabTo } from './keys'
import { expect, type Page, test } from './server'

/** Faults: from what it does to its cause, its cure, and whether it is gone. */

const press = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).click()
const inHand = (page: Page) => page.getByRole('region', { name: 'The test in hand' })
const answer = async (page: Page, ask: string, name: string) => {
  await expect(inHand(page)).toContainText(ask)
  await inHand(page).getByRole('button', { name, exact: true }).click()
}
const desk = async (page: Page, id: number) =>
  (await page.request.get(`/api/machines/${id}/faults/final`)).json()
const odds = async (page: Page, id: number) =>
  (await desk(page, id)).result.odds.map((o: { key: string; probability: number }) => [o.key, o.probability])

async function knocks(page: Page, id: number) {
  await page.goto(`/faults/${id}/final`)
  await press(page, 'something else …')
  await press(page, 'knocks once in a while, evenly')
  await press(page, 'fewer')
  await press(page, 'rain or deep water')
  await press(page, 'stood for weeks')
  await expect(inHand(page)).toContainText('First, whatever the rest says')
  await expect
    .poll(async () => (await desk(page, id)).circumstances.filter((c: { isSo: boolean }) => c.isSo).length)
    .toBe(2)
}

async function clear(page: Page) {
  await answer(page, 'A gap, a crack or a missing clip', 'Nothing of that')
  await answer(page, 'Can a wheel be moved', 'None moves')
}

test('the door “something is wrong” to a cured job', async ({ page }) => {
  const id = await addMachine(page, 'Knocks')
  await page.goto('/')
  await page.getByRole('button', { name: /^something is wrong/ }).click()
  await page.getByRole('combobox', { name: 'Machine' }).click()
  await page.getByRole('option', { name: 'Knocks' }).click()
  await press(page, 'Begin')
  await expect(page).toHaveURL(new RegExp(`/faults/${id}/final`))
  await press(page, 'something else …')
  await press(page, 'knocks once in a while, evenly')
  // Quick presses: each is said on top of the one before.
  await press(page, 'came at once')
  await press(page, 'rain or deep water')
  await press(page, 'stood for weeks')
  await clear(page)
  await press(page, 'Does a link stay bent?')
  await answer(page, 'Does a link stay bent?', 'A link does')
  await expect.poll(async () => (await desk(page, id)).result.odds[0].key).toBe('stiffLink')
  expect((await desk(page, id)).circumstances.filter((c: { isSo: boolean }) => c.isSo)).toHaveLength(3)
  // Whatever is asked still: none of it is so.
  const left = page.getByRole('button', { name: 'That is it: write it down' })
  await expect(async () => {
    if (!(await left.isVisible()))
      await inHand(page).getByRole('button', { name: 'Can’t tell' }).click({ timeout: 1_000 })
    await expect(left).toBeVisible({ timeout: 500 })
  }).toPass({ timeout: 60_000 })
  await press(page, 'That is it: write it down')
  const found = page.getByRole('region', { name: 'What was found' })
  await expect(found).toContainText('A link that has gone stiff')
  await expect(found).toContainText('Ruled out:')
  // Nothing more can be said of it, and the reason is there.
  await expect(page.getByRole('button', { name: 'came at once' })).toHaveAttribute('aria-disabled', 'true')
  await press(page, 'Plan it at Build, step by step')
  await expect(page).toHaveURL(new RegExp(`/machines/${id}/build`))
  await expect(page.getByRole('region', { name: 'Step in hand' })).toBeVisible()
  await page.goto(`/faults/${id}/final`)
  await expect(found.getByRole('link', { name: 'To Build' })).toBeVisible()
  await page.getByRole('textbox', { name: /what was done about it/ }).fill('worked free with oil')
  await press(page, 'It is mended')
  await press(page, 'It is gone')
  await expect(found).toContainText('✓ It is gone.')
  await expect(panel(page, 'What it can be')).toContainText('here: gone in 1 of 1')
  await page.goto('/faults')
  await expect(panel(page, 'Knocks')).toContainText('What does it do?')
  const job = (await (await page.request.get(`/api/machines/${id}/jobs`)).json())[0]
  await page.goto(`/machines/${id}/jobs/${job.id}`)
  await expect(panel(page, 'What it comes from')).toContainText('A link that has gone stiff, mended and gone')
  await expect(panel(page, 'Seen')).toContainText('mended: worked free with oil')
})

test('what was mended and signed is asked about until somebody tried it', async ({ page }) => {
  const id = await addMachine(page, 'Signed before the ride')
  const say = async (event: object) => {
    const said = await page.request.post(`/api/machines/${id}/faults/final`, {
      data: { on: '2026-11-30', key: crypto.randomUUID(), event: { loopKey: 'final', ...event } },
    })
    expect(said.ok()).toBe(true)
    return said.json()
  }
  await say({ kind: 'faultDescribed', signs: ['knocksOnce'], circumstances: [], notSo: [] })
  const { jobId, found } = await say({ kind: 'faultFound', causes: ['stiffLink'] })
  const signed = await page.request.post(`/api/jobs/${jobId}/events`, {
    data: {
      events: [
        { key: 'cure', event: { kind: 'findingCured', what: found.what, how: 'freed' } },
        {
          key: 'sign',
          event: {
            kind: 'jobSigned',
            signedOn: '2026-11-30',
            score: null,
            word: null,
            despite: null,
            reason: null,
          },
        },
      ],
    },
  })
  expect(signed.ok()).toBe(true)
  await page.goto('/faults')
  await panel(page, 'Signed before the ride')
    .getByRole('link', { name: /Is it gone\?/ })
    .click()
  const before = panel(page, 'Found before on this loop')
  await expect(before).toContainText('mended: is it gone?')
  await before.getByRole('button', { name: 'It still did it' }).click()
  await expect(before).toContainText('not gone')
  await expect(before.getByRole('button')).toHaveCount(0)
  await page.goto('/faults')
  await expect(panel(page, 'Signed before the ride')).toContainText('What does it do?')
})

test('a look that stops it: do not ride it, on the yard too, and gone with its answer', async ({ page }) => {
  const id = await addMachine(page, 'Clipped')
  await knocks(page, id)
  const before = await odds(page, id)
  await answer(page, 'A gap, a crack or a missing clip', 'A clip is missing or bent')
  const stop = page.getByRole('region', { name: 'Do not ride it' })
  await expect(stop).toContainText('The clip of the joint is gone or bent')
  await page.goto('/')
  const inYard = page
    .getByRole('article')
    .filter({ has: page.getByRole('link', { name: 'Clipped', exact: true }) })
  await expect(inYard).toContainText('It does not go out: The clip of the joint is gone or bent')
  await page.goto(`/faults/${id}/final`)
  await page
    .getByRole('button', { name: 'Take back: A gap, a crack or a missing clip on the chain?' })
    .click()
  await expect(stop).toHaveCount(0)
  expect(await odds(page, id)).toEqual(before)
  await page.goto('/')
  await expect(inYard).not.toContainText('It does not go out')
})

test('what is measured is held against this machine’s own lines; what can’t be is refused at its field', async ({
  page,
}) => {
  await page.goto('/faults/2/final')
  await press(page, 'clicks or cracks under load')
  await answer(page, 'A tooth gone', 'Nothing of that')
  await answer(page, 'Can a wheel be moved', 'None moves')
  await press(page, 'What does its tension read?')
  const field = page.getByRole('textbox', { name: 'As it reads' })
  await expect(inHand(page)).toContainText(/at least 115\.6.Hz, at most 129\.2.Hz/)
  await field.fill('200000')
  await press(page, 'That is what it measures')
  await expect(inHand(page)).toContainText('Give 0 to 100')
  await field.fill('90')
  await press(page, 'That is what it measures')
  await expect(panel(page, 'The way so far')).toContainText(/Looser than its window · 90.Hz/)
  // The record says it was read in its window once; somebody knows better.
  await page.getByRole('button', { name: /^last reading in its window/ }).click()
  await expect(panel(page, /^Since when/)).toContainText('said not to be so')
})

test('a control, hands and one test after the other: by keys, big in the bay', async ({ page }) => {
  const id = await addMachine(page, 'Keyed')
  await page.goto(`/faults/${id}/final`)
  await tabTo(page, 'something else …')
  await page.keyboard.press('Enter')
  await tabTo(page, 'knocks once in a while, evenly')
  await page.keyboard.press('Space')
  await expect(
    page
      .getByRole('button', { name: 'something else, too …' })
      .or(page.getByRole('button', { name: 'fewer' }))
      .first(),
  ).toBeVisible()
  await page.keyboard.press('b')
  const bay = page.getByRole('dialog', { name: 'Bay mode' })
  await expect(bay).toContainText('A gap, a crack or a missing clip on the chain?')
  await tabTo(page, 'Nothing of that')
  await page.keyboard.press('Enter')
  await expect(bay).toContainText('Can a wheel be moved on its shaft by hand?')
  await page.keyboard.press('Escape')
  await expect(bay).toHaveCount(0)
  await page.getByRole('combobox', { name: /^Another one, used alike/ }).click()
  await page.getByRole('option', { name: 'Turnstone' }).click()
  // What its own record says is there at once.
  const control = panel(page, 'A control')
  await expect(control.getByRole('button', { name: /^loaded more than usual/ })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  await control.getByRole('button', { name: 'rain or deep water' }).click()
  await expect
    .poll(
      async () =>
        (await desk(page, id)).control.circumstances.filter((c: { isSo: boolean }) => c.isSo).length,
    )
    .toBe(2)
  await panel(page, /^Since when/)
    .getByText('two', { exact: true })
    .click()
  await expect.poll(async () => (await desk(page, id)).people).toBe(2)
  await page.getByRole('textbox', { name: 'In your own words' }).fill('worse uphill')
  await press(page, 'Keep it')
  await page.reload()
  await expect(page.getByRole('textbox', { name: 'In your own words' })).toHaveValue('worse uphill')
  await page.goto('/faults')
  await expect(panel(page, 'Keyed')).toContainText('● knocks once in a while, evenly')
})

test('what can’t be done is said, and what is alike is not told apart', async ({ page }) => {
  const id = await addMachine(page, 'Alike')
  await page.goto(`/faults/${id}/final`)
  await press(page, 'something else …')
  await press(page, 'adjuster does nothing')
  const alike = page.getByRole('region', { name: 'Can’t tell these apart here' })
  await expect(async () => {
    if ((await alike.count()) === 0)
      await inHand(page).getByRole('button', { name: 'can’t do this one' }).click({ timeout: 1_000 })
    await expect(alike).toBeVisible({ timeout: 100 })
  }).toPass({ timeout: 90_000 })
  await expect(page.getByRole('region', { name: 'Not looked at' })).toContainText(
    'nothing here says that it may go out',
  )
  await expect(page.getByRole('region', { name: 'Can’t tell these apart here' })).toContainText(
    'The adjuster is still clamped',
  )
})
