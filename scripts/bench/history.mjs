// A large game with its history: how long it takes to open beside the same game without, and how much a rename writes
// to the storage.
import { beenHere } from '../tools/been-here.mjs'
import { readFileSync } from 'node:fs'
import { PNG } from 'pngjs'
import { CHROMIUM_FLAGS } from '../tools/chromium-flags.mjs'
import { ROOT } from '../tools/root.mjs'
import { served } from './frames.mjs'

const RATIO = 1.5
const WRITTEN = 64 * 1024
const RUNS = 7
const STEPS = 50
/** px; noise of this size is about a MiB as PNG */
const SIDE = 512
const IMAGES = 20

/** An image that does not get smaller, of bytes from a small generator. */
function noise(seed) {
  const image = new PNG({ width: SIDE, height: SIDE })
  let state = seed
  for (let i = 0; i < image.data.length; i++) {
    state = (Math.imul(state, 1103515245) + 12345) >>> 0
    image.data[i] = i % 4 === 3 ? 255 : state >>> 24
  }
  return `data:image/png;base64,${PNG.sync.write(image, { deflateLevel: 1 }).toString('base64')}`
}

/** 1,000 pairs, among them images of about 20 MiB in all. */
function largeGame(id) {
  const game = JSON.parse(readFileSync(`${ROOT}/demo/clockmakers-drawer.game.json`, 'utf8'))
  const library = JSON.parse(readFileSync(`${ROOT}/public/pictures/index.json`, 'utf8'))
  game.deck.pairs = Array.from({ length: 1000 }, (_, i) => ({
    id: `pair-${i}`,
    name: `Pair ${i}`,
    a:
      i < IMAGES
        ? { kind: 'image', src: noise(i + 1), alt: `Noise ${i}` }
        : { kind: 'picture', name: library[i % library.length][0] },
  }))
  const text = JSON.stringify({ ...game, id, title: id, checks: [] })
  return { name: `${id}.game.json`, mimeType: 'application/json', buffer: Buffer.from(text) }
}

const median = (list) => [...list].sort((a, b) => a - b)[list.length >> 1]

export async function reportHistory(executablePath) {
  const { chromium } = await import('@playwright/test')
  const { address, end } = await served()
  const browser = await chromium.launch({ executablePath, args: CHROMIUM_FLAGS })
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await beenHere(page)
    // what is written is counted where it is handed to the storage
    await page.addInitScript(() => {
      window.written = 0
      const { put } = IDBObjectStore.prototype
      IDBObjectStore.prototype.put = function (value, ...key) {
        window.written += JSON.stringify(value).length
        return put.call(this, value, ...key)
      }
    })
    await page.goto(address)
    await page.getByRole('article').first().waitFor()
    for (const id of ['without', 'with']) {
      await page.getByLabel('Game files').setInputFiles(largeGame(id))
      await page.getByRole('heading', { name: id, exact: true }).waitFor()
    }
    const open = async (id) => {
      const began = performance.now()
      await page.goto(`${address}/games/${id}/deck`)
      await page.locator('.tile').nth(IMAGES).waitFor()
      return performance.now() - began
    }
    await open('with')
    let most = 0
    for (let i = 0; i < STEPS; i++) {
      await page
        .locator('.tile')
        .nth(i % 30)
        .click()
      await page.evaluate(() => (window.written = 0))
      await page.locator('input[aria-label="Name"]').fill(`Renamed ${i}`)
      await page.keyboard.press('Enter')
      await page.waitForFunction(() => window.written > 0)
      await page.locator('.saved').waitFor()
      most = Math.max(most, await page.evaluate(() => window.written))
    }
    const ratios = []
    for (let i = 0; i < RUNS; i++) ratios.push((await open('with')) / (await open('without')))
    const ratio = median(ratios)
    console.log(
      `A game of 1,000 pairs with ${IMAGES} MiB of images opens with ${STEPS} steps of history in ${ratio.toFixed(2)} × the time without (${RATIO} is the target) ${ratio > RATIO ? 'FAIL' : 'ok'}; a rename writes ${(most / 1024).toFixed(1)} KiB at most (${WRITTEN / 1024} KiB are the target) ${most > WRITTEN ? 'FAIL' : 'ok'}`,
    )
  } finally {
    await browser.close()
    end()
  }
}
