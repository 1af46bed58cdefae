import { Router } from 'express'
import type { NotebookId } from '@ivory-crystal/core/ids'
import type { StoredEntry } from '@ivory-crystal/core/notebook'
import type { Clock } from '../clock'
import type { Streams } from '../http/streams'
import { existing, sequenceIn } from './routes'
import type { LedgerStore } from './storeTypes'

/** Something that passes without being kept, such as a reading as it is shown. */
export interface Passing {
  readonly event: string
  readonly data: unknown
}

export interface PassingFeed {
  listen(listener: (passing: Passing) => void): () => void
}

/** Two feeds heard as one. */
export function both(one: PassingFeed, other: PassingFeed): PassingFeed {
  return {
    listen(receive) {
      const deaf = [one.listen(receive), other.listen(receive)]
      return () => {
        deaf.forEach((stop) => {
          stop()
        })
      }
    },
  }
}

/** Server-sent events of one notebook: its lines by sequence number, and what passes in it. */
export function streamRoutes(store: LedgerStore, feed: PassingFeed, streams: Streams, clock: Clock): Router {
  const router = Router()
  router.get('/notebooks/:notebook/stream', async (request, response) => {
    const notebook = await existing(store, request.params.notebook)
    let sent = sequenceIn(request.headers['last-event-id'] ?? request.query['after'])
    streams.open(request, response, clock, (stream) => {
      const waiting: StoredEntry[] = []
      let live = false
      const send = (line: StoredEntry) => {
        if (line.seq <= sent) return
        sent = line.seq
        stream.send('entry', JSON.stringify(line), line.seq)
      }
      const catchUp = async () => {
        for await (const lines of store.after(notebook, sent)) lines.forEach(send)
        waiting.splice(0).forEach(send)
        live = true
      }
      void catchUp().catch(() => response.destroy())
      // Listening begins before the catching up, so that nothing falls between the two.
      return [
        store.onStored((of: NotebookId, stored) => {
          if (of !== notebook) return
          if (live) stored.forEach(send)
          else waiting.push(...stored)
        }),
        feed.listen(({ event, data }) => {
          // Lines are for bridges, on a stream of their own; a run is watched in its own notebook.
          if (event === 'line' || (event === 'reading' && ofAnother(data, notebook))) return
          stream.send(event, JSON.stringify(data))
        }),
      ]
    })
  })
  return router
}

function ofAnother(data: unknown, notebook: NotebookId): boolean {
  return (data as { notebook?: NotebookId }).notebook !== notebook
}
