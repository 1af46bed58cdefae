import { existsSync } from 'node:fs'
import { join } from 'node:path'
import compression from 'compression'
import express, { type Express, type Router } from 'express'
import { rateLimit } from 'express-rate-limit'
import helmet from 'helmet'
import type { Logger } from 'pino'
import { pinoHttp } from 'pino-http'
import { WEB } from '../paths'
import { ownPagesOnly } from './guard'
import { handleErrors, knownMethodsOnly, noSuchPath, retryAfter, sendProblem } from './problem'

const JSON_MOST = '1mb'
/** Rows of a file on their way to the shelf, in parts. */
const SHELF_MOST = '4mb'
/** A whole notebook comes in at once. */
const IMPORT_MOST = '50mb'
/** A class of two hundred at a line a second each. */
const REQUESTS_A_MINUTE = 20_000

export interface AppParts {
  readonly api: Router
  readonly port: () => number
  readonly log: Logger
}

/** The HTTP face: guards, the interface under /api, and the built web app for everything else. */
export function createApp({ api, port, log }: AppParts): Express {
  const app = express()
  app.disable('x-powered-by')
  app.use(pinoHttp({ logger: log, autoLogging: false }))
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          'default-src': ["'self'"],
          'style-src': ["'self'", "'unsafe-inline'"],
          'img-src': ["'self'", 'data:'],
          'frame-ancestors': ["'none'"],
          'upgrade-insecure-requests': null,
        },
      },
      strictTransportSecurity: false,
    }),
  )
  app.use((_request, response, next) => {
    response.set('Permissions-Policy', 'geolocation=(), microphone=(), payment=(), usb=()')
    next()
  })
  app.use(ownPagesOnly(port))
  app.use(knownMethodsOnly)
  app.use('/api', (_request, response, next) => {
    response.set('Cache-Control', 'no-store')
    next()
  })
  app.use(
    compression({
      filter: (request, response) => !isStream(request.path) && compression.filter(request, response),
    }),
  )
  app.use(
    '/api',
    rateLimit({
      windowMs: 60_000,
      limit: REQUESTS_A_MINUTE,
      skip: (request) => isStream(request.path),
      handler: (_request, response) => {
        retryAfter(response, 10)
        sendProblem(
          response,
          429,
          'Too many requests',
          'Wait a minute, then go on. Nothing is lost: it stays in the outbox.',
        )
      },
    }),
  )
  app.use('/api/import', express.json({ limit: IMPORT_MOST }))
  app.use('/api/shelf', express.json({ limit: SHELF_MOST }))
  app.use('/api', express.json({ limit: JSON_MOST }), api, noSuchPath)
  serveWeb(app)
  app.use(noSuchPath)
  app.use(
    handleErrors((error) => {
      log.error(faultOf(error))
    }),
  )
  return app
}

/** What failed and where, without what it was asked with: a log holds no text of a notebook. */
function faultOf(error: unknown): object {
  const { name, message, stack, cause } = error as Error & { cause?: Error & { code?: string } }
  const frames = (stack ?? '').split('\n').filter((line) => line.trim().startsWith('at '))
  // A failed query names its values in its own message; its cause says what was wrong.
  const reason =
    cause instanceof Error ? `${cause.message.split('\n')[0] ?? ''} ${cause.code ?? ''}` : message
  return { name, message: reason.slice(0, 300), at: frames.slice(0, 6) }
}

function isStream(path: string): boolean {
  return path.endsWith('/stream')
}

function serveWeb(app: Express): void {
  if (!existsSync(WEB)) return
  app.use(
    '/assets',
    express.static(join(WEB, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }),
  )
  app.use(express.static(WEB, { index: false }))
  app.get(/^\/(?!api\/).*/, (_request, response) => {
    response.set('Cache-Control', 'no-cache').sendFile(join(WEB, 'index.html'))
  })
}
