import { expect, type Page } from '@playwright/test'
import { once } from 'node:events'
import { expectNoViolations, openStation } from './helpers.ts'
import { startServer, type OwnServer } from './own-server.ts'
import { test } from './test.ts'

const alert = (page: Page) => page.getByRole('alert').filter({ hasText: 'Load again' })
const station = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name })

let own: OwnServer
test.afterEach(() => own?.child.kill())

test('a studio whose server stopped says so, keeps what was made, and goes on when it is there again', async ({
  page,
}) => {
  own = await startServer()
  await page.goto(`${own.studio}/games/clockmakers-drawer/deck`)
  const title = page.getByLabel('Title of the game')
  await title.fill('Made without a server')
  await expect(title).toHaveValue('Made without a server')
  own.child.kill('SIGKILL')
  await once(own.child, 'exit')
  await title.press('Enter')
  await station(page, 'Ship').click()
  await expect(alert(page)).toContainText('A part of Lucky Twin could not be loaded')
  await alert(page).getByRole('button', { name: 'Load again' }).click()
  await expect(alert(page)).toContainText('does not answer')
  // what is loaded already goes on
  await station(page, 'Deck').click()
  await expect(page.getByRole('listbox', { name: 'Pairs' })).toBeVisible()

  own = await startServer([], Number(new URL(own.studio).port))
  await station(page, 'Ship').click()
  await alert(page).getByRole('button', { name: 'Load again' }).click()
  await expect(page.getByRole('button', { name: 'Download the page' })).toBeEnabled()
  await expect(alert(page)).toBeHidden()
  await expect(title).toHaveValue('Made without a server')
})

test('pictures and workers that do not come are told of too, and nothing is cut by the message', async ({
  page,
}) => {
  await openStation(page, 'play/top-drawer')
  await page.route('**/*.worker*', (route) => route.abort())
  await page.getByRole('button', { name: 'Rough handling' }).click()
  await page.getByRole('button', { name: 'Start' }).click()
  await expect(page.getByRole('dialog').getByRole('alert')).toContainText('does not answer')
  await page.keyboard.press('Escape')
  await page.unroute('**/*.worker*')
  await alert(page).getByRole('button', { name: 'Load again' }).click()
  await expect(alert(page)).toBeHidden()

  await page.route('**/pictures/*.svg', (route) => route.abort())
  await station(page, 'Ship').click()
  await expect(page.getByRole('main')).toContainText('The server of Lucky Twin does not answer')
  await expect(alert(page)).toBeVisible()
  await expect(page.getByRole('button', { name: 'On my phone' })).toBeInViewport({ ratio: 1 })
  await expectNoViolations(page)
})

test('a worker that fails is told of in its own words, and the page can be loaded again', async ({
  page,
}) => {
  await page.route('**/findings.worker*', (route) =>
    route.fulfill({
      contentType: 'text/javascript',
      body: 'onmessage = () => { throw new Error("no such rule") }',
    }),
  )
  await page.route('**/jobs.worker*', (route) =>
    route.fulfill({
      contentType: 'text/javascript',
      body: 'onmessage = () => postMessage({ failed: "a board of no cells" })',
    }),
  )
  await openStation(page, 'play/top-drawer')
  await expect(alert(page)).toContainText('may not go on as it should: no such rule. Your games are kept.')
  await station(page, 'Rules').click()
  await expect(alert(page)).toContainText('a board of no cells')
  // nor does it say for ever that it works
  await expect(page.getByText('Working it out')).toHaveCount(0)
  await page.unrouteAll()
  await alert(page).getByRole('button', { name: 'Load again' }).click()
  await expect(page.getByRole('main')).toBeVisible()
  await expect(alert(page)).toBeHidden()
})
