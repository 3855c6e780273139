import { expect } from '@playwright/test'
import { choice, choose, expectNoViolations, openRung, openStation, startAt, type } from './helpers.ts'
import { luckyTwin } from './lucky-twin.ts'
import { gameNow, limit, mindCard, played, winsOf, openOdds } from './odds-page.ts'
import { test } from './test.ts'

test('minds play the open level as they do on the command line, and are switched on and off', async ({
  page,
}) => {
  await openOdds(page, 'warm-up', ['warm-up', 'top-drawer'])
  await played(page)
  await expect(mindCard(page, 'Everyday')).toHaveAttribute('aria-pressed', 'true')
  await mindCard(page, 'Fleeting').click()
  await expect(winsOf(page, 'Fleeting')).toHaveCount(0)
  await mindCard(page, 'No memory').click()
  await expect(winsOf(page, 'No memory')).toBeVisible()
  await page.getByRole('link', { name: /^Top drawer/ }).click()
  await expect(page.getByRole('heading', { name: 'Top drawer, 4,000 games a mind' })).toBeVisible()
  await played(page)
  const told = JSON.parse(
    await luckyTwin(
      ...['odds', 'demo/clockmakers-drawer.game.json', '--level', 'top-drawer'],
      ...['--mind', 'everyday', '--games', '4000', '--json'],
    ),
  ) as { won: number; games: number; interval: number[]; lostBy: { lives: number } }
  const [low, high] = told.interval.map((share) => Math.round(share * 100))
  await expect(winsOf(page, 'Everyday')).toContainText(
    `${Math.round((told.won / told.games) * 100)} ${low} to ${high}`,
  )
  await expect(winsOf(page, 'Everyday')).toContainText(
    `lives ${Math.round((told.lostBy.lives / told.games) * 100)}`,
  )
  await expectNoViolations(page)
  // the choice of minds is kept
  await page.reload()
  await played(page)
  await expect(mindCard(page, 'No memory')).toHaveAttribute('aria-pressed', 'true')
  // one mind always stays on
  for (const name of ['Perfect', 'Keen', 'Everyday', 'No memory']) await mindCard(page, name).click()
  await expect(mindCard(page, 'No memory')).toHaveAttribute('aria-pressed', 'true')
})

test('the same figures come out with another number of workers', async ({ browser }) => {
  const figures = async (workers: number): Promise<string[]> => {
    const context = await browser.newContext()
    await context.addInitScript((count) => {
      localStorage.setItem('lucky-twin.walked', 'true')
      Object.defineProperty(navigator, 'hardwareConcurrency', { get: () => count })
      const started: unknown[] = []
      Object.assign(window, {
        started,
        Worker: class extends Worker {
          constructor(url: string | URL, options?: WorkerOptions) {
            super(url, options)
            started.push(options?.name)
          }
        },
      })
    }, workers)
    const page = await context.newPage()
    await openOdds(page, 'cabinet', ['cabinet'])
    await played(page)
    const started = await page.evaluate(() => (window as unknown as { started: string[] }).started)
    expect(started.filter((name) => name === 'playGames').length).toBe(workers)
    await expect(page.getByRole('heading', { name: 'Deals', exact: true })).toBeVisible()
    const told = await page.getByRole('definition').allInnerTexts()
    await context.close()
    return told
  }
  const one = await figures(1)
  expect(one.length).toBeGreaterThan(4)
  expect(await figures(3)).toEqual(one)
})

