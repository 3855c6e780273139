import { expect } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { readGame } from '../src/core/files/game-file.ts'
import { writeRecord } from '../src/core/files/record-file.ts'
import { tableOf } from '../src/core/game/check.ts'
import { playMinds } from '../src/core/odds/play-minds.ts'
import type { Input } from '../src/core/play/events.ts'
import { newRound } from '../src/core/play/new-round.ts'
import { card, choose, down, expectNoViolations, fileOf, openStation, type, startAt } from './helpers.ts'
import { gameNow, mindCard, played, winsOf } from './odds-page.ts'
import { test } from './test.ts'

test('a mind is fitted to records, or is copied, edited and read from a file', async ({ page }) => {
  await test.step('a mind is fitted to records that are dropped here, and plays', async () => {
    await startAt(page, 'odds/warm-up')
    await page.getByRole('button', { name: 'Fit one…' }).click()
    const dialog = page.getByRole('dialog', { name: 'A mind that plays like your players' })
    const use = dialog.getByRole('button', { name: 'Use it' })
    await expect(use).toBeDisabled()
    const records = recordsOf('cabinet', 24)
    const choose = dialog.getByLabel('Records to fit', { exact: true })
    await choose.setInputFiles(records.slice(0, 1))
    await expect(
      dialog.getByText(/^1 record is used; \d+ turns? shows? what was remembered: too few, 30 are needed/),
    ).toBeVisible()
    await expect(use).toBeDisabled()
    // one of another game, and one that is not a record, are named and left out
    await choose.setInputFiles([
      ...records.slice(1),
      fileOf(
        'other.play.json',
        records[0]!.buffer.toString().replace('clockmakers-drawer', 'signal-room'),
        'application/json',
      ),
      fileOf('none.play.json', '{', 'application/json'),
    ])
    await expect(
      dialog.getByText(/^24 records are used; [\d,]+ turns show what was remembered\./),
    ).toBeVisible()
    await dialog.getByText('2 left out').click()
    await expect(dialog.getByText('other.play.json: a record of "signal-room"')).toBeVisible()
    await expect(dialog.getByText(/^none.play.json: .*JSON/)).toBeVisible()
    await expect(
      dialog.getByRole('table', { name: 'Twins found, by how long ago they were seen' }),
    ).toBeVisible()
    // each row's interval is drawn at its values
    const bars = dialog.getByRole('img', { name: / % to / })
    for (const bar of await bars.all()) {
      const [low, high] = (await bar.getAttribute('aria-label'))!.match(/\d+/g)!.map(Number)
      const [left, right] = await bar.evaluate((one) => {
        const [whole, part] = [one.getBoundingClientRect(), one.firstElementChild!.getBoundingClientRect()]
        return [part.left, part.right].map((x) => (100 * (x - whole.left)) / whole.width)
      })
      expect(Math.abs(left! - low!) + Math.abs(right! - high!)).toBeLessThan(4)
    }
    expect(await bars.count()).toBeGreaterThan(5)
    await expectNoViolations(page)
    await use.click()
    await expect(mindCard(page, 'Fitted')).toHaveAttribute('aria-pressed', 'true')
    await expect(winsOf(page, 'Fitted')).toBeVisible()
    const [mind] = (await gameNow(page)).minds
    expect(Math.abs(mind.memory.notice - 0.9)).toBeLessThan(0.12)
    expect(Math.abs(mind.memory.fade - 0.1)).toBeLessThan(0.06)
    expect(Math.abs(mind.pace.first - 1500)).toBeLessThan(120)
  })
  await test.step('a mind of its own is copied, edited, read from a file, and kept in the game', async () => {
    await startAt(page, 'odds/warm-up')
    await page.getByRole('button', { name: 'Keen: view or edit' }).click()
    const slip = page.getByRole('dialog')
    await expect(
      slip.getByRole('list', { name: 'The same eight cards, turn by turn' }).getByRole('listitem').first(),
    ).toBeVisible()
    await expectNoViolations(page)
    await slip.getByRole('button', { name: 'Copy it' }).click()
    await slip.getByRole('textbox', { name: 'Name of the mind' }).fill('Aunt Tock')
    await slip.getByRole('textbox', { name: 'Name of the mind' }).press('Enter')
    await type(page, 'Cards held', '2')
    await slip.getByRole('button', { name: 'Add it to this game' }).click()
    await expect(mindCard(page, 'Aunt Tock')).toHaveAttribute('aria-pressed', 'false')
    expect((await gameNow(page)).minds).toMatchObject([
      { id: 'keen-copy', name: 'Aunt Tock', memory: { hold: 2 } },
    ])
    await mindCard(page, 'Aunt Tock').click()
    await expect(winsOf(page, 'Aunt Tock')).toBeVisible()

    // from a file; a wrong one is named
    await page.getByRole('button', { name: 'Mind', exact: true }).click()
    const file = page.getByLabel('A mind from a file', { exact: true })
    const mind = {
      format: 'lucky-twin/mind',
      version: 1,
      id: 'tick',
      name: 'Tick',
      memory: { notice: 1, hold: 3, fade: 0, blur: 0, glance: 0 },
      pace: { first: 800, second: 800, spread: 0 },
    }
    await file.setInputFiles(
      fileOf(
        'wrong.mind.json',
        JSON.stringify({ ...mind, memory: { ...mind.memory, hold: -1 } }),
        'application/json',
      ),
    )
    await expect(page.getByText('wrong.mind.json: memory.hold: at least 0')).toBeVisible()
    await file.setInputFiles(fileOf('tick.mind.json', JSON.stringify(mind), 'application/json'))
    await expect(slip.getByRole('textbox', { name: 'Name of the mind' })).toHaveValue('Tick')
    await slip.getByRole('button', { name: 'Add it to this game' }).click()
    await expect(mindCard(page, 'Tick')).toBeVisible()
    await page.getByRole('button', { name: 'Tick: view or edit' }).click()
    await slip.getByRole('button', { name: 'Remove it' }).click()
    await expect(mindCard(page, 'Tick')).toHaveCount(0)
    await page.keyboard.press('Control+z')
    await expect(mindCard(page, 'Tick')).toBeVisible()

    // if the only ones switched on belong to another game, an everyday one plays
    for (const name of ['Perfect', 'Keen', 'Everyday', 'Fleeting']) await mindCard(page, name).click()
    await startAt(page, 'odds', 'signal-room')
    await expect(winsOf(page, 'Everyday')).toBeVisible()
  })
})

