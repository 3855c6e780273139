import { expect, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import {
  begin,
  byMouse,
  card,
  choose,
  expectNoViolations,
  fileOf,
  openStation,
  playToTheWin,
  rungs,
  shareOf,
  startAt,
  type,
  wholeStation,
} from './helpers.ts'
import { test } from './test.ts'

test.describe('axe finds nothing on', () => {
  test('the shelf, and a page that is not there', async ({ page }) => {
    await page.goto('/')
    await expect(page.getByRole('article')).toHaveCount(3)
    await expectNoViolations(page)
    await page.goto('/nowhere/at/all')
    await expect(page.getByRole('heading')).toBeVisible()
    await expectNoViolations(page)
    await page.goto('/games/none-such/deck')
    await expect(page.getByRole('heading', { name: 'This game is not on the shelf' })).toBeVisible()
    await expectNoViolations(page)
  })

  test('the light table, a slip of either kind, and the back', async ({ page }) => {
    await openStation(page, 'deck')
    await expect(page.getByRole('heading', { name: 'The back' })).toBeVisible()
    await expectNoViolations(page)
    await page.getByRole('option', { name: 'Loupe' }).click()
    await expectNoViolations(page)
    await page.getByText('related', { exact: true }).click()
    await page.getByText('second', { exact: true }).click()
    await expect(page.getByRole('textbox', { name: 'Text on the card' })).toHaveValue('Loupe')
    await expectNoViolations(page)
  })

  test('the stations one by one, all keys, and a board that cannot be dealt', async ({ page }) => {
    for (const path of ['rules', 'rules/top-drawer', 'play/top-drawer', 'ship', 'deal', 'deal/cabinet'])
      await test.step(path, async () => {
        await startAt(page, path)
        await expect(page.getByRole('main').getByRole('heading', { level: 2 }).first()).toBeVisible()
        await expectNoViolations(page)
      })
    await page.getByRole('button', { name: 'All keys' }).click()
    const keys = page.getByRole('dialog', { name: 'All keys' })
    await expect(keys).toBeVisible()
    await expectNoViolations(page, { whole: true })
    await page.keyboard.press('Escape')
    await expect(keys).toBeHidden()
    await startAt(page, 'deal/bench')
    await type(page, 'Rows', '5')
    await type(page, 'Columns', '5')
    await expect(page.getByText('This cannot be dealt')).toBeVisible()
    await expectNoViolations(page)
  })

  test('the table while paused, at its levels and at the result, also at phone size', async ({ page }) => {
    await page.setViewportSize({ width: 360, height: 640 })
    await openStation(page, 'ship')
    await begin(page)
    await page.getByRole('button', { name: 'Choose a level' }).click()
    await expect(page.getByRole('dialog', { name: 'Levels' })).toBeVisible()
    await expectNoViolations(page)
    await page.getByRole('button', { name: 'Close', exact: true }).click()
    await page.getByRole('button', { name: 'Pause' }).click()
    await expect(page.getByRole('dialog', { name: 'Paused' })).toBeVisible()
    await expectNoViolations(page)
  })
})

/** What runs out of its column on a page, and which of a station's columns lie over each other. */
const misplaced = (page: Page): Promise<string[]> =>
  page.locator('body').evaluate((body) => {
    const nameOf = (one: Element): string => `${one.tagName} ${one.className}`
    const wide = [body, ...body.querySelectorAll('main, section, aside, header, footer, nav')]
      .filter((one) => one.clientWidth && one.scrollWidth > one.clientWidth + 1)
      .filter((one) => !['auto', 'scroll'].includes(getComputedStyle(one).overflowX) || one.matches('main *'))
      .map((one) => `${nameOf(one)}: ${one.scrollWidth} of ${one.clientWidth} px`)
    const columns = [...body.querySelectorAll('main.station > * > *')].filter(
      (one) => ['static', 'relative'].includes(getComputedStyle(one).position) && one.clientWidth,
    )
    const over = columns.flatMap((one, i) => {
      const a = one.getBoundingClientRect()
      return columns.slice(i + 1).flatMap((other) => {
        const b = other.getBoundingClientRect()
        const [across, down] = [
          Math.min(a.right, b.right) - Math.max(a.left, b.left),
          Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top),
        ]
        return across > 2 && down > 2 ? [`${nameOf(one)} lies over ${nameOf(other)}`] : []
      })
    })
    return [...wide, ...over]
  })

