import { expect, type Locator, type Page } from '@playwright/test'
import { mkdirSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Game } from '../src/core/game/game.ts'
import { PNG } from 'pngjs'
import { cards, choose, downloadOf, expectNoViolations, openStation, tiles, type } from './helpers.ts'
import { test } from './test.ts'

const names = tiles
const tile = (page: Page, name: string) => page.getByRole('option', { name, exact: true })

/** px of a tile's picture that are darker than paper, edge and the turned-away twin */
const inked = (tile: Element): Promise<number> =>
  new Promise((resolve) => {
    const image = new Image()
    image.onload = () => {
      const pen = new OffscreenCanvas(image.width, image.height).getContext('2d')!
      pen.drawImage(image, 0, 0)
      const { data } = pen.getImageData(0, 0, image.width, image.height)
      let dark = 0
      for (let at = 0; at < data.length; at += 4)
        if (data[at + 3] === 255 && Math.min(data[at]!, data[at + 1]!, data[at + 2]!) < 170) dark++
      resolve(dark)
    }
    image.onerror = () => resolve(0)
    image.src = getComputedStyle(tile).backgroundImage.slice(5, -2)
  })
const way = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).click()

/** The game file as the Ship station hands it out. */
async function gameOf(page: Page) {
  await page.getByRole('link', { name: 'Ship' }).click()
  const { path } = await downloadOf(page, () =>
    page.getByRole('button', { name: 'Download the game file' }).click(),
  )
  return JSON.parse(readFileSync(path, 'utf8'))
}

/** A PNG of one colour. */
function png(width: number, height: number, colour: [number, number, number] = [90, 120, 60]): Buffer {
  const image = new PNG({ width, height })
  for (let i = 0; i < width * height; i++) image.data.set([...colour, 255], i * 4)
  return PNG.sync.write(image)
}
const file = (name: string, buffer: Buffer | string, mimeType = 'image/png') => ({
  name,
  mimeType,
  buffer: Buffer.from(buffer as string),
})

