import { expect, type Locator, type Page } from '@playwright/test'
import { createCanvas } from '@napi-rs/canvas'
import { choose, expectNoViolations, openStation } from './helpers.ts'
import { test } from './test.ts'
import * as pdfjs from 'pdfjs-dist/legacy/build/pdf.mjs'

/** px of a drawn page for each mm: a tenth of a mm is 1.2 px. */
const SCALE = 12
const POINTS = 25.4 / 72

/** The page that is given to the printer: what prints in the frame is kept instead. */
async function printed(page: Page): Promise<string> {
  await page.evaluate(() => {
    const watch = (): void =>
      document.querySelectorAll('iframe').forEach((frame) => {
        const inside = frame.contentWindow as (Window & { kept?: boolean }) | null
        if (!inside || inside.kept || frame.title !== 'Printing') return
        inside.kept = true
        inside.print = () => Object.assign(window, { printedPage: inside.document.documentElement.outerHTML })
      })
    new MutationObserver(watch).observe(document.body, { childList: true, subtree: true })
    document.addEventListener('load', watch, true)
  })
  await page.getByRole('button', { name: 'Print…' }).click()
  const read = (): Promise<string> =>
    page.evaluate(() => (window as unknown as { printedPage?: string }).printedPage ?? '')
  await expect.poll(read).not.toBe('')
  return `<!doctype html>${await read()}`
}

/** What the station says of the sheets. */
const told = (page: Page): Locator => page.getByRole('region', { name: 'Paper' }).getByRole('status')

type Drawn = {
  width: number
  height: number
  dark(x: number, y: number): boolean
  at(x: number, y: number): number[]
}

/** The pages of a PDF, drawn; positions in mm. */
async function drawn(pdf: Uint8Array): Promise<Drawn[]> {
  const file = await pdfjs.getDocument({ data: new Uint8Array(pdf), verbosity: 0 }).promise
  const pages: Drawn[] = []
  for (let number = 1; number <= file.numPages; number++) {
    const sheet = await file.getPage(number)
    const viewport = sheet.getViewport({ scale: SCALE * POINTS })
    const canvas = createCanvas(Math.round(viewport.width), Math.round(viewport.height))
    const pen = canvas.getContext('2d')
    await sheet.render({ canvas: null, canvasContext: pen as never, viewport }).promise
    const { data, width, height } = pen.getImageData(0, 0, canvas.width, canvas.height)
    const at = (x: number, y: number): number[] => {
      const from = (Math.floor(y * SCALE) * width + Math.floor(x * SCALE)) * 4
      return [...data.subarray(from, from + 3)]
    }
    pages.push({
      width: width / SCALE,
      height: height / SCALE,
      at,
      dark: (x, y) => at(x, y).every((channel) => channel < 110),
    })
  }
  return pages
}

/** The middles of all marks that a line across a page meets, in mm. */
function marksOn(page: Drawn, line: 'across' | 'down', at: number): number[] {
  const length = line === 'across' ? page.width : page.height
  const found: number[] = []
  let from = -1
  for (let px = 0; px < length * SCALE; px++) {
    const mm = (px + 0.5) / SCALE
    const isDark = line === 'across' ? page.dark(mm, at) : page.dark(at, mm)
    if (isDark && from < 0) from = px
    if (!isDark && from >= 0) {
      found.push((from + px) / 2 / SCALE)
      from = -1
    }
  }
  return found
}

