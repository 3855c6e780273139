import { expect, type Locator, type Page } from '@playwright/test'
import { mkdirSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { PNG } from 'pngjs'
import {
  expectNoViolations,
  fileOf,
  gameOf,
  inkedPx,
  pressButton,
  png,
  tiles,
  type,
  openStation,
  startAt,
} from './helpers.ts'
import { test } from './test.ts'

test.describe('images', () => {
  test('images of all kinds become pairs, or are refused by name', async ({ page }) => {
    await test.step('files become pairs: once each, joined by their names on request, made smaller where useless', async () => {
      await startAt(page, 'deck')
      await pressButton(page, 'Images')
      await page
        .getByLabel('Images to add', { exact: true })
        .setInputFiles([
          fileOf('key a.png', png(20, 20, [200, 0, 0])),
          fileOf('key b.png', png(20, 20, [0, 0, 200])),
          fileOf('large.png', png(1100, 300, [0, 99, 0])),
          fileOf('again.png', png(20, 20, [7, 7, 7])),
          fileOf('again too.png', png(20, 20, [7, 7, 7])),
          fileOf(
            'drawn.svg',
            '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9"><circle r="4"/></svg>',
            'image/svg+xml',
          ),
        ])
      const dialog = page.getByRole('dialog', { name: 'Images' })
      await expect(
        dialog.getByText('5 pairs from 6 images; 1 came twice and were taken once; 1 made smaller'),
      ).toBeVisible()
      await dialog.getByLabel(/Make related pairs of 2 images/).check()
      await expectNoViolations(page)
      await dialog.getByRole('button', { name: 'Add 4 pairs' }).click()
      await expect(tiles(page)).toHaveCount(28)
      for (const i of [24, 25, 26, 27])
        await expect.poll(() => tiles(page).nth(i).evaluate(inkedPx)).toBeGreaterThan(20)
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
    await test.step('JPEG and WebP are taken as they are, and of a GIF that moves the first picture', async () => {
      await startAt(page, 'deck')
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
      await pressButton(page, 'Images')
      await page
        .getByLabel('Images to add', { exact: true })
        .setInputFiles([
          fileOf('a photograph.jpg', bytes(jpeg), 'image/jpeg'),
          fileOf('moves.gif', Buffer.from(gif), 'image/gif'),
          fileOf('web.webp', bytes(webp), 'image/webp'),
        ])
      await page.getByRole('button', { name: 'Add 3 pairs' }).click()
      await expect(tiles(page)).toHaveCount(27)
      for (const i of [24, 25, 26])
        await expect.poll(() => tiles(page).nth(i).evaluate(inkedPx)).toBeGreaterThan(20)
      const [photograph, moves, web] = (await gameOf(page)).deck.pairs.slice(24)
      expect([photograph.a.src, web.a.src]).toEqual([jpeg, webp])
      expect([...PNG.sync.read(bytes(moves.a.src)).data]).toEqual([200, 10, 20, 255])
    })
    await test.step('a tall image stands in its card', async () => {
      await startAt(page, 'deck')
      await pressButton(page, 'Images')
      const tall =
        '<svg xmlns="http://www.w3.org/2000/svg" width="20" height="80"><path d="M0 0h20v80z"/></svg>'
      await page
        .getByLabel('Images to add', { exact: true })
        .setInputFiles([fileOf('tall.svg', tall, 'image/svg+xml'), fileOf('tall.png', png(20, 80))])
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
    await test.step('each file that cannot be used is told with its reason, and the others are kept', async () => {
      await startAt(page, 'deck')
      const good = png(16, 16)
      // the header of a PNG of 80 megapixels, and nothing after it
      const vast = Buffer.from(good)
      vast.writeUInt32BE(10_000, 16)
      vast.writeUInt32BE(8_000, 20)
      await pressButton(page, 'Images')
      await page
        .getByLabel('Images to add', { exact: true })
        .setInputFiles([
          fileOf('good.png', good),
          fileOf('vast.png', vast),
          fileOf('text.gif', 'this is no picture at all', 'image/gif'),
          fileOf(
            'leak.svg',
            '<svg xmlns="http://www.w3.org/2000/svg">\n<image href="http://x.invalid/y.png"/></svg>',
            'image/svg+xml',
          ),
          fileOf('torn.png', good.subarray(0, good.length - 30)),
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
      await expect(tiles(page)).toHaveCount(25)
    })
    await test.step('a dropped folder is opened', async () => {
      const folder = mkdtempSync(join(tmpdir(), 'folder-'))
      mkdirSync(join(folder, 'inside'))
      writeFileSync(join(folder, 'one.png'), png(8, 8))
      writeFileSync(join(folder, 'inside', 'two.png'), png(8, 8, [1, 2, 3]))
      await startAt(page, 'deck')
      await pressButton(page, 'Images')
      await page.getByLabel('Folder of images to add').setInputFiles(folder)
      await page.getByRole('button', { name: 'Add 2 pairs' }).click()
      await expect(tiles(page)).toHaveCount(26)
    })
  })
})

/** Opens the sheet of the tile yard in its dialog, cut into its 24 tiles. */
async function cutTileYard(page: Page): Promise<Locator> {
  await pressButton(page, 'Sheet')
  await page.getByLabel('The sheet', { exact: true }).setInputFiles('demo/tile-yard.png')
  const dialog = page.getByRole('dialog', { name: 'Sheet' })
  for (const [name, value] of [
    ['Tile width', '96'],
    ['Tile height', '96'],
    ['Margin', '12'],
    ['Spacing', '8'],
  ] as const)
    await type(page, name, value)
  return dialog
}

test.describe('a sheet', () => {
  test('a sheet is cut, and its tiles are chosen', async ({ page }) => {
    await test.step('is cut by tile size as the demo game was, its tiles named', async () => {
      await startAt(page, 'deck')
      const dialog = await cutTileYard(page)
      await expect(dialog.getByText('24 of 24 tiles.')).toBeVisible()
      await dialog.getByLabel('Name of the tile in row 1, column 2').fill('Fence')
      await dialog.getByLabel('Name of the tile in row 1, column 2').press('Tab')
      await dialog.getByRole('button', { name: 'Leave tile yard 1 out' }).click()
      await expectNoViolations(page)
      await dialog.getByRole('button', { name: 'Add 23 pairs' }).click()
      await expect(tiles(page)).toHaveCount(47)
      await expect(tiles(page).nth(24)).toHaveText('Fence')
      // the tiles are, px for px, the faces of the demo game
      const { deck } = await gameOf(page)
      const yard = JSON.parse(readFileSync('demo/tile-yard.game.json', 'utf8')).deck.pairs
      const pixels = (src: string): Buffer => PNG.sync.read(Buffer.from(src.split(',')[1]!, 'base64')).data
      for (const i of [1, 8, 23])
        expect(pixels(deck.pairs[23 + i].a.src).equals(pixels(yard[i].a.src))).toBe(true)
    })
    await test.step('empty tiles stay out, what is left over is told, and what cannot fit too', async () => {
      const sheet = new PNG({ width: 70, height: 32 })
      for (let x = 4; x < 20; x++) sheet.data.set([200, 30, 30, 255], (10 * 70 + x) * 4)
      await startAt(page, 'deck')
      await pressButton(page, 'Sheet')
      await page
        .getByLabel('The sheet', { exact: true })
        .setInputFiles([fileOf('bits.png', PNG.sync.write(sheet))])
      const dialog = page.getByRole('dialog', { name: 'Sheet' })
      await expect(
        dialog.getByText('a tile of 64 × 64 px does not fit on 70 × 32 px with a margin of 0.'),
      ).toBeVisible()
      await expect(dialog.getByRole('button', { name: 'Add pairs', exact: true })).toBeDisabled()
      await type(page, 'Tile width', '32')
      await type(page, 'Tile height', '32')
      await expect(
        dialog.getByText('1 of 2 tiles; 1 empty left out; 6 px at the right belong to no tile.'),
      ).toBeVisible()
      await dialog.getByText('by columns and rows').click()
      await type(page, 'Columns', '7')
      await type(page, 'Rows', '2')
      await expect(dialog.getByText(/of 14 tiles/)).toBeVisible()
      await page.getByLabel('The sheet', { exact: true }).setInputFiles([fileOf('no.png', 'no image')])
      await expect(dialog.getByText('no.png: not a PNG, JPEG, WebP, GIF or SVG image')).toBeVisible()
    })
    await test.step('all, none and the others, a box, and keys take tiles; one becomes the back, or lies behind the cards', async () => {
      await openStation(page, 'deck')
      const dialog = await cutTileYard(page)
      const tile = (row: number, column: number): Locator =>
        dialog.getByRole('checkbox', { name: new RegExp(`^Row ${row}, column ${column}:`) })
      const count = (taken: number) => expect(dialog.getByText(`${taken} of 24 tiles.`)).toBeVisible()
      await count(24)
      await pressButton(page, 'none')
      await count(0)
      // a box takes all that it touches, since it began on one that was left out
      const box = async (from: Locator, to: Locator): Promise<void> => {
        const [a, b] = [(await from.boundingBox())!, (await to.boundingBox())!]
        await page.mouse.move(a.x + 8, a.y + 8)
        await page.mouse.down()
        await page.mouse.move(b.x + 8, b.y + 8, { steps: 5 })
        await page.mouse.up()
      }
      await box(tile(1, 1), tile(2, 3))
      await count(6)
      await expect(tile(2, 3)).toBeChecked()
      await expect(tile(3, 3)).not.toBeChecked()
      // begun on one that is taken, it leaves them out
      await box(tile(1, 3), tile(2, 3))
      await count(4)
      await pressButton(page, 'the others')
      await count(20)
      await pressButton(page, 'all')
      await count(24)
      await tile(1, 2).click()
      await count(23)
      await expect(tile(1, 2)).toBeFocused()
      // by keys
      await page.keyboard.press('ArrowDown')
      await page.keyboard.press('ArrowRight')
      await expect(tile(2, 3)).toBeFocused()
      await page.keyboard.press('Space')
      await expect(tile(2, 3)).not.toBeChecked()
      await count(22)
      await page.keyboard.press('End')
      await expect(tile(4, 6)).toBeFocused()
      await expectNoViolations(page)

      await tile(1, 1).hover()
      await pressButton(page, 'Use as the back')
      await expect(page.getByText('"tile yard 1" is the back of all cards')).toBeVisible()
      await tile(4, 6).hover()
      await pressButton(page, 'Use behind the cards')
      await expect(page.getByText('is behind the cards now, by the house rules')).toBeVisible()
      await pressButton(page, 'Cancel')
      const { deck, house } = await gameOf(page)
      const yard = JSON.parse(readFileSync('demo/tile-yard.game.json', 'utf8')).deck.pairs
      const pixels = (src: string): Buffer => PNG.sync.read(Buffer.from(src.split(',')[1]!, 'base64')).data
      expect(pixels(deck.back.image).equals(pixels(yard[0].a.src))).toBe(true)
      expect(house.look.behind).toMatchObject({ kind: 'image', alt: 'tile yard 22' })
      expect(pixels(house.look.behind.src).equals(pixels(yard[23].a.src))).toBe(true)
      expect(deck.pairs).toHaveLength(24)
    })
  })
})
