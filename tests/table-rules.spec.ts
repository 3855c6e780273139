import { devices, expect, type Page } from '@playwright/test'
import { strFromU8, unzipSync } from 'fflate'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import {
  addRule,
  begin,
  byMouse,
  card,
  cards,
  choose,
  expectNoViolations,
  gameOf,
  openStation,
  playToTheWin,
  type,
} from './helpers.ts'
import { callBuilt, luckyTwin } from './lucky-twin.ts'
import { test } from './test.ts'

const status = (page: Page) => page.getByRole('region').getByRole('status')
const lies = (page: Page, mark: number, state: string) =>
  expect(cards(page, new RegExp(`^${mark}, `))).toHaveAttribute('data-state', state)

test('marks to type, an open card turned back, and one round: made in the studio, shipped, and played by mouse, touch and keys', async ({
  page,
  browser,
}) => {
  await test.step('put in and taken back in Rules', async () => {
    await openStation(page, 'rules/bench')
    await addRule(page, 'a turn', 'an open card that may be turned back')
    await addRule(page, 'the end', 'only one round')
    await addRule(page, 'how it looks', 'marks on the backs')
    await expect(page.getByRole('main')).toContainText('A press on the one open card')
    await choose(page, 'Marks on the backs', 'the names of their cells')
    await expect(page.getByRole('main')).toContainText('The backs bear the names of their cells')
    await page.getByRole('button', { name: /^Undo/ }).click()
    await expect(page.getByRole('main')).toContainText('The backs bear numbers from 1')
  })
  const game = await gameOf(page)
  const at = game.levels.findIndex(({ id }: { id: string }) => id === 'bench')
  const [level] = game.levels.splice(at, 1)
  expect([level.turn.onOpen, level.finish.rounds, level.look.marks]).toEqual(['turn-back', 'one', 'numbers'])
  // this level alone, without what would hold a press up
  const turn = { firstLook: 0, matchLook: 100, missLook: 100, onMiss: 'timed', duringLook: 'skip-and-flip' }
  Object.assign(level.turn, turn)
  Object.assign(level, { limits: { lives: null, turns: null }, clock: { mode: 'off' } })
  const folder = mkdtempSync(join(tmpdir(), 'table-'))
  const file = join(folder, 'one.game.json')
  writeFileSync(file, JSON.stringify({ ...game, levels: [level], checks: [] }))
  const html = join(folder, 'one.html')
  await luckyTwin('ship', file, '--to', html)
  const url = pathToFileURL(html).href
  const seed = 'marked'
  const { cells } = JSON.parse(await luckyTwin('deal', file, '--level', 'bench', '--seed', seed)) as {
    cells: string[]
  }
  const cardCells = cells.flatMap((name, cell) => (name === null ? [] : [cell]))
  const markOf = (cell: number): number => cardCells.indexOf(cell) + 1
  const [one] = cardCells as [number]
  const other = cardCells.find(
    (cell) => cell !== one && cells[cell]!.split('/')[0] !== cells[one]!.split('/')[0],
  )!

  await test.step('told in the opening panel, and axe finds nothing', async () => {
    await page.goto(url)
    const opening = page.getByRole('dialog')
    await expect(opening).toContainText('Press the open card again to turn it back.')
    await expect(opening).toContainText('You can also type the mark on a card to turn it.')
    await expectNoViolations(page)
    await begin(page)
  })
  await test.step('by mouse: the open card turns back, and no turn is counted', async () => {
    await page.goto(`${url}?seed=${seed}`)
    await expect(card(page, one)).toHaveAccessibleName('1, face down')
    await card(page, one).click()
    await lies(page, 1, 'up')
    await card(page, one).click()
    await lies(page, 1, 'down')
    await expect(status(page)).toHaveText('Turned back.')
  })
  await test.step('by keys: a mark turns its card, at once, after a while or with Enter', async () => {
    const last = String(cardCells.length)
    await page.keyboard.type(last)
    await lies(page, cardCells.length, 'up')
    await page.keyboard.type(last)
    await lies(page, cardCells.length, 'down')
    // 1 could go on as 10
    await page.keyboard.press('1')
    await lies(page, 1, 'down')
    await lies(page, 1, 'up')
    await page.keyboard.press('1')
    await page.keyboard.press('Enter')
    await lies(page, 1, 'down')
    await page.keyboard.type('0')
    await expect(status(page)).toHaveText('No card has the mark 0.')
    // what was typed is taken back
    await page.keyboard.press('1')
    await page.keyboard.press('Backspace')
    await page.keyboard.type(String(markOf(other)))
    await page.keyboard.press('Enter')
    await lies(page, markOf(other), 'up')
    await lies(page, 1, 'down')
  })
  await test.step('by touch, to the win: its result stays, and offers no other round', async () => {
    const { defaultBrowserType: _browser, ...phone } = devices['Pixel 5']
    const context = await browser.newContext(phone)
    const player = await context.newPage()
    await player.goto(`${url}?seed=${seed}`)
    await card(player, one).tap()
    await lies(player, 1, 'up')
    await card(player, one).tap()
    await lies(player, 1, 'down')
    const pairs = new Map<string, number[]>()
    for (const cell of cardCells) {
      const pair = cells[cell]!.split('/')[0]!
      pairs.set(pair, [...(pairs.get(pair) ?? []), cell])
    }
    for (const twins of pairs.values())
      for (const cell of twins) {
        await card(player, cell).tap()
        await expect(card(player, cell)).not.toHaveAttribute('data-state', 'down')
      }
    const result = player.getByRole('dialog')
    await expect(result).toContainText('All pairs found')
    await expect(result.getByRole('button', { name: /again|Next|Start over/i })).toHaveCount(0)
    await context.close()
  })
  await test.step('any game plays one round where the address asks for it, and pages without these rules know nothing of them', async () => {
    const plain = join(folder, 'plain.html')
    await luckyTwin('ship', 'demo/signal-room.game.json', '--to', plain)
    await page.goto(`${pathToFileURL(plain).href}?rounds=1&seed=a`)
    await expect(cards(page).first()).toBeVisible()
    await expect(page.getByRole('button', { name: 'Choose a level' })).toBeHidden()
    await page.getByRole('button', { name: 'Pause' }).click()
    await expect(page.getByRole('button', { name: 'Go on' })).toBeVisible()
    await expect(page.getByRole('button', { name: 'Start over' })).toHaveCount(0)
    expect(await page.locator('#lucky-twin-game').textContent()).not.toMatch(
      /"onOpen"|"rounds"|"marks"|type the mark/,
    )
  })
  await test.step('a mark or a number of rounds that is none is named by its place', async () => {
    writeFileSync(
      file,
      JSON.stringify({ ...game, levels: [{ ...level, look: { marks: 'runes' } }], checks: [] }),
    )
    const { err, code } = await callBuilt('check', file)
    expect([code, err]).toEqual([2, expect.stringContaining('levels[0].look.marks')])
  })
})

