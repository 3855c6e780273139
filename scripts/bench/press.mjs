// How soon a press shows: a 10 × 10 board in a shipped file, the CPU slowed four times, real mouse presses.
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { spawnSync } from 'node:child_process'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { CHROMIUM_FLAGS } from '../tools/chromium-flags.mjs'
import { ROOT } from '../tools/root.mjs'

const SLOWED = 4
const PRESSES = 30

/** The signal room's deck, twice over, on 10 × 10, shipped by the command line. Out: the file's address. */
function shipped() {
  const folder = mkdtempSync(join(tmpdir(), 'press-'))
  const game = JSON.parse(readFileSync(join(ROOT, 'demo/signal-room.game.json'), 'utf8'))
  Object.assign(game.house.turn, { duringLook: 'skip-and-flip' })
  game.levels = [{ id: 'large', name: 'Large', board: { rows: 10, columns: 10 }, fill: { repeat: 'evenly' } }]
  const file = join(folder, 'large.game.json')
  const html = join(folder, 'large.html')
  writeFileSync(file, JSON.stringify(game))
  spawnSync(process.execPath, ['scripts/lucky-twin.mjs', 'ship', file, '--to', html], { cwd: ROOT })
  return pathToFileURL(html).href
}

export async function reportPress(executablePath) {
  const { chromium } = await import('@playwright/test')
  const browser = await chromium.launch({
    executablePath,
    args: CHROMIUM_FLAGS,
  })
  try {
    const page = await browser.newPage({ viewport: { width: 1000, height: 1000 } })
    await page.goto(shipped())
    await page.locator('.lt-card').nth(99).waitFor()
    // the deal's own motion is over before anything is measured
    await page.evaluate(() => Promise.all(document.getAnimations().map((one) => one.finished)))
    const client = await page.context().newCDPSession(page)
    await client.send('Emulation.setCPUThrottlingRate', { rate: SLOWED })
    await page.evaluate(() => {
      window.frames = []
      addEventListener(
        'pointerdown',
        (event) => {
          const card = event.target.closest('.lt-card')
          let count = 0
          const look = () => {
            count++
            if (card.classList.contains('lt-turning') || count > 60) window.frames.push(count)
            else requestAnimationFrame(look)
          }
          requestAnimationFrame(look)
        },
        true,
      )
    })
    for (let i = 0; i < PRESSES; i++) {
      const box = await page.locator(`.lt-card[data-cell="${i * 3}"]`).boundingBox()
      await page.mouse.click(box.x + box.width / 2, box.y + box.height / 2)
      await page.waitForFunction((n) => window.frames.length === n, i + 1)
    }
    const frames = await page.evaluate(() => window.frames)
    const next = frames.filter((count) => count === 1).length
    console.log(
      `Press, 10 × 10, CPU slowed ${SLOWED} times: the card turns in the next frame for ${next} of ${PRESSES} presses (all are the target) ${next < PRESSES ? 'FAIL' : 'ok'}`,
    )
  } finally {
    await browser.close()
  }
}
