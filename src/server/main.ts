import { fileURLToPath } from 'node:url'
import { makeApp } from './app.ts'

/** Serves the built studio on HOST (127.0.0.1) and PORT (8420; the next free one if it is taken and PORT is not set). */
const host = process.env.HOST || '127.0.0.1'
const asked = process.env.PORT
const first = asked ? Number(asked) : 8420
if (!Number.isInteger(first) || first < 0 || first > 65535) {
  console.error(`PORT is "${asked}"; a number from 0 to 65535 is expected`)
  process.exit(2)
}
const app = makeApp(fileURLToPath(new URL('../app', import.meta.url)), host)

function listen(port: number): void {
  const server = app.listen(port, host, (error?: Error) => {
    if (error) {
      if ((error as NodeJS.ErrnoException).code === 'EADDRINUSE' && !asked && port < first + 100)
        listen(port + 1)
      else {
        console.error(`cannot listen on ${host}:${port}: ${error.message}`)
        process.exit(1)
      }
      return
    }
    const address = server.address()
    const open = typeof address === 'object' && address ? address.port : port
    const name = host.includes(':') ? `[${host}]` : host
    console.log(`Lucky Twin is open at http://${name}:${open}`)
    for (const signal of ['SIGINT', 'SIGTERM'] as const)
      process.on(signal, () => server.close(() => process.exit(0)))
  })
}
listen(first)
