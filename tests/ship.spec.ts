import { expect, type Locator, type Page } from '@playwright/test'
import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gunzipSync } from 'node:zlib'
import {
  begin,
  choose,
  downloadOf,
  expectNoViolations,
  fileOf,
  gameOf,
  openStation,
  type,
} from './helpers.ts'
import { test } from './test.ts'

const DEMO = 'demo/clockmakers-drawer.game.json'
const preview = (page: Page): Locator => page.getByRole('region', { name: 'Preview' })
const said = (page: Page, what: string): Locator => page.getByRole('textbox', { name: what })
const add = (page: Page, language: string): Promise<void> => choose(page, 'Add a language', language)

/** The messages inside a shipped page, by language and key. */
function wordsIn(html: string): Record<string, Record<string, unknown>> {
  const { words } = JSON.parse(/id="lucky-twin-game">([\s\S]*?)<\/script>/.exec(html)![1]!)
  return Object.fromEntries(
    Object.entries(words.lists as Record<string, unknown[]>).map(([language, list]) => [
      language,
      Object.fromEntries((words.keys as string[]).map((key, i) => [key, list[i]])),
    ]),
  )
}

test('a game learns languages and says things its own way; the preview and the page follow, undo takes it back', async ({
  page,
}) => {
  await openStation(page, 'ship')
  await expect(preview(page).getByRole('dialog', { name: "The Clockmaker's Drawer" })).toBeVisible()
  await add(page, 'العربية')
  await said(page, 'won, Deutsch').fill('Alles im Kasten!')
  await said(page, 'won, Deutsch').press('Enter')
  await choose(page, 'Language of the preview', 'Deutsch')
  await preview(page).getByRole('button', { name: 'Los geht’s' }).click()
  await expect(preview(page).getByRole('dialog')).toBeHidden()
  await expect(preview(page).getByRole('button', { name: 'Level wählen' })).toBeVisible()
  await expectNoViolations(page)

  const { path } = await downloadOf(page, () =>
    page.getByRole('button', { name: 'Download the page' }).click(),
  )
  const words = wordsIn(readFileSync(path, 'utf8'))
  expect(Object.keys(words)).toEqual(['en', 'de', 'fr', 'ar'])
  expect([words.de!.won, words.en!.won]).toEqual(['Alles im Kasten!', 'All pairs found'])

  // removed and added again, its texts are still there
  await page.getByRole('button', { name: 'Remove Deutsch' }).click()
  await expect(said(page, 'won, Deutsch')).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).first().click()
  await expect(said(page, 'won, Deutsch')).toHaveValue('Alles im Kasten!')
  // words that are not English are asked about
  const asks = page.getByText('that does not look like English')
  await expect(asks).toHaveCount(0)
  await page.getByLabel('Title of the game').fill('Öse, Säge, Bügel, Schlüssel, Zählwerk, Gehäuse und Hämmer')
  await page.getByLabel('Title of the game').press('Enter')
  await expect(asks).toBeVisible()
  await expectNoViolations(page)
  await page.getByRole('button', { name: 'Deutsch', exact: true }).click()
  await expect(asks).toHaveCount(0)
  await expect.poll(async () => (await gameOf(page)).texts?.languages).toEqual(['de', 'en', 'fr', 'ar'])
})

