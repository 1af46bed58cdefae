import type { Request, Response } from 'express'
import type { Clock } from '../clock'
import { HttpProblem } from './problem'

const HEARTBEAT_MS = 15_000
/** Listeners at a time, at most. */
const STREAMS_MOST = 500
/** What a listener may leave unread, bytes: then its stream is ended, and it catches up from the last it heard. */
const UNREAD_MOST = 1_000_000

/** One listener to server-sent events. */
interface Stream {
  /** Sends an event; nothing once the stream has ended. */
  send(event: string, data: string, id?: number): void
}

/** All the streams of a server. */
export interface Streams {
  /**
   * Begins a stream.
   *
   * @param begin sets it going, and answers with what stops that
   * @throws HttpProblem 503 when there are too many
   */
  open(request: Request, response: Response, clock: Clock, begin: (stream: Stream) => (() => void)[]): void
  endAll(reason: string): void
  readonly count: number
}

export function createStreams(): Streams {
  const open = new Map<Response, (reason: string) => void>()
  return {
    get count() {
      return open.size
    },
    open(request, response, clock, begin) {
      if (open.size >= STREAMS_MOST)
        throw new HttpProblem(503, 'Too many listeners', 'Close a few tabs, then try again.')
      response.writeHead(200, {
        'Content-Type': 'text/event-stream',
        'Cache-Control': 'no-store',
        'X-Accel-Buffering': 'no',
      })
      response.write('retry: 1000\n\n')
      let stops: (() => void)[] = []
      const stop = () => {
        open.delete(response)
        for (const one of stops.splice(0)) one()
      }
      const end = (reason: string) => {
        stop()
        response.end(`event: ended\ndata: ${JSON.stringify(reason)}\n\n`)
      }
      open.set(response, end)
      const write = (text: string) => {
        if (!open.has(response)) return
        response.write(text)
        if (response.writableLength <= UNREAD_MOST) return
        stop()
        response.destroy()
      }
      stops = begin({
        send(event, data, id) {
          write(`${id === undefined ? '' : `id: ${id}\n`}event: ${event}\ndata: ${data}\n\n`)
        },
      })
      stops.push(
        clock.every(HEARTBEAT_MS, () => {
          write(': still here\n\n')
        }),
      )
      request.on('close', stop)
    },
    endAll(reason) {
      for (const end of [...open.values()]) end(reason)
    },
  }
}
