import { devices, expect, test, type Page } from '@playwright/test'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import {
  begin,
  byMouse,
  card,
  cards,
  down,
  expectNoViolations,
  found,
  playToTheWin,
  shareOf,
  up,
} from './helpers.ts'
import { luckyTwin } from './lucky-twin.ts'

const folder = mkdtempSync(join(tmpdir(), 'games-'))

/** Ships the clockmaker's game with its house rules changed, and gives its address. */
async function shipped(
  name: string,
  change: (game: any) => void = () => undefined,
): Promise<{ url: string; game: string }> {
  const file = JSON.parse(readFileSync('demo/clockmakers-drawer.game.json', 'utf8'))
  file.levels[0].turn.firstLook = 0
  Object.assign(file.house.turn, { matchLook: 200, missLook: 250 })
  file.house.finish.wait = 100
  change(file)
  const game = join(folder, `${name}.game.json`)
  writeFileSync(game, JSON.stringify(file))
  const html = join(folder, `${name}.html`)
  await luckyTwin('ship', game, '--to', html)
  return { url: pathToFileURL(html).href, game }
}

const deal = async (game: string, level: string, seed: string): Promise<(string | null)[]> =>
  JSON.parse(await luckyTwin('deal', game, '--level', level, '--seed', seed)).cells

test('level and seed in the address choose what is dealt, just as the command line deals it', async ({
  page,
}) => {
  const { url, game } = await shipped('address')
  await page.goto(`${url}?level=cabinet&seed=tick-1`)
  const cells = await deal(game, 'cabinet', 'tick-1')
  await expect(page.getByRole('grid', { name: 'Cabinet, 6 rows, 6 columns' })).toBeVisible()
  await expect(cards(page)).toHaveCount(32)
  const first = cells.indexOf(cells[0]!, 1)
  await card(page, 0).click()
  await expect(card(page, 0)).toHaveAttribute('data-state', 'up')
  await card(page, first).click()
  await expect(card(page, 0)).toHaveAttribute('data-state', 'gone')
  await expect(card(page, first)).toHaveAttribute('data-state', 'gone')
})

test('a card that lies face down tells nothing, neither by name nor in the page', async ({ page }) => {
  const { url, game } = await shipped('silent')
  await page.goto(`${url}?seed=a`)
  const cells = await deal(game, 'warm-up', 'a')
  await expect(card(page, 3)).toHaveAttribute('aria-label', 'D1, face down')
  await expect(page.getByRole('grid').locator('img')).toHaveCount(0)
  await card(page, 3).click()
  await expect(card(page, 3)).toHaveAttribute('aria-label', /^D1, (?!face down)\w/)
  await expect(page.getByRole('grid').locator('img')).toHaveCount(1)
  // nor when it has turned back after a miss
  await card(page, cells[2] === cells[3] ? 1 : 2).click()
  await expect(card(page, 3)).toHaveAttribute('aria-label', 'D1, face down')
  await expect(page.getByRole('grid').locator('img')).toHaveCount(0)
})

test('the policy forbids every request and every script that is not its own', async ({ page }) => {
  const { url } = await shipped('policy')
  await page.goto(url)
  const blocked = await page.evaluate(async () => {
    const violations: string[] = []
    document.addEventListener('securitypolicyviolation', (event) => violations.push(event.effectiveDirective))
    await fetch('http://127.0.0.1:9/').catch(() => undefined)
    const script = document.createElement('script')
    script.textContent = 'window.ran = 1'
    document.body.append(script)
    const image = new Image()
    image.src = 'http://127.0.0.1:9/x.png'
    await new Promise((resolve) => image.addEventListener('error', resolve))
    return { violations, ran: 'ran' in window }
  })
  expect(blocked.ran).toBe(false)
  expect(new Set(blocked.violations)).toEqual(new Set(['connect-src', 'script-src-elem', 'img-src']))
})

