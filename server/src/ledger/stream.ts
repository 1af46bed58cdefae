import { Router } from 'express'
import type { NotebookId, StoredEntry } from '@ivory-crystal/core'
import type { Clock } from '../clock'
import { existing, sequenceIn } from './routes'
import type { LedgerStore } from './store'

const HEARTBEAT_MS = 15_000

/** Something that passes without being kept, such as a reading as it is shown. */
export interface Passing {
  readonly event: string
  readonly data: unknown
}

export interface PassingFeed {
  listen(hear: (passing: Passing) => void): () => void
}

/** Two feeds heard as one. */
export function both(one: PassingFeed, other: PassingFeed): PassingFeed {
  return {
    listen(hear) {
      const deaf = [one.listen(hear), other.listen(hear)]
      return () => {
        deaf.forEach((stop) => {
          stop()
        })
      }
    },
  }
}

/** Server-sent events of one notebook: its lines by sequence number, and readings as they pass. */
export function streamRoutes(store: LedgerStore, feed: PassingFeed, clock: Clock): Router {
  const router = Router()
  router.get('/notebooks/:notebook/stream', async (request, response) => {
    const notebook = await existing(store, request.params.notebook)
    let sent = sequenceIn(request.headers['last-event-id'] ?? request.query['after'])
    response.writeHead(200, {
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store',
      'X-Accel-Buffering': 'no',
    })
    response.write('retry: 1000\n\n')
    const waiting: StoredEntry[] = []
    let live = false
    const send = (line: StoredEntry) => {
      if (line.seq <= sent) return
      sent = line.seq
      response.write(`id: ${line.seq}\nevent: entry\ndata: ${JSON.stringify(line)}\n\n`)
    }
    // Listening begins before the catching up, so that nothing falls between the two.
    const deaf = [
      store.onStored((of: NotebookId, stored) => {
        if (of !== notebook) return
        if (live) stored.forEach(send)
        else waiting.push(...stored)
      }),
      feed.listen(({ event, data }) => {
        // Lines are for bridges, on a stream of their own.
        if (event !== 'line') response.write(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`)
      }),
      clock.every(HEARTBEAT_MS, () => response.write(': still here\n\n')),
    ]
    request.on('close', () => {
      deaf.forEach((stop) => {
        stop()
      })
    })
    for (const line of await store.after(notebook, sent)) send(line)
    waiting.forEach(send)
    live = true
  })
  return router
}
