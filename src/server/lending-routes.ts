import express, { type ErrorRequestHandler, type Request, type Router } from 'express'
import { rateLimit } from 'express-rate-limit'
import { LENDING, type Lending } from '../core/files/lending.ts'
import { largerThan, LENGTHS } from '../core/settings/bounds.ts'
import type { LentPages } from './lent-pages.ts'
import { isLoopback } from './own-names.ts'

/** How many times a minute the studio may ask to lend. */
const RATE = { window: 60_000, limit: 60 } as const

/** Where lent pages are opened: by this machine, and by others. */
export type Origins = Pick<Lending, 'here' | 'nearby'>

const titleOf = ({ query }: Request): string =>
  typeof query.title === 'string' ? query.title.slice(0, LENGTHS.title) : ''

/** What the studio asks to lend pages and to take them back. It answers this machine's own studio alone. */
export function lendingRoutes(pages: LentPages, origins: () => Origins): Router {
  const routes = express.Router()
  routes.use((request, response, next) => {
    const { origin, host } = request.headers
    const own = origin === `http://${host}`
    const mayAsk = own || (request.method === 'GET' && origin === undefined)
    if (isLoopback(request.socket.remoteAddress) && mayAsk) return next()
    response.status(403).type('text/plain').send('only the studio on this machine may ask for that')
  })
  routes.get('/', (_request, response) => {
    response.set('Cache-Control', 'no-store').json({ ...origins(), lent: pages.all() } satisfies Lending)
  })
  const html = express.text({ type: 'text/html', limit: LENDING.bytes })
  routes.use(
    rateLimit({ windowMs: RATE.window, limit: RATE.limit, message: 'too many requests; wait a minute' }),
  )
  routes.post('/', html, (request, response) => {
    if (typeof request.body !== 'string') response.status(415).type('text/plain').send('a page is expected')
    else {
      const token = pages.lend(titleOf(request), request.body)
      if (token) response.status(201).json({ token })
      else
        response
          .status(409)
          .type('text/plain')
          .send(`${LENDING.pages} pages are lent already; take one back first`)
    }
  })
  routes.put('/:token', html, (request, response) => {
    if (typeof request.body !== 'string') response.status(415).type('text/plain').send('a page is expected')
    else if (pages.renew(String(request.params.token), titleOf(request), request.body))
      response.status(204).end()
    else response.status(404).type('text/plain').send('this page is not lent any more')
  })
  routes.delete('/:token', (request, response) => {
    pages.takeBack(String(request.params.token))
    response.status(204).end()
  })
  const tooLarge: ErrorRequestHandler = (error: { status?: number }, _request, response, next) => {
    if (error.status === 413) response.status(413).type('text/plain').send(largerThan(LENDING.bytes))
    else next(error)
  }
  routes.use(tooLarge)
  return routes
}
