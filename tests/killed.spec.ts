import { chromium, expect, test, type BrowserContext, type Page } from '@playwright/test'
import { mkdtempSync, readlinkSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { beenHere } from '../scripts/tools/been-here.mjs'
import { CHROMIUM } from '../scripts/tools/chromium-paths.mjs'
import { openStation } from './helpers.ts'

/* What is told of time here holds where a browser has the machine to itself: nothing else is tested meanwhile. */

/** A browser whose profile is in this folder, and is locked by its process: chromium itself. */
async function launchIn(
  folder: string,
  options: Parameters<typeof chromium.launchPersistentContext>[1],
): Promise<BrowserContext> {
  const context = await chromium.launchPersistentContext(folder, options)
  await beenHere(context)
  return context
}

test('what was saved survives a killed browser', async ({ baseURL }, info) => {
  const folder = mkdtempSync(join(tmpdir(), 'profile-'))
  const launch = () =>
    launchIn(folder, { ...info.project.use.launchOptions, executablePath: CHROMIUM, baseURL })
  const first = await launch()
  const page = await first.newPage()
  await openStation(page, 'rules')
  const title = page.getByLabel('Title of the game')
  await title.fill('Kept through the night')
  await title.press('Enter')
  await expect(page.getByText('saved ✓')).toBeVisible()
  // the profile's lock names the browser's own process
  const pid = Number(readlinkSync(join(folder, 'SingletonLock')).split('-').at(-1))
  const gone = new Promise((resolve) => first.on('close', resolve))
  process.kill(pid, 'SIGKILL')
  await gone
  const second = await launch()
  const again = await second.newPage()
  await again.goto('/')
  await expect(again.getByRole('heading', { name: 'Kept through the night' })).toBeVisible()
  await second.close()
})

test('a browser killed while a key is held down has lost half a second at most, and every game is sound', async ({
  baseURL,
}, info) => {
  const KILLS = 12
  const folder = mkdtempSync(join(tmpdir(), 'profile-'))
  const launch = () =>
    launchIn(folder, { ...info.project.use.launchOptions, executablePath: CHROMIUM, baseURL })
  const limitOf = (page: Page) => page.getByRole('spinbutton', { name: 'Time limit', exact: true })
  // each press is an edit; its time is recorded once the page has taken it. The first entry is the
  // initial state: it is what remains if the browser is killed right after its first press
  let edits: { value: string; at: number }[] = []
  let killed = 0
  for (let kill = 0; kill <= KILLS; kill++) {
    const context = await launch()
    const page = await context.newPage()
    await openStation(page, 'rules/bench')
    const limit = limitOf(page)
    await expect(limit).toBeVisible()
    if (edits.length) {
      // the saved state is one of the edits; the first one after it has been lost since then
      const before = await limit.inputValue()
      const kept = edits.findLastIndex(({ value }) => value === before)
      expect(kept, `${before} of ${edits.map(({ value }) => value).join(' ')}`).toBeGreaterThanOrEqual(0)
      const lost = edits[kept + 1]
      if (lost) expect(killed - lost.at).toBeLessThanOrEqual(500)
    }
    if (kill === KILLS) {
      await context.close()
      break
    }
    await limit.focus()
    edits = [{ value: await limit.inputValue(), at: Date.now() }]
    const end = Date.now() + 700 + kill * 90
    while (Date.now() < end) {
      await page.keyboard.down(kill % 2 ? 'ArrowDown' : 'ArrowUp')
      edits.push({ value: await limit.inputValue(), at: Date.now() })
    }
    const pid = Number(readlinkSync(join(folder, 'SingletonLock')).split('-').at(-1))
    const gone = new Promise((resolve) => context.on('close', resolve))
    killed = Date.now()
    process.kill(pid, 'SIGKILL')
    await gone
  }
})
