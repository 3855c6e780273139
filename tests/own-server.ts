import { spawn, type ChildProcess } from 'node:child_process'
import { once } from 'node:events'
import { networkInterfaces } from 'node:os'

export type OwnServer = { child: ChildProcess; studio: string; lender: string }

/**
 * A server of its own, as `npm start -- --lan` starts it. In: words of the command line; the port, by default one that
 * is free; the address at which it listens.
 */
export async function startServer(
  words: readonly string[] = [],
  port = 0,
  host = '127.0.0.1',
): Promise<OwnServer> {
  const child = spawn(process.execPath, ['dist/node/server.js', ...words], {
    env: { ...process.env, PORT: String(port), HOST: host },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  let said = ''
  const lines = words.length + 2
  while (said.split('\n').length <= lines) said += String((await once(child.stdout!, 'data'))[0])
  const studio = /open at ([^\s,]+)/.exec(said)![1]!
  const lender = /devices nearby at (?:[^,\s]+, )*?http:\/\/[^:]+:(\d+)/.exec(said)?.[1] ?? ''
  return { child, studio, lender }
}

/** A name of this machine in a network, or a second loopback address where it has none. */
export const secondName = (): string =>
  Object.values(networkInterfaces())
    .flatMap((all) => all ?? [])
    .find(({ internal, family }) => !internal && family === 'IPv4')?.address ?? '127.0.0.2'
