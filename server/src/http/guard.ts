import type { Request, RequestHandler } from 'express'
import { sendProblem } from './problem'

/**
 * Only pages of this server, under the names of this machine, may talk to it: a foreign Host (DNS rebinding)
 * or Origin (another site's page) is refused, and what another site's page asks for without telling its origin (as for
 * a picture) before any work is done for it. A link to a page of the app may be followed from anywhere.
 */
export function ownPagesOnly(port: () => number): RequestHandler {
  return (request, response, next) => {
    const names = ['127.0.0.1', 'localhost', '[::1]'].map((name) => `${name}:${port()}`)
    const { host, origin } = request.headers
    if (!host || !names.includes(host.toLowerCase())) {
      sendProblem(response, 403, 'Foreign address', 'This server answers only at 127.0.0.1 and localhost.')
      return
    }
    const isForeign = origin !== undefined && !names.some((name) => origin.toLowerCase() === `http://${name}`)
    if (isForeign || isAskedElsewhere(request)) {
      sendProblem(response, 403, 'Foreign page', 'A page of another site cannot use this notebook.')
      return
    }
    next()
  }
}

/** What the browser says of the page that asks (Fetch Metadata); other programs say nothing. */
function isAskedElsewhere(request: Request): boolean {
  const site = request.get('sec-fetch-site')
  if (site === undefined || site === 'same-origin' || site === 'none') return false
  const isLink = request.method === 'GET' && request.get('sec-fetch-mode') === 'navigate'
  return !isLink || /^\/api(\/|$)/i.test(request.path)
}
