import { expect, type Page } from '@playwright/test'
import { readFileSync, writeFileSync } from 'node:fs'
import { pathToFileURL } from 'node:url'
import { PNG } from 'pngjs'
import {
  addRule,
  card,
  choice,
  choose,
  downloadOf,
  expectNoViolations,
  openStation,
  up,
  toGameFile,
  startAt,
} from './helpers.ts'
import { test } from './test.ts'

// opens pages from files
test.use({ own: true, motion: true })

/** A PNG of one colour. */
function png(width: number, height: number): Buffer {
  const image = new PNG({ width, height })
  for (let i = 0; i < width * height; i++) image.data.set([40, 120, 90, 255], i * 4)
  return PNG.sync.write(image)
}
const lit = (page: Page) => page.locator('.lt-piece.lt-lit')

/** Presses twin after twin; the board is in order. */
async function match(page: Page, turns: readonly number[]): Promise<void> {
  for (const turn of turns) {
    await card(page, 2 * turn).click()
    await card(page, 2 * turn + 1).click()
    await expect(up(page)).toHaveCount(0)
  }
}

test('an image behind the cards is chosen, told in words, and appears as they leave', async ({ page }) => {
  await openStation(page, 'rules/bench')
  // it is played fast, however slow the machine
  await choose(page, 'Clock', 'counts up')
  await addRule(page, 'how it looks', 'a picture behind the cards')
  await expect(choice(page, 'Behind the cards', 'a picture of the library')).toBeFocused()
  await page
    .getByLabel('Image behind the cards')
    .setInputFiles({ name: 'night bridge.png', mimeType: 'image/png', buffer: png(1800, 900) })
  await expect(page.getByText('night bridge.png was scaled down')).toBeVisible()
  const words = page.getByLabel('What the picture behind shows, in words')
  const missing = page.getByText('the picture behind the cards has no alt text')
  await expect(missing).toBeVisible()
  await expect(words).toBeFocused()
  await words.fill('A bridge at night')
  await words.press('Enter')
  await expect(missing).toBeHidden()
  await expect(page.getByText('appears when the game is won')).toBeVisible()
  await choose(page, 'What happens to twins', 'leave the board')
  await expect(page.getByText('appears as twins leave')).toBeVisible()
  await expectNoViolations(page)
  // own images that are only behind the cards: they make a zip worth while
  await toGameFile(page)
  await expect(page.getByRole('button', { name: 'With images as a zip' })).toBeVisible()

  await page.getByRole('link', { name: 'Play', exact: true }).click()
  await page.getByRole('button', { name: 'In order' }).click()
  await expect(page.locator('.lt-piece')).toHaveCount(16)
  await expect(lit(page)).toHaveCount(0)
  await match(page, [0, 1])
  await expect(lit(page)).toHaveCount(4)
  // a piece shows the part of the picture at its place, and no more
  const [piece, place] = await Promise.all([lit(page).first().boundingBox(), card(page, 0).boundingBox()])
  expect(piece!.x).toBeLessThanOrEqual(place!.x)
  expect(piece!.width - place!.width).toBeLessThan(14)
  await expect(page.getByRole('img', { name: 'A bridge at night' })).toHaveCount(0)

  await match(page, [2, 3, 4, 5, 6, 7])
  await expect(lit(page)).toHaveCount(16)
  await page.getByRole('button', { name: 'See the picture' }).click()
  await expect(page.getByRole('heading', { name: 'All pairs found' })).toBeHidden()
  await expect(page.getByRole('img', { name: 'A bridge at night' })).toBeVisible()
  await expectNoViolations(page)
  await page.getByRole('button', { name: 'Back to the result' }).click()
  await expect(page.getByRole('heading', { name: 'All pairs found' })).toBeVisible()
})

test('an image of 50 MB, and a file that is none, are refused by name, and nothing changes', async ({
  page,
}, info) => {
  await openStation(page, 'rules/bench')
  await addRule(page, 'how it looks', 'a picture behind the cards')
  const given = page.getByLabel('Image behind the cards')
  const huge = info.outputPath('huge.png')
  writeFileSync(huge, Buffer.concat([png(2, 2), Buffer.alloc(50e6 - 100)]))
  await given.setInputFiles(huge)
  await expect(page.getByText('huge.png: larger than 8 MiB')).toBeVisible()
  await given.setInputFiles({ name: 'note.png', mimeType: 'image/png', buffer: Buffer.from('no image') })
  await expect(page.getByText('note.png: not a PNG, JPEG, WebP, GIF or SVG image')).toBeVisible()
  await expect(choice(page, 'Behind the cards', 'a picture of the library')).toBeVisible()
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(choice(page, 'Behind the cards')).toHaveCount(0)
  await expect(page.getByRole('button', { name: 'Undo', exact: true })).toBeDisabled()
})

