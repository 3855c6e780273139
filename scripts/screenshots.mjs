// npm run screenshots: docs/screenshots/ anew, from the demo games, at 1280 × 800 and the shipped game at 360 × 640.
import { beenHere } from './tools/been-here.mjs'
import { spawn, spawnSync } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { CHROMIUM_FLAGS } from './tools/chromium-flags.mjs'
import { ensureBuild, ensureChromium, ensurePackages } from './tools/ensure.mjs'
import { ROOT } from './tools/root.mjs'

ensurePackages()
const executablePath = ensureChromium()
ensureBuild()
const { chromium } = await import('@playwright/test')

const PORT = '8496'
const server = spawn(process.execPath, ['dist/node/server.js'], { cwd: ROOT, env: { ...process.env, PORT } })
await new Promise((resolve) => server.stdout.once('data', resolve))
const browser = await chromium.launch({
  executablePath,
  args: CHROMIUM_FLAGS,
})
const into = (name) => join(ROOT, 'docs', 'screenshots', `${name}.png`)
const card = (page, cell) => page.locator(`.lt-card[data-cell="${cell}"]`)
/** Waits until nothing moves: what a press has just opened starts to move a frame later. */
const still = (page) =>
  page.evaluate(async () => {
    const frame = () => new Promise((resolve) => requestAnimationFrame(resolve))
    await document.fonts.ready
    await frame()
    do {
      await Promise.all(document.getAnimations().map((one) => one.finished.catch(() => undefined)))
      await frame()
      await frame()
    } while (document.getAnimations().some((one) => one.playState === 'running'))
  })

