// The shelf: how long it takes to open with games whose pictures cannot be drawn, beside the same games with pictures
// that can.
import { readFileSync } from 'node:fs'
import { CHROMIUM_FLAGS } from '../tools/chromium-flags.mjs'
import { putGames } from '../tools/put-games.mjs'
import { ROOT } from '../tools/root.mjs'
import { served } from './frames.mjs'

const GAMES = 12
const RUNS = 7
const svg = (inner) =>
  `data:image/svg+xml;base64,${Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9">${inner}</svg>`).toString('base64')}`
const FINE = svg('<path d="M0 0h9v9z"/>')
/** Ten times ten times ten: what would cost a browser gigabytes. */
const HOSTILE = svg(
  `<defs><path id="u0" d="M0 0h9"/>${Array.from({ length: 9 }, (_, i) => `<g id="u${i + 1}">${`<use href="#u${i}"/>`.repeat(10)}</g>`).join('')}</defs><use href="#u9"/>`,
)

/** Puts games on the shelf, straight into the storage: no file with such pictures would be taken. */
async function keep(context, address, src) {
  const page = await context.newPage()
  const game = JSON.parse(readFileSync(`${ROOT}/demo/clockmakers-drawer.game.json`, 'utf8'))
  for (const at of [0, 3, 4]) game.deck.pairs[at].a = { kind: 'image', src }
  const { storedGame } = await import('../../dist/node/stored-game.js')
  await putGames(
    page,
    address,
    Array.from({ length: GAMES }, (_, i) => storedGame({ ...game, id: `g${i}` })),
  )
  await page.close()
}

/** How long the shelf takes until all its boxes are there and each shows its cards, in ms. */
async function opened(context, address) {
  const page = await context.newPage()
  const began = performance.now()
  await page.goto(address)
  await page.waitForFunction(
    (count) =>
      [...document.querySelectorAll('article')].filter(
        (box) => box.querySelectorAll('.lt-face img, .lt-face .lt-text').length >= 3,
      ).length === count,
    GAMES,
  )
  const took = performance.now() - began
  await page.close()
  return took
}

export async function reportShelf(executablePath) {
  const { chromium } = await import('@playwright/test')
  const { address, end } = await served()
  const browser = await chromium.launch({ executablePath, args: CHROMIUM_FLAGS })
  try {
    const contexts = { fine: await browser.newContext(), hostile: await browser.newContext() }
    await keep(contexts.fine, address, FINE)
    await keep(contexts.hostile, address, HOSTILE)
    const ratios = []
    for (let i = 0; i <= RUNS; i++) {
      const fine = await opened(contexts.fine, address)
      const hostile = await opened(contexts.hostile, address)
      // the first brings the storage up to date
      if (i) ratios.push(hostile / fine)
    }
    ratios.sort((a, b) => a - b)
    const ratio = ratios[RUNS >> 1]
    console.log(
      `Shelf with ${GAMES} games whose pictures cannot be drawn: open in ${ratio.toFixed(2)} times what it takes with pictures that can (${ratios[0].toFixed(2)} to ${ratios.at(-1).toFixed(2)}; at most 1.5 is the target) ${ratio > 1.5 ? 'FAIL' : 'ok'}`,
    )
  } finally {
    await browser.close()
    end()
  }
}