test('a limit is dragged, a rule is solved for, and figures that are out of date are counted again', async ({
  page,
}) => {
  await test.step('the limit is dragged and moved by keys, and the shares follow', async () => {
    await openOdds(page, 'bench', ['warm-up', 'bench'])
    await played(page)
    await expect(limit(page)).toHaveAttribute('aria-valuetext', '1:10')
    const before = await winsOf(page, 'Fleeting').innerText()
    const line = (await limit(page).boundingBox())!
    await page.mouse.move(line.x + line.width / 2, line.y + 60)
    await page.mouse.down()
    await page.mouse.move(line.x - 150, line.y + 60, { steps: 5 })
    // while it is held the level is unchanged
    await expect.poll(() => winsOf(page, 'Fleeting').innerText()).not.toBe(before)
    await expect(openRung(page)).toContainText('1:10')
    const shown = await limit(page).getAttribute('aria-valuetext')
    const there = (await winsOf(page, 'Fleeting').innerText()).split(/\s/)[0]
    await page.mouse.up()
    await played(page)
    await expect(limit(page)).toHaveAttribute('aria-valuetext', shown!)
    // games really played give the same, and so does the curve
    await expect.poll(async () => (await winsOf(page, 'Fleeting').innerText()).split(/\s/)[0]).toBe(there)
    await expect(
      page.getByRole('img', { name: new RegExp(`^Up the ladder: .* Fleeting: [^.]*Bench ${there} of 100`) }),
    ).toBeVisible()
    await expect(openRung(page)).toContainText(shown!)
    await limit(page).focus()
    await page.keyboard.press('ArrowRight')
    const [minutes, seconds] = shown!.split(':').map(Number)
    const next = minutes! * 60 + seconds! + 1
    await expect(openRung(page)).toContainText(
      `${Math.floor(next / 60)}:${String(next % 60).padStart(2, '0')}`,
    )
    await page.keyboard.press('Control+z')
    await page.keyboard.press('Control+z')
    await expect(limit(page)).toHaveAttribute('aria-valuetext', '1:10')
  })
  await test.step('the sentence solves for a rule, and sets it on the level or in the house rules', async () => {
    await startAt(page, 'odds/bench')
    await played(page)
    await choose(page, 'Mind', 'fleeting')
    await type(page, 'Wins of 10', '5')
    const set = page.getByRole('button', { name: 'Set it' })
    await expect(set).toBeEnabled()
    const solved = page.getByRole('region', { name: 'What has to be' })
    const value = (await solved.locator('b').innerText()).trim()
    await expect(solved).toContainText('So that at least')
    await expect(solved).toContainText(/of 100 win \(\d+ to \d+\); from \d:\d\d to \d:\d\d would do as well/)
    // either end is set by one press, too
    const end = solved.getByRole('button', { name: /^\d:\d\d$/ }).last()
    const last = (await end.innerText()).trim()
    await end.click()
    await expect(limit(page)).toHaveAttribute('aria-valuetext', last)
    await page.keyboard.press('Control+z')
    await expect(limit(page)).toHaveAttribute('aria-valuetext', '1:10')
    await expect(set).toBeEnabled()
    await set.click()
    await expect(page.getByRole('button', { name: 'Is set' })).toBeDisabled()
    await expect(limit(page)).toHaveAttribute('aria-valuetext', value)
    await page.getByRole('button', { name: 'Undo', exact: true }).last().click()
    await expect(limit(page)).toHaveAttribute('aria-valuetext', '1:10')
    await choose(page, 'Rule to solve for', 'look time of a miss')
    await choose(page, 'Where it is set', 'in the house rules')
    await expect(set).toBeEnabled()
    await set.click()
    expect((await gameNow(page)).house.turn.missLook).not.toBe(1000)
    // the impossible is explained
    await page.getByRole('link', { name: /^Warm-up/ }).click()
    await played(page)
    await expect(solved).toContainText('This rule changes nothing here')
    await expect(set).toBeDisabled()
  })
  await test.step('figures that are out of date are counted again by themselves, or when asked', async () => {
    await startAt(page, 'odds/bench')
    await played(page)
    await page.getByRole('checkbox', { name: 'auto' }).click()
    const lives = async () => {
      await page.getByRole('link', { name: 'Rules', exact: true }).click()
      await page.getByRole('button', { name: 'and… more about limits', exact: true }).click()
      await page.getByRole('menuitem', { name: 'lives', exact: true }).click()
      await type(page, 'Lives', '2')
    }
    await lives()
    await page.getByRole('link', { name: 'Odds', exact: true }).click()
    await played(page)
    await expect(winsOf(page, 'Fleeting')).toContainText('lives')
    // undone here, the figures stay, marked as old
    await page.keyboard.press('Control+z')
    await page.keyboard.press('Control+z')
    await expect(page.getByText('the rules have changed')).toBeVisible()
    await expect(winsOf(page, 'Fleeting')).toContainText('lives')
    await page.getByRole('button', { name: 'Again', exact: true }).click()
    await expect(page.getByText('the rules have changed')).toBeHidden()
    await played(page)
    await expect(winsOf(page, 'Fleeting')).not.toContainText('lives')
  })
})

