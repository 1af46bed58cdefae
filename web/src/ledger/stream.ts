import type { NotebookId } from '@ivory-crystal/core/ids'
import type { RawEntry } from '@ivory-crystal/core/notebook'
import type { BalanceStatus } from '@ivory-crystal/core/wire'
import type { Reading } from './readings'

/** What comes over the stream of a notebook. */
export interface StreamEvents {
  readonly connected: (isConnected: boolean) => void
  readonly line: (line: { readonly seq: number; readonly entry: RawEntry }) => void
  readonly reading: (reading: Reading) => void
  readonly balance: (balance: BalanceStatus) => void
  readonly rest: (instrument: string) => void
}
/** Listens to a notebook's stream from the line last seen, and goes on trying; the answer ends it. */
export type OpenStream = (notebook: NotebookId, after: () => number, events: StreamEvents) => () => void

const RETRY_MS = 2000
/** Closed for good by the server, in the words of `EventSource`. */
const CLOSED = 2

/** The stream over server-sent events. The browser takes it up again by itself, unless the server ended it. */
export const openStream: OpenStream = (notebook, after, events) => {
  let source: EventSource
  let again: ReturnType<typeof setTimeout> | undefined
  const on = <T>(name: string, take: (payload: T) => void) => {
    source.addEventListener(name, (event: MessageEvent<string>) => {
      take(JSON.parse(event.data) as T)
    })
  }
  const attach = () => {
    source = new EventSource(`/api/notebooks/${notebook}/stream?after=${after()}`)
    source.onopen = () => {
      events.connected(true)
    }
    source.onerror = () => {
      events.connected(false)
      if (source.readyState !== CLOSED) return
      clearTimeout(again)
      again = setTimeout(attach, RETRY_MS)
    }
    on('entry', events.line)
    on('reading', events.reading)
    on('balance', events.balance)
    on<{ instrument: string }>('rest', ({ instrument }) => {
      events.rest(instrument)
    })
  }
  attach()
  return () => {
    clearTimeout(again)
    source.close()
  }
}
