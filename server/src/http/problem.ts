import type { ErrorRequestHandler, RequestHandler, Response } from 'express'
import type Joi from 'joi'
import { DatabaseAway, isAway } from '../db/postgres'
import { NoRoom } from '../disk'
import { sentence } from '@ivory-crystal/core/checks'

/** An error that is the caller's to mend, with the sentence to show. */
export class HttpProblem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    readonly detail: string,
    /** When the same request may be sent again, s. */
    readonly retryAfterS?: number,
  ) {
    super(detail)
  }
}

/** Answers with a problem document (RFC 9457). */
export function sendProblem(response: Response, status: number, title: string, detail: string): void {
  response
    .status(status)
    .type('application/problem+json')
    .send(JSON.stringify({ type: 'about:blank', title, status, detail }))
}

/**
 * The body, if the schema takes it. Nothing is converted: a number typed as text is refused.
 *
 * @throws HttpProblem 400 with a sentence
 */
export function checked<T>(schema: Joi.Schema, body: unknown): T {
  const { error, value } = schema
    .required()
    .validate(body, { convert: false, errors: { wrap: { label: '“”' } } }) as {
    error?: Joi.ValidationError
    value: T
  }
  if (error) {
    const [detail] = error.details
    const isNoObject = detail?.type === 'object.base' && detail.path.length === 0
    throw new HttpProblem(
      400,
      'This request cannot be read',
      isNoObject
        ? 'The body must be a JSON object with named values, not a list or a single value.'
        : sentence(error),
    )
  }
  return value
}

const METHODS = ['GET', 'HEAD', 'POST']

/** A request that may not be sent again and again at once says when. */
export function retryAfter(response: Response, seconds: number): void {
  response.set('Retry-After', String(seconds))
}

export const knownMethodsOnly: RequestHandler = (request, response, next) => {
  if (METHODS.includes(request.method)) {
    next()
    return
  }
  response.set('Allow', METHODS.join(', '))
  sendProblem(response, 405, 'No such method', `Nothing here answers to ${request.method}.`)
}

export const noSuchPath: RequestHandler = (request, response) => {
  sendProblem(response, 404, 'Not found', `There is nothing at ${request.path}.`)
}

const DISK_FULL = 'The disk of the server is full. No saved entry is lost. Free some space on it, then go on.'

/** Whether the system said that a disk is full, or that more may not be written on it. */
function isDiskFull(error: unknown): boolean {
  const { code } = error as { code?: string }
  return code === 'ENOSPC' || code === 'EDQUOT' || code === 'EFBIG'
}

interface BodyError extends Error {
  type?: string
  limit?: number
  status?: number
}

function sizeOf(bytes: number): string {
  return bytes < 1e6 ? `${Math.round(bytes / 1000)} kB` : `${Math.round(bytes / 1e6)} MB`
}

/** What the parts that read a request find wrong with it, in words. */
const FAULTS: Readonly<Record<number, string>> = {
  400: 'The address or the body of this request is malformed.',
  403: 'You are not allowed to read that.',
  404: 'There is nothing here.',
  408: 'The request arrived too slowly.',
  413: 'The request is too large.',
  415: 'The body uses a compression this server does not support. Send it as plain JSON.',
}

export function handleErrors(onUnexpected: (error: unknown) => void): ErrorRequestHandler {
  return (error: BodyError, _request, response, next) => {
    if (response.headersSent) {
      next(error)
      return
    }
    if (error instanceof HttpProblem) {
      if (error.retryAfterS !== undefined) retryAfter(response, error.retryAfterS)
      sendProblem(response, error.status, error.title, error.detail)
    } else if (isDiskFull(error)) sendProblem(response, 507, 'Disk full', DISK_FULL)
    else if (error instanceof NoRoom) sendProblem(response, 507, 'Disk nearly full', error.message)
    else if (isAway(error)) {
      retryAfter(response, 2)
      sendProblem(response, 503, 'Database away', new DatabaseAway().message)
    } else if (error.type === 'entity.parse.failed')
      sendProblem(response, 400, 'This request cannot be read', 'The body is not JSON.')
    else if (error.type === 'entity.too.large')
      sendProblem(
        response,
        413,
        'Too large',
        `A request may hold ${sizeOf(error.limit ?? 0)} at most. Send it in smaller parts.`,
      )
    else if (error.status !== undefined && error.status >= 400 && error.status < 500)
      sendProblem(
        response,
        error.status,
        'This request cannot be read',
        FAULTS[error.status] ?? 'Something in this request is wrong.',
      )
    else {
      onUnexpected(error)
      sendProblem(
        response,
        500,
        'The server failed',
        'Something went wrong inside the server. No saved entry was lost. Try again.',
      )
    }
  }
}
