// npm run dev: the studio with hot reload. The shipped player is built once; Play always uses its source.
import { ensurePackages } from './tools/ensure.mjs'
import { ROOT } from './tools/root.mjs'

ensurePackages()
const { buildPlayer } = await import('./tools/build-all.mjs')
await buildPlayer()
const { createServer } = await import('vite')
const server = await createServer({
  root: ROOT,
  configFile: `${ROOT}/vite.config.ts`,
  server: {
    host: process.env.HOST || '127.0.0.1',
    ...(process.env.PORT ? { port: Number(process.env.PORT), strictPort: true } : {}),
  },
})
await server.listen()
server.printUrls()
