import type { NotebookId } from '@ivory-crystal/core/ids'
import { countWaiting } from './flush'
import { readShelf, receive, receiveBalance, receiveReading, receiveRest } from './receive'
import type { Replica } from './replica'
import type { StreamEvents } from './stream'
import type { Tabs } from './tabs'
import { verify } from './verify'

/** After the stream was lost it is asked who answers, ms. */
const WHO_ANSWERS_MS = 1000

/** Takes in what the other tabs of this browser tell. */
export function followTabs(replica: Replica, tabs: Tabs): void {
  tabs.listen((message) => {
    switch (message.kind) {
      case 'lines':
        if (message.notebook === replica.starting?.notebook) replica.starting.entries.push(...message.entries)
        if (message.notebook !== replica.state.notebook) return
        receive(replica, message.entries)
        if (message.seq === undefined) {
          replica.dispatch('enqueued')
          return
        }
        replica.lastSeq = Math.max(replica.lastSeq, message.seq)
        return void countWaiting(replica)
      case 'settled':
        return void countWaiting(replica)
      case 'reading':
        receiveReading(replica, message.reading)
        return
      case 'rest':
        receiveRest(replica, message.instrument)
        return
      case 'balance':
        receiveBalance(replica, message.balance)
        return
      case 'shelf':
        return void readShelf(replica).catch(() => undefined)
      case 'heard':
        replica.set({ connected: message.connected })
        if (message.connected) void verify(replica).catch(() => undefined)
        else replica.dispatch('stream lost')
        return
      case 'asks':
        publishStatus(replica)
    }
  })
}

/** A tab that has just opened is told how things stand by the one that holds the stream. */
function publishStatus(replica: Replica): void {
  if (!replica.isLeader) return
  const { connected, readings } = replica.state
  replica.tabs?.post({ kind: 'heard', connected })
  for (const [instrument, reading] of Object.entries(readings))
    if (reading) replica.tabs?.post({ kind: 'reading', reading: { ...reading, instrument } })
}

/** One stream a browser: whichever tab has the lock holds it and tells the others. The stream before is stopped. */
export function followStream(replica: Replica, notebook: NotebookId): void {
  replica.stopStream?.()
  const ends = new AbortController()
  replica.stopStream = () => {
    ends.abort()
  }
  const { locks, openStream } = replica.surroundings
  locks
    .request(
      `ivory-crystal stream ${notebook}`,
      { signal: ends.signal },
      () =>
        new Promise<void>((resolve) => {
          replica.isLeader = true
          const close = openStream(notebook, () => replica.lastSeq, eventsOf(replica, notebook))
          ends.signal.addEventListener('abort', () => {
            replica.isLeader = false
            close()
            resolve()
          })
        }),
    )
    .catch(() => undefined)
}

function eventsOf(replica: Replica, notebook: NotebookId): StreamEvents {
  const { surroundings } = replica
  const forward: Tabs['post'] = (message) => {
    replica.tabs?.post(message)
  }
  return {
    connected(connected) {
      replica.set({ connected })
      forward({ kind: 'heard', connected })
      if (connected)
        return void verify(replica).then(
          () => {
            replica.dispatch('flush asked')
          },
          () => undefined,
        )
      replica.dispatch('stream lost')
      // It may answer and yet not be the one it was: then that is said.
      surroundings.later(WHO_ANSWERS_MS, () => void verify(replica).catch(() => undefined))
    },
    line(line) {
      const { about } = replica.state
      replica.lastSeq = Math.max(replica.lastSeq, line.seq)
      receive(replica, [line.entry])
      if (about)
        void replica.localCopy
          ?.add(about.ledger, notebook, [line], surroundings.clock.now())
          .catch(() => undefined)
      forward({ kind: 'lines', notebook, entries: [line.entry], seq: line.seq })
    },
    reading(reading) {
      receiveReading(replica, reading)
      forward({ kind: 'reading', reading })
    },
    balance(balance) {
      receiveBalance(replica, balance)
      forward({ kind: 'balance', balance })
    },
    rest(instrument) {
      receiveRest(replica, instrument)
      forward({ kind: 'rest', instrument })
    },
  }
}
