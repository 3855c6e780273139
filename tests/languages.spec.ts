import { expect, type Page } from '@playwright/test'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { LANGUAGES, type Language } from '../src/core/texts/languages.ts'
import { messagesIn } from '../src/core/texts/ready.ts'
import { newSpeech } from '../src/core/texts/speech.ts'
import { card, cards, expectNoViolations } from './helpers.ts'
import { luckyTwin } from './lucky-twin.ts'
import { test } from './test.ts'

// opens pages from files
test.use({ own: true })

const DEMO = 'demo/clockmakers-drawer.game.json'

/** The demo game, changed and shipped. */
async function shipped(change: (game: any) => void): Promise<{ url: string; game: string }> {
  const folder = mkdtempSync(join(tmpdir(), 'languages-'))
  const game = join(folder, 'game.game.json')
  const file = JSON.parse(readFileSync(DEMO, 'utf8'))
  change(file)
  writeFileSync(game, JSON.stringify(file))
  await luckyTwin('ship', game, '--to', join(folder, 'game.html'))
  return { url: pathToFileURL(join(folder, 'game.html')).href, game }
}
const dealt = async (game: string, level: string, seed: string): Promise<(string | null)[]> =>
  JSON.parse(await luckyTwin('deal', game, '--level', level, '--seed', seed)).cells

/** Texts of the player that run over the page, over their button or their figure, or into the text beside them. */
const misfits = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const found: string[] = []
    const root = document.querySelector('.lt-player')!
    const walker = document.createTreeWalker(root, NodeFilter.SHOW_TEXT)
    const boxes: { text: string; rect: DOMRect }[] = []
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const parent = node.parentElement!
      if (!node.textContent!.trim() || !parent.checkVisibility() || parent.closest('.lt-hidden, .lt-card'))
        continue
      const range = document.createRange()
      range.selectNodeContents(node)
      const rect = range.getBoundingClientRect()
      if (rect.width === 0) continue
      // where there is no room for it, the place among the levels lies below its line and is not seen
      if (rect.top >= (parent.closest('.lt-level-row')?.getBoundingClientRect().bottom ?? Infinity)) continue
      const text = node.textContent!.trim()
      if (rect.left < -0.5 || rect.right > innerWidth + 0.5) found.push(`over the page: ${text}`)
      const scrolls = parent.closest('.lt-panel') && !parent.closest('button')
      for (const selector of ['button', '.lt-figure', '.lt-panel', '.lt-head']) {
        const around = parent.closest(selector)?.getBoundingClientRect()
        if (!around) continue
        if (rect.left < around.left - 0.5 || rect.right > around.right + 0.5)
          found.push(`cut at the side: ${text}`)
        if (
          !scrolls &&
          selector !== '.lt-panel' &&
          (rect.top < around.top - 1 || rect.bottom > around.bottom + 1)
        )
          found.push(`cut above or below: ${text}`)
      }
      for (let one: Element | null = parent; one && one !== root; one = one.parentElement)
        if (getComputedStyle(one).overflowX === 'hidden' && one.scrollWidth > one.clientWidth + 1)
          found.push(`hidden in part: ${text}`)
      if (parent.closest('.lt-head')) boxes.push({ text, rect })
    }
    for (const [i, one] of boxes.entries())
      for (const other of boxes.slice(i + 1)) {
        const across = Math.min(one.rect.right, other.rect.right) - Math.max(one.rect.left, other.rect.left)
        const down = Math.min(one.rect.bottom, other.rect.bottom) - Math.max(one.rect.top, other.rect.top)
        if (across > 1 && down > 1) found.push(`${one.text} over ${other.text}`)
      }
    return found
  })

const speechIn = async (language: Language) => newSpeech(language, (await messagesIn([language]))[language]!)

