import { expect, test } from '@playwright/test'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { putGames } from '../scripts/tools/put-games.mjs'
import { storedGame } from '../scripts/tools/stored-game.ts'
import { HOSTILE } from '../src/core/testing/hostile.ts'
import { gifOf, pngOf, webpOf } from '../src/core/testing/images.ts'
import { begin, cards } from './helpers.ts'
import { callBuilt, luckyTwin } from './lucky-twin.ts'

test.use({ contextOptions: { reducedMotion: 'reduce' } })

/** Images that would crash a browser, one for each bound, with the words by which each is refused. */
const IMAGES: { name: string; type: string; bytes: Buffer; refused: RegExp }[] = [
  ...Object.entries(HOSTILE).map(([name, [markup, refused]]) => ({
    name,
    type: 'svg+xml',
    bytes: Buffer.from(markup),
    refused,
  })),
  ...[
    ['480 megapixels', 'png', pngOf(24_000, 20_000)] as const,
    ['a long GIF', 'gif', gifOf(1, 1, [[60_000, 1]])] as const,
    ['a wide WebP', 'webp', webpOf(9000, 9000)] as const,
  ].map(([name, type, bytes]) => ({
    name,
    type,
    bytes: Buffer.from(bytes),
    refused: /px are too many; at most/,
  })),
]
const srcOf = ({ type, bytes }: { type: string; bytes: Buffer }): string =>
  `data:image/${type};base64,${bytes.toString('base64')}`
/** The clockmaker's game with one hostile face. */
function gameOf(src: string, id = 'hostile', title = 'Hostile'): any {
  const game = JSON.parse(readFileSync('demo/clockmakers-drawer.game.json', 'utf8'))
  Object.assign(game, { id, title })
  for (const at of [0, 3, 4]) game.deck.pairs[at].a = { kind: 'image', src, alt: `Face ${at}` }
  return game
}

test('the command line refuses a game with any of them, by the place of the image', async () => {
  const path = join(mkdtempSync(join(tmpdir(), 'hostile-')), 'hostile.game.json')
  for (const image of IMAGES) {
    writeFileSync(path, JSON.stringify(gameOf(srcOf(image))))
    const { code, err: message } = await callBuilt('check', path)
    expect(code).toBe(2)
    expect(message).toContain('deck.pairs[0].a.src')
    expect(message).toMatch(image.refused)
    expect(message.length).toBeLessThan(400)
  }
})

test('the shelf refuses files with any of them, and answers throughout', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('article')).toHaveCount(3)
  for (const image of IMAGES) {
    await page.getByLabel('Game files').setInputFiles({
      name: `${image.name}.game.json`,
      mimeType: 'application/json',
      buffer: Buffer.from(JSON.stringify(gameOf(srcOf(image)))),
    })
    await expect(page.getByRole('alert').getByText(image.refused).last()).toBeVisible()
    // a blocked page gives no frame
    await page.evaluate(() => new Promise(requestAnimationFrame))
  }
  await expect(page.getByRole('article')).toHaveCount(3)
})

test('games that hold them open with signs in their place, and can be removed', async ({ page }) => {
  await putGames(
    page,
    '',
    IMAGES.map((image, i) => storedGame(gameOf(srcOf(image), `hostile-${i}`, `Hostile ${i}`))),
  )
  await page.goto('/')
  const boxes = page.getByRole('article')
  await expect(boxes).toHaveCount(IMAGES.length)
  // the names of the pairs replace their faces, on every box
  await expect(boxes.getByText('Cog', { exact: true })).toHaveCount(IMAGES.length)
  await expect(boxes.locator('img[src^="data:"]')).toHaveCount(0)
  await boxes
    .first()
    .getByRole('button', { name: /^Remove/ })
    .click()
  await expect(boxes).toHaveCount(IMAGES.length - 1)

  await boxes.filter({ hasText: 'Hostile 7' }).first().getByRole('link', { name: /^Play/ }).click()
  await expect(cards(page).first()).toBeVisible()
  await page.getByRole('link', { name: 'Deck', exact: true }).click()
  await expect(page.getByRole('option', { name: /^Cog/ })).toBeVisible()
  await page.getByRole('link', { name: 'Ship', exact: true }).click()
  await expect(page.getByText(/this image cannot be shown to players/)).toBeVisible()
  await expect(page.getByRole('button', { name: 'Download the page' })).toBeDisabled()
})

test('an image that fails gives way to its name, in the shipped page too', async ({ page }) => {
  // right by its header, and damaged after it
  const torn = srcOf({ type: 'png', bytes: Buffer.from(pngOf(40, 40)) })
  await page.goto('/')
  await page.getByLabel('Game files').setInputFiles({
    name: 'torn.game.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(gameOf(torn, 'torn', 'Torn'))),
  })
  const box = page.getByRole('article').filter({ hasText: 'Torn' })
  await expect(box.getByText('Cog', { exact: true })).toBeVisible()

  const folder = mkdtempSync(join(tmpdir(), 'torn-'))
  const [path, html] = [join(folder, 'torn.game.json'), join(folder, 'torn.html')]
  const game = gameOf(torn, 'torn', 'Torn')
  game.levels = [{ ...game.levels[0], deal: { way: 'in-order' }, fill: { pick: 'first', use: 'all' } }]
  writeFileSync(path, JSON.stringify(game))
  await luckyTwin('ship', path, '--to', html)
  await page.goto(`file://${html}`)
  await begin(page)
  await cards(page).first().click()
  await expect(cards(page).first()).toHaveText('Face 0')
})

test('a shelf whose last drawing stopped the browser draws signs until it is asked to', async ({ page }) => {
  const fine = srcOf({
    type: 'svg+xml',
    bytes: Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 4 4"><path d="M0 0h4v4z"/></svg>',
    ),
  })
  await page.goto('/')
  await page.getByLabel('Game files').setInputFiles({
    name: 'seals.game.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(gameOf(fine, 'seals', 'Seals'))),
  })
  const box = page.getByRole('article').filter({ hasText: 'Seals' })
  await expect(box.locator('img[src^="data:"]')).toHaveCount(3)
  // what a browser leaves behind that was ended while it drew them
  await page.route('**/note', (route) => route.fulfill({ contentType: 'text/html', body: '' }))
  await page.goto('/note')
  await page.evaluate(async () => {
    const opening = indexedDB.open('lucky-twin')
    await new Promise((resolve) => (opening.onsuccess = resolve))
    const reading = opening.result.transaction('games').objectStore('games').get('seals')
    await new Promise((resolve) => (reading.onsuccess = resolve))
    localStorage.setItem('lucky-twin/drawing', JSON.stringify([`seals ${reading.result.rev}`]))
    opening.result.close()
  })
  await page.goto('/')
  await expect(box.getByText('Drawing its images stopped the browser.')).toBeVisible()
  await expect(box.locator('img[src^="data:"]')).toHaveCount(0)
  await expect(box.getByText('Cog', { exact: true })).toBeVisible()
  await box.getByRole('button', { name: 'Draw them' }).click()
  await expect(box.locator('img[src^="data:"]')).toHaveCount(3)
  await page.reload()
  await expect(box.locator('img[src^="data:"]')).toHaveCount(3)
})
