import type { EntryId, LedgerId, NotebookId, SubjectId } from '@ivory-crystal/core/ids'
import { EMPTY_VIEW, type Entry, type Line, type RawEntry, type View } from '@ivory-crystal/core/notebook'
import type { About, BalanceStatus, NotebookRow, Shelf } from '@ivory-crystal/core/wire'
import type { Api } from './api'
import type { OfflineCopy } from './offlineCopies'
import type { Outbox, QuarantinedLine } from './outbox'
import type { Reading, Readings } from './readings'
import type { OpenStream } from './stream'
import type { Tabs } from './tabs'

export interface LedgerState {
  readonly status: 'opening' | 'open' | 'failed'
  /** Why it could not be opened. */
  readonly failure: string | null
  readonly about: About | null
  /** What was struck last on this page: it could be taken back at once. */
  readonly lastStruck: EntryId | null
  /** This device's clock when it heard that, ms since 1970 UTC. */
  readonly heardAt: number
  readonly notebooks: readonly NotebookRow[]
  readonly notebook: NotebookId | null
  readonly view: View
  readonly shelf: Shelf | null
  /** Lines kept on this device that the server has not acknowledged. */
  readonly waiting: number
  readonly quarantine: readonly QuarantinedLine[]
  /** Lines that stand on the screen, and that this device could not keep: gone with the page unless they are sent. */
  readonly unkept: readonly Entry[]
  readonly connected: boolean
  /** Since when the server was not heard, where this device’s own copy is open; null where it is the server’s. */
  readonly copyOfMs: number | null
  /** The server at this address has another ledger now: nothing is sent to it. */
  readonly isOtherLedger: boolean
  /** Lines the server had acknowledged and has no more, sent to it again from this device’s copy. */
  readonly broughtBack: number
  /** Lines of other ledgers that wait on this device. */
  readonly waitingElsewhere: readonly RawEntry[]
  readonly readings: Readings
  /** The simulated balance as last heard; null before. */
  readonly balance: BalanceStatus | null
}
export const CLOSED: LedgerState = {
  status: 'opening',
  failure: null,
  about: null,
  lastStruck: null,
  heardAt: 0,
  notebooks: [],
  notebook: null,
  view: EMPTY_VIEW,
  shelf: null,
  waiting: 0,
  quarantine: [],
  unkept: [],
  connected: false,
  copyOfMs: null,
  isOtherLedger: false,
  broughtBack: 0,
  waitingElsewhere: [],
  readings: {},
  balance: null,
}

/** Everything the client leans on, so that a test can stand in for each. */
export interface Surroundings {
  readonly api: Pick<Api, 'about' | 'notebooks' | 'shelf' | 'entries' | 'post'>
  /** This device’s own copy of what was open; null where it may keep none. */
  readonly openCopies?: () => Promise<OfflineCopy | null>
  readonly openOutbox: (ledger: LedgerId) => Promise<Outbox>
  /** Sends what lines speak of and that is no line, such as photographs: it goes before them. */
  readonly sendBefore?: () => Promise<void>
  readonly openTabs: (ledger: LedgerId) => Tabs
  readonly openStream: OpenStream
  /** One holder at a time among the tabs of a browser, as `navigator.locks` has it. */
  readonly locks: {
    request<T>(name: string, options: { signal?: AbortSignal }, work: () => Promise<T>): Promise<T>
  }
  readonly clock: { now(): number; elapsed(): number }
  readonly random: (bytes: number) => Uint8Array
  /** Who writes, and on which device. */
  readonly writer: () => { readonly author: string; readonly device: string }
  /** Calls back after so many milliseconds; the answer calls it off. */
  readonly later: (ms: number, run: () => void) => () => void
  /** From 0 to 1, for waits that differ from device to device. */
  readonly chance: () => number
  /** Calls back whenever the network is there again. */
  readonly whenOnline: (run: () => void) => void
}

export interface LedgerClient {
  getState(): LedgerState
  /** Calls back on every change of state; the answer ends it. */
  subscribe(listener: (state: LedgerState) => void): () => void
  /** Opens a notebook of this server's ledger; the first when none is named. */
  start(wanted: string | null): Promise<void>
  /**
   * Writes lines that belong together. They stand on the screen at once, and are kept on this device before
   * anything is sent; the screen never waits for the network.
   */
  write(...lines: readonly Line[]): readonly EntryId[]
  /** Strikes one line, with a reason. */
  strike(target: { readonly id: EntryId; readonly subject: SubjectId }, reason: string): void
  /** Resolves when nothing waits; rejects with a sentence when the server cannot be reached. */
  allStored(): Promise<void>
  /** Takes a refused line out of sight, for good. */
  dismissRefused(id: string): Promise<void>
  /** Takes in a reading, from the stream or as the answer to a command. */
  receiveReading(reading: Reading): void
  receiveBalance(balance: BalanceStatus): void
  /** Takes in lines the server wrote and answered with. */
  receive(entries: readonly RawEntry[]): void
  /** Reads the shelf again, here and in the other tabs. */
  shelfChanged(): Promise<void>
}