test('texts and names stand in one table, are found, exported, and imported with the place of what is wrong', async ({
  page,
}) => {
  await openStation(page, 'ship')
  await add(page, 'Polski')
  await page.getByRole('button', { name: 'All texts and names…' }).click()
  const dialog = page.getByRole('dialog', { name: 'Texts and names' })
  await expect(dialog.getByRole('columnheader')).toHaveText([
    'text',
    'English',
    'Deutsch',
    'Français',
    'Polski',
  ])
  await dialog.getByRole('searchbox').fill('{n} lives left.')
  await expect(dialog.getByRole('rowheader')).toHaveText([
    '{n} lives left. (one)',
    '{n} lives left. (few)',
    '{n} lives left. (many)',
    '{n} lives left. (other)',
  ])
  // found by what is said without an own text, too
  await dialog.getByRole('searchbox').fill('diesmal')
  await expect(dialog.getByRole('rowheader')).toHaveText(['lost'])
  await dialog.getByRole('searchbox').fill('opening')
  await expect(dialog.getByRole('textbox', { name: 'opening line, Deutsch' })).toHaveAttribute(
    'placeholder',
    'none',
  )
  await dialog.getByRole('searchbox').fill('{n} lives left.')
  // what nothing can fill in is refused, and the text stays as it was
  const few = dialog.getByRole('textbox', { name: '{n} lives left. (few), Polski' })
  await few.fill('Zostały {m} życia')
  await few.press('Enter')
  await expect(
    page.getByText('Polski: {m} stands for nothing here; what can be filled in is {n}'),
  ).toBeVisible()
  await dialog.getByRole('searchbox').fill('')
  await dialog.getByRole('radiogroup').getByText('Names', { exact: true }).click()
  await dialog.getByRole('textbox', { name: 'level: Warm-up, Polski' }).fill('Rozgrzewka')
  await dialog.getByRole('textbox', { name: 'level: Warm-up, Polski' }).press('Enter')
  await expectNoViolations(page)

  const { path } = await downloadOf(page, () => dialog.getByRole('button', { name: 'Export CSV' }).click())
  const csv = readFileSync(path, 'utf8')
  expect(csv).toContain('levels/warm-up/name,level: Warm-up,Warm-up,,Aufwärmen,Échauffement,Rozgrzewka')
  const bring = (name: string, text: string): Promise<void> =>
    page
      .getByLabel('Texts to import')
      .setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) })
  await bring('wrong.csv', 'id,pl\nsays/victory,Brawo\n')
  await expect(page.getByText('wrong.csv: row 1: "says/victory" is no text of this game')).toBeVisible()
  await bring('right.csv', csv.replace('Rozgrzewka', 'Na rozgrzewkę'))
  await expect(dialog.getByRole('textbox', { name: 'level: Warm-up, Polski' })).toHaveValue('Na rozgrzewkę')
  await page.keyboard.press('Escape')
  await expect(dialog).toBeHidden()
  await expect
    .poll(async () => (await gameOf(page)).texts?.own.pl)
    .toEqual({
      levels: { 'warm-up': { name: 'Na rozgrzewkę' } },
    })
})

test('text from an author never runs: markup is shown as it is typed', async ({ page }) => {
  await openStation(page, 'ship')
  const markup = '<img src=x onerror="window.ran=1"><script>window.ran=1</script>'
  await said(page, 'how to play, English').fill(markup)
  await said(page, 'how to play, English').press('Enter')
  await page.getByRole('textbox', { name: 'Credits of your own, a line each' }).fill(markup)
  await page.getByRole('textbox', { name: 'Credits of your own, a line each' }).blur()
  await expect(preview(page).getByText(markup)).toBeVisible()
  const { path } = await downloadOf(page, () =>
    page.getByRole('button', { name: 'Download the page' }).click(),
  )
  const requests: string[] = []
  const shipped = await page.context().newPage()
  shipped.on('request', ({ url }) => requests.push(url()))
  await shipped.setContent(readFileSync(path, 'utf8'))
  await expect(shipped.getByText(markup)).toBeVisible()
  await shipped.getByRole('button', { name: 'Credits' }).click()
  await expect(shipped.getByText(markup)).toBeVisible()
  expect(await shipped.evaluate(() => 'ran' in window)).toBe(false)
  expect(requests.filter((url) => !/^(data|about):/.test(url))).toEqual([])
})

