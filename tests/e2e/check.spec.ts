import { addMachine, panel, untilIdle } from './bench'
import { tabTo } from './keys'
import { expect, type Page, test } from './server'

/** Check: looked at by places and grades, what stands, what is due, and what an event asks for. */

const card = (page: Page) => page.getByRole('region', { name: 'Part in hand' })
const grade = (page: Page, name: RegExp) =>
  page.getByRole('group', { name: /^Grade/ }).getByRole('button', { name })
const listed = (page: Page, name: RegExp) => panel(page, 'Looked at').getByRole('button', { name })

async function beginLook(page: Page, id: number, km = '12400') {
  await page.goto(`/machines/${id}/check`)
  await page.getByRole('textbox', { name: /^Odometer/ }).fill(km)
  await page.getByRole('button', { name: 'Begin a look' }).click()
  await expect(card(page)).toContainText('Guard and cover')
}

const stored = async (page: Page, id: number) =>
  (await (await page.request.get(`/api/machines/${id}/jobs`)).json())[0]

test('an event to its look to its job to the signature', async ({ page }) => {
  const id = await addMachine(page, 'Knocked')
  await page.goto('/')
  await page.getByRole('button', { name: 'Something happened …' }).click()
  await page.getByRole('combobox', { name: 'To which machine' }).selectOption('Knocked')
  await page.getByRole('dialog').getByRole('button', { name: 'a knock, a fall or a stone' }).click()
  await expect(page.getByText('Noted: a knock, a fall or a stone.')).toBeVisible()
  await page.goto(`/machines/${id}/check`)
  const due = panel(page, 'Due')
  await expect(due).toContainText('after a knock, a fall or a stone: guard, plates')
  await expect(page.getByRole('link', { name: /^↻ Check|Check look now/ })).toBeVisible()
  // What the knock asks for comes first, in the order of the hand.
  await expect(card(page)).toContainText('asked for by what happened')
  await grade(page, /fine/).click()
  await expect(card(page)).toContainText('Plates and rollers')
  await grade(page, /stop/).click()
  await expect(page.getByRole('note', { name: 'It does not go out' })).toContainText('plates')
  await page.getByRole('button', { name: 'All else is fine' }).click()
  await expect(due).not.toContainText('after a knock')
  await expect(panel(page, 'What it says')).toContainText('It does not go out like that.')
  // It stands in the yard, and on another station, until it is mended.
  await page.getByRole('link', { name: /Ratio/ }).click()
  await expect(page.getByRole('note', { name: 'It does not go out' })).toContainText('plates')
  await page.goto('/')
  const inYard = page
    .getByRole('article')
    .filter({ has: page.getByRole('link', { name: 'Knocked', exact: true }) })
  await expect(inYard).toContainText('■ It does not go out: plates')
  await inYard.getByRole('link', { name: 'to its job' }).click()
  await expect(page.getByText('seen, and not mended: plates')).toBeVisible()
  await page.getByRole('button', { name: 'Mended: plates' }).click()
  await page.getByRole('textbox', { name: 'What was done about it' }).fill('another chain')
  await page.getByRole('button', { name: 'It is mended' }).click()
  await page.getByRole('button', { name: 'Sign: it goes out' }).click()
  await expect(panel(page, 'Signed')).toBeVisible()
  await page.goto('/')
  await expect(inYard).not.toContainText('It does not go out')
})

test('what is watched says until when, and stands beside the next look', async ({ page }) => {
  const id = await addMachine(page, 'Watched')
  await beginLook(page, id)
  await listed(page, /Teeth of the front wheel/).click()
  await page.getByRole('button', { name: 'More of it …' }).click()
  await page.getByRole('textbox', { name: 'From tooth, from the mark' }).fill('4')
  await page.getByRole('textbox', { name: 'To tooth' }).fill('7')
  await page.getByRole('textbox', { name: 'In words' }).fill('hooked a little')
  await page.getByRole('textbox', { name: 'Measured', exact: true }).fill('0.4')
  await page.getByRole('textbox', { name: 'Its unit' }).fill('mm')
  await page.getByRole('textbox', { name: 'Watched until, odometer' }).fill('12900')
  await grade(page, /watch until 12.900.km/).click()
  await expect(card(page)).toContainText('front wheel, teeth 4 to 7, 0.4 mm (hearsay), hooked a little')
  const job = await stored(page, id)
  expect(job.findings[0]).toMatchObject({
    grade: 'watch',
    detail: {
      part: 'frontTeeth',
      fromTooth: 4,
      toTooth: 7,
      untilKm: 12900,
      measure: { value: 0.4, method: null },
    },
  })
  await expect(panel(page, 'Due')).toContainText('look again: front wheel, teeth 4 to 7')
  // Signed; at the next look last time stands beside it.
  await page.getByRole('link', { name: 'to the job' }).click()
  await page.getByRole('button', { name: 'Sign: it goes out' }).click()
  await expect(panel(page, 'Signed')).toBeVisible()
  await beginLook(page, id, '12800')
  await listed(page, /Teeth of the front wheel/).click()
  await expect(card(page)).toContainText(/last time:\s*▲ watch until/)
  await grade(page, /fine/).click()
  await expect(panel(page, 'Due')).not.toContainText('look again: front wheel')
})