test('best results stay, stars are shown beside the levels, and next goes up the ladder', async ({
  page,
}) => {
  const { url } = await shipped('best')
  await page.goto(url)
  await begin(page)
  await playToTheWin(page, byMouse)
  await expect(page.getByRole('dialog', { name: 'All pairs found' })).toBeVisible()
  await page.getByRole('button', { name: 'Next: Bench' }).click()
  await expect(page.getByRole('grid', { name: /^Bench/ })).toBeVisible()
  // its clock is new
  await begin(page)
  await expect(card(page, 0)).toBeFocused()
  await page.reload()
  await begin(page)
  await page.getByRole('button', { name: 'Choose a level' }).click()
  await expect(
    page.getByRole('button', { name: /^Warm-up/ }).getByRole('img', { name: /of 3 stars/ }),
  ).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toBeHidden()
})

const press = async (page: Page, ...cells: number[]): Promise<void> => {
  for (const cell of cells) await card(page, cell).click()
}
/** Two cells that are no twins. */
const miss = (cells: (string | null)[]): [number, number] => [0, cells.findIndex((name) => name !== cells[0])]

test('a game is lost by its lives', async ({ page }) => {
  const { url, game } = await shipped('lives', (file) => (file.house.limits.lives = 1))
  await page.goto(`${url}?level=warm-up&seed=a`)
  await press(page, ...miss(await deal(game, 'warm-up', 'a')))
  const dialog = page.getByRole('dialog', { name: 'Not this time' })
  await expect(dialog).toContainText('No lives left. 6 pairs were left.')
  await dialog.getByRole('button', { name: 'Try again' }).click()
  await expect(down(page)).toHaveCount(12)
})

test('by its turns, and by the clock, at the right instant', async ({ page }) => {
  const turns = await shipped('turns', (file) => (file.levels[0].limits = { turns: 6 }))
  await page.goto(`${turns.url}?seed=a`)
  const [one, other] = miss(await deal(turns.game, 'warm-up', 'a'))
  for (let i = 0; i < 6; i++) {
    await press(page, one, other)
    await expect(up(page)).toHaveCount(0)
  }
  await expect(page.getByRole('dialog')).toContainText('No turns left')

  const clock = await shipped('clock', (file) =>
    Object.assign(file.levels[0], { clock: { mode: 'down', limit: 2000, matchBonus: 0 } }),
  )
  await page.goto(`${clock.url}?seed=a`)
  await press(page, 0)
  await expect(page.getByRole('dialog')).toContainText('Time is up')
  await expect(page.getByText('0:00')).toBeVisible()
})

test('a silent level makes no sound and has none to switch off; elsewhere it can be', async ({ page }) => {
  const { url } = await shipped('sound', (file) => {
    file.levels[0].turn.firstLook = 0
    file.levels[1].sound = { on: false }
    file.levels[1].turn = { firstLook: 0 }
  })
  // every tone that starts is counted; the sounds themselves are real
  await page.addInitScript(() => {
    const { start } = OscillatorNode.prototype
    Object.assign(window, { tones: 0 })
    OscillatorNode.prototype.start = function (when) {
      ;(window as unknown as { tones: number }).tones++
      start.call(this, when)
    }
  })
  const tones = () => page.evaluate(() => (window as unknown as { tones: number }).tones)
  const sound = page.getByRole('button', { name: 'Sound' })
  await page.goto(url)
  await begin(page)
  await expect(sound).toHaveAttribute('aria-pressed', 'true')
  await card(page, 0).click()
  await expect.poll(tones).toBeGreaterThan(0)
  await sound.click()
  await expect(sound).toHaveAttribute('aria-pressed', 'false')
  const before = await tones()
  await card(page, 1).click()
  await expect(card(page, 1)).toHaveAttribute('data-state', /^(?!down)/)
  expect(await tones()).toBe(before)

  await page.goto(`${url}?level=bench`)
  await expect(page.getByRole('grid', { name: /^Bench/ })).toBeVisible()
  await expect(sound).toBeHidden()
  await card(page, 0).click()
  await expect(card(page, 0)).toHaveAttribute('data-state', 'up')
  expect(await tones()).toBe(0)
})

