import { expect, test, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import {
  downloadOf,
  expectNoViolations,
  openStation,
  pressButton,
  rungs,
  tiles,
  toGameFile,
  wholeStation,
} from './helpers.ts'

test.use({ contextOptions: { reducedMotion: 'reduce' } })

const title = (page: Page) => page.getByLabel('Title of the game')
async function retitle(page: Page, text: string): Promise<void> {
  await title(page).fill(text)
  await title(page).press('Enter')
}
const saved = (page: Page) => expect(page.getByText('saved ✓')).toBeVisible()

test('everything is saved by itself and survives a reload', async ({ page }) => {
  await openStation(page, 'deal/bench')
  await retitle(page, 'Evening drawer')
  await page.getByRole('button', { name: /^B2, / }).click()
  await page.getByRole('button', { name: /^C2, / }).click()
  await expect(page.getByText('14 cards, 7 pairs.')).toBeVisible()
  await saved(page)
  await page.reload()
  await expect(page.getByText('14 cards, 7 pairs.')).toBeVisible()
  await expect(title(page)).toHaveValue('Evening drawer')
  await expect(page.getByRole('button', { name: 'B2, a gap' })).toBeVisible()
})

test('every kind of edit can be undone and done again', async ({ page }) => {
  await openStation(page, 'deck')
  const undo = () => page.keyboard.press('Control+z')
  const redo = () => page.keyboard.press('Control+Shift+z')
  const pairs = tiles(page)
  const first = async (): Promise<string> => (await pairs.first().textContent())!.trim()

  await page.getByRole('option', { name: 'Cog', exact: true }).click()
  await page.keyboard.press('Delete')
  await expect(pairs).toHaveCount(23)
  await page.keyboard.press('Alt+ArrowRight')
  expect(await first()).toBe('Mantel clock')
  await undo()
  expect(await first()).toBe('Hourglass')
  await undo()
  await expect(pairs).toHaveCount(24)
  await redo()
  await redo()
  expect(await first()).toBe('Mantel clock')
  await undo()
  await undo()

  await page.getByRole('link', { name: 'Rules', exact: true }).click()
  await page.getByRole('link', { name: /^Bench/ }).click()
  const limit = page.getByRole('spinbutton', { name: 'Time limit', exact: true })
  await limit.focus()
  await page.keyboard.press('ArrowUp')
  await expect(limit).toHaveValue('1:15')
  await limit.blur()
  await undo()
  await expect(limit).toHaveValue('1:10')

  await page.getByRole('button', { name: 'Duplicate this level' }).click()
  await expect(page.getByRole('link', { name: /^Bench copy/ })).toBeVisible()
  await page.getByRole('button', { name: 'Move this level up' }).click()
  await page.getByRole('button', { name: 'Rename this level' }).click()
  await page.getByLabel('Name of the level').fill('Second bench')
  await page.keyboard.press('Enter')
  const names = rungs(page)
  await expect(names).toContainText(['Warm-up', 'Second bench', 'Bench', 'Top drawer', 'Cabinet'])
  await page.getByRole('button', { name: 'Remove this level' }).click()
  await expect(names).toContainText(['Warm-up', 'Bench', 'Top drawer', 'Cabinet'])
  // the keyboard goes on at the level that took its place
  await expect(names.getByRole('link', { name: /^Bench/ })).toBeFocused()
  for (const text of [
    ['Warm-up', 'Second bench', 'Bench', 'Top drawer', 'Cabinet'],
    ['Warm-up', 'Bench copy', 'Bench', 'Top drawer', 'Cabinet'],
    ['Warm-up', 'Bench', 'Bench copy', 'Top drawer', 'Cabinet'],
    ['Warm-up', 'Bench', 'Top drawer', 'Cabinet'],
  ]) {
    await undo()
    await expect(names).toContainText(text)
  }
})

test('a level follows the house rules until it says otherwise, and again when asked', async ({ page }) => {
  await openStation(page, 'rules/bench')
  const look = page.getByRole('spinbutton', { name: 'Look time of a miss' })
  await look.fill('2')
  await look.press('Enter')
  const own = page.getByRole('button', {
    name: 'Look time of a miss: own, set for this level; follow the house rules again',
  })
  await expect(own).toBeVisible()
  await page.getByRole('link', { name: /^House rules/ }).click()
  await expect(look).toHaveValue('1.0 s')
  await look.fill('1.4')
  await look.press('Enter')
  await page.getByRole('link', { name: /^Bench/ }).click()
  await expect(look).toHaveValue('2.0 s')
  await own.click()
  await expect(look).toHaveValue('1.4 s')
  await expect(own).toBeHidden()
})

test('a number out of bounds is told and not taken', async ({ page }) => {
  await openStation(page, 'rules')
  const look = page.getByRole('spinbutton', { name: 'Look time of a miss' })
  for (const wrong of ['61', '-1', 'long']) {
    await look.fill(wrong)
    await look.press('Enter')
    await expect(page.getByRole('alert')).toHaveText('Look time of a miss: 0.0 s to 60.0 s')
    await look.press('Escape')
    await expect(look).toHaveValue('1.0 s')
  }
  // left with Tab, it stays told for a while
  await look.fill('99')
  await look.press('Tab')
  await expect(look).toHaveValue('1.0 s')
  await expect(page.getByRole('alert')).toHaveText('Look time of a miss: 0.0 s to 60.0 s')
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled()
  await expect(page.getByRole('alert')).toHaveCount(0)
})

test('a held key counts once for each frame that is drawn', async ({ page }) => {
  await openStation(page, 'rules/bench')
  const limit = page.getByRole('spinbutton', { name: 'Time limit', exact: true })
  await expect(limit).toHaveValue('1:10')
  // while the station opens a held key waits
  await wholeStation(page)
  // thirty repeats before the page has drawn anything
  await limit.evaluate(async (field) => {
    for (let i = 0; i < 30; i++) {
      field.dispatchEvent(
        new KeyboardEvent('keydown', { key: 'ArrowUp', repeat: true, bubbles: true, cancelable: true }),
      )
      // the field gets its new value, and no frame is drawn
      for (let turn = 0; turn < 20; turn++) await Promise.resolve()
    }
  })
  await expect(limit).toHaveValue('1:15')
  // each press of its own counts
  await limit.press('ArrowUp')
  await limit.press('ArrowUp')
  await expect(limit).toHaveValue('1:25')
})

test('a second tab follows the first', async ({ page, context }) => {
  await openStation(page, 'rules')
  const other = await context.newPage()
  await openStation(other, 'deck')
  await retitle(page, 'Seen by both')
  await expect(title(other)).toHaveValue('Seen by both')
  await retitle(other, 'And back')
  await expect(title(page)).toHaveValue('And back')
  await expect(page.getByText('Another tab changed this game, and this tab has taken it over')).toBeVisible()

  await test.step('a level that is open and removed there is named, and another is open', async () => {
    await page.getByRole('link', { name: /^Bench/ }).click()
    await other.getByRole('link', { name: 'Rules', exact: true }).click()
    await other.getByRole('link', { name: /^Bench/ }).click()
    await other.getByRole('button', { name: 'Remove this level' }).click()
    await expect(page.getByText('Another tab removed the level "Bench": "Warm-up" is open now')).toBeVisible()
    await expect(page).toHaveURL(/rules\/warm-up$/)
  })
  await test.step('a title that is half typed is not replaced', async () => {
    await title(page).fill('Half ty')
    await retitle(other, 'Whole')
    const question = page.getByRole('alert').filter({ hasText: 'Another tab has changed this game.' })
    await expect(question).toBeVisible()
    await expect(title(page)).toHaveValue('Half ty')
    await question.getByRole('button', { name: "Use the other tab's version" }).click()
    await expect(title(page)).toHaveValue('Whole')
    await page.getByRole('button', { name: 'Undo', exact: true }).first().click()
    await expect(title(page)).toHaveValue('Half ty')
    await expect(title(other)).toHaveValue('Half ty')
  })
  await test.step('in the bin there, it is taken out again only if that is chosen', async () => {
    const shelf = await context.newPage()
    await shelf.goto('/')
    await shelf.getByRole('button', { name: 'Remove Half ty' }).click()
    await expect(page.getByText('Another tab has put this game into the bin.')).toBeVisible()
    await retitle(page, 'Binned')
    await expect(shelf.getByRole('heading', { name: 'Half ty' })).toBeHidden()
    await page.getByRole('button', { name: 'Take it out of the bin' }).click()
    await saved(page)
    await expect(shelf.getByRole('heading', { name: 'Binned' })).toBeVisible()
  })
})

test('two tabs that edit at once never overwrite each other in silence', async ({ page, context }) => {
  await openStation(page, 'rules')
  const other = await context.newPage()
  // this tab does not hear the other, so only the check at the save can stop it
  await other.addInitScript(() => Reflect.deleteProperty(window, 'BroadcastChannel'))
  await openStation(other, 'rules')
  await title(page).fill('From the one')
  await title(other).fill('From the other')
  await title(page).press('Enter')
  await saved(page)
  await title(other).press('Enter')
  const question = 'Another tab has changed this game.'
  await expect
    .poll(
      async () =>
        Number(await page.getByText(question).isVisible()) +
        Number(await other.getByText(question).isVisible()),
    )
    .toBeGreaterThan(0)
  const [late, early] = (await page.getByText(question).isVisible()) ? [page, other] : [other, page]
  const mine = await title(late).inputValue()
  const theirs = await title(early).inputValue()
  await late.getByRole('button', { name: 'Keep mine as a copy' }).click()
  await expect(late).toHaveURL(/clockmakers-drawer-2\/deck/)
  await late.goto('/')
  await expect(late.getByRole('heading', { name: theirs, exact: true })).toBeVisible()
  await expect(late.getByRole('heading', { name: `${mine} copy`, exact: true })).toBeVisible()
})

test('a removed game comes back by Undo; a duplicate stands for itself', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Remove The Signal Room' }).click()
  await expect(page.getByRole('heading', { name: 'The Signal Room' })).toBeHidden()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('heading', { name: 'The Signal Room' })).toBeVisible()
  await page.getByRole('button', { name: 'Duplicate The Signal Room' }).click()
  await page.getByRole('link', { name: 'Open The Signal Room copy' }).click()
  await retitle(page, 'Mine')
  await saved(page)
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'The Signal Room', exact: true })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Mine', exact: true })).toBeVisible()
})