/** Records of a level as a mind with notice 0.9 and fade 0.1 plays it. */
function recordsOf(level: string, count: number) {
  const read = readGame(readFileSync('demo/clockmakers-drawer.game.json', 'utf8'))
  if (!read.ok) throw new Error(read.problem.message)
  const game = read.value
  const memory = { notice: 0.9, hold: null, fade: 0.1, blur: 0, glance: 0 }
  const mind = { id: 'real', name: 'Real', memory, pace: { first: 1500, second: 700, spread: 0.3 } }
  return Array.from({ length: count }, (_, i) => {
    const seed = `fit-${i}`
    const table = tableOf(game, { level, seed })
    if (!table.ok) throw new Error(table.problem.message)
    const round = newRound(table.value.rules, table.value.cells)
    playMinds(round, [mind], 'real', i + 1)
    const inputs = round.events!.flatMap((event): Input[] =>
      event.kind === 'flip' ? [{ at: event.at, do: 'press', cell: event.cell }] : [],
    )
    const text = writeRecord({ game: game.id, level, seed, inputs, until: round.at })
    return fileOf(`real-${i}.play.json`, text, 'application/json')
  })
}

test('what was played in Play is fitted as well, but not what a mind was watched playing', async ({
  page,
}) => {
  await openStation(page, 'play/warm-up')
  await choose(page, 'Played by', 'perfect')
  await page.getByText('8×', { exact: true }).click()
  await expect(page.getByRole('dialog', { name: 'All pairs found' })).toBeVisible()
  await choose(page, 'Played by', 'you')
  await page.getByRole('button', { name: 'In order', exact: true }).click()
  await expect(down(page)).toHaveCount(12)
  for (const cell of [0, 2]) await card(page, cell).click()
  await page.getByRole('tab', { name: 'Tapes and checks' }).click()
  const tapes = page.getByRole('list', { name: 'Kept tapes' }).getByRole('listitem')
  await expect(tapes).toHaveText([/Warm-up, by perfect, 6 turns/])
  // a tape stays, including the one on the table
  await page.getByRole('link', { name: 'Odds', exact: true }).click()
  await played(page)
  await page.getByRole('button', { name: 'Fit one…' }).click()
  const dialog = page.getByRole('dialog', { name: 'A mind that plays like your players' })
  await expect(dialog.getByText('with what you played here: 1 tape')).toBeVisible()
  await expect(
    dialog.getByText(/1 record is used; \d turns? shows? what was remembered: too few/),
  ).toBeVisible()
  await dialog.getByText('with what you played here: 1 tape').click()
  await expect(dialog.getByText(/record is used/)).toHaveCount(0)
})
