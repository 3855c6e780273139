import { expect, test } from '@playwright/test'
import { spawn, spawnSync } from 'node:child_process'
import { once } from 'node:events'

/** The command line as a process of its own. What its commands do is tested in src/cli. */
const PROGRAM = ['scripts/lucky-twin.mjs']
const CLOCK = 'demo/clockmakers-drawer.game.json'
const run = (...words: string[]) => spawnSync(process.execPath, [...PROGRAM, ...words], { encoding: 'utf8' })

test('a process ends with the code of its command; data and messages go their own ways', () => {
  const done = run('check', CLOCK)
  expect([done.status, done.stdout, done.stderr]).toEqual([0, 'no findings\n', ''])
  const unusable = run('check', 'nowhere.json')
  expect([unusable.status, unusable.stdout, unusable.stderr]).toEqual([2, '', 'nowhere.json: no such file\n'])
  const help = run('--help')
  expect([help.status, help.stderr]).toEqual([0, ''])
  expect(help.stdout).toContain('Usage: lucky-twin')
})

test('boards come in through a pipe', () => {
  const pipe = `yes 'A;A;B;B' | head -60 | ${process.execPath} ${PROGRAM.join(' ')} audit deals /dev/stdin`
  const { status, stdout, stderr } = spawnSync('sh', ['-c', pipe], { encoding: 'utf8' })
  expect([status, stderr]).toEqual([1, expect.stringContaining('taken as 2 × 2')])
  expect(stdout).toContain('Not fair.')
})

test('a reader that has seen enough closes the pipe, and the process ends without a complaint', async () => {
  const child = spawn(process.execPath, [...PROGRAM, 'deal', CLOCK, '--count', '100000'])
  let complaints = ''
  child.stderr.on('data', (data) => (complaints += String(data)))
  await once(child.stdout, 'data')
  child.stdout.destroy()
  expect(await once(child, 'exit')).toEqual([0, null])
  expect(complaints).toBe('')
})

test('a signal ends long work', async () => {
  const child = spawn(process.execPath, [...PROGRAM, 'odds', CLOCK, '--games', '10000000'])
  await once(child, 'spawn')
  child.kill('SIGINT')
  expect(await once(child, 'exit')).toEqual([null, 'SIGINT'])
})
