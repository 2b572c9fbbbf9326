import { expect, type Page, test } from './server'

const card = (page: Page) => page.getByRole('region', { name: 'You decide' })
const result = (page: Page) => page.getByRole('region', { name: 'What it was' })

async function readAndKeep(page: Page) {
  await page.getByRole('button', { name: 'Roll it and read all round' }).click()
  await page.getByRole('button', { name: /^Keep (as found|this round)/ }).click()
  await expect(page.getByRole('button', { name: 'Read it anew' })).toHaveCount(0)
}

test('whoever practises decides first; then the drive is revealed and the decisions are scored', async ({
  page,
}) => {
  await page.goto('/practice')
  await page.getByText('Chain, two screws').click()
  await page.getByRole('button', { name: 'Begin with one as it was found' }).click()
  await expect(card(page)).toContainText('Read it as found')
  await readAndKeep(page)
  // Nothing is told before it is decided, and nothing is read before that.
  await expect(card(page)).toContainText('What would you do now?')
  await expect(page.getByText(/adjuster .* (anti)?clockwise/)).toHaveCount(0)
  await expect(page.getByRole('region', { name: 'Tracking' })).not.toContainText(/[↻↺]/)
  await expect(page.getByRole('button', { name: 'Roll it and read all round' })).toHaveCount(0)
  await page.getByRole('button', { name: 'It is so' }).first().click()
  await card(page).getByLabel('Left, turned').fill('4')
  await card(page).getByLabel('Right, turned').fill('4')
  await card(page).getByRole('button', { name: 'That is what I do' }).click()
  await expect(card(page)).toContainText('You: left +4, right +4')
  await expect(card(page)).toContainText(/The advisor: (Left|Right) adjuster|The advisor: .*touched/)
  await readAndKeep(page)
  await card(page).getByText('it is right', { exact: true }).click()
  await card(page).getByRole('button', { name: 'That is what I do' }).click()
  await expect(result(page).getByRole('status')).toContainText('It is not right yet')
  const row = (name: string) => result(page).getByRole('row', { name })
  await expect(row('rounds of turning').getByRole('cell').first()).toHaveText('1')
  await expect(row('turned in all').getByRole('cell').first()).toHaveText('8 turns')
  await expect(row('stands right').getByRole('cell').nth(1)).toHaveText('yes')
  await expect(result(page)).toContainText('really at the loosest')
  await result(page).getByRole('button', { name: 'working' }).click()
  await expect(page.getByRole('dialog')).toContainText('Tight place of the simulated drive')
  await page.keyboard.press('Escape')
  await result(page).getByRole('button', { name: 'Another one' }).click()
  await expect(page.getByRole('button', { name: 'Begin with one as it was found' })).toBeVisible()
})

test('by keys alone, told from the first round on, and no bay before that', async ({ page }) => {
  await page.goto('/practice')
  await page.getByRole('button', { name: 'Begin with one as it was found' }).press('Enter')
  await page.keyboard.press('b')
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await expect(page.getByRole('button', { name: 'Bay mode' })).toHaveAttribute('aria-disabled', 'true')
  await page
    .getByRole('radiogroup', { name: 'Who says what to do next' })
    .getByRole('radio')
    .first()
    .press('ArrowRight')
  await expect(page.getByRole('region', { name: 'Do this next' })).toContainText('Read it as found')
  await page.keyboard.press('b')
  await expect(page.getByRole('dialog')).toBeVisible()
})