test('times of motion, pairs drawn from all, buttons and how to play: made in the studio, shipped, and played', async ({
  page,
  browser,
}) => {
  await test.step('how long a card turns is typed, dragged and stepped, and told where it outlasts a look', async () => {
    await openStation(page, 'rules/bench')
    const flip = page.getByRole('spinbutton', { name: 'Time of a flip', exact: true })
    await expect(flip).toHaveValue('0.27 s')
    await flip.fill('1000000')
    await flip.press('Enter')
    await expect(page.getByText('Time of a flip: 0.0 s to 1.2 s')).toBeVisible()
    await type(page, 'Time of a flip', '1.2')
    await expect(
      page.getByText('A card takes 1.2 s to turn, longer than a pair stays open, 0.8 s.'),
    ).toBeVisible()
    await page.getByRole('button', { name: 'Turn in 0.8 s' }).click()
    await expect(page.getByText('A card takes')).toBeHidden()
    const edge = page.getByRole('slider', { name: 'Time of a flip, on the strip' })
    await edge.press('ArrowLeft')
    await expect(flip).toHaveValue('0.79 s')
    const { x, y, width, height } = (await edge.boundingBox())!
    await page.mouse.move(x + width / 2, y + height / 2)
    await page.mouse.down()
    await page.mouse.move(x - 40, y + height / 2, { steps: 4 })
    await page.mouse.up()
    await expect.poll(async () => parseFloat(await flip.inputValue())).toBeLessThan(0.75)
    await type(page, 'How often a miss moves', '3')
    await type(page, 'Time of a motion', '0.1')
    await expect(page.getByRole('main')).toContainText('times for')
    await page.getByRole('button', { name: /^Undo/ }).click()
    await expect(page.getByRole('spinbutton', { name: 'Time of a motion', exact: true })).toHaveValue('0.3 s')
    await type(page, 'Time of a flip', '0.1')
  })
  await test.step('buttons are added, ordered by keys and removed, and the result tells more', async () => {
    const head = page.getByRole('group', { name: 'The head of the table' })
    const buttons = head.getByRole('list', { name: 'Buttons on the table' }).getByRole('listitem')
    await head.getByRole('button', { name: '+ how to play' }).click()
    await head.getByRole('button', { name: '+ start over' }).click()
    await head.getByRole('button', { name: '+ leave' }).click()
    await head.getByRole('button', { name: /^Hide start over/ }).focus()
    for (let i = 0; i < 4; i++) await page.keyboard.press('Alt+ArrowLeft')
    await head.getByRole('button', { name: /^Hide sound/ }).click()
    await expect(buttons).toHaveText(['start over', 'choose a level', 'pause', 'how to play', 'leave'])
    await choose(page, 'Size of the figures', 'large')
    await choose(page, 'Flips in the result', 'told')
    await choose(page, 'Slips in the result', 'told')
    await expectNoViolations(page)
  })
  await test.step('pairs are drawn from all, so that the same may come again', async () => {
    await page.getByRole('link', { name: 'Deal', exact: true }).click()
    await expect(page.getByRole('combobox', { name: /^How pairs are picked/ })).toBeVisible()
    await choose(page, 'Whether pairs repeat', 'always at random')
    await expect(page.getByRole('combobox', { name: /^How pairs are picked/ })).toHaveCount(0)
    await expect(page.getByRole('main')).toContainText(
      '24 pairs chosen, 8 needed. Each of the 24 comes 0 to 8 times',
    )
  })
  const game = await gameOf(page)
  const [first, bench] = game.levels
  expect(bench).toMatchObject({
    fill: { repeat: 'with-replacement' },
    look: { flipTime: 100, missMoves: 3 },
    head: { buttons: ['restart', 'levels', 'pause', 'how-to', 'leave'], size: 'large' },
    finish: { flips: true, slips: true },
  })
  Object.assign(bench, { turn: { matchLook: 50, missLook: 50, duringLook: 'skip-and-flip' } })
  bench.board = { rows: 2, columns: 3 }
  const folder = mkdtempSync(join(tmpdir(), 'table-'))
  const file = join(folder, 'game.json')
  const texts = { languages: ['en', 'de', 'ar', 'ja'], own: {} }
  writeFileSync(file, JSON.stringify({ ...game, texts, levels: [first, bench], checks: [] }))
  const html = join(folder, 'game.html')
  await luckyTwin('ship', file, '--to', html)
  const url = pathToFileURL(html).href
  const panel = page.getByRole('dialog')

  await test.step('a limit that is new on a level is told before it begins, and again in a pause', async () => {
    await page.goto(url)
    await begin(page)
    await page.getByRole('button', { name: 'Choose a level' }).click()
    await page.getByRole('button', { name: /^Bench/ }).click()
    await expect(panel).toContainText('You have 1:10.')
    await expectNoViolations(page)
    await panel.getByRole('button', { name: 'Begin' }).press('Enter')
    await expect(panel).toBeHidden()
    await page.getByRole('button', { name: 'Pause' }).click()
    await expect(panel).toContainText('You have 1:10.')
    await panel.getByRole('button', { name: 'Go on' }).click()
    await page.getByRole('button', { name: 'How to play' }).click()
    await expect(panel).toContainText('You have 1:10.')
    await page.keyboard.press('Escape')
    await expect(panel).toBeHidden()
  })
  await test.step('the buttons stand in their order, those that can do nothing here are left out', async () => {
    await expect(page.locator('.lt-head').getByRole('button')).toHaveCount(4)
    for (const [at, name] of ['Start over', 'Choose a level', 'Pause', 'How to play'].entries())
      await expect(page.locator('.lt-head').getByRole('button').nth(at)).toHaveAccessibleName(name)
    await card(page, 0).click()
    await expect(card(page, 0)).toHaveAttribute('data-state', 'up')
    await page.getByRole('button', { name: 'Start over' }).click()
    await expect(cards(page, /, face down$/)).toHaveCount(6)
    // what was told is not told again
    await expect(panel).toBeHidden()
  })
  await test.step('the result tells flips and slips', async () => {
    await page.goto(`${url}?level=bench&seed=two`)
    await playToTheWin(page, byMouse)
    await expect(panel.getByRole('term')).toHaveText(['score', 'turns', 'time used', 'flips', 'slips'])
    await expect(panel.getByRole('definition').nth(3)).toHaveText(/^\d+$/)
  })
  await test.step('by touch, in four languages', async () => {
    const { defaultBrowserType: _browser, ...phone } = devices['Pixel 5']
    const languages = { en: 'How to play', de: 'So wird gespielt', ar: 'طريقة اللعب', ja: '遊び方' }
    for (const [language, how] of Object.entries(languages)) {
      const context = await browser.newContext(phone)
      const player = await context.newPage()
      const open = player.getByRole('dialog')
      const head = player.locator('.lt-head').getByRole('button')
      await player.goto(`${url}?lang=${language}`)
      await open.getByRole('button').first().tap()
      await expect(open).toBeHidden()
      await head.first().tap()
      await open.getByRole('button', { name: /Bench/ }).tap()
      await expect(open).toContainText('1:10')
      await expectNoViolations(player)
      await open.getByRole('button').tap()
      await expect(open).toBeHidden()
      await head.and(player.getByRole('button', { name: how, exact: true })).tap()
      await expect(open).toContainText('1:10')
      await open.getByRole('button').tap()
      await expect(open).toBeHidden()
      await head.nth(2).tap()
      await expect(open).toContainText('1:10')
      await expectNoViolations(player)
      await context.close()
    }
  })
})

