// Play: how smoothly the ledger follows a game that is played at eight times its speed.
import { beenHere } from '../tools/been-here.mjs'
import { readFileSync } from 'node:fs'
import { CHROMIUM_FLAGS } from '../tools/chromium-flags.mjs'
import { ROOT } from '../tools/root.mjs'
import { longFrames, LONGEST_FRAME, served } from './frames.mjs'

const SIDE = 10
const TURNS = (SIDE * SIDE) / 2
const RUNS = 5

/** A game of one level, 10 x 10, laid in order so that what is pressed is known. */
function game() {
  const made = JSON.parse(readFileSync(`${ROOT}/demo/clockmakers-drawer.game.json`, 'utf8'))
  const library = JSON.parse(readFileSync(`${ROOT}/public/pictures/index.json`, 'utf8'))
  made.deck.pairs = library
    .slice(0, TURNS)
    .map(([name], i) => ({ id: `p${i}`, name, a: { kind: 'picture', name } }))
  made.levels = [{ id: 'all', name: 'All', board: { rows: SIDE, columns: SIDE }, deal: { way: 'in-order' } }]
  delete made.checks
  Object.assign(made, { id: 'followed', title: 'Followed' })
  return {
    name: 'followed.game.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(made)),
  }
}

/** Frames while all pairs are pressed, a turn as soon as the board is free again: a match, or a miss first. */
const played = (page) =>
  page.evaluate(async (turns) => {
    const card = (cell) => document.querySelector(`.lt-card[data-cell="${cell}"]`)
    const next = () => new Promise(requestAnimationFrame)
    const times = []
    let last = await next()
    const frame = async () => {
      const now = await next()
      times.push(now - last)
      last = now
    }
    const press = async (cell) => {
      card(cell).click()
      await frame()
      while (document.querySelectorAll('.lt-card[data-order]').length === 2) await frame()
    }
    for (let turn = 0; turn < turns; turn++) {
      const [one, other] = [2 * turn, 2 * turn + 1]
      if (turn + 1 < turns && turn % 2 === 0) {
        await press(one)
        await press(other + 1)
      }
      await press(one)
      await press(other)
    }
    return times
  }, TURNS)

export async function reportLedger(executablePath) {
  const { chromium } = await import('@playwright/test')
  const { address, end } = await served()
  const browser = await chromium.launch({ executablePath, args: CHROMIUM_FLAGS })
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await beenHere(page)
    await page.goto(address)
    await page.getByRole('article').first().waitFor()
    await page.getByLabel('Game files').setInputFiles(game())
    await page.getByRole('link', { name: 'Play Followed' }).click()
    await page.getByText('8×', { exact: true }).click()
    const runs = []
    for (let i = 0; i < RUNS; i++) {
      await page.getByRole('button', { name: 'Deal again' }).click()
      runs.push(longFrames(await played(page)))
    }
    const long = runs.map((run) => run.long)
    const median = long.toSorted((a, b) => a - b)[RUNS >> 1]
    const worst = Math.max(...runs.map((run) => run.worst))
    console.log(
      `Ledger, following a game of ${SIDE} x ${SIDE} at 8 times its speed: ${median} of ${runs[0].of} frames over ${LONGEST_FRAME} ms in the median of ${RUNS} runs (${long.join(', ')}; the longest ${worst.toFixed(0)} ms) (none is the target) ${median ? 'FAIL' : 'ok'}`,
    )
  } finally {
    await browser.close()
    end()
  }
}
