import type { NotebookId } from '@ivory-crystal/core/ids'
import type { Entry, RawEntry } from '@ivory-crystal/core/notebook'
import type { OfflineCopy } from './offlineCopies'
import { CLOSED, type LedgerState, type Surroundings } from './ledgerClient'
import { INITIAL, type Machine, type MachineEvent, next, statusOf } from './machine'
import type { Outbox, QuarantinedLine } from './outbox'
import type { Tabs } from './tabs'

/** This device's part of a ledger: its state, where it keeps things, and how it stands to the server. */
export interface Replica {
  readonly surroundings: Surroundings
  state: LedgerState
  readonly set: (change: Partial<LedgerState>) => void
  readonly subscribe: (listener: (state: LedgerState) => void) => () => void
  machine: Machine
  /** Moves the machine, changes the state with it, and begins a flush where the machine does. */
  readonly dispatch: (event: MachineEvent, change?: Partial<LedgerState>) => void
  /** The flush that goes on, with the count after it. */
  flushing: Promise<void> | null
  cancelRetry: (() => void) | null
  /** What only this page has, because the device could not keep it; entries written together are sent together. */
  readonly unkept: (readonly Entry[])[]
  /** Of those, what the server refused. */
  refusedInPage: readonly QuarantinedLine[]
  /** Ends the stream of the notebook, or the wait for it; null before the first. */
  stopStream: (() => void) | null
  /** Whether this tab holds the stream for the other tabs. */
  isLeader: boolean
  /** null where this device may keep nothing. */
  outbox: Outbox | null
  tabs: Tabs | null
  localCopy: OfflineCopy | null
  /** The last entry received. */
  lastSeq: number
  /** What other tabs tell of a notebook while this one still reads it. */
  starting: { readonly notebook: NotebookId; readonly entries: RawEntry[] } | null
}

/** @param flush sends what waits; called once each time the machine begins to flush */
export function createReplica(
  surroundings: Surroundings,
  flush: (replica: Replica) => Promise<void>,
): Replica {
  const listeners = new Set<(state: LedgerState) => void>()
  const replica: Replica = {
    surroundings,
    state: CLOSED,
    set(change) {
      replica.state = { ...replica.state, ...change }
      for (const listener of listeners) listener(replica.state)
    },
    subscribe(listener) {
      listeners.add(listener)
      return () => {
        listeners.delete(listener)
      }
    },
    machine: INITIAL,
    dispatch(event, change) {
      const before = replica.machine
      replica.machine = next(before, event)
      const { connection } = replica.machine
      if (change || connection !== before.connection)
        replica.set({
          ...change,
          status: statusOf(connection),
          isOtherLedger: connection === 'other ledger',
        })
      if (before.delivery === 'flushing' || replica.machine.delivery !== 'flushing') return
      replica.cancelRetry?.()
      replica.cancelRetry = null
      replica.flushing = flush(replica)
    },
    flushing: null,
    cancelRetry: null,
    unkept: [],
    refusedInPage: [],
    stopStream: null,
    isLeader: false,
    outbox: null,
    tabs: null,
    localCopy: null,
    lastSeq: 0,
    starting: null,
  }
  return replica
}
