import { expect, type Page } from '@playwright/test'
import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { readGame } from '../src/core/files/game-file.ts'
import { writeRecord } from '../src/core/files/record-file.ts'
import { tableOf } from '../src/core/game/check.ts'
import { playMinds } from '../src/core/odds/play-minds.ts'
import type { Input } from '../src/core/play/events.ts'
import { newRound } from '../src/core/play/new-round.ts'
import { choice, choose, expectNoViolations, fileOf, gameOf, openRung, openStation, type } from './helpers.ts'
import { test } from './test.ts'

/** The games of all minds are there when nothing is being played any more. */
async function played(page: Page): Promise<void> {
  await expect(page.getByRole('heading', { name: /, 4,000 games a mind$/ })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Again', exact: true })).toBeVisible()
}
const mindCard = (page: Page, name: string) =>
  page
    .getByRole('list', { name: 'Minds' })
    .getByRole('button', { name: new RegExp(`^${name}`), pressed: undefined })
    .first()
/** What is told of a mind's wins, as "92 91 to 92". */
const winsOf = (page: Page, name: string) =>
  page
    .getByRole('term')
    .filter({ hasText: new RegExp(`^${name}$`) })
    .locator('xpath=following-sibling::dd[1]')
const limit = (page: Page) => page.getByRole('slider', { name: 'Time limit' })
/** The game as it stands; the station is opened again afterwards. */
async function gameNow(page: Page) {
  const game = await gameOf(page)
  await page.getByRole('link', { name: 'Odds', exact: true }).click()
  return game
}

test('minds play the open level as they do on the command line, and are switched on and off', async ({
  page,
}) => {
  await openStation(page, 'odds/warm-up')
  await played(page)
  await expect(mindCard(page, 'Everyday')).toHaveAttribute('aria-pressed', 'true')
  await mindCard(page, 'Fleeting').click()
  await expect(winsOf(page, 'Fleeting')).toHaveCount(0)
  await mindCard(page, 'No memory').click()
  await expect(winsOf(page, 'No memory')).toBeVisible()
  await page.getByRole('link', { name: /^Top drawer/ }).click()
  await expect(page.getByRole('heading', { name: 'Top drawer, 4,000 games a mind' })).toBeVisible()
  await played(page)
  const told = JSON.parse(
    execFileSync(
      'node',
      [
        'scripts/lucky-twin.mjs',
        'odds',
        'demo/clockmakers-drawer.game.json',
        '--level',
        'top-drawer',
        '--mind',
        'everyday',
        '--games',
        '4000',
        '--json',
      ],
      {
        encoding: 'utf8',
      },
    ),
  ) as { won: number; games: number; interval: number[]; lostBy: { lives: number } }
  const [low, high] = told.interval.map((share) => Math.round(share * 100))
  await expect(winsOf(page, 'Everyday')).toContainText(
    `${Math.round((told.won / told.games) * 100)} ${low} to ${high}`,
  )
  await expect(winsOf(page, 'Everyday')).toContainText(
    `lives ${Math.round((told.lostBy.lives / told.games) * 100)}`,
  )
  await expectNoViolations(page)
  // the choice of minds is kept
  await page.reload()
  await played(page)
  await expect(mindCard(page, 'No memory')).toHaveAttribute('aria-pressed', 'true')
  // one mind is always left
  for (const name of ['Perfect', 'Keen', 'Everyday', 'No memory']) await mindCard(page, name).click()
  await expect(mindCard(page, 'No memory')).toHaveAttribute('aria-pressed', 'true')
})

test('the limit is dragged and moved by keys, and the shares follow', async ({ page }) => {
  await openStation(page, 'odds/bench')
  await played(page)
  await expect(limit(page)).toHaveAttribute('aria-valuetext', '1:10')
  const before = await winsOf(page, 'Fleeting').innerText()
  const line = (await limit(page).boundingBox())!
  await page.mouse.move(line.x + line.width / 2, line.y + 60)
  await page.mouse.down()
  await page.mouse.move(line.x - 150, line.y + 60, { steps: 5 })
  // while it is held the level is as it was
  await expect.poll(() => winsOf(page, 'Fleeting').innerText()).not.toBe(before)
  await expect(openRung(page)).toContainText('1:10')
  const shown = await limit(page).getAttribute('aria-valuetext')
  const there = (await winsOf(page, 'Fleeting').innerText()).split(/\s/)[0]
  await page.mouse.up()
  await played(page)
  await expect(limit(page)).toHaveAttribute('aria-valuetext', shown!)
  // the games that are really played come to the same
  await expect.poll(async () => (await winsOf(page, 'Fleeting').innerText()).split(/\s/)[0]).toBe(there)
  await expect(openRung(page)).toContainText(shown!)
  await limit(page).focus()
  await page.keyboard.press('ArrowRight')
  const [minutes, seconds] = shown!.split(':').map(Number)
  const next = minutes! * 60 + seconds! + 1
  await expect(openRung(page)).toContainText(`${Math.floor(next / 60)}:${String(next % 60).padStart(2, '0')}`)
  await page.keyboard.press('Control+z')
  await page.keyboard.press('Control+z')
  await expect(limit(page)).toHaveAttribute('aria-valuetext', '1:10')
})

test('the sentence solves for a rule, and sets it on the level or in the house rules', async ({ page }) => {
  await openStation(page, 'odds/bench')
  await played(page)
  await choose(page, 'Mind', 'fleeting')
  await type(page, 'Wins of 10', '5')
  const set = page.getByRole('button', { name: 'Set it' })
  await expect(set).toBeEnabled()
  const solved = page.getByRole('region', { name: 'What has to be' })
  const value = (await solved.getByText(/^\d:\d\d$/).innerText()).trim()
  await expect(solved).toContainText(/of 100 win \(\d+ to \d+\)/)
  await set.click()
  await expect(page.getByRole('button', { name: 'Is set' })).toBeDisabled()
  await expect(limit(page)).toHaveAttribute('aria-valuetext', value)
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click()
  await expect(limit(page)).toHaveAttribute('aria-valuetext', '1:10')
  await choose(page, 'Rule that is solved for', 'look time of a miss')
  await choose(page, 'Where it is set', 'in the house rules')
  await expect(set).toBeEnabled()
  await set.click()
  expect((await gameNow(page)).house.turn.missLook).not.toBe(1000)
  // what cannot be had is said, and why
  await page.getByRole('link', { name: /^Warm-up/ }).click()
  await played(page)
  await expect(solved).toContainText('This rule changes nothing here')
  await expect(set).toBeDisabled()
})

test('the ladder is evened out in one step that can be undone', async ({ page }) => {
  await openStation(page, 'odds/bench')
  await played(page)
  const before = (await gameNow(page)).levels
  await type(page, 'Wins wanted on the first level, of 100', '95')
  await type(page, 'Wins wanted on the last level, of 100', '50')
  await page.getByRole('button', { name: 'Even it out…' }).click()
  const dialog = page.getByRole('dialog', { name: 'Even out the ladder' })
  await expect(dialog.getByRole('row', { name: /^Cabinet 50 1:50 \d:\d\d/ })).toBeVisible()
  await expectNoViolations(page)
  await dialog.getByRole('button', { name: 'Change 4 levels' }).click()
  await expect(page.getByText('The ladder is evened out: 4 levels changed')).toBeVisible()
  await expect(openRung(page)).not.toContainText('1:10')
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click()
  await expect(openRung(page)).toContainText('1:10')
  expect((await gameNow(page)).levels).toEqual(before)
})

test('a mind of its own is copied, edited, read from a file, and kept in the game', async ({ page }) => {
  await openStation(page, 'odds/warm-up')
  await page.getByRole('button', { name: 'Keen: look at it, or edit it' }).click()
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
  await page.getByRole('button', { name: 'Tick: look at it, or edit it' }).click()
  await slip.getByRole('button', { name: 'Remove it' }).click()
  await expect(mindCard(page, 'Tick')).toHaveCount(0)
  await page.keyboard.press('Control+z')
  await expect(mindCard(page, 'Tick')).toBeVisible()

  // where the only ones that play are of another game, an everyday one does
  for (const name of ['Perfect', 'Keen', 'Everyday', 'Fleeting']) await mindCard(page, name).click()
  await openStation(page, 'odds', 'signal-room')
  await expect(winsOf(page, 'Everyday')).toBeVisible()
})

test('figures that are out of date are counted again by themselves, or when asked', async ({ page }) => {
  await openStation(page, 'odds/bench')
  await played(page)
  await page.getByRole('checkbox', { name: 'by itself' }).click()
  const lives = async () => {
    await page.getByRole('link', { name: 'Rules', exact: true }).click()
    await page.getByRole('button', { name: 'and… more about limits', exact: true }).click()
    await page.getByRole('menuitem', { name: 'lives', exact: true }).click()
    await type(page, 'Lives', '2')
  }
  await lives()
  await page.getByRole('link', { name: 'Odds', exact: true }).click()
  await played(page)
  await expect(winsOf(page, 'Fleeting')).toContainText('lives')
  // undone here, the figures stay, and say that they are old
  await page.keyboard.press('Control+z')
  await page.keyboard.press('Control+z')
  await expect(page.getByText('the rules have changed')).toBeVisible()
  await expect(winsOf(page, 'Fleeting')).toContainText('lives')
  await page.getByRole('button', { name: 'Again', exact: true }).click()
  await expect(page.getByText('the rules have changed')).toBeHidden()
  await played(page)
  await expect(winsOf(page, 'Fleeting')).not.toContainText('lives')
})

test('the kindest and the hardest deal are played or fixed', async ({ page }) => {
  await openStation(page, 'odds/warm-up')
  const deals = page.getByRole('region', { name: 'Deals' })
  const seed = await deals.getByRole('term').first().innerText()
  expect(seed).toMatch(/^odds-\d+$/)
  await deals.getByRole('button', { name: 'Play it' }).first().click()
  await expect(page.getByRole('textbox', { name: 'seed', exact: true })).toHaveValue(seed)
  await page.getByRole('link', { name: 'Odds', exact: true }).click()
  await deals.getByRole('button', { name: 'Always deal it' }).first().click()
  await expect(deals).toBeHidden()
  expect((await gameNow(page)).levels[0].deal.seed).toEqual({ fixed: seed })
  // where it is always the same deal, none is kinder
  await expect(deals).toBeHidden()
  await page.getByRole('link', { name: 'Deal', exact: true }).click()
  await expect(choice(page, 'When the seed changes', 'always this one')).toBeVisible()
})

test('a level that cannot be dealt says so, and is left out of the ladder', async ({ page }) => {
  await openStation(page, 'deal/bench')
  await type(page, 'Rows', '3')
  await type(page, 'Columns', '5')
  await page.getByRole('link', { name: 'Odds', exact: true }).click()
  await expect(page.getByRole('alert')).toContainText('This level cannot be dealt, so nobody can play it')
  await page.getByRole('link', { name: /^Warm-up/ }).click()
  await played(page)
  await expect(openRung(page)).toContainText('Warm-up')
  await expect(
    page.getByRole('img', { name: /^Wins of 100 up the ladder.*Bench cannot be dealt/ }),
  ).toBeVisible()
})

test('a mind is fitted to records that are dropped here, and plays', async ({ page }) => {
  await openStation(page, 'odds/warm-up')
  await page.getByRole('button', { name: 'Fit one…' }).click()
  const dialog = page.getByRole('dialog', { name: 'A mind that plays like your players' })
  const use = dialog.getByRole('button', { name: 'Use it' })
  await expect(use).toBeDisabled()
  const records = recordsOf('cabinet', 24)
  const choose = dialog.getByLabel('Records to fit', { exact: true })
  await choose.setInputFiles(records.slice(0, 1))
  await expect(
    dialog.getByText(/^1 record is used; \d+ turns? tells? what was remembered: too few, 30 are needed/),
  ).toBeVisible()
  await expect(use).toBeDisabled()
  // one of another game, and one that is none, are named and left out
  await choose.setInputFiles([
    ...records.slice(1),
    fileOf(
      'other.play.json',
      records[0]!.buffer.toString().replace('clockmakers-drawer', 'signal-room'),
      'application/json',
    ),
    fileOf('none.play.json', '{', 'application/json'),
  ])
  await expect(dialog.getByText(/^24 records are used; \d+ turns tell what was remembered\./)).toBeVisible()
  await dialog.getByText('2 left out').click()
  await expect(dialog.getByText('other.play.json: a record of "signal-room"')).toBeVisible()
  await expect(dialog.getByText(/^none.play.json: .*JSON/)).toBeVisible()
  await expect(dialog.getByRole('table', { name: 'Taken, by how long ago the twin was seen' })).toBeVisible()
  await expectNoViolations(page)
  await use.click()
  await expect(mindCard(page, 'Fitted')).toHaveAttribute('aria-pressed', 'true')
  await expect(winsOf(page, 'Fitted')).toBeVisible()
  const [mind] = (await gameNow(page)).minds
  expect(Math.abs(mind.memory.notice - 0.9)).toBeLessThan(0.12)
  expect(Math.abs(mind.memory.fade - 0.1)).toBeLessThan(0.06)
  expect(Math.abs(mind.pace.first - 1500)).toBeLessThan(120)
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

test('a level that hardly anybody wins is a finding: it opens Odds, and is mended by a value that is solved for', async ({
  page,
}) => {
  await openStation(page, 'rules/top-drawer')
  await type(page, 'Time limit', '0:22')
  const meaning = page.getByRole('complementary', { name: 'What that means' })
  await expect(
    meaning.getByText(/hardly anybody wins: players like everyday won \d+ of 100 games/i),
  ).toBeVisible()
  await page.getByRole('link', { name: 'Ship', exact: true }).click()
  const line = page.getByRole('listitem').filter({ hasText: 'Top drawer: hardly anybody wins' })
  await line.getByRole('link', { name: 'Go there' }).click()
  await expect(page).toHaveURL(/odds\/top-drawer$/)
  await played(page)
  const mend = page.getByRole('button', { name: /on the clock: 7 of 10 like everyday win$/ })
  await expectNoViolations(page)
  await mend.click()
  await expect(mend).toBeHidden()
  await played(page)
  const wins = Number((await winsOf(page, 'Everyday').innerText()).split(/\s/)[0])
  expect(wins).toBeGreaterThan(60)
  await page.keyboard.press('Control+z')
  await expect(mend).toBeVisible()
})

test('a level that is easier than the one before is a finding, with a way out', async ({ page }) => {
  await openStation(page, 'odds/cabinet')
  await limit(page).focus()
  for (let i = 0; i < 4; i++) await page.keyboard.press('PageUp')
  await expect(openRung(page)).toContainText('2:30')
  const mend = page.getByRole('button', { name: /on the clock: as many win as before$/ })
  await expect(
    page.getByText(/easier than Top drawer, the level before: players like everyday won/i),
  ).toBeVisible()
  await mend.click()
  await expect(mend).toBeHidden()
  await expect(openRung(page)).not.toContainText('2:30')
  // steps by keys in quick succession are one step to undo
  await page.keyboard.press('Control+z')
  await page.keyboard.press('Control+z')
  await expect(openRung(page)).toContainText('1:50')
})
