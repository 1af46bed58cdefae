import type { RequestHandler } from 'express'
import { sendProblem } from './problem'

/**
 * Only pages of this server, under the names of this machine, may talk to it: a foreign Host (DNS rebinding)
 * or Origin (another site's page) is refused.
 */
export function ownPagesOnly(port: () => number): RequestHandler {
  return (request, response, next) => {
    const names = ['127.0.0.1', 'localhost', '[::1]'].map((name) => `${name}:${port()}`)
    const { host, origin } = request.headers
    if (!host || !names.includes(host)) {
      sendProblem(response, 403, 'Foreign address', 'This server answers under 127.0.0.1 and localhost only.')
      return
    }
    if (origin !== undefined && !names.includes(origin.replace(/^http:\/\//, ''))) {
      sendProblem(response, 403, 'Foreign page', 'A page of another site may not talk to this notebook.')
      return
    }
    next()
  }
}
