import type { EntryId } from '@ivory-crystal/core/ids'
import { type Entry, fold, KINDS, type Line, nextId } from '@ivory-crystal/core/notebook'
import { allStored, dismissRefused, enqueue, flush } from './flush'
import type { LedgerClient, Surroundings } from './ledgerClient'
import { readShelf, receive, receiveBalance, receiveReading } from './receive'
import { createReplica, type Replica } from './replica'
import { start } from './start'

/** A notebook on this device: written at once, kept in the outbox, sent when it can be, received from others. */
export function createLedgerClient(surroundings: Surroundings): LedgerClient {
  const replica = createReplica(surroundings, flush)
  surroundings.whenOnline(() => {
    replica.dispatch('flush asked')
  })
  const client: LedgerClient = {
    getState: () => replica.state,
    subscribe: replica.subscribe,
    start: (wanted) => start(replica, wanted),
    write: (...lines) => write(replica, lines),
    strike(target, reason) {
      client.write({ kind: 'struck', subject: target.subject, body: { target: target.id, reason } })
      replica.set({ lastStruck: target.id })
    },
    allStored: () => allStored(replica),
    dismissRefused: (id) => dismissRefused(replica, id),
    receiveReading(reading) {
      receiveReading(replica, reading)
    },
    receiveBalance(balance) {
      receiveBalance(replica, balance)
    },
    receive(entries) {
      receive(replica, entries)
    },
    async shelfChanged() {
      replica.tabs?.post({ kind: 'shelf' })
      await readShelf(replica)
    },
  }
  return client
}

/** @throws Error when no notebook is open */
function write(replica: Replica, lines: readonly Line[]): readonly EntryId[] {
  const { about, notebook, view, waiting } = replica.state
  const { clock, random, writer } = replica.surroundings
  if (!about || !notebook) throw new Error('No notebook is open.')
  let latest = view.latestId
  const at = clock.now()
  const entries = lines.map(({ kind, subject, body }): Entry => {
    const id = nextId(latest, at, random(8))
    latest = id
    const v = KINDS[kind].version
    return { id, v, ledger: about.ledger, notebook, subject, kind, body, at, ...writer() }
  })
  replica.set({ view: fold(entries, view), waiting: waiting + entries.length })
  void enqueue(replica, entries)
  return entries.map((entry) => entry.id)
}
