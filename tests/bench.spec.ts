import { expect, type Locator, type Page } from '@playwright/test'
import { spawnSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { PNG } from 'pngjs'
import {
  card,
  cards,
  choice,
  choose,
  downloadOf,
  drag,
  expectNoViolations,
  openStation,
  tiles,
  type,
} from './helpers.ts'
import { test } from './test.ts'

/** Whether these inks can be seen in a picture. */
function inksOf(picture: Buffer): { night: boolean; apricot: boolean } {
  const { width, height, data } = PNG.sync.read(picture)
  const has = (...ink: number[]): boolean =>
    Array.from({ length: width * height }, (_, i) => i * 4).some((at) =>
      ink.every((value, channel) => Math.abs(data[at + channel]! - value) < 12),
    )
  return { night: has(0x40, 0x3f, 0x6d), apricot: has(0xd9, 0x67, 0x3c) }
}

test.describe('the light table', () => {
  const names = tiles

  test('pairs are put in another order by dragging, and by keys', async ({ page }) => {
    await openStation(page, 'deck')
    await expect(names(page).nth(0)).toHaveText('Cog')
    await drag(page, page.locator('[data-pair="cog"]'), page.locator('[data-pair="mantel-clock"]'))
    await expect(names(page).nth(2)).toHaveText('Cog')
    await page.keyboard.press('Control+z')
    await expect(names(page).nth(0)).toHaveText('Cog')
    await page.getByRole('option', { name: 'Cog', exact: true }).click()
    await page.keyboard.press('ArrowRight')
    await expect(page.getByRole('option', { name: 'Hourglass', exact: true })).toBeFocused()
    await page.keyboard.press('Alt+ArrowLeft')
    await expect(names(page).nth(0)).toHaveText('Hourglass')
    await expect(page.getByRole('option', { name: 'Hourglass', exact: true })).toBeFocused()
  })

  test('a slip changes name, tags, words and twins of its pair', async ({ page }) => {
    await openStation(page, 'deck')
    await page.getByRole('option', { name: 'Old key' }).click()
    await page.getByRole('textbox', { name: 'Name' }).fill('Master key')
    await page.getByRole('textbox', { name: 'Name' }).press('Enter')
    await expect(page.getByRole('heading', { name: 'Master key' })).toBeVisible()
    await page.getByLabel('Tags, separated by commas').fill('brass, brass, , opens doors')
    await page.getByLabel('Tags, separated by commas').press('Enter')
    await expect(page.getByLabel('Tags, separated by commas')).toHaveValue('brass, opens doors')
    await page.getByLabel('Read aloud as').fill('A key of brass')
    await page.getByLabel('Read aloud as').press('Enter')
    await page.getByText('related', { exact: true }).click()
    await page.getByText('second', { exact: true }).click()
    await page.getByRole('textbox', { name: 'Text on the card' }).fill('opens every door')
    await page.getByLabel('Search by name or tag').fill('opens')
    await expect(names(page)).toHaveText(['Master key'])
    const { path } = await downloadOf(page, async () => {
      await page.getByRole('link', { name: 'Ship' }).click()
      await page.getByRole('button', { name: 'Download the game file' }).click()
    })
    const game = JSON.parse(readFileSync(path, 'utf8'))
    expect(game.deck.pairs[3]).toEqual({
      id: 'old-key',
      name: 'Master key',
      tags: ['brass', 'opens doors'],
      a: { kind: 'picture', name: 'old-key', alt: 'A key of brass' },
      b: { kind: 'text', text: 'opens every door' },
    })
  })

  test('a face is put on by picture, image or text; undo takes it off', async ({ page }) => {
    await openStation(page, 'deck')
    await page.getByRole('option', { name: 'Bell' }).click()
    const face = page.locator('.slip .card').first().locator('img')
    await expect(face).toHaveAttribute('src', '/pictures/bell.svg')
    await page.getByRole('button', { name: 'A picture' }).click()
    await page.getByLabel('Search the pictures').fill('postal horn')
    await page.getByRole('button', { name: 'postal horn' }).click()
    await expect(face).toHaveAttribute('src', '/pictures/postal-horn.svg')
    await page.getByRole('button', { name: 'Text', exact: true }).click()
    await expect(page.locator('.slip .lt-text').first()).toHaveText('Bell')
    await page.getByRole('button', { name: 'Undo', exact: true }).click()
    await page.getByRole('button', { name: 'Undo', exact: true }).click()
    await expect(face).toHaveAttribute('src', '/pictures/bell.svg')
  })

  test('the back that is chosen lies on the table in Play', async ({ page }) => {
    await openStation(page, 'deck')
    await page.getByRole('button', { name: 'lattice' }).click()
    await page.getByRole('button', { name: 'night' }).click()
    await expect(page.getByRole('button', { name: 'night' })).toHaveAttribute('aria-pressed', 'true')
    await page.getByRole('link', { name: 'Play', exact: true }).click()
    // as it is seen: the ink of night, and none of the apricot before
    await expect
      .poll(async () => inksOf(await card(page, 0).screenshot()))
      .toEqual({ night: true, apricot: false })
  })

  test('words are seen before they are added, and lines that fail are told', async ({ page }) => {
    await openStation(page, 'deck', 'signal-room')
    await page.getByRole('button', { name: 'Words', exact: true }).click()
    await page.getByRole('textbox', { name: 'Words' }).fill('one;eins\n;zwei\nthree;drei;trois\nfour')
    await expect(page.getByText('line 2: the first column is empty')).toBeVisible()
    await expect(page.getByText('line 3: more than two columns')).toBeVisible()
    await page.getByRole('button', { name: 'Add 2 pairs' }).click()
    await expect(names(page)).toHaveCount(28)
  })
})

test.describe('Deal', () => {
  test('gaps are made and filled by mouse and by keys', async ({ page }) => {
    await openStation(page, 'deal/cabinet')
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

  test('a board that cannot be dealt offers ways out, and each of them mends it', async ({ page }) => {
    await openStation(page, 'deal/bench')
    const stopped = page.getByText('This cannot be dealt')
    for (const way of ['Leave C3 empty', '5 × 6', '5 × 4']) {
      await type(page, 'Rows', '5')
      await type(page, 'Columns', '5')
      await expect(stopped).toBeVisible()
      await expect(page.locator('.rung.open').getByText('problem')).toBeVisible()
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
    await expect(page.getByText('24 pairs chosen, 32 needed: they repeat evenly.')).toBeVisible()
    await page.keyboard.press('Control+z')
    await page.getByRole('button', { name: 'A board for 24 pairs: 6 × 8' }).click()
    await expect(stopped).toBeHidden()
  })

  test('pairs are chosen by looking at their faces: by tag, by place, one by one', async ({ page }) => {
    await openStation(page, 'deal/warm-up')
    await page.getByRole('button', { name: 'Choose which pairs are used' }).click()
    const dialog = page.getByRole('dialog', { name: 'Which pairs this level uses' })
    const face = (name: RegExp) => dialog.getByRole('button', { name })
    await dialog.getByText('by tag', { exact: true }).click()
    // the first tag is chosen to begin with: bench
    await dialog.getByRole('button', { name: 'time', exact: true }).click()
    await expect(dialog.getByText('8 pairs chosen, 6 needed')).toBeVisible()
    await expectNoViolations(page)
    await dialog.getByText('by place', { exact: true }).click()
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
      .locator('.board .cell')
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

  test('a seed that is kept gives the same deal here, in Play and on the command line', async ({ page }) => {
    await openStation(page, 'deal/bench')
    await choose(page, 'When the seed changes', 'always this one')
    await page.getByLabel('This deal').fill('tick-1')
    await page.getByLabel('This deal').press('Enter')
    const { stdout } = spawnSync(
      process.execPath,
      [
        'scripts/lucky-twin.mjs',
        'deal',
        'demo/clockmakers-drawer.game.json',
        '--level',
        'bench',
        '--seed',
        'tick-1',
      ],
      { encoding: 'utf8' },
    )
    const ids = (JSON.parse(stdout).cells as string[]).map((name) => name.slice(0, -2))
    const slug = (words: string): string => words.toLowerCase().replaceAll(' ', '-')
    const special: Record<string, string> = {
      'nut-and-bolt': 'bolt',
      'oil-can': 'oil',
      'set-square': 'ruler',
      'work-lamp': 'lamp',
    }
    const seen = (): Promise<string[]> =>
      page
        .locator('.board .cell')
        .evaluateAll((cells) => cells.map((cell) => cell.getAttribute('aria-label')!.split(', ')[1]!))
    await expect.poll(async () => (await seen()).map(slug).map((id) => special[id] ?? id)).toEqual(ids)
    const above = await seen()
    await page.getByRole('link', { name: 'Play', exact: true }).click()
    await expect(page.getByLabel('seed')).toHaveValue('tick-1')
    await card(page, 0).click()
    await expect(card(page, 0)).toHaveAttribute('aria-label', `A1, ${above[0]}`)
  })

  test('what is being typed is left alone by figures that come in meanwhile', async ({ page }) => {
    await openStation(page, 'deal/bench')
    await choose(page, 'When the seed changes', 'always this one')
    await choose(page, 'Way of dealing', 'twins apart')
    await expect(page.getByText('This board holds at most 2.')).toBeVisible()
    const seed = page.getByLabel('This deal')
    await seed.fill('tick')
    // undone from without: the field keeps the focus
    await page
      .getByRole('button', { name: 'Undo', exact: true })
      .evaluate((button: HTMLElement) => button.click())
    await expect(page.getByText('This board holds at most 2.')).toHaveCount(0)
    await expect(page.getByText(/different deals\./)).toBeVisible()
    await expect(seed).toHaveValue('tick')
    await seed.press('Enter')
    await expect(seed).toHaveValue('tick')
  })

  test('D deals again and G turns to the backs, but not while text is typed', async ({ page }) => {
    await openStation(page, 'deal/bench')
    const seed = page.getByLabel('This deal')
    const first = await seed.inputValue()
    await page.keyboard.press('d')
    await expect(seed).not.toHaveValue(first)
    await expect(page.locator('.board .face-view')).toHaveCount(16)
    await page.keyboard.press('g')
    await expect(page.locator('.board .face-view')).toHaveCount(0)
    await seed.fill('dg')
    await expect(page.locator('.board .face-view')).toHaveCount(0)
  })
})

test.describe('the ladder', () => {
  const rungs = (page: Page) => page.locator('.rung strong')
  test('rungs are put in another order by dragging, and by keys', async ({ page }) => {
    await openStation(page, 'rules/warm-up')
    await drag(page, page.locator('.rung').nth(0), page.locator('.rung').nth(2))
    await expect(rungs(page)).toHaveText(['Bench', 'Top drawer', 'Warm-up', 'Cabinet'])
    await page.getByRole('link', { name: /^Cabinet/ }).focus()
    await page.keyboard.press('Alt+ArrowUp')
    await expect(rungs(page)).toHaveText(['Bench', 'Top drawer', 'Cabinet', 'Warm-up'])
  })
  test('a new level follows the house rules, and its findings are marked', async ({ page }) => {
    await openStation(page, 'rules/warm-up')
    await page.getByRole('button', { name: 'Level', exact: true }).click()
    await expect(page.getByRole('heading', { name: 'Level 5, as it is played' })).toBeVisible()
    await expect(page.locator('.own')).toHaveCount(0)
    await page.getByRole('button', { name: 'no limit to the turns' }).click()
    await type(page, 'Turn limit', '7')
    await expect(page.locator('.rung.open').getByText('problem')).toBeVisible()
    await page.getByRole('link', { name: 'Ship' }).click()
    await expect(page.getByText('8 pairs cannot be found in 7 turns')).toBeVisible()
    await expect(page.getByRole('button', { name: 'Download the page' })).toBeDisabled()
    await page.getByRole('link', { name: 'Go there' }).click()
    await expect(page).toHaveURL(/rules\/level-5/)
  })
})

test.describe('Play', () => {
  test('glass, in order, seed and deal again do what they say', async ({ page }) => {
    await openStation(page, 'play/bench')
    await expect(cards(page)).toHaveCount(16)
    await expect(page.locator('.lt-board img')).toHaveCount(0)
    await page.keyboard.press('g')
    await expect(page.locator('.lt-board img')).toHaveCount(16)
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

  test('what was played is saved as a record that replays to the same result', async ({ page }) => {
    await openStation(page, 'play/bench')
    await page.getByLabel('seed').fill('kept')
    await page.getByLabel('seed').press('Enter')
    await card(page, 0).click()
    await card(page, 0).click()
    await card(page, 5).click()
    await expect(page.getByText('A1 refused: face-up')).toBeVisible()
    await expect(page.locator('.lt-card[data-order]')).toHaveCount(0)
    await page.getByRole('tab', { name: 'Tapes and checks' }).click()
    const { name, path } = await downloadOf(page, () =>
      page.getByRole('button', { name: 'Save as a record' }).click(),
    )
    expect(name).toBe('clockmakers-drawer-bench.play.json')
    const { stdout, status } = spawnSync(
      process.execPath,
      ['scripts/lucky-twin.mjs', 'replay', 'demo/clockmakers-drawer.game.json', path],
      { encoding: 'utf8' },
    )
    expect(status).toBe(0)
    expect(JSON.parse(stdout)).toMatchObject({ turns: 1, flips: 2, refused: { 'face-up': 1 } })
  })

  test('the ledger follows: phase, states, sights and events', async ({ page }) => {
    await openStation(page, 'play/top-drawer')
    const row = (cell: string) => page.getByRole('row', { name: new RegExp(`^${cell} `) })
    await page.getByRole('button', { name: 'In order' }).click()
    await expect(page.locator('.phase')).toHaveText('ready')
    await card(page, 0).click()
    await expect(page.locator('.phase')).toHaveText('one card up')
    await expect(row('A1')).toContainText('up, first')
    await card(page, 2).click()
    await expect(page.locator('.phase')).toContainText('judged')
    await expect(row('C1')).toContainText('up, second')
    await expect(page.getByText('A1 C1 turned back')).toBeVisible()
    await expect(row('A1')).toHaveText(/down11$/)
    await card(page, 1).click()
    await card(page, 2).click()
    await expect(page.getByText('miss B1 C1, slip')).toBeVisible()
    await expect(page.getByText('life lost, 4 left')).toBeVisible()
    await expect(row('C1')).toHaveText(/22$/)
  })

  test('what is changed on the bench is played at once', async ({ page }) => {
    await openStation(page, 'play/bench')
    await expect(cards(page)).toHaveCount(16)
    await page.getByRole('link', { name: /^Warm-up/ }).click()
    await expect(cards(page)).toHaveCount(12)
    await page.keyboard.press('Alt+2')
    await type(page, 'Rows', '4')
    await page.keyboard.press('Escape')
    await page.getByRole('link', { name: 'Play', exact: true }).click()
    await expect(cards(page)).toHaveCount(16)
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
  for (const [kind, first] of [
    ['Pictures', 'Gear'],
    ['Words and meanings', 'One'],
    ['Letters, numbers', 'A'],
  ] as const)
    test(`of ${kind} opens on a bench that can be played at once`, async ({ page }) => {
      await page.goto('/')
      await page.getByText(kind, { exact: true }).click()
      await page.getByLabel('How many pairs?').fill('7')
      await page.getByRole('button', { name: 'Make it' }).click()
      await expect(tiles(page).first()).toHaveText(first)
      await page.getByRole('link', { name: 'Play', exact: true }).click()
      await expect(cards(page)).toHaveCount(14)
    })
})

async function typeWithin(box: Locator, name: string, value: string): Promise<void> {
  const field = box.getByRole('spinbutton', { name, exact: true })
  await field.fill(value)
  await field.press('Enter')
}

test.describe('the ladder, made at once', () => {
  test('is seen before it is taken, and can be undone', async ({ page }) => {
    await openStation(page, 'rules/bench')
    await page.getByRole('button', { name: 'Make a ladder' }).click()
    const dialog = page.getByRole('dialog', { name: 'Make a ladder' })
    await typeWithin(dialog, 'How many levels', '4')
    const rungs = dialog.getByRole('list', { name: 'The ladder as it would be' }).getByRole('listitem')
    await expect(rungs).toHaveCount(4)
    await expect(rungs.first()).toContainText('2 × 3')
    await expect(rungs.last()).toContainText('6 × 6')
    await typeWithin(dialog, 'Rows, the hardest', '5')
    await typeWithin(dialog, 'Columns, the hardest', '5')
    await expect(dialog.getByText('5 × 5 is odd')).toBeVisible()
    await expect(rungs).toHaveCount(0)
    await typeWithin(dialog, 'Columns, the hardest', '6')
    await expectNoViolations(page)
    await dialog.getByRole('button', { name: 'Replace all levels' }).click()
    const ladder = page.getByRole('complementary', { name: 'Ladder' })
    await expect(ladder.getByRole('listitem')).toHaveCount(4)
    await expect(ladder).toContainText('15 pairs')
    await page.keyboard.press('Control+z')
    await expect(ladder).toContainText('Cabinet')
  })
  test('two levels lie side by side, and rules go from one to the other', async ({ page }) => {
    await openStation(page, 'rules/bench')
    await page.getByRole('button', { name: 'Compare' }).click()
    const dialog = page.getByRole('dialog', { name: 'Two levels side by side' })
    await expect(dialog.getByRole('row', { name: /^Lives \d|^Lives none/ })).toContainText('5')
    await expectNoViolations(page)
    await dialog.getByRole('button', { name: 'Give Top drawer the rules of Bench' }).click()
    await expect(dialog.getByRole('row', { name: /^Lives \d|^Lives none/ })).toHaveCount(0)
    await expect(dialog.getByRole('row', { name: /^Columns / })).toBeVisible()
  })
})

test('look times are changed on the strip by keys and by dragging, and the sentence follows', async ({
  page,
}) => {
  await openStation(page, 'rules/bench')
  const edge = page.getByRole('slider', { name: 'Look time of a miss, on the strip' })
  const number = page.getByRole('spinbutton', { name: 'Look time of a miss', exact: true })
  await edge.focus()
  await page.keyboard.press('ArrowRight')
  await expect(number).toHaveValue('1.05 s')
  await page.keyboard.press('PageUp')
  await expect(number).toHaveValue('1.55 s')
  const box = (await edge.boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x - 120, box.y + 5, { steps: 4 })
  await page.mouse.up()
  await expect.poll(async () => parseFloat(await number.inputValue())).toBeLessThan(1.5)
  await page.keyboard.press('Home')
  await expect(number).toHaveValue('0.0 s')
})

test('a clock that cannot be met is told with the nearest that can, one press away', async ({ page }) => {
  await openStation(page, 'rules/bench')
  const limit = page.getByRole('spinbutton', { name: 'Limit', exact: true })
  await limit.fill('0:03')
  await limit.press('Enter')
  await expect(page.getByText('even perfect luck takes longer than the clock')).toBeVisible()
  await page.getByRole('button', { name: 'A clock of 6 s' }).click()
  await expect(limit).toHaveValue('0:06')
  await expect(page.getByText('even perfect luck takes longer than the clock')).toBeHidden()
})

test('a level takes a ready look with one press, and a table too light is told', async ({ page }) => {
  await openStation(page, 'rules/bench')
  await choose(page, 'The look', 'like the kiln yard')
  const colour = page.getByRole('button', { name: 'Colour of the table', exact: true })
  await expect(colour.locator('[style*="rgb(92, 59, 28)"]')).toBeVisible()
  await expect(choice(page, 'Shape of the cards', 'square')).toBeVisible()
  await colour.click()
  await page.locator('.el-color-picker-panel:visible').getByRole('textbox').fill('#e0c060')
  await page.getByRole('button', { name: 'OK', exact: true }).click()
  await expect(page.getByText('cannot be read well')).toBeVisible()
  await choose(page, 'The look', 'like the slate roof')
  await expect(page.getByText('cannot be read well')).toBeHidden()
  await page.getByRole('link', { name: 'Play', exact: true }).click()
  await expect(page.locator('.lt-player')).toHaveCSS('--table', '#37424d')
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

test('a setting is found by a word of its name', async ({ page }) => {
  await openStation(page, 'rules/bench')
  const search = page.getByLabel('Find a setting by word')
  await search.fill('look miss')
  await expect(page.getByText('1 found, Enter goes there')).toBeVisible()
  await search.press('Enter')
  await expect(page.getByRole('spinbutton', { name: 'Look time of a miss', exact: true })).toBeFocused()
  await search.fill('trumpet')
  await expect(page.getByText('No setting found')).toBeVisible()
  await expect(page.locator('[data-found]')).toHaveCount(0)
})

test.describe('a first walk', () => {
  test.use({ own: true, storageState: { cookies: [], origins: [] } })

  test('shows the stations once, and again when asked', async ({ page }) => {
    await openStation(page, 'deck')
    const walk = page.getByRole('dialog', { name: 'A walk around the bench' })
    for (const stop of ['Deck', 'Deal', 'Rules', 'Play', 'Ship']) {
      await expect(walk).toContainText(stop)
      await expectNoViolations(page)
      await walk.getByRole('button', { name: 'Next' }).click()
    }
    await expect(walk).toContainText('Nothing is lost')
    await walk.getByRole('button', { name: 'Finish' }).click()
    await expect(walk).toBeHidden()
    await page.reload()
    await expect(page.getByRole('listbox', { name: 'Pairs' })).toBeVisible()
    await expect(walk).toBeHidden()
    await page.keyboard.press('?')
    await page.getByRole('button', { name: 'Walk me around' }).click()
    await expect(walk).toContainText('Make pairs from pictures')
    await page.keyboard.press('Escape')
    await expect(walk).toBeHidden()
  })
})
