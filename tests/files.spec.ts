import { expect, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { resolve } from 'node:path'
import { cards, downloadOf, openStation, tiles, toGameFile } from './helpers.ts'
import { callBuilt } from './lucky-twin.ts'
import { test } from './test.ts'

const DEMO = readFileSync('demo/clockmakers-drawer.game.json', 'utf8')
// one px, made by hand: a PNG and a GIF that any browser draws
const PNG = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
)
const GIF = Buffer.from('R0lGODlhAQABAIAAAAAAAP///yH5BAEAAAAALAAAAAABAAEAAAIBRAA7', 'base64')

type Given = { name: string; mimeType: string; buffer: Buffer }
const given = (name: string, content: string | Buffer, mimeType = 'application/json'): Given => ({
  name,
  mimeType,
  buffer: Buffer.from(content),
})
const changed = (change: (file: any) => void): string => {
  const file = JSON.parse(DEMO)
  change(file)
  return JSON.stringify(file)
}

/** Drops files onto an element, as a person does. */
async function drop(page: Page, selector: string, files: Given[]): Promise<void> {
  const transfer = await page.evaluateHandle(
    (list) => {
      const data = new DataTransfer()
      for (const { name, type, base64 } of list)
        data.items.add(new File([Uint8Array.from(atob(base64), (c) => c.charCodeAt(0))], name, { type }))
      return data
    },
    files.map(({ name, mimeType, buffer }) => ({ name, type: mimeType, base64: buffer.toString('base64') })),
  )
  await page.dispatchEvent(selector, 'drop', { dataTransfer: transfer })
}

test('a game file dropped on the shelf is opened, and what was there stays', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('article')).toHaveCount(3)
  await drop(page, '.shelf', [
    given(
      'x.game.json',
      changed((file) => (file.title = 'Dropped')),
    ),
  ])
  await expect(page.getByRole('heading', { name: 'Dropped' })).toBeVisible()
  await expect(page.getByRole('heading', { name: "The Clockmaker's Drawer" })).toBeVisible()
})

test('a file is refused where nothing takes it: else it would be opened in place of the studio', async ({
  page,
  context,
}) => {
  await openStation(page, 'rules')
  await expect(page.getByRole('heading', { name: 'What that means' })).toBeVisible()
  const browser = await context.newCDPSession(page)
  const data = { items: [], files: [resolve('demo/clockmakers-drawer.game.json')], dragOperationsMask: 1 }
  await page.evaluate(() =>
    window.addEventListener('dragover', ({ dataTransfer }) =>
      Object.assign(window, { made: dataTransfer!.dropEffect }),
    ),
  )
  /** What the page makes of a file that is held over it. */
  const held = async (): Promise<unknown> => {
    for (const type of ['dragEnter', 'dragOver'] as const)
      await browser.send('Input.dispatchDragEvent', { type, x: 400, y: 500, data })
    return page.evaluate(() => (window as unknown as { made: string }).made)
  }
  await expect.poll(held).toBe('none')
  await page.getByRole('link', { name: 'Deck', exact: true }).click()
  await expect(tiles(page).first()).toBeVisible()
  await expect.poll(held).toBe('copy')
})

const BROKEN: [string, string | Buffer, string][] = [
  ['no JSON', 'hello there', 'no-json.json: this is not a Lucky Twin game (it is plain text)'],
  ['cut off', DEMO.slice(0, 2000), 'this is not JSON, or it is cut off here'],
  ['a newer version', changed((f) => (f.version = 9)), 'version: 9 is newer than this Lucky Twin reads'],
  ['an unknown key', changed((f) => (f.deck.pairs[2].colour = 'x')), 'deck.pairs[2].colour: unknown key'],
  [
    'a wrong type',
    changed((f) => (f.house.turn.missLook = '1s')),
    'house.turn.missLook: a number is expected',
  ],
  ['a billion rows', changed((f) => (f.levels[1].board.rows = 1e9)), 'levels[1].board.rows: at most 20'],
  [
    'a pair id twice',
    changed((f) => (f.deck.pairs[4].id = 'cog')),
    'deck.pairs[4].id: "cog" is already the id of number 1',
  ],
  ['a broken zip', Buffer.from('PK\x03\x04 nothing'), 'not a zip, or cut off'],
]
test('a file that is broken gets one clear message and changes nothing', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('article')).toHaveCount(3)
  for (const [what, content, message] of BROKEN)
    await test.step(what, async () => {
      await page.getByLabel('Game files').setInputFiles(given('no-json.json', content))
      await expect(page.getByRole('alert').getByText(message)).toHaveCount(1)
      await expect(page.getByRole('article')).toHaveCount(3)
    })
})

test('own images become pairs; what is no image is told and left out', async ({ page }) => {
  await openStation(page, 'deck')
  await drop(page, '.deck', [
    given('brass_plate.png', PNG, 'image/png'),
    given('film.gif', GIF, 'image/gif'),
    given('notes.png', 'these are words', 'image/png'),
    given(
      'sly.svg',
      '<svg xmlns="http://www.w3.org/2000/svg">\n<script>alert(1)</script></svg>',
      'image/svg+xml',
    ),
    given('torn.png', PNG.subarray(0, 30), 'image/png'),
    given(
      'good.svg',
      '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 4 4"><path d="M0 0h4v4z"/></svg>',
      'image/svg+xml',
    ),
  ])
  for (const told of [
    'notes.png: not a PNG, JPEG, WebP, GIF or SVG image',
    'sly.svg: line 2: an SVG that holds a <script>',
    'torn.png: an image that is damaged or cut off',
  ])
    await expect(page.getByText(told)).toBeVisible()
  await page.getByRole('button', { name: 'Add 3 pairs' }).click()
  await expect(page.getByText('3 pairs added')).toBeVisible()
  await expect(page.getByText('27 pairs', { exact: true })).toBeVisible()
  await expect(page.getByRole('option', { name: 'brass plate' })).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).first().click()
  await expect(page.getByText('24 pairs', { exact: true })).toBeVisible()
})

