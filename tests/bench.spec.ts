import { expect, type Page } from '@playwright/test'
import {
  boardAbove,
  card,
  cards,
  choose,
  downloadOf,
  expectNoViolations,
  gameOf,
  openRung,
  openStation,
  phase,
  tiles,
  type,
  up,
  startAt,
} from './helpers.ts'
import { luckyTwin } from './lucky-twin.ts'
import { test } from './test.ts'

test.use({ motion: true })

test.describe('Deal', () => {
  test('gaps, ways out, pairs, seeds and keys of a board', async ({ page }) => {
    await test.step('gaps are made and filled by mouse and by keys', async () => {
      await startAt(page, 'deal/cabinet')
      await page.getByRole('button', { name: 'C3, a gap' }).click()
      await page.getByRole('button', { name: 'Fill the gap D3' }).click()
      await expect(page.getByText('34 cards, 17 pairs.')).toBeVisible()
      await page.getByRole('button', { name: /^A1, / }).focus()
      await page.keyboard.press('ArrowRight')
      await page.keyboard.press('Enter')
      await page.keyboard.press('End')
      await page.keyboard.press('Space')
      await expect(page.getByRole('button', { name: 'B1, a gap' })).toBeVisible()
      await expect(page.getByRole('button', { name: 'F1, a gap' })).toBeFocused()
      await expect(page.getByText('32 cards, 16 pairs.')).toBeVisible()
    })
    await test.step('a board that cannot be dealt offers ways out, and each of them mends it', async () => {
      await startAt(page, 'deal/bench')
      const stopped = page.getByText('This cannot be dealt')
      for (const way of ['Leave C3 empty', '5 × 6', '5 × 4']) {
        await type(page, 'Rows', '5')
        await type(page, 'Columns', '5')
        await expect(stopped).toBeVisible()
        await expect(openRung(page).getByText('problem')).toBeVisible()
        await page.getByRole('button', { name: way }).click()
        await expect(stopped).toBeHidden()
        await page.getByRole('button', { name: /^Rows, Columns: own/ }).click()
        const gaps = page.getByRole('button', { name: /^Gaps: own/ })
        if (await gaps.isVisible()) await gaps.click()
      }
      await type(page, 'Rows', '8')
      await type(page, 'Columns', '8')
      await expect(page.getByText('the board needs 32 pairs, and 24 are chosen')).toBeVisible()
      await page.getByRole('button', { name: 'Repeat pairs evenly' }).click()
      await expect(
        page.getByText(
          '24 pairs chosen, 32 needed. Each of the 24 appears 2 or 4 times: 1 pair or 2; 8 of them, picked at random, have one more.',
        ),
      ).toBeVisible()
      await page.keyboard.press('Control+z')
      await page.getByRole('button', { name: 'A board for 24 pairs: 6 × 8' }).click()
      await expect(stopped).toBeHidden()
    })
    await test.step('pairs are chosen by looking at their faces: by tag, by place, one by one', async () => {
      await startAt(page, 'deal/warm-up')
      await page.getByRole('button', { name: 'Choose which pairs are used' }).click()
      const dialog = page.getByRole('dialog', { name: 'Which pairs this level uses' })
      const face = (name: RegExp) => dialog.getByRole('button', { name })
      await dialog.getByText('by tag', { exact: true }).click()
      // the first tag is chosen initially: bench
      await dialog.getByRole('button', { name: 'time', exact: true }).click()
      await expect(dialog.getByText('8 pairs chosen, 6 needed')).toBeVisible()
      await expectNoViolations(page)
      await dialog.getByText('by position', { exact: true }).click()
      await face(/^3, /).click()
      await expect(dialog.getByText('Now press the last one.')).toBeVisible()
      await face(/^10, /).click()
      await expect(dialog.getByText('8 pairs chosen, 6 needed')).toBeVisible()
      await face(/^3, /).click()
      await face(/^7, /).click()
      await face(/^1, /).click()
      await face(/^6, /).click()
      await dialog.getByText('one by one', { exact: true }).click()
      await expect(face(/^6, /)).toHaveAttribute('aria-pressed', 'true')
      await face(/^7, /).click()
      await face(/^1, /).click()
      await dialog.getByRole('button', { name: 'Done' }).click()
      await expect(page.getByText('6 pairs from 6, all of them.')).toBeVisible()
      const shown = await page
        .getByRole('group', { name: 'The board from above' })
        .getByRole('button', { name: /^[A-T]\d/ })
        .evaluateAll((cells) => cells.map((cell) => cell.getAttribute('aria-label')!.slice(4)))
      expect([...new Set(shown)].sort()).toEqual([
        'Bell',
        'Compass',
        'Hourglass',
        'Loupe',
        'Mantel clock',
        'Old key',
      ])
    })
    await test.step('D deals again and G turns to the backs, but not while text is typed', async () => {
      await startAt(page, 'deal/bench')
      const seed = page.getByLabel('This deal')
      const first = await seed.inputValue()
      await page.keyboard.press('d')
      await expect(seed).not.toHaveValue(first)
      await expect(boardAbove(page).locator('img')).toHaveCount(16)
      await page.keyboard.press('g')
      await expect(boardAbove(page).locator('img')).toHaveCount(0)
      await seed.fill('dg')
      await expect(boardAbove(page).locator('img')).toHaveCount(0)
    })
    await test.step('what is being typed is left alone by figures that come in meanwhile', async () => {
      await startAt(page, 'deal/bench')
      await choose(page, 'When the seed changes', 'always this one')
      await choose(page, 'Way of dealing', 'twins apart')
      await expect(page.getByText('This board holds at most 2.')).toBeVisible()
      const seed = page.getByLabel('This deal')
      await seed.fill('tick')
      // undone from outside: the field keeps the focus
      await page
        .getByRole('button', { name: 'Undo', exact: true })
        .evaluate((button: HTMLElement) => button.click())
      await expect(page.getByText('This board holds at most 2.')).toHaveCount(0)
      await expect(page.getByText(/different deals\./)).toBeVisible()
      await expect(seed).toHaveValue('tick')
      await seed.press('Enter')
      await expect(seed).toHaveValue('tick')
    })
    await test.step('a seed that is kept gives the same deal here, in Play and on the command line', async () => {
      await startAt(page, 'deal/bench')
      await choose(page, 'When the seed changes', 'always this one')
      await page.getByLabel('This deal').fill('tick-1')
      await page.getByLabel('This deal').press('Enter')
      const deal = await luckyTwin(
        ...['deal', 'demo/clockmakers-drawer.game.json', '--level', 'bench', '--seed', 'tick-1'],
      )
      const ids = (JSON.parse(deal).cells as string[]).map((name) => name.slice(0, -2))
      const slug = (words: string): string => words.toLowerCase().replaceAll(' ', '-')
      const special: Record<string, string> = {
        'nut-and-bolt': 'bolt',
        'oil-can': 'oil',
        'set-square': 'ruler',
        'work-lamp': 'lamp',
      }
      const seen = (): Promise<string[]> =>
        page
          .getByRole('group', { name: 'The board from above' })
          .getByRole('button', { name: /^[A-T]\d/ })
          .evaluateAll((cells) => cells.map((cell) => cell.getAttribute('aria-label')!.split(', ')[1]!))
      await expect.poll(async () => (await seen()).map(slug).map((id) => special[id] ?? id)).toEqual(ids)
      const above = await seen()
      await page.getByRole('link', { name: 'Play', exact: true }).click()
      await expect(page.getByLabel('seed')).toHaveValue('tick-1')
      await card(page, 0).click()
      await expect(card(page, 0)).toHaveAttribute('aria-label', `A1, ${above[0]}`)
    })
  })
})

