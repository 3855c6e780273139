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

/**
 * The signal room's deck, twice over, on 10 × 10, shipped by the command line; `change` is done to the game before.
 * Out: the file's address.
 */
function shipped(change = () => {}) {
  const folder = mkdtempSync(join(tmpdir(), 'press-'))
  const game = JSON.parse(readFileSync(join(ROOT, 'demo/signal-room.game.json'), 'utf8'))
  change(game)
  Object.assign(game.house.turn, { duringLook: 'skip-and-flip' })
  game.levels = [{ id: 'large', name: 'Large', board: { rows: 10, columns: 10 }, fill: { repeat: 'evenly' } }]
  const file = join(folder, 'large.game.json')
  const html = join(folder, 'large.html')
  writeFileSync(file, JSON.stringify(game))
  spawnSync(process.execPath, ['scripts/lucky-twin.mjs', 'ship', file, '--to', html], { cwd: ROOT })
  // without the opening panel
  return `${pathToFileURL(html).href}?level=large`
}

/** In the page: counts for each press the frames until its card turns. */
function watchPresses() {
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
}

/** A WAV of noise of nearly 1 MiB, another for each seed, as an own sound: 8 bits a sample. */
function ownSound(seed) {
  const length = 2 ** 20 - 100
  const bytes = Buffer.alloc(44 + length)
  bytes.write('RIFF')
  bytes.writeUInt32LE(bytes.length - 8, 4)
  bytes.write('WAVEfmt ', 8)
  bytes.writeUInt32LE(16, 16)
  bytes.writeUInt16LE(1, 20)
  bytes.writeUInt16LE(1, 22)
  bytes.writeUInt32LE(44_100, 24)
  bytes.writeUInt32LE(44_100, 28)
  bytes.writeUInt16LE(1, 32)
  bytes.writeUInt16LE(8, 34)
  bytes.write('data', 36)
  bytes.writeUInt32LE(length, 40)
  for (let i = 0; i < length; i++) bytes[44 + i] = 128 + ((i * (seed + 3)) % 17)
  return { name: `Noise ${seed}`, src: `data:audio/wav;base64,${bytes.toString('base64')}` }
}

const MOMENTS = ['deal', 'flip', 'match', 'miss', 'streak', 'lastSeconds', 'win', 'loss']
const LOADS = 8

/**
 * How soon the first flip of a fresh page shows, pressed as soon as there is a card, with eight own sounds of nearly 1
 * MiB each and without.
 */
export async function reportFirstFlip(executablePath) {
  const { chromium } = await import('@playwright/test')
  const browser = await chromium.launch({ executablePath, args: CHROMIUM_FLAGS })
  const plain = shipped()
  const loud = shipped(({ house }) => {
    MOMENTS.forEach((moment, i) => (house.sound[moment] = ownSound(i)))
  })
  const first = async (address) => {
    const page = await browser.newPage({ viewport: { width: 1000, height: 1000 } })
    await page.goto(address)
    const box = await page.locator('.lt-card').first().boundingBox()
    await page.evaluate(watchPresses)
    await page.mouse.click(box.x + box.width / 2, box.y + box.height / 2)
    const [count] = await page
      .waitForFunction(() => window.frames.length && window.frames)
      .then((h) => h.jsonValue())
    await page.close()
    return count
  }
  try {
    const frames = { plain: [], loud: [] }
    for (let i = 0; i < LOADS; i++) {
      frames.plain.push(await first(plain))
      frames.loud.push(await first(loud))
    }
    const next = (all) => all.filter((count) => count === 1).length
    const [without, withSounds] = [next(frames.plain), next(frames.loud)]
    console.log(
      `First flip, 8 own sounds of 1 MiB: the card turns in the next frame in ${withSounds} of ${LOADS} fresh pages, without own sounds in ${without} (no fewer is the target) ${withSounds < without ? 'FAIL' : 'ok'}`,
    )
  } finally {
    await browser.close()
  }
}

/** A page of 24 library pictures, and its first level without a first look. */
const [DEMO, LEVEL] = ['demo/clockmakers-drawer.game.json', 'bench']
const FIRST = { slowed: 6, within: 1500, loads: 15 }

/**
 * In the page, from its very start: presses the first card in each frame until it turns, and keeps the time since the
 * start, in ms.
 */
function pressAtOnce() {
  const look = () => {
    const card = document.querySelector('.lt-card')
    if (card?.classList.contains('lt-turning')) {
      window.turnedAt = performance.now()
      return
    }
    card?.click()
    requestAnimationFrame(look)
  }
  requestAnimationFrame(look)
}

/** How soon after it was opened from file a page takes its first flip, on a CPU slowed six times. */
export async function reportFirstTurn(executablePath) {
  const { chromium } = await import('@playwright/test')
  const browser = await chromium.launch({ executablePath, args: CHROMIUM_FLAGS })
  const html = join(mkdtempSync(join(tmpdir(), 'first-')), 'page.html')
  spawnSync(process.execPath, ['scripts/lucky-twin.mjs', 'ship', DEMO, '--to', html], { cwd: ROOT })
  const address = `${pathToFileURL(html).href}?level=${LEVEL}`
  try {
    const times = []
    for (let i = 0; i <= FIRST.loads; i++) {
      const page = await browser.newPage({ viewport: { width: 1000, height: 1000 } })
      const client = await page.context().newCDPSession(page)
      await client.send('Emulation.setCPUThrottlingRate', { rate: FIRST.slowed })
      await page.addInitScript(pressAtOnce)
      await page.goto(address)
      const time = await page.waitForFunction(() => window.turnedAt).then((handle) => handle.jsonValue())
      // the first warms the browser up
      if (i) times.push(time)
      await page.close()
    }
    times.sort((a, b) => a - b)
    const middle = times[FIRST.loads >> 1]
    console.log(
      `First flip of a page with 24 pictures, from file, CPU slowed ${FIRST.slowed} times: after ${(middle / FIRST.within).toFixed(2)} of the ${FIRST.within / 1000} s meant ${middle > FIRST.within ? 'OVER' : 'ok'}`,
    )
  } finally {
    await browser.close()
  }
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
    await page.evaluate(watchPresses)
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