test.describe('on the smallest phone', () => {
  test.beforeEach(({ page }) => page.setViewportSize({ width: 320, height: 568 }))

  let url: string
  let cells: (string | null)[]
  test.beforeAll(async () => {
    const page = await shipped((file) => {
      file.texts = { languages: LANGUAGES, own: {} }
      file.house.limits = { lives: 1, livesLostOn: 'miss', turns: 40 }
      Object.assign(file.house.turn, { onMiss: 'press', matchLook: 100 })
      file.house.finish.wait = 100
      Object.assign(file.levels[0], {
        board: { rows: 3, columns: 4 },
        turn: { firstLook: 1100 },
        clock: { mode: 'down', limit: 600_000 },
      })
      file.levels[1] = {
        id: 'two',
        name: 'Two',
        board: { rows: 1, columns: 2, gaps: [] },
        head: { figures: ['time-used', 'flips', 'pairs-left', 'streak', 'best'] },
      }
    })
    url = page.url
    cells = await dealt(page.game, 'warm-up', 'a')
  })

  test('what is too long is found', async ({ page }) => {
    const long = 'Donaudampfschifffahrtsgesellschaft'
    const wide = await shipped((file) => {
      file.texts = { languages: ['de'], own: { de: { says: { turns: `${long}${long}`, begin: long } } } }
    })
    await page.goto(wide.url)
    await expect(page.getByRole('dialog')).toBeVisible()
    const found = (await misfits(page)).join()
    expect(found).toContain(`cut at the side: ${long}`)
    expect(found).toContain(`over the page: ${long}`)
  })

  for (const [name, room] of [
    ['Oben', true],
    ['Obere Schublade', false],
  ] as const)
    test(`beside "${name}" its place among the levels is ${room ? 'whole' : 'not shown in part'}`, async ({
      page,
    }) => {
      const named = await shipped((file) => {
        file.levels[0].name = name
        file.texts = { languages: ['de'], own: {} }
      })
      await page.goto(named.url)
      await expect(page.getByText(name, { exact: true })).toBeInViewport({ ratio: 1 })
      const place = page.getByText('1 von 4', { exact: true })
      if (room) await expect(place).toBeInViewport({ ratio: 1 })
      else await expect(place).not.toBeInViewport()
    })

  /** A walk through every panel of a game in one language; no text of it is cut or runs over. */
  async function walkThrough(page: Page, language: Language): Promise<void> {
    const { say, direction } = await speechIn(language)
    const fits = async (): Promise<void> => expect(await misfits(page)).toEqual([])
    const press = (name: string): Promise<void> => page.getByRole('button', { name, exact: true }).click()
    await page.goto(`${url}?lang=${language}`)
    expect(await page.evaluate(() => [document.documentElement.lang, document.documentElement.dir])).toEqual([
      language,
      direction,
    ])
    await expect(page.getByText(say('playTwins'))).toBeVisible()
    await fits()
    await press(say('begin'))
    await fits()
    await press(say('pause'))
    await expect(page.getByRole('dialog', { name: say('paused') })).toBeVisible()
    await fits()
    await press(say('language'))
    await fits()
    await press(say('close'))
    await press(say('credits'))
    await fits()
    await press(say('close'))
    await press(say('goOn'))
    await press(say('levels'))
    await fits()
    await page.getByRole('button', { name: /^Two/ }).click()
    await card(page, 0).click()
    await fits()
    await card(page, 1).click()
    await expect(page.getByText(say('luckyPair'))).toBeVisible()
    await fits()
    await expect(page.getByRole('dialog', { name: say('won') })).toBeVisible()
    await fits()
    // a miss loses the only life, and says so in the longest words
    await page.goto(`${url}?lang=${language}&level=warm-up&seed=a`)
    await expect(page.getByText(say('lookWell'))).toHaveCount(0)
    await card(page, 0).click()
    await card(
      page,
      cells.findIndex((name) => name !== cells[0]),
    ).click()
    await expect(page.getByRole('dialog', { name: say('lost') })).toBeVisible()
    await fits()
    await page.evaluate(() => localStorage.clear())
  }
  for (const [i, which] of ['first', 'other'].entries())
    test(`no text is cut or runs over, in the ${which} half of the languages`, async ({ page }) => {
      for (const language of LANGUAGES.filter((_, at) => at % 2 === i))
        await test.step(language, () => walkThrough(page, language))
    })
})

test('the player sees the language of the browser, another by the address or the menu; a game that is played goes on in it', async ({
  page,
}) => {
  const { url } = await shipped((file) => {
    file.texts = {
      languages: ['de', 'en'],
      own: {
        de: { says: { won: 'Der Kasten ist voll!' } },
        en: { title: 'The Drawer', levels: { 'warm-up': { name: 'First steps' } } },
      },
    }
    file.title = 'Der Kasten'
  })
  // while another page of files is open, the browser holds what they keep: when the last one is left, it may write that
  // down too late for the next
  const other = await page.context().newPage()
  await other.goto(url)
  // the browser of the tests reads American English
  await page.goto(url)
  const opening = page.getByRole('dialog', { name: 'The Drawer' })
  await expect(opening).toBeVisible()
  // a name says which language it is in, where that is not the page's
  await expect(opening.getByText('The Drawer', { exact: true })).toHaveAttribute('lang', 'en')
  await opening.getByRole('button', { name: 'Choose a level' }).click()
  for (const [name, language] of [
    ['First steps', 'en'],
    ['Top drawer', 'de'],
  ] as const)
    await expect(
      page.getByRole('dialog', { name: 'Levels' }).getByText(name, { exact: true }),
    ).toHaveAttribute('lang', language)
  await page.goto(`${url}?lang=de`)
  await expect(page).toHaveTitle('Der Kasten')
  await page.getByRole('button', { name: 'Los geht’s' }).click()
  await card(page, 0).click()
  const face = (await card(page, 0).getAttribute('aria-label'))!
  await page.getByRole('button', { name: 'Pause' }).click()
  await page.getByRole('button', { name: 'Sprache' }).click()
  await expect(page.getByRole('button', { name: 'Deutsch' })).toHaveAttribute('aria-current', 'true')
  await page.getByRole('button', { name: 'English' }).click()
  await expect(page.getByRole('dialog', { name: 'Paused' })).toBeVisible()
  await expect(page).toHaveTitle('The Drawer')
  await page.getByRole('button', { name: 'Go on' }).click()
  await expect(card(page, 0)).toHaveAttribute('aria-label', face)
  await expect(page.getByRole('grid', { name: /^First steps/ })).toBeVisible()
  // the game is known at the next visit; away in between, since a page may be read before the one in its place is left
  await page.goto('about:blank')
  await page.goto(url)
  await expect(page.getByRole('dialog', { name: 'Paused' })).toBeVisible()
  // and so is a language that is not the browser's
  await page.getByRole('button', { name: 'Language' }).click()
  await page.getByRole('button', { name: 'Deutsch' }).click()
  await expect(page).toHaveTitle('Der Kasten')
  await page.goto('about:blank')
  await page.goto(url)
  await expect(page).toHaveTitle('Der Kasten')
})