test.describe('Play', () => {
  test('a level is played through glass, in order and by seed, changed, saved and read off the ledger', async ({
    page,
  }) => {
    await test.step('glass, in order, seed and deal again do what they say', async () => {
      await startAt(page, 'play/bench')
      await expect(cards(page)).toHaveCount(16)
      await expect(page.getByRole('grid').locator('img')).toHaveCount(0)
      await page.keyboard.press('g')
      await expect(page.getByRole('grid').locator('img')).toHaveCount(16)
      await expect(card(page, 0)).toHaveAttribute('aria-label', 'A1, face down')
      await page.getByRole('button', { name: 'In order' }).click()
      await card(page, 0).click()
      await card(page, 1).click()
      await expect(page.getByText('match A1 B1, lucky, +100')).toBeVisible()
      await page.keyboard.press('d')
      await expect(page.getByText('Nothing has happened yet')).toBeVisible()
      await page.keyboard.press('p')
      await expect(page.getByRole('dialog', { name: 'Paused' })).toBeVisible()
      await page.keyboard.press('p')
      await expect(page.getByRole('dialog')).toBeHidden()
    })
    await test.step('what is changed on the bench is played at once', async () => {
      await startAt(page, 'play/bench')
      await expect(cards(page)).toHaveCount(16)
      await page.getByRole('link', { name: /^Warm-up/ }).click()
      await expect(cards(page)).toHaveCount(12)
      await page.keyboard.press('Alt+2')
      await type(page, 'Rows', '4')
      await page.keyboard.press('Escape')
      await page.getByRole('link', { name: 'Play', exact: true }).click()
      await expect(cards(page)).toHaveCount(16)
    })
    await test.step('what was played is saved as a record that replays to the same result', async () => {
      await startAt(page, 'play/bench')
      await page.getByLabel('seed').fill('kept')
      await page.getByLabel('seed').press('Enter')
      await card(page, 0).click()
      await card(page, 0).click()
      await card(page, 5).click()
      await expect(page.getByText('A1 refused: face-up')).toBeVisible()
      await expect(up(page)).toHaveCount(0)
      await page.getByRole('tab', { name: 'Tapes and checks' }).click()
      const { name, path } = await downloadOf(page, () =>
        page.getByRole('button', { name: 'Save as a record' }).click(),
      )
      expect(name).toBe('the-clockmakers-drawer-bench.play.json')
      const result = await luckyTwin('replay', 'demo/clockmakers-drawer.game.json', path)
      expect(JSON.parse(result)).toMatchObject({ turns: 1, flips: 2, refused: { 'face-up': 1 } })
    })
    await test.step('the ledger follows: phase, states, sights and events', async () => {
      await startAt(page, 'rules/top-drawer')
      // long enough to be looked at on any machine
      await type(page, 'Look time of a miss', '30')
      await page.getByRole('link', { name: 'Play', exact: true }).click()
      const row = (cell: string) => page.getByRole('row', { name: new RegExp(`^${cell} `) })
      await page.getByRole('button', { name: 'In order' }).click()
      await expect(phase(page)).toHaveText('ready')
      await card(page, 0).click()
      await expect(phase(page)).toHaveText('one card up')
      await expect(row('A1')).toContainText('up, first')
      await card(page, 2).click()
      await expect(phase(page)).toContainText('judged')
      await expect(row('C1')).toContainText('up, second')
      await page.getByRole('button', { name: 'Next', exact: true }).click()
      await expect(page.getByText('A1 C1 turned back')).toBeVisible()
      await expect(row('A1')).toHaveText(/down11$/)
      await card(page, 1).click()
      await card(page, 2).click()
      await expect(page.getByText('miss B1 C1, slip')).toBeVisible()
      await expect(page.getByText('life lost, 4 left')).toBeVisible()
      await expect(row('C1')).toHaveText(/22$/)
    })
    await test.step('a level that cannot be dealt says so, and has nothing to press or copy', async () => {
      await startAt(page, 'deal/warm-up')
      await type(page, 'Rows', '5')
      await type(page, 'Columns', '5')
      await page.getByRole('link', { name: 'Play', exact: true }).click()
      await expect(page.getByRole('dialog', { name: 'This level cannot be dealt' })).toBeVisible()
      // the level has a first look, but there is nothing to look at
      await expect(page.getByText('look closely…')).toBeHidden()
      await expect(page.getByRole('button', { name: 'Turn them back' })).toBeHidden()
      for (const name of ['board', 'text', 'JSON'])
        await expect(page.getByRole('button', { name, exact: true })).toBeDisabled()
    })
  })

  test('on a phone the table has its own choice of levels', async ({ page }) => {
    await page.setViewportSize({ width: 360, height: 640 })
    await openStation(page, 'play/bench')
    await page.getByRole('button', { name: 'Choose a level' }).click()
    await page.getByRole('button', { name: /^Cabinet/ }).click()
    await expect(page).toHaveURL(/play\/cabinet/)
    await expect(cards(page)).toHaveCount(32)
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(360)
  })

  test('nothing moves for those who ask for less motion', async ({ page }) => {
    await page.emulateMedia({ reducedMotion: 'reduce' })
    await openStation(page, 'play/bench')
    await card(page, 0).click()
    await expect(card(page, 0)).toHaveAttribute('data-state', 'up')
    expect(await card(page, 0).evaluate((one) => one.classList.contains('lt-turning'))).toBe(false)
  })
})

