import { expect, type Page } from '@playwright/test'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'
import { begin, card, choose, down, expectNoViolations, gameOf, openStation, phase, up } from './helpers.ts'
import { luckyTwin } from './lucky-twin.ts'
import { test } from './test.ts'

// opens pages from files
test.use({ own: true, motion: true })

const DEMO = 'demo/clockmakers-drawer.game.json'
const seats = (page: Page) => page.getByRole('list', { name: 'Players' }).getByRole('listitem')

/**
 * Ships the clockmaker's game with its players, quick looks, and a mind that thinks this long before each press; gives
 * its address and the first level's deal of a seed.
 */
async function shipped(
  name: string,
  players: object,
  turn: object = {},
  thinks = 60,
): Promise<{ url: string; size: number; deal: (string | null)[] }> {
  const file = JSON.parse(readFileSync(DEMO, 'utf8'))
  file.levels[0].turn.firstLook = 0
  Object.assign(file.house.turn, { matchLook: 100, missLook: 100, ...turn })
  Object.assign(file.house.finish, { wait: 100 })
  Object.assign(file.house.players, players)
  file.minds = [
    {
      id: 'quick',
      name: 'Quick',
      memory: { notice: 1, hold: null, fade: 0, blur: 0, glance: 0 },
      pace: { first: thinks, second: thinks, spread: 0 },
    },
  ]
  const folder = mkdtempSync(join(tmpdir(), 'rivals-'))
  const game = join(folder, `${name}.game.json`)
  writeFileSync(game, JSON.stringify(file))
  const html = join(folder, `${name}.html`)
  await luckyTwin('ship', game, '--to', html)
  const deal = JSON.parse(
    await luckyTwin('deal', game, '--level', file.levels[0].id, '--seed', 'tick-1'),
  ).cells
  return { url: `${pathToFileURL(html).href}?seed=tick-1`, size: readFileSync(html).length, deal }
}
/** Two cells that are face down and do not match. */
async function missOf(page: Page, deal: (string | null)[]): Promise<[number, number]> {
  const cells = await down(page).evaluateAll((all) =>
    all.map((one) => Number((one as HTMLElement).dataset.cell)),
  )
  const pairOf = (cell: number): string => deal[cell]!.split('/')[0]!
  const other = cells.slice(1).find((cell) => pairOf(cell) !== pairOf(cells[0]!))
  return [cells[0]!, other ?? cells[1]!]
}
/** Plays a miss wherever that is possible, whenever it is Ann's turn, until the game is over. */
async function playBadly(page: Page, deal: (string | null)[]): Promise<void> {
  const result = page.getByRole('dialog', { name: /^Winner: |share the win$/ })
  const mine = seats(page).first().filter({ hasText: '(your turn)' })
  for (;;) {
    await expect(mine.or(result).first()).toBeVisible()
    if (await result.isVisible()) return
    await expect(up(page)).toHaveCount(0)
    const [one, other] = await missOf(page, deal)
    await card(page, one).click()
    await expect(up(page)).toHaveCount(1)
    await card(page, other).click()
    // they turn back, or stay as a pair
    await expect.poll(async () => (await up(page).count()) === 0 || (await result.isVisible())).toBe(true)
  }
}

test('where no mind plays, the table stays as it is while time passes', async ({ page }) => {
  await openStation(page, 'play/cabinet')
  await down(page).first().click()
  await expect(up(page)).toHaveCount(1)
  const table = page
    .getByRole('region', { name: "The Clockmaker's Drawer" })
    .filter({ has: page.getByRole('grid') })
  const changes = await table.last().evaluate(async (root) => {
    let count = 0
    const watch = new MutationObserver((list) => (count += list.length))
    watch.observe(root, { attributes: true, attributeFilter: ['class'] })
    for (let frame = 0; frame < 10; frame++) await new Promise(requestAnimationFrame)
    watch.disconnect()
    return count
  })
  expect(changes).toBe(0)
})

