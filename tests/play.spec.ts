import { expect, type Locator, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import {
  card,
  choose,
  down,
  downloadOf,
  expectNoViolations,
  openStation,
  phase,
  type as typeInto,
  up,
  toGameFile,
  startAt,
} from './helpers.ts'
import { callBuilt } from './lucky-twin.ts'
import { test } from './test.ts'

test.use({ motion: true })

const chips = (page: Page): Locator =>
  page.getByRole('list', { name: 'Tape', exact: true }).getByRole('button')
const chip = (page: Page, turn: number): Locator =>
  page.getByRole('button', { name: new RegExp(`^Turn ${turn}:`) })
const tapes = (page: Page) => page.getByRole('tab', { name: 'Tapes and checks' }).click()
const given = (name: string, value: unknown) => ({
  name,
  mimeType: 'application/json',
  buffer: Buffer.from(typeof value === 'string' ? value : JSON.stringify(value)),
})

/** The bench in order, so that A1 B1, C1 D1, … are twins; three turns are played: a miss, a match, a match. */
async function threeTurns(page: Page): Promise<void> {
  await openStation(page, 'play/bench')
  await page.getByRole('button', { name: 'In order' }).click()
  // at the usual speed: its clock of 70 seconds would run out on a slow machine at any higher one
  for (const [one, other] of [
    [0, 2],
    [0, 1],
    [2, 3],
  ] as const) {
    await card(page, one).click()
    await card(page, other).click()
    await expect(up(page)).toHaveCount(0)
  }
  await expect(chips(page)).toHaveCount(4)
}

test('a turn is gone back to, and what is played from there is a new tape beside the old one', async ({
  page,
}) => {
  await threeTurns(page)
  await expect(chip(page, 1)).toHaveAccessibleName(/A1 and C1, a miss, fresh/)
  await chip(page, 1).click()
  await expect(card(page, 0)).toHaveAttribute('data-state', 'up')
  await expect(card(page, 2)).toHaveAttribute('data-state', 'up')
  await page.keyboard.press('.')
  await expect(card(page, 1)).toHaveAttribute('data-state', 'up')
  await page.keyboard.press(',')
  await page.keyboard.press(',')
  await expect(card(page, 0)).toHaveAttribute('data-state', 'down')
  await expect(chips(page)).toHaveCount(4)

  await chip(page, 2).click()
  await page.getByRole('button', { name: 'Go on', exact: true }).click()
  await expect(up(page)).toHaveCount(0)
  await card(page, 4).click()
  await card(page, 5).click()
  await expect(chip(page, 3)).toHaveAccessibleName(/A2 and B2, a match/)
  await tapes(page)
  await expect(page.getByLabel('Name of this tape')).toHaveValue('Tape 2')
  await page
    .getByRole('list', { name: 'Kept tapes' })
    .getByRole('button', { name: 'Tape 1', exact: true })
    .click()
  await expect(chip(page, 3)).toHaveAccessibleName(/C1 and D1, a match/)
  await expectNoViolations(page)
})

test('a check is kept, fails at the turn where a changed rule shows, and can take the change over', async ({
  page,
}) => {
  await threeTurns(page)
  await tapes(page)
  await page.getByLabel('Name of this tape').fill('Miss, then two')
  await page.getByLabel('Name of this tape').press('Enter')
  await page.getByRole('button', { name: 'Keep as a check' }).click()
  const checks = page.getByRole('list', { name: 'Checks', exact: true }).getByRole('listitem')
  await expect(checks).toContainText('passes')

  await page.getByRole('link', { name: 'Rules', exact: true }).click()
  await typeInto(page, 'Points of a match', '70')
  await page.getByRole('link', { name: 'Play', exact: true }).click()
  await tapes(page)
  await expect(checks).toContainText('fails')
  await expect(checks.getByRole('row', { name: /turn 2/ })).toContainText('A1 B1 lucky +100')
  await expect(checks.getByRole('row', { name: /turn 2/ })).toContainText('A1 B1 lucky +70')
  await expect(checks.getByRole('row', { name: /score/ })).toContainText('250')
  await expectNoViolations(page)
  await checks.getByRole('button', { name: 'Show Miss, then two on the tape' }).click()
  await expect(chip(page, 2)).toHaveAttribute('aria-current', 'step')
  await expect(card(page, 1)).toHaveAttribute('data-state', 'up')

  await checks.getByRole('button', { name: 'Accept the new result' }).click()
  await expect(checks).toContainText('passes')
  await checks.getByRole('button', { name: 'Miss, then two', exact: true }).click()
  await checks.getByLabel('score').fill('9')
  await checks.getByLabel('score').press('Enter')
  await expect(checks).toContainText('fails')
  await checks.getByLabel('outcome').fill('drawn')
  await checks.getByLabel('outcome').press('Enter')
  await expect(page.getByText('outcome: won, lost or open is expected')).toBeVisible()

  // the command line runs them too
  await toGameFile(page)
  const { path } = await downloadOf(page, () =>
    page.getByRole('button', { name: 'Download the game file' }).click(),
  )
  const { code, out } = await callBuilt('check', path, '--json')
  expect(code).toBe(1)
  expect(JSON.parse(out)).toContainEqual(
    expect.objectContaining({
      code: 'kept-check-failed',
      at: 'checks[0]',
      message: expect.stringContaining('score') as unknown,
    }),
  )
})

test('a table is set up, pasted, read from a log, and turned at any speed', async ({ page }) => {
  await test.step('any situation is two presses away', async () => {
    await startAt(page, 'play/bench')
    await page.getByRole('button', { name: 'the last pair' }).click()
    await expect(down(page)).toHaveCount(2)
    await page.getByRole('button', { name: 'Deal again' }).click()
    await page.getByRole('button', { name: 'the last seconds' }).click()
    await expect(page.getByText('5.0 s left')).toBeVisible()
    await page.getByRole('button', { name: 'Next', exact: true }).click()
    await expect(phase(page)).toContainText('lost')
    await expect(page.getByText('lost by clock', { exact: true })).toBeVisible()

    await page.getByRole('link', { name: /^Top drawer/ }).click()
    await page.getByRole('button', { name: 'one life lost' }).click()
    await page.getByRole('button', { name: 'one life lost' }).click()
    await expect(page.getByText('life lost, 4 left')).toBeVisible()
  })
  await test.step('a whole deal can be pasted, and goes into the record', async () => {
    const game = JSON.parse(readFileSync('demo/clockmakers-drawer.game.json', 'utf8'))
    const ids: string[] = game.deck.pairs.slice(0, 6).map(({ id }: { id: string }) => id)
    const cells = ids.flatMap((id) => [`${id}/a`, `${id}/a`])
    await startAt(page, 'play/warm-up')
    const { rows, columns } = { ...game.house.board, ...game.levels[0].board }
    const seed = page.getByLabel('seed')
    await seed.fill(JSON.stringify({ level: 'warm-up', seed: 'mine', rows, columns, cells }))
    await seed.press('Enter')
    await expect(seed).toHaveValue('mine')
    await expect(phase(page)).toHaveText('ready')
    await card(page, 0).click()
    await card(page, 1).click()
    await expect(page.getByText(/match A1 B1, glimpsed/)).toBeVisible()
    await tapes(page)
    const { path } = await downloadOf(page, () =>
      page.getByRole('button', { name: 'Save as a record' }).click(),
    )
    expect(JSON.parse(readFileSync(path, 'utf8'))).toMatchObject({
      version: 1,
      deal: cells,
      inputs: [{}, {}],
    })

    await page.getByRole('button', { name: 'Deal again' }).click()
    const long = 'a-record-whose-name-has-no-gap-and-is-longer-than-its-column'
    await page
      .getByLabel('Record to open')
      .setInputFiles(given(`${long}.play.json`, readFileSync(path, 'utf8')))
    await expect(chips(page)).toHaveCount(2)
    await page
      .getByLabel('Record to open')
      .setInputFiles(given('other.play.json', { ...JSON.parse(readFileSync(path, 'utf8')), game: 'other' }))
    await expect(page.getByText('a record of "other", not of this game')).toBeVisible()
    const backwards = {
      ...JSON.parse(readFileSync(path, 'utf8')),
      inputs: [
        { at: 9, do: 'press', cell: 0 },
        { at: 3, do: 'press', cell: 1 },
      ],
    }
    await page.getByLabel('Record to open').setInputFiles(given('back.play.json', backwards))
    await expect(
      page.getByText('back.play.json: inputs[1].at: 3 is earlier than the previous input (9)'),
    ).toBeVisible()
    await expect(chips(page)).toHaveCount(2)

    // a game dealt anew from the table itself is that of its seed again
    await page.keyboard.press('p')
    await page.getByRole('button', { name: 'Start over' }).click()
    await expect(seed).not.toHaveValue('mine')
    await page.getByRole('tab', { name: 'Ledger' }).click()
    await expect(phase(page)).toHaveText('ready')
    await card(page, 0).click()
    await card(page, 1).click()
    await expect(chips(page)).toHaveCount(2)
    await tapes(page)
    await expect(page.getByRole('button', { name: long, exact: true })).toBeVisible()
    await expect(page.getByRole('button', { name: 'Save as a record' })).toBeInViewport({ ratio: 1 })
    await expect(page.getByRole('button', { name: 'Audit' })).toBeInViewport({ ratio: 1 })
    const later = await downloadOf(page, () => page.getByRole('button', { name: 'Save as a record' }).click())
    expect(JSON.parse(readFileSync(later.path, 'utf8'))).not.toHaveProperty('deal')
  })
  await test.step('the log of another program is read up to the line that breaks the rules', async () => {
    await startAt(page, 'play/warm-up')
    const game = JSON.parse(readFileSync('demo/clockmakers-drawer.game.json', 'utf8'))
    const ids: string[] = game.deck.pairs.slice(0, 6).map(({ id }: { id: string }) => id)
    const { rows, columns } = { ...game.house.board, ...game.levels[0].board }
    const lines = [
      { level: 'warm-up', seed: 'x', rows, columns, cells: [...ids, ...ids].map((id) => `${id}/a`) },
      { at: 50000, do: 'press', cell: 'A1', shows: `${ids[0]}/a` },
      { at: 50100, do: 'press', cell: 'B1', shows: `${ids[1]}/a` },
      '{"at": 50150, "do',
      { at: 50200, do: 'press', cell: 'C1', shows: `${ids[2]}/a` },
    ].map((line) => (typeof line === 'string' ? line : JSON.stringify(line)))
    await page.getByRole('button', { name: 'Audit a log' }).click()
    const dialog = page.getByRole('dialog', { name: 'Audit of a log' })
    await dialog.getByLabel('Log, one JSON object a line').fill(lines.join('\n'))
    await dialog.getByRole('button', { name: 'Check this log' }).click()
    await expect(dialog.getByText('Line 5')).toBeVisible()
    await expect(dialog.getByText('the board is locked')).toBeVisible()
    await expect(dialog.getByText('line 4: this is not JSON, or it is cut off: left out')).toBeVisible()
    await expectNoViolations(page)
    await dialog.getByLabel('Log, one JSON object a line').fill(lines.slice(0, 3).join('\n'))
    await dialog.getByRole('button', { name: 'Check this log' }).click()
    await expect(dialog.getByText('The rules were kept: 3 lines, 2 presses.')).toBeVisible()
    // a long one is read elsewhere, and stays out of the field
    const long = [lines[0], ...Array.from({ length: 4000 }, (_, at) => `{"at":${at},"see":{}}`)].join('\n')
    await dialog
      .getByLabel('Log to open')
      .setInputFiles({ name: 'long.jsonl', mimeType: 'text/plain', buffer: Buffer.from(long) })
    await expect(dialog.getByText(/^long\.jsonl, [\d,]+ characters/)).toBeVisible()
    await expect(dialog.getByText('The rules were kept: 4001 lines, 0 presses.')).toBeVisible()
    await dialog.getByRole('button', { name: 'Type instead' }).click()
    await expect(dialog.getByLabel('Log, one JSON object a line')).toHaveValue('')
  })
  await test.step('cards turn as fast as time runs, and not at all where that would be a flicker', async () => {
    await openStation(page, 'play/warm-up')
    const turning = () =>
      card(page, 0).evaluate((button) =>
        button.getAnimations({ subtree: true }).map((one) => one.effect!.getComputedTiming().duration),
      )
    const fast = page.getByText('8×', { exact: true })
    const lookIsOver = () => expect(page.getByText('ready', { exact: true })).toBeVisible()
    await fast.click()
    await lookIsOver()
    await page.getByText('¼×', { exact: true }).click()
    await card(page, 0).click()
    await expect.poll(turning).toContain(4 * 270)
    await fast.click()
    await page.getByRole('button', { name: 'Deal again' }).click()
    await lookIsOver()
    await card(page, 0).click()
    await expect(card(page, 0)).toHaveAttribute('data-state', 'up')
    expect(await turning()).toEqual([])
  })
})

test('rough handling breaks nothing, and says what it tried', async ({ page }) => {
  await openStation(page, 'play/top-drawer')
  await page.getByRole('button', { name: 'Rough handling' }).click()
  const dialog = page.getByRole('dialog', { name: 'Rough handling' })
  await choose(page, 'Inputs', '100,000')
  await dialog.getByRole('button', { name: 'Start' }).click()
  await expect(dialog.getByText(/The rules held in all 100,\d{3} inputs/)).toBeVisible()
  await expect(dialog.getByRole('row', { name: /the same card pressed twice/ })).toBeVisible()
  await expectNoViolations(page)
})

test('two players take turns, score for themselves, and one wins', async ({ page }) => {
  await openStation(page, 'rules/warm-up')
  await choose(page, 'How many players', 'Two players take turns')
  await page.getByLabel('Name of player 1').fill('Ann')
  await page.getByLabel('Name of player 1').press('Enter')
  await page.getByLabel('Name of player 2').fill('Ben')
  await page.getByLabel('Name of player 2').press('Enter')
  await page.getByRole('link', { name: 'Play', exact: true }).click()
  await page.getByRole('button', { name: 'In order' }).click()
  await page.getByText('8×', { exact: true }).click()
  const seats = page.getByRole('list', { name: 'Players' }).getByRole('listitem')
  await expect(phase(page)).toHaveText('ready')
  await expect(seats).toHaveText(['Ann (your turn): 0 pairs, 0 points', 'Ben: 0 pairs, 0 points'])
  const turn = async (one: number, other: number): Promise<void> => {
    await card(page, one).click()
    await card(page, other).click()
    await expect(up(page)).toHaveCount(0)
  }
  await turn(0, 2)
  await expect(seats).toHaveText(['Ann: 0 pairs, 0 points', 'Ben (your turn): 0 pairs, 0 points'])
  for (let cell = 0; cell < 12; cell += 2) await turn(cell, cell + 1)
  const result = page.getByRole('dialog', { name: 'Winner: Ben' })
  await expect(result.getByRole('row', { name: /^Ben/ })).toHaveText(/^Ben60/)
  await expect(result.getByRole('row', { name: /^Ann/ })).toHaveText('Ann010')
  await expectNoViolations(page)
})

test('the ledger and the board go to the clipboard, and the filter leaves only what is asked for', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await threeTurns(page)
  const clip = () => page.evaluate(() => navigator.clipboard.readText())
  await page.getByRole('button', { name: 'board', exact: true }).click()
  await expect(page.getByText('The board is on the clipboard')).toBeVisible()
  expect((await clip()).split('\n')[0]).toMatch(/^Bench, seed /)
  expect((await clip()).trim().split('\n')).toHaveLength(6)
  await page.getByRole('button', { name: 'text', exact: true }).click()
  await expect(page.getByText('The ledger is on the clipboard').first()).toBeVisible()
  await expect.poll(clip).toMatch(/miss A1 C1, fresh/)
  await page.getByRole('button', { name: 'JSON', exact: true }).click()
  await expect.poll(async () => (await clip()).startsWith('{')).toBe(true)
  const ledger = JSON.parse(await clip()) as { cards: { cell: string }[]; events: unknown[] }
  expect(ledger.cards).toHaveLength(16)
  expect(ledger.events.length).toBeGreaterThan(9)

  await page.getByRole('searchbox', { name: 'Filter the cards' }).fill('matched')
  await expect(page.getByRole('region', { name: 'Cards' }).getByRole('row', { name: /matched/ })).toHaveCount(
    4,
  )
})