test('a picture of the library lies behind the cards, in the shipped file too', async ({ page }, info) => {
  await openStation(page, 'rules/bench')
  await addRule(page, 'how it looks', 'a picture behind the cards')
  await page.getByRole('button', { name: 'Choose another picture' }).click()
  await page.getByRole('searchbox').last().fill('bridge at night')
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /bridge at night/i })
    .first()
    .click()
  await expect(choice(page, 'Behind the cards', 'a picture of the library')).toBeVisible()
  await choose(page, 'How cards flip', 'tip over upwards')
  await page.getByRole('link', { name: 'Ship' }).click()
  const { path } = await downloadOf(page, () =>
    page.getByRole('button', { name: 'Download the page' }).click(),
  )
  const file = info.outputPath('shipped.html')
  writeFileSync(file, readFileSync(path))
  const requests: string[] = []
  page.on('request', (request) => requests.push(request.url()))
  await page.goto(`${pathToFileURL(file).href}?level=bench&seed=behind`)
  await expect(page.locator('.lt-piece img')).toHaveCount(16)
  await expect(page.getByRole('region', { name: "The Clockmaker's Drawer", exact: true })).toHaveAttribute(
    'data-flip',
    'tip',
  )
  expect(requests.filter((url) => !url.startsWith('data:') && !url.startsWith('file:'))).toEqual([])
  await page.goto('/games/clockmakers-drawer/rules/bench')
  await expect(choice(page, 'Behind the cards', 'a picture of the library')).toBeVisible()
})

test('looks, stars and lives of a level', async ({ page }) => {
  await test.step('a ready look sets the table, the cards and how they move, and can be undone at once', async () => {
    await startAt(page, 'rules/bench')
    await choose(page, 'The look', 'like the boiler room')
    await expect(choice(page, 'How cards flip', 'tip over upwards')).toBeVisible()
    await expect(choice(page, 'How cards are dealt in', 'all at once')).toBeVisible()
    await choose(page, 'How cards flip', 'fade from one side into the other')
    await expect(choice(page, 'The look', 'its own way')).toBeVisible()
    await page.getByRole('link', { name: 'Play', exact: true }).click()
    const player = page.getByRole('region', { name: "The Clockmaker's Drawer", exact: true })
    await expect(player).toHaveAttribute('data-flip', 'melt')
    await expect(player).toHaveAttribute('data-deal-in', 'at-once')
    await card(page, 0).click()
    await expect(card(page, 0)).toHaveAttribute('data-state', 'up')
    await page.keyboard.press('Control+z')
    await page.keyboard.press('Control+z')
    await expect(player).toHaveAttribute('data-flip', 'turn')
  })
  await test.step('stars are set on their scale, by dragging and by keys, and never pass each other', async () => {
    await startAt(page, 'rules/top-drawer')
    const two = page.getByRole('slider', { name: 'Two stars, on the scale' })
    const sentence = page.getByRole('spinbutton', { name: 'Two stars', exact: true })
    await two.focus()
    await page.keyboard.press('ArrowRight')
    await expect(sentence).toHaveValue('1,410')
    await page.keyboard.press('End')
    await expect(sentence).toHaveValue('1,900')
    await page.keyboard.press('Home')
    await expect(sentence).toHaveValue('900')
    const box = (await two.boundingBox())!
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
    await page.mouse.down()
    await page.mouse.move(box.x + box.width / 2 + 40, box.y + box.height / 2, { steps: 4 })
    await page.mouse.up()
    await expect(sentence).not.toHaveValue('900')
    expect(Number((await sentence.inputValue()).replace(',', ''))).toBeLessThanOrEqual(1900)
  })
  await test.step('lives that only luck saves are a finding, mended with one press', async () => {
    await startAt(page, 'rules/cabinet')
    await addRule(page, 'limits', 'lives')
    const lives = page.getByRole('spinbutton', { name: 'Lives', exact: true })
    await lives.fill('1')
    await lives.press('Enter')
    await expect(page.getByText('< 1 %')).toBeVisible()
    const finding = page.getByText(
      'only luck wins: 1 life is enough for a perfect memory in fewer than 1 of 20 games',
    )
    await expect(finding.last()).toBeVisible()
    await page
      .getByRole('button', { name: /^\d+ lives: wins 9 of 10$/ })
      .last()
      .click()
    await expect(finding).toHaveCount(0)
    await expect(page.getByText('< 1 %', { exact: true })).toHaveCount(0)
  })
})

test('two cards try the turn: a match and a miss by turns, as the rules are now, until they are stopped', async ({
  page,
}) => {
  await openStation(page, 'rules/bench')
  const tried = page.locator('.try')
  await expect(tried.locator('.lt-card')).toHaveCount(0)
  await page.getByRole('button', { name: 'Try it' }).click()
  await expect(tried.getByText('a match')).toBeVisible()
  await expect(tried.locator('.lt-card[data-state="matched"]')).toHaveCount(2)
  await expect(tried.getByText('a miss')).toBeVisible()
  await expect(tried.locator('.lt-card[data-judged="miss"]')).toHaveCount(2)
  // the pointer on the strip follows
  await expect(page.locator('.hand:visible')).toHaveCount(1)
  await choose(page, 'What happens to twins', 'leave the board')
  await expect(tried.locator('.lt-card[data-state="gone"]')).toHaveCount(2)
  await choose(page, 'Speed', 'at quarter speed')
  await expect(tried.locator('.lt-player')).toHaveAttribute('style', /--lt-turn: 1080ms/)
  await page.getByRole('button', { name: 'Stop' }).click()
  await expect(tried.locator('.lt-card')).toHaveCount(0)
  await expectNoViolations(page)
})

test('what lies under a tip can be pressed while the tip is there', async ({ page }) => {
  await openStation(page, 'play/bench')
  await page.getByRole('button', { name: 'In order' }).hover()
  const tip = page.getByRole('tooltip')
  await expect(tip).toBeVisible()
  const { x, y, width, height } = (await tip.boundingBox())!
  const isHit = await tip.evaluate(
    (one, [left, top]) => one.contains(document.elementFromPoint(left!, top!)),
    [x + width / 2, y + height / 2],
  )
  expect(isHit).toBe(false)
})