test('a seat is given to a mind in Rules, which plays it in Play at its own pace', async ({ page }) => {
  await openStation(page, 'rules/bench')
  await choose(page, 'How many players', 'Two players take turns')
  await choose(page, 'Who is player 2', 'the mind everyday')
  await expect(page.getByRole('textbox', { name: 'Name of player 2' })).toHaveValue('Everyday')
  await page.getByRole('combobox', { name: /^Who is player 1: / }).click()
  // at least one person has to play
  await expect(page.getByRole('listbox', { name: /^Who is player 1: / }).getByRole('option')).toHaveText([
    'a person',
  ])
  await page.keyboard.press('Escape')
  expect((await gameOf(page)).levels[1]!.players).toEqual({
    names: ['Player 1', 'Everyday'],
    minds: [null, 'everyday'],
  })

  await page.goto('/games/clockmakers-drawer/play/bench')
  await page.getByRole('button', { name: 'In order', exact: true }).click()
  await expect(seats(page).first()).toContainText('Player 1 (your turn)')
  await card(page, 0).click()
  await card(page, 2).click()
  await expect(seats(page).nth(1)).toContainText('Everyday (plays now)')
  // its turn is on the tape like any other, and then it is the person's turn again
  const tape = page.getByRole('list', { name: 'Tape' }).getByRole('button')
  await expect(tape.nth(2)).toBeVisible()
  await expect(page.getByText(/Player 1 has the next turn\./)).toBeAttached()
  await expectNoViolations(page)
})

test('a page in which nobody plays but persons has nothing of minds in its script', async () => {
  const ofMinds = /haveTurn|mindKeen/
  const scriptOf = async (players: object): Promise<string> => {
    const { url } = await shipped('script', players)
    return readFileSync(fileURLToPath(url.split('?')[0]!), 'utf8').split('<script>')[1]!
  }
  expect(await scriptOf({})).not.toMatch(ofMinds)
  expect(await scriptOf({ names: ['Ann', 'Quick'], minds: [null, 'quick'] })).toMatch(ofMinds)
})

test('nothing can be pressed for a mind', async ({ page }) => {
  const { url, deal } = await shipped('patient', { names: ['Ann', 'Quick'], minds: [null, 'keen'] })
  await page.goto(url)
  await page.getByRole('button', { name: 'Begin' }).click()
  for (const cell of await missOf(page, deal)) await card(page, cell).click()
  await expect(seats(page).nth(1)).toContainText('(plays now)')
  const before = await down(page).count()
  await down(page).first().press('Enter')
  expect(await down(page).count()).toBe(before)
})

test('the button that turns missed cards back is there for a person alone', async ({ page }) => {
  const { url, deal } = await shipped(
    'button',
    { names: ['Ann', 'Quick'], minds: [null, 'none'] },
    { onMiss: 'button' },
  )
  await page.goto(url)
  await page.getByRole('button', { name: 'Begin' }).click()
  const turnBack = page.getByRole('button', { name: 'Turn them back' })
  for (const cell of await missOf(page, deal)) await card(page, cell).click()
  await expect(up(page)).toHaveCount(2)
  // asked once: a little later the mind has turned them back
  expect(await turnBack.isVisible()).toBe(false)
  // the mind turns its own back itself; its misses then are Ann's to turn back
  await turnBack.click()
  await expect(seats(page).first()).toContainText('Ann (your turn)')
  await expect(up(page)).toHaveCount(0)
})

test('a person plays against a mind to the end, in the shipped file', async ({ page }) => {
  const { url, deal } = await shipped('quick', { names: ['Ann', 'Quick'], minds: [null, 'quick'] })
  await page.goto(url)
  const panel = page.getByRole('dialog', { name: 'Who plays?' })
  // only persons are asked for their names
  await expect(panel.getByRole('textbox')).toHaveCount(1)
  await panel.getByRole('button', { name: 'Begin' }).click()
  await playBadly(page, deal)
  await expect(page.getByRole('dialog', { name: 'Winner: Quick' })).toBeVisible()
  await expect(page.getByRole('row', { name: /^Quick/ })).toBeVisible()
})

