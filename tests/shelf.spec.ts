import { expect, type Locator, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { strToU8, unzipSync, zipSync, strFromU8 } from 'fflate'
import {
  card,
  choose,
  down,
  downloadOf,
  expectNoViolations,
  fileOf,
  openStation,
  pressButton,
  tile,
  tiles,
} from './helpers.ts'
import { test } from './test.ts'

const box = (page: Page, title: string): Locator => page.getByRole('heading', { name: title, exact: true })
const saved = (page: Page) => expect(page.getByText('saved ✓')).toBeVisible()
/** Chooses one of the actions for the whole shelf. */
async function act(page: Page, name: string | RegExp): Promise<void> {
  await pressButton(page, 'The shelf')
  await page.getByRole('menuitem', { name }).click()
}
async function backedUp(page: Page): Promise<Uint8Array> {
  const { name, path } = await downloadOf(page, () => act(page, 'Back up all…'))
  expect(name).toMatch(/^lucky-twin-\d{4}-\d\d-\d\d\.backup\.zip$/)
  return readFileSync(path)
}
const restoreFrom = (page: Page, bytes: Uint8Array): Promise<void> =>
  page
    .getByLabel('Backup file')
    .setInputFiles(fileOf('shelf.backup.zip', Buffer.from(bytes), 'application/zip'))

test('undo and redo go on after a reload and a visit to the shelf', async ({ page }) => {
  await openStation(page, 'deck')
  await tile(page, 'Cog').click()
  await page.keyboard.press('Delete')
  await tile(page, 'Bell').click()
  await page.keyboard.press('Delete')
  await tile(page, 'Loupe').click()
  await page.keyboard.press('Delete')
  await expect(tiles(page)).toHaveCount(21)
  await page.keyboard.press('Control+z')
  await expect(tiles(page)).toHaveCount(22)
  await saved(page)
  await page.reload()
  await expect(tiles(page)).toHaveCount(22)
  const undo = page.getByRole('button', { name: 'Undo', exact: true })
  const redo = page.getByRole('button', { name: /^(Redo|Do it again)/ })
  await undo.click()
  await expect(tile(page, 'Bell')).toBeVisible()
  await saved(page)
  await page.goto('/')
  await page.getByRole('link', { name: "Open The Clockmaker's Drawer" }).click()
  await undo.click()
  await expect(tiles(page)).toHaveCount(24)
  await expect(tile(page, 'Cog')).toBeVisible()
  await expect(undo).toBeDisabled()
  for (const count of [23, 22, 21]) {
    await redo.click()
    await expect(tiles(page)).toHaveCount(count)
  }
  await expect(redo).toBeDisabled()
})

test('a removed game waits in the bin, and is taken back with its history', async ({ page }) => {
  await openStation(page, 'deck')
  await tile(page, 'Cog').click()
  await page.keyboard.press('Delete')
  await saved(page)
  await page.goto('/')
  await pressButton(page, "Remove The Clockmaker's Drawer")
  await expect(box(page, "The Clockmaker's Drawer")).toBeHidden()
  await page.reload()
  await expect(box(page, 'The Tile Yard')).toBeVisible()
  await expect(box(page, "The Clockmaker's Drawer")).toBeHidden()
  await page.goto('/games/clockmakers-drawer/deck')
  await expect(page.getByRole('heading', { name: 'This game is not on the shelf' })).toBeVisible()
  await page.goto('/')
  await act(page, 'The bin, 1 game')
  const bin = page.getByRole('dialog', { name: 'The bin' })
  await expect(bin.getByRole('listitem')).toContainText('30 days left')
  await expectNoViolations(page)
  await bin.getByRole('button', { name: "Restore The Clockmaker's Drawer" }).click()
  await expect(bin.getByText('The bin is empty.')).toBeVisible()
  await bin.getByRole('button', { name: 'Done' }).click()
  await page.getByRole('link', { name: "Open The Clockmaker's Drawer" }).click()
  await expect(tiles(page)).toHaveCount(23)
  await page.keyboard.press('Control+z')
  await expect(tile(page, 'Cog')).toBeVisible()
})

test('what is deleted for good is asked about; demo games can be put back', async ({ page }) => {
  await page.goto('/')
  await pressButton(page, 'Remove The Tile Yard')
  await expect(box(page, 'The Tile Yard')).toBeHidden()
  await act(page, /^The bin/)
  const bin = page.getByRole('dialog', { name: 'The bin' })
  await bin.getByRole('button', { name: 'Empty the bin' }).click()
  await expect(bin.getByRole('alert')).toContainText('"The Tile Yard" cannot be restored after this.')
  await bin.getByRole('button', { name: 'Keep' }).click()
  await expect(bin.getByRole('listitem')).toHaveCount(1)
  await bin.getByRole('button', { name: 'Empty the bin' }).click()
  await bin.getByRole('button', { name: 'Delete for good', exact: true }).click()
  await expect(bin.getByText('The bin is empty.')).toBeVisible()
  await bin.getByRole('button', { name: 'Done' }).click()
  await act(page, 'Put the demo games back')
  await expect(page.getByText('1 game put back')).toBeVisible()
  await expect(box(page, 'The Tile Yard')).toBeVisible()
  await act(page, 'Put the demo games back')
  await expect(page.getByText('All demo games are on the shelf')).toBeVisible()
})

test('a backup of everything is restored: added, replaced, left as it is, as it is chosen', async ({
  page,
}) => {
  await page.goto('/')
  await pressButton(page, 'Remove The Signal Room')
  const bytes = await backedUp(page)
  // one game changed, one gone for good, one as it was
  await openStation(page, 'deck')
  await tile(page, 'Cog').click()
  await page.keyboard.press('Delete')
  await saved(page)
  await page.goto('/')
  await act(page, /^The bin/)
  await page.getByRole('button', { name: 'Delete The Signal Room for good' }).click()
  await page.getByRole('button', { name: 'Delete for good', exact: true }).click()
  await page.getByRole('button', { name: 'Done' }).click()

  await restoreFrom(page, bytes)
  const dialog = page.getByRole('dialog', { name: 'Restore a backup' })
  const row = (name: string): Locator => dialog.getByRole('listitem').filter({ hasText: name })
  await expect(row("The Clockmaker's Drawer")).toContainText('here it was changed last on')
  await expect(row('The Signal Room')).toContainText('new, in the bin')
  await expect(row('The Tile Yard')).toContainText('the same as here')
  await expectNoViolations(page)
  await dialog.getByRole('button', { name: 'Restore 2 games' }).click()
  await expect(page.getByText('2 games restored')).toBeVisible()
  // the replaced game is in the bin beside the one that came back there
  await act(page, 'The bin, 2 games')
  const bin = page.getByRole('dialog', { name: 'The bin' })
  await expect(bin.getByRole('listitem')).toContainText(["The Clockmaker's Drawer", 'The Signal Room'])
  await bin.getByRole('button', { name: 'Done' }).click()
  await page.getByRole('link', { name: "Open The Clockmaker's Drawer" }).click()
  await expect(tiles(page)).toHaveCount(24)
  await page.goto('/')

  await restoreFrom(page, bytes)
  await choose(page, 'What happens to The Tile Yard', 'add it as a copy')
  await dialog.getByRole('button', { name: /^Restore/ }).click()
  await expect(box(page, 'The Tile Yard')).toHaveCount(2)
})

test('a backup that is opened before the shelf is read is compared with it all the same', async ({
  page,
  context,
}) => {
  await page.goto('/')
  await expect(box(page, 'The Tile Yard')).toBeVisible()
  const bytes = await backedUp(page)
  const other = await context.newPage()
  await other.goto('/LICENSE.txt')
  await page.goto('about:blank')
  // nobody reads while somebody writes, in another tab too
  const end = await other.evaluateHandle(async () => {
    const opening = indexedDB.open('lucky-twin')
    await new Promise((resolve) => (opening.onsuccess = resolve))
    const writing = opening.result.transaction([...opening.result.objectStoreNames], 'readwrite')
    let isOver = false
    const goOn = (): void => {
      if (!isOver) writing.objectStore('games').count().onsuccess = goOn
    }
    goOn()
    return () => (isOver = true)
  })
  await page.goto('/')
  const read = page.waitForEvent('worker')
  await restoreFrom(page, bytes)
  await (await read).waitForEvent('close')
  await end.evaluate((over) => over())
  const dialog = page.getByRole('dialog', { name: 'Restore a backup' })
  await expect(dialog.getByText('the same as here')).toHaveCount(3)
  await expect(dialog.getByRole('button', { name: 'Nothing to restore' })).toBeVisible()
})

test('a backup that is broken says what, changes nothing, and gives what can be read', async ({ page }) => {
  await page.goto('/')
  await expect(box(page, 'The Tile Yard')).toBeVisible()
  const bytes = await backedUp(page)
  await restoreFrom(page, bytes.slice(0, bytes.length / 2))
  await expect(page.getByText('shelf.backup.zip: this backup is cut off, or is not a zip')).toBeVisible()
  const files = unzipSync(bytes)
  const changed = (file: string, from: string, to: string): Uint8Array =>
    zipSync({ ...files, [file]: strToU8(strFromU8(files[file]!).replace(from, to)) })
  await restoreFrom(page, changed('backup.json', '"version": 1', '"version": 7'))
  await expect(page.getByText(/backup.json, version: 7 is newer than this Lucky Twin reads/)).toBeVisible()
  await restoreFrom(page, changed('games/2.game.json', '"rows": 4', '"rows": 400'))
  const dialog = page.getByRole('dialog', { name: 'Restore a backup' })
  await expect(dialog.getByRole('listitem')).toHaveCount(3)
  await expect(dialog.getByText('cannot be read')).toHaveCount(1)
  await expect(dialog.getByText(/rows/)).toBeVisible()
  await dialog.getByRole('button', { name: 'Cancel' }).click()
  await page.reload()
  await expect(page.getByRole('article')).toHaveCount(3)
})

/** Many games, the first of them too long in the bin, with settings that cannot be read. */
function manyGames(count: number): Uint8Array {
  const file = strToU8(readFileSync('demo/clockmakers-drawer.game.json', 'utf8'))
  const games = Array.from({ length: count }, (_, i) => ({
    file: `games/${i}.game.json`,
    title: `Drawer ${i}`,
    key: `drawer-${i}`,
    touched: 1000 + i,
    ...(i === 0 ? { removed: 5000 } : {}),
  }))
  const list = {
    format: 'lucky-twin/backup',
    version: 1,
    made: '2026-11-27T12:00:00.000Z',
    games,
    settings: {
      'lucky-twin.lent': 'x'.repeat(30_000),
      'lucky-twin.paper': 'null',
      'lucky-twin.odds-by': '{}',
    },
  }
  const entries = games.map(({ file: name }): [string, Uint8Array] => [name, file])
  return zipSync({ 'backup.json': strToU8(JSON.stringify(list)), ...Object.fromEntries(entries) })
}
test('many games come back at once, or none after a cancel; no setting keeps them away', async ({ page }) => {
  await page.goto('/')
  // so many that there is time to press Cancel
  await restoreFrom(page, manyGames(60))
  const dialog = page.getByRole('dialog', { name: 'Restore a backup' })
  await expect(dialog).toContainText(
    'Settings of the studio that cannot be read are left out: lucky-twin.lent.',
  )
  await expect(dialog.getByRole('listitem').first()).toContainText(
    'more than 30 days, and comes back to the shelf',
  )
  const restore = dialog.getByRole('button', { name: 'Restore 60 games' })
  await restore.click()
  await expect(dialog.getByRole('progressbar', { name: 'Restoring games' })).toBeVisible()
  await dialog.getByRole('button', { name: 'Cancel' }).click()
  await expect(restore).toBeEnabled()
  await expect(page.getByRole('article')).toHaveCount(3)
  await restore.click()
  await expect(page.getByText('60 games restored')).toBeVisible()
  await expect(page.getByRole('article')).toHaveCount(63)
  // the settings that came along are not what they are for, and their stations open all the same
  for (const [station, shows] of [
    ['odds', 'Everyday'],
    ['ship', 'Where is it going?'],
  ] as const) {
    await page.goto(`/games/drawer-0/${station}`)
    await expect(page.getByText(shows).first()).toBeVisible()
  }
})

test('more than eight games can be searched and sorted', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('article')).toHaveCount(3)
  await expect(page.getByLabel('Search the shelf')).toHaveCount(0)
  const game = JSON.parse(readFileSync('demo/signal-room.game.json', 'utf8'))
  const files = ['Zinc', 'Brass 10', 'Brass 9', 'Amber', 'Copper', 'Steel'].map((title) =>
    fileOf(
      `${title}.game.json`,
      JSON.stringify({ ...game, title, id: title.toLowerCase().replace(' ', '-') }),
    ),
  )
  await page.getByLabel('Game files').setInputFiles(files)
  await expect(page.getByRole('article')).toHaveCount(9)
  const titles = page.getByRole('article').getByRole('heading', { level: 2 })
  await choose(page, 'Order', 'by title')
  await expect(titles).toHaveText([
    'Amber',
    'Brass 9',
    'Brass 10',
    'Copper',
    'Steel',
    "The Clockmaker's Drawer",
    'The Signal Room',
    'The Tile Yard',
    'Zinc',
  ])
  await expectNoViolations(page)
  await page.getByLabel('Search the shelf').fill('brass')
  await expect(titles).toHaveText(['Brass 9', 'Brass 10'])
  await expect(page.getByText('2 of 9')).toBeVisible()
  await page.getByLabel('Search the shelf').fill('nothing of the kind')
  await expect(titles).toHaveCount(0)
  await page.getByRole('button', { name: 'Show all games' }).click()
  await expect(titles).toHaveCount(9)
  // the order is kept for the next visit
  await page.reload()
  await expect(titles.first()).toHaveText('Amber')
})

test('under four games there are ways to begin, one press from a game that is played', async ({ page }) => {
  await page.goto('/')
  const ways = page.getByRole('region', { name: 'Ways to begin' })
  await expect(ways.getByRole('heading', { level: 3 })).toHaveText([
    'A quick family game',
    'A timed ladder',
    'Two at one table',
    'Words and meanings',
  ])
  await ways.getByRole('button', { name: 'Begin with Two at one table' }).click()
  await expect(page).toHaveURL(/\/games\/two-at-one-table\/play/)
  await expect(down(page)).toHaveCount(20)
  await card(page, 0).click()
  await card(page, 1).click()
  await page.getByRole('link', { name: 'The shelf' }).click()
  await expect(page.getByRole('article')).toHaveCount(4)
  await expect(ways).toHaveCount(0)
})