test('on no screen anything runs out of its column or over another, however long its names are', async ({
  page,
}) => {
  const long = (max: number): string => 'Escapementwheel'.repeat(20).slice(0, max)
  const game = JSON.parse(readFileSync('demo/clockmakers-drawer.game.json', 'utf8'))
  game.id = 'long-names'
  game.title = long(120)
  for (const level of game.levels) level.name = long(120)
  for (const pair of game.deck.pairs) Object.assign(pair, { name: long(120), tags: [long(40)] })
  await page.setViewportSize({ width: 1024, height: 700 })
  await page.goto('/')
  await expect(page.getByRole('article')).toHaveCount(3)
  await page
    .getByLabel('Game files')
    .setInputFiles(fileOf('long.game.json', JSON.stringify(game), 'application/json'))
  await expect(page.getByRole('article')).toHaveCount(4)
  for (const id of ['clockmakers-drawer', 'long-names'])
    for (const [station, way] of [
      ['rules', () => openStation(page, 'rules', id)],
      ['rules/bench', () => rungs(page).nth(1).getByRole('link').click()],
      ['deck/bench', () => page.keyboard.press('Alt+1')],
      ['deal/bench', () => page.keyboard.press('Alt+2')],
      ['play/bench', () => page.keyboard.press('Alt+4')],
      ['odds/bench', () => page.keyboard.press('Alt+5')],
      ['ship/bench', () => page.keyboard.press('Alt+6')],
    ] as const) {
      await way()
      await expect(page).toHaveURL(new RegExp(`/games/${id}/${station}$`))
      await expect(page.getByRole('main').getByRole('heading', { level: 2 }).first()).toBeVisible()
      await wholeStation(page)
      if (station.startsWith('odds'))
        await expect(page.getByRole('heading', { name: 'Deals', exact: true })).toBeVisible()
      for (const [width, height] of [
        [360, 640],
        [390, 844],
        [1024, 700],
      ] as const) {
        await page.setViewportSize({ width, height })
        // drawings follow a new width a few frames later
        await expect
          .poll(() => misplaced(page), { message: `${id} ${station} at ${width} × ${height}` })
          .toEqual([])
        for (const name of ['Undo', 'Redo', 'All keys'])
          await expect(page.getByRole('banner').getByRole('button', { name, exact: true })).toBeInViewport()
        await expect(page.getByRole('navigation', { name: 'Stations' }).locator('.open')).toBeInViewport({
          ratio: 0.95,
        })
      }
    }
})

test('in the reader’s own colours what is chosen stands out, and drawings keep theirs', async ({ page }) => {
  await page.emulateMedia({ forcedColors: 'active', colorScheme: 'dark' })
  await openStation(page, 'deck')
  const highlight = await page.evaluate(() => {
    const probe = document.body.appendChild(document.createElement('i'))
    probe.style.color = 'Highlight'
    const [, ...colour] = /(\d+), (\d+), (\d+)/.exec(getComputedStyle(probe).color)!
    probe.remove()
    return colour.map(Number)
  })
  const share = async (name: string): Promise<number> =>
    shareOf(await page.getByRole('radio', { name }).locator('..').screenshot(), highlight)
  await expect.poll(() => share('everyone')).toBeGreaterThan(0.3)
  expect(await share('protan')).toBe(0)
  await page.getByRole('radio', { name: 'protan' }).locator('..').click()
  await expect.poll(() => share('protan')).toBeGreaterThan(0.3)

  await openStation(page, 'rules/top-drawer')
  const strip = page.getByRole('region', { name: 'One turn, to scale' })
  expect(shareOf(await strip.screenshot(), [0xb5, 0x50, 0x2a])).toBeGreaterThan(0.005)
  await expect(rungs(page).filter({ hasText: 'Top drawer' })).toHaveCSS('outline-style', 'solid')
  await expect(rungs(page).filter({ hasText: 'Bench' })).toHaveCSS('outline-style', 'none')
})

test('every view has its own address and title, and Alt with a figure goes from station to station', async ({
  page,
}) => {
  await openStation(page, 'deck')
  await expect(page).toHaveTitle("The Clockmaker's Drawer · Lucky Twin")
  const stations = ['deck', 'deal', 'rules', 'play', 'odds', 'ship']
  for (const [i, path] of stations.entries()) {
    await page.keyboard.press(`Alt+${i + 1}`)
    await expect(page).toHaveURL(new RegExp(`/games/clockmakers-drawer/${path}`))
  }
})

test('the first look is shown, and no press counts in it', async ({ page }) => {
  await openStation(page, 'rules/warm-up')
  // long enough for a slow machine
  await page.getByRole('spinbutton', { name: 'First look' }).fill('12')
  await page.getByRole('spinbutton', { name: 'First look' }).press('Enter')
  await page.getByRole('link', { name: 'Play', exact: true }).click()
  await expect(card(page, 0)).toHaveAttribute('aria-label', /^A1, (?!face down)/)
  await card(page, 0).click()
  await expect(page.getByText('A1 refused: first-look')).toBeVisible()
  // without waiting for it
  await page.getByRole('button', { name: 'Next', exact: true }).click()
  await expect(card(page, 0)).toHaveAttribute('aria-label', 'A1, face down')
})

test('a game under a button for missed cards is won', async ({ page }) => {
  await openStation(page, 'rules/warm-up')
  await choose(page, 'What happens to missed cards', 'turn back by a button')
  await page.getByRole('spinbutton', { name: 'First look' }).fill('0')
  await page.getByRole('spinbutton', { name: 'First look' }).press('Enter')
  await page.keyboard.press('Escape')
  await page.getByRole('link', { name: 'Play', exact: true }).click()
  await page.getByRole('button', { name: 'In order' }).click()
  await card(page, 0).click()
  await card(page, 2).click()
  await card(page, 4).click()
  await expect(page.getByText('A2 refused: locked')).toBeVisible()
  await page.getByRole('button', { name: 'Turn them back' }).click()
  await playToTheWin(page, byMouse)
  await expect(page.getByRole('dialog', { name: 'All pairs found' })).toBeVisible()
})