test('a back of its own for a level: made in the studio, shipped, and seen on the page, in the project and in the kit', async ({
  page,
  browser,
}) => {
  await test.step('put in, changed in its dialog by mouse and keys, and taken back', async () => {
    await openStation(page, 'rules/bench')
    await addRule(page, 'how it looks', 'another back than the deck’s')
    await choose(page, 'The back', 'that of the deck')
    await page.getByRole('button', { name: /^Undo/ }).click()
    await page.getByRole('button', { name: 'Change the back' }).click()
    const dialog = page.getByRole('dialog', { name: 'The back on Bench' })
    await dialog.getByRole('button', { name: 'rivets' }).click()
    await expect(dialog.getByRole('button', { name: 'rivets' })).toHaveAttribute('aria-pressed', 'true')
    await dialog.getByRole('button', { name: 'wine' }).press('Enter')
    await expectNoViolations(page)
    await page.keyboard.press('Escape')
    await expect(dialog).toBeHidden()
  })
  const game = await gameOf(page)
  const own = game.levels.find(({ id }: { id: string }) => id === 'bench').look.back
  expect(own).toMatchObject({ pattern: 'rivets', ink: '#8c2f4b' })
  expect(game.deck.back.pattern).not.toBe('rivets')
  await page.getByRole('link', { name: 'Deal', exact: true }).click()
  await page.getByRole('main').getByText('backs', { exact: true }).click()
  await expect(page.locator('.back-view').first()).toHaveCSS('border-color', 'rgb(250, 230, 234)')

  const folder = mkdtempSync(join(tmpdir(), 'back-'))
  const file = join(folder, 'game.json')
  writeFileSync(file, JSON.stringify({ ...game, checks: [] }))
  const html = join(folder, 'game.html')
  await luckyTwin('ship', file, '--to', html)
  const url = pathToFileURL(html).href
  const edgeOf = (on: Page) => on.locator('.lt-back').first()

  await test.step('on the page a level has its back, and the next one that of the deck', async () => {
    await page.goto(`${url}?level=bench`)
    await expect(edgeOf(page)).toHaveCSS('border-top-color', 'rgb(250, 230, 234)')
    await page.goto(`${url}?level=warm-up`)
    await expect(edgeOf(page)).not.toHaveCSS('border-top-color', 'rgb(250, 230, 234)')
  })
  await test.step('by touch too', async () => {
    const { defaultBrowserType: _browser, ...phone } = devices['Pixel 5']
    const context = await browser.newContext(phone)
    const player = await context.newPage()
    await player.goto(`${url}?level=bench`)
    await expect(edgeOf(player)).toHaveCSS('border-top-color', 'rgb(250, 230, 234)')
    await card(player, 0).tap()
    await expect(card(player, 0)).toHaveAttribute('data-state', 'up')
    await context.close()
  })
  await test.step('in the project and in the kit', async () => {
    const project = join(folder, 'project.zip')
    await luckyTwin('ship', file, '--as', 'project', '--to', project)
    const css = strFromU8(unzipSync(readFileSync(project))['public/back.css']!)
    expect(css).toContain("[data-level='bench'] .card")
    const kit = join(folder, 'kit.zip')
    await luckyTwin('ship', file, '--as', 'kit', '--to', kit)
    const files = unzipSync(readFileSync(kit))
    expect(Object.keys(files)).toEqual(
      expect.arrayContaining(['faces/1x/back.png', 'faces/1x/back-bench.png']),
    )
    const levels = JSON.parse(strFromU8(files['levels.json']!)) as { id: string; back: string }[]
    expect(levels.map(({ id, back }) => [id, back]).slice(0, 2)).toEqual([
      ['warm-up', 'back'],
      ['bench', 'back-bench'],
    ])
  })
})
