import { expect } from '@playwright/test'
import { spawn, spawnSync, type ChildProcess } from 'node:child_process'
import { once } from 'node:events'
import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import type { AddressInfo } from 'node:net'
import { join } from 'node:path'
import { writeWav } from '../src/core/files/wav.ts'
import { downloadOf, openStation } from './helpers.ts'
import { test } from './test.ts'
import { shipped, unpacked } from './zips.ts'

const DEMO = 'demo/clockmakers-drawer.game.json'
// what runs the tests may ask for colours; a browser is not to be opened
const { FORCE_COLOR: _, ...outer } = process.env
const env = { ...outer, BROWSER: 'none', NO_COLOR: '1' }

async function freePort(): Promise<number> {
  const server = createServer().listen(0, '127.0.0.1')
  await once(server, 'listening')
  const { port } = server.address() as AddressInfo
  server.close()
  await once(server, 'close')
  return port
}

test.describe.serial('a project from its zip', () => {
  let folder: string
  let running: ChildProcess | undefined
  let address = ''
  const npm = (...args: string[]) =>
    spawnSync('npm', args, { cwd: folder, env, encoding: 'utf8', timeout: 150_000 })
  test.beforeAll(async () => {
    folder = (await shipped(DEMO, 'project')).folder
  })
  test.afterAll(() => {
    // its own group: npm starts another program
    if (running?.pid) process.kill(-running.pid)
  })

  test('installs without an error, is type-checked and built, and its checks pass', () => {
    const installed = npm('ci', '--no-audit', '--no-fund', '--prefer-offline')
    expect(`${installed.status} ${installed.stderr.replace(/^npm warn.*$/gm, '').trim()}`).toBe('0 ')
    const tested = npm('test')
    expect(tested.stdout + tested.stderr).toMatch(/Tests {2}4 passed/)
    expect(npm('run', 'build').status).toBe(0)
    expect(readdirSync(join(folder, 'dist'))).toEqual(
      expect.arrayContaining(['index.html', 'game.json', 'pictures']),
    )
  })

  test('has a check for each kept one, which fails when a rule is changed', () => {
    const path = join(folder, 'public/game.json')
    const before = readFileSync(path, 'utf8')
    const game = JSON.parse(before)
    const inputs = [
      { at: 3000, do: 'press', cell: 0 },
      { at: 3500, do: 'press', cell: 1 },
    ]
    const kept = {
      id: 'two',
      name: 'Two flips',
      level: 'warm-up',
      seed: 'a',
      inputs,
      expect: { flips: 2, turns: 1 },
    }
    writeFileSync(path, JSON.stringify({ ...game, checks: [kept] }))
    expect(npm('test').stdout).toMatch(/Tests {2}5 passed/)
    const machine = join(folder, 'src/core/play/machine.ts')
    const rule = readFileSync(machine, 'utf8')
    writeFileSync(machine, rule.replace('round.flips++', 'round.flips += 2'))
    const { stdout, stderr } = npm('test')
    expect(stdout + stderr).toContain('kept check: Two flips')
    expect(stdout).toMatch(/Tests {2}1 failed/)
    writeFileSync(machine, rule)
    writeFileSync(path, before)
  })

  test('starts, and its table is played by mouse and by keys to the win', async ({ page }) => {
    const port = await freePort()
    running = spawn('npm', ['start', '--', '--port', String(port), '--strictPort'], {
      cwd: folder,
      env,
      detached: true,
      stdio: 'ignore',
    })
    address = `http://localhost:${port}/`
    await expect
      .poll(async () => (await page.request.get(address).catch(() => null))?.status() ?? 0)
      .toBe(200)
    await page.goto(address)
    await expect(page).toHaveTitle("The Clockmaker's Drawer")
    await expect(page.getByText('Look well …')).toBeVisible()
    const board = page.getByRole('group', { name: 'Board' })
    const cards = board.getByRole('button')
    await expect(cards).toHaveCount(12)
    // while they lie open each card tells what is on it
    await expect(cards.first()).not.toHaveAccessibleName(/face down/)
    const names = await cards.evaluateAll((all) => all.map((one) => one.ariaLabel!.split(', ')[1]))
    await expect(cards.first()).toHaveAccessibleName('A1, face down')
    for (const name of new Set(names)) {
      const [one, other] = names.flatMap((each, at) => (each === name ? [at] : []))
      await cards.nth(one!).click()
      await cards.nth(other!).focus()
      await page.keyboard.press('Enter')
      await expect(cards.nth(other!)).toHaveAccessibleName(new RegExp(`, ${name}$`))
      // the next turn begins when these two have settled
      await expect(cards.nth(other!)).toHaveAttribute('data-state', /matched|gone/)
    }
    await expect(page.getByRole('status')).toHaveText('All pairs found!')
    await page.getByLabel('Level').selectOption('Cabinet')
    await expect(cards).toHaveCount(32)
    // the back has its pattern
    await expect(cards.first()).toHaveCSS('background-image', /^url\("data:image\/svg\+xml/)
  })

  test('calls players by their names, plays own sounds, and shows the name of a picture that is not there', async ({
    page,
  }) => {
    const path = join(folder, 'public/game.json')
    const game = JSON.parse(readFileSync(path, 'utf8'))
    game.house.players.names = ['Ada', 'Ben']
    const src = `data:audio/wav;base64,${Buffer.from(writeWav(new Float32Array(80), 8000)).toString('base64')}`
    game.house.sound.flip = { name: 'tick', src }
    const [first] = game.deck.pairs
    first.a = { kind: 'picture', name: 'not-there' }
    game.levels[0].fill = { use: { pairs: game.deck.pairs.slice(0, 6).map(({ id }: { id: string }) => id) } }
    writeFileSync(path, JSON.stringify(game))
    const heard: string[] = []
    await page.exposeFunction('heard', (what: string) => heard.push(what))
    await page.addInitScript(() => {
      const { play } = HTMLMediaElement.prototype
      HTMLMediaElement.prototype.play = function () {
        void (window as unknown as { heard(src: string): void }).heard(this.src)
        return play.call(this)
      }
    })
    await page.goto(address)
    const cards = page.getByRole('group', { name: 'Board' }).getByRole('button')
    await expect(cards.getByText(first.name)).toHaveCount(first.b ? 1 : 2)
    const names = await cards.evaluateAll((all) => all.map((one) => one.ariaLabel!.split(', ')[1]))
    await expect(cards.first()).toHaveAccessibleName('A1, face down')
    await cards.first().click()
    await cards.nth(names.findIndex((name) => name !== names[0])).click()
    await expect(page.getByRole('status')).toHaveText('Ben is next')
    await expect.poll(() => heard).toEqual([src, src])
  })
})

test('a table to change is short, and asks the engine only', () => {
  const table = readFileSync('src/project-page/table.ts', 'utf8')
  expect(table.split('\n').length).toBeLessThan(250)
  const imports = [...table.matchAll(/from '([^']+)'/g)].map(([, from]) => from)
  expect(imports).toEqual(['../engine/engine.ts'])
})

test('the studio gives the same project', async ({ page }) => {
  await openStation(page, 'ship')
  await page.getByText('A project to go on with', { exact: true }).click()
  await expect(page.getByText('src/engine/', { exact: true })).toBeVisible()
  const { path, name } = await downloadOf(page, () =>
    page.getByRole('button', { name: 'Download the project' }).click(),
  )
  expect(name).toBe('the-clockmakers-drawer-project.zip')
  const [mine, theirs] = [unpacked(path), (await shipped(DEMO, 'project')).folder]
  const list = (folder: string): string[] => readdirSync(folder, { recursive: true }).map(String).sort()
  expect(list(mine)).toEqual(list(theirs))
  for (const file of ['package.json', 'public/game.json', 'src/core/play/machine.ts', 'LICENSES.txt'])
    expect(readFileSync(join(mine, file), 'utf8')).toBe(readFileSync(join(theirs, file), 'utf8'))
})
