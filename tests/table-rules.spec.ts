import { devices, expect, type Page } from '@playwright/test'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { addRule, begin, card, cards, choose, expectNoViolations, gameOf, openStation } from './helpers.ts'
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
  // this level alone, without what would hold its first press up
  Object.assign(level.turn, { firstLook: 0, matchLook: 100, missLook: 100, onMiss: 'timed' })
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
