import { expect } from '@playwright/test'
import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { connect, createServer } from 'node:net'
import { secondName, startServer } from './own-server.ts'
import { test } from './test.ts'

const isListening = (port: number): Promise<boolean> =>
  new Promise((resolve) => {
    const socket = connect(port, '127.0.0.1')
    socket.on('connect', () => (socket.destroy(), resolve(true)))
    socket.on('error', () => resolve(false))
  })

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

  test('ends at a signal, whatever a browser keeps open; at a second one at once', async () => {
    for (const signals of [1, 2]) {
      const own = await startServer()
      // two that never send a whole request, and one that is kept open after its answer
      const { port, hostname } = new URL(own.studio)
      const sockets = ['', 'GET / HTTP/1.1\r\n', `GET /healthz HTTP/1.1\r\nhost: ${hostname}\r\n\r\n`].map(
        (text) => {
          const socket = connect(Number(port), hostname, () => socket.write(text))
          socket.on('error', () => undefined)
          return socket
        },
      )
      await once(sockets[2]!, 'data')
      const exit = once(own.child, 'exit')
      own.child.kill('SIGINT')
      if (signals === 2) {
        // it has stopped to listen, so it has heard the first
        await expect.poll(() => isListening(Number(port))).toBe(false)
        own.child.kill('SIGINT')
      }
      expect((await exit)[0]).toBe(signals === 1 ? 0 : 1)
      for (const socket of sockets) socket.destroy()
    }
  })

  test('at every address it prints those of this machine, answers to them, and to no foreign name', async () => {
    const own = await startServer([], 0, '0.0.0.0')
    const { port } = new URL(own.studio)
    expect(own.studio).toMatch(/^http:\/\/127\.0\.0\.1:/)
    const name = secondName()
    for (const host of ['127.0.0.1', 'localhost', ...(name.startsWith('127.') ? [] : [name])])
      expect((await fetch(`http://${host}:${port}/healthz`)).status).toBe(200)
    const socket = connect(Number(port), '127.0.0.1')
    socket.write('GET /healthz HTTP/1.1\r\nhost: elsewhere.example\r\nconnection: close\r\n\r\n')
    expect(String((await once(socket, 'data'))[0])).toMatch(/^HTTP\/1.1 421 /)
    own.child.kill('SIGTERM')
    await once(own.child, 'exit')
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
