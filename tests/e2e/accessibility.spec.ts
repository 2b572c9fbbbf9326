import AxeBuilder from '@axe-core/playwright'
import { expect, type Page, test } from './server'

interface RunOnly {
  type: 'tag' | 'rule'
  values: string[]
}

/** Every view and dialog, with what opens it. */
const VIEWS: [string, string, (page: Page) => Promise<void>][] = [
  ['yard', '/', async (p) => expect(p.getByRole('link', { name: 'Curlew', exact: true })).toBeVisible()],
  [
    'aim',
    '/machines/1/aim',
    async (p) => expect(p.getByRole('region', { name: 'This drive' })).toBeVisible(),
  ],
  [
    'ratio',
    '/machines/1/ratio?pick=final~15~43',
    async (p) => expect(p.getByText('now feels like')).toBeVisible(),
  ],
  [
    'ratio of a bicycle',
    '/machines/3/ratio',
    async (p) => expect(p.getByRole('cell', { name: '3.08 m' }).first()).toBeVisible(),
  ],
  ['ratio, overall', '/machines/1/ratio', async (p) => p.getByText('overall, by gear').click()],
  [
    'ratio of two loops',
    '/machines/7/ratio?loops=first!final',
    async (p) => expect(p.getByText('ways into the band')).toBeVisible(),
  ],
  [
    'fit',
    '/machines/7/fit',
    async (p) => expect(p.getByRole('region', { name: 'Chain lengths that reach' })).toBeVisible(),
  ],
  [
    'where things stand',
    '/machines/7/fit',
    async (p) => p.getByRole('button', { name: 'Where things stand' }).click(),
  ],
  [
    'loads of a chain',
    '/machines/1/loads',
    async (p) => expect(p.getByRole('region', { name: 'Margins' })).toBeVisible(),
  ],
  [
    'loads of a belt',
    '/machines/4/loads',
    async (p) => expect(p.getByRole('region', { name: 'Margins' })).toBeVisible(),
  ],
  [
    'check, a stop and a part in hand',
    '/machines/6/check?loops=left-belt',
    async (p) => expect(p.getByRole('region', { name: 'Part in hand' })).toBeVisible(),
  ],
  [
    'a choice of kinds',
    '/machines/1/choice',
    async (p) => expect(p.getByRole('region', { name: 'Outcome' })).toBeVisible(),
  ],
  ['faults', '/faults', async (p) => expect(p.getByRole('region', { name: 'Curlew' })).toBeVisible()],
  [
    'a search for a fault',
    '/faults/2/final',
    async (p) => expect(p.getByRole('region', { name: 'The test in hand' })).toBeVisible(),
  ],
  ['the week', '/week', async (p) => expect(p.getByRole('region', { name: 'Now, or over' })).toBeVisible()],
  [
    'what it brought, told',
    '/machines/1/check?view=brought',
    async (p) => expect(p.getByRole('region', { name: 'What it costs' })).toBeVisible(),
  ],
  [
    'what it brought, a table being read in',
    '/machines/2/check?view=brought',
    async (p) => {
      await p
        .locator('input[type=file]')
        .first()
        .setInputFiles({
          name: 'fills.csv',
          mimeType: 'text/csv',
          buffer: Buffer.from('Datum;Km-Stand;kWh\n01.02.2026;10,5;1,2\n'),
        })
      await p.getByRole('button', { name: 'Try it' }).click()
    },
  ],
  [
    'check, a chain with its record',
    '/machines/1/check',
    async (p) => expect(p.getByRole('region', { name: 'Elongation of the chain' })).toBeVisible(),
  ],
  [
    'check in the bay',
    '/machines/6/check?loops=left-belt',
    async (p) => {
      await p.getByRole('button', { name: 'Bay mode' }).click()
      await expect(p.getByRole('dialog', { name: 'Bay mode' })).toBeVisible()
    },
  ],
  ['something happened', '/', async (p) => p.getByRole('button', { name: 'Something happened …' }).click()],
  [
    'build, begun',
    '/machines/1/build',
    async (p) => expect(p.getByRole('region', { name: 'Step in hand' })).toBeVisible(),
  ],
  [
    'build, a step that tightens',
    '/machines/1/build',
    async (p) => p.getByRole('button', { name: /New tab washer/ }).click(),
  ],
  ['build in the bay', '/machines/1/build', async (p) => p.getByRole('button', { name: 'Bay mode' }).click()],
  [
    'build, not begun',
    '/machines/3/build',
    async (p) => expect(p.getByRole('region', { name: 'The order' })).toBeVisible(),
  ],
  [
    'set',
    '/machines/2/set',
    async (p) => expect(p.getByRole('region', { name: 'How it is set' })).toBeVisible(),
  ],
  [
    'practice with an eccentric',
    '/practice',
    async (p) => {
      await p.getByText('Belt, eccentric').click()
      await p.getByRole('button', { name: 'Begin with one as it was found' }).press('Enter')
      await p.getByRole('button', { name: 'Roll it and read all round' }).press('Enter')
      await expect(p.getByRole('button', { name: 'Keep as found' })).toBeEnabled()
      await expect(p.locator('[data-loading]')).toHaveCount(0)
      await p.waitForTimeout(500)
    },
  ],
  [
    'a set record',
    '/machines/2/set',
    async (p) => {
      await p.getByRole('link', { name: 'record' }).press('Enter')
      await expect(p.getByRole('region', { name: 'As found, as left' })).toBeVisible()
    },
  ],
  [
    'a photo and the right one',
    '/machines/1/jobs/2',
    async (p) => {
      await p.getByRole('button', { name: 'as left' }).press('Enter')
      await expect(p.getByRole('img', { name: 'The run, to scale' })).toBeVisible()
    },
  ],
  [
    'setting a practice drive',
    '/machines/6/set',
    async (p) => {
      // By key: a button under the pointer is looked at half-way between two colours.
      await p.getByRole('button', { name: 'Practise on a simulated drive' }).press('Enter')
      await p.getByRole('button', { name: 'Roll it and read all round' }).press('Enter')
      await expect(p.getByRole('button', { name: 'Read it anew' })).toBeVisible()
      // It fades back from “working”; what it looks like on the way says nothing.
      await expect(p.locator('[data-loading]')).toHaveCount(0)
      await p.waitForTimeout(500)
    },
  ],
  ['stock', '/stock', async (p) => expect(p.getByRole('row').nth(3)).toBeVisible()],
  ['parts', '/stock?list=parts', async (p) => expect(p.getByRole('row').nth(3)).toBeVisible()],
  [
    'how to get a part',
    '/stock?list=parts',
    async (p) => p.getByRole('button', { name: /How to get chain 96/ }).click(),
  ],
  ['add a part', '/stock?list=parts', async (p) => p.getByRole('button', { name: 'Add a part' }).click()],
  ['no such page', '/nowhere', async (p) => expect(p.getByText('There is no such page')).toBeVisible()],
  ['find', '/', async (p) => p.getByRole('button', { name: 'Find' }).click()],
  ['keys', '/', async (p) => p.getByRole('button', { name: 'Keys' }).click()],
  ['begin a job', '/', async (p) => p.getByRole('button', { name: 'Begin a job', exact: true }).click()],
  [
    'a job that goes on',
    '/machines/6/jobs/21',
    async (p) => expect(p.getByRole('region', { name: 'Signature' })).toBeVisible(),
  ],
  [
    'a job that is signed',
    '/machines/1/jobs/1',
    async (p) => expect(p.getByRole('region', { name: 'Signed' })).toBeVisible(),
  ],
  ['jobs', '/machines/1/jobs', async (p) => expect(p.getByText('a cover screw')).toBeVisible()],
  ['add a machine', '/', async (p) => p.getByRole('button', { name: 'Add a machine' }).click()],
  [
    'editor',
    '/machines/1/aim',
    async (p) => p.getByRole('button', { name: 'Edit machine and drive' }).click(),
  ],
  ['history', '/machines/1/ratio', async (p) => p.getByRole('button', { name: /History/ }).click()],
  ['working', '/machines/1/ratio', async (p) => p.getByRole('button', { name: 'show the working' }).click()],
  ['side by side', '/machines/1/ratio', async (p) => p.getByRole('button', { name: 'Side by side' }).click()],
  ['add a wheel', '/stock', async (p) => p.getByRole('button', { name: 'Add a wheel' }).click()],
]

