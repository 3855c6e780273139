import { expect } from '@playwright/test'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { card } from './helpers.ts'
import { luckyTwin } from './lucky-twin.ts'
import { test } from './test.ts'
import { shipped } from './zips.ts'

// opens pages from files
test.use({ own: true })

/** Short enough for the name of a player. */
const SCRIPT = '<img src onerror=ran=1>'

/** A small game in which every text that can be typed is a script. */
function scripted(): string {
  const game = JSON.parse(readFileSync('demo/clockmakers-drawer.game.json', 'utf8'))
  const face = { kind: 'text', text: SCRIPT, alt: SCRIPT }
  const says = Object.fromEntries(
    // what is filled in has to stay where it was
    [...readFileSync('src/core/texts/words/en.ts', 'utf8').matchAll(/^ {2}(\w+): ('.*'|".*"),$/gm)].map(
      ([, key, text]) => [key!, `${SCRIPT}${[...text!.matchAll(/\{\w+\}/g)].join('')}`],
    ),
  )
  expect(Object.keys(says).length).toBeGreaterThan(70)
  Object.assign(game, {
    title: SCRIPT,
    credits: [SCRIPT],
    checks: [],
    texts: { languages: ['en', 'de'], own: {} },
  })
  game.texts.own = { en: { says, title: SCRIPT }, de: { title: SCRIPT, levels: { one: { name: SCRIPT } } } }
  game.deck.pairs = [
    { id: 'a', name: SCRIPT, tags: [], a: face, b: { ...face, alt: `${SCRIPT} again` } },
    { id: 'b', name: SCRIPT, tags: [], a: { kind: 'text', text: `${SCRIPT}!` } },
  ]
  game.levels = [
    {
      id: 'one',
      name: SCRIPT,
      board: { rows: 1, columns: 4 },
      fill: { use: 'all', pick: 'first' },
      turn: { firstLook: 0, matchLook: 0 },
      players: { names: [SCRIPT, SCRIPT] },
    },
    { id: 'two', name: `${SCRIPT} 2`, board: { rows: 1, columns: 4 }, fill: { use: 'all', pick: 'first' } },
  ]
  game.house.look.behind = null
  const path = join(mkdtempSync(join(tmpdir(), 'injected-')), 'game.game.json')
  writeFileSync(path, JSON.stringify(game))
  return path
}

test('a script in every text of a game runs nowhere: on its panels, its cards, in its words, in a page and in a site', async ({
  page,
}) => {
  const game = scripted()
  const html = join(mkdtempSync(join(tmpdir(), 'injected-')), 'game.html')
  await luckyTwin('ship', game, '--to', html)
  const asked: string[] = []
  page.on('request', (request) => asked.push(request.url()))
  const { cells } = JSON.parse(await luckyTwin('deal', game, '--seed', 's')) as { cells: string[] }
  for (const file of [html, join((await shipped(game, 'site')).folder, 'index.html')]) {
    asked.length = 0
    const address = pathToFileURL(file).href
    await page.goto(address)
    // the opening panel, and what opens from it
    await expect(page.getByText(SCRIPT).first()).toBeVisible()
    const buttons = page.getByRole('dialog').getByRole('button')
    for (let i = 0; i < (await buttons.count()); i++) {
      await page.goto(address)
      await buttons.nth(i).click()
    }
    await page.goto(`${address}?seed=s`)
    const [a, b] = ['a', 'b'].map((id) =>
      cells.flatMap((name, at) => (name.startsWith(`${id}/`) ? [at] : [])),
    )
    // who plays: their names may be scripts too
    await page.getByRole('dialog').getByRole('textbox').first().fill(SCRIPT)
    await page.getByRole('dialog').getByRole('button').first().click()
    await expect(page.getByRole('dialog')).toBeHidden()
    for (const at of [...a!, ...b!]) await card(page, at).click()
    await expect(page.getByRole('dialog')).toContainText(SCRIPT)
    expect(
      await page.evaluate(() => ['ran' in window, document.querySelectorAll('[onerror]').length]),
    ).toEqual([false, 0])
    // a site has its own manifest and icon beside it
    const foreign = asked.filter((url) => !/^(data|about):/.test(url) && !url.startsWith(address))
    expect(foreign.filter((url) => !/\/(manifest\.webmanifest|icon-192\.png)$/.test(url))).toEqual([])
  }
})
