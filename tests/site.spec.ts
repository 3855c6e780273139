import { expect, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { createServer, type IncomingHttpHeaders, type Server } from 'node:http'
import { extname, join } from 'node:path'
import type { AddressInfo } from 'node:net'
import { PNG } from 'pngjs'
import { begin, byMouse, card, downloadOf, openStation, playToTheWin } from './helpers.ts'
import { test } from './test.ts'
import { shipped, unpacked } from './zips.ts'

test.use({ own: true })

const DEMO = 'demo/clockmakers-drawer.game.json'
const TYPES: Record<string, string> = {
  '.html': 'text/html; charset=utf-8',
  '.js': 'text/javascript',
  '.webmanifest': 'application/manifest+json',
  '.png': 'image/png',
}

/** A static server that has the site in a folder of any name, and nothing else. */
async function serve(folder: string): Promise<{ server: Server; address: string }> {
  const under = '/games/any name/'
  const server = createServer(({ url }, answer) => {
    const path = decodeURIComponent(url!.split('?')[0]!)
    const name = path.startsWith(under) ? path.slice(under.length) || 'index.html' : '../none'
    try {
      const content = readFileSync(join(folder, name))
      answer.writeHead(200, { 'content-type': TYPES[extname(name)] ?? 'text/plain' }).end(content)
    } catch {
      answer.writeHead(404).end('')
    }
  })
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', () => resolve()))
  const { port } = server.address() as AddressInfo
  return { server, address: `http://127.0.0.1:${port}${encodeURI(under)}` }
}
/** Waits until the page belongs to its worker, which is shortly after that is ready. */
const isInstalled = (page: Page): Promise<boolean> =>
  page.evaluate(async () => {
    const { serviceWorker } = navigator
    await serviceWorker.ready
    if (!serviceWorker.controller)
      await new Promise((resolve) => {
        serviceWorker.addEventListener('controllerchange', resolve, { once: true })
      })
    return serviceWorker.controller !== null
  })

test('a site in a folder of any server installs, asks for nothing else, and plays to the win without it', async ({
  page,
}) => {
  const { folder } = await shipped(DEMO, 'site')
  const { server, address } = await serve(folder)
  const foreign: string[] = []
  page.context().on('request', (request) => {
    const url = request.url()
    if (!url.startsWith(address) && !/^(data|blob|about):/.test(url)) foreign.push(url)
  })
  await page.goto(address)
  expect(await isInstalled(page)).toBe(true)
  // the browser itself finds nothing missing
  const session = await page.context().newCDPSession(page)
  const { errors, data } = await session.send('Page.getAppManifest')
  expect(errors).toEqual([])
  expect(JSON.parse(data!)).toMatchObject({ name: "The Clockmaker's Drawer", display: 'standalone' })
  const { installabilityErrors } = await session.send('Page.getInstallabilityErrors')
  // a window of a test is never asked to install
  expect(installabilityErrors.filter(({ errorId }) => errorId !== 'in-incognito')).toEqual([])

  server.closeAllConnections()
  await new Promise((resolve) => server.close(resolve))
  await page.goto(`${address}?level=warm-up&seed=tick-1&lang=de`)
  await expect(page.getByRole('button', { name: 'Level wählen' })).toBeVisible()
  await page.goto(address)
  await begin(page)
  await expect(card(page, 0)).toHaveAccessibleName('A1, face down')
  await playToTheWin(page, byMouse)
  await expect(page.getByRole('dialog', { name: 'All pairs found' })).toBeVisible()
  expect((await page.goto(`${address}LICENSES.txt`))!.status()).toBe(200)
  await expect(page.getByText('SIL OPEN FONT LICENSE').first()).toBeVisible()
  expect(foreign).toEqual([])
})

/** The date of the files in a zip. */
function dateIn(zip: string): number {
  const view = new DataView(new Uint8Array(readFileSync(zip)).buffer)
  const [time, day] = [view.getUint16(10, true), view.getUint16(12, true)]
  const [hour, minute, second] = [time >> 11, (time >> 5) & 63, (time & 31) * 2]
  return Date.UTC((day >> 9) + 1980, ((day >> 5) & 15) - 1, day & 31, hour, minute, second)
}
// what two kinds of server call unchanged: what is not newer than what the browser has, and what has its date and length
const UNCHANGED: Record<string, (asked: IncomingHttpHeaders, date: number, tag: string) => boolean> = {
  date: ({ 'if-modified-since': since }, date) => since !== undefined && date <= Date.parse(since),
  'date and length': ({ 'if-none-match': tag }, _date, mine) => tag === mine,
}
for (const [name, isUnchanged] of Object.entries(UNCHANGED))
  test(`a newer version takes the place of the one that is installed, on a server that goes by ${name}`, async ({
    page,
  }) => {
    const sites = await Promise.all(
      ['en', 'fr'].map(async (lang) => ({ lang, ...(await shipped(DEMO, 'site', '--lang', lang)) })),
    )
    const dated = sites.map((site) => ({ ...site, date: dateIn(site.zip) }))
    expect(dated[0]!.date).not.toBe(dated[1]!.date)
    // the newer one has the older date
    const [older, newer] = dated.sort((a, b) => b.date - a.date) as [(typeof dated)[0], (typeof dated)[0]]
    let served = older
    const server = createServer(({ url, headers }, answer) => {
      const file = decodeURIComponent(url!.split('?')[0]!).slice(1) || 'index.html'
      const content = readFileSync(join(served.folder, file))
      const tag = `"${served.date}-${content.length}"`
      const lasting = {
        'last-modified': new Date(served.date).toUTCString(),
        ...(name === 'date' ? {} : { etag: tag }),
      }
      if (isUnchanged(headers, served.date, tag)) answer.writeHead(304, lasting).end()
      else
        answer
          .writeHead(200, { ...lasting, 'content-type': TYPES[extname(file)] ?? 'text/plain' })
          .end(content)
    })
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', () => resolve()))
    const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}/`
    await page.goto(address)
    expect(await isInstalled(page)).toBe(true)
    await expect(page.locator('html')).toHaveAttribute('lang', older.lang)
    served = newer
    await expect
      .poll(async () => {
        await page.goto(address)
        return page.locator('html').getAttribute('lang')
      })
      .toBe(newer.lang)
    await expect.poll(() => page.evaluate(() => caches.keys())).toHaveLength(1)
    server.closeAllConnections()
    server.close()
  })

test('the studio gives the same site, with icons drawn from the game, and reads it back', async ({
  page,
}) => {
  await openStation(page, 'ship')
  await page.getByText('A site', { exact: true }).click()
  await expect(page.getByText('manifest.webmanifest')).toBeVisible()
  const { path, name } = await downloadOf(page, () =>
    page.getByRole('button', { name: 'Download the site' }).click(),
  )
  expect(name).toBe('the-clockmakers-drawer-site.zip')
  const [mine, theirs] = [unpacked(path), (await shipped(DEMO, 'site')).folder]
  // the two draw the icons with other pixels, and the version counts them
  const text = (folder: string, file: string): string =>
    readFileSync(join(folder, file), 'utf8').replace(/\b[0-9a-f]{16}\b|\n\/\/-*$/gm, '')
  for (const file of ['index.html', 'manifest.webmanifest', 'sw.js', 'LICENSES.txt'])
    expect(text(mine, file)).toBe(text(theirs, file))
  for (const [file, side] of [
    ['icon-192.png', 192],
    ['icon-512.png', 512],
    ['icon-512-maskable.png', 512],
  ] as const)
    for (const folder of [mine, theirs]) {
      const icon = PNG.sync.read(readFileSync(join(folder, file)))
      expect([icon.width, icon.height]).toEqual([side, side])
      const at = (x: number, y: number): number[] => {
        const from = (Math.round(y * side) * side + Math.round(x * side)) * 4
        return [...icon.data.subarray(from, from + 4)]
      }
      // a corner is bare, or of the colour of the table where a device cuts it; paper of the face is below its picture
      expect(at(0.01, 0.01)[3]).toBe(file.includes('maskable') ? 255 : 0)
      expect(at(0.6, 0.71)).toEqual([255, 253, 248, 255])
    }
  await page.goto('/')
  await page.getByLabel('Game files').setInputFiles(path)
  await expect(page.getByRole('heading', { name: "The Clockmaker's Drawer" })).toHaveCount(2)
})
