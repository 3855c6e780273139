import { expect, type Locator, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import {
  boardAbove,
  choice,
  choose,
  downloadOf,
  expectNoViolations,
  gameOf,
  pressButton,
  type,
  startAt,
} from './helpers.ts'
import { test } from './test.ts'

const value = (page: Page, name: string): Locator => page.getByRole('spinbutton', { name, exact: true })
const handle = (page: Page, name: RegExp): Locator => boardAbove(page).getByRole('button', { name })
const corner = (page: Page): Locator => handle(page, /^Size of the cards: \d/)

/** Drags a handle by this many px of the page. */
async function pull(page: Page, from: Locator, x: number, y: number): Promise<void> {
  const box = (await from.boundingBox())!
  const [startX, startY] = [box.x + box.width / 2, box.y + box.height / 2]
  await page.mouse.move(startX, startY)
  await page.mouse.down()
  await page.mouse.move(startX + x, startY + y, { steps: 5 })
  await page.mouse.up()
}

test('cards of one size stand where they should, counts and shapes are chosen, and deals are exported', async ({
  page,
  context,
}) => {
  await test.step('cards may have any shape, and three have a name', async () => {
    await startAt(page, 'deal/bench')
    await choose(page, 'Shape of the cards', 'a shape of their own')
    await type(page, 'Width divided by height', '2')
    const cell = boardAbove(page).getByRole('button', { name: /^A1, / })
    await expect(async () => {
      const box = (await cell.boundingBox())!
      expect(box.width / box.height).toBeCloseTo(2, 1)
    }).toPass()
    await choose(page, 'Shape of the cards', 'square')
    await expect(value(page, 'Width divided by height')).toBeHidden()
  })
  await test.step('cards of one size, the room between them and where the board stands are set on the board and in words', async () => {
    await startAt(page, 'deal/bench')
    await choose(page, 'Size of the cards', 'of one size')
    // the space between them stays as it was on the table
    await expect(choice(page, 'Space between cards', 'set here')).toBeVisible()
    await type(page, 'Width of a card', '80')
    await type(page, 'Height of a card', '100')
    await type(page, 'Space between columns', '10')
    await type(page, 'Space between rows', '10')
    await expect(corner(page)).toHaveAccessibleName('Size of the cards: 80 × 100 px; arrow keys change it')

    // the corner by hand: one undo step, however many px it took
    await pull(page, corner(page), 12, -20)
    await expect(value(page, 'Width of a card')).toHaveValue('92 px')
    await expect(value(page, 'Height of a card')).toHaveValue('80 px')
    await page.keyboard.press('Control+z')
    await expect(value(page, 'Width of a card')).toHaveValue('80 px')

    // by keys
    await corner(page).focus()
    await page.keyboard.press('Shift+ArrowRight')
    await page.keyboard.press('ArrowDown')
    await expect(corner(page)).toHaveAccessibleName(/90 × 101 px/)
    await pull(page, handle(page, /^Space between columns: \d/), 15, 0)
    await expect(value(page, 'Space between columns')).toHaveValue('25 px')
    await handle(page, /^Space between rows: \d/).focus()
    await page.keyboard.press('ArrowDown')
    await expect(value(page, 'Space between rows')).toHaveValue('11 px')

    await pressButton(page, 'at the top right')
    const [board, first] = [(await boardAbove(page).boundingBox())!, (await corner(page).boundingBox())!]
    expect(first.y - board.y).toBeLessThan(160)
    await expectNoViolations(page)
    const { levels } = await gameOf(page)
    expect(levels[1].layout).toEqual({
      size: { width: 90, height: 101 },
      gapAcross: 25,
      gapDown: 11,
      stands: 'top-right',
    })
  })
  await test.step('a drag of a handle is given up by Escape', async () => {
    await startAt(page, 'deal/bench')
    await choose(page, 'Size of the cards', 'of one size')
    const before = await value(page, 'Width of a card').inputValue()
    const box = (await corner(page).boundingBox())!
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
    await page.mouse.down()
    await page.mouse.move(box.x + 40, box.y + 40, { steps: 4 })
    await expect(corner(page)).not.toHaveAccessibleName(new RegExp(`: ${before.replace(' px', '')} ×`))
    await page.keyboard.press('Escape')
    await page.mouse.up()
    await expect(corner(page)).toHaveAccessibleName(new RegExp(`: ${before.replace(' px', '')} ×`))
    await expect(value(page, 'Width of a card')).toHaveValue(before)
  })
  await test.step('so many pairs of each are chosen on the faces, and their sum is told', async () => {
    await startAt(page, 'deal/bench')
    await choose(page, 'Whether pairs repeat', 'each as often as I choose')
    await expect(page.getByText('The counts add up to 8 pairs, as many as the board takes.')).toBeVisible()
    await pressButton(page, 'Say how many pairs of each')
    const dialog = page.getByRole('dialog', { name: 'How many pairs of each' })
    await dialog.getByRole('button', { name: 'None of any' }).click()
    await dialog.getByRole('button', { name: 'One more of Bell', exact: true }).click()
    await type(page, 'Pairs of Cog', '5')
    await expect(dialog.getByRole('status')).toHaveText('6 of 8 pairs: 2 more to choose')
    await dialog.getByRole('button', { name: 'One less of Cog', exact: true }).click()
    await dialog.getByRole('button', { name: 'Share them out evenly' }).click()
    await expect(value(page, 'Pairs of Cog')).toHaveValue('4')
    await expect(value(page, 'Pairs of Bell')).toHaveValue('4')
    await expectNoViolations(page)
    await type(page, 'Pairs of Bell', '3')
    await dialog.getByRole('button', { name: 'Done' }).click()
    await expect(page.getByText('the counts add up to 7, and the board needs 8')).toBeVisible()
    await page.keyboard.press('Control+z')
    const laid = boardAbove(page).getByRole('button', { name: /^[A-D][1-4], Cog$/ })
    await expect(laid).toHaveCount(8)
  })
  await test.step('one as a line of JSON is copied: the deal that is seen', async () => {
    await context.grantPermissions(['clipboard-read', 'clipboard-write'])
    await startAt(page, 'deal/bench')
    await pressButton(page, 'Copy the deals')
    await expect(page.getByText('The deal is on the clipboard')).toBeVisible()
    const deal = JSON.parse(await page.evaluate(() => navigator.clipboard.readText()))
    expect(deal).toMatchObject({ level: 'bench', rows: 4, columns: 4 })
    expect(deal.seed).toBe(await page.getByLabel('This deal', { exact: true }).inputValue())
    expect(deal.cells).toHaveLength(16)
  })
  await test.step('many as CSV and as grids are downloaded', async () => {
    await startAt(page, 'deal/bench')
    await type(page, 'How many deals to export', '25')
    await choose(page, 'Format of the deals', 'CSV')
    const csv = await downloadOf(page, () => pressButton(page, 'Save the deals'))
    expect(csv.name).toBe('the-clockmakers-drawer-bench-deals.csv')
    const rows = readFileSync(csv.path, 'utf8').trimEnd().split('\r\n')
    expect(rows).toHaveLength(25)
    expect(new Set(rows).size).toBe(25)
    await choose(page, 'Format of the deals', 'grids of text')
    const grids = await downloadOf(page, () => pressButton(page, 'Save the deals'))
    expect(readFileSync(grids.path, 'utf8').match(/^Bench, seed /gm)).toHaveLength(25)
    await expect(choice(page, 'Format of the deals', 'grids of text')).toBeVisible()
  })
  await test.step('what comes is told exactly, and by chance with its likely span', async () => {
    await startAt(page, 'deal/cabinet')
    await pressButton(page, 'Choose which pairs are used: the whole deck, 24 pairs')
    const dialog = page.getByRole('dialog', { name: 'Which pairs this level uses' })
    await dialog.getByText('by position').click()
    await dialog.getByRole('button', { name: '1, Cog' }).click()
    await dialog.getByRole('button', { name: '5, Loupe' }).click()
    await dialog.getByRole('button', { name: 'Done' }).click()
    await choose(page, 'Whether pairs repeat', 'evenly, if there are too few')
    // 16 pairs of 5
    await expect(
      page.getByText(
        'Each of the 5 appears 6 or 8 times: 3 pairs or 4; 1 of them, picked at random, have one more.',
      ),
    ).toBeVisible()
    await choose(page, 'Whether pairs repeat', 'at random, if there are too few')
    await expect(
      page.getByText(
        'Each of the 5 comes 0 to 16 times, as each play has it; in 9 of 10 boards it is 1 to 6 pairs.',
      ),
    ).toBeVisible()
  })
  await test.step('a board that can be touched upright and not across is found, and mended with a press', async () => {
    await startAt(page, 'deal/bench')
    await type(page, 'Rows', '7')
    await type(page, 'Columns', '4')
    const found = page.getByText(
      /on a phone held sideways, 780 × 360 px, a card is \d+ px; a finger needs 44/,
    )
    await expect(found).toBeVisible()
    await page.getByRole('button', { name: /^\d+ × \d+$/ }).click()
    await expect(found).toBeHidden()
  })
  await test.step('a size that does not fit on a screen is made smaller evenly there, and that is said', async () => {
    await startAt(page, 'deal/bench')
    await choose(page, 'Size of the cards', 'of one size')
    await type(page, 'Width of a card', '400')
    await type(page, 'Height of a card', '400')
    await choose(page, 'Screen', 'a small phone, 320 × 568')
    await expect(
      page.getByText('Its own size, 400 × 400 px, does not fit, so everything is made smaller evenly.'),
    ).toBeVisible()
    const box = (await boardAbove(page).getByRole('button', { name: /^A1, / }).boundingBox())!
    expect(box.width / box.height).toBeCloseTo(1, 1)
  })
})
