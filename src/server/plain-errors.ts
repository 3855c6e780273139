import type { ErrorRequestHandler } from 'express'

/** Answers what went wrong in one plain line, without a trace or a path of this machine. */
export const plainErrors: ErrorRequestHandler = (error: { status?: number }, _request, response, next) => {
  if (response.headersSent) return next(error)
  const status = error.status && error.status >= 400 && error.status < 500 ? error.status : 500
  response
    .status(status)
    .type('text/plain')
    .send(status === 500 ? 'something went wrong here' : 'bad request')
}