try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await beenHere(page)
  const shoot = async (name, settled = true) => {
    if (settled) await page.waitForLoadState('networkidle')
    await still(page)
    await page.screenshot({ path: into(name) })
  }
  await page.goto(`http://127.0.0.1:${PORT}/`)
  await page.getByRole('article').first().waitFor()
  await shoot('shelf')

  const open = (path, game = 'clockmakers-drawer') =>
    page.goto(`http://127.0.0.1:${PORT}/games/${game}/${path}`)
  await open('deck')
  await page.getByRole('option', { name: 'Stopwatch' }).click()
  await shoot('deck')
  await open('deck', 'signal-room')
  await page.getByRole('option', { name: 'K', exact: true }).click()
  await shoot('deck-related')
  await open('deck', 'signal-room')
  await page.locator('.threads text').first().waitFor()
  await shoot('look-alikes')
  await open('deck', 'tile-yard')
  await page.getByRole('button', { name: 'Sheet', exact: true }).click()
  await page.getByLabel('The sheet', { exact: true }).setInputFiles(join(ROOT, 'demo', 'tile-yard.png'))
  for (const [name, value] of [
    ['Tile width', '96'],
    ['Tile height', '96'],
    ['Margin', '12'],
    ['Spacing', '8'],
  ]) {
    await page.getByRole('spinbutton', { name }).fill(value)
    await page.getByRole('spinbutton', { name }).press('Enter')
  }
  await shoot('sheet')
  await open('deal/cabinet')
  await page.locator('.cell').first().waitFor()
  await shoot('deal')
  await open('deal/scattered', 'tile-yard')
  await page.getByText('twin threads', { exact: true }).click()
  await page.getByRole('button', { name: 'Deal them' }).click()
  await page.getByRole('img', { name: /^Where/ }).waitFor()
  await shoot('fairness')
  await page.getByRole('button', { name: 'Other boards…' }).click()
  // a loop that swaps each place with any place, which is no fair shuffle
  const boards = Array.from({ length: 6000 }, () => {
    const deck = [...'AABBCCDDEEFFGGHH']
    for (let i = 0; i < deck.length; i++) {
      const j = Math.floor(Math.random() * deck.length)
      ;[deck[i], deck[j]] = [deck[j], deck[i]]
    }
    return deck.join(',')
  })
  await page
    .getByLabel('File with boards')
    .setInputFiles({ name: 'boards.csv', mimeType: 'text/csv', buffer: Buffer.from(boards.join('\n')) })
  await page.getByText('Not fair.').waitFor()
  await shoot('audit')
  await open('rules/top-drawer')
  await page.getByText(/is par for/).waitFor()
  await shoot('rules')
  await open('play/top-drawer')
  await page.getByRole('button', { name: 'Glass' }).click()
  await page.getByLabel('seed').fill('tick-412')
  await page.getByLabel('seed').press('Enter')
  for (const [one, other] of [
    [0, 5],
    [1, 6],
  ]) {
    await card(page, one).click()
    await card(page, other).click()
    await page.locator('.lt-card[data-order]').first().waitFor({ state: 'detached' })
  }
  await card(page, 2).click()
  await card(page, 8).click()
  await shoot('play')
  // a check that a change of the rules breaks, shown where it first goes another way
  await open('play/bench')
  await page.getByLabel('seed').fill('tick-7')
  await page.getByLabel('seed').press('Enter')
  await page.getByRole('button', { name: 'a miss' }).click()
  await page.getByRole('button', { name: 'the last pair' }).click()
  await page.getByRole('tab', { name: 'Tapes and checks' }).click()
  await page.getByLabel('Name of this tape').fill('Seven in a row')
  await page.getByLabel('Name of this tape').press('Enter')
  await page.getByRole('button', { name: 'Keep as a check' }).click()
  await page.getByText('it passes').waitFor()
  await page.getByRole('link', { name: 'Rules', exact: true }).click()
  const streak = page.getByRole('spinbutton', { name: 'More for each match in a row', exact: true })
  await streak.fill('25')
  await streak.press('Enter')
  await page.getByText('saved ✓').waitFor()
  await open('play/bench')
  await page.getByRole('tab', { name: 'Tapes and checks' }).click()
  await page.getByText('✗ fails').waitFor()
  await page.getByRole('button', { name: /^Show Seven/ }).click()
  await shoot('checks')
  await open('rules/top-drawer')
  await page.getByRole('button', { name: 'Make a ladder' }).click()
  await shoot('ladder')
  await open('odds/top-drawer')
  await page.getByRole('img', { name: /^Up the ladder/ }).waitFor()
  for (const there of ['pairs a game are found by luck', '1 life more']) await page.getByText(there).waitFor()
  await page.getByText(/^\d+ of 100 win/).waitFor()
  await shoot('odds')
  await page.getByRole('button', { name: 'Everyday: view or edit' }).click()
  await page.getByRole('list', { name: 'The same eight cards, turn by turn' }).waitFor()
  await shoot('odds-mind')
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Even it out…' }).click()
  await page.getByRole('row', { name: /^Cabinet 60 1:50 \d:\d\d/ }).waitFor()
  await shoot('odds-even-out')
  await open('ship')
  await page.locator('.lt-card').first().waitFor()
  await page.locator('.lt-card[aria-label$="face down"]').first().waitFor()
  await shoot('ship')
  await page.getByText('Paper', { exact: true }).click()
  await page.frameLocator('iframe[title="Sheets to print"]').getByRole('img').first().waitFor()
  await page.getByText(/^\d+ cards on/).waitFor()
  await shoot('ship-paper')
  await page.getByText('A page of mine', { exact: true }).click()
  await page.getByRole('button', { name: 'Start', exact: true }).click()
  const frame = page.frameLocator('iframe[title="The game in a frame"]')
  await frame.getByRole('button', { name: 'Begin' }).click()
  await page.getByText('"event":"resumed"').waitFor()
  await page.getByRole('heading', { name: 'Try it' }).scrollIntoViewIfNeeded()
  await frame.locator('.lt-card[aria-label$="face down"]').first().waitFor()
  await frame.locator('.lt-turning').first().waitFor({ state: 'detached' })
  // a page in a frame may still be loading what it never shows
  await shoot('ship-frame', false)

  const file = join(mkdtempSync(join(tmpdir(), 'shots-')), 'game.html')
  spawnSync(
    process.execPath,
    ['scripts/lucky-twin.mjs', 'ship', 'demo/clockmakers-drawer.game.json', '--to', file],
    { cwd: ROOT },
  )
  const phone = await browser.newPage({ viewport: { width: 360, height: 640 } })
  await phone.goto(`${pathToFileURL(file).href}?level=bench&seed=tick-5`)
  await card(phone, 0).click()
  await card(phone, 6).click()
  await still(phone)
  await phone.screenshot({ path: into('player-phone') })
} finally {
  await browser.close()
  server.kill()
}
