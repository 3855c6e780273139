import type { Express } from 'express'
import { once } from 'node:events'
import type { Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { fileURLToPath } from 'node:url'
import { makeApp } from './app.ts'
import { makeLender } from './lender.ts'
import { newLentPages } from './lent-pages.ts'
import { inLink, isEveryAddress, nearbyNames } from './own-names.ts'

/**
 * Serves the built studio on HOST (127.0.0.1) and PORT (8420; the next free one if it is taken and PORT is not set),
 * and the pages that it lends on the next free port after that: to this machine alone, or with --lan to every device in
 * its networks.
 */
const host = process.env.HOST || '127.0.0.1'
const wantedPort = process.env.PORT
const first = wantedPort ? Number(wantedPort) : 8420
/** how many ports are tried */
const PORTS = 100

function stop(why: string, code: number): never {
  console.error(why)
  process.exit(code)
}
if (!Number.isInteger(first) || first < 0 || first > 65535)
  stop(`PORT is "${wantedPort}"; a number from 0 to 65535 is expected`, 2)
const [unknown] = process.argv.slice(2).filter((word) => word !== '--lan')
if (unknown !== undefined) stop(`${unknown}: unknown; there is only --lan`, 2)
const isNearby = process.argv.includes('--lan')

/** Listens on a port, or on the next free one up to `last`. */
async function listen(app: Express, address: string, port: number, last: number): Promise<Server> {
  const server = app.listen(port, address)
  try {
    await once(server, 'listening')
    return server
  } catch (error) {
    const { code, message } = error as NodeJS.ErrnoException
    if (code === 'EADDRINUSE' && port < last) return listen(app, address, port + 1, last)
    stop(`cannot listen on ${address}:${port}: ${message}`, 1)
  }
}
const portOf = (server: Server): number => (server.address() as AddressInfo).port

const pages = newLentPages()
let lendingPort = 0
const origins = () => ({
  here: `http://127.0.0.1:${lendingPort}`,
  nearby: isNearby ? nearbyNames().map((name) => `http://${name}:${lendingPort}`) : [],
})
const app = makeApp(fileURLToPath(new URL('../app', import.meta.url)), { host, pages, origins })
const studio = await listen(app, host, first, wantedPort ? first : first + PORTS)
const next = portOf(studio) + 1
const lender = await listen(makeLender(pages), isNearby ? '0.0.0.0' : '127.0.0.1', next, next + PORTS)
lendingPort = portOf(lender)

const names = isEveryAddress(host) ? ['127.0.0.1', ...nearbyNames()] : [inLink(host)]
console.log(`Lucky Twin is open at ${names.map((name) => `http://${name}:${portOf(studio)}`).join(', ')}`)
console.log(`Pages that it lends are opened at ${origins().here}`)
if (isNearby) console.log(`and by devices nearby at ${origins().nearby.join(', ') || 'no network'}`)

/** How long a connection that is still open may take, in ms, after the server was asked to end. */
const PATIENCE = 1000
let isEnding = false
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.on(signal, () => {
    if (isEnding) process.exit(1)
    isEnding = true
    const servers = [studio, lender]
    for (const server of servers) server.close()
    void Promise.all(servers.map((server) => once(server, 'close'))).then(() => process.exit(0))
    // a browser keeps connections open for what it may still ask
    setTimeout(() => servers.forEach((server) => server.closeAllConnections()), PATIENCE)
  })
