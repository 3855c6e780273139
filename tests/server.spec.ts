import { expect } from '@playwright/test'
import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { createServer } from 'node:net'
import { test } from './test.ts'

test.describe('the server', () => {
  /** Starts it with these settings, and gives its first line and a way to end it. */
  async function start(
    env: Record<string, string>,
  ): Promise<{ line: string; code: number | null; end(): Promise<void> }> {
    const { PORT: _port, HOST: _host, ...rest } = process.env
    const server = spawn(process.execPath, ['dist/node/server.js'], { env: { ...rest, ...env } })
    const line = await new Promise<string>((resolve) => {
      server.stdout.once('data', (data) => resolve(String(data)))
      server.stderr.once('data', (data) => resolve(String(data)))
    })
    const end = async (): Promise<void> => {
      if (server.exitCode !== null) return
      server.kill('SIGTERM')
      await once(server, 'exit')
    }
    if (!line.includes('http')) await once(server, 'exit')
    return { line, code: server.exitCode, end }
  }

  test('serves the app with a policy, health, and 404 for what is not there', async ({ request }) => {
    const health = await request.get('/healthz')
    expect([health.status(), await health.text()]).toEqual([200, 'ok'])
    const page = await request.get('/games/anything/deck')
    expect(page.headers()['content-security-policy']).toContain("script-src 'self'")
    expect(await page.text()).toContain('<div id="app">')
    expect((await request.get('/assets/none.js')).status()).toBe(404)
    expect((await request.get('/pictures/../../package.json')).status()).toBe(404)
  })

  test('takes the next port if its own is taken, unless PORT says which', async () => {
    // whoever uses it, it is taken
    const taken = createServer()
    const settled = Promise.race([
      once(taken, 'listening'),
      new Promise((resolve) => taken.on('error', resolve)),
    ])
    taken.listen(8420, '127.0.0.1')
    await settled
    const moved = await start({})
    expect(moved.line).toMatch(/http:\/\/127\.0\.0\.1:84(2[1-9]|[3-9]\d)/)
    await moved.end()
    const refused = await start({ PORT: '8420' })
    expect(refused.line).toContain('cannot listen on 127.0.0.1:8420')
    expect(refused.code).toBe(1)
    taken.close()
  })
})