test('the ledger of a large board holds the rows in sight, and follows the card that is turned', async ({
  page,
}) => {
  await openStation(page, 'deal/bench')
  await typeInto(page, 'Rows', '10')
  await typeInto(page, 'Columns', '10')
  await choose(page, 'Whether pairs repeat', 'evenly, if there are too few')
  await page.getByRole('link', { name: 'Rules', exact: true }).click()
  // long enough to be looked at on any machine
  await typeInto(page, 'Look time of a miss', '30')
  await page.getByRole('link', { name: 'Play', exact: true }).click()
  const rows = page.getByRole('region', { name: 'Cards' }).getByRole('row', { name: /^[A-Z]+\d+ / })
  await expect(rows.first()).toBeVisible()
  await expect.poll(() => rows.count()).toBeLessThan(60)
  await card(page, 95).click()
  await expect(page.getByRole('row', { name: /^F10 .*up, first/ })).toBeInViewport()
  await card(page, 4).click()
  await expect(page.getByRole('row', { name: /^E1 .*up, second/ })).toBeInViewport()
})

test('a long tape holds the chips in sight, and goes along with the turn', async ({ page }) => {
  const turns = 24
  await openStation(page, 'play/warm-up')
  await page.getByRole('button', { name: 'In order' }).click()
  await page.getByText('8×', { exact: true }).click()
  // the first look is over
  await expect(page.getByText('ready', { exact: true })).toBeVisible()
  for (let turn = 0; turn < turns; turn++) {
    await card(page, 0).click()
    await card(page, 2).click()
    await expect(up(page)).toHaveCount(0)
  }
  const last = chip(page, turns)
  await expect(last).toBeInViewport()
  await expect(last.locator('..')).toHaveAttribute('aria-setsize', String(turns + 1))
  await expect.poll(() => chips(page).count()).toBeLessThan(turns)
  await page.getByRole('button', { name: 'deal', exact: true }).click()
  await expect(chip(page, 1)).toBeInViewport()
  await expect(last).toHaveCount(0)
  await page.keyboard.press('.')
  await expect(chip(page, 1)).toHaveAttribute('aria-current', 'step')
  for (let turn = 1; turn < turns; turn++) await page.keyboard.press('.')
  await expect(last).toHaveAttribute('aria-current', 'step')
  await expect(last).toBeInViewport()
})
