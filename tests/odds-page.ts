import { expect, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { putGames } from '../scripts/tools/put-games.mjs'
import { storedGame } from '../scripts/tools/stored-game.ts'
import { gameOf, openStation } from './helpers.ts'

/** What tests of Odds share. */

/**
 * Opens Odds on one of these levels of the clockmaker's game, which has only them, so that no others are played:
 * thousands of games each.
 */
export async function openOdds(page: Page, level: string, levels: readonly string[]): Promise<void> {
  const game = JSON.parse(readFileSync('demo/clockmakers-drawer.game.json', 'utf8'))
  game.levels = game.levels.filter(({ id }: { id: string }) => levels.includes(id))
  await putGames(page, '', [storedGame(game)])
  await openStation(page, `odds/${level}`)
}

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
