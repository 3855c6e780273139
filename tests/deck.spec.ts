import { expect } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { PNG } from 'pngjs'
import type { Game } from '../src/core/game/game.ts'
import {
  choice,
  card,
  choose,
  downloadOf,
  drag,
  expectNoViolations,
  fileOf,
  gameOf,
  inkedPx,
  openStation,
  pressButton,
  tile,
  tiles,
  type,
  toGameFile,
  startAt,
} from './helpers.ts'
import { test } from './test.ts'

/** Whether these inks can be seen in the middle of a picture of a card; its edge has a ring of ink in any case. */
function inksOf(picture: Buffer): { night: boolean; apricot: boolean } {
  const { width, height, data } = PNG.sync.read(picture)
  const has = (...ink: number[]): boolean =>
    Array.from({ length: width * height }, (_, i) => i).some(
      (i) =>
        Math.abs((i % width) - width / 2) < width / 4 &&
        Math.abs(Math.floor(i / width) - height / 2) < height / 4 &&
        ink.every((value, channel) => Math.abs(data[i * 4 + channel]! - value) < 12),
    )
  return { night: has(0x40, 0x3f, 0x6d), apricot: has(0xd9, 0x67, 0x3c) }
}

test.describe('the light table', () => {
  test('pairs are dragged, chosen, undone, renamed, given faces and a back, and changed many at once', async ({
    page,
  }) => {
    await test.step('each pair lies there with its picture', async () => {
      await startAt(page, 'deck')
      await expect(tiles(page)).toHaveCount(24)
      for (const tile of await tiles(page).all())
        await expect.poll(() => tile.evaluate(inkedPx)).toBeGreaterThan(20)
    })
    await test.step('the back that is chosen lies on the table in Play', async () => {
      await startAt(page, 'deck')
      await page.getByRole('button', { name: 'lattice' }).click()
      await page.getByRole('button', { name: 'night' }).click()
      await expect(page.getByRole('button', { name: 'night' })).toHaveAttribute('aria-pressed', 'true')
      await page.getByRole('link', { name: 'Play', exact: true }).click()
      // as it is drawn: the ink of night, and none of the previous apricot
      await expect
        .poll(async () => inksOf(await card(page, 0).screenshot()))
        .toEqual({ night: true, apricot: false })
    })
    await test.step('pairs are put in another order by dragging, and by keys', async () => {
      await startAt(page, 'deck')
      await expect(tiles(page).nth(0)).toHaveText('Cog')
      await drag(page, page.locator('[data-pair="cog"]'), page.locator('[data-pair="mantel-clock"]'))
      await expect(tiles(page).nth(2)).toHaveText('Cog')
      await page.keyboard.press('Control+z')
      await expect(tiles(page).nth(0)).toHaveText('Cog')
      await page.getByRole('option', { name: 'Cog', exact: true }).click()
      await page.keyboard.press('ArrowRight')
      await expect(page.getByRole('option', { name: 'Hourglass', exact: true })).toBeFocused()
      await page.keyboard.press('Alt+ArrowLeft')
      await expect(tiles(page).nth(0)).toHaveText('Hourglass')
      await expect(page.getByRole('option', { name: 'Hourglass', exact: true })).toBeFocused()
    })
    await test.step('a box drawn over the table chooses what it touches', async () => {
      await startAt(page, 'deck')
      const first = (await tile(page, 'Cog').boundingBox())!
      const last = (await tile(page, 'Compass').boundingBox())!
      await page.mouse.move(first.x - 6, first.y - 6)
      await page.mouse.down()
      await page.mouse.move(last.x + last.width / 2, last.y + last.height / 2, { steps: 5 })
      await page.mouse.up()
      await expect(page.getByRole('heading', { name: '4 pairs' })).toBeVisible()
      for (const name of ['Cog', 'Hourglass', 'Bell', 'Compass'])
        await expect(tile(page, name)).toHaveAttribute('aria-selected', 'true')
    })
    await test.step('a press just after scrolling, or while it begins, is for the pair under it', async () => {
      await startAt(page, 'deck')
      const scroll = (): Promise<boolean> =>
        page.locator('.glass .scroll').evaluate((table) => table.dispatchEvent(new Event('scroll')))
      const middle = async (name: string): Promise<[number, number]> => {
        const { x, y } = (await tile(page, name).boundingBox())!
        return [x + 30, y + 30]
      }
      await scroll()
      await page.mouse.click(...(await middle('Bell')))
      await expect(tile(page, 'Bell')).toHaveAttribute('aria-selected', 'true')
      await page.mouse.move(...(await middle('Compass')))
      await page.mouse.down()
      await scroll()
      await page.mouse.up()
      await expect(tile(page, 'Compass')).toHaveAttribute('aria-selected', 'true')
    })
    await test.step('a pair is dragged to where a line shows that it will lie; Escape leaves it', async () => {
      await startAt(page, 'deck')
      await expect(tiles(page)).toHaveCount(24)
      const order = (): Promise<(string | null)[]> =>
        tiles(page).evaluateAll((all) => all.map((tile) => tile.getAttribute('data-pair')))
      const before = await order()
      const drag = async (from: number, to: number, share: number): Promise<void> => {
        const [a, b] = [
          (await tiles(page).nth(from).boundingBox())!,
          (await tiles(page).nth(to).boundingBox())!,
        ]
        await page.mouse.move(a.x + a.width / 2, a.y + a.height / 2)
        await page.mouse.down()
        await page.mouse.move(b.x + b.width * share, b.y + b.height / 2, { steps: 6 })
        await expect(page.locator('.place')).toBeVisible()
      }
      // from one block of rows into another
      await tiles(page).last().scrollIntoViewIfNeeded()
      await drag(21, 7, 0.2)
      await page.mouse.up()
      await expect(page.locator('.place')).toHaveCount(0)
      const after = before.toSpliced(21, 1).toSpliced(7, 0, before[21]!)
      await expect.poll(order).toEqual(after)
      await page.keyboard.press('ControlOrMeta+z')
      await expect.poll(order).toEqual(before)

      // the selected ones move together, in their order
      await tiles(page).nth(6).click()
      await tiles(page)
        .nth(8)
        .click({ modifiers: ['ControlOrMeta'] })
      await drag(8, 13, 0.8)
      await page.mouse.up()
      const [one, two] = [before[6]!, before[8]!]
      const rest = before.filter((id) => id !== one && id !== two)
      await expect.poll(order).toEqual(rest.toSpliced(12, 0, one, two))

      const now = await order()
      await drag(10, 7, 0.2)
      await page.keyboard.press('Escape')
      await expect(page.locator('.place')).toHaveCount(0)
      await page.mouse.up()
      expect(await order()).toEqual(now)
    })
    await test.step('what was done can be undone from its message, until something else is done', async () => {
      await startAt(page, 'deck')
      const undo = page.getByRole('alert').getByRole('button', { name: 'Undo' })
      await page.getByRole('option', { name: 'Bell', exact: true }).click()
      await page.keyboard.press('Delete')
      await undo.click()
      await expect(tiles(page)).toHaveCount(24)
      await expect(undo).toHaveCount(0)
      await page.getByRole('option', { name: 'Bell', exact: true }).click()
      await page.keyboard.press('Delete')
      await expect(undo).toBeVisible()
      await page.getByLabel('Name', { exact: true }).fill('Brass')
      await page.keyboard.press('Enter')
      // it would go by itself, but later
      await expect(undo).toBeHidden({ timeout: 2000 })
      await expect(tiles(page)).toHaveCount(23)
    })
    await test.step('a name too long for its tile is cut there, and whole to those who hear it', async () => {
      await startAt(page, 'deck')
      const long = 'Escapement wheel of the old tower'
      await tile(page, 'Bell').click()
      await page.getByLabel('Name', { exact: true }).fill(long)
      await page.keyboard.press('Enter')
      await expect(tile(page, long)).toHaveText(/^Escapement whe.*…\s*$/)
      const over = (one: Element): number => {
        const range = document.createRange()
        range.selectNodeContents(one)
        return range.getBoundingClientRect().width - 132
      }
      expect(await tile(page, long).evaluate(over)).toBeLessThanOrEqual(0)
      expect(await tile(page, long).evaluate(over)).toBeGreaterThan(-16)
      await expect(tile(page, 'Hourglass')).toHaveText('Hourglass')
    })
    await test.step('a face is put on by picture, image or text; undo takes it off', async () => {
      await startAt(page, 'deck')
      await page.getByRole('option', { name: 'Bell' }).click()
      const face = page.getByRole('button', { name: /^First face: / }).locator('img')
      await expect(face).toHaveAttribute('src', '/pictures/bell.svg')
      await page.getByRole('button', { name: 'A picture' }).click()
      await page.getByLabel('Search the pictures').fill('postal horn')
      await page.getByRole('button', { name: 'postal horn' }).click()
      await expect(face).toHaveAttribute('src', '/pictures/postal-horn.svg')
      await page.getByRole('button', { name: 'Text', exact: true }).click()
      await expect(page.getByRole('button', { name: /^First face: / })).toHaveText('Bell')
      await page.getByRole('button', { name: 'Undo', exact: true }).click()
      await page.getByRole('button', { name: 'Undo', exact: true }).click()
      await expect(face).toHaveAttribute('src', '/pictures/bell.svg')
    })
    await test.step('a slip changes name, tags, words and twins of its pair', async () => {
      await startAt(page, 'deck')
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
      await expect(tiles(page)).toHaveText(['Master key'])
      const { path } = await downloadOf(page, async () => {
        await toGameFile(page)
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
    await test.step('chosen with keys and mouse, they are tagged, moved, doubled, coloured and removed together', async () => {
      await startAt(page, 'deck')
      await tile(page, 'Cog').click()
      await tile(page, 'Old key').click({ modifiers: ['Shift'] })
      await expect(page.getByRole('heading', { name: '4 pairs' })).toBeVisible()
      await tile(page, 'Hourglass').click({ modifiers: ['ControlOrMeta'] })
      await expect(page.getByRole('heading', { name: '3 pairs' })).toBeVisible()
      await expectNoViolations(page)
      await page.getByLabel('Tag for all of them').fill('chosen')
      await page.getByRole('button', { name: 'Tag all' }).click()
      await page.getByRole('button', { name: 'Later' }).click()
      await expect(tiles(page).nth(0)).toHaveText('Hourglass')
      await page.getByRole('button', { name: 'Duplicate', exact: true }).click()
      await expect(tiles(page)).toHaveCount(27)
      await page.keyboard.press('Control+z')
      await choose(page, 'Only pairs with this tag', 'chosen')
      await expect(tiles(page)).toHaveText(['Cog', 'Mantel clock', 'Old key'])
      await tiles(page).first().click()
      await page.keyboard.press('Control+a')
      await page.keyboard.press('Delete')
      await expect(page.getByText('3 pairs are removed')).toBeVisible()
      await page.getByRole('button', { name: 'Undo', exact: true }).first().click()
      await expect(tiles(page)).toHaveCount(3)
    })
  })

  test('words are seen before they are added, and lines that fail are told', async ({ page }) => {
    await openStation(page, 'deck', 'signal-room')
    await page.getByRole('button', { name: 'Words', exact: true }).click()
    await page.getByRole('textbox', { name: 'Words' }).fill('one;eins\n;zwei\nthree;drei;trois\nfour')
    await expect(page.getByText('line 2: there is no text for one face')).toBeVisible()
    await expect(page.getByText('1 row has no second face; such rows')).toBeVisible()
    await page.getByRole('button', { name: 'Add 3 pairs' }).click()
    await expect(tiles(page)).toHaveCount(29)
  })
})

test.describe('many pairs at once', () => {
  test('500 pairs are all drawn, searched, walked through by keys, and put in another order', async ({
    page,
  }) => {
    const game = JSON.parse(readFileSync('demo/clockmakers-drawer.game.json', 'utf8')) as Game
    const library = JSON.parse(readFileSync('dist/app/pictures/index.json', 'utf8')) as [string, string][]
    game.title = 'Many'
    game.deck.pairs = Array.from({ length: 500 }, (_, i) => {
      const name = library[i * 6]![0]
      return { id: `p${i}`, name: `${name} ${i}`, a: { kind: 'picture', name } }
    })
    await page.goto('/')
    await page.getByRole('article').first().waitFor()
    await page
      .getByLabel('Game files')
      .setInputFiles(fileOf('many.game.json', JSON.stringify(game), 'application/json'))
    await page.getByRole('link', { name: 'Open Many' }).click()
    const all = tiles(page)
    await expect(all).toHaveCount(500)
    const drawn = (elements: Element[]): number =>
      elements.filter((tile) => getComputedStyle(tile).backgroundImage.startsWith('url("blob:')).length
    await expect.poll(() => all.evaluateAll(drawn), { timeout: 30_000 }).toBe(500)

    await all.first().click()
    await page.keyboard.press('End')
    await expect(all.last()).toBeFocused()
    await expect(all.last()).toBeInViewport()
    await page.keyboard.press('Home')
    await expect(all.first()).toBeFocused()
    await page.keyboard.press('Alt+ArrowRight')
    await expect(all.nth(1)).toHaveAttribute('data-pair', 'p0')

    await page.getByLabel('Search by name or tag').fill(' 499')
    await expect(all).toHaveCount(1)
    await expect(all).toHaveAttribute('data-pair', 'p499')
    await page.getByLabel('Search by name or tag').fill('')
    await page.keyboard.press('Escape')
    await all.nth(2).focus()
    await page.keyboard.press('Control+a')
    await expect(page.getByRole('heading', { name: '500 pairs' })).toBeVisible()
  })

  test('pairs are copied from one game and pasted into another, also by keys', async ({ page, context }) => {
    await context.grantPermissions(['clipboard-read', 'clipboard-write'])
    await openStation(page, 'deck')
    await tile(page, 'Bell').click()
    await tile(page, 'Compass').click({ modifiers: ['Shift'] })
    await page.keyboard.press('Control+c')
    await expect(page.getByText('2 pairs copied')).toBeVisible()
    await page.goto('/games/signal-room/deck')
    await expect(tiles(page)).toHaveCount(26)
    await page.keyboard.press('Control+v')
    await expect(tiles(page)).toHaveCount(28)
    await expect(tiles(page).nth(27)).toHaveText('Compass')
    await page.getByRole('button', { name: 'Cut', exact: true }).click()
    await expect(tiles(page)).toHaveCount(26)
    await pressButton(page, 'Paste')
    await expect(tiles(page)).toHaveCount(28)
  })
})

test('a series needs no art', async ({ page }) => {
  await openStation(page, 'deck')
  await pressButton(page, 'Series')
  const dialog = page.getByRole('dialog', { name: 'Series' })
  // letters are chosen by name, the others by number
  await choose(page, 'From', 'C')
  await expect(dialog.getByRole('list', { name: 'Pairs to add' })).toHaveText('CDEFGHIJKL')
  await dialog.getByRole('button', { name: 'numbers' }).click()
  await choose(page, 'What the twin shows', 'as many dots')
  await type(page, 'To', '6')
  await expectNoViolations(page)
  await dialog.getByRole('button', { name: 'Add 6 pairs' }).click()
  await expect(tiles(page).last()).toHaveText('Six')
  const { deck } = await gameOf(page)
  expect(deck.pairs[29]).toMatchObject({
    a: { kind: 'text', text: '6' },
    b: { kind: 'image', alt: 'Six dots' },
  })
})

test('words come from a CSV file, with its quotes and its head, and what is wrong is told by line', async ({
  page,
}) => {
  await openStation(page, 'deck', 'signal-room')
  await pressButton(page, 'Words')
  const dialog = page.getByRole('dialog', { name: 'Words' })
  await page
    .getByLabel('File with words')
    .setInputFiles([
      fileOf('list.csv', 'Word;Meaning\n"sun; star";soleil\nmoon;lune\nx;y;z\n"torn;a\nb;c\n', 'text/csv'),
    ])
  await expect(dialog.getByRole('checkbox', { name: 'The first row names the columns' })).toBeChecked()
  await expect(dialog.getByText('3 related; columns separated by semicolons.')).toBeVisible()
  await expect(choice(page, 'Column 3', 'nothing')).toBeVisible()
  await expect(
    dialog.getByText('line 5: a quotation mark is not closed; what follows it is not read'),
  ).toBeVisible()
  await expectNoViolations(page)
  await dialog.getByLabel(/The first row names/).uncheck()
  await expect(dialog.getByRole('button', { name: 'Add 4 pairs' })).toBeVisible()
  const long = Array.from({ length: 100_000 }, (_, i) => `w${i},m${i}`).join('\n')
  await page.getByLabel('File with words').setInputFiles([fileOf('long.csv', long, 'text/csv')])
  await expect(
    dialog.getByText('99,026 rows more than there is room for: a deck holds 1,000 pairs'),
  ).toBeVisible()
  await page
    .getByLabel('File with words')
    .setInputFiles([fileOf('list.xls', Buffer.from([0xd0, 0xcf, 0x11, 0xe0]), 'text/csv')])
  await expect(dialog.getByText('list.xls: this is not text')).toBeVisible()
  await page.getByLabel('File with words').setInputFiles([fileOf('one.csv', 'cog\nkey\n', 'text/csv')])
  await expect(dialog.getByText('2 identical.')).toBeVisible()
  await dialog.getByRole('button', { name: 'Add 2 pairs' }).click()
  await expect(tiles(page)).toHaveCount(28)
})