test.describe('a new game', () => {
  /** What a new game is about; the ways to begin below may have the same name. */
  const kindOf = (page: Page, kind: string) =>
    page.getByRole('radiogroup', { name: 'What is on the cards?' }).getByText(kind, { exact: true })
  for (const [kind, first] of [
    ['Pictures', 'Gear'],
    ['Letters, numbers', 'A'],
  ] as const)
    test(`of ${kind} opens on a bench that can be played at once`, async ({ page }) => {
      await page.goto('/')
      await kindOf(page, kind).click()
      await page.getByLabel('How many pairs?').fill('7')
      await page.getByRole('button', { name: 'Make it' }).click()
      await expect(tiles(page).first()).toHaveText(first)
      await page.getByRole('link', { name: 'Play', exact: true }).click()
      await expect(cards(page)).toHaveCount(14)
    })
  test('of a theme has pictures of it that look as little alike as can be found', async ({ page }) => {
    await page.goto('/')
    const make = page.getByRole('button', { name: 'Make it' })
    // a theme has only so many
    await choose(page, 'Theme', 'Flags')
    await page.getByLabel('How many pairs?').fill('100')
    await page.getByLabel('How many pairs?').press('Tab')
    await expect(page.getByLabel('How many pairs?')).toHaveValue('8')
    // by keys; what is under way can be cancelled
    await page.getByRole('combobox', { name: 'Theme: Flags' }).press('Enter')
    await expect(page.getByRole('option', { name: 'People' })).toBeVisible()
    await page.keyboard.press('ArrowUp')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('combobox', { name: 'Theme: People' })).toBeFocused()
    await page.getByLabel('How many pairs?').fill('6')
    await page.getByLabel('How many pairs?').press('Enter')
    await expect(page.getByRole('status').filter({ hasText: 'Choosing pictures' })).toBeVisible()
    await page.getByRole('button', { name: 'Cancel' }).click()
    await expect(make).toBeVisible()
    await choose(page, 'Theme', 'Signs')
    await page.getByLabel('How many pairs?').fill('10')
    await expectNoViolations(page)
    await make.click()
    await expect(tiles(page)).toHaveCount(10)
    await expect(page.getByLabel('Title of the game')).toHaveValue('Signs')
    const told = page.getByText(/The two most alike, .+ and .+, are \d+ % alike/)
    const share = Number(/(\d+) %/.exec((await told.textContent())!)![1])
    // far below what Deck marks as look-alikes
    expect(share).toBeLessThan(50)
    const { deck } = await gameOf(page)
    const library = (await (await page.request.get('/pictures/index.json')).json()) as [string, string][]
    const signs = new Set(library.flatMap(([name, kind]) => (kind === 'Symbols' ? [name] : [])))
    const names = deck.pairs.map(({ a }: { a: { name: string } }) => a.name)
    expect(new Set(names).size).toBe(10)
    expect(names.filter((name: string) => !signs.has(name))).toEqual([])
  })
  test('of words begins with its own words, and no others', async ({ page }) => {
    await page.goto('/')
    await kindOf(page, 'Words and meanings').click()
    await page.getByRole('button', { name: 'Write the words…' }).click()
    const dialog = page.getByRole('dialog', { name: 'A game of words' })
    await dialog.getByRole('textbox', { name: 'Words' }).fill('sun;soleil;sky\nmoon;lune;sky')
    await expect(dialog.getByRole('group', { name: 'Columns' })).toContainText('soleil')
    await dialog.getByRole('button', { name: 'Make a game of 2 pairs' }).click()
    await expect(tiles(page)).toHaveText(['sun', 'moon'])
    await page.getByRole('link', { name: 'Play', exact: true }).click()
    await expect(cards(page)).toHaveCount(4)
  })
  test('has a name of its own', async ({ page }) => {
    for (const title of ['New picture game', 'New picture game 2']) {
      await page.goto('/')
      await page.getByRole('button', { name: 'Make it' }).click()
      await expect(page.getByLabel('Title of the game')).toHaveValue(title)
    }
  })
})

