// How simulated players do, in the browser: 4,000 games each of four minds on 6 × 6, beside the bare games on one
// thread.
import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { availableParallelism, tmpdir } from 'node:os'
import { join } from 'node:path'
import { beenHere } from '../tools/been-here.mjs'
import { CHROMIUM_FLAGS } from '../tools/chromium-flags.mjs'
import { ROOT } from '../tools/root.mjs'
import { served } from './frames.mjs'

const RATIO = 3
const GAMES = 4000
/** those that are switched on for a new user */
const MINDS = ['perfect', 'keen', 'everyday', 'fleeting']
const MOST_WORKERS = 4

/** One level of 18 pairs without any limit. */
function game() {
  const file = JSON.parse(readFileSync(`${ROOT}/demo/clockmakers-drawer.game.json`, 'utf8'))
  const level = {
    id: 'six',
    name: 'Six',
    board: { rows: 6, columns: 6 },
    clock: { mode: 'off' },
    limits: { lives: null, turns: null },
  }
  return JSON.stringify({ ...file, id: 'odds-bench', title: 'Odds bench', levels: [level], checks: [] })
}

/** How long one thread needs for that many games of each mind, in ms, with its start. */
function oneThread(path, games) {
  const minds = MINDS.flatMap((mind) => ['--mind', mind])
  const began = performance.now()
  execFileSync(process.execPath, [
    `${ROOT}/scripts/lucky-twin.mjs`,
    'odds',
    path,
    ...minds,
    '--games',
    `${games}`,
  ])
  return performance.now() - began
}

/**
 * Runs in the page: records each heading that says how many games there are, and when it came, in ms from the press
 * that opens the station.
 */
function noteHeadings() {
  let began = 0
  window.headings = []
  document.addEventListener('click', () => (began ||= performance.now()), true)
  new MutationObserver(() => {
    for (const { textContent: text } of document.querySelectorAll('h2'))
      if (/ games a mind$/.test(text) && !window.headings.some((one) => one.text === text))
        window.headings.push({ text, at: performance.now() - began })
  }).observe(document.body, { subtree: true, childList: true, characterData: true })
}

export async function reportOdds(executablePath) {
  const folder = mkdtempSync(join(tmpdir(), 'odds-'))
  const path = join(folder, 'odds-bench.game.json')
  writeFileSync(path, game())
  const bare = oneThread(path, GAMES) - oneThread(path, 1)
  const { chromium } = await import('@playwright/test')
  const { address, end } = await served()
  const browser = await chromium.launch({ executablePath, args: CHROMIUM_FLAGS })
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await beenHere(page)
    await page.goto(address)
    await page.getByRole('article').first().waitFor()
    await page.getByLabel('Game files').setInputFiles(path)
    await page.getByRole('heading', { name: 'Odds bench', exact: true }).waitFor()
    await page.goto(`${address}/games/odds-bench/play/six`)
    await page.getByRole('grid').waitFor()
    await page.evaluate(noteHeadings)
    await page.getByRole('link', { name: 'Odds', exact: true }).click()
    await page.getByRole('heading', { name: 'Six, 4,000 games a mind' }).waitFor()
    await page.getByRole('button', { name: 'Again', exact: true }).waitFor()
    const seen = await page.evaluate(() => window.headings)
    const first = seen.find(({ text }) => /^Six, [1-9]/.test(text)).at
    const whole = seen.find(({ text }) => text === 'Six, 4,000 games a mind').at
    const workers = Math.min(MOST_WORKERS, availableParallelism())
    const ratio = whole / (bare / workers)
    console.log(
      `Odds, four minds on 6 × 6: told whole in ${ratio.toFixed(2)} × the bare games on one thread divided by ${workers} workers (${RATIO} is the target), first figures after ${(first / 1000).toFixed(2)} s of ${(whole / 1000).toFixed(2)}, the station's opening included, ${ratio > RATIO ? 'FAIL' : 'ok'}`,
    )
  } finally {
    await browser.close()
    end()
    rmSync(folder, { recursive: true })
  }
}
