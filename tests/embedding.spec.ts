import { expect, type FrameLocator, type Page } from '@playwright/test'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { luckyTwin } from './lucky-twin.ts'
import { test } from './test.ts'

const folder = mkdtempSync(join(tmpdir(), 'embedding-'))
const game = join(folder, 'game.game.json')
let servers: Server[]
/** the origin of the page around the game, and that of the game */
let around: string
let inside: string

/** Serves the game and the example page of the docs: the same files on two origins. */
test.beforeAll(async () => {
  const file = JSON.parse(readFileSync('demo/clockmakers-drawer.game.json', 'utf8'))
  Object.assign(file.levels[0], { board: { rows: 1, columns: 4 }, turn: { firstLook: 0 } })
  Object.assign(file.house.turn, { matchLook: 0, missLook: 100 })
  file.house.finish.wait = 100
  writeFileSync(game, JSON.stringify(file))
  await luckyTwin('ship', game, '--to', join(folder, 'game.html'))
  const pages: Record<string, string> = {
    '/game.html': join(folder, 'game.html'),
    '/example.html': 'docs/embedding-example.html',
  }
  servers = await Promise.all(
    [0, 1].map(
      () =>
        new Promise<Server>((resolve) => {
          const server = createServer(({ url }, answer) => {
            const path = pages[url!.split('?')[0]!]
            answer.writeHead(path ? 200 : 404, { 'content-type': 'text/html; charset=utf-8' })
            answer.end(path ? readFileSync(path) : '')
          }).listen(0, '127.0.0.1', () => resolve(server))
        }),
    ),
  )
  ;[around, inside] = servers.map(
    (server) => `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
  ) as [string, string]
})
test.afterAll(() => servers.forEach((server) => server.close()))

const frame = (page: Page): FrameLocator => page.locator('iframe').first().contentFrame()
const cell = (page: Page, at: number) => frame(page).getByRole('grid').locator(`[data-cell="${at}"]`)
const told = async (page: Page): Promise<any[]> =>
  (await page.getByRole('list', { name: 'What the game told' }).getByRole('listitem').allTextContents()).map(
    (text) => JSON.parse(text),
  )
const events = async (page: Page): Promise<string[]> => (await told(page)).map(({ event }) => event)
const open = (page: Page, address: string): Promise<unknown> =>
  page.goto(`${around}/example.html?game=${encodeURIComponent(`${inside}/game.html${address}`)}`)

/** Wins the level of two pairs by pressing twins only. */
async function win(page: Page): Promise<void> {
  const { cells } = JSON.parse(await luckyTwin('deal', game, '--level', 'warm-up', '--seed', 'a')) as {
    cells: string[]
  }
  const twin = cells.indexOf(cells[0]!, 1)
  const others = [1, 2, 3].filter((at) => at !== twin)
  for (const at of [0, twin, ...others]) await cell(page, at).click()
}

test('a page on another origin hears the whole game, and its record proves the result', async ({ page }) => {
  await open(page, '?level=warm-up&seed=a')
  await win(page)
  await expect.poll(() => events(page)).toEqual(['ready', 'dealt', 'turn', 'turn', 'won'])
  const [ready, , turn, , won] = await told(page)
  expect(ready).toEqual({ luckyTwin: 1, event: 'ready', level: 'warm-up', seed: 'a' })
  expect(turn).toMatchObject({ turn: 1, match: true, how: 'lucky', score: 100 })
  expect(won).toMatchObject({ outcome: 'won', turns: 2, lucky: 2, score: 250 })
  const record = join(folder, 'won.play.json')
  writeFileSync(record, JSON.stringify(won.record))
  const { luckyTwin: _, event: __, record: ___, level: ____, seed: _____, ...result } = won
  expect(JSON.parse(await luckyTwin('replay', game, record))).toEqual(result)
})

test('the page deals, pauses and resumes, and ends the game with Leave', async ({ page }) => {
  await open(page, '?level=warm-up&seed=a')
  await cell(page, 0).click()
  await page.getByRole('button', { name: 'Pause' }).click()
  await expect(frame(page).getByRole('dialog', { name: 'Paused' })).toBeVisible()
  await page.getByRole('button', { name: 'Resume' }).click()
  await expect(frame(page).getByRole('dialog')).toBeHidden()
  await page.getByRole('button', { name: 'Deal' }).click()
  await expect(frame(page).getByRole('button', { name: /face down$/ })).toHaveCount(4)
  await cell(page, 1).click()
  await frame(page).getByRole('button', { name: 'Pause' }).click()
  await frame(page).getByRole('button', { name: 'Leave' }).click()
  await expect(page.locator('iframe')).toHaveCount(0)
  const all = await events(page)
  expect(all).toEqual(['ready', 'dealt', 'paused', 'resumed', 'dealt', 'paused', 'left'])
  expect((await told(page)).at(-1)).toMatchObject({
    outcome: 'open',
    flips: 1,
    record: { format: 'lucky-twin/play' },
  })
})

/** A page of the first origin that holds the game with this address, and keeps what it hears. */
async function hold(page: Page, address: string): Promise<() => Promise<any[]>> {
  await page.goto(`${around}/404`)
  await page.setContent('<title>x</title><body></body>')
  await page.evaluate((src) => {
    Object.assign(window, { heard: [] })
    addEventListener('message', ({ data }) => (window as any).heard.push(data))
    const frame = document.createElement('iframe')
    frame.src = src
    frame.style.cssText = 'width:400px;height:600px'
    document.body.append(frame)
  }, `${inside}/game.html${address}`)
  await expect(cell(page, 0)).toBeVisible()
  return () => page.evaluate(() => (window as any).heard)
}

test('without a host, or with one that is none, a page hears only what gives nothing away', async ({
  page,
}) => {
  for (const host of ['', '&host=example.org', '&host=https://example.org/path', '&host=null', '&host=*']) {
    const heard = await hold(page, `?level=warm-up&seed=a${host}`)
    await win(page)
    await expect.poll(async () => (await heard()).map(({ event }) => event)).toContain('won')
    const all = await heard()
    for (const one of all) expect([one.seed, one.record, one.how]).toEqual([undefined, undefined, undefined])
    // that it is no origin is told, since nobody else can tell
    expect(all[0]).toEqual({
      luckyTwin: 1,
      event: 'ready',
      level: 'warm-up',
      ...(host === '' ? {} : { problem: 'host' }),
    })
    expect(all.at(-1)).toMatchObject({ event: 'won', level: 'warm-up', outcome: 'won', turns: 2 })
  }
})

test('frames keep their own games apart; one that is taken up is dealt once, and waits for the keyboard', async ({
  page,
}) => {
  const named = `${inside}/game.html?host=${encodeURIComponent(around)}`
  await page.goto(`${around}/404`)
  await page.setContent('<title>x</title><body><input aria-label="Mine" /></body>')
  await page.evaluate(() => {
    Object.assign(window, { heard: [] })
    addEventListener('message', ({ source, data }) => {
      const at = [...document.querySelectorAll('iframe')].findIndex((one) => one.contentWindow === source)
      ;(window as any).heard.push([at, data.event])
    })
  })
  /** Three frames of one game; two of them have names of their own. */
  const hang = (): Promise<void> =>
    page.evaluate(
      (sources) => {
        ;(window as any).heard.length = 0
        for (const old of document.querySelectorAll('iframe')) old.remove()
        for (const src of sources) {
          const one = document.createElement('iframe')
          one.src = src
          one.style.cssText = 'width:380px;height:480px'
          document.body.append(one)
        }
      },
      [named, `${named}&keep=left`, `${named}&keep=right`],
    )
  const inFrame = (at: number) => page.locator('iframe').nth(at).contentFrame()
  await page.getByLabel('Mine').focus()
  await hang()
  const heardBy = (at: number): Promise<string[]> =>
    page.evaluate(
      (which) =>
        (window as any).heard.flatMap(([one, event]: [number, string]) => (one === which ? [event] : [])),
      at,
    )
  for (const at of [0, 1, 2]) await expect.poll(() => heardBy(at)).toContain('dealt')
  // none has taken the keyboard away
  await expect(page.getByLabel('Mine')).toBeFocused()
  await inFrame(1).getByRole('button', { name: 'Begin' }).click()
  await inFrame(1).getByRole('grid').locator('[data-cell="0"]').click()
  await expect(inFrame(1).getByRole('grid').locator('[data-cell="0"]')).toHaveAttribute('data-state', 'up')
  await inFrame(1).getByRole('button', { name: 'Pause' }).click()
  await hang()
  await expect(inFrame(1).getByRole('dialog', { name: 'Paused' })).toBeVisible()
  for (const at of [0, 2]) await expect(inFrame(at).getByRole('button', { name: 'Begin' })).toBeVisible()
  const all = await heardBy(1)
  expect(all.filter((event) => event === 'dealt')).toHaveLength(1)
})

test('a page that is not the host hears nothing and is not obeyed', async ({ page }) => {
  const heard = await hold(page, '?level=warm-up&seed=a&host=https://example.org')
  await page.evaluate(() => frames[0]!.postMessage({ luckyTwin: 1, do: 'pause' }, '*'))
  await cell(page, 0).click()
  await expect(cell(page, 0)).toHaveAttribute('data-state', 'up')
  await expect(frame(page).getByRole('dialog')).toBeHidden()
  expect(await heard()).toEqual([])
})

test('another window is not obeyed, nor is rubbish, however much of it', async ({ page }) => {
  await hold(page, '?level=warm-up&seed=a')
  await page.evaluate(() => {
    const { contentWindow: game } = document.querySelector('iframe')!
    const other = document.createElement('iframe')
    document.body.append(other)
    const script = other.contentDocument!.createElement('script')
    script.textContent = 'parent.frames[0].postMessage({ luckyTwin: 1, do: "pause" }, "*")'
    other.contentDocument!.body.append(script)
    const rubbish = [
      null,
      'x',
      7,
      [],
      { luckyTwin: 2, do: 'leave' },
      { luckyTwin: 1 },
      { luckyTwin: 1, do: 'deal', level: {} },
    ]
    for (let i = 0; i < 10_000; i++) game!.postMessage(rubbish[i % rubbish.length], '*')
  })
  await cell(page, 0).click()
  await expect(cell(page, 0)).toHaveAttribute('data-state', 'up')
  await expect(frame(page).getByRole('dialog')).toBeHidden()
})
