import type { Page } from '@playwright/test'

/** The step of a plan that is in hand. */

export const card = (page: Page) => page.getByRole('region', { name: 'Step in hand' })
export const done = (page: Page) => card(page).getByRole('button', { name: 'Done', exact: true })
export const stepNow = async (page: Page) =>
  (await card(page)
    .getByText(/^Step \d+ of \d+/)
    .textContent()) ?? ''
