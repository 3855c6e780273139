import { expect, test, type Page } from '@playwright/test'
import { copyFileSync, mkdtempSync, renameSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import {
  byKeys,
  byMouse,
  card,
  cards,
  down,
  downloadOf,
  expectNoViolations,
  phase,
  playToTheWin,
} from './helpers.ts'

test('a game is built from an empty shelf, won, shipped, and won again from its file by keys alone, offline', async ({
  page,
  context,
}) => {
  test.setTimeout(400_000)
  await page.goto('/')
  // an empty shelf first
  for (const name of ["The Clockmaker's Drawer", 'The Signal Room', 'The Tile Yard'])
    await page.getByRole('button', { name: `Remove ${name}` }).click()
  await expect(page.getByText('The shelf is empty')).toBeVisible()
  await expectNoViolations(page)

  // a new game with a deck of pictures, two of them from a search, and one pair of words
  await page.getByLabel('How many pairs?').fill('3')
  await page.getByRole('button', { name: 'Make it' }).click()
  await expect(page.getByRole('heading', { name: 'Light table' })).toBeVisible()
  await page.getByLabel('Title of the game').fill('Attic evening')
  await page.getByLabel('Title of the game').press('Enter')
  await page.getByRole('button', { name: 'Pictures' }).click()
  await page.getByLabel('Search the pictures').fill('lantern')
  await page.getByRole('button', { name: /red paper lantern/ }).click()
  await page.getByLabel('Search the pictures').fill('wheel')
  await page.getByRole('button', { name: /ferris wheel/ }).click()
  await expectNoViolations(page)
  await page.getByRole('button', { name: 'Add 2 pairs' }).click()
  await page.getByRole('button', { name: 'Words', exact: true }).click()
  await page.getByRole('textbox', { name: 'Words' }).fill('dusk = evening')
  await page.getByRole('button', { name: 'Add 1 pair' }).click()
  await expect(page.getByText('6 pairs', { exact: true })).toBeVisible()

  // the board: 6 pairs on 3 × 4, seen from above
  await page.getByRole('link', { name: 'Deal' }).click()
  await page.getByRole('spinbutton', { name: 'Rows' }).fill('3')
  await page.getByRole('spinbutton', { name: 'Rows' }).press('Enter')
  await page.getByRole('spinbutton', { name: 'Columns' }).fill('4')
  await page.getByRole('spinbutton', { name: 'Columns' }).press('Enter')
  await expect(page.getByText('12 cards, 6 pairs.')).toBeVisible()

  // quicker turns for a quicker test
  await page.getByRole('link', { name: 'Rules', exact: true }).click()
  for (const look of ['Look time of a match', 'Look time of a miss']) {
    await page.getByRole('spinbutton', { name: look }).fill('0.3')
    await page.getByRole('spinbutton', { name: look }).press('Enter')
  }

  // played to the win by reading what the cards show
  const twinOf = (words: string): string => ({ dusk: 'evening', evening: 'dusk' })[words] ?? words
  await page.getByRole('link', { name: 'Play' }).click()
  await expect(cards(page)).toHaveCount(12)
  await playToTheWin(page, byMouse, twinOf)
  await expect(page.getByRole('dialog', { name: 'All pairs found' })).toBeVisible()
  await expect(page.getByText('won', { exact: true })).toBeVisible()

  // shipped, and opened with the network off
  await page.getByRole('link', { name: 'Ship' }).click()
  await expect(page.getByText('Every level can be dealt and won')).toBeVisible()
  const { name, path } = await downloadOf(page, () =>
    page.getByRole('button', { name: 'Download the page' }).click(),
  )
  expect(name).toBe('attic-evening.html')
  const file = join(mkdtempSync(join(tmpdir(), 'shipped-')), name)
  copyFileSync(path, file)
  await context.setOffline(true)
  const shipped = await context.newPage()
  const requests: string[] = []
  const errors: string[] = []
  shipped.on('request', (request) => requests.push(request.url()))
  shipped.on('console', (message) => message.type() === 'error' && errors.push(message.text()))
  await shipped.goto(pathToFileURL(file).href)
  await expect(cards(shipped)).toHaveCount(12)
  // the opening panel has the keyboard, and hands it on to the first card
  await shipped.keyboard.press('Enter')
  await expect(card(shipped, 0)).toBeFocused()
  await playToTheWin(shipped, byKeys(4), twinOf)
  await expect(shipped.getByRole('dialog', { name: 'All pairs found' })).toBeVisible()
  await expect(shipped.getByRole('button', { name: 'Play again' })).toBeFocused()
  await shipped.keyboard.press('Enter')
  await expect(down(shipped)).toHaveCount(12)
  expect(requests.filter((url) => !/^(file|data):/.test(url))).toEqual([])
  expect(errors).toEqual([])
})

/** Presses Tab until the focused element has this name. */
async function tabTo(page: Page, wanted: RegExp): Promise<void> {
  const seen: string[] = []
  for (let i = 0; i < 150; i++) {
    await page.keyboard.press('Tab')
    const name = await page.evaluate(() => {
      const element = document.activeElement as HTMLElement
      return element.getAttribute('aria-label') ?? element.textContent?.trim() ?? ''
    })
    if (wanted.test(name)) return
    seen.push(name)
  }
  throw new Error(`${wanted} was not reached by Tab: ${seen.join(' | ')}`)
}

test('by keys alone: from the shelf over a rule and a game to a kept check and a shipped page', async ({
  page,
}) => {
  await page.goto('/')
  await expect(page.getByRole('article')).toHaveCount(3)
  await tabTo(page, /^Open The Clockmaker/)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Light table' })).toBeVisible()
  await page.keyboard.press('Alt+3')
  await tabTo(page, /^Points of a match$/)
  await page.keyboard.press('ArrowUp')
  await tabTo(page, /^Play$/)
  await page.keyboard.press('Enter')
  await expect(phase(page)).toHaveText('ready')
  await tabTo(page, /^In order$/)
  await page.keyboard.press('Space')
  await expect(phase(page)).toHaveText('ready')
  await tabTo(page, /^A1, face down$/)
  await page.keyboard.press('Enter')
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: /^Turn 1: A1 and B1, a match/ })).toBeVisible()
  await page.keyboard.press(',')
  await expect(card(page, 0)).toHaveAttribute('data-state', 'down')
  await page.keyboard.press('.')
  await tabTo(page, /^Ledger$/)
  await page.keyboard.press('ArrowRight')
  await tabTo(page, /^Keep as a check$/)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('list', { name: 'Checks', exact: true })).toContainText('passes')
  await page.keyboard.press('Alt+6')
  await tabTo(page, /^Download the page$/)
  const { path } = await downloadOf(page, () => page.keyboard.press('Enter'))
  renameSync(path, `${path}.html`)
  await page.goto(pathToFileURL(`${path}.html`).href)
  await expect(cards(page)).not.toHaveCount(0)
})