test('after the end the cards are dealt again, or the next level begins, where the rules say so', async ({
  page,
}) => {
  const again = await shipped('again', (file) => {
    file.house.finish.then = 'deal-again'
    file.levels[0].board = { rows: 1, columns: 2 }
  })
  await page.goto(again.url)
  await begin(page)
  await press(page, 0, 1)
  // after the win, the two are face up; only a new deal turns them down
  await expect(down(page)).toHaveCount(2)
  const next = await shipped('next', (file) => {
    file.house.finish.then = 'next-level'
    file.levels[0].board = { rows: 1, columns: 2 }
  })
  await page.goto(next.url)
  await begin(page)
  await press(page, 0, 1)
  // a short result first, which goes away by itself
  await expect(page.getByRole('dialog', { name: 'All pairs found' })).toContainText('100 points')
  await expect(page.getByRole('grid', { name: /^Bench/ })).toBeVisible()
  await page.goto(next.url)
  await begin(page)
  await press(page, 0, 1)
  await page.getByRole('button', { name: 'Next: Bench' }).click()
  await begin(page)
  await expect(page.getByRole('grid', { name: /^Bench/ })).toBeVisible()
})

test('several players name themselves before they begin, and are known at the next visit', async ({
  page,
}) => {
  const { url } = await shipped('names', (file) => {
    Object.assign(file.house.players, { names: ['Ann', 'Ben'], matchGoesAgain: true })
    file.levels[0].clock = { mode: 'down', limit: 60_000, startsAt: 'deal' }
  })
  await page.goto(url)
  await begin(page)
  const panel = page.getByRole('dialog', { name: 'Who plays?' })
  await panel.getByRole('textbox', { name: 'Ann' }).fill('Berthe')
  await expectNoViolations(page)
  // no time passes meanwhile
  await expect(page.getByText('1:00', { exact: true })).toBeVisible()
  await panel.getByRole('textbox', { name: 'Ben' }).press('Enter')
  await expect(panel).toBeHidden()
  const seats = page.getByRole('list', { name: 'Players' }).getByRole('listitem')
  await expect(seats).toHaveText(['Berthe (your turn): 0 pairs, 0 points', 'Ben: 0 pairs, 0 points'])
  await page.reload()
  await begin(page)
  await expect(panel.getByRole('textbox', { name: 'Ann' })).toHaveValue('Berthe')
  await panel.getByRole('button', { name: 'Begin' }).click()
  await expect(seats.first()).toContainText('Berthe')
})

test('a first look is told when it begins, and not under the opening panel', async ({ page }) => {
  const { url } = await shipped('look', (file) => (file.levels[0].turn.firstLook = 60_000))
  await page.goto(url)
  const told = page.getByRole('status')
  await expect(page.getByRole('dialog')).toBeVisible()
  await expect(page.getByText('look closely…')).toBeHidden()
  await expect(told).toBeEmpty()
  await begin(page)
  await expect(told).toHaveText('Look: all cards are face up for a moment.')
  await expect(page.getByText('look closely…')).toBeVisible()
})

test('nothing moves from the deal to the win for those who ask for less motion', async ({ page }) => {
  const { url } = await shipped('still', (file) => (file.house.look.celebration = 'sparks'))
  await page.emulateMedia({ reducedMotion: 'reduce' })
  await page.goto(url)
  const moving = () => page.evaluate(() => document.getAnimations().length)
  await expect(page.getByRole('dialog')).toBeVisible()
  expect(await moving()).toBe(0)
  await begin(page)
  expect(await moving()).toBe(0)
  await playToTheWin(page, async (_, cell) => {
    await byMouse(page, cell)
    expect(await moving()).toBe(0)
  })
  await expect(page.getByRole('dialog', { name: 'All pairs found' })).toBeVisible()
  expect(await moving()).toBe(0)
})

