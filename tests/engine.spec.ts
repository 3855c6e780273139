import { expect, test } from '@playwright/test'
import { execFileSync, spawnSync } from 'node:child_process'
import { copyFileSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { luckyTwin } from './lucky-twin.ts'

/** An empty project with the engine installed from the package that the command line writes. */
async function project(): Promise<string> {
  const folder = mkdtempSync(join(tmpdir(), 'engine-'))
  const pack = join(folder, 'lucky-twin-engine.tgz')
  await luckyTwin('ship', DEMO, '--as', 'engine', '--to', pack)
  writeFileSync(join(folder, 'package.json'), JSON.stringify({ name: 'mine', private: true, type: 'module' }))
  execFileSync('npm', ['install', pack, '--offline', '--no-audit', '--no-fund'], {
    cwd: folder,
    stdio: 'pipe',
  })
  copyFileSync(DEMO, join(folder, 'clockmakers-drawer.game.json'))
  return folder
}
const DEMO = 'demo/clockmakers-drawer.game.json'
/** The examples of docs/engine.md: the first is what the others go on from. */
const [prelude, ...examples] = [
  ...readFileSync('docs/engine.md', 'utf8').matchAll(/```js\n([\s\S]*?)```/g),
].map(([, code]) => code!)
// what runs the tests may ask for colours
const { FORCE_COLOR: _, ...env } = process.env
let folder: string
test.beforeAll(async () => {
  folder = await project()
})

test('every example of its docs does what it says, in plain JavaScript', () => {
  expect(examples.length).toBeGreaterThan(10)
  for (const [i, code] of examples.entries()) {
    const file = join(folder, `example-${i}.js`)
    writeFileSync(file, `${prelude}\n${code}`)
    const told = [...code.matchAll(/\/\/ → (.*)/g)].map(([, line]) => line)
    const { stdout, stderr } = spawnSync(process.execPath, [file], { cwd: folder, env, encoding: 'utf8' })
    expect(stderr).toBe('')
    expect(stdout.trimEnd().split('\n'), code).toEqual(told)
  }
})

test('every function that it exports has an example, and it needs no other package', async () => {
  const listed = spawnSync(
    process.execPath,
    [
      '--input-type=module',
      '-e',
      "console.log(Object.entries(await import('lucky-twin-engine')).filter(([, one]) => typeof one === 'function').map(([name]) => name).join())",
    ],
    { cwd: folder, encoding: 'utf8' },
  )
  const names = listed.stdout.trim().split(',')
  expect(names.length).toBeGreaterThan(15)
  const all = examples.join('\n') + prelude
  for (const name of names) expect(all).toContain(`engine.${name}(`)
  const { dependencies } = JSON.parse(
    readFileSync(join(folder, 'node_modules/lucky-twin-engine/package.json'), 'utf8'),
  )
  expect(dependencies).toBeUndefined()
})

test('its types hold in a strict TypeScript project, and refuse what is wrong', () => {
  writeFileSync(
    join(folder, 'mine.ts'),
    `import { deal, press, readGame, resultOf, startRound, type Game, type Round } from 'lucky-twin-engine'
const read = readGame('{}')
export const game: Game | null = read.ok ? read.value : null
export function play(one: Game): number {
  const dealt = deal(one, 'warm-up', 'a')
  if (!dealt.ok) throw new Error(dealt.problem.message)
  const round = startRound(one, dealt.value)
  if (!round.ok) return 0
  const table: Round = round.value
  press(table, 0, 0)
  return resultOf(table).score
}
// @ts-expect-error a round is changed by functions only
export const cheat = (table: Round): void => void (table.score = 9)
// @ts-expect-error nor are its lists
export const peek = (table: Round): void => void (table.states[0] = 'up')
// @ts-expect-error a cell is a number
export const wrong = (table: Round): unknown => press(table, 0, 'A1')
`,
  )
  const compilerOptions = { noEmit: true, strict: true, module: 'nodenext', target: 'es2022', types: [] }
  writeFileSync(join(folder, 'tsconfig.json'), JSON.stringify({ compilerOptions, include: ['mine.ts'] }))
  const tsc = resolve('node_modules/typescript/bin/tsc')
  const { stdout } = spawnSync(process.execPath, [tsc], { cwd: folder, env, encoding: 'utf8' })
  expect(stdout).toBe('')
})

test('it reads, deals and replays as the command line does', async () => {
  for (const [file, level] of [
    ['clockmakers-drawer', 'cabinet'],
    ['signal-room', undefined],
    ['tile-yard', undefined],
  ] as const) {
    const path = `demo/${file}.game.json`
    const id = level ?? JSON.parse(readFileSync(path, 'utf8')).levels[0].id
    const code = `import { readFileSync } from 'node:fs'
import { deal, readGame } from 'lucky-twin-engine'
const { cards, ...dealt } = deal(readGame(readFileSync(process.argv[1], 'utf8')).value, process.argv[2], 'x').value
console.log(JSON.stringify(dealt))`
    const { stdout } = spawnSync(process.execPath, ['--input-type=module', '-e', code, resolve(path), id], {
      cwd: folder,
      encoding: 'utf8',
    })
    expect(JSON.parse(stdout)).toEqual(
      JSON.parse(await luckyTwin('deal', path, '--level', id, '--seed', 'x')),
    )
  }
})