test('what is wrong is refused at its field, and nothing typed is lost', async ({ page }) => {
  const id = await addMachine(page, 'Refused')
  await beginLook(page, id)
  await page.getByRole('button', { name: 'More of it …' }).click()
  await page.getByRole('textbox', { name: 'In words' }).fill('frayed like a hoist rope')
  await grade(page, /watch/).click()
  await expect(card(page)).toContainText('hoist ropes and lifts are not looked at here')
  await expect(page.getByRole('textbox', { name: 'In words' })).toHaveValue('frayed like a hoist rope')
  await page.getByRole('textbox', { name: 'In words' }).fill('frayed')
  await page.getByRole('textbox', { name: 'Watched until, odometer' }).fill('')
  await page.getByLabel('Or until the day', { exact: true }).fill('')
  await grade(page, /watch/).click()
  await expect(card(page)).toContainText('Say until when it may go on')
  expect((await stored(page, id)).findings).toEqual([])
})

test('a look with a photo on a phone, by thumb alone, in bay mode', async ({ page }) => {
  const id = await addMachine(page, 'By thumb')
  await page.setViewportSize({ width: 390, height: 844 })
  await beginLook(page, id)
  await page.getByRole('button', { name: 'Bay mode' }).click()
  const bay = page.getByRole('dialog', { name: 'Bay mode' })
  for (const button of await bay.getByRole('button').all())
    expect((await button.boundingBox())?.height).toBeGreaterThanOrEqual(48)
  await bay.getByRole('button', { name: /stop/ }).click()
  // What was said comes back from the store, and the card is drawn anew by it.
  await untilIdle(page)
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    bay.getByRole('button', { name: 'Take or choose photos' }).click(),
  ])
  await chooser.setFiles('../docs/screenshots/yard.png')
  await expect.poll(async () => (await stored(page, id)).photos[0]?.finding).toBe('guard')
  await bay.getByRole('button', { name: 'Next' }).click()
  await expect(bay).toContainText('Rust and dirt after cleaning')
  await bay.getByRole('button', { name: /fine/ }).click()
  await expect(bay).toContainText('Sealing rings')
  await bay.getByRole('button', { name: 'Leave' }).click()
  await expect(panel(page, 'What it says')).toContainText('It does not go out like that.')
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
})

test('with keys alone: a look is begun, graded and all else said to be fine', async ({ page }) => {
  const id = await addMachine(page, 'By keys at Check')
  await page.goto(`/machines/${id}/aim`)
  await expect(page.getByRole('heading', { name: 'By keys at Check' })).toBeVisible()
  await page.keyboard.press('7')
  await expect(page.getByRole('button', { name: 'Begin a look' })).toBeVisible()
  await tabTo(page, 'Begin a look')
  await page.keyboard.press('Enter')
  await expect(card(page)).toContainText('Guard and cover')
  await tabTo(page, /^● fine/)
  await page.keyboard.press('Enter')
  await expect(card(page)).toContainText('Rust and dirt')
  await tabTo(page, 'All else is fine')
  await page.keyboard.press('Enter')
  await expect(panel(page, 'What it says')).toContainText('Fine, as far as it was looked at.')
})

test('a place is pressed on the drawing, and a wheel at its tooth', async ({ page }) => {
  await page.goto('/machines/1/check')
  await page.getByRole('button', { name: /^6 Joint/ }).click()
  await expect(panel(page, 'Looked at').locator('[aria-current]')).toContainText('Joint')
  // Dunlin, Curlew and the winch are drawn as what they are.
  await page.goto('/machines/4/check')
  await expect(page.getByRole('button', { name: /Height in the groove/ }).first()).toBeVisible()
  await page.getByText('variable belt', { exact: true }).click()
  await expect(page.getByRole('button', { name: /Free at idle/ }).first()).toBeVisible()
})