test('no key of the bench acts while a dialog lies over it', async ({ page }) => {
  await openStation(page, 'rules/bench')
  await page.keyboard.press('?')
  const keys = page.getByRole('dialog', { name: 'All keys' })
  await expect(keys).toBeVisible()
  await page.keyboard.press('Alt+2')
  await page.keyboard.press('Escape')
  await expect(keys).toBeHidden()
  await expect(page).toHaveURL(/rules/)
  await page.keyboard.press('Alt+2')
  await expect(page).toHaveURL(/deal/)
})

test.describe('a first walk', () => {
  test.use({ own: true, storageState: { cookies: [], origins: [] } })

  test('is offered in one line, shows the stations when asked, and is offered no more', async ({ page }) => {
    await openStation(page, 'deck')
    const walk = page.getByRole('dialog', { name: 'A walk around the bench' })
    const offer = page.getByRole('complementary', { name: 'For a first visit' })
    await expect(offer).toContainText('New here?')
    await expect(walk).toBeHidden()
    await expectNoViolations(page)
    // nothing is covered: the game can be worked on at once
    await tiles(page).first().click()
    await expect(tiles(page).first()).toHaveAttribute('aria-selected', 'true')
    await offer.getByRole('button', { name: 'Walk me around' }).click()
    for (const stop of ['Deck', 'Deal', 'Rules', 'Play', 'Odds', 'Ship']) {
      await expect(walk).toContainText(stop)
      if (stop === 'Ship') await expectNoViolations(page)
      if (stop !== 'Ship') await walk.getByRole('button', { name: 'Next' }).click()
    }
    await expect(walk).toContainText('Nothing is lost')
    await walk.getByRole('button', { name: 'Finish' }).click()
    await expect(walk).toBeHidden()
    await page.reload()
    await expect(page.getByRole('listbox', { name: 'Pairs' })).toBeVisible()
    await expect(offer).toBeHidden()
    await page.keyboard.press('?')
    await page.getByRole('button', { name: 'Walk me around' }).click()
    await expect(walk).toContainText('Make pairs from pictures')
    await page.keyboard.press('Escape')
    await expect(walk).toBeHidden()
  })
})
