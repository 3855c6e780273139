import { afterAll, beforeEach, describe, expect, test } from '@jest/globals'
import { once } from 'node:events'
import { request, type IncomingMessage, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { LENDING, lentPath, type Lending } from '../core/files/lending.ts'
import { makeApp } from './app.ts'
import { makeLender } from './lender.ts'
import { newLentPages, type LentPages } from './lent-pages.ts'

const PAGE = '<!doctype html><title>A game</title>'
let now = 1_000_000
let pages: LentPages
let studio: Server
let lender: Server
// rate limits count per server, so each test has its own
beforeEach(async () => {
  now = 1_000_000
  pages = newLentPages(() => now)
  lender = makeLender(pages, () => ['127.0.0.1', '192.168.7.20']).listen(0, '127.0.0.1')
  await once(lender, 'listening')
  const here = `http://127.0.0.1:${portOf(lender)}`
  studio = makeApp('/nowhere', {
    pages,
    origins: () => ({ here, nearby: ['http://192.168.7.20:8421'] }),
  }).listen(0, '127.0.0.1')
  await once(studio, 'listening')
  open.push(studio, lender)
})
const open: Server[] = []
afterAll(() => {
  for (const server of open) {
    server.close()
    server.closeAllConnections()
  }
})

const portOf = (server: Server): number => (server.address() as AddressInfo).port
type Asked = { method?: string; headers?: Record<string, string>; body?: string }
async function ask(server: Server, path: string, { method = 'GET', headers = {}, body = '' }: Asked = {}) {
  const asked = request({
    host: '127.0.0.1',
    port: portOf(server),
    path,
    method,
    headers: { ...headers, 'content-length': Buffer.byteLength(body) },
  })
  asked.on('error', () => undefined)
  asked.end(body)
  const [answer] = (await once(asked, 'response')) as [IncomingMessage]
  let text = ''
  for await (const chunk of answer) text += String(chunk)
  return { status: answer.statusCode!, headers: answer.headers, text }
}
const own = (): Record<string, string> => ({
  origin: `http://127.0.0.1:${portOf(studio)}`,
  'content-type': 'text/html',
})
const lend = (body = PAGE, headers = own()) =>
  ask(studio, '/lending?title=A%20game', { method: 'POST', headers, body })
const lentToken = async (): Promise<string> => (JSON.parse((await lend()).text) as { token: string }).token
const list = async (): Promise<Lending> => JSON.parse((await ask(studio, '/lending')).text) as Lending

test('what cannot be read is refused in one plain line, on both ports', async () => {
  for (const server of [studio, lender])
    for (const path of ['/lend/%', '/%', '/lending/%', '/games/%E0%A4%A']) {
      const { status, text } = await ask(server, path)
      expect(status).toBeGreaterThanOrEqual(400)
      expect(text).toMatch(/^[a-z ]+$/)
    }
})

describe('lending a page', () => {
  test('gives it to devices under a token, tells who opened it, and ends when it is taken back', async () => {
    const token = await lentToken()
    expect(token).toMatch(/^[\w-]{22}$/)
    const page = await ask(lender, lentPath(token), { headers: { 'user-agent': 'A phone' } })
    expect([page.status, page.text]).toEqual([200, PAGE])
    expect(page.headers['cache-control']).toBe('no-store')
    now += 5
    await ask(lender, lentPath(token), { headers: { 'user-agent': 'A tablet' } })
    await ask(lender, lentPath(token), { headers: { 'user-agent': 'A phone' } })
    await ask(lender, lentPath(token), { headers: { 'sec-fetch-dest': 'iframe' } })
    const { lent, nearby, here } = await list()
    expect([here, nearby]).toEqual([`http://127.0.0.1:${portOf(lender)}`, ['http://192.168.7.20:8421']])
    expect(lent).toEqual([
      {
        token,
        title: 'A game',
        until: 1_000_000 + LENDING.time,
        openers: [
          { address: '127.0.0.1', browser: 'A phone', at: now },
          { address: '127.0.0.1', browser: 'A tablet', at: now },
        ],
      },
    ])
    expect((await ask(studio, `/lending/${token}`, { method: 'DELETE', headers: own() })).status).toBe(204)
    expect((await ask(lender, lentPath(token))).status).toBe(404)
    expect((await list()).lent).toEqual([])
  })

  test('keeps its address when a newer page takes its place', async () => {
    const token = await lentToken()
    const renew = (which: string) =>
      ask(studio, `/lending/${which}?title=New`, { method: 'PUT', headers: own(), body: '<p>new</p>' })
    expect((await renew(token)).status).toBe(204)
    expect((await ask(lender, lentPath(token))).text).toBe('<p>new</p>')
    expect((await renew('A'.repeat(22))).status).toBe(404)
  })

  test('ends after its time, and not before', async () => {
    const token = await lentToken()
    now += LENDING.time - 1
    expect((await ask(lender, lentPath(token))).status).toBe(200)
    now += 1
    expect((await ask(lender, lentPath(token))).status).toBe(404)
    expect((await list()).lent).toEqual([])
  })

  test('stops at its bounds: so many pages, so many bytes', async () => {
    expect((await lend('x'.repeat(LENDING.bytes))).status).toBe(201)
    const large = await lend('x'.repeat(LENDING.bytes + 1))
    expect([large.status, large.text]).toEqual([413, 'larger than 16 MiB'])
    for (let i = 1; i < LENDING.pages; i++) expect((await lend()).status).toBe(201)
    const many = await lend()
    expect([many.status, many.text]).toEqual([409, '20 pages are lent already; take one back first'])
    const { token } = (await list()).lent[0]!
    await ask(studio, `/lending/${token}`, { method: 'DELETE', headers: own() })
    expect((await lend()).status).toBe(201)
  })

  test.each([
    ['another origin', { origin: 'http://example.com' }],
    ['the origin of lent pages', { origin: 'http://127.0.0.1:1' }],
    ['no origin', {}],
    ['an opaque origin', { origin: 'null' }],
  ])('is refused to %s', async (_, headers: Record<string, string>) => {
    const given = { 'content-type': 'text/html', ...headers }
    expect((await lend(PAGE, given)).status).toBe(403)
    const token = pages.lend('x', PAGE)!
    for (const method of ['PUT', 'DELETE'])
      expect((await ask(studio, `/lending/${token}`, { method, headers: given, body: 'x' })).status).toBe(403)
    if (headers.origin) expect((await ask(studio, '/lending', { headers })).status).toBe(403)
    expect(pages.read(token)).toBe(PAGE)
  })

  test('is refused under another name of this server, and for what is no page', async () => {
    expect((await lend(PAGE, { ...own(), host: 'example.com' })).status).toBe(421)
    expect((await lend('{}', { ...own(), 'content-type': 'application/json' })).status).toBe(415)
  })

  test('asked for too often has to wait', async () => {
    const token = pages.lend('x', PAGE)!
    const statuses = []
    for (let i = 0; i < 62; i++)
      statuses.push(
        (await ask(studio, `/lending/${token}`, { method: 'PUT', headers: own(), body: 'x' })).status,
      )
    expect(statuses.slice(0, 60).every((status) => status === 204)).toBe(true)
    expect(statuses.slice(60)).toEqual([429, 429])
  })
})

describe('what devices nearby reach', () => {
  test.each([
    '/',
    '/lend',
    '/lend/',
    '/lending',
    '/index.html',
    '/assets/studio.js',
    '/healthz',
    '/games/x/ship',
  ])('is nothing at %s', async (path) => {
    pages.lend('x', PAGE)
    const { status, text } = await ask(lender, path)
    expect([status, text]).toEqual([404, 'nothing is lent here'])
  })
  test('is nothing for a token that is guessed, and guessing is slowed down', async () => {
    const token = pages.lend('x', PAGE)!
    const guesses = [
      token.slice(0, -1),
      `${token}A`,
      token.toUpperCase(),
      '%2e%2e',
      ...Array(40).fill('A'.repeat(22)),
    ]
    const statuses = []
    for (const guess of guesses) statuses.push((await ask(lender, lentPath(guess))).status)
    expect(statuses.slice(0, 30)).toEqual(Array(30).fill(404))
    expect(statuses.slice(30).every((status) => status === 429)).toBe(true)
  })
  test('is a page that may run what is in it and ask for nothing', async () => {
    const { headers } = await ask(lender, lentPath(pages.lend('x', PAGE)!))
    const policy = String(headers['content-security-policy']).split(';')
    expect(policy).toEqual(
      expect.arrayContaining(["default-src 'none'", "form-action 'none'", "base-uri 'none'"]),
    )
    expect(policy.filter((line) => /^(connect|frame|object)-src/.test(line))).toEqual([])
    expect(headers['x-content-type-options']).toBe('nosniff')
  })
  test.each(['example.com', 'localhost.example.com', '10.0.0.1'])(
    'is refused under the name %s',
    async (host) => {
      const token = pages.lend('x', PAGE)!
      expect((await ask(lender, lentPath(token), { headers: { host } })).status).toBe(421)
      expect((await ask(lender, lentPath(token), { headers: { host: '192.168.7.20:8421' } })).status).toBe(
        200,
      )
    },
  )
  test.each(['POST', 'PUT', 'DELETE'])('takes nothing in by %s', async (method) => {
    const token = pages.lend('x', PAGE)!
    expect((await ask(lender, lentPath(token), { method, body: 'x' })).status).toBe(404)
    expect(pages.read(token)).toBe(PAGE)
  })
})