test('a chain is measured at three places, thrice, and its record tells when it is worn', async ({
  page,
}) => {
  const id = await addMachine(page, 'Measured')
  const wear = panel(page, 'Elongation of the chain')
  for (const [km, longest] of [
    ['10000', '264.9'],
    ['12000', '265.2'],
    ['14000', '265.45'],
  ] as const) {
    await beginLook(page, id, km)
    for (const [place, mm] of [
      ['Place 1', '264.8'],
      ['Place 2', longest],
      ['Place 3', '264.75'],
    ] as const)
      await wear.getByRole('textbox', { name: place }).fill(mm)
    await wear.getByRole('button', { name: 'Write it down' }).click()
    await expect(wear.getByRole('textbox', { name: 'Place 1' })).toHaveValue('')
    await page.getByRole('link', { name: 'to the job' }).click()
    await page.getByRole('button', { name: 'Sign: it goes out' }).click()
    await expect(panel(page, 'Signed')).toBeVisible()
  }
  await page.goto(`/machines/${id}/check`)
  await expect(wear.getByRole('row')).toHaveCount(4)
  await expect(wear).toContainText('at the limit, by the line')
  await expect(wear).toContainText('one more reading may show it')
  await expect(panel(page, 'Due')).toContainText('the chain may be at its limit')
  await wear.getByRole('button', { name: 'working of the newest' }).click()
  await expect(page.getByRole('dialog')).toContainText('Growth of the chain')
})

test('a length that no such chain can have is refused at its place', async ({ page }) => {
  const id = await addMachine(page, 'Miscounted')
  await beginLook(page, id)
  const wear = panel(page, 'Elongation of the chain')
  await expect(wear).toContainText('Not measured yet.')
  await wear.getByRole('textbox', { name: 'Place 1' }).fill('264.8')
  await wear.getByRole('textbox', { name: 'Place 3' }).fill('280')
  await wear.getByRole('button', { name: 'Write it down' }).click()
  await expect(wear).toContainText('Count them again, and look which chain it is.')
  await expect(wear.getByRole('textbox', { name: 'Place 3' })).toHaveValue('280')
  expect((await stored(page, id)).elongations).toEqual([])
})

test('what its maker says stands in place of what the trade says, and can be taken back', async ({
  page,
}) => {
  const id = await addMachine(page, 'By its manual')
  await beginLook(page, id)
  await expect(card(page)).toContainText('Common practice; a maker’s limit wins.')
  await card(page).getByRole('button', { name: 'What its maker says …' }).click()
  const form = card(page).getByRole('form', { name: 'What its maker says' })
  // Nothing said is said so, and what was typed stays.
  await form.getByRole('textbox', { name: 'Where it says so' }).fill('manual, page 41')
  await form.getByRole('button', { name: 'Store' }).click()
  await expect(form).toContainText('Say at least one of fine, watch and stop')
  await form.getByRole('textbox', { name: 'Its maker: stop' }).fill('any dent at all')
  await form.getByRole('button', { name: 'Store' }).click()
  await expect(grade(page, /stop/)).toContainText('any dent at all')
  await expect(card(page)).toContainText('By its maker (manual, page 41): stop. Else common practice.')
  await page.reload()
  await expect(grade(page, /stop/)).toContainText('any dent at all')
  await card(page).getByRole('button', { name: 'What its maker says …' }).click()
  await expect(form.getByRole('textbox', { name: 'Its maker: stop' })).toHaveValue('any dent at all')
  await form.getByRole('button', { name: 'As the trade says' }).click()
  await expect(card(page)).toContainText('Common practice; a maker’s limit wins.')
  await expect(grade(page, /stop/)).not.toContainText('any dent at all')
})

test('as what a loop is looked at is asked once', async ({ page }) => {
  const id = await addMachine(page, 'On a rail')
  await page.goto(`/machines/${id}/check`)
  await page.getByText('chain on a rail', { exact: true }).click()
  await expect(page.getByRole('button', { name: /Bearing blocks|blocks/i }).first()).toBeVisible()
  await expect(async () => {
    const card = await (await page.request.get(`/api/machines/${id}`)).json()
    expect(card.machine.inspections).toEqual([{ loopKey: 'final', kind: 'rail', grades: [] }])
  }).toPass()
  await page.reload()
  await expect(page.getByRole('radio', { name: 'chain on a rail' })).toBeChecked()
})

test('pulled with another load, what that made of it is taken off', async ({ page }) => {
  const id = await addMachine(page, 'Weighed down')
  await beginLook(page, id)
  const wear = panel(page, 'Elongation of the chain')
  const field = (name: string) => wear.getByRole('textbox', { name, exact: true })
  await field('Place 1').fill('265')
  await wear.getByRole('checkbox', { name: 'Pulled with another load than that' }).check()
  await field('Pulled with').fill('500')
  await field('Place 1 again, with').fill('900')
  await field('Read there then').fill('264.9')
  await wear.getByRole('button', { name: 'Write it down' }).click()
  await expect(wear).toContainText('Pulled harder it can’t be shorter')
  await field('Read there then').fill('265.1')
  await wear.getByRole('button', { name: 'Write it down' }).click()
  await expect(wear.getByRole('cell', { name: /for the load/ })).toBeVisible()
  const [measured] = (await stored(page, id)).elongations
  expect(measured.ofLoadPercent).toBeCloseTo(
    (100 * (0.1 / 400) * (500 - measured.pull.nominalN)) / (16 * 15.875),
    9,
  )
})
