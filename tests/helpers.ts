import { expect, type Locator, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { PNG } from 'pngjs'

const require = createRequire(import.meta.url)
const AXE = readFileSync(require.resolve('axe-core/axe.min.js'), 'utf8')

/** Every piece of the open station is in the page. */
export const wholeStation = (page: Page): Promise<void> =>
  expect(page.locator('main[aria-busy=true]')).toHaveCount(0)

/**
 * Fails with what axe finds on the page as it stands, or in the dialog that lies over it: what is under that is looked
 * at where it lies open. Each view is looked at once in each of its states, by the test that goes there.
 */
export async function expectNoViolations(page: Page, { whole = false } = {}): Promise<void> {
  await wholeStation(page)
  // a page keeps it until it is loaded anew
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(AXE)
  const violations = await page.evaluate(async (isWhole) => {
    const { axe } = window as unknown as {
      axe: {
        run(
          root: ParentNode,
          options: { resultTypes: string[] },
        ): Promise<{ violations: { id: string; nodes: { html: string; failureSummary?: string }[] }[] }>
      }
    }
    // what is still moving has no settled colour yet; a message may begin to fade while axe is at work
    let hasMoved = true
    const note = () => (hasMoved = true)
    document.addEventListener('transitionrun', note)
    document.addEventListener('animationstart', note)
    const dialog = [...document.querySelectorAll('[aria-modal="true"]')].findLast((one) =>
      one.checkVisibility(),
    )
    const root = (!isWhole && dialog) || document
    let violations: Awaited<ReturnType<typeof axe.run>>['violations'] = []
    for (let tries = 0; hasMoved && tries < 5; tries++) {
      await Promise.all(
        document.getAnimations().map((animation) => animation.finished.catch(() => undefined)),
      )
      hasMoved = false
      violations = (await axe.run(root, { resultTypes: ['violations'] })).violations
      if (!violations.length) break
    }
    document.removeEventListener('transitionrun', note)
    document.removeEventListener('animationstart', note)
    return violations.map(
      ({ id, nodes }) =>
        `${id}: ${nodes.map((node) => `${node.html} ${node.failureSummary ?? ''}`).join('\n')}`,
    )
  }, whole)
  expect(violations).toEqual([])
}

/** The cards on a table, in the studio or in a shipped game. */
export const cards = (page: Page | Locator, name?: RegExp): Locator =>
  page.getByRole('gridcell').getByRole('button', { name })
export const card = (page: Page | Locator, cell: number): Locator =>
  page.getByRole('grid').locator(`[data-cell="${cell}"]`)
/** From the opening panel of a page in English to the first turn, or to what is asked before it. */
export async function begin(page: Page): Promise<void> {
  const opening = page.getByRole('dialog').filter({ hasText: 'Turn over two cards at a time' })
  await opening.getByRole('button', { name: 'Begin' }).click()
  await expect(opening).toBeHidden()
}
/** Cards by their names: face down, turned up in this turn, matched or taken. */
export const down = (page: Page | Locator): Locator => cards(page, /, face down$/)
export const up = (page: Page | Locator): Locator =>
  cards(page, /^[A-Z]+\d+, (?!face down$|taken$)(?!.*, matched$)/)
export const found = (page: Page | Locator): Locator => cards(page, /, (matched|taken)$/)

/** The levels beside a station, and the one that is open. */
export const rungs = (page: Page): Locator =>
  page.getByRole('complementary', { name: 'Ladder' }).getByRole('listitem')
export const openRung = (page: Page): Locator =>
  page.getByRole('complementary', { name: 'Ladder' }).locator('[aria-current]')

/** What the ledger says the round is waiting for. */
export const phase = (page: Page): Locator => page.getByRole('note', { name: 'Phase' })

/** The board of Deal, seen from above. */
export const boardAbove = (page: Page): Locator => page.getByRole('group', { name: 'The board from above' })

/** Records, from now on, the last accessible name of each card while it was face up; a look may be short. */
async function watchCards(page: Page): Promise<void> {
  await page.evaluate(() => {
    const seen: Record<string, string> = {}
    Object.assign(window, { seen })
    new MutationObserver((changes) => {
      for (const { target } of changes) {
        const { dataset, ariaLabel } = target as HTMLElement
        if (dataset.state === 'up' && ariaLabel) seen[dataset.cell!] = ariaLabel
      }
    }).observe(document.querySelector('.lt-board')!, { subtree: true, attributeFilter: ['aria-label'] })
  })
}

/** What a card showed when it was turned, from its accessible name: "B2, Old key" gives "Old key". */
async function shown(page: Page, cell: number): Promise<string> {
  const read = (): Promise<string | undefined> =>
    page.evaluate((at) => (window as unknown as { seen: Record<string, string> }).seen[at], cell)
  await expect.poll(read).toBeTruthy()
  return (await read())!.split(', ')[1]!
}

/** Presses cards with a mouse, or with keys alone from wherever the focus is on the board. */
export type Press = (page: Page, cell: number) => Promise<void>
export const byMouse: Press = (page, cell) => card(page, cell).click()

export const byKeys =
  (columns: number): Press =>
  async (page, cell) => {
    for (;;) {
      const at = Number(
        await page.evaluate(() => (document.activeElement as HTMLElement).dataset.cell ?? NaN),
      )
      if (at === cell) break
      const [row, column] = [Math.floor(at / columns), at % columns]
      const [toRow, toColumn] = [Math.floor(cell / columns), cell % columns]
      if (row !== toRow) await page.keyboard.press(row < toRow ? 'ArrowDown' : 'ArrowUp')
      else await page.keyboard.press(column < toColumn ? 'ArrowRight' : 'ArrowLeft')
    }
    await page.keyboard.press('Enter')
  }

/**
 * Plays the open board to the win by remembering what the cards show. `twinOf` gives the twin of what is shown;
 * for identical pairs that is the same.
 */
export async function playToTheWin(
  page: Page,
  press: Press,
  twinOf: (words: string) => string = (words) => words,
): Promise<void> {
  const cells = await cards(page).evaluateAll((cards) =>
    cards.map((one) => Number((one as HTMLElement).dataset.cell)),
  )
  await watchCards(page)
  const known = new Map<string, number[]>()
  const unseen = [...cells]
  let left = cells.length
  const settled = async (): Promise<void> => {
    // first the cards must be seen to be turned: otherwise none is up just because none is yet
    await expect(down(page)).toHaveCount(left)
    await expect(up(page)).toHaveCount(0)
  }
  const learn = async (cell: number): Promise<string> => {
    const words = await shown(page, cell)
    known.set(words, [...(known.get(words) ?? []), cell])
    return words
  }
  const forget = (words: string, cell: number): void => {
    known.set(
      words,
      known.get(words)!.filter((one) => one !== cell),
    )
  }
  while (left > 0) {
    const pair = [...known.keys()].flatMap((words) => {
      const [one] = known.get(words)!
      const other = known.get(twinOf(words))?.find((cell) => cell !== one)
      return one !== undefined && other !== undefined ? [[words, one, other] as const] : []
    })[0]
    let first: number
    let words: string
    if (pair) {
      ;[words, first] = pair
      await press(page, first)
    } else {
      first = unseen.shift()!
      await press(page, first)
      words = await learn(first)
    }
    const twin = known.get(twinOf(words))?.find((cell) => cell !== first)
    const second = twin ?? unseen.shift()!
    await press(page, second)
    const other = twin === undefined ? await learn(second) : twinOf(words)
    if (other === twinOf(words)) {
      forget(words, first)
      forget(other, second)
      left -= 2
    }
    if (left > 0) await settled()
  }
}

/** Opens a demo game's station and waits until it is ready. */
export async function openStation(page: Page, path: string, game = 'clockmakers-drawer'): Promise<void> {
  await page.goto(`/games/${game}/${path}`)
  await expect(page.getByRole('navigation', { name: 'Stations' })).toBeVisible()
}

const LEVELS: Record<string, RegExp> = {
  'warm-up': /^Warm-up/,
  bench: /^Bench/,
  'top-drawer': /^Top drawer/,
  cabinet: /^Cabinet/,
}
/**
 * Begins a step of a walk. The first one opens the game; later ones close what is open, take back all that was done in
 * it, and go to their station and level by its links.
 */
export async function startAt(page: Page, path: string, game = 'clockmakers-drawer'): Promise<void> {
  if (!page.url().includes(`/games/${game}/`)) return openStation(page, path, game)
  if (await page.getByRole('dialog').count()) await page.keyboard.press('Escape')
  await page
    .getByRole('banner')
    .getByRole('button', { name: 'Undo', exact: true })
    .evaluate(async (undo: HTMLButtonElement) => {
      while (!undo.disabled) {
        undo.click()
        await new Promise(requestAnimationFrame)
      }
    })
  const [station, level] = path.split('/') as [string, string?]
  await page
    .getByRole('navigation', { name: 'Stations' })
    .getByRole('link', { name: station[0]!.toUpperCase() + station.slice(1), exact: true })
    .click()
  if (level)
    await page
      .getByRole('complementary', { name: 'Ladder' })
      .getByRole('link', { name: LEVELS[level]! })
      .click()
}

/** The bytes of a file that a press downloads. */
export async function downloadOf(
  page: Page,
  press: () => Promise<void>,
): Promise<{ name: string; path: string }> {
  const [download] = await Promise.all([page.waitForEvent('download'), press()])
  return { name: download.suggestedFilename(), path: (await download.path())! }
}

/** Drags one element onto another with the mouse, as a person does: in steps, and not at once. */
export async function drag(page: Page, from: Locator, to: Locator): Promise<void> {
  const a = (await from.boundingBox())!
  const b = (await to.boundingBox())!
  await page.mouse.move(a.x + a.width / 2, a.y + a.height / 3)
  await page.mouse.down()
  await page.mouse.move(a.x + a.width / 2 + 6, a.y + a.height / 3 + 6, { steps: 3 })
  // the elements between move aside with an animation, and nothing is accepted in the meantime
  for (let i = 0; i < 4; i++) {
    await page.mouse.move(b.x + b.width * 0.7, b.y + b.height * 0.7 + i, { steps: 8 })
    await page.evaluate(() =>
      Promise.all(document.getAnimations().map((one) => one.finished.catch(() => undefined))),
    )
  }
  await page.mouse.up()
}
/** Types a value into a number of the studio. */
export async function type(page: Page, name: string, value: string): Promise<void> {
  const field = page.getByRole('spinbutton', { name, exact: true })
  await field.fill(value)
  await field.press('Enter')
}

/** Adds a rule that is off to the story, from the menu of its paragraph. */
export async function addRule(page: Page, about: string, name: string): Promise<void> {
  await page.getByRole('button', { name: `and… more about ${about}`, exact: true }).click()
  await page.getByRole('menuitem', { name, exact: true }).click()
}

/** The pairs on the light table. */
export const tiles = (page: Page): Locator => page.getByRole('listbox', { name: 'Pairs' }).getByRole('option')

/** A choice in a sentence; its name includes the current value. */
export const choice = (page: Page | Locator, name: string, words?: string): Locator =>
  page.getByRole('combobox', {
    name: words === undefined ? new RegExp(`^${name}: `) : `${name}: ${words}`,
    exact: true,
  })

/** Selects one of the options of a choice. */
export async function choose(page: Page, name: string, words: string): Promise<void> {
  const list = page.getByRole('listbox', { name: new RegExp(`^${name}: `) })
  const option = list.getByRole('option', { name: words, exact: true })
  await choice(page, name).click()
  await expect(option).toBeVisible()
  // a list that moves between the press and its release, as what it opened in comes to rest, stays open
  await expect(async () => {
    if (await option.isVisible()) await option.click({ timeout: 5_000 })
    await expect(list).toBeHidden({ timeout: 2_000 })
  }).toPass()
}

/** One of them, by its whole name. */
export const tile = (page: Page, name: string): Locator => page.getByRole('option', { name, exact: true })

/** To the Ship station, where the game file is made. */
export async function toGameFile(page: Page): Promise<void> {
  await page.getByRole('link', { name: 'Ship', exact: true }).click()
  await page.getByRole('radiogroup', { name: 'Where is it going?' }).getByText('The game file').click()
}

/** The game file that the Ship station gives. */
export async function gameOf(page: Page) {
  await toGameFile(page)
  const { path } = await downloadOf(page, () =>
    page.getByRole('button', { name: 'Download the game file' }).click(),
  )
  return JSON.parse(readFileSync(path, 'utf8'))
}

/** The share of a picture (0 to 1) that has about this colour. */
export function shareOf(picture: Buffer, colour: readonly number[]): number {
  const { width, height, data } = PNG.sync.read(picture)
  const has = (_: unknown, i: number): boolean =>
    colour.every((value, channel) => Math.abs(data[i * 4 + channel]! - value) < 12)
  return Array.from({ length: width * height }, has).filter(Boolean).length / (width * height)
}

/** A PNG of one colour. */
export function png(width: number, height: number, colour: [number, number, number] = [90, 120, 60]): Buffer {
  const image = new PNG({ width, height })
  for (let i = 0; i < width * height; i++) image.data.set([...colour, 255], i * 4)
  return PNG.sync.write(image)
}

/** A file to choose, made on the spot. */
export const fileOf = (name: string, buffer: Buffer | string, mimeType = 'image/png') => ({
  name,
  mimeType,
  buffer: Buffer.from(buffer as string),
})

/** How many px of a tile's picture are darker than paper, edge and the turned-away twin */
export const inkedPx = (tile: Element): Promise<number> =>
  new Promise((resolve) => {
    const image = new Image()
    image.onload = () => {
      const pen = new OffscreenCanvas(image.width, image.height).getContext('2d')!
      pen.drawImage(image, 0, 0)
      const { data } = pen.getImageData(0, 0, image.width, image.height)
      let dark = 0
      for (let at = 0; at < data.length; at += 4)
        if (data[at + 3] === 255 && Math.min(data[at]!, data[at + 1]!, data[at + 2]!) < 170) dark++
      resolve(dark)
    }
    image.onerror = () => resolve(0)
    image.src = getComputedStyle(tile).backgroundImage.slice(5, -2)
  })

/** Presses a button by its whole name. */
export const pressButton = (page: Page, name: string): Promise<void> =>
  page.getByRole('button', { name, exact: true }).click()
