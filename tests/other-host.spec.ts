import { expect, test } from '@playwright/test'
import { execFileSync, spawnSync } from 'node:child_process'
import { secondName, startServer } from './own-server.ts'

/* Gives this machine another network for a moment. A browser breaks off what it loads when that happens, so nothing
   else is tested meanwhile. */

let after = (): unknown => undefined
test.afterEach(() => after())

test('other devices reach lent pages and nothing else of this machine', async ({ request }) => {
  const own = await startServer(['--lan'])
  after = () => own.child.kill()
  const answer = await request.post(`${own.studio}/lending?title=x`, {
    headers: { origin: own.studio, 'content-type': 'text/html' },
    data: '<p>lent</p>',
  })
  const { token } = (await answer.json()) as { token: string }
  const studioPort = new URL(own.studio).port
  const paths = [
    `${own.lender}/lend/${token}`,
    `${own.lender}/`,
    `${own.lender}/lending`,
    `${studioPort}/`,
    `${studioPort}/lending`,
  ]
  expect(fromAnotherHost(paths)).toEqual([
    '200 <p>lent</p>',
    '404 nothing is lent here',
    '404 nothing is lent here',
    'refused',
    'refused',
  ])
})

/**
 * Asks for paths ("PORT/PATH") of this machine from another host: a network namespace, or its own second name where
 * none can be made.
 */
function fromAnotherHost(paths: string[]): string[] {
  const code = `const out = []
for (const path of process.argv.slice(2)) {
  const [, port, rest] = /^(\\d+)(.*)$/.exec(path)
  try {
    const answer = await fetch('http://' + process.argv[1] + ':' + port + rest)
    out.push(answer.status + ' ' + (await answer.text()))
  } catch (error) {
    out.push(error.cause?.code === 'ECONNREFUSED' ? 'refused' : String(error.cause?.code ?? error))
  }
}
console.log(JSON.stringify(out))`
  const node = [process.execPath, '--input-type=module', '-e', code]
  const ip = (...words: string[]): boolean => spawnSync('ip', words).status === 0
  const space = `lt${process.pid}`
  const [inside, outside] = [`${space}a`, `${space}b`]
  const run = (command: string, args: string[]): string[] =>
    JSON.parse(execFileSync(command, args, { encoding: 'utf8' })) as string[]
  const isMade =
    ip('netns', 'add', space) &&
    ip('link', 'add', outside, 'type', 'veth', 'peer', 'name', inside, 'netns', space) &&
    ip('addr', 'add', '10.213.7.1/30', 'dev', outside) &&
    ip('link', 'set', outside, 'up') &&
    ip('-n', space, 'addr', 'add', '10.213.7.2/30', 'dev', inside) &&
    ip('-n', space, 'link', 'set', inside, 'up')
  try {
    if (isMade) return run('ip', ['netns', 'exec', space, ...node, '10.213.7.1', ...paths])
    return run(node[0]!, [...node.slice(1), secondName(), ...paths])
  } finally {
    ip('netns', 'del', space)
    ip('link', 'del', outside)
  }
}
