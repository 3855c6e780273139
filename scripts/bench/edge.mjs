// A game at the limits of the format: how long each station takes to open, and how long an edit blocks the page.
import { beenHere } from '../tools/been-here.mjs'
import { readFileSync } from 'node:fs'
import { CHROMIUM_FLAGS } from '../tools/chromium-flags.mjs'
import { ROOT } from '../tools/root.mjs'
import { served } from './frames.mjs'

const OPEN = 2000
const HELD = 50

/** 1,000 pairs with 20 tags each, 100 levels of 400 cards that name their pairs by id. */
function edgeGame() {
  const game = JSON.parse(readFileSync(`${ROOT}/demo/clockmakers-drawer.game.json`, 'utf8'))
  const library = JSON.parse(readFileSync(`${ROOT}/public/pictures/index.json`, 'utf8'))
  Object.assign(game, { id: 'edge', title: 'Edge', checks: [] })
  game.deck.pairs = Array.from({ length: 1000 }, (_, i) => ({
    id: `pair-${i}-${'x'.repeat(40)}`,
    name: `Pair ${i}`,
    tags: Array.from({ length: 20 }, (_, k) => `tag ${(i * 7 + k) % 400} ${'y'.repeat(20)}`),
    a: { kind: 'picture', name: library[i % library.length][0] },
  }))
  game.levels = Array.from({ length: 100 }, (_, i) => ({
    id: `level-${i}`,
    name: `Level ${i}`,
    board: { rows: 20, columns: 20, gaps: i % 2 ? ['A1', `T${2 + (i % 18)}`] : [] },
    fill: { use: { pairs: game.deck.pairs.filter((_, k) => (k + i) % 5).map(({ id }) => id) } },
    limits: { lives: 20 },
    clock: { mode: 'down', limit: 900_000 },
  }))
  return { name: 'edge.game.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(game)) }
}

/** The sign that a station is open. */
const STATIONS = {
  deck: (page) => page.locator('.tile').first(),
  'deal/level-1': (page) => page.locator('.board .cell').first(),
  'rules/level-1': (page) => page.getByRole('spinbutton', { name: 'Time limit', exact: true }),
  'play/level-1': (page) => page.locator('.lt-card').first(),
  ship: (page) => page.getByRole('heading', { name: 'Where is it going?' }),
}
const focusOn = (name) => async (page) => page.getByRole('spinbutton', { name, exact: true }).focus()
const press = (key) => (page) => page.keyboard.press(key)
/** The edits at a station: when opening it is over, which element comes first, and what is done, several times. */
const EDITS = {
  deck: {
    // two thousand faces take about 20 s
    ready: (page) => page.waitForFunction(() => window.compared, null, { timeout: 120_000 }),
    begin: (page) => page.locator('.tile').nth(3).click(),
    edits: {
      rename: async (page, i) => {
        await page.locator('input[aria-label="Name"]').fill(`Renamed ${i}`)
        await page.keyboard.press('Enter')
      },
      aloud: async (page, i) => {
        await page.locator('input[aria-label="Read aloud as"]').fill(`Aloud ${i}`)
        await page.keyboard.press('Enter')
      },
      undo: press('Control+z'),
      move: async (page) => {
        await page.locator('.tile.chosen').focus()
        await page.keyboard.press('Alt+ArrowRight')
      },
      remove: async (page) => {
        await page.locator('.tile.chosen').focus()
        await page.keyboard.press('Delete')
      },
    },
  },
  'deal/level-1': {
    ready: (page) => page.locator('.rung .warn').first().waitFor(),
    begin: focusOn('Rows'),
    edits: { rows: press('ArrowDown') },
  },
  'rules/level-1': {
    ready: (page) => page.locator('.rung .warn').first().waitFor(),
    begin: focusOn('Time limit'),
    edits: { limit: press('ArrowDown') },
  },
}

export async function reportEdge(executablePath) {
  const { chromium } = await import('@playwright/test')
  const { address, end } = await served()
  const browser = await chromium.launch({ executablePath, args: CHROMIUM_FLAGS })
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await beenHere(page)
    await page.addInitScript(() => {
      window.held = []
      addEventListener('look-alikes', () => (window.compared = true))
      new PerformanceObserver((list) => {
        for (const { duration } of list.getEntries()) window.held.push(duration)
      }).observe({ entryTypes: ['longtask'] })
    })
    await page.goto(address)
    await page.getByRole('article').first().waitFor()
    await page.getByLabel('Game files').setInputFiles(edgeGame())
    await page.getByRole('heading', { name: 'Edge' }).waitFor()
    const told = []
    const edited = []
    let slowest = 0
    let longest = 0
    for (const [station, there] of Object.entries(STATIONS)) {
      const began = performance.now()
      await page.goto(`${address}/games/edge/${station}`)
      await there(page).waitFor()
      const took = performance.now() - began
      slowest = Math.max(slowest, took)
      told.push(`${station.split('/')[0]} ${took.toFixed(0)} ms`)
      if (!EDITS[station]) continue
      const { ready, begin, edits } = EDITS[station]
      // a browser that has nothing to draw may postpone an idle callback for ever
      const rest = () =>
        page.evaluate(() => new Promise((resolve) => requestIdleCallback(resolve, { timeout: 1000 })))
      await ready(page)
      await begin(page)
      await rest()
      for (const [name, edit] of Object.entries(edits)) {
        await page.evaluate(() => (window.held = []))
        for (let i = 0; i < 4; i++) {
          await edit(page, i)
          // by its class: a search by words reads the whole page, which takes as long as what is measured
          await page.locator('.saved').waitFor()
          await rest()
        }
        const held = Math.max(0, ...(await page.evaluate(() => window.held)))
        longest = Math.max(longest, held)
        edited.push(`${name} ${held ? `${held.toFixed(0)} ms` : `under ${HELD} ms`}`)
      }
    }
    console.log(
      `A game of 1,000 pairs and 100 levels of 400 cards opens: ${told.join(', ')} (${OPEN} ms each are the target) ${slowest > OPEN ? 'FAIL' : 'ok'}; an edit holds the page at most: ${edited.join(', ')} (${HELD} ms are the target) ${longest > HELD ? 'FAIL' : 'ok'}`,
    )
  } finally {
    await browser.close()
    end()
  }
}
