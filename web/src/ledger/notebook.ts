import { create } from 'zustand'
import { clock } from '../clock/clock'
import { api } from './api'
import { createLedgerClient } from './client'
import type { LedgerState } from './ledgerClient'
import { openCopies } from './offlineCopies'
import { openOutbox } from './outbox'
import { sendPhotographs } from './pictures'
import { openStream } from './stream'
import { openTabs } from './tabs'
import { author, device } from './writer'

const client = createLedgerClient({
  api,
  openCopies,
  openOutbox,
  sendBefore: sendPhotographs,
  openTabs,
  openStream,
  locks: navigator.locks,
  clock,
  random: (bytes) => crypto.getRandomValues(new Uint8Array(bytes)),
  writer: () => ({ author: author(), device: device() }),
  chance: () => Math.random(),
  whenOnline(run) {
    addEventListener('online', run)
  },
  later(ms, run) {
    const timer = setTimeout(run, ms)
    return () => {
      clearTimeout(timer)
    }
  },
})

/** The state of the ledger client, for React to read. It changes by the client alone. */
export const useNotebook = create<LedgerState>()(() => client.getState())
client.subscribe((state) => {
  useNotebook.setState(state, true)
})

export const {
  start: openNotebook,
  write,
  strike,
  allStored,
  dismissRefused,
  receive,
  receiveReading,
  receiveBalance,
  shelfChanged,
} = client

/** Identity for a new subject. */
export function newSubject<T extends string>(): T {
  return crypto.randomUUID() as T
}

/** The reason of a strike that takes another back. */
export const TAKEN_BACK = 'taken back'
export function takeBack(made: Parameters<typeof strike>[0]): void {
  strike(made, TAKEN_BACK)
}
