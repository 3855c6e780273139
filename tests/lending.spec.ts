import { expect, type Page } from '@playwright/test'
import jsqr from 'jsqr'
import { PNG } from 'pngjs'
import { begin, card, expectNoViolations, openStation } from './helpers.ts'
import { secondName, startServer, type OwnServer } from './own-server.ts'
import { test } from './test.ts'

const dialog = (page: Page) => page.getByRole('dialog', { name: 'On my phone' })

test.describe('on a phone nearby', () => {
  let own: OwnServer
  test.beforeAll(async () => {
    own = await startServer(['--lan'])
  })
  test.afterAll(() => own.child.kill())

  test('a lent page is opened by its QR code under the name of another network, and taken back', async ({
    page,
    browser,
  }) => {
    await page.goto(`${own.studio}/games/clockmakers-drawer/ship`)
    await page.getByRole('button', { name: 'On my phone' }).click()
    await dialog(page).getByRole('button', { name: 'Lend the page' }).click()
    const picture = dialog(page).getByRole('img', { name: /^QR code of/ })
    await expect(picture).toBeVisible()
    await expectNoViolations(page)
    const shot = PNG.sync.read(await picture.screenshot())
    const address = jsqr(new Uint8ClampedArray(shot.data), shot.width, shot.height)!.data
    await expect(dialog(page).getByText(address, { exact: true })).toBeVisible()
    expect(address).toMatch(/^http:\/\/[^/]+\/lend\/[\w-]{22}$/)
    // this machine has to be reached by a name that is not its loopback
    const name = secondName()
    const url = new URL(address)
    if (name === '127.0.0.2') url.hostname = name
    expect(url.hostname).toBe(name)

    const phone = await browser.newContext({
      viewport: { width: 360, height: 640 },
      hasTouch: true,
      userAgent:
        'Mozilla/5.0 (Linux; Android 15; Pixel 9) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/140.0.0.0 Mobile Safari/537.36',
    })
    const there = await phone.newPage()
    const asked: string[] = []
    there.on('request', (request) => asked.push(request.url()))
    await there.goto(url.href)
    await begin(there)
    await card(there, 0).tap()
    await expect(card(there, 0)).not.toHaveAccessibleName(/face down/)
    expect(asked.filter((one) => !one.startsWith('data:'))).toEqual([url.href])
    await expect(dialog(page).getByRole('list', { name: 'Opened by' })).toContainText('Chrome on Android')

    await dialog(page).getByRole('button', { name: 'Take it back' }).click()
    await expect(dialog(page).getByRole('button', { name: 'Lend the page' })).toBeVisible()
    expect((await there.reload())!.status()).toBe(404)
    await phone.close()
  })

  test('after an edit the page is lent anew at the same address, also from a studio that was opened again', async ({
    page,
  }) => {
    await page.goto(`${own.studio}/games/clockmakers-drawer/ship`)
    await page.getByRole('button', { name: 'On my phone' }).click()
    await dialog(page).getByRole('button', { name: 'Lend the page' }).click()
    const address = await dialog(page).locator('code').textContent()
    await page.keyboard.press('Escape')
    await page.getByRole('textbox', { name: 'how to play, English' }).fill('Find the twins in the drawer.')
    await page.getByRole('textbox', { name: 'how to play, English' }).press('Enter')
    await expect(page.getByText('saved ✓')).toBeVisible()
    await page.reload()
    await page.getByRole('button', { name: 'On my phone' }).click()
    await dialog(page).getByRole('button', { name: 'Lend it as it is now' }).click()
    await expect(dialog(page).getByRole('button', { name: 'Lend it as it is now' })).toBeHidden()
    await expect(dialog(page).locator('code')).toHaveText(address!)
    expect(await (await page.request.get(address!)).text()).toContain('Find the twins in the drawer.')
  })
})

test('started for this machine alone, it says how to reach it from a phone', async ({ page }) => {
  await openStation(page, 'ship')
  await page.getByRole('button', { name: 'On my phone' }).click()
  await expect(dialog(page).getByText('npm start -- --lan')).toBeVisible()
  await expect(dialog(page).getByRole('button', { name: 'Lend the page' })).toHaveCount(0)
  await expectNoViolations(page)
})

test('while the server is gone, lending says so and nothing is lost', async ({ page }) => {
  await openStation(page, 'ship')
  await expect(page.getByRole('button', { name: 'In a tab' })).toBeEnabled()
  await page.route('**/lending**', (route) => route.abort())
  await page.getByRole('button', { name: 'In a tab' }).click()
  await expect(page.getByRole('alert')).toContainText('The server of Lucky Twin does not answer.')
  await page.getByRole('button', { name: 'On my phone' }).click()
  await expect(dialog(page).getByRole('alert')).toContainText('Start it again with npm start')
  await page.unroute('**/lending**')
  await expect(dialog(page).getByRole('alert')).toBeHidden()
  // a server that knows nothing of lending gives the studio instead
  await page.route('**/lending**', (route) =>
    route.fulfill({ status: 200, contentType: 'text/html', body: '<p>x</p>' }),
  )
  await expect(dialog(page).getByRole('alert')).toContainText('does not answer')
})

test('a page too large to lend, or one too many, is refused with its reason', async ({ page }) => {
  await openStation(page, 'ship')
  await expect(page.getByRole('button', { name: 'In a tab' })).toBeEnabled()
  for (const [status, body] of [
    [413, 'larger than 16 MiB'],
    [409, '20 pages are lent already; take one back first'],
    [429, 'too many requests; wait a minute'],
  ] as const) {
    await page.route('**/lending?*', (route) => route.fulfill({ status, contentType: 'text/plain', body }))
    await page.getByRole('button', { name: 'In a tab' }).click()
    await expect(page.getByRole('alert').filter({ hasText: body })).toBeVisible()
    await page.unroute('**/lending?*')
  }
})

test('in a tab the game opens by itself, from another origin than the studio', async ({ page }) => {
  await openStation(page, 'ship')
  const [tab] = await Promise.all([
    page.context().waitForEvent('page'),
    page.getByRole('button', { name: 'In a tab' }).click(),
  ])
  await begin(tab)
  await card(tab, 1).click()
  await expect(card(tab, 1)).not.toHaveAccessibleName(/face down/)
  expect(new URL(tab.url()).origin).not.toBe(new URL(page.url()).origin)
  expect(await tab.evaluate(() => window.opener)).toBeNull()
})

test('a page of mine is tried beside its frame: what it tells is listed, and it does what is asked', async ({
  page,
}) => {
  await openStation(page, 'ship')
  await page.getByText('A page of mine', { exact: true }).click()
  await page.getByRole('button', { name: 'Start', exact: true }).click()
  const game = page.frameLocator('iframe[title="The game in a frame"]')
  const heard = page.getByRole('list', { name: 'What the page hears' }).getByRole('listitem')
  await expect(heard.filter({ hasText: '"event":"ready"' })).toBeVisible()
  await game.getByRole('button', { name: 'Begin' }).click()
  const asks = page.getByRole('group', { name: 'Ask the game to' })
  await expect(heard.first()).toContainText('"event":"resumed"')
  await asks.getByRole('button', { name: 'pause' }).click()
  await expect(game.getByRole('dialog', { name: 'Paused' })).toBeVisible()
  await expect(heard.first()).toContainText('"event":"paused"')
  await asks.getByRole('button', { name: 'leave' }).click()
  await expect(heard.first()).toContainText('"event":"left"')
  await expect(heard.first()).toContainText('"record":"…"')
  await expectNoViolations(page)
})
