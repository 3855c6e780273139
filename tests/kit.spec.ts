import { expect } from '@playwright/test'
import { spawnSync } from 'node:child_process'
import { mkdtempSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { PNG } from 'pngjs'
import { downloadOf, expectNoViolations, fileOf, openStation, png } from './helpers.ts'
import { test } from './test.ts'
import { shipped, unpacked } from './zips.ts'

const DEMO = 'demo/clockmakers-drawer.game.json'
const prove = (folder: string): string => {
  const { stdout, stderr } = spawnSync(process.execPath, ['tests/prove-kit.mjs', folder], {
    encoding: 'utf8',
  })
  return stderr || stdout.trim()
}
const image = (folder: string, name: string): PNG => PNG.sync.read(readFileSync(join(folder, name)))
const json = (folder: string, name: string) => JSON.parse(readFileSync(join(folder, name), 'utf8'))
/** Whether an image lies on another at a place, px by px, but for a hair in each channel. */
function liesAt(whole: PNG, part: PNG, { x, y }: { x: number; y: number }): boolean {
  for (let row = 0; row < part.height; row++)
    for (let at = 0; at < part.width * 4; at++) {
      const theirs = whole.data[((y + row) * whole.width + x) * 4 + at]!
      if (Math.abs(theirs - part.data[row * part.width * 4 + at]!) > 2) return false
    }
  return true
}

test('a second program, written from the README alone, plays every test game to the same events and result', async () => {
  for (const [game, count] of [
    ['clockmakers-drawer', 4 * 12],
    ['signal-room', 3 * 12],
    ['tile-yard', 5 * 12],
  ] as const) {
    const { folder } = await shipped(
      `demo/${game}.game.json`,
      'kit',
      '--games',
      '12',
      '--deals',
      '3',
      '--width',
      '40',
    )
    expect(prove(folder)).toBe(`${count} games as they are told`)
  }
})

test('so it does under every kind of rule', async () => {
  const game = JSON.parse(readFileSync('demo/signal-room.game.json', 'utf8'))
  let state = 7
  const one = <T>(...all: T[]): T => {
    state = (state * 1_103_515_245 + 12_345) % 2 ** 31
    return all[Math.floor(state / 65_536) % all.length]!
  }
  game.levels = Array.from({ length: 60 }, (_, i) => ({
    id: `l${i}`,
    name: `Level ${i}`,
    board: { rows: 3, columns: 4, gaps: [] },
    turn: {
      firstLook: one(0, 0, 1500),
      matchLook: one(0, 400, 900),
      missLook: one(0, 500, 1500),
      duringLook: one('wait', 'skip', 'skip-and-flip'),
      onMatch: one('stay', 'fade', 'leave'),
      onMiss: one('timed', 'press', 'button'),
      onOpen: one('stay', 'turn-back'),
    },
    clock: {
      mode: one('off', 'up', 'down'),
      limit: one(20_000, 60_000),
      startsAt: one('first-flip', 'deal'),
      lookStopsClock: one(true, false),
      matchBonus: one(0, 2000),
      missPenalty: one(0, 1500),
    },
    limits: { lives: one(null, 3, 8), livesLostOn: one('miss', 'slip'), turns: one(null, 12, 40) },
    score: {
      match: 100,
      streakStep: one(0, 0.37),
      streakMax: one(1, 3),
      miss: one(0, 30),
      slip: one(0, 45),
      lucky: one(0, 20),
      perSecondLeft: one(0, 5),
      perLifeLeft: one(0, 50),
      floorAtZero: one(true, false),
      stars: one<object | null>(
        null,
        { by: 'score', at: [100, 400, 900] },
        { by: 'turns', at: [40, 20, 10] },
        { by: 'time', at: [60_000, 30_000, 10_000] },
      ),
    },
    players: { names: one(['A'], ['A', 'B'], ['A', 'B', 'C']), matchGoesAgain: one(true, false) },
  }))
  game.checks = []
  const path = join(mkdtempSync(join(tmpdir(), 'kit-')), 'rules.game.json')
  writeFileSync(path, JSON.stringify(game))
  const { folder } = await shipped(path, 'kit', '--games', '10', '--deals', '1', '--width', '32')
  expect(prove(folder)).toBe('600 games as they are told')
  // and it is told where they part, if they do
  const name = join(folder, 'test-games/l7.jsonl')
  writeFileSync(name, readFileSync(name, 'utf8').replace(/"points":-?/, '"points":1'))
  expect(prove(folder)).toMatch(/^l7 test-\d+ event \d+ told/)
})

test('the studio makes the same kit in workers: cards in three sizes, and each at its place on the atlas', async ({
  page,
}) => {
  await openStation(page, 'ship')
  await page.getByText('Any other engine', { exact: true }).click()
  const width = page.getByRole('spinbutton', { name: 'Width of a card in px' })
  await width.fill('60')
  await width.press('Enter')
  await expectNoViolations(page)
  await page.getByRole('button', { name: 'Make the kit' }).click()
  const { path, name } = await downloadOf(page, () =>
    page.getByRole('button', { name: 'Download the kit' }).click(),
  )
  expect(name).toBe('the-clockmakers-drawer-kit.zip')
  const mine = unpacked(path)
  const theirs = (await shipped(DEMO, 'kit', '--width', '60')).folder
  const list = (folder: string): string[] =>
    readdirSync(folder, { recursive: true })
      .map(String)
      .filter((file) => statSync(join(folder, file)).isFile())
      .sort()
  expect(list(mine)).toEqual(list(theirs))
  for (const file of list(mine).filter((one) => !one.endsWith('.png')))
    expect(readFileSync(join(mine, file), 'utf8'), file).toBe(readFileSync(join(theirs, file), 'utf8'))
  for (const folder of [mine, theirs]) {
    const { frames, scale, ...size } = json(folder, 'atlas.json')
    const atlas = image(folder, 'atlas.png')
    expect([atlas.width, atlas.height]).toEqual([size.width, size.height])
    for (const { card, file } of [...json(folder, 'cards.json'), { card: 'back', file: 'back' }]) {
      for (const times of [1, 2, 3]) {
        const drawn = image(folder, `faces/${times}x/${file}.png`)
        expect([drawn.width, drawn.height]).toEqual([60 * times, 71 * times])
        // round corners
        expect(drawn.data[3]).toBe(0)
      }
      expect(liesAt(atlas, image(folder, `faces/${scale}x/${file}.png`), frames[card])).toBe(true)
    }
  }
})

test('a face that cannot be drawn is named, and making a kit can be stopped', async ({ page }) => {
  const game = JSON.parse(readFileSync(DEMO, 'utf8'))
  // a PNG by its head, and nothing that can be drawn
  const broken = Buffer.concat([png(4, 4).subarray(0, 40), Buffer.alloc(40)]).toString('base64')
  game.deck.pairs[0].a = { kind: 'image', src: `data:image/png;base64,${broken}` }
  Object.assign(game, { id: 'torn', title: 'Torn' })
  await page.goto('/')
  await page
    .getByLabel('Game files')
    .setInputFiles(fileOf('torn.game.json', JSON.stringify(game), 'application/json'))
  await expect(page.getByRole('heading', { name: 'Torn' })).toBeVisible()
  await openStation(page, 'ship', 'torn')
  await page.getByText('Any other engine', { exact: true }).click()
  await page.getByRole('spinbutton', { name: 'Deals of each level' }).fill('10000')
  await page.getByRole('spinbutton', { name: 'Deals of each level' }).press('Enter')
  await page.getByRole('button', { name: 'Make the kit' }).click()
  await expect(page.getByRole('progressbar', { name: 'Making the kit' })).toBeVisible()
  await page.getByRole('button', { name: 'Stop' }).click()
  await expect(page.getByRole('progressbar')).toBeHidden()
  await expect(page.getByRole('button', { name: 'Make the kit' })).toBeEnabled()

  await page.getByRole('spinbutton', { name: 'Deals of each level' }).fill('2')
  await page.getByRole('spinbutton', { name: 'Deals of each level' }).press('Enter')
  await page.getByRole('button', { name: 'Make the kit' }).click()
  await expect(page.getByRole('alert')).toContainText(
    'show words instead: cog/a. Replace the images in Deck.',
  )
  await expect(page.getByText('files, ready to download.')).toBeVisible()
  // an edit makes it out of date
  await page.getByRole('spinbutton', { name: 'Test games of each level' }).fill('1')
  await page.getByRole('spinbutton', { name: 'Test games of each level' }).press('Enter')
  await expect(page.getByRole('button', { name: 'Make the kit' })).toBeVisible()
})