const told = ({ violations }: Awaited<ReturnType<AxeBuilder['analyze']>>) =>
  violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).slice(0, 4)}`)

for (const [name, path, open] of VIEWS)
  test(`axe finds nothing, light and dark: ${name}`, async ({ page }) => {
    await page.emulateMedia({ colorScheme: 'light' })
    await page.goto(path)
    await open(page)
    await page.waitForLoadState('networkidle')
    const isDialog = (await page.getByRole('dialog').count()) > 0
    // What lies behind a dialog is a view of its own, and was looked at there.
    const look = (runOnly: RunOnly) => {
      // The page has no frames: one run in it is all, and only what is wrong is described.
      const axe = new AxeBuilder({ page })
        .setLegacyMode(true)
        .options({ resultTypes: ['violations'], runOnly })
      return (isDialog ? axe.include('[role=dialog]') : axe).analyze()
    }
    const light = await look({ type: 'tag', values: ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'] })
    expect(told(light)).toEqual([])
    // The same page in the dark differs by its colours alone.
    await page.emulateMedia({ colorScheme: 'dark' })
    await expect(page.locator('html')).toHaveAttribute('data-mantine-color-scheme', 'dark')
    expect(told(await look({ type: 'rule', values: ['color-contrast'] }))).toEqual([])
  })