test('a new game is made from own images alone', async ({ page }) => {
  await page.goto('/')
  await page.getByText('Own images', { exact: true }).click()
  await expect(page.getByText('One pair for each image you choose.')).toBeVisible()
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Choose images…' }).click(),
  ])
  await chooser.setFiles([
    given('brass_plate.png', PNG, 'image/png'),
    given('film-reel.gif', GIF, 'image/gif'),
    given('words.png', 'words', 'image/png'),
  ])
  await expect(page.getByText('words.png: not a PNG, JPEG, WebP, GIF or SVG image')).toBeVisible()
  await expect(tiles(page)).toHaveText(['brass plate', 'film reel'])
  await page.getByRole('link', { name: 'Play', exact: true }).click()
  await expect(cards(page)).toHaveCount(4)
})

test('a large image is made no larger than is useful', async ({ page }) => {
  await openStation(page, 'deck')
  const large = await page.evaluate(() => {
    const canvas = document.createElement('canvas')
    canvas.width = 1600
    canvas.height = 800
    canvas.getContext('2d')!.fillRect(10, 10, 900, 500)
    return canvas.toDataURL('image/png').split(',')[1]!
  })
  await page.getByRole('button', { name: 'Images', exact: true }).click()
  await page
    .getByLabel('Images to add', { exact: true })
    .setInputFiles(given('wide.png', Buffer.from(large, 'base64'), 'image/png'))
  await page.getByRole('button', { name: 'Add 1 pair' }).click()
  await expect(page.getByText('1 pair added')).toBeVisible()
  const size = await page
    .getByRole('complementary', { name: 'Slip' })
    .locator('img')
    .first()
    .evaluate((image: HTMLImageElement) => [image.naturalWidth, image.naturalHeight])
  expect(size).toEqual([512, 256])
})

test('a game with images goes out as a zip and comes in again', async ({ page }) => {
  await openStation(page, 'deck')
  await page.getByRole('button', { name: 'Images', exact: true }).click()
  await page.getByLabel('Images to add', { exact: true }).setInputFiles(given('brass.png', PNG, 'image/png'))
  await page.getByRole('button', { name: 'Add 1 pair' }).click()
  await toGameFile(page)
  const { name, path } = await downloadOf(page, () =>
    page.getByRole('button', { name: 'With images as a zip' }).click(),
  )
  expect(name).toBe('the-clockmakers-drawer.game.zip')
  await page.goto('/')
  await page.getByLabel('Game files').setInputFiles(path)
  await page.getByRole('alert').getByRole('button', { name: 'Open' }).click()
  await expect(page.getByText('25 pairs', { exact: true })).toBeVisible()
})

test('a page that was shipped is opened again, here and on the command line', async ({ page }) => {
  await openStation(page, 'deal/bench')
  await page.getByLabel('Title of the game').fill('Sent out')
  await page.keyboard.press('Enter')
  await page.getByRole('link', { name: 'Ship' }).click()
  const { path } = await downloadOf(page, () =>
    page.getByRole('button', { name: 'Download the page' }).click(),
  )
  await page.goto('/')
  await page.getByLabel('Game files').setInputFiles(given('sent.html', readFileSync(path), 'text/html'))
  await expect(page.getByRole('heading', { name: 'Sent out' })).toHaveCount(2)
  expect(await callBuilt('check', path)).toEqual({ code: 0, out: 'no findings\n', err: '' })

  await page
    .getByLabel('Game files')
    .setInputFiles(given('other.html', '<!doctype html><p>hello', 'text/html'))
  await expect(
    page.getByText('this is not a Lucky Twin game (it is a web page without a game inside)'),
  ).toBeVisible()
})

test('text from a game never becomes HTML', async ({ page }) => {
  const evil = '<img src=x onerror="window.hacked=1"><script>window.hacked=1</script>'
  const game = changed((file) => {
    file.title = evil.slice(0, 100)
    file.levels[0].name = evil.slice(0, 100)
    for (const pair of file.deck.pairs) {
      pair.name = evil.slice(0, 100)
      pair.a = { kind: 'text', text: evil, alt: evil }
      pair.tags = ['<b>tag']
    }
  })
  await page.goto('/')
  await page.getByLabel('Game files').setInputFiles(given('evil.json', game))
  await page.getByRole('alert').getByRole('button', { name: 'Open' }).click()
  for (const name of ['Deal', 'Rules', 'Play', 'Ship', 'Deck']) {
    await page.getByRole('link', { name, exact: true }).click()
    await expect(page.getByRole('main').getByRole('heading').first()).toBeVisible()
  }
  expect(await page.evaluate(() => 'hacked' in window)).toBe(false)
  await expect(page.locator('img[src="x"]')).toHaveCount(0)
  // our own bold figures are there too; none of them may come from the tag
  await expect(page.locator('b', { hasText: 'tag' })).toHaveCount(0)
})
