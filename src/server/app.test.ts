import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { once } from 'node:events'
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { request, type IncomingMessage, type Server } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { AddressInfo } from 'node:net'
import { makeApp } from './app.ts'

const folder = mkdtempSync(join(tmpdir(), 'served-'))
const built = join(folder, 'app')
let server: Server

beforeAll(async () => {
  mkdirSync(join(built, 'assets'), { recursive: true })
  mkdirSync(join(built, 'pictures', 'small'), { recursive: true })
  writeFileSync(join(built, 'index.html'), '<div id="app"></div>')
  writeFileSync(join(built, 'assets', 'studio.js'), `/* ${'long '.repeat(1000)} */`)
  writeFileSync(join(built, 'pictures', 'small', 'old-key.webp'), 'RIFF')
  writeFileSync(join(folder, 'secret.txt'), 'secret')
  server = makeApp(built, { host: 'Studio.local' }).listen(0, '127.0.0.1')
  await once(server, 'listening')
})
afterAll(async () => {
  server.close()
  server.closeAllConnections()
  await once(server, 'close')
  rmSync(folder, { recursive: true })
})

/** Asks for a path just as it is written: `fetch` would tidy it up. */
async function ask(
  path: string,
  method = 'GET',
  headers: Record<string, string> = {},
): Promise<{ status: number; headers: IncomingMessage['headers']; body: string }> {
  const { port } = server.address() as AddressInfo
  const asked = request({ host: '127.0.0.1', port, path, method, headers })
  asked.end()
  const [answer] = (await once(asked, 'response')) as [IncomingMessage]
  let body = ''
  for await (const chunk of answer) body += String(chunk)
  return { status: answer.statusCode!, headers: answer.headers, body }
}

describe('the server', () => {
  test.each([
    '/',
    '/games/clockmakers-drawer/deck',
    '/games/v1.2',
    '/games/v1.2/play/level.2',
    '/no/such/page',
  ])('gives the studio for %s, never from a cache unasked', async (path) => {
    const { status, headers, body } = await ask(path)
    expect([status, body]).toEqual([200, '<div id="app"></div>'])
    expect(headers['cache-control']).toBe('no-cache')
    expect(headers['content-type']).toMatch('text/html')
  })
  test.each(['/assets/gone.js', '/pictures/none.svg', '/pictures/small/none.webp', '/favicon.ico'])(
    'says that %s is not there',
    async (path) => {
      const { status, headers, body } = await ask(path)
      expect([status, body]).toEqual([404, 'not found'])
      expect(headers['content-type']).toMatch('text/plain')
    },
  )
  test.each([
    '/../secret.txt',
    '/pictures/../../secret.txt',
    '/%2e%2e/secret.txt',
    '/..%2fsecret.txt',
    '/assets/..%2f..%2fsecret.txt',
    '/assets/%2e%2e%2f%2e%2e%2fsecret.txt',
    '/assets/..%5c..%5csecret.txt',
    '/%c0%ae%c0%ae/secret.txt',
  ])('gives nothing from outside its folder: %s', async (path) => {
    const { status, body } = await ask(path)
    expect(status).toBeGreaterThanOrEqual(400)
    expect(status).toBeLessThan(500)
    expect(body).not.toBe('secret')
  })
  test.each(['/%00', '/games/%00', '/a%00.js', '/assets/%00'])(
    'has nothing by the name of %s',
    async (path) => {
      expect(await ask(path)).toMatchObject({ status: 400 })
    },
  )
  test.each([
    '127.0.0.1',
    '127.0.0.1:8420',
    'localhost:8420',
    'LOCALHOST',
    '[::1]:8420',
    'studio.local',
    'Studio.local:80',
  ])('answers to the name %s', async (host) =>
    expect((await ask('/healthz', 'GET', { host })).status).toBe(200),
  )
  test.each([
    'example.com',
    'localhost.example.com',
    '127.0.0.1.example.com:8420',
    '192.168.1.5',
    '[::2]',
    'localhost:8420:1',
  ])('does not answer to the name %j', async (host) => {
    for (const path of ['/', '/healthz', '/assets/studio.js']) {
      const { status, body } = await ask(path, 'GET', { host })
      expect([status, body]).toEqual([421, 'this server has another name'])
    }
  })
  test.each(['POST', 'PUT', 'DELETE'])('takes nothing in by %s', async (method) => {
    expect((await ask('/games/x/deck', method)).status).toBe(404)
  })

  test('lets a browser keep what never changes, and nothing else unasked', async () => {
    expect((await ask('/assets/studio.js')).headers['cache-control']).toBe(
      'public, max-age=31536000, immutable',
    )
    const picture = await ask('/pictures/small/old-key.webp')
    expect(picture.headers['content-type']).toBe('image/webp')
    expect(picture.headers['cache-control']).toBe('public, max-age=0')
    const again = await ask('/pictures/small/old-key.webp', 'GET', { 'if-none-match': picture.headers.etag! })
    expect(again.status).toBe(304)
  })
  test('sends text packed to those who take it', async () => {
    const packed = await ask('/assets/studio.js', 'GET', { 'accept-encoding': 'gzip' })
    expect(packed.headers['content-encoding']).toBe('gzip')
    expect((await ask('/assets/studio.js')).headers['content-encoding']).toBeUndefined()
  })
  test('has a policy on every answer that lets no foreign script, frame or plug-in in', async () => {
    for (const path of ['/', '/assets/studio.js', '/assets/gone.js', '/healthz']) {
      const { headers } = await ask(path)
      const policy = String(headers['content-security-policy']).split(';')
      expect(policy).toEqual(
        expect.arrayContaining([
          "default-src 'self'",
          "script-src 'self'",
          "object-src 'none'",
          "connect-src 'self'",
        ]),
      )
      expect(headers['x-content-type-options']).toBe('nosniff')
      expect(headers['x-powered-by']).toBeUndefined()
    }
  })
  test('tells that it is well', async () => {
    expect(await ask('/healthz')).toMatchObject({ status: 200, body: 'ok' })
  })
})
