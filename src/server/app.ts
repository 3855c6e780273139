import compression from 'compression'
import express, { type Express } from 'express'
import helmet from 'helmet'
import { join } from 'node:path'
import { lendingRoutes, type Origins } from './lending-routes.ts'
import { newLentPages, type LentPages } from './lent-pages.ts'
import { plainErrors } from './plain-errors.ts'
import { allNames, answerTo, inLink, isEveryAddress, LOOPBACK_NAMES } from './own-names.ts'

/**
 * The name or address by which the studio may be called (all that this machine has, if it listens at every one), beside this machine's names for itself; the pages that it
 * lends, and where they are opened.
 */
type Served = { host?: string; pages?: LentPages; origins?: () => Origins }

/**
 * The app that serves the built studio from `folder`, with a strict policy. Every path that is not a file leads to the
 * studio. It answers to the names of this machine and to `host` alone: a page elsewhere cannot point a name of its own
 * here.
 */
export function makeApp(folder: string, served: Served = {}): Express {
  const { host = '', pages = newLentPages(), origins = () => ({ here: '', nearby: [] }) } = served
  const app = express()
  app.disable('x-powered-by')
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'"],
          // the component library sets style attributes
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'", 'data:'],
          connectSrc: ["'self'"],
          workerSrc: ["'self'", 'blob:'],
          // a lent page is tried in a frame
          frameSrc: ["'self'", 'blob:', () => origins().here || "'self'"],
          objectSrc: ["'none'"],
          // the app is served over plain http on this machine
          upgradeInsecureRequests: null,
        },
      },
      strictTransportSecurity: false,
      // both need https, or mean nothing without it
      originAgentCluster: false,
      crossOriginOpenerPolicy: false,
    }),
  )
  app.use(answerTo(() => (isEveryAddress(host) ? allNames() : [...LOOPBACK_NAMES, inLink(host)])))
  app.use((request, response, next) => {
    // no file has such a name, and looking for one would fail
    if (request.path.includes('%00')) response.status(400).type('text/plain').send('bad request')
    else next()
  })
  app.use('/lending', lendingRoutes(pages, origins))
  app.use(compression())
  app.get('/healthz', (_request, response) => {
    response.type('text/plain').send('ok')
  })
  app.use('/assets', express.static(join(folder, 'assets'), { immutable: true, maxAge: '1y', index: false }))
  app.use(express.static(folder, { index: false }))
  app.get('/{*path}', (request, response) => {
    // a missing file is missing; only pages fall back to the studio, and the ids in their paths may contain a dot
    if (!request.path.startsWith('/games/') && /\.[a-z0-9]+$/i.test(request.path))
      response.status(404).type('text/plain').send('not found')
    else response.sendFile('index.html', { root: folder, headers: { 'Cache-Control': 'no-cache' } })
  })
  app.use(plainErrors)
  return app
}
