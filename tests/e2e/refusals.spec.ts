import { panel } from './bench'
import { refuse, shownOn } from './refusing'
import { expect, type Page, test } from './server'

interface Form {
  name: string
  path: string
  /** What brings the fields into view. */
  open?: (page: Page) => Promise<unknown>
  /** What sends them, where they are not sent as they are typed. */
  send?: (page: Page) => Promise<unknown>
}

const press = (name: string | RegExp) => (page: Page) =>
  page.getByRole('button', { name, exact: typeof name === 'string' }).last().click()
const choose = (label: string, option: string | RegExp) => async (page: Page) => {
  await page.getByRole('combobox', { name: label }).last().click()
  await page.getByRole('option', { name: option, exact: typeof option === 'string' }).click()
}
const say = (text: string, within = 'main') => (page: Page) =>
  page.locator(within).getByText(text, { exact: true }).last().click()
const all =
  (...steps: ((page: Page) => Promise<unknown>)[]) =>
  async (page: Page) => {
    for (const step of steps) await step(page)
  }

const FORMS: Form[] = [
  { name: 'loads of a chain', path: '/machines/1/loads' },
  { name: 'loads of a toothed belt', path: '/machines/2/loads' },
  { name: 'loads of a V-belt', path: '/machines/4/loads' },
  { name: 'loads of a load carrier', path: '/machines/5/loads' },
  { name: 'fit of a chain', path: '/machines/1/fit' },
  { name: 'fit, sprocket', path: '/machines/1/fit', open: say('sprocket') },
  { name: 'fit, groove', path: '/machines/4/fit', open: say('groove') },
  { name: 'fit, cut', path: '/machines/4/fit', open: say('cut to length') },
  { name: 'where things stand', path: '/machines/1/fit', open: press('Where things stand'), send: press('Store') },
  { name: 'set', path: '/machines/1/set', open: press('Begin as found') },
  { name: 'set, belt', path: '/machines/2/set', open: press('Begin as found') },
  { name: 'aim', path: '/machines/1/aim' },
  { name: 'ratio', path: '/machines/1/ratio' },
  { name: 'stock', path: '/stock' },
  { name: 'add a wheel', path: '/stock', open: press('Add a wheel'), send: press('Add') },
  { name: 'edit motorcycle', path: '/machines/1/aim', open: press('Edit machine and drive'), send: press('Store') },
  { name: 'edit bicycle', path: '/machines/3/aim', open: press('Edit machine and drive'), send: press('Store') },
  { name: 'edit winch', path: '/machines/4/aim', open: press('Edit machine and drive'), send: press('Store') },
  { name: 'add a machine', path: '/', open: press('Add a machine'), send: press('Add') },
]

async function fillAll(page: Page) {
  const scope = (await page.getByRole('dialog').count()) > 0 ? '[role=dialog]' : 'main'
  const fields = page.locator(
    `${scope} input[inputmode=decimal]:visible, ${scope} input[inputmode=numeric]:visible`,
  )
  for (let i = 0; i < (await fields.count()); i++) {
    const field = fields.nth(i)
    if (!(await field.isEditable())) continue
    const was = await field.inputValue()
    await field.fill(was === '' ? '12' : was)
  }
  return fields.count()
}

for (const form of FORMS)
  test(`what is refused is said at its field: ${form.name}`, async ({ page }) => {
    await page.goto(form.path)
    await expect(page.locator('main')).toBeVisible()
    await page.waitForLoadState('networkidle')
    await form.open?.(page)
    await page.waitForLoadState('networkidle')
    const refused = await refuse(page)
    const n = await fillAll(page)
    await form.send?.(page)
    await page.waitForTimeout(400)
    await page.waitForLoadState('networkidle')
    await page.waitForTimeout(800)
    const shown = await shownOn(page)
    console.log('==', form.name, n, 'fields')
    for (const [part, sent] of refused)
      console.log(
        '  ',
        part,
        'FOUND',
        sent.filter((s) => shown.atFields.includes(s.path)).map((s) => s.name).join(' '),
        '\n      MISSING',
        sent.filter((s) => !shown.atFields.includes(s.path)).map((s) => `${s.path}${shown.elsewhere.includes(s.path) ? '(said)' : ''}=${s.name}`).join(' '),
      )
  })