test('between two presses nothing is touched but the clock and its bar', async ({ page }) => {
  const { url } = await shipped('rest', (file) => {
    file.house.players.names = ['Ann', 'Ben']
    file.levels[0].clock = { mode: 'down', limit: 60_000, startsAt: 'deal' }
  })
  await page.goto(url)
  await begin(page)
  await page.getByRole('dialog', { name: 'Who plays?' }).getByRole('button', { name: 'Begin' }).click()
  await card(page, 0).click()
  await expect(up(page)).toHaveCount(1)
  const touched = await page.evaluate(async () => {
    const frame = () => new Promise(requestAnimationFrame)
    await Promise.all(document.getAnimations().map(({ finished }) => finished))
    // the end of a motion is told in the frame after
    for (let after = 0; after < 2; after++) await frame()
    const touched = new Set<string>()
    const observer = new MutationObserver((changes) => {
      for (const { target, type, attributeName } of changes) {
        const box = target as Element
        touched.add(box.closest('dl') ? 'figures' : `${box.className}: ${attributeName ?? type}`)
      }
    })
    observer.observe(document.body, { subtree: true, attributes: true, childList: true, characterData: true })
    // the clock shows another second at least once
    for (const end = performance.now() + 1500; performance.now() < end;)
      await new Promise(requestAnimationFrame)
    observer.disconnect()
    return [...touched].sort()
  })
  expect(touched).toEqual(['figures', 'lt-limit-fill: style'])
})

test('in the reader’s own colours a card keeps its paper, and the time that is left is seen', async ({
  page,
}) => {
  const { url } = await shipped('forced', (file) => {
    file.levels[0].clock = { mode: 'down', limit: 60_000 }
  })
  await page.emulateMedia({ forcedColors: 'active', colorScheme: 'dark' })
  await page.goto(`${url}?level=warm-up`)
  const [paper, lagoon] = [
    [0xff, 0xfd, 0xf8],
    [0x5c, 0xc4, 0xbd],
  ]
  await press(page, 3)
  const clip = await page.getByRole('main').boundingBox()
  const screen = await page.screenshot({ clip: { ...clip!, height: clip!.height / 4 } })
  expect(shareOf(screen, lagoon)).toBeGreaterThan(0.005)
  expect(shareOf(screen, [0, 0, 0])).toBeGreaterThan(0.5)
  await expect.poll(async () => shareOf(await card(page, 3).screenshot(), paper)).toBeGreaterThan(0.4)
})

test('what stands on the table is what the level shows, in its order', async ({ page }) => {
  const { url } = await shipped('head', (file) => {
    file.levels[0].head = { figures: ['pairs-left', 'best', 'time-used', 'lives', 'streak'], title: true }
  })
  await page.goto(url)
  await begin(page)
  await expect(page.getByText("The Clockmaker's Drawer")).toBeVisible()
  await expect(page.getByRole('term')).toHaveText(['pairs left', 'best', 'time used', 'in a row'])
  await expect(page.getByRole('definition')).toHaveText(['6', '–', '0:00', '0'])
})

test('missed cards wait for the next press, and say so', async ({ page }) => {
  const { url, game } = await shipped('press', (file) => (file.house.turn.onMiss = 'press'))
  await page.goto(`${url}?seed=a`)
  const [one, other] = miss(await deal(game, 'warm-up', 'a'))
  await press(page, one, other)
  await expect(page.getByText('press anywhere to turn them back')).toBeVisible()
  await press(page, one)
  await expect(up(page)).toHaveCount(0)
  await expect(page.getByRole('status')).toHaveText('Turned back.')
})

test('a pause hides the cards and stops the clock', async ({ page }) => {
  const { url } = await shipped('pause', (file) => Object.assign(file.levels[0], { clock: { mode: 'up' } }))
  await page.goto(url)
  await begin(page)
  await press(page, 0)
  await page.getByRole('button', { name: 'Pause' }).click()
  const time = page.getByText('time used').locator('..')
  const at = await time.textContent()
  // the card that is up names its face, but does not show it
  await expect(page.getByRole('grid').locator('img')).toHaveCount(0)
  await expect(page.getByRole('button', { name: 'Go on' })).toBeFocused()
  await page.waitForFunction(() => performance.now() > 2500)
  await expect(time).toHaveText(at!)
  await page.keyboard.press('Escape')
  await expect(page.getByRole('grid').locator('img')).toHaveCount(1)
})