test.describe('many pairs at once', () => {
  test('chosen with keys and mouse, they are tagged, moved, doubled, coloured and removed together', async ({
    page,
  }) => {
    await openStation(page, 'deck')
    await tile(page, 'Cog').click()
    await tile(page, 'Old key').click({ modifiers: ['Shift'] })
    await expect(page.getByRole('heading', { name: '4 pairs' })).toBeVisible()
    await tile(page, 'Hourglass').click({ modifiers: ['ControlOrMeta'] })
    await expect(page.getByRole('heading', { name: '3 pairs' })).toBeVisible()
    await expectNoViolations(page)
    await page.getByLabel('Tag for all of them').fill('chosen')
    await page.getByRole('button', { name: 'Tag all' }).click()
    await page.getByRole('button', { name: 'Later' }).click()
    await expect(names(page).nth(0)).toHaveText('Hourglass')
    await page.getByRole('button', { name: 'Duplicate', exact: true }).click()
    await expect(names(page)).toHaveCount(27)
    await page.keyboard.press('Control+z')
    await choose(page, 'Only pairs with this tag', 'chosen')
    await expect(names(page)).toHaveText(['Cog', 'Mantel clock', 'Old key'])
    await names(page).first().click()
    await page.keyboard.press('Control+a')
    await page.keyboard.press('Delete')
    await expect(page.getByText('3 pairs are removed')).toBeVisible()
    await page.getByRole('button', { name: 'Undo', exact: true }).first().click()
    await expect(names(page)).toHaveCount(3)
  })

  test('each pair lies there with its picture', async ({ page }) => {
    await openStation(page, 'deck')
    await expect(tiles(page)).toHaveCount(24)
    for (const tile of await tiles(page).all())
      await expect.poll(() => tile.evaluate(inked)).toBeGreaterThan(20)
  })

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
      .setInputFiles(file('many.game.json', JSON.stringify(game), 'application/json'))
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

  test('a name too long for its tile is cut there, and whole to those who hear it', async ({ page }) => {
    await openStation(page, 'deck')
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

  test('what was done can be undone from its message, until something else is done', async ({ page }) => {
    await openStation(page, 'deck')
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

  test('a box drawn over the table chooses what it touches', async ({ page }) => {
    await openStation(page, 'deck')
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

  test('a press just after scrolling, or while it begins, is for the pair under it', async ({ page }) => {
    await openStation(page, 'deck')
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

  test('a pair is dragged to where a line shows that it will lie; Escape leaves it', async ({ page }) => {
    await openStation(page, 'deck')
    await expect(names(page)).toHaveCount(24)
    const order = (): Promise<(string | null)[]> =>
      names(page).evaluateAll((all) => all.map((tile) => tile.getAttribute('data-pair')))
    const before = await order()
    const drag = async (from: number, to: number, share: number): Promise<void> => {
      const [a, b] = [
        (await names(page).nth(from).boundingBox())!,
        (await names(page).nth(to).boundingBox())!,
      ]
      await page.mouse.move(a.x + a.width / 2, a.y + a.height / 2)
      await page.mouse.down()
      await page.mouse.move(b.x + b.width * share, b.y + b.height / 2, { steps: 6 })
      await expect(page.locator('.place')).toBeVisible()
    }
    // from one block of rows into another
    await names(page).last().scrollIntoViewIfNeeded()
    await drag(21, 7, 0.2)
    await page.mouse.up()
    await expect(page.locator('.place')).toHaveCount(0)
    const after = before.toSpliced(21, 1).toSpliced(7, 0, before[21]!)
    await expect.poll(order).toEqual(after)
    await page.keyboard.press('ControlOrMeta+z')
    await expect.poll(order).toEqual(before)

    // the chosen go together, in their order
    await names(page).nth(6).click()
    await names(page)
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

  test('pairs are copied from one game and pasted into another, also by keys', async ({ page, context }) => {
    await context.grantPermissions(['clipboard-read', 'clipboard-write'])
    await openStation(page, 'deck')
    await tile(page, 'Bell').click()
    await tile(page, 'Compass').click({ modifiers: ['Shift'] })
    await page.keyboard.press('Control+c')
    await expect(page.getByText('2 pairs copied')).toBeVisible()
    await page.goto('/games/signal-room/deck')
    await expect(names(page)).toHaveCount(26)
    await page.keyboard.press('Control+v')
    await expect(names(page)).toHaveCount(28)
    await expect(names(page).nth(27)).toHaveText('Compass')
    await page.getByRole('button', { name: 'Cut', exact: true }).click()
    await expect(names(page)).toHaveCount(26)
    await way(page, 'Paste')
    await expect(names(page)).toHaveCount(28)
  })
})

test.describe('images', () => {
  test('files become pairs: once each, joined by their names on request, made smaller where useless', async ({
    page,
  }) => {
    await openStation(page, 'deck')
    await way(page, 'Images')
    await page
      .getByLabel('Images to add', { exact: true })
      .setInputFiles([
        file('key a.png', png(20, 20, [200, 0, 0])),
        file('key b.png', png(20, 20, [0, 0, 200])),
        file('large.png', png(1100, 300, [0, 99, 0])),
        file('again.png', png(20, 20, [7, 7, 7])),
        file('again too.png', png(20, 20, [7, 7, 7])),
        file(
          'drawn.svg',
          '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9"><circle r="4"/></svg>',
          'image/svg+xml',
        ),
      ])
    const dialog = page.getByRole('dialog', { name: 'Images' })
    await expect(
      dialog.getByText('5 pairs from 6 images; 1 came twice and are taken once; 1 made smaller'),
    ).toBeVisible()
    await dialog.getByLabel(/Make related pairs of 2 images/).check()
    await expectNoViolations(page)
    await dialog.getByRole('button', { name: 'Add 4 pairs' }).click()
    await expect(names(page)).toHaveCount(28)
    for (const i of [24, 25, 26, 27])
      await expect.poll(() => names(page).nth(i).evaluate(inked)).toBeGreaterThan(20)
    const { deck } = await gameOf(page)
    const added = deck.pairs.slice(24)
    expect(added.map(({ name, b }: { name: string; b?: object }) => name + (b ? ' +' : ''))).toEqual([
      'again',
      'drawn',
      'key +',
      'large',
    ])
    const large = PNG.sync.read(Buffer.from(added[3].a.src.split(',')[1], 'base64'))
    expect([large.width, large.height]).toEqual([512, 140])
    expect(added[1].a.src).toMatch(/^data:image\/svg/)
  })

  test('JPEG and WebP are taken as they are, and of a GIF that moves the first picture', async ({ page }) => {
    await openStation(page, 'deck')
    const made = (type: string): Promise<string> =>
      page.evaluate((type) => {
        const canvas = Object.assign(document.createElement('canvas'), { width: 30, height: 20 })
        canvas.getContext('2d')!.fillRect(0, 0, 30, 20)
        return canvas.toDataURL(type)
      }, type)
    const [jpeg, webp] = [await made('image/jpeg'), await made('image/webp')]
    const bytes = (src: string): Buffer => Buffer.from(src.split(',')[1]!, 'base64')
    // 1 × 1 px, two colours, and two pictures of one each
    const picture = (colour: number): number[] => [
      0x2c,
      0,
      0,
      0,
      0,
      1,
      0,
      1,
      0,
      0,
      2,
      2,
      colour ? 0x4c : 0x44,
      1,
      0,
    ]
    const gif = [
      ...Buffer.from('GIF89a'),
      1,
      0,
      1,
      0,
      0x80,
      0,
      0,
      200,
      10,
      20,
      0,
      0,
      255,
      ...picture(0),
      ...picture(1),
      0x3b,
    ]
    await way(page, 'Images')
    await page
      .getByLabel('Images to add', { exact: true })
      .setInputFiles([
        file('a photograph.jpg', bytes(jpeg), 'image/jpeg'),
        file('moves.gif', Buffer.from(gif), 'image/gif'),
        file('web.webp', bytes(webp), 'image/webp'),
      ])
    await page.getByRole('button', { name: 'Add 3 pairs' }).click()
    await expect(names(page)).toHaveCount(27)
    for (const i of [24, 25, 26])
      await expect.poll(() => names(page).nth(i).evaluate(inked)).toBeGreaterThan(20)
    const [photograph, moves, web] = (await gameOf(page)).deck.pairs.slice(24)
    expect([photograph.a.src, web.a.src]).toEqual([jpeg, webp])
    expect([...PNG.sync.read(bytes(moves.a.src)).data]).toEqual([200, 10, 20, 255])
  })

  test('a tall image stands in its card', async ({ page }) => {
    await openStation(page, 'deck')
    await way(page, 'Images')
    const tall =
      '<svg xmlns="http://www.w3.org/2000/svg" width="20" height="80"><path d="M0 0h20v80z"/></svg>'
    await page
      .getByLabel('Images to add', { exact: true })
      .setInputFiles([file('tall.svg', tall, 'image/svg+xml'), file('tall.png', png(20, 80))])
    await page.getByRole('button', { name: 'Add 2 pairs' }).click()
    const over = (image: Locator): Promise<number> =>
      image.evaluate((image) => {
        const [inner, outer] = [image, image.closest('.lt-face')!].map((one) => one.getBoundingClientRect())
        return Math.max(outer!.top - inner!.top, inner!.bottom - outer!.bottom)
      })
    const shown = page.locator('.fan .lt-face img')
    await expect(shown).toHaveCount(2)
    for (const image of await shown.all()) expect(await over(image)).toBeLessThan(0)
  })

  test('a dropped folder is opened', async ({ page }) => {
    const folder = mkdtempSync(join(tmpdir(), 'folder-'))
    mkdirSync(join(folder, 'inside'))
    writeFileSync(join(folder, 'one.png'), png(8, 8))
    writeFileSync(join(folder, 'inside', 'two.png'), png(8, 8, [1, 2, 3]))
    await openStation(page, 'deck')
    await way(page, 'Images')
    await page.getByLabel('Folder of images to add').setInputFiles(folder)
    await page.getByRole('button', { name: 'Add 2 pairs' }).click()
    await expect(names(page)).toHaveCount(26)
  })

  test('each file that cannot be used is told with its reason, and the others are kept', async ({ page }) => {
    await openStation(page, 'deck')
    const good = png(16, 16)
    // the head of a PNG of 80 megapixels, and nothing behind it
    const vast = Buffer.from(good)
    vast.writeUInt32BE(10_000, 16)
    vast.writeUInt32BE(8_000, 20)
    await way(page, 'Images')
    await page
      .getByLabel('Images to add', { exact: true })
      .setInputFiles([
        file('good.png', good),
        file('vast.png', vast),
        file('text.gif', 'this is no picture at all', 'image/gif'),
        file(
          'leak.svg',
          '<svg xmlns="http://www.w3.org/2000/svg">\n<image href="http://x.invalid/y.png"/></svg>',
          'image/svg+xml',
        ),
        file('torn.png', good.subarray(0, good.length - 30)),
      ])
    const dialog = page.getByRole('dialog', { name: 'Images' })
    for (const told of [
      'vast.png: 10,000 × 8,000 px are too many; at most 64 megapixels. Make it smaller first',
      'text.gif: not a PNG, JPEG, WebP, GIF or SVG image',
      'leak.svg: line 2: an SVG that refers to something outside it (href)',
      'torn.png: an image that is damaged or cut off',
    ])
      await expect(dialog.getByText(told)).toBeVisible()
    await dialog.getByRole('button', { name: 'Add 1 pair' }).click()
    await expect(names(page)).toHaveCount(25)
  })
})

test.describe('a sheet', () => {
  test('is cut by tile size as the demo game was, its tiles named', async ({ page }) => {
    await openStation(page, 'deck')
    await way(page, 'Sheet')
    await page.getByLabel('The sheet', { exact: true }).setInputFiles('demo/tile-yard.png')
    const dialog = page.getByRole('dialog', { name: 'Sheet' })
    for (const [name, value] of [
      ['Tile width', '96'],
      ['Tile height', '96'],
      ['Margin', '12'],
      ['Spacing', '8'],
    ] as const)
      await type(page, name, value)
    await expect(dialog.getByText('24 of 24 tiles.')).toBeVisible()
    await dialog.getByLabel('Name of the tile in row 1, column 2').fill('Fence')
    await dialog.getByLabel('Name of the tile in row 1, column 2').press('Tab')
    await dialog.getByRole('button', { name: 'Leave tile yard 1 out' }).click()
    await expectNoViolations(page)
    await dialog.getByRole('button', { name: 'Add 23 pairs' }).click()
    await expect(names(page)).toHaveCount(47)
    await expect(names(page).nth(24)).toHaveText('Fence')
    // the tiles are, px for px, the faces of the demo game
    const { deck } = await gameOf(page)
    const yard = JSON.parse(readFileSync('demo/tile-yard.game.json', 'utf8')).deck.pairs
    const pixels = (src: string): Buffer => PNG.sync.read(Buffer.from(src.split(',')[1]!, 'base64')).data
    for (const i of [1, 8, 23])
      expect(pixels(deck.pairs[23 + i].a.src).equals(pixels(yard[i].a.src))).toBe(true)
  })

  test('empty tiles stay out, what is left over is told, and what cannot fit too', async ({ page }) => {
    const sheet = new PNG({ width: 70, height: 32 })
    for (let x = 4; x < 20; x++) sheet.data.set([200, 30, 30, 255], (10 * 70 + x) * 4)
    await openStation(page, 'deck')
    await way(page, 'Sheet')
    await page
      .getByLabel('The sheet', { exact: true })
      .setInputFiles([file('bits.png', PNG.sync.write(sheet))])
    const dialog = page.getByRole('dialog', { name: 'Sheet' })
    await expect(
      dialog.getByText('a tile of 64 × 64 px does not fit on 70 × 32 px with a margin of 0.'),
    ).toBeVisible()
    await expect(dialog.getByRole('button', { name: 'Add 0 pairs' })).toBeDisabled()
    await type(page, 'Tile width', '32')
    await type(page, 'Tile height', '32')
    await expect(
      dialog.getByText('1 of 2 tiles; 1 empty left out; 6 px at the right belong to no tile.'),
    ).toBeVisible()
    await dialog.getByText('by columns and rows').click()
    await type(page, 'Columns', '7')
    await type(page, 'Rows', '2')
    await expect(dialog.getByText(/of 14 tiles/)).toBeVisible()
    await page.getByLabel('The sheet', { exact: true }).setInputFiles([file('no.png', 'no image')])
    await expect(dialog.getByText('no.png: not a PNG, JPEG, WebP, GIF or SVG image')).toBeVisible()
  })
})

test('words come from a CSV file, with its quotes and its head, and what is wrong is told by line', async ({
  page,
}) => {
  await openStation(page, 'deck', 'signal-room')
  await way(page, 'Words')
  const dialog = page.getByRole('dialog', { name: 'Words' })
  await page
    .getByLabel('File with words')
    .setInputFiles([
      file('list.csv', 'Word;Meaning\n"sun; star";soleil\nmoon;lune\nx;y;z\n"torn;a\nb;c\n', 'text/csv'),
    ])
  await expect(dialog.getByText('The first row names the columns: Word and Meaning')).toBeVisible()
  await expect(dialog.getByText('2 related; columns separated by semicolons.')).toBeVisible()
  await expect(dialog.getByText('line 4: more than two columns')).toBeVisible()
  await expect(
    dialog.getByText('line 5: a quotation mark is not closed; what follows it is not read'),
  ).toBeVisible()
  await expectNoViolations(page)
  await dialog.getByLabel(/The first row names/).uncheck()
  await expect(dialog.getByRole('button', { name: 'Add 3 pairs' })).toBeVisible()
  const long = Array.from({ length: 100_000 }, (_, i) => `w${i},m${i}`).join('\n')
  await page.getByLabel('File with words').setInputFiles([file('long.csv', long, 'text/csv')])
  await expect(
    dialog.getByText('99,026 rows more than there is room for: a deck holds 1,000 pairs'),
  ).toBeVisible()
  await page
    .getByLabel('File with words')
    .setInputFiles([file('list.xls', Buffer.from([0xd0, 0xcf, 0x11, 0xe0]), 'text/csv')])
  await expect(
    dialog.getByText(/^list\.xls: line \d+: not UTF-8 text; it seems to be .*\. Save it as UTF-8 first$/),
  ).toBeVisible()
  await page.getByLabel('File with words').setInputFiles([file('one.csv', 'cog\nkey\n', 'text/csv')])
  await expect(dialog.getByText('2 identical, with one column.')).toBeVisible()
  await dialog.getByRole('button', { name: 'Add 2 pairs' }).click()
  await expect(names(page)).toHaveCount(28)
})

test('a series needs no art', async ({ page }) => {
  await openStation(page, 'deck')
  await way(page, 'Series')
  const dialog = page.getByRole('dialog', { name: 'Series' })
  // letters are chosen by what they are, the others by number
  await choose(page, 'From', 'C')
  await expect(dialog.getByRole('list', { name: 'Pairs to be added' })).toHaveText('CDEFGHIJKL')
  await dialog.getByRole('button', { name: 'numbers' }).click()
  await choose(page, 'What the twin bears', 'as many dots')
  await type(page, 'To', '6')
  await expectNoViolations(page)
  await dialog.getByRole('button', { name: 'Add 6 pairs' }).click()
  await expect(names(page).last()).toHaveText('Six')
  const { deck } = await gameOf(page)
  expect(deck.pairs[29]).toMatchObject({
    a: { kind: 'text', text: '6' },
    b: { kind: 'image', alt: 'Six dots' },
  })
})

test('look-alikes are tied, more of them for those who see fewer colours, and found again after an edit', async ({
  page,
}) => {
  await openStation(page, 'deck')
  await way(page, 'Pictures')
  for (const [query, name] of [
    ['blue heart', 'blue heart'],
    ['purple heart', 'purple heart'],
    ['left arrow', 'left arrow'],
    ['right arrow', 'right arrow'],
  ] as const) {
    await page.getByLabel('Search the pictures').fill(query)
    await page.getByRole('button', { name, exact: true }).click()
  }
  await page.getByRole('button', { name: 'Add 4 pairs' }).click()
  const ties = page.locator('.threads text')
  await expect(ties).toHaveCount(1)
  await expect(
    page.getByText(/Left arrow and Right arrow look alike|Blue heart and Purple heart look alike/),
  ).toBeVisible()
  await page.getByText('deutan', { exact: true }).click()
  await expect(ties).toHaveCount(2)
  await expectNoViolations(page)
  // a turned face is another one
  await page.getByRole('option', { name: 'Left arrow alike' }).click()
  await expect(page.getByRole('heading', { name: 'Easily mistaken for' })).toBeVisible()
  await page.getByRole('button', { name: 'Text', exact: true }).click()
  await expect(ties).toHaveCount(1)
})

test('the back bears an emblem or an own image, in Play and in the shipped file; one that looks like a face is told', async ({
  page,
}) => {
  await openStation(page, 'deck')
  await page.getByRole('button', { name: 'A picture' }).click()
  await page.getByLabel('Search the pictures').fill('gear')
  await page.getByRole('button', { name: 'gear, in the deck' }).click()
  await expect(page.getByText('could be taken for')).toHaveCount(0)
  await page.getByRole('link', { name: 'Play', exact: true }).click()
  const back = () => page.locator('.lt-board').evaluate((board) => board.style.getPropertyValue('--back'))
  expect(await back()).toContain('/pictures/gear.svg')
  await page.getByRole('link', { name: 'Deck' }).click()
  const made = PNG.sync.read(png(40, 40, [255, 255, 255]))
  for (let y = 6; y < 34; y++)
    for (let x = 6; x < 34; x++) made.data.set([12, 200, 34, 255], (y * 40 + x) * 4)
  const image = PNG.sync.write(made)
  await page.getByRole('button', { name: 'Choose', exact: true }).click()
  await page.getByLabel('Image for the back').setInputFiles([file('back.png', image)])
  await expect(page.getByRole('button', { name: 'Remove' })).toBeVisible()
  await way(page, 'Images')
  await page
    .getByLabel('Images to add', { exact: true })
    .setInputFiles([file('same green.png', png(41, 41, [12, 200, 34]))])
  await page.getByRole('button', { name: 'Add 1 pair' }).click()
  await expect(page.getByText('the back could be taken for same green.')).toBeVisible()
  const { deck } = await gameOf(page)
  expect(deck.back).toMatchObject({ emblem: { kind: 'picture', name: 'gear' } })
  expect(deck.back.image).toBe(`data:image/png;base64,${image.toString('base64')}`)
})

test('text fits its card at every size', async ({ page }) => {
  await openStation(page, 'deck')
  await way(page, 'Words')
  const words = [
    'W',
    'Incomprehensibilities',
    'a few short words that wrap',
    'two words',
    'Donaudampfschifffahrt auf dem Strom',
  ]
  await page.getByRole('textbox', { name: 'Words' }).fill(words.join('\n'))
  await page.getByRole('button', { name: 'Add 5 pairs' }).click()
  for (const size of ['light table', 'slip', 'play']) {
    if (size === 'slip') await tile(page, 'Incomprehensibilities').click()
    if (size === 'play') {
      await page.goto('/games/clockmakers-drawer/play/cabinet')
      await expect(cards(page).first()).toBeVisible()
      await page.keyboard.press('g')
      await expect(page.locator('.lt-card .lt-face').first()).toBeVisible()
    }
    const over = await page.locator('.lt-text').evaluateAll((texts) =>
      texts.flatMap((text) => {
        const card = text.closest('.lt-face')!
        return (text as HTMLElement).offsetHeight > (card as HTMLElement).offsetHeight ||
          (text as HTMLElement).scrollWidth > (card as HTMLElement).offsetWidth
          ? [text.textContent]
          : []
      }),
    )
    expect({ size, over }).toEqual({ size, over: [] })
  }
})
