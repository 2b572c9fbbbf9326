import { panel } from './bench'
import { expect, test } from './server'
import { chainMachine, jobsOf, next, play, ring } from './visits'

test('how the axle is carried is asked before a window is given, and stored', async ({ page }) => {
  const id = await chainMachine(page, 'Not said', { suspension: null })
  await page.goto(`/machines/${id}/set`)
  await page.getByRole('button', { name: 'Begin as found' }).click()
  await play(page, 30, 31, 32, 31)
  await page.getByRole('button', { name: 'Keep as found' }).click()
  await expect(next(page)).toContainText('How is the driven axle carried?')
  await expect(next(page)).toContainText('No window is known')
  await next(page).getByRole('button', { name: 'by a swing arm' }).click()
  await expect(next(page)).toContainText('motorcycle road')
  await page.reload()
  await expect(panel(page, 'How it is set').getByLabel('Driven axle is carried')).toHaveValue(
    'by a swing arm',
  )
})

test('as found is kept first: in bay mode nothing is read over it', async ({ page }) => {
  const id = await chainMachine(page, 'Kept first')
  await page.goto(`/machines/${id}/set`)
  await page.getByRole('button', { name: 'Begin as found' }).click()
  await play(page, 55, 52, 48, 51)
  await ring(page)
    .getByRole('button', { name: /^valve up/ })
    .click()
  await page.keyboard.press('b')
  const bay = page.getByRole('dialog', { name: 'Bay mode' })
  await expect(bay).toContainText('Keep it as found.')
  await expect(bay.getByRole('button', { name: 'More play' })).toHaveCount(0)
  await bay.getByRole('button', { name: 'Keep as found' }).click()
  await bay.getByRole('button', { name: 'All of it is so' }).click()
  await expect(bay).toContainText(/turn clockwise/)
  await expect(bay).toContainText(/Window 25\smm to 35/)
  await expect.poll(async () => (await jobsOf(page, id))[0].rounds.length).toBe(1)
})

test('what was turned is said before a reading; what nobody said is marked in the record', async ({
  page,
}) => {
  const id = await chainMachine(page, 'Logged')
  await page.goto(`/machines/${id}/set`)
  await page.getByRole('button', { name: 'Begin as found' }).click()
  await play(page, 55, 52, 48, 51)
  await page.getByRole('button', { name: 'Keep as found' }).click()
  await expect(next(page)).toContainText('Loosen the axle nut until the axle just slides.')
  const round = panel(page, 'Round 1')
  await expect(round).toContainText('As advised')
  await round.getByLabel('Left, turned').fill('3/8')
  await expect(round).not.toContainText('As advised')
  await play(page, 33, 31, 29, 31)
  await page.getByRole('button', { name: 'Keep this round' }).click()
  const rounds = panel(page, 'Rounds')
  await expect(rounds.getByRole('row', { name: /^1/ })).toContainText('+3/8')
  await expect(rounds.getByRole('row', { name: /^1/ })).toContainText('nipped*')
  await page.goto(`/machines/${id}/set/${(await jobsOf(page, id))[0].id}`)
  const taken = panel(page, 'Readings and how they were taken')
  await expect(taken.getByRole('row').nth(1)).toContainText('at its torque (assumed)')
  await expect(taken).toContainText('not said')
  await expect(taken).not.toContainText('stand')
})

test('what answers the wrong way stops, and learns anew once it was mended', async ({ page }) => {
  const id = await chainMachine(page, 'Mended')
  await page.goto(`/machines/${id}/set`)
  await page.getByRole('button', { name: 'Begin as found' }).click()
  await play(page, 55, 52, 50, 52)
  await page.getByRole('button', { name: 'Keep as found' }).click()
  await play(page, 75, 72, 70, 72)
  await expect(next(page)).toContainText('something is loose or bent')
  await page.getByRole('button', { name: 'Keep this round' }).click()
  await next(page)
    .getByRole('button', { name: /^Looked at and mended/ })
    .click()
  await expect(panel(page, 'Round 2')).toContainText('learns anew')
  await play(page, 60, 58, 55, 57)
  await expect(next(page)).toContainText(/turn clockwise/)
})

test('a slip test advises by itself, and a reading left outside stands until it is settled', async ({
  page,
}) => {
  const copy = await page.request.post('/api/machines/6/copy', { data: { name: 'By hand' } })
  const id = (await copy.json()).machine.id
  await page.goto(`/machines/${id}/set?loops=left-belt`)
  await page.getByRole('button', { name: 'Begin as found' }).click()
  const reading = panel(page, 'Reading')
  await reading.getByText('microphone', { exact: true }).click()
  await reading.getByLabel('Frequency').fill('20')
  await reading.getByRole('button', { name: 'Put it there' }).click()
  await page.getByRole('button', { name: 'Keep as found' }).click()
  await reading.getByText('feel', { exact: true }).click()
  await expect(reading).toContainText('Turn it backwards as hard')
  const feel = async (grade: string) => {
    await reading.getByLabel('By hand it is').click()
    await page.getByRole('option', { name: grade, exact: true }).click()
    const stored = page.waitForResponse((r) => r.url().endsWith('/events'))
    await reading.getByRole('button', { name: 'Put it there' }).click()
    await stored
  }
  await feel('loose')
  await expect(next(page)).toContainText(/1\/16 turn|1 click|1 shim/)
  await expect(next(page)).not.toContainText('axle nut')
  await page.getByRole('button', { name: 'Read it anew' }).click()
  for (let place = 0; place < 4; place++) await feel('about right')
  await panel(page, 'Round 1').getByText('at its torque', { exact: true }).click()
  await page.getByRole('button', { name: 'Keep this round' }).click()
  await expect(panel(page, 'Round the wheel')).toContainText(/outside, open 20\.0/)
  const closing = panel(page, 'Closing list')
  for (const box of await closing.getByRole('checkbox').all())
    if (await box.isEnabled()) {
      await box.check()
      await expect(box).toBeChecked()
    }
  await expect(closing.getByRole('alert')).toContainText('outside its window')
  await closing.getByLabel('Why it is closed all the same').fill('no instrument at hand')
  await closing.getByRole('button', { name: 'Close the visit' }).click()
  await expect(panel(page, /^Set on/)).toContainText('Left outside, plucked: 20.0')
  await page.goto('/')
  await expect(page.getByRole('article').filter({ hasText: 'By hand' })).toContainText('left outside on')
  expect(await ring(page).count()).toBe(0)
})