test('a refused storage says so, and the game can be saved as a file', async ({ page }) => {
  await page.addInitScript(() => Object.defineProperty(window, 'indexedDB', { value: undefined }))
  await page.goto('/')
  await expect(page.getByText('This browser does not let Lucky Twin keep games')).toBeVisible()
  await page.getByRole('button', { name: 'Make it' }).click()
  await retitle(page, 'For this tab only')
  await toGameFile(page)
  const { path } = await downloadOf(page, () =>
    page.getByRole('button', { name: 'Download the game file' }).click(),
  )
  expect(JSON.parse(readFileSync(path, 'utf8'))).toMatchObject({
    format: 'lucky-twin/game',
    version: 1,
    title: 'For this tab only',
  })
})

test('a full storage says so, keeps the work, and offers the file', async ({ page }) => {
  // no quota that a test can set reaches IndexedDB here, so the browser's own error is thrown in its place
  await page.addInitScript(() => {
    const put = IDBObjectStore.prototype.put
    IDBObjectStore.prototype.put = function (...args: Parameters<typeof put>) {
      if ('full' in window) throw new DOMException('The quota has been exceeded.', 'QuotaExceededError')
      return put.apply(this, args)
    }
  })
  await openStation(page, 'rules')
  await page.evaluate(() => Object.assign(window, { full: true }))
  await retitle(page, 'Too much')
  await expect(
    page.getByText('This browser did not save the last changes (its storage is full).'),
  ).toBeVisible()
  const { path } = await downloadOf(page, () => page.getByRole('button', { name: 'Save to a file' }).click())
  expect(JSON.parse(readFileSync(path, 'utf8')).title).toBe('Too much')

  // nobody leaves without knowing what is lost
  const leaving = page.getByRole('dialog', { name: 'The last changes are not saved' })
  await page.getByRole('link', { name: 'To the shelf' }).click()
  await expect(leaving).toContainText('If you leave Too much now, they are lost')
  await expectNoViolations(page)
  await leaving.getByRole('button', { name: 'Stay' }).click()
  await expect(title(page)).toHaveValue('Too much')
  const [asked] = await Promise.all([page.waitForEvent('dialog'), page.close({ runBeforeUnload: true })])
  expect(asked.type()).toBe('beforeunload')
  await asked.dismiss()
  await page.evaluate(() => Reflect.deleteProperty(window, 'full'))
  await page.getByRole('button', { name: 'Try again' }).click()
  await saved(page)

  await page.evaluate(() => Object.assign(window, { full: true }))
  await retitle(page, 'Left behind')
  await expect(page.getByText('This browser did not save the last changes')).toBeVisible()
  await page.getByRole('link', { name: 'To the shelf' }).click()
  await leaving.getByRole('button', { name: 'Leave without them' }).click()
  await expect(page.getByRole('heading', { name: 'Too much', exact: true })).toBeVisible()
})

