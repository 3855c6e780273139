import { expect, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import {
  begin,
  boardAbove,
  card,
  choice,
  choose,
  downloadOf,
  drag,
  expectNoViolations,
  openStation,
  type,
  startAt,
} from './helpers.ts'
import { test } from './test.ts'

const cell = (page: Page, at: number) => boardAbove(page).locator(`[data-at="${at}"]`)
const words = async (page: Page, at: number): Promise<string> =>
  (await cell(page, at).getAttribute('aria-label'))!.slice(4)

/** Lines of boards of another program, each a deck of eight pairs that `move` puts in an order. */
const boards = (move: (deck: string[]) => void, count = 2000): string =>
  Array.from({ length: count }, () => {
    const deck = [...'AABBCCDDEEFFGGHH']
    move(deck)
    return deck.join(',')
  }).join('\n')
/** Real randomness, not from our own generator. */
const random = (n: number): number => Math.floor(Math.random() * n)

test('a level is laid by hand, apart and close, cut by outlines, and given back to the house rules', async ({
  page,
  context,
}) => {
  await test.step('a card dragged onto another changes places with it, and so by keys; every round is dealt like that', async () => {
    await startAt(page, 'deal/bench')
    const [first, sixth] = [await words(page, 0), await words(page, 5)]
    await drag(page, cell(page, 0), cell(page, 5))
    await expect(choice(page, 'Way of dealing', 'as laid by hand')).toBeVisible()
    expect([await words(page, 0), await words(page, 5)]).toEqual([sixth, first])
    await cell(page, 5).focus()
    await page.keyboard.press('Shift+ArrowRight')
    await expect(cell(page, 6)).toBeFocused()
    expect(await words(page, 6)).toBe(first)
    await page.keyboard.press('Control+z')
    expect(await words(page, 5)).toBe(first)
    await page.getByRole('link', { name: 'Play', exact: true }).click()
    await card(page, 5).click()
    await expect(card(page, 5)).toHaveAttribute('aria-label', `B2, ${first}`)
  })
  await test.step('outlines cut any board, evenly', async () => {
    await startAt(page, 'deal/bench')
    await type(page, 'Rows', '5')
    await type(page, 'Columns', '7')
    for (const [name, cards] of [
      ['Ring', 20],
      ['Diamond', 18],
      ['Stair', 22],
      ['Two islands', 30],
      ['Full board', 34],
    ] as const) {
      await page.getByRole('button', { name, exact: true }).click()
      await expect(page.getByText(`${cards} cards, ${cards / 2} pairs.`)).toBeVisible()
      await expect(page.getByRole('button', { name, exact: true })).toHaveAttribute('aria-pressed', 'true')
    }
  })
  await test.step('ways apart and close are held to what the board can hold, as it changes', async () => {
    await startAt(page, 'deal/bench')
    await choose(page, 'Way of dealing', 'twins apart')
    await expect(page.getByText('This board holds at most 2.')).toBeVisible()
    await page.getByText('steps', { exact: true }).click()
    const steps = () => page.locator('.over.steps b').allInnerTexts()
    expect((await steps()).every((text) => Number(text) >= 2)).toBe(true)
    await type(page, 'Steps between twins', '3')
    await expect(
      page.getByText('twins cannot all lie 3 steps apart on this board; 2 is the most it holds'),
    ).toBeVisible()
    await expectNoViolations(page)
    await page.getByRole('button', { name: '2 steps' }).click()
    await expect(page.getByText('twins cannot all lie 3 steps apart')).toBeHidden()
    await choose(page, 'Way of dealing', 'twins close')
    await type(page, 'Steps between twins', '1')
    await expect(page.getByText('This board holds 1 or more.')).toBeVisible()
    expect(new Set(await steps())).toEqual(new Set(['1']))
    // 528 ways to pair the cells with a neighbour each, and 24 pairs to choose from
    await expect(page.getByText(/different deals\./)).toBeVisible()
  })
  await test.step('what a level says itself without effect is told, and given back', async () => {
    await startAt(page, 'deal/bench')
    const without = page.getByText('without effect')
    await choose(page, 'Way of dealing', 'twins apart')
    await type(page, 'Steps between twins', '1')
    await choose(page, 'Way of dealing', 'shuffled')
    await expect(without).toHaveText('Steps between twins: 1, without effect own')
    await page.getByRole('button', { name: /^Steps between twins: own/ }).click()
    await choose(page, 'Shape of the cards', 'square')
    await choose(page, 'Size of the cards', 'of one size')
    await expect(without).toHaveText('Shape of the cards: square, without effect own')
    await page.getByRole('link', { name: 'Rules', exact: true }).click()
    await expect(without).toHaveText('Shape of the cards: square, without effect own')
    await page.getByRole('link', { name: /^\d+ × \d+ px$/ }).click()
    await page.getByRole('button', { name: /^Shape of the cards: own/ }).click()
    await choose(page, 'How pairs are picked', 'the first in the deck')
    await choose(page, 'Whether pairs repeat', 'each as often as I choose')
    await expect(without).toContainText(['How pairs are picked: the first in the deck, without effect'])
    await choose(page, 'Whether pairs repeat', 'never')
    await expect(without).toHaveText(/How many pairs of each: 8 pairs, without effect/)
    await page.getByRole('button', { name: /^How many pairs of each: own/ }).click()
    await expect(without).toHaveCount(0)
  })
  await test.step('pasted boards of a right shuffle are fair', async () => {
    await context.grantPermissions(['clipboard-read', 'clipboard-write'])
    await startAt(page, 'deal/bench')
    await page.getByRole('button', { name: 'Other boards…' }).click()
    const dialog = page.getByRole('dialog', { name: 'Boards of another program' })
    const text = boards((deck) => {
      for (let i = deck.length - 1; i > 0; i--) {
        const j = random(i + 1)
        ;[deck[i], deck[j]] = [deck[j]!, deck[i]!]
      }
    })
    await page.evaluate((pasted) => navigator.clipboard.writeText(pasted), text.replaceAll(',', ' '))
    await dialog.getByRole('textbox', { name: 'Boards' }).press('Control+v')
    await dialog.getByRole('button', { name: 'Check these boards' }).click()
    // one right shuffle in a thousand looks odd
    await expect(dialog.getByText(/^(Fair|Doubtful)\.$/)).toBeVisible()
    await dialog.getByRole('button', { name: 'Other boards', exact: true }).click()
    await dialog.getByRole('textbox', { name: 'Boards' }).fill('{"no":"cells"}')
    await dialog.getByRole('button', { name: 'Check these boards' }).click()
    await expect(dialog.getByText('line 1: not a list of cells')).toBeVisible()
  })
  await test.step('a file of boards is dropped, read, and judged; what does not fit is told by line', async () => {
    await startAt(page, 'deal/bench')
    await page.getByRole('button', { name: 'Other boards…' }).click()
    const dialog = page.getByRole('dialog', { name: 'Boards of another program' })
    await expectNoViolations(page)
    const text = `${boards((deck) => void deck.sort(() => Math.random() - 0.5))}\nA,B,B\n`
    const data = await page.evaluateHandle((content) => {
      const transfer = new DataTransfer()
      transfer.items.add(new File([content], 'theirs.csv', { type: 'text/csv' }))
      return transfer
    }, text)
    await dialog.getByRole('textbox', { name: 'Boards' }).dispatchEvent('drop', { dataTransfer: data })
    await expect(dialog.getByText('Not fair.')).toBeVisible()
    await expect(dialog.getByText('This looks like a sort with a random comparison (')).toBeVisible()
    await expect(dialog.getByText('2,000 boards')).toBeVisible()
    await expect(dialog.getByText('line 2001: 3 cells, where most boards have 16')).toBeVisible()
    await expect(
      dialog.getByRole('table', { name: 'The first board, as it was read' }).getByRole('cell'),
    ).toHaveCount(16)
    await dialog.getByRole('spinbutton', { name: 'Rows' }).fill('2')
    await dialog.getByRole('spinbutton', { name: 'Rows' }).press('Enter')
    await expect(dialog.getByRole('spinbutton', { name: 'Columns' })).toHaveValue('8')
    await expectNoViolations(page)
  })
})

for (const [where, width, height] of [
  ['', 1280, 800],
  [', on a phone', 360, 640],
] as const)
  test(`what is found of a level moves nothing that is about to be pressed${where}`, async ({ page }) => {
    await page.setViewportSize({ width, height })
    await openStation(page, 'deal/bench')
    const ring = page.getByRole('button', { name: 'Ring', exact: true })
    await type(page, 'Rows', '5')
    const before = await ring.boundingBox()
    await type(page, 'Columns', '7')
    const found = page.getByText(/^This cannot be dealt: cards come in pairs, and the board has room for 35/)
    await expect(found).toBeInViewport({ ratio: 1 })
    expect(await ring.boundingBox()).toEqual(before)
  })

test('a large board is pressed and dragged, and is measured as the player has it', async ({ page }) => {
  await test.step('on a large board, too, cells are pressed, dragged and reached by keys', async () => {
    await startAt(page, 'deal/cabinet')
    await type(page, 'Rows', '18')
    await type(page, 'Columns', '20')
    await choose(page, 'Whether pairs repeat', 'evenly, if there are too few')
    const canvas = boardAbove(page).locator('canvas')
    await expect(boardAbove(page).getByRole('button', { name: /^[A-T]\d/ })).toHaveCount(1)
    // the focused cell shows where all others are: the board is in the middle of the canvas
    const board = (await canvas.boundingBox())!
    const one = (await page.getByRole('button', { name: /^A1, / }).boundingBox())!
    const across = (board.width - 2 * (one.x - board.x) - one.width) / 19
    const down = (board.height - 2 * (one.y - board.y) - one.height) / 17
    const at = (row: number, column: number): [number, number] => [
      one.x + column * across + one.width / 2,
      one.y + row * down + one.height / 2,
    ]
    const named = (name: string) => page.getByRole('button', { name: new RegExp(`^${name}, `) })
    const shown = async (name: string): Promise<string> =>
      (await named(name).getAttribute('aria-label'))!.slice(name.length + 2)

    // as the pointer goes there
    await page.mouse.move(...at(1, 2), { steps: 6 })
    const before = await shown('C2')
    await page.mouse.click(...at(1, 2))
    await expect(named('C2')).toHaveAccessibleName('C2, a gap')
    await page.mouse.click(...at(1, 2))
    await expect(named('C2')).toHaveAccessibleName(`C2, ${before}`)

    await page.keyboard.press('ArrowUp')
    await expect(named('C1')).toBeFocused()
    const dragged = await shown('C1')
    await page.mouse.move(...at(0, 2))
    await page.mouse.down()
    await page.mouse.move(...at(0, 5), { steps: 4 })
    await page.mouse.up()
    await page.mouse.move(...at(1, 5))
    await page.mouse.move(...at(0, 5))
    await expect(named('F1')).toHaveAccessibleName(`F1, ${dragged}`)
  })
  await test.step('cards too small for a finger are found, and a press makes a board that is not', async () => {
    await startAt(page, 'deal/cabinet')
    await page.getByRole('button', { name: 'Full board' }).click()
    await type(page, 'Columns', '8')
    await expect(
      page.getByText('on a phone of 360 × 640 px a card is 39 px; a finger needs 44'),
    ).toBeVisible()
    await page.getByRole('button', { name: /^\d × \d$/ }).click()
    await expect(page.getByText('a finger needs 44')).toBeHidden()
  })
  await test.step('it can be stopped', async () => {
    await startAt(page, 'deal/cabinet')
    await choose(page, 'How many deals', '1,000,000')
    await page.getByRole('button', { name: 'Deal them' }).click()
    await page.getByRole('button', { name: 'Stop', exact: true }).click()
    await expect(page.getByRole('button', { name: 'Deal them' })).toBeEnabled()
  })
  await test.step('many deals are measured in workers, told in a picture and in words', async () => {
    await startAt(page, 'deal/warm-up')
    await choose(page, 'How many deals', '10,000')
    await page.getByRole('button', { name: 'Deal them' }).click()
    await expect(page.getByText('Fair.', { exact: true })).toBeVisible()
    await expect(
      page.getByText(/No place is favoured, and twins are as far apart as chance puts them/),
    ).toBeVisible()
    await expect(page.getByRole('img', { name: /^Where Cog lands: / })).toBeVisible()
    await choose(page, 'Pair', 'Bell')
    await expect(page.getByRole('img', { name: /^Where Bell lands: / })).toBeVisible()
    await expectNoViolations(page)
    // another board makes it stale
    await type(page, 'Rows', '2')
    await expect(page.getByText('Fair.', { exact: true })).toBeHidden()
    await choose(page, 'Way of dealing', 'twins close')
    await page.getByRole('button', { name: 'Deal them' }).click()
    await expect(page.getByText(/Within its rule no pair is favoured at any place/)).toBeVisible()
  })
  await test.step('lenses show threads, steps and measures; the measures are those of the placement table', async () => {
    await startAt(page, 'deal/cabinet')
    for (const lens of ['twin threads', 'steps', 'measures', 'backs']) {
      await page.getByText(lens, { exact: true }).click()
      await expectNoViolations(page)
    }
    await page.getByText('twin threads', { exact: true }).click()
    // every thread is a curve
    await expect
      .poll(async () => (await page.locator('.threads path').first().getAttribute('d'))!.match(/Q/g)!.length)
      .toBe(16)
    await choose(page, 'Screen', 'a phone held upright, 360 × 640')
    await expect(
      page.getByText(
        'On a phone held upright a card is 49 × 58 px, about 7.8 × 9.2 mm: large enough to touch.',
      ),
    ).toBeVisible()
    await page.getByText('measures', { exact: true }).click()
    const shown = await page.locator('.over.measures').first().innerText()
    const csv = await downloadOf(page, () =>
      page.getByRole('button', { name: 'Placement table as CSV' }).click(),
    )
    const rows = readFileSync(csv.path, 'utf8').trim().split('\r\n')
    expect(rows).toHaveLength(33)
    expect(rows[0]).toBe('cell,x,y,width,height,pair,face')
    expect(rows[1]!.split(',').slice(0, 5)).toEqual(['A1', ...shown.split('\n')[0]!.split(', '), '49', '58'])
    const json = await downloadOf(page, () =>
      page.getByRole('button', { name: 'Placement table as JSON' }).click(),
    )
    expect(JSON.parse(readFileSync(json.path, 'utf8'))).toHaveLength(32)
  })
  await test.step('a screen says how large a card becomes there, as the player has it', async () => {
    await startAt(page, 'deal/cabinet')
    await choose(page, 'Screen', 'an own size')
    for (const [width, height] of [
      [360, 640],
      [700, 500],
      [1280, 800],
    ] as const) {
      await type(page, 'Width of the screen', String(width))
      await type(page, 'Height of the screen', String(height))
      const told = (await page.getByText(/There a card is/).innerText()).match(/(\d+) × (\d+) px/)!
      // the Ship station's preview is the player itself
      const player = await page.context().newPage()
      await player.setViewportSize({ width, height })
      await player.emulateMedia({ reducedMotion: 'reduce' })
      const html = await shippedHtml(page)
      await player.setContent(html)
      await begin(player)
      await player.getByRole('button', { name: 'Choose a level' }).click()
      await player.getByRole('button', { name: /^Cabinet/ }).click()
      const size = await card(player, 35).evaluate((one: HTMLElement) => [one.style.width, one.style.height])
      expect(size).toEqual([`${told[1]}px`, `${told[2]}px`])
      await player.close()
    }
    await type(page, 'Width of the screen', '250')
    await type(page, 'Height of the screen', '640')
    await expect(page.getByText(/smaller than the 44 px that a finger needs/)).toBeVisible()
    await page.getByRole('button', { name: /^Make it / }).click()
    await expect(page.getByText(/There a card is .* large enough to touch/)).toBeVisible()
  })
})

let html = ''
async function shippedHtml(page: Page): Promise<string> {
  if (html) return html
  const ship = await page.context().newPage()
  await ship.goto('/games/clockmakers-drawer/ship')
  const { path } = await downloadOf(ship, () =>
    ship.getByRole('button', { name: 'Download the page' }).click(),
  )
  html = readFileSync(path, 'utf8').replace(/<meta http-equiv="Content-Security-Policy"[^>]*>/, '')
  await ship.close()
  return html
}