/** What the live region said in a whole game of two pairs, and the name of the panel at its end. */
async function heard(page: Page, url: string, game: string, language: Language): Promise<string[]> {
  const { say } = await speechIn(language)
  await page.goto(`${url}?lang=${language}&seed=a`)
  const cells = await dealt(game, 'warm-up', 'a')
  const words: string[] = []
  const status = page.getByRole('status')
  const next = async (cell: number): Promise<void> => {
    await card(page, cell).click()
    await expect(status).not.toHaveText(words.at(-1) ?? '')
    words.push((await status.textContent())!)
  }
  const wrong = cells.findIndex((name) => name !== cells[0])
  await next(0)
  await next(wrong)
  // it waits for the second that minor words keep between them
  await expect(status).toHaveText(say('turnedBack'))
  words.push(say('turnedBack'))
  const twin = (cell: number): number => cells.findIndex((name, at) => at !== cell && name === cells[cell])
  for (const cell of [0, twin(0), wrong, twin(wrong)]) await next(cell)
  await expect(page.getByRole('dialog', { name: say('won') })).toBeVisible()
  return words
}

for (const language of ['en', 'ar'] as const)
  test(`a whole game is told to a screen reader in ${language}`, async ({ page }) => {
    const { url, game } = await shipped((file) => {
      file.texts = { languages: ['en', 'ar'], own: {} }
      file.levels[0].board = { rows: 2, columns: 2 }
      Object.assign(file.house.turn, { matchLook: 0, missLook: 300 })
      file.house.finish.wait = 100
      file.levels[0].turn = { firstLook: 0 }
    })
    const { say } = await speechIn(language)
    const cells = await dealt(game, 'warm-up', 'a')
    const { pairs } = JSON.parse(readFileSync(game, 'utf8')).deck as { pairs: { id: string; name: string }[] }
    const flipped = (cell: number): string =>
      say('flipped', {
        cell: `${'AB'[cell % 2]}${1 + Math.floor(cell / 2)}`,
        face: pairs.find(({ id }) => `${id}/a` === cells[cell])!.name,
      })
    const wrong = cells.findIndex((name) => name !== cells[0])
    const twin = (cell: number): number => cells.findIndex((name, at) => at !== cell && name === cells[cell])
    expect(await heard(page, url, game, language)).toEqual([
      flipped(0),
      `${flipped(wrong)} ${say('miss')}`,
      say('turnedBack'),
      flipped(0),
      `${flipped(twin(0))} ${say('matchByLuck')}`,
      flipped(wrong),
      `${flipped(twin(wrong))} ${say('matchByLuck')} ${say('won')}`,
    ])
  })

test('axe finds nothing in four languages: opening panel, table, pause, languages, credits and result', async ({
  page,
}) => {
  const languages = ['en', 'de', 'ar', 'ja'] as const
  const { url } = await shipped((file) => {
    file.texts = { languages, own: {} }
    file.house.finish.wait = 100
    file.credits = ['Drawn by Ada']
    Object.assign(file.levels[0], { board: { rows: 1, columns: 2 }, turn: { firstLook: 0 } })
  })
  for (const language of languages)
    await test.step(language, async () => {
      const { say } = await speechIn(language)
      // in the others the same panels have other words
      const isFull = language === 'en' || language === 'ar'
      const press = (name: string): Promise<void> => page.getByRole('button', { name, exact: true }).click()
      await page.goto(`${url}?lang=${language}`)
      await expectNoViolations(page)
      await press(say('begin'))
      await expect(cards(page)).toHaveCount(2)
      if (isFull) await expectNoViolations(page)
      await press(say('pause'))
      if (isFull) await expectNoViolations(page)
      await press(say('language'))
      await expectNoViolations(page)
      await press(say('close'))
      await press(say('credits'))
      await expect(page.getByText('Drawn by Ada')).toBeVisible()
      if (isFull) await expectNoViolations(page)
      await press(say('close'))
      await press(say('goOn'))
      await card(page, 0).click()
      await card(page, 1).click()
      await expect(page.getByRole('dialog', { name: say('won') })).toBeVisible()
      await expectNoViolations(page)
      await page.evaluate(() => localStorage.clear())
    })
})
