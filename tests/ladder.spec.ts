import { expect, type Locator } from '@playwright/test'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import {
  addRule,
  cards,
  choose,
  drag,
  expectNoViolations,
  gameOf,
  openRung,
  openStation,
  pressButton,
  rungs,
  type,
  startAt,
} from './helpers.ts'
import { luckyTwin } from './lucky-twin.ts'
import { test } from './test.ts'

async function typeWithin(box: Locator, name: string, value: string): Promise<void> {
  const field = box.getByRole('spinbutton', { name, exact: true })
  await field.fill(value)
  await field.press('Enter')
}

/** How many of 100 everyday players win a level, as the command line says. */
async function winsOf(game: object, level: string): Promise<number> {
  const path = join(mkdtempSync(join(tmpdir(), 'ladder-')), 'made.game.json')
  writeFileSync(path, JSON.stringify(game))
  const told = JSON.parse(await luckyTwin('odds', path, '--level', level, '--mind', 'everyday', '--json'))
  return (100 * told.won) / told.games
}

test.describe('the ladder', () => {
  test('levels are ordered, added, compared, and made at once', async ({ page }) => {
    await test.step('rungs are put in another order by dragging, and by keys', async () => {
      await startAt(page, 'rules/warm-up')
      await drag(page, rungs(page).nth(0), rungs(page).nth(2))
      await expect(rungs(page)).toContainText(['Bench', 'Top drawer', 'Warm-up', 'Cabinet'])
      await page.getByRole('link', { name: /^Cabinet/ }).focus()
      await page.keyboard.press('Alt+ArrowUp')
      await expect(rungs(page)).toContainText(['Bench', 'Top drawer', 'Cabinet', 'Warm-up'])
    })
    await test.step('a new level follows the house rules, and its findings are marked', async () => {
      await startAt(page, 'rules/warm-up')
      await page.getByRole('button', { name: 'Level', exact: true }).click()
      await expect(page.getByRole('heading', { name: 'Level 5, as it is played' })).toBeVisible()
      const own = page.getByRole('button', { name: /: own, set for this level/ })
      await expect(own).toHaveCount(0)
      await addRule(page, 'limits', 'a turn limit')
      await type(page, 'Turn limit', '7')
      await expect(own).toHaveCount(1)
      await expect(openRung(page).getByText('problem')).toBeVisible()
      await page.getByRole('link', { name: 'Ship' }).click()
      await expect(page.getByText('8 pairs cannot be found in 7 turns')).toBeVisible()
      await expect(page.getByRole('button', { name: 'Download the page' })).toBeDisabled()
      await page.getByRole('link', { name: 'Go there' }).click()
      await expect(page).toHaveURL(/rules\/level-5/)
    })
    await test.step('two levels lie side by side, and rules go from one to the other', async () => {
      await startAt(page, 'rules/bench')
      await page.getByRole('button', { name: 'Compare' }).click()
      const dialog = page.getByRole('dialog', { name: 'Two levels side by side' })
      await expect(dialog.getByRole('row', { name: /^Lives \d|^Lives none/ })).toContainText('5')
      await expectNoViolations(page)
      await dialog.getByRole('button', { name: 'Give Top drawer the rules of Bench' }).click()
      await expect(dialog.getByRole('row', { name: /^Lives \d|^Lives none/ })).toHaveCount(0)
      await expect(dialog.getByRole('row', { name: /^Columns / })).toBeVisible()
    })
    await test.step('is seen before it is taken, and can be undone', async () => {
      await startAt(page, 'rules/bench')
      await page.getByRole('button', { name: 'Make a ladder' }).click()
      const dialog = page.getByRole('dialog', { name: 'Make a ladder' })
      await typeWithin(dialog, 'How many levels', '4')
      const rungs = dialog.getByRole('list', { name: 'Preview of the ladder' }).getByRole('listitem')
      await expect(rungs).toHaveCount(4)
      await expect(rungs.first()).toContainText('2 × 4')
      await expect(rungs.first()).toContainText('4 pairs of 24')
      await expect(rungs.last()).toContainText('6 × 6')
      await expect(rungs.last()).toContainText('18 pairs of 24')
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
      // what it begins with has no problem
      await expect(ladder.getByText('problem')).toHaveCount(0)
      await page.keyboard.press('Control+z')
      await expect(ladder).toContainText('Cabinet')
    })
    await test.step('and of three levels that are made at once, which go on after those that are there', async () => {
      await startAt(page, 'deal/bench')
      await pressButton(page, 'Make a ladder')
      await type(page, 'How many levels', '3')
      await page.getByText('each with the first pairs of the deck, more on each level').click()
      await pressButton(page, 'Add these levels')
      await expect(rungs(page)).toHaveCount(7)
      const { levels } = await gameOf(page)
      expect(
        levels.slice(4).map((level: { name: string; fill: unknown }) => [level.name, level.fill]),
      ).toEqual([
        ['Level 5', { use: { from: 1, to: 4 } }],
        ['Level 6', { use: { from: 1, to: 14 } }],
        ['Level 7', { use: { from: 1, to: 24 } }],
      ])
    })
    await test.step('are a way to choose pairs: the first ones, more on each level, as growing rows', async () => {
      await startAt(page, 'deal/bench')
      await pressButton(page, 'Choose which pairs are used: the whole deck, 24 pairs')
      const dialog = page.getByRole('dialog', { name: 'Which pairs this level uses' })
      await dialog.getByText('the first ones').click()
      await dialog.getByRole('button', { name: 'More on each level, up to the whole deck' }).click()
      const rows = dialog.getByRole('list', { name: 'The first pairs of each level' }).getByRole('listitem')
      await expect(rows).toHaveCount(4)
      const first = (level: string) => dialog.getByRole('spinbutton', { name: `First pairs of ${level}` })
      await expect(first('Warm-up')).toHaveValue('6')
      await expect(first('Cabinet')).toHaveValue('24')
      await type(page, 'First pairs of Bench', '9')
      await expectNoViolations(page)
      await dialog.getByRole('button', { name: 'Done' }).click()
      await expect(page.getByText('8 pairs from 9, picked at random.')).toBeVisible()
      await page.keyboard.press('Control+z')
      await page.keyboard.press('Control+z')
      await page.keyboard.press('Control+z')
      const { levels } = await gameOf(page)
      expect(levels.map((level: { fill?: { use?: unknown } }) => level.fill?.use)).toEqual([
        undefined,
        undefined,
        undefined,
        undefined,
      ])
    })
    await test.step('takes its limits from how many shall win', async () => {
      await startAt(page, 'rules/bench')
      await pressButton(page, 'Make a ladder')
      const dialog = page.getByRole('dialog', { name: 'Make a ladder' })
      await typeWithin(dialog, 'How many levels', '3')
      await choose(page, 'Limits', 'a limit for so many wins')
      await choose(page, 'Rule to solve for', 'lives')
      await typeWithin(dialog, 'Wins of 100, the easiest', '80')
      const made = dialog.getByRole('list', { name: 'Preview of the ladder' }).getByRole('listitem')
      await expect(made.getByText(/of 100 win$/)).toHaveCount(3)
      await expectNoViolations(page)
      await pressButton(page, 'Replace all levels')
      await expect(rungs(page)).toHaveCount(3)
      const { levels } = await gameOf(page)
      for (const { clock, limits } of levels) {
        expect(clock.mode).toBe('off')
        expect(limits.lives).toBeGreaterThan(0)
      }
      // as many everyday players win the last one as was asked for, by the command line too
      const told = await winsOf(await gameOf(page), levels.at(-1).id)
      expect(told).toBeGreaterThan(55)
      expect(told).toBeLessThan(85)
    })
  })
})

test('a station keeps the house rules open, and Play and Odds say which level they play', async ({
  page,
}) => {
  await openStation(page, 'rules')
  await expect(openRung(page)).toContainText('House rules')
  await page.getByRole('link', { name: 'Play', exact: true }).click()
  await expect(openRung(page)).toContainText('House rules')
  await expect(openRung(page)).toContainText('Warm-up is played')
  await expect(cards(page)).toHaveCount(12)
  await page.getByRole('link', { name: 'Odds', exact: true }).click()
  await expect(openRung(page)).toContainText('Warm-up is played')
  await page.getByRole('link', { name: 'Rules', exact: true }).click()
  await expect(openRung(page)).toContainText('House rules')
  // from now on the house rules decide
  await type(page, 'Look time of a miss', '1.4')
  const { house, levels } = await gameOf(page)
  expect([house.turn.missLook, levels[0].turn?.missLook]).toEqual([1400, undefined])
})