test('where it is going is kept, by keys too, and each place has its own file', async ({ page }) => {
  await openStation(page, 'ship')
  await expect(page.getByRole('radio', { name: /^One page \d+ kB/ })).toBeChecked()
  await page.getByRole('radio', { name: /^One page/ }).focus()
  for (const [name, made] of [
    ['A site', /^A site \d+ kB/],
    ['Paper', /^Paper 6 sheets/],
    ['A page of mine', /^A page of mine \d+ kB/],
  ] as const) {
    await page.keyboard.press('ArrowDown')
    await expect(page.getByRole('heading', { name, exact: true })).toBeVisible()
    await expect(page.getByRole('radio', { name: made })).toBeChecked()
  }
  await expect(page.getByLabel('Lines to paste')).toContainText(
    'src="the-clockmakers-drawer.html?host=https://example.org',
  )
  await expectNoViolations(page)
  await page.reload()
  await expect(page.getByRole('radio', { name: /^A page of mine/ })).toBeChecked()
  await expect(page.getByLabel('Lines to paste')).toContainText('width="400" height="700"')
  // cards of one size may need a larger frame
  await page.getByRole('link', { name: 'Deal', exact: true }).click()
  await page.getByRole('link', { name: /^Bench/ }).click()
  await choose(page, 'Size of the cards', 'of one size')
  await type(page, 'Width of a card', '150')
  await page.getByRole('link', { name: 'Ship', exact: true }).click()
  await expect(page.getByText('Cards of one size do not fit a frame of 400 × 700 on Bench')).toBeVisible()
  await expect(page.getByLabel('Lines to paste')).not.toContainText('width="400"')
  await page.getByText('My program, in JavaScript').click()
  await expectNoViolations(page)
  const pack = await downloadOf(page, () => page.getByRole('button', { name: 'Download the module' }).click())
  expect(pack.name).toBe('lucky-twin-engine.tgz')
  // the very package that the command line writes, which is installed and used in engine.spec.ts
  const written = join(mkdtempSync(join(tmpdir(), 'ship-')), 'engine.tgz')
  execFileSync(
    process.execPath,
    ['scripts/lucky-twin.mjs', 'ship', DEMO, '--as', 'engine', '--to', written],
    {
      stdio: 'pipe',
    },
  )
  expect(gunzipSync(readFileSync(pack.path)).equals(gunzipSync(readFileSync(written)))).toBe(true)
  await page.getByRole('radiogroup', { name: 'Where is it going?' }).getByText('The game file').click()
  const { name } = await downloadOf(page, () =>
    page.getByRole('button', { name: 'Download the game file' }).click(),
  )
  expect(name).toBe('the-clockmakers-drawer.game.json')
  await expect(page.getByRole('radio', { name: /^The game file \d+ kB/ })).toBeChecked()
})

test('what stops a game is mended in one press, and then it leaves; the rules and the game file always do', async ({
  page,
}) => {
  const game = JSON.parse(readFileSync(DEMO, 'utf8'))
  Object.assign(game, { id: 'odd', title: 'Odd' })
  Object.assign(game.levels[1], { board: { rows: 3, columns: 3 } })
  await page.goto('/')
  await page
    .getByLabel('Game files')
    .setInputFiles(fileOf('odd.game.json', JSON.stringify(game), 'application/json'))
  await expect(page.getByRole('heading', { name: 'Odd' })).toBeVisible()
  await openStation(page, 'ship', 'odd')
  const press = (name: string): Locator => page.getByRole('button', { name, exact: true })
  await expect(page.getByText('Fix the problems below first.')).toBeVisible()
  await expect(press('Download the page')).toBeDisabled()
  for (const [place, label] of [
    ['A site', 'Download the site'],
    ['Paper', 'Print…'],
    ['A project to go on with', 'Download the project'],
    ['Any other engine', 'Make the kit'],
  ] as const) {
    await page.getByText(place, { exact: true }).click()
    await expect(press(label)).toBeDisabled()
  }
  await page.getByText('My program, in JavaScript').click()
  await expect(press('Download the module')).toBeEnabled()
  await page.getByRole('radiogroup', { name: 'Where is it going?' }).getByText('The game file').click()
  await expect(press('Download the game file')).toBeEnabled()
  await page.getByText('A site', { exact: true }).click()
  await expectNoViolations(page)
  await press('Leave B2 empty').click()
  await expect(page.getByText('Fix the problems below first.')).toBeHidden()
  await expect(press('Download the site')).toBeEnabled()
})

test('the preview is a phone upright and sideways, a tablet and a page, and plays', async ({ page }) => {
  await openStation(page, 'ship')
  for (const [screen, width] of [
    ['sideways', 780],
    ['tablet', 768],
    ['page', 1280],
    ['phone', 360],
  ] as const) {
    await preview(page).getByText(screen, { exact: true }).click()
    await expect
      .poll(() =>
        preview(page)
          .getByRole('region')
          .first()
          .evaluate((one: HTMLElement) => one.offsetWidth),
      )
      .toBe(width)
  }
  await begin(page)
  await expect(preview(page).getByRole('grid')).toBeVisible()
})
