import type { RequestHandler } from 'express'
import { hostname, networkInterfaces } from 'node:os'

/** The names of this machine for itself. */
export const LOOPBACK_NAMES = ['127.0.0.1', 'localhost', '[::1]']

/** An address or a name as it stands in a link. */
export const inLink = (host: string): string => (host.includes(':') ? `[${host}]` : host)

/** The addresses (IPv4) and the name by which devices nearby reach this machine. */
export function nearbyNames(): string[] {
  const addresses = Object.values(networkInterfaces())
    .flatMap((all) => all ?? [])
    .filter(({ internal, family }) => !internal && family === 'IPv4')
    .map(({ address }) => address)
  const name = hostname().toLowerCase()
  return [...new Set([...addresses, ...(name && name !== 'localhost' ? [name] : [])])]
}

/** Whether a server that listens at this address is reached at every address of this machine. */
export const isEveryAddress = (host: string): boolean => ['0.0.0.0', '::', '[::]'].includes(host)

/** The names and addresses, IPv6 too, by which this machine is reached from itself and from its networks. */
export function allNames(): string[] {
  const addresses = Object.values(networkInterfaces())
    .flatMap((all) => all ?? [])
    // an address of one link alone has a zone, which no browser takes
    .filter(({ internal, family, scopeid }) => !internal && family === 'IPv6' && !scopeid)
    .map(({ address }) => inLink(address))
  return [...LOOPBACK_NAMES, ...nearbyNames(), ...addresses]
}

/** Whether an address is this machine's own loopback. */
export const isLoopback = (address = ''): boolean =>
  address === '::1' || /^(::ffff:)?127\.\d+\.\d+\.\d+$/.test(address)

/**
 * Refuses requests that were sent to another name: a page elsewhere may point a name of its own here. In: gives the
 * names that are this machine's.
 */
export function answerTo(names: () => readonly string[]): RequestHandler {
  return (request, response, next) => {
    const host = (request.headers.host ?? '').replace(/:\d{1,5}$/, '').toLowerCase()
    // every address of the loopback is this machine, and no name of anybody else's
    if (host && (isLoopback(host) || names().some((name) => name.toLowerCase() === host))) return next()
    response.status(421).type('text/plain').send('this server has another name')
  }
}