test('the kindest and the hardest deal are played or fixed', async ({ page }) => {
  await openOdds(page, 'warm-up', ['warm-up', 'bench'])
  const deals = page.getByRole('region', { name: 'Deals' })
  const seed = await deals.getByRole('term').first().innerText()
  expect(seed).toMatch(/^odds-\d+$/)
  await deals.getByRole('button', { name: 'Play it' }).first().click()
  await expect(page.getByRole('textbox', { name: 'seed', exact: true })).toHaveValue(seed)
  await page.getByRole('link', { name: 'Odds', exact: true }).click()
  await deals.getByRole('button', { name: 'Always deal it' }).first().click()
  await expect(deals).toBeHidden()
  expect((await gameNow(page)).levels[0].deal.seed).toEqual({ fixed: seed })
  // if it is always the same deal, none is kinder
  await expect(deals).toBeHidden()
  await page.getByRole('link', { name: 'Deal', exact: true }).click()
  await expect(choice(page, 'When the seed changes', 'always this one')).toBeVisible()
})

test('a level that cannot be dealt says so, and is left out of the ladder', async ({ page }) => {
  await openStation(page, 'deal/bench')
  await type(page, 'Rows', '3')
  await type(page, 'Columns', '5')
  await page.getByRole('link', { name: 'Odds', exact: true }).click()
  await expect(page.getByRole('alert')).toContainText('This level cannot be dealt, so nobody can play it')
  await page.getByRole('link', { name: /^Warm-up/ }).click()
  await played(page)
  await expect(openRung(page)).toContainText('Warm-up')
  await expect(
    page.getByRole('img', { name: /^Up the ladder: who wins, of 100.*Bench cannot be dealt/ }),
  ).toBeVisible()
})

test('by keys alone: a mind is switched on, the limit moved, a value solved for and set, the ladder evened out', async ({
  page,
}) => {
  await openOdds(page, 'bench', ['warm-up', 'bench'])
  await played(page)
  /** Presses Tab until this has the focus. */
  const reach = async (name: RegExp, role: 'button' | 'slider' | 'combobox' | 'spinbutton') => {
    const wanted = page.getByRole(role, { name }).first()
    await expect(async () => {
      await page.keyboard.press('Tab')
      await expect(wanted).toBeFocused({ timeout: 1 })
    }).toPass({ intervals: [0], timeout: 30_000 })
  }
  await reach(/^No memory/, 'button')
  await page.keyboard.press('Space')
  await expect(winsOf(page, 'No memory')).toBeVisible()
  await played(page)
  await reach(/^Time limit$/, 'slider')
  await page.keyboard.press('PageDown')
  await expect(openRung(page)).toContainText('1:00')
  await played(page)
  await expect(limit(page)).toBeFocused()
  await reach(/^Wins of 10$/, 'spinbutton')
  await page.keyboard.press('ArrowDown')
  await reach(/^Mind: /, 'combobox')
  await page.keyboard.press('Enter')
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('combobox', { name: 'Mind: fleeting' })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Set it' })).toBeEnabled()
  await reach(/^Set it$/, 'button')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: 'Is set' })).toBeVisible()
  await reach(/^Wins wanted on the first level$/, 'slider')
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Shift+Tab')
  await expect(page.getByRole('button', { name: 'Even it out…' })).toBeFocused()
  await page.keyboard.press('Enter')
  const dialog = page.getByRole('dialog', { name: 'Even out the ladder' })
  const change = dialog.getByRole('button', { name: /^Change \d levels?$/ })
  await expect(change).toBeEnabled()
  await reach(/^Change \d levels?$/, 'button')
  await page.keyboard.press('Enter')
  await expect(dialog).toBeHidden()
  const undo = await page.getByRole('button', { name: 'Undo', exact: true }).first()
  await expect(undo).toBeEnabled()
})