test('a screen reader is told each card, and what came of it', async ({ page }) => {
  const { url, game } = await shipped('spoken')
  await page.goto(`${url}?seed=a`)
  const cells = await deal(game, 'warm-up', 'a')
  const twin = cells.indexOf(cells[0]!, 1)
  await press(page, 0)
  await expect(page.getByRole('status')).toHaveText(/^A1: .+\.$/)
  await press(page, twin)
  await expect(page.getByRole('status')).toHaveText(/: .+\. A match, by luck\.$/)
})

test.describe('on a phone', () => {
  const { defaultBrowserType: _browser, ...phone } = devices['Pixel 5']
  test.use({ ...phone, viewport: { width: 360, height: 640 } })

  test('cards are pressed by touch, and every target is large enough', async ({ page }) => {
    const { url, game } = await shipped('touch')
    await page.goto(`${url}?seed=a`)
    const cells = await deal(game, 'warm-up', 'a')
    await card(page, 0).tap()
    await card(page, cells.indexOf(cells[0]!, 1)).tap()
    await expect(found(page)).toHaveCount(2)
    for (const box of await cards(page).evaluateAll((all) =>
      all.map((one) => one.getBoundingClientRect().width),
    ))
      expect(box).toBeGreaterThanOrEqual(44)
    const overflow = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)
    expect(overflow).toBe(0)
  })
})

test('a game that was left open goes on where it stood, also after a reload', async ({ page }) => {
  const { url } = await shipped('open')
  await page.goto(url)
  await begin(page)
  await card(page, 0).click()
  await expect(card(page, 0)).toHaveAttribute('data-state', 'up')
  const label = await card(page, 0).getAttribute('aria-label')
  const paused = page.getByRole('dialog', { name: 'Paused' })
  // the browser takes a moment until the next page can read what this one stored
  await page.getByRole('button', { name: 'Pause' }).click()
  await expect(paused.getByRole('button', { name: 'Go on' })).toBeFocused()
  await page.reload()
  await expect(paused).toBeVisible()
  await paused.getByRole('button', { name: 'Go on' }).click()
  await expect(card(page, 0)).toHaveAttribute('aria-label', label!)
  await page.getByRole('button', { name: 'Pause' }).click()
  await paused.getByRole('button', { name: 'Start over' }).click()
  await page.reload()
  await expect(page.getByRole('button', { name: 'Begin' })).toBeVisible()
  await expect(paused).toBeHidden()
})

test('two players share a table, by keys and by touch the same', async ({ page }) => {
  const { url, game } = await shipped('two', (file) => {
    Object.assign(file.house.players, { names: ['Ann', 'Ben'], matchGoesAgain: false })
  })
  await page.goto(`${url}?level=warm-up&seed=pair`)
  const cells = await deal(game, 'warm-up', 'pair')
  const left = new Set(cells.map((_, cell) => cell))
  const seats = page.getByRole('list', { name: 'Players' }).getByRole('listitem')
  // whoever names the level has asked already
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await expect(seats.first()).toHaveText('Ann (your turn): 0 pairs, 0 points')
  for (let turn = 0; left.size; turn++) {
    const [one] = left
    const twin = [...left].find((cell) => cell !== one && cells[cell] === cells[one!])!
    await card(page, one!).click()
    await card(page, twin).click()
    left.delete(one!)
    left.delete(twin)
    if (left.size) await expect(seats.nth((turn + 1) % 2)).toContainText('your turn')
  }
  const result = page.getByRole('dialog', { name: 'Ann and Ben share the win' })
  await expect(result.getByRole('row', { name: /^Ann/ })).toHaveText(/^Ann30/)
})