test('one who plays alone chooses a rival, where the game offers it; a game that is left goes on against the same', async ({
  page,
}) => {
  // a quick one might have won before the game is left
  const offered = await shipped('offered', { offersRival: true }, {}, 20_000)
  await page.goto(offered.url.replace('?seed=tick-1', ''))
  await begin(page)
  const panel = page.getByRole('dialog', { name: 'Who plays?' })
  await expectNoViolations(page)
  await expect(panel.getByRole('button')).toHaveText([
    'Opponent: Perfect',
    'Opponent: Keen',
    'Opponent: Everyday',
    'Opponent: Fleeting',
    'Opponent: No memory',
    'Opponent: Quick',
    'Play alone',
  ])
  const upright = page.viewportSize()!
  await page.setViewportSize({ width: 780, height: 360 })
  // a phone held sideways shows all of them
  await expect.poll(() => panel.evaluate((box) => box.scrollHeight - box.clientHeight)).toBe(0)
  await page.setViewportSize(upright)
  await panel.getByRole('button', { name: 'Opponent: Quick' }).click()
  await expect(seats(page)).toHaveCount(2)
  await down(page).first().click()
  await down(page).last().click()
  await expect(page.getByText(/has the next turn|A match/).first()).toBeAttached()
  await page.reload()
  await page.getByRole('button', { name: 'Go on' }).click()
  await expect(seats(page).nth(1)).toContainText('Quick')

  const alone = await shipped('alone', {})
  expect(offered.size - alone.size).toBeGreaterThan(1000)
  await page.goto(alone.url)
  await expect(panel).toBeHidden()
})

test('a chosen rival is called by its name in the language of the page', async ({ page }) => {
  const { url } = await shipped('german', { offersRival: true }, {}, 20_000)
  await page.goto(url.replace('?seed=tick-1', '?lang=de'))
  await page.getByRole('button', { name: 'Los geht’s' }).click()
  await page.getByRole('button', { name: 'Gegner: Durchschnittlich' }).click()
  const players = page.getByRole('list', { name: 'Spieler' }).getByRole('listitem')
  await expect(players.nth(1)).toContainText('Durchschnittlich')
})

test('a mind is watched on the table of Play: the game that Odds counted, on the tape', async ({ page }) => {
  await openStation(page, 'odds/warm-up')
  await page.getByRole('button', { name: 'Watch Perfect play' }).click()
  await expect(page.getByRole('textbox', { name: 'seed' })).toHaveValue('odds-1')
  // step by step it presses, and time stands still in between
  await expect(async () => {
    await page.getByRole('button', { name: 'Next', exact: true }).click()
    await expect(phase(page)).toContainText('one card up', { timeout: 300 })
  }).toPass()
  await page.getByRole('button', { name: 'Go on' }).click()
  await page.getByRole('radiogroup', { name: 'Time' }).getByText('8×').click()
  await expect(page.getByRole('dialog', { name: 'All pairs found' })).toBeVisible()
  const { turns } = JSON.parse(
    await luckyTwin('odds', DEMO, '--level', 'warm-up', '--mind', 'perfect', '--games', '1', '--json'),
  )
  await expect(
    page
      .getByRole('definition')
      .filter({ hasText: new RegExp(`^${turns.mean}$`) })
      .first(),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Deal again' }).first().click()
  await expect(page.getByRole('textbox', { name: 'seed' })).toHaveValue('odds-2')
  await choose(page, 'Played by', 'you')
  await expect(page.getByRole('textbox', { name: 'seed' })).not.toHaveValue(/^odds-/)
})
