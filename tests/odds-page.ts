import { expect, type Page } from '@playwright/test'
import { gameOf } from './helpers.ts'

/** What tests of Odds share. */

/** The games of all minds are done when nothing is being played any more. */
export async function played(page: Page): Promise<void> {
  await expect(page.getByRole('heading', { name: /, 4,000 games a mind$/ })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Again', exact: true })).toBeVisible()
}
export const mindCard = (page: Page, name: string) =>
  page
    .getByRole('list', { name: 'Minds' })
    .getByRole('button', { name: new RegExp(`^${name}`), pressed: undefined })
    .first()
/** A mind's wins in words, as "92 91 to 92". */
export const winsOf = (page: Page, name: string) =>
  page
    .getByRole('term')
    .filter({ hasText: new RegExp(`^${name}$`) })
    .locator('xpath=following-sibling::dd[1]')
export const limit = (page: Page) => page.getByRole('slider', { name: 'Time limit' })
/** The game as it is; the station is opened again afterwards. */
export async function gameNow(page: Page) {
  const game = await gameOf(page)
  await page.getByRole('link', { name: 'Odds', exact: true }).click()
  return game
}