for (const [name, width, height] of [
  ['A4', 210, 297],
  ['Letter', 215.9, 279.4],
] as const)
  test(`${name}: cards, marks and backs lie where they should to a tenth of a millimetre`, async ({
    page,
  }) => {
    await openStation(page, 'ship')
    await page.getByText('Paper', { exact: true }).click()
    await choose(page, 'Paper', name)
    await choose(page, 'What is printed', 'the level Warm-up')
    await expect(told(page)).toHaveText('12 cards on 2 sheets, and a page with the rules.')
    if (name === 'A4') await expectNoViolations(page)
    const html = await printed(page)
    const sheets = await page.context().newPage()
    const asked: string[] = []
    sheets.on('request', (request) => asked.push(request.url()))
    await sheets.setContent(html)
    await sheets.evaluate(() => document.fonts.ready)
    const pages = await drawn(await sheets.pdf({ preferCSSPageSize: true }))
    expect(asked.filter((url) => !/^(data|about):/.test(url))).toEqual([])
    expect(pages).toHaveLength(5)
    const TENTH = 0.1
    for (const one of pages) {
      // the browser's own paper is an eighth of a mm off
      expect(Math.abs(one.width - width)).toBeLessThan(0.15)
      expect(Math.abs(one.height - height)).toBeLessThan(0.15)
    }
    // cards of 55 mm, a height of 55/0.84, 4 mm apart, in the middle of the sheet: three columns and three rows
    const [wide, high] = [55, 55 / 0.84]
    const [left, top] = [(width - 3 * wide - 8) / 2, (height - 3 * high - 8) / 2]
    const cuts = (from: number, side: number): number[] =>
      [0, 1, 2].flatMap((i) => [from + i * (side + 4), from + i * (side + 4) + side])
    const near = (found: number[], wanted: number[]): void => {
      expect(found).toHaveLength(wanted.length)
      found.forEach((one, i) => expect(Math.abs(one - wanted[i]!)).toBeLessThan(TENTH))
    }
    for (const one of pages.slice(0, 4)) {
      near(marksOn(one, 'across', top - 5), cuts(left, wide))
      near(marksOn(one, 'across', height - top + 5), cuts(left, wide))
      near(marksOn(one, 'down', left - 5), cuts(top, high))
      near(marksOn(one, 'down', width - left + 5), cuts(top, high))
    }
    // the second sheet has three cards; its backs lie behind them when it is turned over its long edge
    const PAPER = { face: [255, 253, 248], back: [253, 238, 226] }
    const isOf = (colour: number[], of: number[]): boolean =>
      colour.every((channel, i) => Math.abs(channel - of[i]!) <= 2)
    const corner = (column: number, row: number): [number, number] => [
      left + column * (wide + 4) + 0.5,
      top + row * (high + 4) + 0.5,
    ]
    const [, , fronts, backs] = pages
    for (const row of [0, 1, 2])
      for (const column of [0, 1, 2]) {
        const isThere = row === 0
        expect(isOf(fronts!.at(...corner(column, row)), PAPER.face)).toBe(isThere)
        expect(isOf(backs!.at(...corner(2 - column, row)), PAPER.back)).toBe(isThere)
      }
    // what is printed goes two mm beyond the cut, and no further
    const beyond = (by: number): number[] => backs!.at(left - by, top + high / 2)
    expect(isOf(beyond(1.8), PAPER.back)).toBe(true)
    expect(isOf(beyond(2.2), [255, 255, 255])).toBe(true)
  })

test('the preview shows the sheets in the language of the rules; a card that is too large says so', async ({
  page,
}) => {
  await openStation(page, 'ship')
  await page.getByText('Paper', { exact: true }).click()
  const sheets = page.frameLocator('iframe[title="Sheets to print"]')
  await expect(sheets.getByRole('img', { name: 'Cog' }).first()).toBeVisible()
  await choose(page, 'What is printed', 'the level Cabinet')
  await choose(page, 'Language of the rules', 'Deutsch')
  await expect(sheets.getByRole('heading', { name: 'Die Schublade des Uhrmachers' })).toBeAttached()
  await expect(sheets.getByText('Mische die Karten (32) und lege sie verdeckt aus')).toBeAttached()
  await page.getByText('A site', { exact: true }).click()
  await expect(page.getByRole('radio', { name: 'phone', exact: true })).toBeChecked()
  await page.getByText('Paper', { exact: true }).click()
  const width = page.getByRole('spinbutton', { name: 'Width of a card in mm' })
  await width.fill('151')
  await width.press('Enter')
  await expect(page.getByRole('alert')).toHaveText('Width of a card in mm: 20 to 150')
  await width.fill('63.5')
  await width.press('Enter')
  await expect(width).toHaveValue('63.5')
  await expect(page.getByRole('alert')).toHaveCount(0)
  await width.fill('150')
  await width.press('Enter')
  await expect(told(page)).toHaveText('32 cards on 32 sheets, and a page with the rules.')
})
