import express, { type Express } from 'express'
import { rateLimit } from 'express-rate-limit'
import helmet from 'helmet'
import { lentPath } from '../core/files/lending.ts'
import type { LentPages } from './lent-pages.ts'
import { plainErrors } from './plain-errors.ts'
import { answerTo, LOOPBACK_NAMES, nearbyNames } from './own-names.ts'

/** How many requests a device may make in a minute, and how many of them for pages that are not lent. */
const MINUTE = 60_000
const RATE = { all: 300, missed: 30 } as const

/**
 * What devices nearby reach: pages that are lent, by their token, and nothing else. It has an origin of its own, so
 * that no lent page is near to what the studio keeps. In: the pages; gives the names by which it may be called.
 */
export function makeLender(
  pages: LentPages,
  names: () => readonly string[] = () => [...LOOPBACK_NAMES, ...nearbyNames()],
): Express {
  const app = express()
  app.disable('x-powered-by')
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          // a lent page has a policy of its own, which is stricter
          defaultSrc: ["'none'"],
          scriptSrc: ["'unsafe-inline'"],
          styleSrc: ["'unsafe-inline'"],
          imgSrc: ['data:'],
          fontSrc: ['data:'],
          // the studio shows them in a frame
          frameAncestors: ['http://127.0.0.1:*', 'http://localhost:*'],
          formAction: ["'none'"],
          baseUri: ["'none'"],
        },
      },
      xFrameOptions: false,
      strictTransportSecurity: false,
      originAgentCluster: false,
      crossOriginOpenerPolicy: false,
    }),
  )
  app.use(answerTo(names))
  const limits = { standardHeaders: true, legacyHeaders: false, message: 'too many requests; wait a minute' }
  app.use(rateLimit({ windowMs: MINUTE, limit: RATE.all, ...limits }))
  app.use(
    rateLimit({
      windowMs: MINUTE,
      limit: RATE.missed,
      skipSuccessfulRequests: true,
      ...limits,
    }),
  )
  app.get(lentPath(':token'), (request, response, next) => {
    const { token } = request.params as { token: string }
    const html = pages.read(token)
    if (html === null) return next()
    // a try in the studio's own frame is no device
    if (request.headers['sec-fetch-dest'] !== 'iframe')
      pages.note(
        token,
        request.socket.remoteAddress?.replace(/^::ffff:/, '') ?? '',
        (request.headers['user-agent'] ?? '').slice(0, 300),
      )
    response.set('Cache-Control', 'no-store').type('html').send(html)
  })
  app.use((_request, response) => {
    response.status(404).type('text/plain').send('nothing is lent here')
  })
  app.use(plainErrors)
  return app
}