test.describe('own images in the browser', () => {
  const SRC = `data:image/svg+xml;base64,${btoa('<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9"><circle r="4"/></svg>')}`
  /** A game whose three faces show one image. */
  const game = () => {
    const made = JSON.parse(readFileSync('demo/clockmakers-drawer.game.json', 'utf8'))
    Object.assign(made, { id: 'seals', title: 'Seals' })
    for (const at of [0, 1, 2]) made.deck.pairs[at].a = { kind: 'image', src: SRC }
    return made
  }
  const rows = (page: Page, table: string): Promise<unknown[]> =>
    page.evaluate(
      (name) =>
        new Promise((resolve, reject) => {
          const opened = indexedDB.open('lucky-twin')
          opened.onerror = () => reject(opened.error!)
          opened.onsuccess = () => {
            const all = opened.result.transaction(name).objectStore(name).getAll()
            all.onsuccess = () => {
              opened.result.close()
              resolve(all.result)
            }
          }
        }),
      table,
    )
  const seals = (page: Page) => page.getByRole('article').filter({ hasText: 'Seals' })
  const demos = async (page: Page) => (await rows(page, 'art')).length

  test('are kept once for all games that show them, and forgotten with the last', async ({ page }) => {
    await page.goto('/')
    await expect(page.getByRole('article')).toHaveCount(3)
    const before = await demos(page)
    await page.getByLabel('Game files').setInputFiles({
      name: 'seals.game.json',
      mimeType: 'application/json',
      buffer: Buffer.from(JSON.stringify(game())),
    })
    await expect(seals(page)).toHaveCount(1)
    await seals(page).getByRole('button', { name: 'Duplicate' }).click()
    await expect(seals(page)).toHaveCount(2)
    expect(await demos(page)).toBe(before + 1)
    expect(JSON.stringify(await rows(page, 'games'))).not.toContain(SRC)
    await page.reload()
    const { path } = await downloadOf(page, () =>
      seals(page).first().getByRole('button', { name: /^Save/ }).click(),
    )
    expect(JSON.parse(readFileSync(path, 'utf8')).deck.pairs[2].a.src).toBe(SRC)

    await seals(page).first().getByRole('button', { name: 'Remove' }).click()
    await expect(seals(page)).toHaveCount(1)
    await page.reload()
    await expect(seals(page)).toHaveCount(1)
    expect(await demos(page)).toBe(before + 1)
    await seals(page).first().getByRole('button', { name: 'Remove' }).click()
    await expect(seals(page)).toHaveCount(0)
    await page.reload()
    await expect(page.getByRole('article')).toHaveCount(3)
    // those in the bin still show it
    expect(await demos(page)).toBe(before + 1)
    await pressButton(page, 'The shelf')
    await page.getByRole('menuitem', { name: 'The bin, 2 games' }).click()
    await pressButton(page, 'Empty the bin')
    await pressButton(page, 'Delete for good')
    await expect(page.getByText('The bin is empty.')).toBeVisible()
    await page.reload()
    await expect(page.getByRole('article')).toHaveCount(3)
    expect(await demos(page)).toBe(before)
  })
})
